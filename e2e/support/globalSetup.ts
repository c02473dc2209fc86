import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { hash } from '@node-rs/argon2';
import { freePort, ServerProcess, startBalance, startCluster } from './stack';

/** One PostgreSQL, one server and a connected balance for the run. Tests find them in the environment. */
export default async function globalSetup(): Promise<() => Promise<void>> {
  const cluster = await startCluster();
  const balance = await startBalance();
  const server = new ServerProcess(cluster.urlFor('green_beam_browser'), await freePort(), {
    BALANCE: balance.address,
  });
  await server.start();
  await addPrintedTeacher(server.databaseUrl);
  process.env['DATABASE_URL'] = server.databaseUrl;
  process.env['BASE_URL'] = server.address;
  return async () => {
    await server.kill();
    balance.stop();
    await cluster.stop();
  };
}

/** A teacher as the command line adds one: the password was printed. */
async function addPrintedTeacher(url: string): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await client.query(
    `insert into people (id, role, name, secret_hash, must_change, created_at) values ($1, 'teacher', 'Ms Printed', $2, true, now())`,
    [randomUUID(), await hash('printed words here')],
  );
  await client.end();
}
