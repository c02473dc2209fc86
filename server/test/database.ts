import { resolve } from 'node:path';
import { build } from 'vite';
import type { TestProject } from 'vitest/node';

interface Cluster {
  urlFor(database: string): string;
  administratorUrl(): string;
  stop(): Promise<void>;
}

declare module 'vitest' {
  export interface ProvidedContext {
    /** As the plain owner that the app runs as. */
    databaseUrl: string;
    /** As who may make databases. */
    administratorUrl: string;
  }
}

/** The threads run built code: their file is made here, for this run. */
const buildWorker = () =>
  build({
    configFile: false,
    logLevel: 'error',
    root: resolve(import.meta.dirname, '..'),
    build: {
      ssr: 'src/threads/worker.ts',
      target: 'node20',
      outDir: resolve(import.meta.dirname, '../../data/worker'),
      emptyOutDir: true,
    },
    ssr: { noExternal: [/^@green-beam\//] },
  });

/** One private PostgreSQL for the run; each test file makes a database of its own in it. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const { throwawayCluster } = (await import('../../scripts/postgres.mjs' as string)) as {
    throwawayCluster(): Promise<Cluster>;
  };
  const [cluster] = await Promise.all([throwawayCluster(), buildWorker()]);
  project.provide('databaseUrl', cluster.urlFor('green_beam_test'));
  project.provide('administratorUrl', cluster.administratorUrl());
  return () => cluster.stop();
}
