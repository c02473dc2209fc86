import cluster from 'node:cluster';
import { createHash, timingSafeEqual } from 'node:crypto';
import type { Express, RequestHandler } from 'express';
import { AggregatorRegistry, collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';
import { Problem } from './problem';
import type { Database } from '../database/models';

/** Where something may have to wait. */
interface Watched {
  readonly hashes: { readonly waiting: number };
  readonly workers: { readonly waiting: number };
  readonly publish: { readonly streams: { readonly count: number } };
  readonly database: Database;
}

/** What is counted while the app runs: of requests, entries, queues and streams; never of whom. */
export class Metrics {
  readonly registry = new Registry();
  readonly #requests = new Histogram({
    name: 'green_beam_request_seconds',
    help: 'Requests of the API by method and status: how many, and how long they took.',
    labelNames: ['method', 'status'] as const,
    buckets: [0.005, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5],
    registers: [this.registry],
  });
  readonly #entries = new Counter({
    name: 'green_beam_entries_total',
    help: 'Entries written into logbooks; their rate is entries a second.',
    registers: [this.registry],
  });

  wrote(entries: number): void {
    this.#entries.inc(entries);
  }

  /** Times every request that passes here. */
  readonly timed: RequestHandler = ({ method }, response, next) => {
    const end = this.#requests.startTimer({ method });
    response.once('finish', () => end({ status: String(response.statusCode) }));
    next();
  };

  /** Looks, when asked, how many wait for what. */
  watch({ hashes, workers, publish, database }: Watched): void {
    const pool = () =>
      (
        database.sequelize.connectionManager as unknown as {
          pool: Record<'using' | 'available' | 'waiting', number>;
        }
      ).pool;
    const gauges: Readonly<Record<string, readonly [help: string, now: () => number]>> = {
      hashes_waiting: ['Sign-ins whose password waits to be checked.', () => hashes.waiting],
      jobs_waiting: ['Jobs that wait for a thread.', () => workers.waiting],
      streams: ['Event streams that are open.', () => publish.streams.count],
      database_connections_used: ['Connections to the database at work.', () => pool().using],
      database_connections_idle: ['Connections to the database that nobody uses.', () => pool().available],
      database_connections_waiting: ['Requests that wait for a connection.', () => pool().waiting],
    };
    for (const [name, [help, now]] of Object.entries(gauges))
      new Gauge({
        name: `green_beam_${name}`,
        help,
        registers: [this.registry],
        collect() {
          this.set(now());
        },
      });
  }

  /** The process too: its event loop's delay, memory, handles. Once in a process. */
  watchProcess(): void {
    collectDefaultMetrics({ register: this.registry });
    AggregatorRegistry.setRegistries([this.registry]);
    if (cluster.isWorker) new AggregatorRegistry();
  }
}

/** `/metrics` in the text form of Prometheus, for who names the token; not there where none is set. */
export function metricsRoute(app: Express, metrics: Metrics, token: string | null): void {
  if (!token) return;
  app.get('/metrics', async (request, response) => {
    if (!same(request.get('authorization') ?? '', `Bearer ${token}`)) throw new Problem('not-allowed');
    response.set('cache-control', 'no-store').type('text/plain; version=0.0.4');
    response.send(cluster.isWorker ? await ofAllProcesses() : await metrics.registry.metrics());
  });
}

const digest = (text: string): Buffer => createHash('sha256').update(text).digest();
const same = (one: string, other: string): boolean => timingSafeEqual(digest(one), digest(other));

interface Question {
  readonly metricsFor: number;
}
interface Reply extends Question {
  readonly text: string | null;
}
const patienceMs = 6_000;
let asked = 0;

/** Whichever process is asked answers for all: the one that keeps them going gathers. */
async function ofAllProcesses(): Promise<string> {
  const id = (asked += 1);
  return new Promise((resolve, reject) => {
    const end = () => {
      clearTimeout(timer);
      process.off('message', heard);
    };
    const heard = (message: Partial<Reply>) => {
      if (message.metricsFor !== id) return;
      end();
      if (typeof message.text === 'string') resolve(message.text);
      else reject(new Problem('unavailable'));
    };
    const timer = setTimeout(() => {
      end();
      reject(new Problem('unavailable'));
    }, patienceMs);
    process.on('message', heard);
    process.send?.({ metricsFor: id } satisfies Question);
  });
}

/** In the process that keeps the others going: gathers what they count when one of them asks. */
export function gatherMetrics(): void {
  const registry = new AggregatorRegistry();
  cluster.on('message', (worker, message: Partial<Question>) => {
    if (typeof message !== 'object' || message.metricsFor === undefined) return;
    const reply = (text: string | null) =>
      worker.send({ metricsFor: message.metricsFor, text } as Reply, () => undefined);
    registry.clusterMetrics().then(reply, () => reply(null));
  });
}
