/**
 * Compiles a test of the packages together with all of ours that it imports, as one script: Jest loads five hundred modules one by one in two seconds, for each of a
 * hundred test files. One scope also computes as fast as the application does. A test that puts something in the place of a module needs them apart: in-node.cjs.
 */
const { createHash } = require('node:crypto');
const { readFileSync, readdirSync, statSync } = require('node:fs');
const { join } = require('node:path');
const { buildSync } = require('esbuild');
const { GLOBALS, createTransformer } = require('./in-node.cjs');

const root = join(__dirname, '..');
const packages = join(root, 'packages');
const PACKAGES = ['core', 'formats', 'contract'].map((name) => join(packages, name));
const named = (folder, ...lists) =>
  lists.flatMap((list) => Object.keys(JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'))[list] ?? {}));
/** What only computes goes into the piece; what reads files of its own, or only the tests know, stays outside. */
const computes = new Set(named(PACKAGES[0], 'dependencies'));
const OPTIONS = {
  ...{ bundle: true, platform: 'node', format: 'cjs', target: 'es2022', logLevel: 'error', banner: { js: GLOBALS } },
  external: [root, ...PACKAGES]
    .flatMap((folder) => named(folder, 'dependencies', 'devDependencies'))
    .filter((name) => !computes.has(name) && !name.startsWith('@velvet-tape/')),
};

const filesOf = (folder) =>
  ['src', 'tests'].flatMap((part) =>
    readdirSync(join(folder, part), { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile())
      .map((entry) => join(entry.parentPath, entry.name)),
  );
const inOnePiece = (path, text) => /\.test\.ts$/.test(path) && !/\bjest\.(mock|doMock|requireActual)\b/.test(text);

/** Changes whenever something changes that a piece may be made of. */
function state() {
  const hash = createHash('sha1');
  for (const file of [__filename, join(root, 'package-lock.json')]) hash.update(readFileSync(file));
  for (const path of PACKAGES.flatMap(filesOf)) {
    const { mtimeMs, size } = statSync(path);
    hash.update(`${path} ${mtimeMs} ${size}\n`);
  }
  return hash.digest('hex');
}

module.exports = {
  createTransformer(options) {
    const apart = createTransformer(options);
    return {
      ...apart,
      getCacheKey: (text, path, about) =>
        inOnePiece(path, text)
          ? createHash('sha1').update(`${state()} ${path}`).digest('hex')
          : apart.getCacheKey(text, path, about),
      process(text, path, about) {
        if (!inOnePiece(path, text)) return apart.process(text, path, about);
        const code = buildSync({ ...OPTIONS, entryPoints: [path], write: false }).outputFiles[0].text;
        // as for what is compiled by itself, a default is what is called so there
        return { code: code.replace(/__toESM\((require\("[^"]+"\)), 1\)/g, '__toESM($1)') };
      },
    };
  },
};
