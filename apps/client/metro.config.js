const { availableParallelism } = require('node:os');
const { dirname, join } = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const cutToSize = require('./scripts/cut-to-size.cjs');
const { standIn } = require('./src/core-later/rooms.cjs');

const config = getDefaultConfig(__dirname);
const standard = config.resolver.resolveRequest;
const noOperations = require.resolve('./src/ml-matrix-operations.ts');
const englishOnly = require.resolve('./src/zod-locales.ts');
// signs are paths of our own choice (ui/icons.ts): the font of all of them stays out
const unusedOnWeb = /^(react-native-reanimated|react-native-worklets|@expo\/vector-icons(\/.*)?)$/;
const inPackage = (name, ...path) => join(dirname(require.resolve(name)), ...path);
const partsUsed = new Map([
  [
    '@reduxjs/toolkit',
    cutToSize('@reduxjs/toolkit', 'dist/redux-toolkit.browser.mjs', [
      ...['configureStore', 'createSelector', 'createSlice', 'original', 'weakMapMemoize'],
    ]),
  ],
  [
    'react-redux',
    cutToSize('react-redux', 'dist/react-redux.mjs', [
      ...['Provider', 'shallowEqual', 'useDispatch', 'useSelector', 'useStore'],
    ]),
  ],
  ['robust-predicates', inPackage('robust-predicates', 'esm/orient2d.js')],
  ['ml-matrix', require.resolve('./src/ml-matrix.ts')],
]);
// Four rules keep what is sent small: rooms of the core that are not wanted for every plan come later (core-later/rooms.cjs), zod's forty languages become one, the animation packages that other packages mention but this
// application never uses are left out, and of some large packages come the parts that are used.
config.resolver.resolveRequest = (context, name, platform) => {
  if (platform === 'web' && unusedOnWeb.test(name)) return { type: 'empty' };
  // singular values, which are worked out nowhere; sines of matrices and a hundred more
  if (platform === 'web' && context.originModulePath.includes('/ml-matrix/')) {
    if (name === './dc/svd') return { type: 'empty' };
    if (name === './mathOperations') return { type: 'sourceFile', filePath: noOperations };
  }
  if (name.endsWith('../locales/index.js') && context.originModulePath.includes('/zod/')) {
    return { type: 'sourceFile', filePath: englishOnly };
  }
  // schemas are written here, none is read from a document
  if (name === './from-json-schema.js' && context.originModulePath.includes('/zod/')) return { type: 'empty' };
  const filePath =
    partsUsed.get(name) ?? (/^ml-matrix\/src\//.test(name) && inPackage('ml-matrix', `${name.slice(10)}.js`));
  if (platform === 'web' && filePath) return { type: 'sourceFile', filePath };
  const found = (standard ?? context.resolveRequest)(context, name, platform);
  const other = found.type === 'sourceFile' && standIn(context.originModulePath, found.filePath);
  return other ? { type: 'sourceFile', filePath: other } : found;
};

config.transformer.minifierPath = require.resolve('./scripts/minify.cjs');
// gives what modules are handed short names by going through all of the code once more; minify.cjs does it by the way
config.transformer.unstable_disableNormalizePseudoGlobals = true;
// the usual one fewer leaves half of a small machine idle
config.maxWorkers = availableParallelism();

module.exports = config;
