import { defineConfig } from '@playwright/test';
import tests from './playwright.config';

/** Measures what dragging costs. */
export default defineConfig({ ...tests, testDir: 'frames', workers: 1, reporter: 'line', timeout: 600_000 });
