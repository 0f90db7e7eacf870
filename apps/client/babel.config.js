/** Sizes of lettering in the browser follow the size a person has chosen there: what is written as 16 becomes one rem. */
const letteringInRem = ({ types: t }) => {
  const inRem = (node) => {
    if (t.isNumericLiteral(node)) return t.stringLiteral(`${node.value / 16}rem`);
    if (t.isConditionalExpression(node))
      return t.conditionalExpression(node.test, inRem(node.consequent), inRem(node.alternate));
    return node;
  };
  return {
    visitor: {
      ObjectProperty({ node }) {
        const name = t.isIdentifier(node.key) ? node.key.name : null;
        if (name === 'fontSize' || name === 'lineHeight') node.value = inRem(node.value);
      },
    },
  };
};

module.exports = (api) => {
  const web = api.caller((caller) => caller?.platform === 'web');
  return {
    // of the interface's library only the parts that are used
    presets: ['babel-preset-expo'],
    plugins: ['react-native-paper/babel'],
    overrides: web ? [{ exclude: /node_modules/, plugins: [letteringInRem] }] : [],
  };
};
