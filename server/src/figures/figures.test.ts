import type {
  ConventionsAnswer,
  DrillAnswer,
  DrillAttemptAnswer,
  DrillsAnswer,
  LogbookAnswer,
  LogbooksAnswer,
  PractisedAnswer,
} from '@green-beam/contract';
import { drills, faultyTable, judgeMarks, type DrillItem } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let student: Browser;
beforeAll(async () => {
  harness = await startHarness();
  student = await harness.asStudent('Adaline Moor');
});
afterAll(() => harness.close());

const lay = async (kind: string, id: string = randomUUID()) =>
  (await student.post<DrillAnswer>('/api/drills/items', { id, kind })).body;
const answer = (itemId: string, text: string, unit = '', id: string = randomUUID()) =>
  student.post<DrillAttemptAnswer>(`/api/drills/items/${itemId}/attempts`, { id, text, unit });
/** The item behind an id, which only the database knows. */
const keyTo = async (id: string) => {
  const row = await harness.database.models.exercises.findByPk(id);
  return (row?.item as { item: DrillItem }).item;
};

describe('a drill', () => {
  it('gives an item without its answer, the same again for its id', async () => {
    for (const { kind } of drills) {
      const item = await lay(kind);
      expect(item).toMatchObject({ kind, triesLeft: 3, attempts: [] });
      expect(JSON.stringify(item)).not.toContain('working');
      expect(await lay(kind, item.id)).toEqual(item);
    }
  });

  it('names a slip, keeps the answer back, and tells it with its working in the end', async () => {
    const item = await lay('sums');
    const { text, unit, mistakes } = await keyTo(item.id);
    const slip = mistakes.find(({ code }) => code === 'finest-place-kept') ?? mistakes[0];
    const wrong = await answer(item.id, slip?.text ?? '', unit);
    expect(wrong.body).toMatchObject({
      triesLeft: 2,
      solution: null,
      verdict: { outcome: 'wrong', causes: [{ code: slip?.code }] },
    });
    expect((await answer(item.id, '12..3', unit)).body).toMatchObject({
      triesLeft: 2,
      verdict: { outcome: 'unreadable' },
    });
    expect((await answer(item.id, text, '')).body.verdict).toMatchObject({
      causes: [{ code: 'unit-missing' }],
    });
    const right = await answer(item.id, text, unit);
    expect(right.body).toMatchObject({
      triesLeft: 0,
      verdict: { outcome: 'right' },
      solution: { text, unit },
    });
    expect(await answer(item.id, text, unit)).toMatchObject({ body: { code: 'setting-closed' } });
    const { body } = await student.get<DrillsAnswer>('/api/drills');
    expect(body.drills.find(({ kind }) => kind === 'sums')?.skill).toMatchObject({
      state: 'shaky',
      tries: 1,
    });
  });

  it('counts a repeated answer once', async () => {
    const item = await lay('counting');
    const id = randomUUID();
    const answers = await Promise.all([1, 2, 3].map(() => answer(item.id, '9', '', id)));
    for (const { body } of answers) expect(body.triesLeft).toBe(2);
    const other = await lay('counting');
    expect(await answer(other.id, '9', '', id)).toMatchObject({ body: { code: 'already-used' } });
  });

  it('belongs to its reader, and refuses what is none', async () => {
    const item = await lay('means');
    const other = await harness.asStudent('Junia Fell');
    expect((await other.get(`/api/drills/items/${item.id}`)).status).toBe(403);
    expect((await student.get(`/api/drills/items/${randomUUID()}`)).status).toBe(404);
    expect((await student.post('/api/drills/items', { id: randomUUID(), kind: 'juggling' })).status).toBe(
      422,
    );
    expect((await answer(item.id, '1'.repeat(61))).status).toBe(422);
    expect((await harness.browser().get<DrillsAnswer>('/api/drills')).status).toBe(401);
  });
});

describe('what a page asks by itself', () => {
  const skillOf = async (kind: string) =>
    (await student.get<DrillsAnswer>('/api/drills')).body.drills.find((one) => one.kind === kind)?.skill;

  it('a formula is kept with what was written for its letter, and counts', async () => {
    const exerciseId = randomUUID();
    const write = (text: string, rest: object = {}) =>
      student.post<PractisedAnswer>('/api/rearranged', {
        id: randomUUID(),
        exerciseId,
        formula: 'ρ = m / V',
        wanted: 'V',
        text,
        ...rest,
      });
    expect((await write('m / ')).body).toMatchObject({ triesLeft: 3, verdict: { outcome: 'unreadable' } });
    expect((await write('ρ × m')).body).toMatchObject({ triesLeft: 2, verdict: { outcome: 'wrong' } });
    expect((await write('V = m / ρ')).body).toMatchObject({ triesLeft: 0, verdict: { outcome: 'right' } });
    expect(await write('m / ρ')).toMatchObject({ body: { code: 'setting-closed' } });
    // Only the first try at it tells what somebody can do.
    expect(await skillOf('rearranging')).toMatchObject({ tries: 1, state: 'shaky' });
    const other = await harness.asStudent('Junia Fell');
    const theirs = { id: randomUUID(), exerciseId, formula: 'ρ = m / V', wanted: 'V', text: 'm / ρ' };
    expect((await other.post('/api/rearranged', theirs)).status).toBe(403);
    expect((await write('1', { exerciseId: randomUUID(), wanted: 'ρ' })).status).toBe(422);
    expect((await write('1', { exerciseId: randomUUID(), formula: 'ρ = m /' })).status).toBe(422);
  });

  it('a table is right where everything was found and nothing else marked', async () => {
    const table = faultyTable(7);
    const all = judgeMarks(table, []).missed.map(({ place, code }) => ({ place, code }));
    const mark = (marks: readonly object[]) =>
      student.post<PractisedAnswer>('/api/spotted', {
        id: randomUUID(),
        exerciseId: randomUUID(),
        seed: 7,
        marks,
      });
    expect((await mark(all)).body).toMatchObject({ triesLeft: 0, verdict: { outcome: 'right' } });
    const [first, ...rest] = all;
    expect((await mark(rest)).body.verdict).toMatchObject({
      outcome: 'wrong',
      causes: [{ code: first?.code }],
    });
    const nowhere = { place: { trial: 99, column: 'mass' }, code: first?.code };
    expect((await mark([...all, nowhere])).body.verdict).toMatchObject({
      causes: [{ code: 'nothing-is-wrong' }],
    });
    expect(await skillOf('spot-the-fault')).toMatchObject({ tries: 3 });
    expect((await mark([{ place: { trial: 1.5, column: 'mass' }, code: 'x' }])).status).toBe(422);
  });
});

describe('a kept calculation', () => {
  it('is reckoned by the class’s conventions and stays with the logbook', async () => {
    const book = (await student.get<LogbooksAnswer>('/api/logbooks')).body.logbooks[0]!.logbookId;
    const path = `/api/logbooks/${book}/calculations`;
    const kept = { id: randomUUID(), expression: '(84.00 g − 62.15 g) / 25.0 mL' };
    for (let time = 0; time < 2; time += 1)
      expect((await student.post(path, kept)).body).toMatchObject({
        result: '0.874 g/mL',
        keeper: 'Adaline Moor',
      });
    const { calculations } = (await student.get<LogbookAnswer>(`/api/logbooks/${book}`)).body;
    expect(calculations).toHaveLength(1);
    expect(await student.post(path, { id: randomUUID(), expression: '5 g + 3 mL' })).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining('mL cannot be added to g') },
    });
    expect(
      (await (await harness.asStudent('Junia Fell')).post(path, { ...kept, id: randomUUID() })).status,
    ).toBe(403);
    expect((await (await harness.asTeacher()).post(path, { ...kept, id: randomUUID() })).status).toBe(403);
  });
});

it('tells the conventions that one’s own work follows', async () => {
  expect((await student.get<ConventionsAnswer>('/api/conventions')).body.conventions).toMatchObject({
    preset: 'Chemistry bench',
    rounding: 'half-away',
  });
});
