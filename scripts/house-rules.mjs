/** Rules of this house: what is asked for by text from outside finds only what was put there. */
const noTableByText = {
  meta: {
    messages: {
      text: 'A table that is asked for any text also has “constructor” and its like. Say which words it knows, or use a Map.',
    },
  },
  create: (context) => ({
    // asked for a word its type does not know, a table does not compile; this leaves those whose type knows any
    VariableDeclarator({ id }) {
      if (id.type !== 'Identifier' || !/^[A-Z][A-Z0-9_]+$/.test(id.name) || !id.typeAnnotation) return;
      if (/\bRecord<\s*string\b|\[\s*\w+\s*:\s*string\s*\]/.test(context.sourceCode.getText(id.typeAnnotation)))
        context.report({ node: id, messageId: 'text' });
    },
  }),
};

const noInByText = {
  meta: { messages: { own: 'Use Object.hasOwn: “in” also finds what every object has by nature.' } },
  create: (context) => ({
    BinaryExpression(node) {
      if (node.operator === 'in' && node.left.type !== 'Literal' && node.left.type !== 'PrivateIdentifier')
        context.report({ node, messageId: 'own' });
    },
  }),
};

export default { meta: { name: 'house' }, rules: { 'no-table-by-text': noTableByText, 'no-in-by-text': noInByText } };
