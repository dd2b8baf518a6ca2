import { defineConfig } from '@playwright/test';

const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export default defineConfig({
  testDir: './src',
  outputDir: '../test-results',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  fullyParallel: false,
  workers: 2,
  forbidOnly: true,
  reporter: process.env['ZEITPUNKT_E2E_REPORT'] ? [['list'], ['json', { outputFile: process.env['ZEITPUNKT_E2E_REPORT'] }]] : [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 10_000,
    launchOptions: { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args: CHROMIUM_ARGS },
  },
  projects: [
    { name: 'journeys', testMatch: /.*\.e2e\.ts/ },
    { name: 'screenshots', testMatch: /screenshots\.ts/ },
  ],
});
