import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // As many as there are cores: by itself it leaves one to whoever looks on.
    maxWorkers: '100%',
    projects: [
      {
        test: {
          name: 'core',
          isolate: false,
          include: ['core/src/**/*.test.ts', 'contract/src/**/*.test.ts'],
        },
      },
      { test: { name: 'drawing', isolate: false, include: ['drawing/src/**/*.test.tsx'] } },
      {
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts'],
          globalSetup: ['server/test/database.ts'],
          testTimeout: 20_000,
          hookTimeout: 60_000,
        },
      },
      {
        plugins: [react()],
        test: {
          name: 'web',
          include: ['web/src/**/*.test.{ts,tsx}'],
          environment: 'jsdom',
          setupFiles: ['web/test/setup.ts'],
          css: false,
          testTimeout: 20_000,
        },
      },
    ],
  },
});
