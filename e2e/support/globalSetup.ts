import { freePort, ServerProcess, startCluster } from './stack';

/** One PostgreSQL and one server for the run. Tests find them in the environment. */
export default async function globalSetup(): Promise<() => Promise<void>> {
  const cluster = await startCluster();
  const server = new ServerProcess(cluster.urlFor('green_beam_browser'), await freePort());
  await server.start();
  process.env['DATABASE_URL'] = server.databaseUrl;
  process.env['BASE_URL'] = server.address;
  return async () => {
    await server.kill();
    await cluster.stop();
  };
}
