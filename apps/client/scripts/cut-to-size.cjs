// Of packages that come as one large file only what is used: cut out by a bundler, once, when the client is built or served.
const { mkdirSync } = require('node:fs');
const { dirname, join } = require('node:path');
const { buildSync } = require('esbuild');

const into = join(__dirname, '..', '.parts');

/** A module of its own with these exports of a package; the path of it. `entry`: the file of the package that is for browsers. */
module.exports = function cutToSize(name, entry, exported) {
  const from = join(dirname(require.resolve(`${name}/package.json`)), entry);
  const outfile = join(into, `${name.replace(/\W+/g, '-')}.js`);
  mkdirSync(into, { recursive: true });
  buildSync({
    stdin: { contents: `export { ${exported.join(', ')} } from ${JSON.stringify(from)};`, resolveDir: __dirname },
    outfile,
    bundle: true,
    format: 'esm',
    // what comes as CommonJS is left to the client's own bundler
    external: ['react', 'use-sync-external-store/*'],
    define: { 'process.env.NODE_ENV': '"production"' },
    logLevel: 'error',
  });
  return outfile;
};
