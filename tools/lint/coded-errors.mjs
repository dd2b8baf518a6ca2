const CODED = new Set(['CoreError', 'ApiProblem']);
/** Where the parameters of each stand among its arguments. */
const PARAMS_AT = { CoreError: 2, ApiProblem: 3 };

/**
 * Whoever words an error in another language needs what its sentence speaks of: a coded error whose sentence is put together
 * carries its parts by name.
 * @type {import('eslint').Rule.RuleModule}
 */
export const codedErrors = {
  meta: { type: 'problem', schema: [], messages: { bare: 'This sentence speaks of something: give it by name, too.' } },
  create: (context) => ({
    NewExpression(node) {
      const name = node.callee.name;
      if (!CODED.has(name)) return;
      const sentence = node.arguments[1];
      if (sentence?.type !== 'TemplateLiteral' || sentence.expressions.length === 0) return;
      if (node.arguments.length <= PARAMS_AT[name]) context.report({ node: sentence, messageId: 'bare' });
    },
  }),
};
