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
  timeout: 600_000,
  // Generous, for a machine that is busy with something else, or stands still for a while because it is shared: no journey is
  // about time, and what is there goes on at once.
  expect: { timeout: 120_000 },
  fullyParallel: true,
  workers: Number(process.env['E2E_WORKERS'] ?? 2),
  forbidOnly: true,
  reporter: process.env['ZEITPUNKT_E2E_REPORT'] ? [['list'], ['json', { outputFile: process.env['ZEITPUNKT_E2E_REPORT'] }]] : [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 120_000,
    // Sweeps in steps: fewer frames to draw. What moves is tested where it matters, with motion on.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args: CHROMIUM_ARGS },
  },
  projects: [
    { name: 'journeys', testMatch: /.*\.e2e\.ts/ },
    { name: 'screenshots', testMatch: /screenshots\.ts/ },
  ],
});
