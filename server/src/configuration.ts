import { existsSync } from 'node:fs';
import { resolve } from 'node:path';

/** What the environment says. Documented in the README. */
export interface Configuration {
  readonly databaseUrl: string;
  readonly sessionSecret: string;
  readonly port: number;
  readonly host: string;
  readonly secureCookie: boolean;
  readonly trustedProxies: number;
  readonly logLevel: string;
  readonly webFolder: string | null;
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
  const web = resolve(import.meta.dirname, '../../web/dist');
  return {
    databaseUrl: needed('DATABASE_URL'),
    sessionSecret,
    port: whole('PORT', 3000),
    host: environment['HOST'] ?? '127.0.0.1',
    secureCookie: environment['SECURE_COOKIE'] === 'true',
    trustedProxies: whole('TRUSTED_PROXIES', 0),
    logLevel: environment['LOG_LEVEL'] ?? 'info',
    webFolder: existsSync(resolve(web, 'index.html')) ? web : null,
  };
}
