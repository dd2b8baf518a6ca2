import { ours, swc } from './jest.shared.mjs';

const plain = (name) => ({
  displayName: name,
  rootDir: name,
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: swc,
  transformIgnorePatterns: ['/node_modules/(?!.*(cookie|content-disposition)/)'],
  moduleNameMapper: ours,
});

/** @type {import('jest').Config} */
export default { maxWorkers: 2, projects: [plain('core'), plain('contract'), plain('server'), './web/jest.config.mjs'] };
