import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

// Time-outs are for what hangs: a machine that does other things as well is no fault of the product. Files share what they import.
export default defineConfig({
  test: {
    // As many as there are cores: by itself it leaves one to whoever looks on.
    maxWorkers: '100%',
    projects: [
      {
        test: {
          name: 'core',
          isolate: false,
          testTimeout: 120_000,
          include: ['core/src/**/*.test.ts', 'contract/src/**/*.test.ts'],
        },
      },
      {
        test: {
          name: 'drawing',
          isolate: false,
          testTimeout: 120_000,
          include: ['drawing/src/**/*.test.tsx'],
        },
      },
      {
        test: {
          name: 'server',
          isolate: false,
          include: ['server/src/**/*.test.ts'],
          globalSetup: ['server/test/database.ts'],
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
      {
        plugins: [react()],
        test: {
          name: 'web',
          isolate: false,
          include: ['web/src/**/*.test.{ts,tsx}'],
          environment: 'jsdom',
          setupFiles: ['web/test/setup.ts'],
          css: false,
          testTimeout: 120_000,
        },
      },
    ],
  },
});
