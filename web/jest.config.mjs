import { ours, swc } from '../jest.shared.mjs';

/** @type {import('jest').Config} */
export default {
  displayName: 'web',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  testEnvironment: 'jsdom',
  setupFilesAfterEnv: ['<rootDir>/src/app/testing/setup.ts'],
  // Components need the Angular transformer; all the rest goes through the fast one.
  transform: {
    '/web/src/.+\\.(ts|html)$': [
      'jest-preset-angular',
      { tsconfig: '<rootDir>/tsconfig.spec.json', stringifyContentPathRegex: '\\.html$' },
    ],
    ...swc,
  },
  transformIgnorePatterns: ['/node_modules/(?!.*(@ngrx|@angular|uuid|idb)/)'],
  moduleNameMapper: ours,
};
