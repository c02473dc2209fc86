import { defineConfig } from '@playwright/test';
import tests from './playwright.config';

/** Measures what dragging costs. */
// No trace of its own: a snapshot at every move would be most of what is measured.
export default defineConfig({
  ...tests,
  testDir: 'frames',
  workers: 1,
  retries: 0,
  reporter: 'line',
  timeout: 600_000,
  use: { ...tests.use, trace: 'off' },
});
