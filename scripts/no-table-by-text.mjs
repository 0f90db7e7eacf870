import { ESLintUtils } from '@typescript-eslint/utils';
import ts from 'typescript';

/**
 * A constant table (SHOUTING_CASE) is not asked for a key that is any text: “constructor” is a key of every object. Use a Map, or Object.hasOwn first.
 * Keys of known words are fine: the compiler knows them.
 */
export const noTableByText = {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      text: 'A table is asked for a key that may be any text, such as “constructor”. Use a Map, or Object.hasOwn first.',
    },
  },
  create(context) {
    const services = ESLintUtils.getParserServices(context);
    const isAnyText = (type) =>
      type.isUnion() ? type.types.some(isAnyText) : (type.flags & ts.TypeFlags.String) !== 0;
    const isArray = (type) => services.program.getTypeChecker().isArrayLikeType(type);
    return {
      MemberExpression(node) {
        if (!node.computed || node.object.type !== 'Identifier' || !/^[A-Z][A-Z0-9_]+$/.test(node.object.name)) return;
        if (isArray(services.getTypeAtLocation(node.object))) return;
        if (isAnyText(services.getTypeAtLocation(node.property))) context.report({ node, messageId: 'text' });
      },
    };
  },
};
