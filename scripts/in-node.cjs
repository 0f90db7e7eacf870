/**
 * Compiles for Jest as @swc/jest does. Jest runs tests in a context of their own, where each look at a global goes through an interceptor: what computes a lot
 * looks at Math and its like all the time, and took three times as long. So each module has them as variables.
 */
const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const { createTransformer } = require('@swc/jest');

const NAMES = ['Array', 'Infinity', 'JSON', 'Map', 'Math', 'NaN', 'Number', 'Object', 'Set', 'String', 'WeakMap'];
const GLOBALS = `var ${NAMES.map((name) => `${name}=globalThis.${name}`).join(',')};`;

const OWN = createHash('sha1')
  .update(readFileSync(require.resolve('./in-node.cjs')))
  .digest('hex')
  .slice(0, 8);

module.exports = {
  GLOBALS,
  createTransformer(options) {
    const swc = createTransformer(options);
    return {
      ...swc,
      // what was made by another version of this file is not taken again
      getCacheKey: (...args) => `${swc.getCacheKey(...args)}${OWN}`,
      process(...args) {
        const made = swc.process(...args);
        // in a block, where a module may have a Map or a Set of its own
        return { ...made, code: `${made.code.replace(/^("use strict";\n?)?/, (strict) => `${strict}${GLOBALS}{`)}\n}` };
      },
    };
  },
};
