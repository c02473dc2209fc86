import type {
  AttemptAnswer,
  BenchesAnswer,
  DrillAnswer,
  DrillAttemptAnswer,
  LogbooksAnswer,
  MarksAnswer,
  OwnTasksAnswer,
  SettingAnswer,
  TasksAnswer,
} from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { handingIn } from '../../test/entry';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let teacher: Browser;
let path: string;
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher();
  const own = await harness.database.models.classes.findOne({ where: { code: 'TERN9' } });
  path = `/api/classes/${own!.id}`;
});
afterAll(() => harness.close());

const task = (rest: object = {}) => ({
  id: randomUUID(),
  kinds: ['ruler'],
  settings: 2,
  benches: [],
  due: null,
  place: 'lesson',
  note: '',
  ...rest,
});
const set = (rest: object = {}) => teacher.post<TasksAnswer>(`${path}/tasks`, task(rest));
const own = async (browser: Browser) => (await browser.get<OwnTasksAnswer>('/api/tasks')).body.tasks;
async function readRuler(browser: Browser, of?: string, kind = 'ruler'): Promise<AttemptAnswer> {
  const { body } = await browser.post<SettingAnswer>('/api/bench/settings', {
    id: randomUUID(),
    kind,
    mode: 'read',
    task: of,
  });
  const answer = { id: randomUUID(), text: '1.00', unit: 'cm', hands: null };
  return (await browser.post<AttemptAnswer>(`/api/bench/settings/${body.id}/attempts`, answer)).body;
}
async function workCounting(browser: Browser, of?: string): Promise<DrillAttemptAnswer> {
  const { body } = await browser.post<DrillAnswer>('/api/drills/items', {
    id: randomUUID(),
    kind: 'counting',
    task: of,
  });
  const answer = { id: randomUUID(), text: '99', unit: '' };
  return (await browser.post<DrillAttemptAnswer>(`/api/drills/items/${body.id}/attempts`, answer)).body;
}

describe('practice that is set', () => {
  it('counts from when it was set, is done, is late, is taken back and set again without losing anything', async () => {
    const student = await harness.asStudent('Delphi Marsh');
    await readRuler(student);
    const { body: first } = await set({ due: '2026-01-31T22:59:59.999Z', note: 'Mind the zero.' });
    const id = first.tasks[0]!.id;
    expect(await own(student)).toMatchObject([
      { id, note: 'Mind the zero.', done: false, late: true, progress: [{ kind: 'ruler', read: 0 }] },
    ]);
    await readRuler(student);
    await readRuler(student);
    expect(await own(student)).toMatchObject([
      { done: true, late: false, progress: [{ read: 2, done: true }] },
    ]);
    const line = async () =>
      (await teacher.get<TasksAnswer>(`${path}/tasks`)).body.tasks.find((one) => one.id === id)!;
    expect((await line()).done).toEqual(['Delphi Marsh']);
    await teacher.post(`${path}/tasks/${id}`, { withdrawn: true });
    expect(await own(student)).toEqual([]);
    await teacher.post(`${path}/tasks/${id}`, { withdrawn: false, due: null });
    expect(await own(student)).toMatchObject([{ done: true, due: null }]);
    await teacher.post(`${path}/tasks/${id}`, { withdrawn: true });
  });

  it('is for who sits at a bench now, and for who joins the class late', async () => {
    const seats = (await teacher.get<BenchesAnswer>(`${path}/benches`)).body;
    const [one, two] = seats.benches;
    const name = (id: string) => seats.students.find((student) => student.id === id)!.name;
    const moved = one!.members[0]!;
    await set({ benches: [one!.id] });
    const student = await harness.asStudent(name(moved));
    expect(await own(student)).toHaveLength(1);
    await teacher.post(`${path}/benches`, {
      benches: seats.benches.map(({ members, ...rest }) => ({
        ...rest,
        members:
          rest.id === one!.id
            ? members.filter((id) => id !== moved)
            : rest.id === two!.id
              ? [...members, moved]
              : members,
      })),
      apart: [],
    });
    expect(await own(student)).toHaveLength(0);
    await set();
    await teacher.post(`${path}/students`, { names: ['Late Comer'], benches: [one!.name] });
    const { tasks } = (await teacher.get<TasksAnswer>(`${path}/tasks`)).body;
    expect(
      tasks.filter(({ withdrawn }) => !withdrawn).map(({ open }) => open.includes('Late Comer')),
    ).toEqual([true, true]);
  });

  it('is drilled, is handed in, is for one student, is shown from its day, and stands in the book of marks', async () => {
    const [reader, other] = [await harness.asStudent('Delphi Marsh'), await harness.asStudent('Xanthe Reed')];
    const { investigations, students } = (await teacher.get<TasksAnswer>(`${path}/tasks`)).body;
    const logbooks = (await reader.get<LogbooksAnswer>('/api/logbooks')).body.logbooks;
    const book = logbooks.find(({ logbookId, handedIn }) => logbookId && !handedIn)!;
    const family = investigations.find(({ title }) => title === book.title)!.id;
    const id = randomUUID();
    const forWhom = { students: [students.find(({ name }) => name === 'Delphi Marsh')!.id] };
    await set({ id, kinds: ['counting'], settings: 1, investigations: [family], counts: 5, ...forWhom });
    await set({ from: '2031-01-01T00:00:00.000Z', note: 'not yet', ...forWhom });
    const line = async () => (await own(reader)).find((one) => one.id === id);
    expect(await line()).toMatchObject({
      progress: [{ kind: 'counting', read: 0 }],
      books: [{ title: book.title, logbookId: book.logbookId, done: false }],
      done: false,
    });
    expect((await own(reader)).some(({ note }) => note === 'not yet')).toBe(false);
    expect((await own(other)).some((one) => one.id === id)).toBe(false);
    await workCounting(reader, id);
    expect(await line()).toMatchObject({ progress: [{ read: 1, done: true }], done: false });
    const state = async () => {
      const { body } = await teacher.get<MarksAnswer>(`${path}/marks`);
      const row = body.students.find(({ name }) => name === 'Delphi Marsh')!;
      return [
        body.work.find((one) => one.id === id)?.counts,
        row.work.find(({ task: of }) => of === id)?.state,
      ];
    };
    expect(await state()).toEqual([5, 'open']);
    await reader.post(`/api/logbooks/${book.logbookId}/entries`, handingIn());
    expect((await line())?.done).toBe(true);
    expect(await state()).toEqual([5, 'done']);
  });

  it('counts what is taken for it alone, and as often as it says', async () => {
    const student = await harness.asStudent('Xanthe Reed');
    const id = randomUUID();
    await set({ id, kinds: ['ruler', 'counting'], settings: 1, tries: 1 });
    const progress = async () => (await own(student)).find((one) => one.id === id)!.progress;
    await readRuler(student);
    expect(await progress()).toMatchObject([{ read: 0 }, { read: 0 }]);
    const read = await readRuler(student, id);
    expect(read).toMatchObject({ triesLeft: 0, solution: expect.anything() });
    const item = await workCounting(student, id);
    expect(item).toMatchObject({ triesLeft: 0, solution: expect.anything() });
    expect(await progress()).toMatchObject([{ read: 1 }, { read: 1 }]);
    // Once taken back, it is practice like any other.
    await teacher.post(`${path}/tasks/${id}`, { withdrawn: true });
    expect(await readRuler(student, id)).toMatchObject({ triesLeft: 2, solution: null });
  });

  it('is of the makes that it names, and counts those alone', async () => {
    const student = await harness.asStudent('Xanthe Reed');
    const id = randomUUID();
    const makes = ['cylinder-10-0_2', 'cylinder-50-1'];
    await set({ id, kinds: ['graduated-cylinder', 'ruler'], makes, settings: 3 });
    const taken = new Set<string>();
    for (let nth = 0; nth < 12; nth += 1) {
      await readRuler(student, id, 'graduated-cylinder');
      const newest = await harness.database.models.exercises.findOne({
        where: { taskId: id },
        order: [['createdAt', 'desc']],
      });
      taken.add((newest!.item as { setting: { model: string } }).setting.model);
    }
    expect([...taken].sort()).toEqual(makes);
    expect((await readRuler(student, id)).triesLeft).toBe(2);
    expect((await own(student)).find((one) => one.id === id)).toMatchObject({
      progress: [{ read: 12 }, { read: 1 }],
    });
    await teacher.post(`${path}/tasks/${id}`, { withdrawn: true });
  });

  it('holds its answers back until they are shown, in everything that is told', async () => {
    const student = await harness.asStudent('Xanthe Reed');
    const id = randomUUID();
    const skills = async () =>
      JSON.stringify([(await student.get('/api/bench')).body, (await student.get('/api/drills')).body]);
    await set({ id, kinds: ['micrometer', 'counting'], settings: 1, answers: 'held' });
    const before = await skills();
    const read = await readRuler(student, id, 'micrometer');
    expect(read).toMatchObject({ verdict: { outcome: 'held' }, parts: [], triesLeft: 0, solution: null });
    const worked = await workCounting(student, id);
    expect(worked).toMatchObject({ verdict: { outcome: 'held' }, triesLeft: 0, solution: null });
    const line = async () => (await own(student)).find((one) => one.id === id)!;
    const { taken } = await line();
    expect(await line()).toMatchObject({ done: true, shown: false });
    expect(taken.map(({ of }) => of)).toEqual(['setting', 'drill']);
    const [setting, item] = taken.map((one) => one.id);
    const looks = async () => [
      (await student.get<SettingAnswer>(`/api/bench/settings/${setting}`)).body,
      (await student.get<DrillAnswer>(`/api/drills/items/${item}`)).body,
    ];
    for (const look of await looks())
      expect(look).toMatchObject({ held: true, triesLeft: 0, attempts: [{ verdict: { outcome: 'held' } }] });
    expect((await student.get(`/api/bench/settings/${setting}/presets`)).status).toBe(409);
    expect(await skills()).toBe(before);
    const again = { id: randomUUID(), text: '2.00', unit: 'mm', hands: null };
    expect((await student.post(`/api/bench/settings/${setting}/attempts`, again)).status).toBe(409);

    await teacher.post(`${path}/tasks/${id}`, { shown: true });
    expect(await line()).toMatchObject({ done: true, shown: true });
    for (const look of await looks()) expect(look).toMatchObject({ held: false, triesLeft: 2 });
    expect(await skills()).not.toBe(before);
    await teacher.post(`${path}/tasks/${id}`, { withdrawn: true });
  });

  it('may ask something else while it runs: what was read stays read, what was held back is told where it is no more', async () => {
    const student = await harness.asStudent('Xanthe Reed');
    const id = randomUUID();
    const work = { ...task(), id: undefined, kinds: ['ruler'], settings: 1, answers: 'held' };
    await set({ ...work, id });
    await readRuler(student, id);
    const line = async () => (await own(student)).find((one) => one.id === id)!;
    const change = (rest: object) =>
      teacher.post<TasksAnswer>(`${path}/tasks/${id}`, { work: { ...work, ...rest } });
    await change({ kinds: ['ruler', 'counting'], settings: 2, due: '2026-01-31T22:59:59.999Z' });
    expect(await line()).toMatchObject({ progress: [{ read: 1 }, { read: 0 }], done: false, late: true });
    await change({ settings: 1, answers: 'at once' });
    expect(await line()).toMatchObject({ progress: [{ read: 1 }], done: true, shown: true, due: null });
    await change({ students: [randomUUID()] }).then(({ status }) => expect(status).toBe(422));
    await change({ kinds: [] }).then(({ status }) => expect(status).toBe(422));
    expect(await line()).toMatchObject({ students: [], kinds: ['ruler'] });
    await teacher.post(`${path}/tasks/${id}`, { withdrawn: true });
  });

  it.each([
    [{ answers: 'held', settings: null }, 'whether they are steady is not told'],
    [{ tries: 4 }, 'At most 3 tries'],
    [{ makes: ['cylinder-50-1'] }, 'no such make of what is to be read'],
    [{ answers: 'never' }, 'told at once, or once it is shown'],
    [{ kinds: [], investigations: [] }, 'what is to be read'],
    [{ investigations: [randomUUID()] }, 'not there any more'],
    [{ students: [randomUUID()] }, 'not there any more'],
    [{ counts: 101 }, 'at most 100'],
    [{ from: 'soon' }, 'from which it is shown could not be read'],
    [{ kinds: [] }, 'what is to be read'],
    [{ kinds: ['astrolabe'] }, 'no such kind'],
    [{ settings: 0 }, 'At least one'],
    [{ due: 'tomorrow' }, 'could not be read'],
    [{ benches: [randomUUID()] }, 'not there any more'],
  ])('is refused with %j', async (rest, words) => {
    expect(await set(rest)).toMatchObject({ status: 422, body: { detail: expect.stringContaining(words) } });
  });
});
