import { defineConfig } from '@playwright/test';
import { CHROMIUM_LAUNCH } from '@brackenfell/scripts/debian';

export default defineConfig({
  testDir: '.',
  // Generous: a shared machine can be ten times slower than itself, and no journey is about speed.
  timeout: 300_000,
  expect: { timeout: Number(process.env.BRACKENFELL_PATIENCE_MS ?? 45_000) },
  fullyParallel: true,
  workers: 2,
  forbidOnly: true,
  outputDir: '../test-results',
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_FILE ?? '../test-results/report.json' }],
  ],
  use: {
    // What is not there to be pressed fails as what is not there to be seen.
    actionTimeout: 90_000,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    launchOptions: CHROMIUM_LAUNCH,
  },
});
