import cluster from 'node:cluster';
import { randomInt } from 'node:crypto';
import { pino } from 'pino';
import pg from 'pg';
import { createApp } from './app';
import { configurationFrom, type Configuration } from './configuration';
import { migrate } from './database/migrate';
import { connect } from './database/models';
import { loadDemo } from './demo/load';
import { BalanceFeed, noFeed } from './feed/feed';
import { sayStopping } from './http/health';
import { gatherMetrics, Metrics } from './http/metrics';
import { serverOf } from './http/serverOf';
import { createKept } from './kept/kept';
import { createWorkers } from './threads/workers';
import { createPublish } from './publish/publish';
import type { Services } from './services';
import { Callers } from './access/callers';
import { Paces } from './http/pace';
import { Hashes } from './session/hashes';
import { createSignInLimits } from './session/limits';

/** After this long a stop does not wait for anybody. */
const patienceMs = 1_500;

/** Starts the server: one process, or one that keeps several going. */
async function start(): Promise<void> {
  const configuration = configurationFrom(process.env);
  if (cluster.isPrimary && configuration.processes > 1) keepGoing(configuration);
  else await serve(configuration);
}

/** Migrations, demo data if asked for, then the door is opened. */
async function serve(configuration: Configuration): Promise<void> {
  const log = pino({ level: configuration.logLevel });
  await migrate(configuration.directDatabaseUrl);
  const database = connect(configuration.databaseUrl, configuration);
  const pool = new pg.Pool({
    connectionString: configuration.databaseUrl,
    max: 3,
    connectionTimeoutMillis: 3_000,
  });
  pool.on('error', () => log.warn('a connection to the database was lost'));
  const now = () => new Date();
  const callers = new Callers(database, log, now);
  const workers = createWorkers();
  const services: Services = {
    database,
    callers,
    publish: createPublish(database, callers, configuration.directDatabaseUrl, log),
    kept: createKept(database, workers),
    workers,
    feed: configuration.balance ? new BalanceFeed(configuration.balance) : noFeed,
    limits: createSignInLimits(pool),
    hashes: new Hashes(),
    paces: new Paces(),
    metrics: new Metrics(),
    log,
    now,
    seed: () => randomInt(2 ** 31),
  };
  services.metrics.watch(services);
  services.metrics.watchProcess();
  if (process.env['DEMO'] === 'true') await loadDemo(services);
  const { app } = createApp(services, configuration);
  const server = serverOf(app).listen(configuration.port, configuration.host);
  server.requestTimeout = 60_000;
  server.headersTimeout = 15_000;
  // Longer than a proxy keeps a connection that nobody uses: it then never writes to one that is being closed.
  server.keepAliveTimeout = 75_000;
  server.on('listening', () => {
    log.info(`listening on ${configuration.host}:${configuration.port}`);
    process.send?.('ready');
  });
  server.on('error', (error) => fail(error));

  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    sayStopping();
    setTimeout(() => process.exit(0), patienceMs).unref();
    services.feed.close();
    const told = services.publish.close();
    server.close(
      () =>
        void told
          .then(() => Promise.allSettled([database.sequelize.close(), pool.end(), workers.close()]))
          .then(() => process.exit(0)),
    );
    server.closeIdleConnections();
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
  // Whoever started this process is gone: nobody would stop it.
  process.once('disconnect', stop);
}

/** Starts several processes on one port; one that dies is replaced. They share the database and nothing else. */
function keepGoing({ processes }: Configuration): void {
  let stopping = false;
  let ready = 0;
  gatherMetrics();
  const another = () =>
    cluster.fork().on('message', (message) => {
      if (message !== 'ready') return;
      ready += 1;
      if (ready === processes) process.send?.('ready');
    });
  for (let nth = 0; nth < processes; nth += 1) another();
  cluster.on('exit', (_worker, code) => {
    if (!stopping && ready >= processes) return void setTimeout(another, 500);
    // It never came up: starting it again would not help.
    if (!stopping) process.exit(code || 1);
    if (Object.keys(cluster.workers ?? {}).length === 0) process.exit(0);
  });
  const stop = () => {
    if (stopping) return;
    stopping = true;
    for (const worker of Object.values(cluster.workers ?? {})) worker?.process.kill('SIGTERM');
    setTimeout(() => process.exit(0), patienceMs + 300).unref();
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
  process.once('disconnect', stop);
}

function fail(error: unknown): never {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}

start().catch(fail);
