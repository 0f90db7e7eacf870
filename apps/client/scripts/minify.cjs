/**
 * Makes code small, as the bundler's own minifier does: names, dead code, what can be said shorter. In Rust, as most of the time of a build went into this.
 * What every module is handed has the same name in all of them, so that they pack well beside each other.
 */
const { minify } = require('@swc/core');

/** The bundler's names for it, and shorter ones nobody else has. */
const HANDED = { _$$_IMPORT_DEFAULT: '$i', _$$_IMPORT_ALL: '$a', _dependencyMap: '$d' };
const KEPT = ['global', 'require', 'module', 'exports'];
const handed = /_\$\$_IMPORT_DEFAULT\b|_\$\$_IMPORT_ALL\b|_dependencyMap\b/g;

module.exports = async ({ code, reserved, config }) => {
  const { code: small } = await minify(code, {
    compress: { reduce_funcs: false, passes: 2, ...config.compress },
    mangle: { reserved: [...reserved, ...Object.keys(HANDED), ...KEPT] },
    format: { asciiOnly: true, wrapIife: true },
    toplevel: false,
    sourceMap: false,
  });
  return { code: small.replace(handed, (name) => HANDED[name]) };
};
