import type { AtHandAnswer, BoardAnswer, ClassName, SessionAnswer, SlipsAnswer } from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Browser, type Harness } from '../../test/harness';
import { hashSecret } from '../session/passphrase';

let harness: Harness;
let teacher: Browser;
let classId: string;
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher();
  classId = (await teacher.get<SessionAnswer>('/api/session')).body.who!.classes[0]!.id;
});
afterAll(() => harness.close());

describe('the board', () => {
  it('shows every student with readings, causes, skills and the logbook', async () => {
    const { body } = await teacher.get<BoardAnswer>(`/api/classes/${classId}/board`);
    expect(body.students).toHaveLength(24);
    expect(body.readingsToday).toBeGreaterThan(20);
    const first = body.students[0]!;
    expect(first).toMatchObject({
      name: 'Adaline Moor',
      group: 'Bench 1',
      logbooks: [{ completeTrials: 3 }, { title: 'Lamp oil: mass against volume' }, { completeTrials: 6 }],
    });
    expect(first.latest[0]).toMatchObject({
      kind: expect.any(String),
      right: expect.any(Boolean),
      causes: expect.any(Array),
    });
    expect(body.worthFiveMinutes).toMatchObject({
      code: 'top-of-meniscus',
      title: 'You read the top of the curve.',
    });
    expect(body.worthFiveMinutes!.students.length).toBeGreaterThan(2);
  });

  it('shows what lies before each student, until it is answered rightly or as often as may be', async () => {
    const student = await harness.asStudent('Delphi Marsh');
    const me = (await student.get<SessionAnswer>('/api/session')).body.who!.id;
    const atHand = async () =>
      (await teacher.get<AtHandAnswer>(`/api/classes/${classId}/now`)).body.atHand.flatMap(
        ({ studentId, kind, tries }) => (studentId === me ? [[kind, tries]] : []),
      );
    expect(await atHand()).toEqual([]);
    const id = randomUUID();
    await student.post('/api/bench/settings', { id, kind: 'ruler', mode: 'read' });
    expect(await atHand()).toEqual([['ruler', 0]]);
    const answer = (of = id) =>
      student.post(`/api/bench/settings/${of}/attempts`, {
        ...{ id: randomUUID(), text: '0.10', unit: 'mm', hands: null },
      });
    await answer();
    expect(await atHand()).toEqual([['ruler', 1]]);
    await answer();
    await answer();
    expect(await atHand()).toEqual([]);
    // One answer while it is held back, as many as usual once it is told.
    const task = randomUUID();
    await teacher.post(`/api/classes/${classId}/tasks`, {
      ...{ id: task, kinds: ['ruler'], settings: 1, answers: 'held', benches: [] },
      ...{ due: null, place: 'lesson', note: '' },
    });
    const held = randomUUID();
    await student.post('/api/bench/settings', { id: held, kind: 'ruler', mode: 'read', task });
    expect(await atHand()).toEqual([['ruler', 0]]);
    await answer(held);
    expect(await atHand()).toEqual([]);
    await teacher.post(`/api/classes/${classId}/tasks/${task}`, { shown: true });
    expect(await atHand()).toEqual([['ruler', 1]]);
    // The newest counts, and nothing that was left long ago.
    const item = randomUUID();
    await student.post('/api/drills/items', { id: item, kind: 'counting' });
    expect(await atHand()).toEqual([['counting', 0]]);
    await harness.database.models.exercises.update(
      { createdAt: new Date(Date.now() - 21 * 60_000) },
      { where: { personId: me }, silent: true },
    );
    expect(await atHand()).toEqual([]);
  });

  it('is for the staff of the class only', async () => {
    expect(
      (await (await harness.asStudent('Delphi Marsh')).get<BoardAnswer>(`/api/classes/${classId}/board`))
        .status,
    ).toBe(403);
    await harness.database.models.people.create({
      id: randomUUID(),
      role: 'teacher',
      name: 'Dr Elsewhere',
      address: null,
      secretHash: await hashSecret('x'),
    });
    const other = await harness.asTeacher('Dr Elsewhere', 'x');
    expect((await other.get<BoardAnswer>(`/api/classes/${classId}/board`)).status).toBe(403);
    const coTeacher = await harness.asTeacher('Mr Teal', 'level beam 10');
    expect((await coTeacher.get<BoardAnswer>(`/api/classes/${classId}/board`)).body.staffRole).toBe(
      'co-teacher',
    );
  });
});

describe('the roster', () => {
  it('adds students with slips that open the door', async () => {
    const { body } = await teacher.post<SlipsAnswer>(`/api/classes/${classId}/students`, {
      names: ['Yorick Lane', 'Zelda Pym'],
    });
    expect(body.slips.map(({ name }) => name)).toEqual(['Yorick Lane', 'Zelda Pym']);
    const { name, passphrase } = body.slips[0]!;
    expect(passphrase).toMatch(/^\w+ \w+ \w+ \w+$/);
    expect(
      (await harness.browser().post('/api/session/student', { classCode: 'TERN9', name, passphrase })).status,
    ).toBe(200);
  });

  it('adds nobody when one name is taken', async () => {
    const answer = await teacher.post(`/api/classes/${classId}/students`, {
      names: ['Quite New', 'delphi marsh'],
    });
    expect(answer).toMatchObject({ status: 422, body: { detail: expect.stringContaining('delphi marsh') } });
    expect((await teacher.post(`/api/classes/${classId}/students`, { names: ['Twin', 'twin'] })).status).toBe(
      422,
    );
    const { body } = await teacher.get<BoardAnswer>(`/api/classes/${classId}/board`);
    expect(body.students.map(({ name }) => name)).not.toContain('Quite New');
  });

  it('resets a passphrase: the new slip works, the old one does not', async () => {
    const { body: board } = await teacher.get<BoardAnswer>(`/api/classes/${classId}/board`);
    const kester = board.students.find(({ name }) => name === 'Kester Pike')!;
    const { body } = await teacher.post<SlipsAnswer>(`/api/classes/${classId}/slips`, {
      studentIds: [kester.id],
    });
    const signIn = (passphrase: string) =>
      harness.browser().post('/api/session/student', { classCode: 'TERN9', name: 'Kester Pike', passphrase });
    expect((await signIn('kester lantern quay')).status).toBe(401);
    expect((await signIn(body.slips[0]!.passphrase)).status).toBe(200);
  });

  it('refuses slips for strangers, for nobody, and by an assistant', async () => {
    expect((await teacher.post(`/api/classes/${classId}/slips`, { studentIds: [randomUUID()] })).status).toBe(
      403,
    );
    expect((await teacher.post(`/api/classes/${classId}/slips`, {})).status).toBe(422);
    const id = randomUUID();
    await harness.database.models.people.create({
      id,
      role: 'teacher',
      name: 'Assistant Finch',
      address: null,
      secretHash: await hashSecret('x'),
    });
    await harness.database.models.classStaff.create({ classId, personId: id, role: 'assistant' });
    const assistant = await harness.asTeacher('Assistant Finch', 'x');
    expect((await assistant.get<BoardAnswer>(`/api/classes/${classId}/board`)).status).toBe(200);
    expect((await assistant.post(`/api/classes/${classId}/students`, { names: ['A'] })).status).toBe(403);
  });

  it('makes a class with a code, empty and ready', async () => {
    const { body } = await teacher.post<ClassName>('/api/classes', { name: '9 Plover' });
    expect(body.code).toMatch(/^[A-Z0-9]{6}$/);
    expect(await teacher.get(`/api/classes/${body.id}/board`)).toMatchObject({
      status: 200,
      body: { students: [], worthFiveMinutes: null },
    });
    expect((await teacher.post('/api/classes', { name: ' ' })).status).toBe(422);
  });
});
