/** Gives Jest a test as build-tests.cjs has built it; what else it asks for is compiled as it comes. */
const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const { join, relative } = require('node:path');
const { builtIn } = require('./build-tests.cjs');
const { createTransformer } = require('./in-node.cjs');

const isTest = (path) => path.endsWith('.test.ts');
const built = (path, { config: { rootDir } }) =>
  readFileSync(join(builtIn(rootDir), relative(join(rootDir, 'tests'), path).replace(/ts$/, 'cjs')), 'utf8');

module.exports = {
  createTransformer(options) {
    const apart = createTransformer(options);
    return {
      ...apart,
      getCacheKey: (text, path, about) =>
        isTest(path)
          ? createHash('sha1')
              .update(`${path} ${built(path, about)}`)
              .digest('hex')
          : apart.getCacheKey(text, path, about),
      process(text, path, about) {
        if (!isTest(path)) return apart.process(text, path, about);
        if (/\bjest\.(mock|doMock|requireActual)\b/.test(text))
          throw new Error(`${path}: a built test has no modules to put others in the place of.`);
        // the pieces lie beside where it was built
        const beside = builtIn(about.config.rootDir);
        return {
          code: built(path, about).replace(
            /require\("\.\/([\w-]+\.cjs)"\)/g,
            (_, piece) => `require(${JSON.stringify(join(beside, piece))})`,
          ),
        };
      },
    };
  },
};
