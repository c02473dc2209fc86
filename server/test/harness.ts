import { personHeader, type SessionAnswer } from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import pg from 'pg';
import { pino } from 'pino';
import { inject } from 'vitest';
import { createApp } from '../src/app';
import { migrate } from '../src/database/migrate';
import { connect, type Database } from '../src/database/models';
import { demoPassphrase, loadDemo } from '../src/demo/load';
import { demoClass, teacher } from '../src/demo/scenario';
import { noFeed, type Feed } from '../src/feed/feed';
import type { RouteLine } from '../src/access/route';
import { createKept } from '../src/kept/kept';
import { createWorkers } from '../src/threads/workers';
import { Metrics } from '../src/http/metrics';
import { serverOf } from '../src/http/serverOf';
import { createPublish } from '../src/publish/publish';
import type { Services } from '../src/services';
import { Callers } from '../src/access/callers';
import { Paces } from '../src/http/pace';
import { Hashes } from '../src/session/hashes';
import { createSignInLimits } from '../src/session/limits';

export interface Answer<Body> {
  readonly status: number;
  readonly body: Body;
  readonly headers: Headers;
}

/**
 * One browser, as far as the API can tell: it keeps its cookies, names its origin and says for whom it asks. A test says which
 * answer it expects.
 */
export interface Browser {
  /** Who signed in here. */
  readonly personId: string;
  get<Body = unknown>(path: string): Promise<Answer<Body>>;
  post<Body = unknown>(path: string, body?: unknown, headers?: Record<string, string>): Promise<Answer<Body>>;
  put<Body = unknown>(path: string, body: Uint8Array, mediaType: string): Promise<Answer<Body>>;
  delete(path: string): Promise<Answer<unknown>>;
  /** Any request at all, with this browser's cookies. */
  raw(
    method: string,
    path: string,
    headers?: Record<string, string>,
    body?: BodyInit,
  ): Promise<Answer<unknown>>;
  stream(path: string): Promise<ReadableStreamDefaultReader<Uint8Array>>;
  /** What it would send along. */
  cookies(): string;
  /** Goes on with another process, as behind a proxy. */
  goOnAt(address: string): void;
}

export interface Harness {
  readonly database: Database;
  readonly services: Services;
  readonly address: string;
  readonly url: string;
  readonly routes: readonly RouteLine[];
  /** The queries that something costs. */
  queriesOf(act: () => Promise<unknown>): Promise<readonly string[]>;
  browser(): Browser;
  asTeacher(name?: string, password?: string): Promise<Browser>;
  asStudent(name: string): Promise<Browser>;
  /** Answers nobody any more, in the middle of what it is doing. */
  die(): void;
  close(): Promise<void>;
}

interface Wanted {
  readonly demo?: boolean;
  readonly feed?: Feed;
  /** A database that is there already, for a second process on it. */
  readonly url?: string;
  readonly now?: () => Date;
  readonly secureCookie?: boolean;
  readonly hosts?: readonly string[];
  readonly webFolder?: string | null;
  /** False where more is asked than anybody may ask by hand. */
  readonly paced?: boolean;
}

const unpaced = Object.assign(new Paces(), { count: () => undefined });

/** A server with the demo class, on a database of its own. */
export async function startHarness({
  demo = true,
  feed = noFeed,
  url: given,
  now = () => new Date(),
  secureCookie = false,
  hosts = [],
  webFolder = null,
  paced = true,
}: Wanted = {}): Promise<Harness> {
  const url = given ?? (await freshDatabase());
  await migrate(url);
  const queries: string[] = [];
  const database = connect(url, { onQuery: (sql) => void queries.push(sql) });
  const pool = new pg.Pool({ connectionString: url, max: 4 });
  const log = pino({ level: 'silent' });
  let drawn = 0;
  const callers = new Callers(database, log, now);
  const workers = createWorkers();
  const services: Services = {
    database,
    callers,
    publish: createPublish(database, callers, url, log),
    kept: createKept(database, workers),
    workers,
    feed,
    limits: createSignInLimits(pool),
    hashes: new Hashes(),
    paces: paced ? new Paces() : unpaced,
    metrics: new Metrics(),
    log,
    now,
    seed: () => (drawn += 7919),
  };
  services.metrics.watch(services);
  if (demo) await loadDemo(services);
  const { app, routes } = createApp(services, {
    sessionSecret: 'a secret for tests only, long enough',
    webFolder,
    secureCookie,
    trustedProxies: 0,
    hurryMs: 0,
    hosts,
    metricsToken: 'a token for tests',
  });
  const server = await new Promise<Server>((resolve) => {
    const listening = serverOf(app).listen(0, '127.0.0.1', () => resolve(listening));
  });
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = () => openBrowser(address);
  const signedIn = async (path: string, body: unknown) => {
    const opened = browser();
    const { status } = await opened.post(path, body);
    if (status !== 200) throw new Error(`The sign-in was answered with ${status}.`);
    return opened;
  };
  return {
    database,
    services,
    address,
    url,
    routes,
    queriesOf: async (act) => {
      queries.length = 0;
      await act();
      return [...queries];
    },
    browser,
    asTeacher: (name = teacher.name, password = teacher.password) =>
      signedIn('/api/session/teacher', { name, password }),
    asStudent: (name) =>
      signedIn('/api/session/student', { classCode: demoClass.code, name, passphrase: demoPassphrase(name) }),
    die: () => {
      server.closeAllConnections();
      server.close();
    },
    close: async () => {
      await services.publish.close();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await database.sequelize.close();
      await pool.end();
      await workers.close();
    },
  };
}

/** An empty database that the plain owner owns, as docs/operations.md has one made. */
export async function freshDatabase(): Promise<string> {
  const url = inject('databaseUrl');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await asAdministrator(`create database ${name} owner ${new URL(url).username}`);
  return url.replace(/\/[^/]*$/, `/${name}`);
}

/** What the app itself may not do. */
export async function asAdministrator(statement: string): Promise<void> {
  const client = new pg.Client({ connectionString: inject('administratorUrl') });
  await client.connect();
  await client.query(statement);
  await client.end();
}

function openBrowser(at: string): Browser {
  let address = at;
  const cookies = new Map<string, string>();
  let personId = '';
  const cookieHeader = () => [...cookies].map(([name, value]) => `${name}=${value}`).join('; ');
  const send = async <Body>(
    method: string,
    path: string,
    body?: BodyInit,
    headers: Record<string, string> = {},
  ): Promise<Answer<Body>> => {
    const response = await fetch(address + path, {
      method,
      redirect: 'manual',
      headers: {
        origin: address,
        cookie: cookieHeader(),
        ...(personId ? { [personHeader]: personId } : {}),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...headers,
      },
      ...(body === undefined ? {} : { body }),
    });
    for (const line of response.headers.getSetCookie()) {
      const [name = '', value = ''] = (line.split(';')[0] ?? '').split('=');
      if (value === '' || line.includes('1970')) cookies.delete(name);
      else cookies.set(name, value);
    }
    const text = await response.text();
    const isJson = /json/.test(response.headers.get('content-type') ?? '');
    const answer = {
      status: response.status,
      headers: response.headers,
      body: (isJson ? JSON.parse(text) : text === '' ? null : text) as Body,
    };
    if (path.startsWith('/api/session') && method === 'POST' && response.ok)
      personId = (answer.body as SessionAnswer).who?.id ?? personId;
    return answer;
  };
  return {
    get personId() {
      return personId;
    },
    get: (path) => send('GET', path),
    post: (path, body, headers) =>
      send('POST', path, typeof body === 'string' ? body : JSON.stringify(body ?? {}), headers),
    put: (path, body, mediaType) => send('PUT', path, body as BodyInit, { 'content-type': mediaType }),
    delete: (path) => send('DELETE', path),
    raw: (method, path, headers, body) => send(method, path, body, headers),
    cookies: cookieHeader,
    goOnAt: (other) => {
      address = other;
    },
    stream: async (path) => {
      const response = await fetch(address + path, {
        headers: { cookie: cookieHeader(), [personHeader]: personId },
      });
      if (!response.body) throw new Error('There is no stream.');
      if (!response.ok) throw new Error(`The stream was answered with ${response.status}.`);
      return response.body.getReader();
    },
  };
}
