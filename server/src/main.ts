import { randomInt } from 'node:crypto';
import { pino } from 'pino';
import pg from 'pg';
import { createApp } from './app';
import { configurationFrom } from './configuration';
import { migrator } from './database/migrate';
import { connect } from './database/models';
import { loadDemo } from './demo/load';
import { BalanceFeed, noFeed } from './feed/feed';
import { createLive } from './live/live';
import type { Services } from './services';
import { createSignInLimits } from './session/limits';

/** Starts the server: migrations, demo data if asked for, then the door is opened. */
async function start(): Promise<void> {
  const configuration = configurationFrom(process.env);
  const log = pino({
    level: configuration.logLevel,
    redact: ['req.headers.cookie', 'res.headers["set-cookie"]'],
  });
  const database = connect(configuration.databaseUrl);
  await migrator(database.sequelize).up();
  const services: Services = {
    database,
    live: createLive(),
    feed: configuration.balance ? new BalanceFeed(configuration.balance) : noFeed,
    limits: createSignInLimits(),
    log,
    now: () => new Date(),
    seed: () => randomInt(2 ** 31),
  };
  if (process.env['DEMO'] === 'true') await loadDemo(services);
  const pool = new pg.Pool({ connectionString: configuration.databaseUrl, max: 5 });
  pool.on('error', (error) => log.warn({ err: error }, 'a session connection was lost'));
  const server = createApp(services, { ...configuration, pool }).listen(
    configuration.port,
    configuration.host,
  );
  server.on('listening', () => {
    log.info(`listening on ${configuration.host}:${configuration.port}`);
    process.send?.('ready');
  });
  server.on('error', (error) => fail(error));

  const stop = () => {
    services.live.close();
    services.feed.close();
    server.close(
      () => void Promise.allSettled([database.sequelize.close(), pool.end()]).then(() => process.exit(0)),
    );
    server.closeIdleConnections();
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
  // Whoever started this process is gone: nobody would stop it.
  process.once('disconnect', stop);
}

function fail(error: unknown): never {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}

start().catch(fail);
