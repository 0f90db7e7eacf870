const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
const standard = config.resolver.resolveRequest;
const englishOnly = require.resolve('./src/zod-locales.ts');
// signs are paths of our own choice (ui/icons.ts): the font of all of them stays out
const unusedOnWeb = /^(react-native-reanimated|react-native-worklets|@expo\/vector-icons(\/.*)?)$/;
// Two rules keep what is sent small: zod's forty languages become one, and the animation packages that
// other packages mention but this application never uses are left out.
config.resolver.resolveRequest = (context, name, platform) => {
  if (platform === 'web' && unusedOnWeb.test(name)) return { type: 'empty' };
  if (name.endsWith('../locales/index.js') && context.originModulePath.includes('/zod/')) {
    return { type: 'sourceFile', filePath: englishOnly };
  }
  return (standard ?? context.resolveRequest)(context, name, platform);
};

module.exports = config;
