import { defineConfig } from 'vite';

/** Bundles our own rooms into plain Node modules; packages from the registry stay outside. */
export default defineConfig({
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'dist',
    rollupOptions: {
      input: {
        main: 'src/main.ts',
        addTeacher: 'src/addTeacher.ts',
        balance: 'src/balance.ts',
        worker: 'src/threads/worker.ts',
      },
    },
  },
  ssr: { noExternal: [/^@green-beam\//] },
});
