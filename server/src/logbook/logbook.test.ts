import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let student: Browser;
let path: string;
beforeAll(async () => {
  harness = await startHarness();
  // Bench 8 has an empty logbook: Verity Moss, Wilfred Sand, Xanthe Reed.
  student = await harness.asStudent('Verity Moss');
  const { body } = await student.get('/api/logbooks');
  path = `/api/logbooks/${body.logbooks[0].logbookId}`;
});
afterAll(() => harness.close());

const entry = (rest: object = {}) => ({
  id: randomUUID(),
  trial: 1,
  column: 'mass',
  text: '214.6',
  replaces: null,
  reason: null,
  writtenAt: new Date().toISOString(),
  ...rest,
});

describe('a logbook', () => {
  it('keeps text as written, with its tag, reader and time', async () => {
    const written = entry({ text: '214,60 ' });
    expect(await student.post(`${path}/entries`, written)).toMatchObject({
      status: 200,
      body: { entry: { text: '214,60 ', tag: 'B-02', reader: 'Verity Moss', writtenAt: written.writtenAt } },
    });
    const { body } = await student.get(path);
    expect(body).toMatchObject({ mayWrite: true, readers: ['Verity Moss', 'Wilfred Sand', 'Xanthe Reed'] });
    expect(body.entries.at(-1)).toMatchObject({ id: written.id, text: '214,60 ' });
  });

  it('takes a repeated entry once, and refuses its id for another', async () => {
    const written = entry({ trial: 2 });
    const answers = await Promise.all([1, 2, 3].map(() => student.post(`${path}/entries`, written)));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    const { body } = await student.get(path);
    expect(body.entries.filter(({ id }: { id: string }) => id === written.id)).toHaveLength(1);
    expect((await student.post(`${path}/entries`, { ...written, text: '1.0' })).body.code).toBe(
      'already-used',
    );
  });

  it('keeps what two devices write into one cell at once', async () => {
    const mate = await harness.asStudent('Wilfred Sand');
    const [a, b] = [entry({ trial: 3, text: '214.5' }), entry({ trial: 3, text: '214.7' })];
    await Promise.all([student.post(`${path}/entries`, a), mate.post(`${path}/entries`, b)]);
    const { body } = await student.get(path);
    const texts = body.entries
      .filter(({ trial }: { trial: number }) => trial === 3)
      .map(({ text }: { text: string }) => text);
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
      body: { entry: { replaces: first.id, reason: 'misread' } },
    });
  });

  it.each([
    ['an unknown column', { column: 'colour' }],
    ['trial 0', { trial: 0 }],
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
      expect((await student.post(`${path}/entries`, entry({ trial: 9, text }))).body.entry.text).toBe(text);
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

describe('the list of logbooks', () => {
  it('opens one book for a whole bench, however often it is opened', async () => {
    const mate = await harness.asStudent('Xanthe Reed');
    const [line] = (await mate.get('/api/logbooks')).body.logbooks;
    const opened = await Promise.all(
      [student, mate].map((browser) => browser.post(`/api/investigations/${line.investigationId}/logbook`)),
    );
    expect(opened.map(({ body }) => body.logbookId)).toEqual([line.logbookId, line.logbookId]);
  });

  it('shows how far each is, and what it says', async () => {
    const complete = await harness.asStudent('Adaline Moor');
    const [line] = (await complete.get('/api/logbooks')).body.logbooks;
    expect(line).toMatchObject({
      completeTrials: 3,
      trialsWanted: 3,
      resultText: expect.stringMatching(/^\(8\.\d ± 0\.\d\) g\/cm³$/),
    });
  });

  it('tells the bench and the teacher at once when something is written', async () => {
    const teacher = await harness.asTeacher();
    const streams = await Promise.all([
      teacher.stream('/api/events'),
      (await harness.asStudent('Wilfred Sand')).stream('/api/events'),
    ]);
    const stranger = await (await harness.asStudent('Junia Fell')).stream('/api/events');
    await student.post(`${path}/entries`, entry({ trial: 10 }));
    for (const stream of streams) expect(await heard(stream, '"changed":"logbook"')).toBe(true);
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
