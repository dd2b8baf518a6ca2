import { defineConfig } from '@playwright/test';

const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--font-render-hinting=none', // letters stand where the scene puts them, as on a screen of today
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export default defineConfig({
  testDir: './src',
  globalSetup: './setup.config.ts',
  outputDir: '../test-results',
  timeout: 300_000,
  // Generous, for a machine that is busy with something else: no journey is about time.
  expect: { timeout: 40_000 },
  fullyParallel: true,
  workers: Number(process.env['E2E_WORKERS'] ?? 2),
  forbidOnly: true,
  reporter: process.env['ZEITPUNKT_E2E_REPORT'] ? [['list'], ['json', { outputFile: process.env['ZEITPUNKT_E2E_REPORT'] }]] : [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 40_000,
    // Sweeps in steps: fewer frames to draw. What moves is tested where it matters, with motion on.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args: CHROMIUM_ARGS },
  },
  projects: [
    { name: 'journeys', testMatch: /.*\.e2e\.ts/ },
    { name: 'screenshots', testMatch: /screenshots\.ts/ },
  ],
});
