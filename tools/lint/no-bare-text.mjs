/** Attributes that people read or hear. */
const SAID = new Set([
  'title',
  'alt',
  'placeholder',
  'aria-label',
  'aria-description',
  'label',
  'matTooltip',
  'heading',
  'text',
  'yes',
  'no',
]);
const HAS_WORDS = /\p{L}{2}/u;

/**
 * Words of templates come from the catalogue of their feature (`words.ts`): bare text would be of one language for ever. Refused are
 * text, text beside and within interpolations, and attributes that people read or hear.
 * @type {import('eslint').Rule.RuleModule}
 */
export const noBareText = {
  meta: { type: 'problem', schema: [], messages: { bare: '“{{text}}” stands bare in a template: take it from the words of the feature.' } },
  create(context) {
    const services = context.sourceCode.parserServices;
    const report = (node, text) => {
      if (!HAS_WORDS.test(text)) return;
      context.report({
        loc: services.convertNodeSourceSpanToLoc(node.sourceSpan),
        messageId: 'bare',
        data: { text: text.trim().slice(0, 40) },
      });
    };
    /** Texts of an expression that are shown: both ways of a choice, and what is put together. */
    const shown = (node, at) => {
      if (!node) return;
      if (node.type === 'ASTWithSource') return shown(node.ast, at);
      if (node.type === 'Interpolation') {
        for (const text of node.strings) report(at, text);
        for (const one of node.expressions) shown(one, at);
      } else if (node.type === 'Conditional') {
        shown(node.trueExp, at);
        shown(node.falseExp, at);
      } else if (node.type === 'Binary') {
        if (node.operation !== '+' && node.operation !== '??' && node.operation !== '||') return;
        shown(node.left, at);
        shown(node.right, at);
      } else if (node.type === 'LiteralPrimitive' && typeof node.value === 'string') report(at, node.value);
    };
    return {
      Text: (node) => report(node, node.value),
      BoundText: (node) => shown(node.value, node),
      TextAttribute: (node) => SAID.has(node.name) && report(node, node.value),
      BoundAttribute: (node) => SAID.has(node.name) && shown(node.value, node),
    };
  },
};
