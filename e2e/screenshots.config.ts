import { defineConfig } from '@playwright/test';
import tests from './playwright.config';

/** The tour that remakes docs/screenshots. */
export default defineConfig({ ...tests, testDir: 'tour', workers: 1, reporter: 'line' });
