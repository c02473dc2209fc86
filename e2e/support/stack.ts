import { fork, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { resolve } from 'node:path';

const home = resolve(import.meta.dirname, '../..');

/** A balance that is connected to the server. @returns its address and what ends it */
export async function startBalance(): Promise<{ readonly address: string; stop(): void }> {
  const balance = fork(resolve(home, 'server/dist/balance.js'), { cwd: home, silent: true });
  const [{ port }] = (await once(balance, 'message')) as [{ port: number }];
  return { address: `127.0.0.1:${port}`, stop: () => void balance.kill() };
}

export interface Cluster {
  urlFor(database: string): string;
  administratorUrl(): string;
  /** All of its processes as they are now. */
  pids(): number[];
  stop(): Promise<void>;
}

/** A private PostgreSQL for one run. */
export async function startCluster(): Promise<Cluster> {
  const { throwawayCluster } = (await import('../../scripts/postgres.mjs' as string)) as {
    throwawayCluster(): Promise<Cluster>;
  };
  return throwawayCluster();
}

export async function freePort(): Promise<number> {
  const scripts = (await import('../../scripts/postgres.mjs' as string)) as { freePort(): Promise<number> };
  return scripts.freePort();
}

/** The built server with the demo class, as a process that can be killed and started again on the same port. */
export class ServerProcess {
  #child: ChildProcess | undefined;

  constructor(
    readonly databaseUrl: string,
    readonly port: number,
    readonly more: Readonly<Record<string, string>> = {},
  ) {}

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    this.#child = fork(resolve(home, 'server/dist/main.js'), {
      cwd: home,
      env: {
        ...process.env,
        DATABASE_URL: this.databaseUrl,
        SESSION_SECRET: 'a secret for browser tests only, long enough',
        PORT: String(this.port),
        DEMO: 'true',
        LOG_LEVEL: 'warn',
        ...this.more,
      },
    });
    await once(this.#child, 'message');
  }

  /** Ends it at once, without a word. */
  async kill(): Promise<void> {
    const gone = this.#child && once(this.#child, 'exit');
    this.#child?.kill('SIGKILL');
    await gone;
  }
}
