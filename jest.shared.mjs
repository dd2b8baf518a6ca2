/** How TypeScript without components is compiled for tests. */
export const swc = {
  '^.+\\.m?[tj]s$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } }],
};

/** Where a package finds the others, and the source of a `.js` import. */
export const ours = {
  '^@zeitpunkt/(core|contract)$': '<rootDir>/../$1/src/index.ts',
  '^@zeitpunkt/core/(.+)$': '<rootDir>/../core/src/$1.ts',
  '^(\\.{1,2}/.*)\\.js$': '$1',
};
