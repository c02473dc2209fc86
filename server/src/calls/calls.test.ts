import type { CallsAnswer, EntriesAnswer, LogbooksAnswer, OwnCallAnswer } from '@green-beam/contract';
import { initialledOf } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let teacher: Browser;
let [student, mate, other]: Browser[] = [];
let classId: string;
let logbookId: string;
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher();
  student = await harness.asStudent('Delphi Marsh');
  mate = await harness.asStudent('Eskil Tarn');
  other = await harness.asStudent('Xanthe Reed');
  classId = (await harness.database.models.classes.findOne({ where: { code: 'TERN9' } }))!.id;
  logbookId = (await student.get<LogbooksAnswer>('/api/logbooks')).body.logbooks.find(
    (line) => line.logbookId,
  )!.logbookId!;
});
beforeEach(() => harness.database.models.calls.destroy({ where: {} }));
afterAll(() => harness.close());

const callFor = (reason: string, of: string | null = null, id = randomUUID()) =>
  student!.post<OwnCallAnswer>('/api/call', { id, reason, logbookId: of });
const own = async (who: Browser) => (await who.get<OwnCallAnswer>('/api/call')).body.call;
const open = async () =>
  (await teacher.get<CallsAnswer>(`/api/classes/${classId}/calls`)).body.calls.map(
    ({ reason, by, bench }) => [reason, by, bench],
  );

describe('a bench', () => {
  it('calls for help, once however often it is sent, and takes it back', async () => {
    const id = randomUUID();
    expect((await callFor('help', null, id)).body.call).toMatchObject({
      id,
      reason: 'help',
      by: 'Delphi Marsh',
    });
    expect((await callFor('help', null, id)).status).toBe(200);
    const [[reason, by, bench] = []] = await open();
    expect([reason, by]).toEqual(['help', 'Delphi Marsh']);
    expect(bench).toMatch(/\S/);
    // Whoever sits there sees it, and may take it back; nobody else does.
    expect(await own(mate!)).toMatchObject({ id });
    expect(await own(other!)).toBeNull();
    await other!.delete('/api/call');
    expect(await open()).toHaveLength(1);
    await mate!.delete('/api/call');
    expect(await open()).toEqual([]);
  });

  it('calls for one thing at a time, the newest', async () => {
    await callFor('help');
    await callFor('check', logbookId);
    expect((await open()).map(([reason]) => reason)).toEqual(['check']);
  });

  it('has a logbook checked that it writes in, and none besides', async () => {
    expect((await callFor('check')).status).toBe(422);
    const refused = await other!.post('/api/call', { id: randomUUID(), reason: 'check', logbookId });
    expect(refused.status).toBe(403);
    expect(await open()).toEqual([]);
  });

  it('is forgotten after the lesson', async () => {
    await callFor('help');
    await harness.database.sequelize.query(`update calls set created_at = now() - interval '4 hours'`);
    expect([await open(), await own(student!)]).toEqual([[], null]);
  });

  it('hears that somebody was there', async () => {
    const { call } = (await callFor('help')).body;
    const path = `/api/classes/${classId}/calls/${call!.id}`;
    expect((await student!.delete(path)).status).toBe(403);
    expect((await teacher.delete(path)).status).toBe(200);
    expect([await open(), await own(mate!)]).toEqual([[], null]);
  });
});

describe('initials', () => {
  const entries = async () =>
    (await student!.get<EntriesAnswer>(`/api/logbooks/${logbookId}/entries`)).body.entries;
  const write = (trial: number, of: string, text: string, replaces: string | null, kind = 'reading') =>
    student!.post(`/api/logbooks/${logbookId}/entries`, {
      id: randomUUID(),
      kind,
      trial,
      of,
      text,
      replaces,
      reason: replaces ? 'misread' : null,
      writtenAt: new Date().toISOString(),
    });

  it('go for what was seen, end the call, and leave what is written later standing out', async () => {
    await callFor('check', logbookId);
    const before = await entries();
    const seen = before.at(-1)!;
    const first = before.find(({ kind }) => kind === 'reading')! as (typeof before)[number] & {
      trial: number;
      column: string;
    };
    const id = randomUUID();
    const path = `/api/logbooks/${logbookId}/initials`;
    expect((await teacher.post(path, { id, seen: seen.id })).status).toBe(200);
    expect((await teacher.post(path, { id, seen: seen.id })).status).toBe(200);
    expect(await open()).toEqual([]);
    expect(initialledOf(await entries())).toMatchObject({ by: 'Ms Marrow', since: [] });
    await write(first.trial, first.column, `${first.text}1`, first.id);
    expect(initialledOf(await entries())?.since).toEqual([`${first.trial}/${first.column}`]);
    // Nobody who writes in it signs it.
    expect((await write(0, '', seen.id, null, 'initials')).status).toBe(422);
    expect((await write(0, 'x', seen.id, null, 'initials')).status).toBe(422);
    expect((await student!.post(path, { id: randomUUID(), seen: seen.id })).status).toBe(403);
    const nowhere = await teacher.post(path, { id: randomUUID(), seen: randomUUID() });
    expect(nowhere.status).toBe(422);
  });
});
