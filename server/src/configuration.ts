import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import type { FeedAddress } from './feed/feed';

/** `host:port`. @throws Error for anything else. */
function balanceAt(text: string | undefined): FeedAddress | null {
  if (!text) return null;
  const [, host, port] = /^([\w.-]+):(\d{1,5})$/.exec(text) ?? [];
  if (!host || !port) throw new Error('BALANCE is not an address such as 127.0.0.1:4711.');
  return { host, port: Number(port) };
}

/** What the environment says. Documented in the README. */
export interface Configuration {
  readonly databaseUrl: string;
  /** The same database without a pooler, for what has to stay on one connection. */
  readonly directDatabaseUrl: string;
  /** True where `databaseUrl` leads through a pooler. */
  readonly pooled: boolean;
  readonly processes: number;
  readonly hosts: readonly string[];
  readonly sessionSecret: string;
  readonly port: number;
  readonly host: string;
  readonly secureCookie: boolean;
  readonly trustedProxies: number;
  readonly logLevel: string;
  /** Who names it is told what is counted; nobody where it is null. */
  readonly metricsToken: string | null;
  readonly webFolder: string | null;
  /** Where a balance speaks; null where none is connected. */
  readonly balance: FeedAddress | null;
}

/** @throws Error with one plain sentence for anything missing or unusable. */
export function configurationFrom(environment: NodeJS.ProcessEnv): Configuration {
  const needed = (name: string): string => {
    const value = environment[name];
    if (!value)
      throw new Error(`The environment variable ${name} is missing; the README says what it holds.`);
    return value;
  };
  const whole = (name: string, otherwise: number): number => {
    const value = Number(environment[name] ?? otherwise);
    if (!Number.isInteger(value) || value < 0) throw new Error(`${name} is not a whole number.`);
    return value;
  };
  const sessionSecret = needed('SESSION_SECRET');
  if (sessionSecret.length < 32) throw new Error('SESSION_SECRET is too short: use at least 32 characters.');
  if (new Set(sessionSecret).size < 8)
    throw new Error('SESSION_SECRET is too easy to guess: make one with “openssl rand -hex 32”.');
  const metricsToken = environment['METRICS_TOKEN'];
  if (metricsToken && metricsToken.length < 16)
    throw new Error('METRICS_TOKEN is too short: use at least 16 characters.');
  const databaseUrl = needed('DATABASE_URL');
  const direct = environment['DIRECT_DATABASE_URL'];
  const web = resolve(import.meta.dirname, '../../web/dist');
  return {
    databaseUrl,
    directDatabaseUrl: direct || databaseUrl,
    pooled: Boolean(direct) && direct !== databaseUrl,
    processes: Math.max(1, whole('PROCESSES', 1)),
    hosts: (environment['HOSTS'] ?? '')
      .split(',')
      .map((host) => host.trim())
      .filter(Boolean),
    sessionSecret,
    port: whole('PORT', 3000),
    host: environment['HOST'] ?? '127.0.0.1',
    secureCookie: environment['SECURE_COOKIE'] === 'true',
    trustedProxies: whole('TRUSTED_PROXIES', 0),
    logLevel: environment['LOG_LEVEL'] ?? 'info',
    metricsToken: metricsToken || null,
    balance: balanceAt(environment['BALANCE']),
    webFolder: existsSync(resolve(web, 'index.html')) ? web : null,
  };
}
