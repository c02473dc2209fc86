import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import pg from 'pg';
import { pino } from 'pino';
import { inject } from 'vitest';
import { createApp } from '../src/app';
import { migrator } from '../src/database/migrate';
import { connect, type Database } from '../src/database/models';
import { demoPassphrase, loadDemo } from '../src/demo/load';
import { demoClass, teacher } from '../src/demo/scenario';
import { noFeed, type Feed } from '../src/feed/feed';
import { createLive } from '../src/live/live';
import { createSignInLimits } from '../src/session/limits';

export interface Answer<Body> {
  readonly status: number;
  readonly body: Body;
  readonly headers: Headers;
}

/** One browser, as far as the API can tell: it keeps its cookie and names its origin. A test says which answer it expects. */
export interface Browser {
  get<Body = unknown>(path: string): Promise<Answer<Body>>;
  post<Body = unknown>(path: string, body?: unknown, headers?: Record<string, string>): Promise<Answer<Body>>;
  delete(path: string): Promise<Answer<unknown>>;
  stream(path: string): Promise<ReadableStreamDefaultReader<Uint8Array>>;
}

export interface Harness {
  readonly database: Database;
  readonly address: string;
  browser(): Browser;
  asTeacher(name?: string, password?: string): Promise<Browser>;
  asStudent(name: string): Promise<Browser>;
  close(): Promise<void>;
}

/** A server with the demo class, on a database of its own. */
export async function startHarness({
  demo = true,
  feed = noFeed,
}: { demo?: boolean; feed?: Feed } = {}): Promise<Harness> {
  const url = await freshDatabase();
  const database = connect(url);
  await migrator(database.sequelize).up();
  let drawn = 0;
  const services = {
    database,
    live: createLive(),
    feed,
    limits: createSignInLimits(),
    log: pino({ level: 'silent' }),
    now: () => new Date(),
    seed: () => (drawn += 7919),
  };
  if (demo) await loadDemo(services);
  const pool = new pg.Pool({ connectionString: url, max: 4 });
  const app = createApp(services, {
    sessionSecret: 'a secret for tests only, long enough',
    pool,
    webFolder: null,
    secureCookie: false,
    trustedProxies: 0,
  });
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
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
    address,
    browser,
    asTeacher: (name = teacher.name, password = teacher.password) =>
      signedIn('/api/session/teacher', { name, password }),
    asStudent: (name) =>
      signedIn('/api/session/student', { classCode: demoClass.code, name, passphrase: demoPassphrase(name) }),
    close: async () => {
      services.live.close();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await database.sequelize.close();
      await pool.end();
    },
  };
}

export async function freshDatabase(): Promise<string> {
  const base = inject('databaseUrl');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const client = new pg.Client({ connectionString: base });
  await client.connect();
  await client.query(`create database ${name}`);
  await client.end();
  return base.replace(/\/[^/]*$/, `/${name}`);
}

function openBrowser(address: string): Browser {
  let cookie = '';
  const send = async <Body>(
    method: string,
    path: string,
    body?: BodyInit,
    headers: Record<string, string> = {},
  ): Promise<Answer<Body>> => {
    const response = await fetch(address + path, {
      method,
      headers: {
        origin: address,
        cookie,
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...headers,
      },
      ...(body === undefined ? {} : { body }),
    });
    const set = response.headers.getSetCookie().find((line) => line.startsWith('green-beam='));
    if (set) cookie = set.split(';')[0] ?? '';
    const text = await response.text();
    return {
      status: response.status,
      headers: response.headers,
      body: (text === '' ? null : JSON.parse(text)) as Body,
    };
  };
  return {
    get: (path) => send('GET', path),
    post: (path, body, headers) =>
      send('POST', path, typeof body === 'string' ? body : JSON.stringify(body ?? {}), headers),
    delete: (path) => send('DELETE', path),
    stream: async (path) => {
      const response = await fetch(address + path, { headers: { cookie } });
      if (!response.body) throw new Error('There is no stream.');
      return response.body.getReader();
    },
  };
}
