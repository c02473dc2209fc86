import { screens, type EntriesAnswer, type LogbooksAnswer } from '@green-beam/contract';
import { execFileSync, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { Writable } from 'node:stream';
import pg from 'pg';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { entry } from '../test/entry';
import { asAdministrator, freshDatabase, startHarness, type Browser, type Harness } from '../test/harness';
import { postgresProgram } from '../test/olderStates';
import { migrate, migrationNames } from './database/migrate';
import { paces } from './http/pace';
import { answerProblems, withoutTexts } from './http/answerProblems';
import { Problem } from './http/problem';

let harness: Harness;
let student: Browser;
let path: string;
beforeAll(async () => {
  const web = mkdtempSync(join(tmpdir(), 'green-beam-web-'));
  writeFileSync(join(web, 'index.html'), '<p>the page</p>');
  harness = await startHarness({ webFolder: web });
  student = await harness.asStudent('Verity Moss');
  const { body } = await student.get<LogbooksAnswer>('/api/logbooks');
  path = `/api/logbooks/${body.logbooks[0]!.logbookId}`;
});
afterAll(() => harness.close());

/** A request as it is, with an address that no browser would send. */
const plain = (address: string, headers: Record<string, string> = {}, method = 'GET') =>
  new Promise<{ status: number; text: string }>((resolve, reject) => {
    const { hostname, port } = new URL(harness.address);
    const asked = request({ hostname, port, path: address, method, headers }, (answer) => {
      let text = '';
      answer.on('data', (part: Buffer) => (text += part.toString()));
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, text }));
    });
    asked.on('error', reject);
    asked.end();
  });

describe('addresses', () => {
  it('of screens give the page; unknown ones and dot-files give it as not found', async () => {
    expect(screens).toContain('/class/:classId/rules/print');
    for (const screen of screens)
      expect([screen, (await plain(screen.replace(/:\w+/g, randomUUID()))).status]).toEqual([screen, 200]);
    for (const address of ['/healthz', '/.env', '/nowhere', '/bench/a/b', '/class', '/.git/config'])
      expect(await plain(address)).toEqual({ status: 404, text: '<p>the page</p>' });
  });

  it.each(['/assets/../../x', '/assets/..%2f..%2fetc/passwd', '/assets/nothing.js', '/%', '/api/%/x'])(
    'that lead out of the house lead nowhere: %s',
    async (address) => expect((await plain(address)).status).toBe(404),
  );

  it('tell how the process, its database and its migrations are', async () => {
    expect(JSON.parse((await plain('/health')).text)).toMatchObject({
      status: 'ok',
      database: 'ok',
      migrations: { done: migrationNames.length, known: migrationNames.length },
    });
    expect(await plain('/ready')).toMatchObject({ status: 200 });
  });
});

describe('what is counted', () => {
  it('is told to who names the token, and names nobody', async () => {
    const browser = harness.browser();
    expect((await browser.get('/metrics')).status).toBe(403);
    expect((await browser.raw('GET', '/metrics', { authorization: 'Bearer another' })).status).toBe(403);
    const count = async (): Promise<readonly [number, string]> => {
      const answer = await fetch(`${harness.address}/metrics`, {
        headers: { authorization: 'Bearer a token for tests' },
      });
      const text = await answer.text();
      return [Number(/^green_beam_entries_total (\d+)$/m.exec(text)?.[1]), text];
    };
    const [before] = await count();
    await student.post(`${path}/entries`, entry({ trial: 31 }));
    const [after, text] = await count();
    expect(after - before).toBe(1);
    expect(text).toMatch(/^green_beam_request_seconds_count\{method="POST",status="200"\} [1-9]/m);
    for (const name of ['hashes_waiting', 'jobs_waiting', 'streams', 'database_connections_waiting'])
      expect(text).toMatch(new RegExp(`^green_beam_${name} \\d`, 'm'));
    expect(text).not.toContain(student.personId);
  });
});

describe('who is refused for haste', () => {
  it('hears it after a moment, and not all at once; any other problem is told at once', () => {
    vi.useFakeTimers();
    const answeredAfter = (problem: Problem) => {
      let sent: number | null = null;
      const began = Date.now();
      const answer = {
        headersSent: false,
        status: () => answer,
        set: () => answer,
        type: () => answer,
        send: () => ((sent = Date.now() - began), answer),
      };
      answerProblems(pino({ level: 'silent' }), 1_000)(
        problem,
        { id: 'r' } as never,
        answer as never,
        () => undefined,
      );
      vi.advanceTimersByTime(2_000);
      return sent;
    };
    const hasty = Array.from({ length: 20 }, () => answeredAfter(new Problem('too-fast'))!);
    expect(Math.min(...hasty)).toBeGreaterThanOrEqual(500);
    expect(Math.max(...hasty)).toBeLessThanOrEqual(1_500);
    expect(new Set(hasty).size).toBeGreaterThan(10);
    expect(answeredAfter(new Problem('not-valid'))).toBe(0);
    vi.useRealTimers();
  });
});

describe('formulas', () => {
  it('are taken at a pace, each student’s by itself', async () => {
    const sending = await harness.asStudent('Wilfred Sand');
    const send = (one: Browser) =>
      one.post(`${path}/calculations`, { id: randomUUID(), expression: '1.0 + 2.0' });
    for (let nth = 0; nth < paces.formulas.most; nth += 1) expect((await send(sending)).status).toBe(200);
    expect(await send(sending)).toMatchObject({ status: 429, body: { code: 'too-fast' } });
    expect((await send(student)).status).toBe(200);
  });
});

describe('tables that are pasted', () => {
  it('are taken at a pace where they are large; the next is told when to come again', async () => {
    const pasting = await harness.asStudent('Delphi Marsh');
    const { body } = await pasting.get<LogbooksAnswer>('/api/logbooks');
    const own = `/api/logbooks/${body.logbooks.find(({ logbookId }) => logbookId)!.logbookId}/blocks`;
    const block = (cells: number) => ({
      id: randomUUID(),
      entries: Array.from({ length: cells }, (_, at) => entry({ trial: (at % 200) + 1 })),
    });
    for (let nth = 0; nth < paces.blocks.most; nth += 1)
      expect((await pasting.post(own, block(401))).status).toBe(200);
    const refused = await pasting.post(own, block(401));
    expect([refused.status, Number(refused.headers.get('retry-after')) > 0]).toEqual([429, true]);
    // A small one is taken all the same, and so is another student's.
    expect((await pasting.post(own, block(3))).status).toBe(200);
    expect((await student.post(`${path}/blocks`, block(401))).status).toBe(200);
  });
});

describe('a request', () => {
  it.each([
    ['https for http', (address: string) => address.replace('http:', 'https:')],
    ['with user info', (address: string) => address.replace('//', '//somebody@')],
    ['another port', () => 'http://127.0.0.1:1'],
  ])('that changes something from another origin is refused: %s', async (_, origin) => {
    expect(await student.post(`${path}/entries`, entry(), { origin: origin(harness.address) })).toMatchObject(
      { status: 403, body: { code: 'other-origin' } },
    );
  });

  it.each([
    ['{"__proto__": {"name": "x"}, "name": "Ms Marrow", "password": "x"}', 422],
    ['{"toString": 1}', 422],
    ['{"name": ["Ms Marrow"], "password": {"toString": 1}}', 422],
    ['{"name": "Ms\\ud800", "password": "x"}', 422],
    ['[]', 422],
    ['', 422],
  ])('of malformed input is refused, not stumbled over: %s', async (body, status) => {
    expect((await harness.browser().post('/api/session/teacher', body)).status).toBe(status);
  });

  it.each(['1e400', '-1', 'x', '1.5', '9'.repeat(20)])('for entries after %s is refused', async (after) => {
    expect((await student.get(`${path}/entries?after=${after}`)).status).toBe(422);
  });

  it('is answered with what nobody keeps', async () => {
    expect((await student.get(path)).headers.get('cache-control')).toBe('no-store');
  });

  it('that comes many times at once does its work once', async () => {
    const teacher = await harness.asTeacher();
    const { who } = (await teacher.get<{ who: { classes: { id: string }[] } }>('/api/session')).body;
    const own = `/api/classes/${who.classes[0]!.id}`;
    await teacher.post(`${own}/question`, { id: randomUUID(), kind: 'ruler', model: 'ruler-mm' });
    const endings = await Promise.all(Array.from({ length: 12 }, () => teacher.delete(`${own}/question`)));
    expect(endings.map(({ status }) => status)).toEqual(Array(12).fill(200));
    const added = await Promise.all(
      Array.from({ length: 6 }, () => teacher.post(`${own}/students`, { names: ['Yorick Lane'] })),
    );
    expect(added.map(({ status }) => status).sort()).toEqual([200, 422, 422, 422, 422, 422]);
  });
});

describe('a time', () => {
  it.each([
    ['of last week', -7 * 86_400_000, 'writer'],
    ['of a clock half a minute ahead', 30_000, 'writer'],
    ['of 1999', Date.parse('1999-01-01') - Date.now(), 'receipt'],
    ['of tomorrow', 86_400_000, 'receipt'],
    ['of 31 days ago', -31 * 86_400_000, 'receipt'],
  ])('%s', async (_, off, by) => {
    const writtenAt = new Date(Date.now() + off).toISOString();
    const { body } = await student.post<EntriesAnswer>(`${path}/entries`, entry({ trial: 20, writtenAt }));
    const [kept] = body.entries;
    expect(kept!.timedBy).toBe(by);
    expect(Math.abs(Date.parse(kept!.receivedAt!) - Date.now())).toBeLessThan(10_000);
    expect(kept!.writtenAt).toBe(by === 'writer' ? writtenAt : kept!.receivedAt);
  });

  it('that is none is refused, or the receipt’s stands in its place', async () => {
    for (const writtenAt of ['yesterday', 5, null])
      expect((await student.post(`${path}/entries`, entry({ writtenAt }))).status).toBe(422);
    for (const writtenAt of ['0000-01-01T00:00:00Z', '2026-13-01T00:00:00Z']) {
      const { status, body } = await student.post<EntriesAnswer>(`${path}/entries`, entry({ writtenAt }));
      expect(status === 422 || body.entries[0]!.timedBy === 'receipt').toBe(true);
    }
  });
});

describe('behind HTTPS', () => {
  it('the cookies are bound to this host, and only configured names are answered', async () => {
    const secure = await startHarness({ secureCookie: true, hosts: ['127.0.0.1', 'beam.example'] });
    const answer = await fetch(`${secure.address}/health`);
    expect(answer.status).toBe(200);
    expect((await secure.browser().get('/api/session')).status).toBe(421);
    await secure.close();
    const open = await startHarness({ secureCookie: true });
    const cookies = (await open.browser().get('/api/session')).headers.getSetCookie();
    expect(cookies[0]).toMatch(/^__Host-green-beam-device=.*Path=\/.*Secure/);
    await open.close();
  });
});

describe('what is logged', () => {
  it('holds neither texts of students nor parameters of queries', async () => {
    const lines: string[] = [];
    const log = pino({}, new Writable({ write: (chunk, _, done) => (lines.push(String(chunk)), done()) }));
    const fault = await harness.database.sequelize
      .query('select $1::text || nothing from people where name = $2', {
        bind: ['a secret word', 'Verity Moss'],
      })
      .catch((error: unknown) => error);
    const answer = {
      headersSent: false,
      status: () => answer,
      set: () => answer,
      type: () => answer,
      send: () => answer,
    };
    answerProblems(log, 0)(fault, { id: 'r' } as never, answer as never, () => undefined);
    expect(lines.join()).toMatch(/"sqlState":"42703"/);
    expect(lines.join()).not.toMatch(/secret|Verity|select/);
    expect(JSON.stringify(withoutTexts(new Error('“214.6 wet” is no number')))).not.toMatch(/wet/);
  });
});

describe('migrations', () => {
  it('that are cut short leave nothing behind, and the next start does the work', async () => {
    const url = await freshDatabase();
    await expect(
      migrate(url, async (all) => {
        await all.up({ to: '0003-drills' });
        throw new Error('killed');
      }),
    ).rejects.toThrow('killed');
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    expect((await client.query(`select 1 from pg_tables where schemaname = 'public'`)).rowCount).toBe(0);
    await expect(
      migrate(url, async (all) => {
        await all.up({ to: '0004-investigations' });
        await client.query(
          `select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()`,
        );
        await all.up();
      }),
    ).rejects.toThrow();
    await migrate(url);
    expect((await client.query('select count(*) from "SequelizeMeta"')).rows[0]).toEqual({
      count: String(migrationNames.length),
    });
    await client.end();
  });

  it('may be begun by several processes at once', async () => {
    const url = await freshDatabase();
    await Promise.all([migrate(url), migrate(url), migrate(url)]);
    const harnesses = await Promise.all([startHarness({ url }), startHarness({ url })]);
    expect((await harnesses[1].asStudent('Verity Moss')).personId).not.toBe('');
    await Promise.all(harnesses.map((one) => one.close()));
  });
});

describe('a backup', () => {
  it('that does not give back what was saved is told of, by the table', async () => {
    const bin = join(await postgresProgram('psql'), '..');
    const backups = mkdtempSync(join(tmpdir(), 'green-beam-backups-'));
    await asAdministrator('create database green_beam_check owner green_beam');
    const scratch = harness.url.replace(/[^/]*$/, 'green_beam_check');
    const does = (what: string, database = scratch) =>
      spawnSync(process.execPath, [resolve(import.meta.dirname, '../../scripts/backup.mjs'), what], {
        encoding: 'utf8',
        env: {
          PATH: `${bin}:${process.env['PATH']}`,
          DATABASE_URL: harness.url,
          SCRATCH_DATABASE_URL: database,
          BACKUPS: backups,
        },
      });
    expect(does('check').stderr).toContain('There is no backup');
    expect(does('make').status).toBe(0);
    expect(does('check')).toMatchObject({ status: 0 });
    expect(does('check', harness.url).stderr).toContain('“_check”');
    const beside = join(
      backups,
      readdirSync(backups).find((file) => file.endsWith('.json'))!,
    );
    const saved = JSON.parse(readFileSync(beside, 'utf8')) as Record<string, string>;
    writeFileSync(beside, JSON.stringify({ ...saved, logbook_entries: '7 rows, checksum 1' }));
    const found = does('check');
    expect(found.status).toBe(1);
    expect(found.stderr).toContain('logbook_entries: saved 7 rows, checksum 1; restored');
    expect(found.stderr).not.toContain('people');
    rmSync(backups, { recursive: true });
  });

  it('is restored with the same rows, and what is only added stays so', async () => {
    const { programs } = (await import('../../scripts/postgres.mjs' as string)) as { programs(): string };
    const folder = mkdtempSync(join(tmpdir(), 'green-beam-dump-'));
    const file = join(folder, 'dump');
    await student.post(`${path}/entries`, entry({ trial: 30, text: 'résumé ½' }));
    execFileSync(join(programs(), 'pg_dump'), ['-Fc', '-f', file, harness.url]);
    const restored = await freshDatabase();
    execFileSync(join(programs(), 'pg_restore'), ['--no-owner', '-d', restored, file]);
    rmSync(folder, { recursive: true });
    const sums = async (url: string) => {
      const client = new pg.Client({ connectionString: url });
      await client.connect();
      const { rows } = await client.query<{ name: string }>(
        `select tablename as name from pg_tables where schemaname = 'public' order by 1`,
      );
      const told = [];
      for (const { name } of rows)
        told.push([
          name,
          (
            await client.query(
              `select count(*), md5(string_agg(t::text, '' order by t::text)) from "${name}" t`,
            )
          ).rows[0],
        ]);
      await client.query('grant update on logbook_entries to current_user');
      await expect(client.query('update logbook_entries set text = text')).rejects.toThrow(/only ever added/);
      await client.query('revoke update on logbook_entries from current_user');
      await client.end();
      return told;
    };
    expect(await sums(restored)).toEqual(await sums(harness.url));
    const again = await startHarness({ url: restored });
    const mate = await again.asStudent('Verity Moss');
    const { body } = await mate.get<EntriesAnswer>(`${path}/entries`);
    expect(body.entries.map(({ text }) => text)).toContain('résumé ½');
    expect((await mate.post(`${path}/entries`, entry({ trial: 31 }))).status).toBe(200);
    await again.close();
  });
});
