module.exports = (api) => {
  api.cache(true);
  // of the interface's library only the parts that are used
  return { presets: ['babel-preset-expo'], plugins: ['react-native-paper/babel'] };
};
