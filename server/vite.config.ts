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
      // What several share lies beside them: the threads are found beside whatever starts them.
      output: { chunkFileNames: '[name]-[hash].js' },
    },
  },
  ssr: { noExternal: [/^@green-beam\//] },
});
