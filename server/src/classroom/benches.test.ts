import type { BenchesAnswer, BoardAnswer, ClassName, SlipsAnswer } from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let teacher: Browser;
let path: string;
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher();
  const { body } = await teacher.post<ClassName>('/api/classes', { name: '7 Skua' });
  path = `/api/classes/${body.id}`;
});
afterAll(() => harness.close());

const benches = async () => (await teacher.get<BenchesAnswer>(`${path}/benches`)).body;
const seats = ({ benches: all, students }: BenchesAnswer) =>
  all.map(({ name, members }) => [name, members.map((id) => students.find((own) => own.id === id)?.name)]);

describe('the benches of a class', () => {
  it('come with a list of students, and are seated anew as a whole', async () => {
    await teacher.post<SlipsAnswer>(`${path}/students`, {
      names: ['Ada Lind', 'Bo Quill', 'Cy Marl', 'Dot Fenn'],
      benches: ['Bench 1', 'bench 1', 'Bench 2', ''],
    });
    const first = await benches();
    expect(seats(first)).toEqual([
      ['Bench 1', ['Ada Lind', 'Bo Quill']],
      ['Bench 2', ['Cy Marl']],
    ]);
    const [ada, , cy, dot] = first.students.map(({ id }) => id);
    const [one] = first.benches;
    const { body: now } = await teacher.post<BenchesAnswer>(`${path}/benches`, {
      benches: [
        { id: one!.id, name: 'Window', members: [dot, ada] },
        { id: randomUUID(), name: 'Door', members: [cy] },
      ],
      apart: [[ada, cy]],
    });
    expect(seats(now)).toEqual([
      ['Door', ['Cy Marl']],
      ['Window', ['Ada Lind', 'Dot Fenn']],
    ]);
    expect(now.apart).toEqual([[ada, cy]]);
    const board = (await teacher.get<BoardAnswer>(`${path}/board`)).body;
    expect(board.students.map(({ name, group }) => [name, group])).toEqual([
      ['Ada Lind', 'Window'],
      ['Bo Quill', null],
      ['Cy Marl', 'Door'],
      ['Dot Fenn', 'Window'],
    ]);
  });

  it('seat nobody twice, nobody of another class, and have names of their own', async () => {
    const { students } = await benches();
    const [ada, bo] = students.map(({ id }) => id);
    const bench = (name: string, ...members: (string | undefined)[]) => ({ id: randomUUID(), name, members });
    const put = (all: object[], apart: object[] = []) =>
      teacher.post(`${path}/benches`, { benches: all, apart });
    expect(await put([bench('A', ada), bench('B', ada)])).toMatchObject({
      status: 422,
      body: { detail: 'A student sits at one bench alone.' },
    });
    expect(await put([bench('A', ada), bench(' a ', bo)])).toMatchObject({
      status: 422,
      body: { detail: 'Two benches have the same name.' },
    });
    expect((await put([bench('A', randomUUID())])).status).toBe(403);
    expect((await put([], [[ada]])).status).toBe(422);
    const demo = await harness.database.models.benchGroups.findOne({ where: { name: 'Bench 3' } });
    expect((await put([{ ...bench('A', ada), id: demo!.id }])).status).toBe(409);
    expect(seats(await benches())).toHaveLength(2);
  });
});

describe('a student', () => {
  it('is renamed and signs in by the new name, unless somebody has it', async () => {
    const { students } = await benches();
    const bo = students.find(({ name }) => name === 'Bo Quill')!.id;
    const change = (body: object) => teacher.post(`${path}/students/${bo}`, body);
    expect((await change({ name: 'Bo Quillan' })).status).toBe(200);
    expect((await benches()).students.map(({ name }) => name)).toContain('Bo Quillan');
    expect(await change({ name: 'ada  lind' })).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining('There is already a “ada') },
    });
    expect(await change({})).toMatchObject({ status: 422, body: { detail: 'Say what is to be changed.' } });
  });

  it('is absent for today', async () => {
    const ada = (await benches()).students.find(({ name }) => name === 'Ada Lind')!.id;
    const absent = async () => (await benches()).students.find(({ id }) => id === ada)!.absent;
    await teacher.post(`${path}/students/${ada}`, { absent: true });
    expect(await absent()).toBe(true);
    await harness.database.models.classStudents.update(
      { absentOn: '2026-01-01' },
      { where: { personId: ada } },
    );
    expect(await absent()).toBe(false);
    await teacher.post(`${path}/students/${ada}`, { absent: true });
    await teacher.post(`${path}/students/${ada}`, { absent: false });
    expect(await absent()).toBe(false);
  });
});
