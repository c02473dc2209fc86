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

/** One private PostgreSQL for the run; each test file makes a database of its own in it. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const { throwawayCluster } = (await import('../../scripts/postgres.mjs' as string)) as {
    throwawayCluster(): Promise<Cluster>;
  };
  const cluster = await throwawayCluster();
  project.provide('databaseUrl', cluster.urlFor('green_beam_test'));
  project.provide('administratorUrl', cluster.administratorUrl());
  return () => cluster.stop();
}
