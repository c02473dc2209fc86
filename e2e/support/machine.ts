import { personHeader, type SessionAnswer } from '@green-beam/contract';
import { spawn, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import pg from 'pg';
import { freePort, startCluster, type Cluster } from './stack';

export const home = resolve(import.meta.dirname, '../..');

/** What `sudo -u postgres` does on a school's machine: the administrator's programs, here of a private PostgreSQL. */
const sudo = (administrator: URL) => `#!/bin/sh
[ "$1 $2" = "-u postgres" ] || exit 1
shift 2
PGHOST=${administrator.hostname} PGPORT=${administrator.port} PGUSER=postgres PGPASSWORD=${administrator.password} exec "$@"
`;
/** What was installed and built for this run is not installed and built again. */
const npm = `#!/bin/sh
case "$*" in ci | "run build") exit 0 ;; esac
exec "$REAL_NPM" "$@"
`;

/** A machine of a school, as far as a page of docs/ can tell, on which the blocks of that page are run. */
export class Machine {
  /** All that the blocks printed, and the server. */
  said = '';
  #server: ChildProcess | undefined;
  #settings: Record<string, string> = {};

  private constructor(
    private readonly page: string,
    private readonly cluster: Cluster,
    private readonly folder: string,
    private readonly port: number,
    private readonly path: string,
  ) {}

  /** @param page the page of docs/ whose blocks are run */
  static async make(page: string): Promise<Machine> {
    const cluster = await startCluster();
    const { programs } = (await import('../../scripts/postgres.mjs' as string)) as { programs(): string };
    const folder = mkdtempSync(join(tmpdir(), 'green-beam-school-'));
    mkdirSync(join(folder, 'bin'));
    const administrator = new URL(cluster.administratorUrl());
    for (const [name, text] of Object.entries({ sudo: sudo(administrator), npm }))
      writeFileSync(join(folder, 'bin', name), text, { mode: 0o755 });
    const path = [join(folder, 'bin'), programs(), process.env['PATH']].join(':');
    const machine = new Machine(
      readFileSync(join(home, page), 'utf8'),
      cluster,
      folder,
      await freePort(),
      path,
    );
    // The page makes the account itself.
    await machine.administer('drop role if exists green_beam');
    const environment = machine.#filled(machine.#block('## Install', 'env'));
    writeFileSync(join(folder, 'green-beam.env'), environment);
    machine.#settings = Object.fromEntries(
      environment
        .trim()
        .split('\n')
        .map((line) => [line.slice(0, line.indexOf('=')), line.slice(line.indexOf('=') + 1)]),
    );
    return machine;
  }

  /** The next block of a language after some words of the page. */
  #block(after: string, language: string): string {
    const from = this.page.slice(this.page.indexOf(after));
    const [, text] = new RegExp('```' + language + '\\n([^`]*)```').exec(from) ?? [];
    if (!this.page.includes(after) || text === undefined)
      throw new Error(`The page has no block after “${after}”.`);
    return text;
  }

  readonly #secrets = { PASSWORD: 'four words of one', SECRET: randomBytes(32).toString('hex') };

  #filled(text: string, more: Readonly<Record<string, string>> = {}): string {
    const { port } = new URL(this.cluster.administratorUrl());
    return (
      text
        .replaceAll('PASSWORD', encodeURIComponent(this.#secrets.PASSWORD))
        .replaceAll('=SECRET', `=${this.#secrets.SECRET}`)
        .replaceAll('=TOKEN', `=${this.#secrets.SECRET}`)
        .replaceAll('=PERSON', `=${more['PERSON'] ?? ''}`)
        .replaceAll('127.0.0.1:5432', `127.0.0.1:${port}`)
        .replaceAll('/etc/green-beam.env', join(this.folder, 'green-beam.env'))
        .replaceAll('/var/backups/green-beam', join(this.folder, 'backups'))
        .replaceAll('PORT=3000', `PORT=${this.port}`)
        // No proxy that speaks HTTPS stands in front of this one.
        .replaceAll('SECURE_COOKIE=true', 'SECURE_COOKIE=false')
        .replaceAll('TRUSTED_PROXIES=1', 'TRUSTED_PROXIES=0')
    );
  }

  #start(command: string): ChildProcess {
    const child = spawn('bash', ['-ec', command], {
      cwd: home,
      // No terminal: what asks for a password takes it from what is piped in.
      detached: true,
      env: {
        PATH: this.path,
        HOME: process.env['HOME'],
        LANG: 'C.UTF-8',
        REAL_NPM: realNpm(),
        ...this.#settings,
      },
    });
    for (const stream of [child.stdout, child.stderr])
      stream?.on('data', (text: Buffer) => (this.said += text.toString()));
    return child;
  }

  /** Runs the block that follows some words; its `npm start` goes on. @returns what it printed */
  async run(after: string, filled: Readonly<Record<string, string>> = {}): Promise<string> {
    const lines = this.#filled(this.#block(after, 'sh'), filled).split('\n');
    const before = this.said.length;
    const child = this.#start(lines.filter((line) => line !== 'npm start').join('\n'));
    child.stdin?.end(`${this.#secrets.PASSWORD}\n`.repeat(2));
    const status = await new Promise<number | null>((done) => child.once('exit', done));
    const printed = this.said.slice(before);
    if (status !== 0) throw new Error(`The block after “${after}” ended with ${status}:\n${printed}`);
    if (lines.includes('npm start')) this.#server = this.#start('npm start');
    return printed;
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Waits until it is ready. @returns its address */
  async started(): Promise<string> {
    for (;;) {
      if (this.#server?.exitCode !== null) throw new Error(`It did not start:\n${this.said.slice(-3000)}`);
      const ready = await fetch(`${this.address}/ready`).catch(() => null);
      if (ready?.ok) return this.address;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  }

  async stop(): Promise<void> {
    const server = this.#server;
    this.#server = undefined;
    if (!server?.pid || server.exitCode !== null) return;
    const gone = new Promise((done) => server.once('exit', done));
    process.kill(-server.pid, 'SIGTERM');
    await gone;
  }

  /** What is counted, for who names the token. */
  async metrics(): Promise<string> {
    const answer = await fetch(`${this.address}/metrics`, {
      headers: { authorization: `Bearer ${this.#secrets.SECRET}`, connection: 'close' },
    });
    return answer.text();
  }

  /** A teacher who was added changes the printed password for their own. */
  async chooses(name: string, password: string, next: string): Promise<void> {
    const post = (path: string, body: object, headers = {}) =>
      fetch(this.address + path, {
        method: 'POST',
        headers: { 'content-type': 'application/json', origin: this.address, ...headers },
        body: JSON.stringify(body),
      });
    const signedIn = await post('/api/session/teacher', { name, password });
    const { who } = (await signedIn.json()) as SessionAnswer;
    const cookie = signedIn.headers
      .getSetCookie()
      .map((line) => line.split(';')[0])
      .join('; ');
    const changed = await post(
      '/api/session/password',
      { current: password, next },
      { cookie, [personHeader]: who?.id ?? '' },
    );
    if (!changed.ok) throw new Error(`The password was not changed: ${await changed.text()}`);
  }

  async administer(statement: string, database = 'postgres'): Promise<void> {
    await asked(this.cluster.administratorUrl().replace(/[^/]*$/, database), statement);
  }

  /** Rows of a query by the account that owns the database. */
  query(statement: string, database = 'green_beam'): Promise<object[]> {
    return asked((this.#settings['DATABASE_URL'] ?? '').replace(/[^/]*$/, database), statement);
  }

  /** The tables that hold a text in any row, in whatever case. */
  async whereIs(text: string): Promise<string[]> {
    const tables = (await this.query(
      `select tablename as name from pg_tables where schemaname = 'public'`,
    )) as { name: string }[];
    const found = await Promise.all(
      tables.map(async ({ name }) => {
        const rows = await this.query(`select 1 from "${name}" t where t::text ilike '%${text}%' limit 1`);
        return rows.length > 0 ? [name] : [];
      }),
    );
    return found.flat();
  }

  /** The database is what an older version left. */
  async refill(dump: Buffer): Promise<void> {
    await this.administer('drop database green_beam');
    await this.administer('create database green_beam owner green_beam');
    const child = this.#start('psql -X -q -v ON_ERROR_STOP=1 "$DATABASE_URL"');
    child.stdin?.end(dump);
    const status = await new Promise<number | null>((done) => child.once('exit', done));
    if (status !== 0) throw new Error(`The dump could not be restored:\n${this.said.slice(-1000)}`);
  }

  /** What was refused for want of a right, and what the server failed at. */
  refusals(): string[] {
    return this.said
      .split('\n')
      .filter((line) => /permission denied|must be owner|42501|"statusCode":5\d\d/.test(line));
  }

  async end(): Promise<void> {
    await this.stop();
    await this.cluster.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

const realNpm = (): string => join(process.execPath, '../npm');

async function asked(url: string, statement: string): Promise<object[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query(statement)).rows as object[];
  } finally {
    await client.end();
  }
}
