import {
  readStored,
  storedExercise,
  type AttemptAnswer,
  type DrillAnswer,
  type OwnTasksAnswer,
  type ReadingsAnswer,
  type SettingAnswer,
  type StaffQuestionAnswer,
  type TasksAnswer,
} from '@green-beam/contract';
import { expectReading, instruments, apparatusOf, type Conventions } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let teacher: Browser;
let student: Browser;
let path: string;
let conventions: Conventions;
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher();
  student = await harness.asStudent('Delphi Marsh');
  const own = await harness.database.models.classes.findOne({ where: { code: 'TERN9' } });
  path = `/api/classes/${own!.id}`;
  conventions = (await harness.services.kept.conventionsInForce(own!.id)).body;
});
afterAll(() => harness.close());

async function setWork(rest: object): Promise<string> {
  const id = randomUUID();
  const body = {
    id,
    kinds: ['ruler'],
    settings: 2,
    benches: [],
    due: null,
    place: 'lesson',
    note: '',
    ...rest,
  };
  expect((await teacher.post<TasksAnswer>(`${path}/tasks`, body)).status).toBe(200);
  return id;
}
const take = (kind: string, task?: string, mode = 'read', who = student) =>
  who.post<SettingAnswer>('/api/bench/settings', { id: randomUUID(), kind, mode, task });
const answer = (setting: string, text: string, unit: string, who = student) =>
  who.post<AttemptAnswer>(`/api/bench/settings/${setting}/attempts`, {
    id: randomUUID(),
    text,
    unit,
    hands: null,
  });
const progress = async (task: string) =>
  (await student.get<OwnTasksAnswer>('/api/tasks')).body.tasks.find(({ id }) => id === task)!.progress;

/** What is right to write at a setting, as the database alone knows it, and the number that it indicates. */
async function truthOf(id: string) {
  const row = await harness.database.models.exercises.findByPk(id);
  const exercise = readStored(storedExercise, row!.item, 'exercise');
  if (exercise.of !== 'setting') throw new Error('It is no setting.');
  const { instrument, setting } = apparatusOf(exercise, conventions);
  return { ...expectReading(instrument, setting, conventions), indicates: instrument.indication(setting) };
}

const allowed = new Set(
  (
    'kind model label width height zoom choose views name says frames asksDivision d text at fontSize fontFamily fontWeight ' +
    'textAnchor fill stroke strokeWidth opacity fillOpacity strokeOpacity strokeLinecap strokeLinejoin strokeDasharray paintOrder'
  ).split(' '),
);

/** Every property, and every text that is no coordinate, of a piece of an answer. */
function walk(value: unknown, told: { keys: Set<string>; texts: string[]; numbers: string }): typeof told {
  if (Array.isArray(value)) for (const one of value) walk(one, told);
  else if (typeof value === 'object' && value !== null)
    for (const [key, inside] of Object.entries(value)) {
      told.keys.add(key);
      if (key === 'fill' || key === 'stroke' || key === 'fontFamily') continue;
      if (key === 'd' || key === 'at') told.numbers += ` ${String(inside)}`;
      else walk(inside, told);
    }
  else if (typeof value === 'string') told.texts.push(value);
  else told.numbers += ` ${String(value)}`;
  return told;
}

describe.each(instruments.map(({ kind, unitChoices }) => [kind, unitChoices[0] ?? ''] as const))(
  'a %s that is read for marks',
  (kind, unit) => {
    it('crosses the wire as lines and areas: no property and no text of it is the answer', async () => {
      const task = await setWork({ kinds: [kind], settings: 6, answers: 'held', tries: 1 });
      for (let nth = 0; nth < 6; nth += 1) {
        const { body: setting } = await take(kind, task, 'handle');
        expect(setting.mode).toBe('read');
        expect(setting.picture.kind).toBe('drawn');
        const { text, indicates } = await truthOf(setting.id);
        const { keys, texts, numbers } = walk(setting.picture, { keys: new Set(), texts: [], numbers: '' });
        expect([...keys].filter((key) => !allowed.has(key))).toEqual([]);
        // A line may be numbered as what is read: the scale is printed so, whatever lies beside it.
        const words = texts.filter((one) => !/^\d{1,4}(\.\d{1,2})?$/.test(one));
        expect(words.filter((one) => one.includes(text))).toEqual([]);
        if (/\d{4}/.test(text.replace('.', ''))) expect(texts).not.toContain(text);
        const exact = String(Number(indicates.toPrecision(6)));
        if (exact.replace(/\D/g, '').length >= 5) expect(numbers.split(/[^\d.]+/)).not.toContain(exact);
        const said = await answer(setting.id, '0.73', unit);
        expect(said.body).toMatchObject({ verdict: { outcome: 'held' }, solution: null });
        const again = await student.get<SettingAnswer>(`/api/bench/settings/${setting.id}`);
        expect(again.body.picture.kind).toBe('drawn');
        expect(JSON.stringify({ ...again.body, picture: null })).not.toContain(`"${text}"`);
      }
      expect((await take(kind, task)).body).toMatchObject({ code: 'task-done' });
    });
  },
);

describe('work that counts', () => {
  // Somebody else: nobody takes so many settings in a few minutes.
  beforeAll(async () => {
    student = await harness.asStudent('Verity Moss');
  });

  it('is taken in order: none is passed over, no more than are asked, and the same one when asked again', async () => {
    const task = await setWork({ tries: 1, counts: 5 });
    const first = (await take('ruler', task)).body;
    expect(first.picture.kind).toBe('drawn');
    // Eight more requests, some of them at once: the same one, until it is answered.
    const more = await Promise.all(Array.from({ length: 8 }, () => take('ruler', task)));
    expect(new Set(more.map(({ body }) => body.id))).toEqual(new Set([first.id]));
    const { text, unit } = await truthOf(first.id);
    expect((await answer(first.id, text, unit)).body.verdict.outcome).toBe('right');
    const crossed = await Promise.all(Array.from({ length: 4 }, () => take('ruler', task)));
    expect(crossed.map(({ status }) => status)).toEqual([200, 200, 200, 200]);
    expect(new Set(crossed.map(({ body }) => body.id)).size).toBe(1);
    expect(await progress(task)).toMatchObject([{ read: 1, done: false }]);
    // What is read by oneself meanwhile does not count for it.
    const own = (await take('ruler')).body;
    await answer(own.id, '1.0', 'cm');
    expect(await progress(task)).toMatchObject([{ read: 1, done: false }]);
    await answer(crossed[0]!.body.id, '1.0', 'cm');
    expect(await progress(task)).toMatchObject([{ read: 2, done: true }]);
    expect(await take('ruler', task)).toMatchObject({ status: 409, body: { code: 'task-done' } });
  });

  it('is drilled in order too', async () => {
    const task = await setWork({ kinds: ['counting'], settings: 1, tries: 1, answers: 'held' });
    const item = () =>
      student.post<DrillAnswer>('/api/drills/items', { id: randomUUID(), kind: 'counting', task });
    const [one, two] = [(await item()).body, (await item()).body];
    expect(two.id).toBe(one.id);
    await student.post(`/api/drills/items/${one.id}/attempts`, { id: randomUUID(), text: '99', unit: '' });
    expect((await item()).body).toMatchObject({ code: 'task-done' });
  });

  it('tells nothing when it is withdrawn, and goes on when it is set again', async () => {
    const task = await setWork({ tries: 1, answers: 'held' });
    const { body: setting } = await take('ruler', task);
    await answer(setting.id, '1.0', 'cm');
    await teacher.post(`${path}/tasks/${task}`, { withdrawn: true });
    const seen = await student.get<SettingAnswer>(`/api/bench/settings/${setting.id}`);
    expect(seen.body).toMatchObject({
      held: true,
      attempts: [{ verdict: { outcome: 'held' }, solution: null }],
    });
    await teacher.post(`${path}/tasks/${task}`, { withdrawn: false });
    expect(await progress(task)).toMatchObject([{ read: 1 }]);
  });

  it.each(['1e9', '9999999', 'wet', ''])('costs no try for what cannot be a reading: “%s”', async (text) => {
    const task = await setWork({ tries: 1, answers: 'held' });
    const { body: setting } = await take('ruler', task);
    expect((await answer(setting.id, text, 'cm')).body).toMatchObject({ verdict: { outcome: 'unreadable' } });
    expect((await answer(setting.id, '1.0', 'cm')).body).toMatchObject({ verdict: { outcome: 'held' } });
  });
});

it.each(['revealed', 'ended'])(
  'an answer after a question was %s is kept as late, and is no first try',
  async (how) => {
    const id = randomUUID();
    await teacher.post(`${path}/question`, { id, kind: 'ruler', model: 'ruler-mm', indicates: '12.4' });
    const late = await harness.asStudent('Bastian Wren');
    const [own, other] = await Promise.all(
      [student, late].map(
        async (who) =>
          (await who.post<SettingAnswer>(`/api/questions/${id}/settings`, { id: randomUUID() })).body,
      ),
    );
    expect(own!.picture.kind).toBe('drawn');
    await answer(own!.id, '1.23', 'cm');
    const readings = async () =>
      (await teacher.get<ReadingsAnswer>(`${path}/readings?question=${id}`)).body.readings.length;
    const practised = async () => (await harness.services.kept.practices.ofOne(late.personId)).tries.length;
    const before = await practised();
    if (how === 'revealed') await teacher.post(`${path}/question/answer`);
    else await teacher.delete(`${path}/question`);
    await answer(other!.id, '1.24', 'cm', late);
    expect(await harness.database.models.tries.findOne({ where: { exerciseId: other!.id } })).toMatchObject({
      late: true,
    });
    expect(await readings()).toBe(1);
    expect(await practised()).toBe(before);
    if (how === 'revealed') {
      const { body } = await teacher.get<StaffQuestionAnswer>(`${path}/question`);
      expect(body.question?.answers.map(({ name }) => name)).toEqual(['Verity Moss']);
      await teacher.delete(`${path}/question`);
    }
  },
);
