import { nearGlobals, ours, swc } from '../jest.shared.mjs';

/** @type {import('jest').Config} */
export default {
  displayName: 'web',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  testEnvironment: 'jsdom',
  sandboxInjectedGlobals: nearGlobals(),
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
  // Nothing is drawn without a layout: charts are the journeys' matter, and what they are told to draw is ours.
  moduleNameMapper: {
    './chart-library$': '<rootDir>/src/app/testing/chart-library.ts',
    '\\.svg$': '<rootDir>/src/app/testing/picture.ts',
    './start-insight$': '<rootDir>/src/app/testing/class-lines.ts',
    './start-paper$': '<rootDir>/src/app/testing/paper-workers.ts',
    ...ours,
  },
};
