import type { EntriesAnswer, LogbookAnswer, LogbooksAnswer, SessionAnswer } from '@green-beam/contract';
import pg from 'pg';
import { describe, expect, it } from 'vitest';
import { entry } from '../test/entry';
import { startHarness, type Browser, type Harness } from '../test/harness';
import { olderDatabase, olderStates } from '../test/olderStates';

const bookOf = async (student: Browser) =>
  (await student.get<LogbooksAnswer>('/api/logbooks')).body.logbooks.find(({ title }) =>
    title.startsWith('Bolt pin'),
  )!;

describe.each(olderStates)('a database as it was $name', ({ name, stated, now }) => {
  it('is brought up to date by its plain owner, with all that was written, and is worked on with', async () => {
    const url = await olderDatabase(name);
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    const { rows: me } = await client.query(
      'select usesuper, usecreatedb from pg_user where usename = current_user',
    );
    expect(me).toEqual([{ usesuper: false, usecreatedb: false }]);
    const texts = async () =>
      (await client.query('select id, text, trial from logbook_entries order by id')).rows as object[];
    const before = await texts();
    expect(before.length).toBeGreaterThan(50);
    const harness = await startHarness({ url, demo: false });
    expect(await texts()).toEqual(before);
    for (const [reader, text] of Object.entries(stated)) {
      const student = await harness.asStudent(reader);
      const book = await bookOf(student);
      expect([reader, book.resultText]).toEqual([reader, (now as Record<string, string>)[reader] ?? text]);
      // Where it can be another, the logbook says so.
      const { body } = await student.get<LogbookAnswer>(`/api/logbooks/${book.logbookId!}`);
      expect(body.reckonedAnew ?? false).toBe(Object.keys(now).length > 0);
      await writesOn(student, `/api/logbooks/${book.logbookId!}`);
    }
    await deletesForGood(harness, client);
    await client.end();
    await harness.close();
  });
});

/** A reading, its correction and a hand-in. */
async function writesOn(student: Browser, path: string): Promise<void> {
  const first = entry({ trial: 9, text: '214.6' });
  for (const one of [first, entry({ trial: 9, text: '214.5', replaces: first.id, reason: 'a slip' })])
    expect((await student.post(`${path}/entries`, one)).status).toBe(200);
  const { entries } = (await student.get<EntriesAnswer>(`${path}/entries`)).body;
  expect(entries.filter((one) => 'trial' in one && one.trial === 9).map(({ text }) => text)).toEqual([
    '214.6',
    '214.5',
  ]);
}

/** The class goes with all its rows. */
async function deletesForGood(harness: Harness, client: pg.Client): Promise<void> {
  const teacher = await harness.asTeacher();
  const { who } = (await teacher.get<SessionAnswer>('/api/session')).body;
  const { id, name } = who!.classes[0]!;
  expect((await teacher.post(`/api/classes/${id}`, { putAway: true, name })).status).toBe(200);
  expect((await teacher.post(`/api/classes/${id}/deletion`, { name })).status).toBe(200);
  const left = await client.query(
    'select 1 from logbook_entries e join logbooks l on l.id = e.logbook_id join investigations i on i.id = l.investigation_id where i.class_id = $1',
    [id],
  );
  expect(left.rowCount).toBe(0);
}
