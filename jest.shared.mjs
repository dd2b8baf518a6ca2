import { TEST_BUNDLES } from './tools/lib/test-bundles.mjs';

/** How TypeScript without components is compiled for tests. */
export const swc = {
  '^.+\\.m?[tj]s$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } }],
};

/** Where a package finds the others, each in one file that is made before the tests, and the source of a `.js` import. */
export const ours = {
  '^@zeitpunkt/(contract)$': `${TEST_BUNDLES}/$1/index.cjs`,
  '^@zeitpunkt/core/(.+)$': `${TEST_BUNDLES}/core/$1.cjs`,
  '^(\\.{1,2}/.*)\\.js$': '$1',
};

/**
 * Globals are looked up slowly within tests; these are handed to every module, and half of the core's time is gone.
 * @param none those that a library of a package declares for itself
 */
export const nearGlobals = (...none) =>
  ['Math', 'Object', 'Array', 'Number', 'String', 'JSON', 'Map', 'Set'].filter((name) => !none.includes(name));
