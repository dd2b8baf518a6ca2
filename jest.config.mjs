import { nearGlobals, ours, swc } from './jest.shared.mjs';

const plain = (name, ...declares) => ({
  displayName: name,
  rootDir: name,
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: swc,
  transformIgnorePatterns: ['/node_modules/(?!.*(cookie|content-disposition|age-encryption|@noble/[a-z-]+|@scure/base)/)'],
  moduleNameMapper: ours,
  sandboxInjectedGlobals: nearGlobals(...declares),
});

/** @type {import('jest').Config} */
export default {
  globalSetup: '<rootDir>/jest.setup.mjs',
  maxWorkers: 2,
  // Generous, for a machine whose disk or processor is busy with something else: no test is about time.
  testTimeout: 240_000,
  projects: [plain('core'), plain('contract'), plain('server', 'Number', 'String'), './web/jest.config.mjs'],
};
