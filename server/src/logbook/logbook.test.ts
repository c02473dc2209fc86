import type {
  ArrivedEntries,
  EntriesAnswer,
  InvestigationsAnswer,
  LogbookAnswer,
  LogbooksAnswer,
  SessionAnswer,
} from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { readyMade } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { onePixel } from '../../test/picture';
import { entry } from '../../test/entry';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let student: Browser;
let path: string;
beforeAll(async () => {
  harness = await startHarness();
  // Bench 8 has an empty logbook: Verity Moss, Wilfred Sand, Xanthe Reed.
  student = await harness.asStudent('Verity Moss');
  const { body } = await student.get<LogbooksAnswer>('/api/logbooks');
  path = `/api/logbooks/${body.logbooks[0]!.logbookId}`;
});
afterAll(() => harness.close());

describe('a logbook', () => {
  it('keeps text as written, with its tag, reader and time', async () => {
    const written = entry({ text: '214,60 ' });
    expect(await student.post(`${path}/entries`, written)).toMatchObject({
      status: 200,
      body: {
        entries: [{ text: '214,60 ', tag: 'B-02', reader: 'Verity Moss', writtenAt: written.writtenAt }],
      },
    });
    const { body } = await student.get<LogbookAnswer>(path);
    expect(body).toMatchObject({ mayWrite: true, readers: ['Verity Moss', 'Wilfred Sand', 'Xanthe Reed'] });
    expect(body.entries.at(-1)).toMatchObject({ id: written.id, text: '214,60 ' });
  });

  it('takes a repeated entry once, and refuses its id for another', async () => {
    const written = entry({ trial: 2 });
    const answers = await Promise.all([1, 2, 3].map(() => student.post(`${path}/entries`, written)));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    const { body } = await student.get<LogbookAnswer>(path);
    expect(body.entries.filter(({ id }) => id === written.id)).toHaveLength(1);
    expect(await student.post(`${path}/entries`, { ...written, text: '1.0' })).toMatchObject({
      body: { code: 'already-used' },
    });
  });

  it('keeps what two devices write into one cell at once', async () => {
    const mate = await harness.asStudent('Wilfred Sand');
    const [a, b] = [entry({ trial: 3, text: '214.5' }), entry({ trial: 3, text: '214.7' })];
    await Promise.all([student.post(`${path}/entries`, a), mate.post(`${path}/entries`, b)]);
    const { body } = await student.get<LogbookAnswer>(path);
    const texts = body.entries.filter((one) => 'trial' in one && one.trial === 3).map(({ text }) => text);
    expect(texts.sort()).toEqual(['214.5', '214.7']);
  });

  it('takes a correction only with a reason and of the same cell', async () => {
    const first = entry({ trial: 4 });
    await student.post(`${path}/entries`, first);
    const correct = (rest: object) =>
      student.post(`${path}/entries`, entry({ trial: 4, text: '214.8', replaces: first.id, ...rest }));
    expect(await correct({})).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining('says why') },
    });
    expect((await correct({ reason: 'misread', column: 'after' })).status).toBe(422);
    expect(await correct({ reason: 'misread' })).toMatchObject({
      status: 200,
      body: { entries: [{ replaces: first.id, reason: 'misread' }] },
    });
  });

  it.each([
    ['an unknown column', { column: 'colour' }],
    ['trial 0', { trial: 0 }],
    ['trial −1', { trial: -1 }],
    ['a question that is not asked', { trial: 0, column: '@answer colour' }],
    ['a standing that there is not', { column: '@standing pin', text: 'lost', reason: 'so' }],
    ['a trial left out without a reason', { column: '@standing pin', text: 'excluded' }],
    ['a photograph that is not here', { column: '@photo pin', text: randomUUID() }],
    ['half a trial', { trial: 1.5 }],
    ['nothing written', { text: '   ' }],
    ['a text too long', { text: '1'.repeat(61) }],
    ['a time that is none', { writtenAt: 'yesterday' }],
    ['an id that is none', { id: '7' }],
  ])('refuses %s', async (_, part) => {
    expect(await student.post(`${path}/entries`, entry(part))).toMatchObject({
      status: 422,
      body: { code: 'not-valid' },
    });
  });

  it('stores what is typed as text, whatever it is', async () => {
    for (const text of ['12..3', '３７', '<script>alert(1)</script>']) {
      expect(
        (await student.post<ArrivedEntries>(`${path}/entries`, entry({ trial: 9, text }))).body.entries[0]!
          .text,
      ).toBe(text);
    }
  });

  it('belongs to its bench: others of the class neither read nor write, the teacher reads', async () => {
    const other = await harness.asStudent('Junia Fell');
    expect((await other.get(path)).status).toBe(403);
    expect((await other.post(`${path}/entries`, entry())).status).toBe(403);
    const teacher = await harness.asTeacher();
    expect(await teacher.get(path)).toMatchObject({ status: 200, body: { mayWrite: false } });
    expect((await teacher.post(`${path}/entries`, entry())).status).toBe(403);
    expect((await student.get(`/api/logbooks/${randomUUID()}`)).status).toBe(404);
  });
});

describe('what is written besides readings', () => {
  it('keeps standing, remarks, answers, predictions and the hand-in', async () => {
    for (const body of [
      { trial: 20, column: '@standing pin', text: 'abandoned', reason: 'the count was lost' },
      { trial: 20, column: '@remark pin', text: 'A bubble clung to it. '.repeat(20) },
      { trial: 0, column: '@answer start', text: 'False: it may start where it likes.' },
      { trial: 0, column: '@prediction guess', text: '8.5' },
      { trial: 0, column: '@hand-in', text: 'handed in' },
    ])
      expect((await student.post(`${path}/entries`, entry(body))).status).toBe(200);
    const line = (await student.get<LogbooksAnswer>('/api/logbooks')).body.logbooks[0]!;
    expect(line.handedIn).toBe(true);
  });

  it('keeps the mean of a column that students work, and of no other', async () => {
    const { body } = await student.get<LogbooksAnswer>('/api/logbooks');
    const ring = body.logbooks.find(({ object }) => object === 'shackle ring')!;
    const opened = await student.post<{ logbookId: string }>(
      `/api/investigations/${ring.investigationId}/logbook`,
      {},
    );
    const send = async (rest: object, to = `/api/logbooks/${opened.body.logbookId}`) =>
      (await student.post(`${to}/entries`, entry({ trial: 0, column: '@mean rho', text: '7.9', ...rest })))
        .status;
    expect(await send({})).toBe(200);
    expect(await send({ trial: 1 })).toBe(422);
    expect(await send({ column: '@mean mass' })).toBe(422);
    expect(await send({ text: '7'.repeat(61) })).toBe(422);
    expect(await send({}, path)).toBe(422);
  });

  it('keeps a photograph as it is, and refuses what is none', async () => {
    const png = onePixel;
    const id = randomUUID();
    const send = (bytes: Uint8Array = png, type = 'image/png', own = id) =>
      student.put(`${path}/photos/${own}`, bytes, type);
    expect((await send()).body).toEqual({ id });
    expect((await send()).status).toBe(200);
    expect((await student.post(`${path}/entries`, entry({ column: '@photo pin', text: id }))).status).toBe(
      200,
    );
    expect((await send(Buffer.from('<html>'), 'image/png', randomUUID())).status).toBe(422);
    expect((await send(png, 'image/svg+xml', randomUUID())).status).toBe(422);
    const shown = await student.raw('GET', `${path}/photos/${id}`);
    expect(shown.headers.get('cache-control')).toBe('private, no-cache');
    expect(shown.headers.get('content-length')).toBe(String(png.length));
    expect((await student.raw('GET', `${path}/photos/${id}`, { 'if-none-match': `"${id}"` })).status).toBe(
      304,
    );
    const stranger = await harness.asStudent('Junia Fell');
    expect((await stranger.get(`${path}/photos/${id}`)).status).toBe(403);
  });
});

describe('a block of entries', () => {
  it('is added in its order, or not at all', async () => {
    const block = [1, 2, 3].map((at) => entry({ trial: 30 + at, text: `2${at}.0` }));
    const sent = { id: randomUUID(), entries: block };
    expect((await student.post<EntriesAnswer>(`${path}/blocks`, sent)).body.entries).toHaveLength(3);
    expect((await student.post(`${path}/blocks`, sent)).status).toBe(200);
    const spoilt = [entry({ trial: 40 }), entry({ trial: 41, column: 'colour' })];
    expect((await student.post(`${path}/blocks`, { id: randomUUID(), entries: spoilt })).status).toBe(422);
    const { entries } = (await student.get<LogbookAnswer>(path)).body;
    const trials = entries.map((one) => ('trial' in one ? one.trial : 0));
    expect(trials.filter((trial) => trial > 30)).toEqual([31, 32, 33]);
  });

  it('can be asked for after a number', async () => {
    const { last } = (await student.get<LogbookAnswer>(path)).body;
    const later = entry({ trial: 50 });
    await student.post(`${path}/entries`, later);
    const { body } = await student.get<EntriesAnswer>(`${path}/entries?after=${last}`);
    expect(body.entries.map(({ id }) => id)).toEqual([later.id]);
    expect(body.last).toBeGreaterThan(last);
    expect((await student.get<EntriesAnswer>(`${path}/entries?after=${body.last}`)).body.entries).toEqual([]);
  });
});

describe('the database', () => {
  it.each(['logbook_entries', 'logbook_photos'])(
    'itself refuses to change or delete rows of %s',
    async (table) => {
      const { sequelize } = harness.database;
      for (const statement of [`update ${table} set id = id`, `delete from ${table}`, `truncate ${table}`])
        await expect(sequelize.query(statement)).rejects.toThrow(/permission denied|only ever added/);
      // Even who takes the right back is stopped.
      await sequelize.query(`grant update, delete on ${table} to current_user`);
      await expect(sequelize.query(`delete from ${table}`)).rejects.toThrow(/only ever added/);
      await sequelize.query(`revoke update, delete on ${table} from current_user`);
    },
  );
});

describe('investigations of a class', () => {
  const classPath = async (teacher: Browser) => {
    const { body } = await teacher.get<SessionAnswer>('/api/session');
    return `/api/classes/${body.who!.classes[0]!.id}/investigations`;
  };

  it('are listed with their logbooks, and those that come with the app', async () => {
    const teacher = await harness.asTeacher();
    const { body } = await teacher.get<InvestigationsAnswer>(await classPath(teacher));
    expect(body.readyMade).toHaveLength(readyMade.length);
    expect(body.investigations[0]).toMatchObject({ version: 1, retired: false });
    // Every bench has opened it.
    expect(body.investigations[0]!.logbooks.length).toBeGreaterThan(7);
    expect((await student.get(await classPath(teacher))).status).toBe(403);
  });

  it('are adapted in versions: open logbooks keep theirs', async () => {
    const teacher = await harness.asTeacher();
    const address = await classPath(teacher);
    const second = (await teacher.get<InvestigationsAnswer>(address)).body.investigations[1]!;
    const book = (await student.post<{ logbookId: string }>(`/api/investigations/${second.id}/logbook`)).body
      .logbookId;
    const id = randomUUID();
    const adapted = { ...second.body, title: 'Shackle ring, again' };
    expect((await teacher.post(address, { id, replaces: second.id, body: adapted })).body).toEqual({ id });
    expect((await student.get<LogbookAnswer>(`/api/logbooks/${book}`)).body.investigation.title).toBe(
      second.body.title,
    );
    const other = await harness.asStudent('Junia Fell');
    const titles = (await other.get<LogbooksAnswer>('/api/logbooks')).body.logbooks.map(({ title }) => title);
    expect(titles).toContain('Shackle ring, again');
    expect(titles).not.toContain(second.body.title);
    expect((await teacher.post(`${address}/${id}`, { retired: true })).status).toBe(200);
    const after = (await other.get<LogbooksAnswer>('/api/logbooks')).body.logbooks.map(({ title }) => title);
    expect(after).not.toContain('Shackle ring, again');
  });

  it('are refused with the place and the reason', async () => {
    const teacher = await harness.asTeacher();
    const address = await classPath(teacher);
    const first = (await teacher.get<InvestigationsAnswer>(address)).body.investigations[0]!;
    const body = structuredClone(first.body);
    Object.assign(body.tables[0]!.columns[4]!, { formula: 'mass / volume' });
    expect(await teacher.post(address, { id: randomUUID(), body })).toMatchObject({
      status: 422,
      body: {
        code: 'not-an-investigation',
        detail: expect.stringMatching(/^tables\[0\]\.columns\[4\]\.formula: /),
      },
    });
    expect(
      (await teacher.post(address, { id: randomUUID(), replaces: randomUUID(), body: first.body })).status,
    ).toBe(404);
  });
});

describe('the list of logbooks', () => {
  it('opens one book for a whole bench, however often it is opened', async () => {
    const mate = await harness.asStudent('Xanthe Reed');
    const line = (await mate.get<LogbooksAnswer>('/api/logbooks')).body.logbooks[0]!;
    const opened = await Promise.all(
      [student, mate].map((browser) =>
        browser.post<{ logbookId: string }>(`/api/investigations/${line.investigationId}/logbook`),
      ),
    );
    expect(opened.map(({ body }) => body.logbookId)).toEqual([line.logbookId, line.logbookId]);
  });

  it('shows how far each is, and what it says', async () => {
    const complete = await harness.asStudent('Adaline Moor');
    const line = (await complete.get<LogbooksAnswer>('/api/logbooks')).body.logbooks[0]!;
    expect(line).toMatchObject({
      completeTrials: 3,
      trialsWanted: 3,
      resultText: expect.stringMatching(/^\(8\.\d ± 0\.\d\) g\/cm³$/),
    });
  });

  it('tells the bench and the teacher at once when something is written', async () => {
    const teacher = await harness.asTeacher();
    const streams = [
      await teacher.stream('/api/events'),
      await (await harness.asStudent('Wilfred Sand')).stream('/api/events'),
    ] as const;
    const stranger = await (await harness.asStudent('Junia Fell')).stream('/api/events');
    await student.post(`${path}/entries`, entry({ trial: 10 }));
    // The teacher is told whose line is new and in which logbook; the bench gets the entry.
    expect(await heard(streams[0], '"changed":"board"')).toBe(true);
    expect(await heard(streams[1], '"changed":"logbook"')).toBe(true);
    await Promise.all([...streams, stranger].map((stream) => stream.cancel()));
  });
});

async function heard(stream: ReadableStreamDefaultReader<Uint8Array>, what: string): Promise<boolean> {
  let text = '';
  for (;;) {
    const { done, value } = await stream.read();
    if (done) return false;
    text += new TextDecoder().decode(value);
    if (text.includes(what)) return true;
  }
}

describe('a logbook of one’s own', () => {
  const begin = (browser: Browser, classId: string, rest: object = {}) =>
    browser.post<{ logbookId: string }>(`/api/classes/${classId}/logbooks`, {
      id: randomUUID(),
      shape: 'displacement',
      title: 'A pebble',
      ...rest,
    });

  it('is begun with the teacher’s leave, seen by its writer and the staff alone, and handed to no bench mate', async () => {
    const teacher = await harness.asTeacher('Ms Marrow', 'level beam 9');
    const { body: session } = await student.get<SessionAnswer>('/api/session');
    const classId = session.who!.classes[0]!.id;
    expect((await begin(student, classId)).status).toBe(403);
    expect((await teacher.post(`/api/classes/${classId}`, { freeLogbooks: true })).status).toBe(200);
    const { body: lines } = await student.get<LogbooksAnswer>('/api/logbooks');
    expect(lines.begins).toBe(classId);
    const id = randomUUID();
    const made = await begin(student, classId, { id });
    expect(made.status).toBe(200);
    expect((await begin(student, classId, { id })).body).toEqual(made.body);
    const own = `/api/logbooks/${made.body.logbookId}`;
    expect((await student.get<LogbookAnswer>(own)).body).toMatchObject({
      readers: ['Verity Moss'],
      investigation: { title: 'A pebble' },
    });
    const mate = await harness.asStudent('Wilfred Sand');
    expect((await mate.get(own)).status).toBe(403);
    expect((await mate.post(`/api/investigations/${id}/logbook`, {})).status).toBe(403);
    const theirs = (await mate.get<LogbooksAnswer>('/api/logbooks')).body.logbooks;
    expect(theirs.map(({ title }) => title)).not.toContain('A pebble');
    expect((await teacher.get(own)).status).toBe(200);
    expect((await teacher.post(`${own}/entries`, entry())).status).toBe(403);
    const { body: set } = await teacher.get<InvestigationsAnswer>(`/api/classes/${classId}/investigations`);
    expect(set.investigations.map(({ body }) => body.title)).not.toContain('A pebble');
    expect((await begin(student, classId, { shape: 'triangle' })).status).toBe(422);
    await teacher.post(`/api/classes/${classId}`, { freeLogbooks: false });
    expect((await begin(student, classId)).status).toBe(403);
    expect((await student.get(own)).status).toBe(200);
  });

  it('is a teacher’s too', async () => {
    const teacher = await harness.asTeacher('Ms Marrow', 'level beam 9');
    const { body } = await teacher.get<LogbooksAnswer>('/api/logbooks');
    const made = await begin(teacher, body.begins!, { title: 'A spoon' });
    const written = entry({ text: '21.40' });
    expect((await teacher.post(`/api/logbooks/${made.body.logbookId}/entries`, written)).status).toBe(200);
    expect((await teacher.get<LogbooksAnswer>('/api/logbooks')).body.logbooks).toMatchObject([
      { title: 'A spoon', readers: ['Ms Marrow'] },
    ]);
  });
});
