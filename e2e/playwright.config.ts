import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'journeys',
  outputDir: '../test-results',
  globalSetup: './support/globalSetup.ts',
  workers: 2,
  fullyParallel: false,
  // A machine that is starved for a moment is no fault of the product; what fails twice is.
  retries: process.env['CI'] ? 1 : 0,
  timeout: 120_000,
  expect: { timeout: 10_000 },
  reporter: process.env['CI'] ? 'list' : 'line',
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'on-first-retry',
    // Each journey begins with an empty browser: it does not fetch the whole app to keep it, but where it is to be offline.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
