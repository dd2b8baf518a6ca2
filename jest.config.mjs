const swc = {
  '^.+\\.m?[tj]s$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } }],
};
const ours = {
  '^@zeitpunkt/(core|contract)$': '<rootDir>/../$1/src/index.ts',
  '^(\\.{1,2}/.*)\\.js$': '$1',
};
const plain = (name) => ({
  displayName: name,
  rootDir: name,
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: swc,
  transformIgnorePatterns: ['/node_modules/(?!.*(cookie|content-disposition)/)'],
  moduleNameMapper: ours,
});

/** @type {import('jest').Config} */
export default {
  maxWorkers: 2,
  projects: [
    plain('core'),
    plain('contract'),
    plain('server'),
    {
      displayName: 'web',
      rootDir: 'web',
      testMatch: ['<rootDir>/src/**/*.test.ts'],
      testEnvironment: 'jsdom',
      setupFilesAfterEnv: ['<rootDir>/src/app/testing/setup.ts'],
      // Components need the Angular transformer; all the rest goes through the fast one.
      transform: { '/web/src/.+\\.(ts|html)$': ['jest-preset-angular', { tsconfig: '<rootDir>/tsconfig.spec.json' }], ...swc },
      transformIgnorePatterns: ['/node_modules/(?!.*(@ngrx|@angular|uuid|idb)/)'],
      moduleNameMapper: ours,
    },
  ],
};
