import type {
  BenchesAnswer,
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
async function readRuler(browser: Browser): Promise<void> {
  const { body } = await browser.post<SettingAnswer>('/api/bench/settings', {
    id: randomUUID(),
    kind: 'ruler',
    mode: 'read',
  });
  await browser.post(`/api/bench/settings/${body.id}/attempts`, {
    id: randomUUID(),
    text: '1.00',
    unit: 'cm',
    hands: null,
  });
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
    const { body: item } = await reader.post<{ id: string }>('/api/drills/items', {
      id: randomUUID(),
      kind: 'counting',
    });
    await reader.post(`/api/drills/items/${item.id}/attempts`, { id: randomUUID(), text: '99', unit: '' });
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

  it.each([
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
