import type { LogbooksAnswer, SessionAnswer, SlipsAnswer, StaffAnswer } from '@green-beam/contract';
import { strFromU8, unzipSync } from 'fflate';
import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { onePixel } from '../../test/picture';
import { startHarness, type Browser, type Harness } from '../../test/harness';
import { demoPassphrase } from '../demo/load';
import { demoClass, readers } from '../demo/scenario';

let harness: Harness;
let owner: Browser;
let student: Browser;
let classId: string;
const path = () => `/api/classes/${classId}`;
beforeAll(async () => {
  harness = await startHarness();
  owner = await harness.asTeacher();
  student = await harness.asStudent('Delphi Marsh');
  classId = (await harness.database.models.classes.findOne({ where: { code: demoClass.code } }))!.id;
});
afterAll(() => harness.close());

describe('who teaches a class', () => {
  it('invites a colleague, known or new, in a part, and takes them off again', async () => {
    const invite = (name: string, role: string) => owner.post<StaffAnswer>(`${path()}/staff`, { name, role });
    const made = await invite('Mx Sedge', 'assistant');
    expect(made.body.staff.map(({ name, role }) => [name, role])).toContainEqual(['Mx Sedge', 'assistant']);
    const password = made.body.firstPassword!;
    const invited = await harness.asTeacher('mx sedge', password);
    // The printed password is asked for once.
    expect((await invited.get(`${path()}/board`)).status).toBe(403);
    await invited.post('/api/session/password', { current: password, next: 'sedge by the water' });
    expect((await invited.get(`${path()}/board`)).status).toBe(200);
    expect((await invited.post(`${path()}/benches`, { benches: [], apart: [] })).status).toBe(403);
    // Known by now: another part, no other password.
    const again = await invite(' MX sedge ', 'co-teacher');
    expect(again.body.firstPassword).toBeUndefined();
    expect(again.body.staff.filter(({ name }) => name === 'Mx Sedge')).toMatchObject([
      { role: 'co-teacher' },
    ]);
    expect((await invited.post(`${path()}/staff`, { name: 'Dr Else', role: 'assistant' })).status).toBe(403);
    const { id } = again.body.staff.find(({ name }) => name === 'Mx Sedge')!;
    await owner.delete(`${path()}/staff/${id}`);
    expect((await invited.get(`${path()}/board`)).status).toBe(403);
  });

  it('keeps its owner', async () => {
    const { body } = await owner.get<SessionAnswer>('/api/session');
    expect((await owner.delete(`${path()}/staff/${body.who!.id}`)).status).toBe(422);
    expect((await owner.post(`${path()}/staff`, { name: 'Ms Marrow', role: 'assistant' })).status).toBe(422);
  });
});

describe('a class as a whole', () => {
  it('goes out as one file: everybody, every reading, entry, mark and photograph', async () => {
    const book = (await student.get<LogbooksAnswer>('/api/logbooks')).body.logbooks.find(
      ({ logbookId }) => logbookId,
    )!;
    const photo = onePixel;
    await student.put(`/api/logbooks/${book.logbookId}/photos/${randomUUID()}`, photo, 'image/png');
    const response = await fetch(`${harness.address}${path()}/everything?for=${owner.personId}`, {
      headers: { cookie: owner.cookies() },
    });
    expect(response.headers.get('content-type')).toBe('application/zip');
    const files = unzipSync(new Uint8Array(await response.arrayBuffer()));
    const json = (name: string) => JSON.parse(strFromU8(files[name]!)) as Record<string, unknown[]>;
    expect(json('class.json')['students']).toHaveLength(readers.length);
    const books = Object.keys(files).filter((name) => name.endsWith('logbook.json'));
    const entries = books.flatMap((name) => json(name)['entries']!);
    expect(entries).toHaveLength(await harness.database.models.logbookEntries.count());
    expect(strFromU8(files['readings.csv']!).split('\n').length - 1).toBe(
      await harness.database.models.tries.count(),
    );
    expect(strFromU8(files['marks.csv']!)).toContain('Delphi Marsh');
    const pictures = Object.entries(files).filter(([name]) => name.endsWith('.png'));
    expect(pictures.map(([, bytes]) => Buffer.from(bytes).equals(photo))).toEqual([true]);
  });

  it('is put away: its students are out, its teacher finds it; and brought back', async () => {
    const put = (putAway: boolean) => owner.post(path(), { putAway });
    expect((await put(true)).status).toBe(200);
    expect((await student.get('/api/bench')).status).toBe(401);
    const enter = () =>
      harness.browser().post('/api/session/student', {
        classCode: demoClass.code,
        name: 'Delphi Marsh',
        passphrase: demoPassphrase('Delphi Marsh'),
      });
    expect(await enter()).toMatchObject({ status: 401, body: { detail: expect.stringMatching('put away') } });
    const { body } = await owner.get<SessionAnswer>('/api/session');
    expect(body.who!.classes.at(-1)).toMatchObject({ id: classId, putAway: true });
    expect((await owner.get(`${path()}/board`)).status).toBe(200);
    await put(false);
    expect((await enter()).status).toBe(200);
  });

  it('is deleted for good by its name once it is put away: no row is left of it', async () => {
    const { sequelize, models } = harness.database;
    // Somebody who is in another class too stays there.
    const other = (await owner.post<{ id: string; code: string }>('/api/classes', { name: '8 Dunlin' })).body;
    await owner.post<SlipsAnswer>(`/api/classes/${other.id}/students`, { names: ['Far Away'] });
    const xanthe = (await models.people.findOne({ where: { name: 'Xanthe Reed' } }))!;
    await models.classStudents.create({ classId: other.id, personId: xanthe.id, nameKey: 'xanthe reed' });
    const students = await models.classStudents.findAll({ where: { classId } });
    const [asked, set] = [randomUUID(), randomUUID()];
    await owner.post(`${path()}/question`, { id: asked, kind: 'ruler' });
    await owner.post(`${path()}/tasks`, {
      id: set,
      kinds: ['ruler'],
      settings: 3,
      benches: [],
      due: null,
      place: 'home',
      note: '',
      answers: 'held',
    });
    await owner.post(`${path()}/tasks/${set}`, { shown: true });
    await owner.post(`${path()}/question/reveal`, {});
    const everything = async () => {
      const tables = await sequelize.query<{ name: string }>(
        `select table_name as name from information_schema.tables
          where table_schema = 'public' and table_type = 'BASE TABLE'`,
        { type: QueryTypes.SELECT },
      );
      const texts = await Promise.all(
        tables.map(async ({ name }) => {
          const [row] = await sequelize.query<{ all: string }>(
            `select coalesce(string_agg(t::text, ' '), '') as all from "${name}" t`,
            { type: QueryTypes.SELECT },
          );
          return `${name}: ${row!.all}`;
        }),
      );
      return texts;
    };
    const gone = [
      classId,
      asked,
      set,
      demoClass.code,
      '89504e470d0a1a0a00c0ffee',
      ...students.map(({ personId }) => personId).filter((id) => id !== xanthe.id),
      ...readers.map(({ name }) => name).filter((name) => name !== 'Xanthe Reed'),
    ];
    const traces = async () => {
      const texts = await everything();
      return gone.flatMap((trace) =>
        texts.flatMap((text) => (text.includes(trace) ? [`${trace} in ${text.split(':')[0]}`] : [])),
      );
    };
    expect((await traces()).length).toBeGreaterThan(gone.length);
    const forGood = (name: string) => owner.post(`${path()}/deletion`, { name });
    expect(await forGood(demoClass.name)).toMatchObject({
      status: 422,
      body: { detail: 'Put the class away first.' },
    });
    await owner.post(path(), { putAway: true, name: '9 Tèrn' });
    expect((await forGood('9 Turn')).status).toBe(422);
    expect((await forGood('9 Tèrn'.normalize('NFD'))).status).toBe(200);
    expect(await traces()).toEqual([]);
    expect(await models.classStudents.count({ where: { personId: xanthe.id } })).toBe(1);
    // What is only ever added is so again.
    await expect(models.logbookEntries.destroy({ where: {} })).rejects.toThrow(
      /only ever added|permission denied/,
    );
    expect((await owner.get(`${path()}/board`)).status).toBe(403);
  });
});
