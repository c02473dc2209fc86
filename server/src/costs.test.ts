import type { BoardAnswer, LogbooksAnswer, SessionAnswer, SettingAnswer } from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { entry } from '../test/entry';
import { startHarness, type Browser, type Harness } from '../test/harness';

let harness: Harness;
let student: Browser;
let teacher: Browser;
let path: string;
let board: string;
beforeAll(async () => {
  harness = await startHarness();
  student = await harness.asStudent('Verity Moss');
  teacher = await harness.asTeacher();
  const { body } = await student.get<LogbooksAnswer>('/api/logbooks');
  path = `/api/logbooks/${body.logbooks[0]!.logbookId}`;
  const session = await teacher.get<SessionAnswer>('/api/session');
  board = `/api/classes/${session.body.who!.classes[0]!.id}/board`;
});
afterAll(() => harness.close());

/** What a change costs besides is carried to the other processes together with others. */
const own = (queries: readonly string[]) => queries.filter((sql) => !/pg_notify/.test(sql));

describe('queries of a call', () => {
  const cases: [string, number, () => Promise<unknown>][] = [
    ['an entry', 5, () => student.post(`${path}/entries`, entry())],
    [
      'a setting',
      5,
      () => student.post('/api/bench/settings', { id: randomUUID(), kind: 'ruler', mode: 'read' }),
    ],
    ['a block of 200 × 12 cells', 5, () => student.post(`${path}/blocks`, block(200, 12))],
    ['the board, warm', 8, () => teacher.get(board)],
    ['what is new of one student', 8, () => teacher.get(`${board}?students=${student.personId}`)],
    ['the bench', 5, () => student.get('/api/bench')],
    ['the list of logbooks', 5, () => student.get('/api/logbooks')],
  ];
  it.each(cases)('%s: at most %d', async (_, most, act) => {
    await act();
    expect(own(await harness.queriesOf(act)).length).toBeLessThanOrEqual(most);
  });

  it('a try on the bench: at most 5', async () => {
    const { body } = await student.post<SettingAnswer>('/api/bench/settings', {
      id: randomUUID(),
      kind: 'ruler',
      mode: 'read',
    });
    const queries = await harness.queriesOf(() =>
      student.post(`/api/bench/settings/${body.id}/attempts`, {
        id: randomUUID(),
        text: '1.0',
        unit: body.unitChoices[0],
        hands: null,
      }),
    );
    expect(own(queries).length).toBeLessThanOrEqual(5);
  });

  it('the board costs the same queries with a long history as with a short one', async () => {
    await teacher.get(board);
    const before = own(await harness.queriesOf(() => teacher.get(board)));
    await manyAttempts(student.personId, 2000);
    await teacher.get(board);
    const after = own(await harness.queriesOf(() => teacher.get(board)));
    expect(after).toEqual(before);
    const { body } = await teacher.get<BoardAnswer>(board);
    const verity = body.students.find(({ name }) => name === 'Verity Moss')!;
    expect(verity.marks.find(({ kind }) => kind === 'ruler')!.skill.tries).toBe(60);
    expect(verity.latest).toHaveLength(4);
  });
});

it('a block of 2400 cells is one transaction, answered in its order, and stalls nobody', async () => {
  const sent = block(200, 12);
  let [longest, last] = [0, performance.now()];
  const timer = setInterval(() => {
    const now = performance.now();
    longest = Math.max(longest, now - last);
    last = now;
  }, 5);
  const { status, body } = await student.post<{ entries: { id: string }[] }>(`${path}/blocks`, sent);
  clearInterval(timer);
  expect(status).toBe(200);
  expect(body.entries.map(({ id }) => id)).toEqual(sent.entries.map(({ id }) => id));
  // A generous bound: what stalls is the whole of it in one piece.
  expect(longest).toBeLessThan(1000);
});

function block(trials: number, columns: number) {
  const keys = ['mass', 'before', 'after'];
  return {
    id: randomUUID(),
    entries: Array.from({ length: trials * columns }, (_, at) =>
      entry({ trial: Math.floor(at / columns) + 1, column: keys[at % 3], text: `${200 + (at % 97)}.0` }),
    ),
  };
}

/** A term of practice: copies of what somebody read once. */
async function manyAttempts(personId: string, count: number): Promise<void> {
  await harness.database.sequelize.query(
    `with s as (
       insert into exercises (id, person_id, conventions_id, kind, seed, item, created_at)
       select gen_random_uuid(), person_id, conventions_id, kind, seed, item,
              now() + interval '1 millisecond' * n
         from exercises cross join generate_series(1, ${count}) n
        where id = (select exercise_id from tries where person_id = '${personId}' order by created_at desc limit 1)
       returning id, created_at)
     insert into tries (id, exercise_id, person_id, ordinal, answer, verdict, divisions_off, created_at)
     select gen_random_uuid(), s.id, '${personId}', 1, '{"text": "1.0", "unit": "cm"}', t.verdict, 0.1, s.created_at
       from s cross join (select verdict from tries where person_id = '${personId}' limit 1) t`,
  );
  await harness.database.sequelize.query('analyze tries');
}
