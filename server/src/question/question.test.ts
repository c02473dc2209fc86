import type {
  AttemptAnswer,
  BenchAnswer,
  BoardAnswer,
  PresetsAnswer,
  SessionAnswer,
  SettingAnswer,
  ClassQuestionAnswer,
  LogbooksAnswer,
  StaffQuestionAnswer,
  WhichAnswer,
  WordsAnswer,
} from '@green-beam/contract';
import {
  apparatusOf,
  expectReading,
  predictAlone,
  presetNamed,
  readingOf,
  type ExerciseNamed,
} from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Browser, type Harness } from '../../test/harness';
import { readers } from '../demo/scenario';

let harness: Harness;
let teacher: Browser;
let student: Browser;
let path: string;
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher();
  student = await harness.asStudent('Delphi Marsh');
  const { body } = await teacher.get<SessionAnswer>('/api/session');
  path = `/api/classes/${body.who!.classes[0]!.id}`;
});
afterAll(() => harness.close());

const cylinder = { kind: 'graduated-cylinder', model: 'cylinder-50-1' };
const take = async (browser: Browser) => {
  const { question } = (await browser.get<ClassQuestionAnswer>('/api/question')).body;
  return browser.post<SettingAnswer>(`/api/questions/${question?.id}/settings`, { id: randomUUID() });
};
const answer = (browser: Browser, settingId: string, text: string) =>
  browser.post<AttemptAnswer>(`/api/bench/settings/${settingId}/attempts`, {
    id: randomUUID(),
    text,
    unit: 'mL',
    hands: null,
  });

describe('a shown setting', () => {
  it('is set by hand, read by the class without its answer, and its answers arrive', async () => {
    expect((await student.get<ClassQuestionAnswer>('/api/question')).body).toEqual({ question: null });
    const shown = await teacher.post<StaffQuestionAnswer>(`${path}/question`, {
      id: randomUUID(),
      ...cylinder,
      indicates: '37,2',
    });
    expect(shown).toMatchObject({
      status: 200,
      body: { question: { text: '37.2', unit: 'mL', answers: [] } },
    });
    expect(shown.body.question!.presets.map(({ preset }) => preset)).toContain('Half-division');

    const line = (await student.get<ClassQuestionAnswer>('/api/question')).body;
    expect(line.question).toMatchObject({ kind: 'graduated-cylinder', tag: null });
    expect(JSON.stringify(line)).not.toContain('37.2');
    const first = await take(student);
    expect(first.body).toMatchObject({ mode: 'read', shown: true });
    expect((await take(student)).body.id).toBe(first.body.id);
    expect(await student.get(`/api/bench/settings/${first.body.id}/presets`)).toMatchObject({
      body: { code: 'setting-open' },
    });
    expect(first.body).toMatchObject({ held: true, triesLeft: 3 });
    expect((await answer(student, first.body.id, 'forty')).body.verdict.outcome).toBe('unreadable');
    expect((await answer(student, first.body.id, '42.2')).body).toEqual({
      id: expect.any(String),
      text: '42.2',
      unit: 'mL',
      verdict: { outcome: 'held' },
      parts: [],
      triesLeft: 0,
      solution: null,
    });
    // One answer, until it is told what is right.
    expect(await answer(student, first.body.id, '37.2')).toMatchObject({ body: { code: 'setting-closed' } });
    const own = () => student.get<BenchAnswer>('/api/bench');
    const triesOf = async () =>
      (await own()).body.instruments.find(({ kind }) => kind === 'graduated-cylinder')!.skill.tries;
    const before = await triesOf();
    expect(
      (await teacher.post<StaffQuestionAnswer>(`${path}/question/answer`, {})).body.question,
    ).toMatchObject({
      revealed: true,
    });
    expect((await student.get<SettingAnswer>(`/api/bench/settings/${first.body.id}`)).body).toMatchObject({
      held: false,
      triesLeft: 2,
      attempts: [{ text: '42.2', verdict: { outcome: 'wrong' } }],
    });
    // Only now does it count as practice.
    expect(await triesOf()).toBe(before + 1);
    expect((await answer(student, first.body.id, '37.2')).body.verdict.outcome).toBe('right');
    const seen = (await teacher.get<StaffQuestionAnswer>(`${path}/question`)).body.question!;
    // The first answer counts; what was put right afterwards does not hide it.
    expect(seen.answers).toMatchObject([
      {
        name: 'Delphi Marsh',
        text: '42.2',
        value: 42.2,
        right: false,
        causes: [expect.stringContaining('numbered line')],
      },
    ]);
    const presets = await student.get<PresetsAnswer>(`/api/bench/settings/${first.body.id}/presets`);
    expect(presets.body.presets).toMatchObject([
      { preset: 'Chemistry bench', text: '37.2', from: '37.0', to: '37.4' },
      {},
      { preset: 'Half-division', text: '37.0', from: '37.0', to: '37.5' },
      {},
      {},
    ]);
  });

  it('gives way to the next, and ends', async () => {
    await teacher.post(`${path}/question`, { id: randomUUID(), kind: 'burette', model: 'burette-50-0_1' });
    expect((await student.get<ClassQuestionAnswer>('/api/question')).body.question?.kind).toBe('burette');
    expect((await teacher.delete(`${path}/question`)).status).toBe(200);
    expect((await teacher.delete(`${path}/question`)).status).toBe(200);
    expect((await student.get<ClassQuestionAnswer>('/api/question')).body.question).toBeNull();
  });

  it('every instrument can be set to a number and shown by chance', async () => {
    const { instruments } = (await teacher.get<BenchAnswer>('/api/bench')).body;
    for (const { kind, models } of instruments) {
      const shown = await teacher.post(`${path}/question`, { id: randomUUID(), kind, model: models[0]!.id });
      expect([kind, shown.status]).toEqual([kind, 200]);
    }
    await teacher.delete(`${path}/question`);
  });

  it.each([
    ['off the scale', { ...cylinder, indicates: '80' }, /off the scale: it goes from 5 to 50 mL/],
    ['not a number', { ...cylinder, indicates: '3..7' }, /second point/],
    ['an unknown instrument', { kind: 'astrolabe', model: 'any' }, /no “astrolabe”/],
    ['an unknown make', { ...cylinder, model: 'cylinder-7' }, /no graduated cylinder/],
  ])('is refused when it is %s', async (_, body, sentence) => {
    expect(await teacher.post(`${path}/question`, { id: randomUUID(), ...body })).toMatchObject({
      status: 422,
      body: { detail: expect.stringMatching(sentence) },
    });
  });

  it('is the staff’s to put and its class’s to take', async () => {
    const { body } = await teacher.post<StaffQuestionAnswer>(`${path}/question`, {
      id: randomUUID(),
      ...cylinder,
    });
    expect((await student.post(`${path}/question`, { id: randomUUID(), ...cylinder })).status).toBe(403);
    expect((await student.get(`${path}/question`)).status).toBe(403);
    expect((await harness.browser().get<ClassQuestionAnswer>('/api/question')).status).toBe(401);
    expect((await student.post(`/api/questions/${randomUUID()}/settings`, { id: randomUUID() })).status).toBe(
      404,
    );
    expect(
      (await teacher.post(`/api/questions/${body.question!.id}/settings`, { id: randomUUID() })).status,
    ).toBe(403);
    await teacher.delete(`${path}/question`);
  });
});

describe('held back', () => {
  it('nothing that tells what is right reaches any of 24 students before it is revealed', async () => {
    const { body } = await teacher.post<StaffQuestionAnswer>(`${path}/question`, {
      id: randomUUID(),
      ...cylinder,
      indicates: '23.7',
    });
    expect(body.question).toMatchObject({ text: '23.7', revealed: false });
    const names = readers.map(({ name }) => name);
    expect(names.length).toBeGreaterThanOrEqual(24);
    const heard: string[] = [];
    await Promise.all(
      names.slice(0, 24).map(async (name, at) => {
        const reader = await harness.asStudent(name);
        const stream = await reader.stream('/api/events');
        const go = (await take(reader)).body;
        const given = await answer(reader, go.id, at % 2 === 0 ? '23.7' : '24.6');
        expect([given.status, given.body]).toEqual([200, expect.anything()]);
        const { picture: _, ...setting } = (await reader.get<SettingAnswer>(`/api/bench/settings/${go.id}`))
          .body;
        const { picture: __, ...went } = go;
        for (const path of [
          '/api/question',
          '/api/bench',
          '/api/logbooks',
          `/api/bench/settings/${go.id}/presets`,
        ])
          heard.push(JSON.stringify((await reader.get<object>(path)).body));
        heard.push(JSON.stringify([went, given.body, setting]));
        heard.push(await stream.cancel().then(() => ''));
      }),
    );
    const all = heard.join('\n').replaceAll('"text":"23.7"', '').replaceAll('"text":"24.6"', '');
    expect(all).not.toMatch(/23\.7|"right"|"wrong"|acceptedDivisions|"accepted"|buildUp":\[/);
    expect((await teacher.get<StaffQuestionAnswer>(`${path}/question`)).body.question!.answers).toHaveLength(
      24,
    );
    await teacher.delete(`${path}/question`);
  });

  it('not even by where a number in a logbook came from', async () => {
    await teacher.post<StaffQuestionAnswer>(`${path}/question`, {
      id: randomUUID(),
      ...cylinder,
      indicates: '23.7',
    });
    const reader = await harness.asStudent('Verity Moss');
    const go = (await take(reader)).body;
    const attemptId = (await answer(reader, go.id, '23.7')).body.id;
    const { logbooks } = (await reader.get<LogbooksAnswer>('/api/logbooks')).body;
    const book = logbooks.find(({ logbookId }) => logbookId)!.logbookId;
    const origin = async () => {
      const { body } = await reader.post<{ entries: { origin: string }[] }>(`/api/logbooks/${book}/entries`, {
        id: randomUUID(),
        kind: 'remark',
        trial: 1,
        of: 'pin',
        text: '23.7',
        attemptId,
        replaces: null,
        reason: null,
        writtenAt: new Date().toISOString(),
      });
      return body.entries?.[0]?.origin;
    };
    const held = await origin();
    await teacher.post(`${path}/question/answer`, {});
    expect([held, await origin()]).toEqual(['own', 'simulated']);
    await teacher.delete(`${path}/question`);
  });

  it('a question aims at a misreading: it leads to a wrong number there', async () => {
    for (const aim of ['top-of-meniscus', 'next-label']) {
      const { body } = await teacher.post<StaffQuestionAnswer>(`${path}/question`, {
        id: randomUUID(),
        kind: 'graduated-cylinder',
        aim,
      });
      expect(body.question).toMatchObject({ kind: 'graduated-cylinder', revealed: false });
    }
    await teacher.delete(`${path}/question`);
  });
});

describe('did it help?', () => {
  /** Reads the next setting of a kind: rightly, or as a misreading has it where that shows. */
  const readNext = async (reader: Browser, misreading: string | null) => {
    const id = randomUUID();
    await reader.post('/api/bench/settings', { id, kind: 'graduated-cylinder', mode: 'read' });
    const { item } = (await harness.database.models.exercises.findByPk(id))! as { item: unknown } as {
      item: ExerciseNamed<'setting'>;
    };
    const { instrument, setting } = apparatusOf(item, conventions);
    const alone = predictAlone(readingOf(instrument, setting, conventions));
    const slip = alone.find(({ faults }) => faults.some(({ code }) => code === misreading));
    if (misreading !== null) expect(slip).toBeDefined();
    const right = expectReading(instrument, setting, conventions);
    const text = slip ? String(slip.value) : right.text;
    await answer(reader, id, text);
    return item.aim ?? null;
  };
  const conventions = presetNamed('Chemistry bench');

  it('the next settings aim at what was misread, and the board shows before and after', async () => {
    // Two who have misread nothing before.
    const [first, second] = (await Promise.all(
      [readers[4]!, readers[6]!].map(({ name }) => harness.asStudent(name)),
    )) as [Browser, Browser];
    await teacher.post(`${path}/question`, { id: randomUUID(), ...cylinder, indicates: '37.2' });
    for (const reader of [first, second]) await answer(reader, (await take(reader)).body.id, '42.2');
    // Before it is told, nothing gives away what was wrong.
    expect(await readNext(first, null)).toBeNull();
    await teacher.post(`${path}/question/answer`, {});
    const helped = async () => (await teacher.get<BoardAnswer>(`${path}/board`)).body.helped[0];
    expect(await helped()).toMatchObject({
      kind: 'graduated-cylinder',
      misread: 2,
      soon: { right: 0, again: 0, notYet: 2 },
      later: null,
    });
    expect(await readNext(first, 'next-label')).toBe('next-label');
    expect((await helped())?.soon).toEqual({ right: 0, again: 1, notYet: 1 });
    expect(await readNext(first, null)).toBe('next-label');
    expect((await helped())?.soon).toEqual({ right: 1, again: 0, notYet: 1 });
    expect(await readNext(first, null)).toBe('next-label');
    // Right twice in a row, it is past; the other one's is not.
    expect(await readNext(first, null)).toBeNull();
    expect(await readNext(second, null)).toBe('next-label');
    expect((await helped())?.soon).toEqual({ right: 2, again: 0, notYet: 0 });
    // What it aims at is the server's: the page is not told.
    const body = JSON.stringify(
      (
        await second.post('/api/bench/settings', {
          id: randomUUID(),
          kind: 'graduated-cylinder',
          mode: 'read',
        })
      ).body,
    );
    expect(body).not.toContain('next-label');
    // Asked again, who misreads it again stands at both questions: at the older one as such.
    await teacher.post(`${path}/question`, { id: randomUUID(), ...cylinder, indicates: '33.4' });
    await answer(first, (await take(first)).body.id, '38.4');
    await teacher.post(`${path}/question/answer`, {});
    expect((await teacher.get<BoardAnswer>(`${path}/board`)).body.helped).toMatchObject([
      { misread: 1, soon: { right: 0, again: 0, notYet: 1 } },
      { misread: 2, soon: { right: 1, again: 1, notYet: 0 } },
      {},
    ]);
    await teacher.delete(`${path}/question`);
  });
});

describe('a real station', () => {
  it('is judged by the teacher’s reading and tolerance, and by the class’s digits', async () => {
    const station = { ...cylinder, tag: 'C-07', reading: '31.4', tolerance: '0.5' };
    const shown = await teacher.post<StaffQuestionAnswer>(`${path}/station`, {
      id: randomUUID(),
      ...station,
    });
    expect(shown.body.question).toMatchObject({
      tag: 'C-07',
      text: '31.4',
      question: 'Go to C-07 and read it.',
    });
    const answers = [
      ['Junia Fell', '31.9', 'right'],
      ['Ivo Brack', '32.0', 'wrong'],
      ['Kester Pike', '31.40', 'wrong'],
    ] as const;
    const told: (() => Promise<void>)[] = [];
    for (const [name, text, outcome] of answers) {
      const reader = await harness.asStudent(name);
      const setting = (await take(reader)).body;
      expect(setting.picture).toEqual({ kind: 'graduated-cylinder', model: 'cylinder-50-1', tag: 'C-07' });
      expect((await answer(reader, setting.id, text)).body.verdict.outcome).toBe('held');
      told.push(async () => {
        const { attempts } = (await reader.get<SettingAnswer>(`/api/bench/settings/${setting.id}`)).body;
        expect(attempts.map(({ verdict }) => verdict.outcome)).toEqual([outcome]);
      });
    }
    await teacher.delete(`${path}/question`);
    for (const look of told) await look();
  });

  it.each([
    [{ reading: 'thirty' }, /reading cannot be read/],
    [{ tolerance: '-1' }, /without a sign/],
    [{ tag: ' ' }, /label/],
  ])('with %j is refused', async (part, sentence) => {
    const station = { ...cylinder, tag: 'C-07', reading: '31.4', tolerance: '0.5', ...part };
    expect(await teacher.post(`${path}/station`, { id: randomUUID(), ...station })).toMatchObject({
      status: 422,
      body: { detail: expect.stringMatching(sentence) },
    });
  });
});

describe('the scale in words', () => {
  it('is told to whom the teacher allows it, without the answer', async () => {
    const setting = (
      await student.post<SettingAnswer>('/api/bench/settings', {
        id: randomUUID(),
        ...cylinder,
        mode: 'read',
      })
    ).body;
    const ask = () => student.post<WordsAnswer>(`/api/bench/settings/${setting.id}/words`, { hands: null });
    expect(setting.mayHear).toBe(false);
    expect((await ask()).status).toBe(403);
    const { students } = (await teacher.get<BoardAnswer>(`${path}/board`)).body;
    const delphi = students.find(({ name }) => name === 'Delphi Marsh')!.id;
    expect((await teacher.post(`${path}/students/${delphi}`, { spoken: true })).status).toBe(200);
    const { words } = (await ask()).body;
    expect((await student.get<SettingAnswer>(`/api/bench/settings/${setting.id}`)).body.mayHear).toBe(true);
    expect(words.join(' ')).toMatch(/numbered line below the level is/);
    expect(words.join(' ')).not.toContain('Together');
    // What is still to be handled is told as such.
    const screw = { id: randomUUID(), kind: 'micrometer', model: 'micrometer-plain', mode: 'handle' };
    await student.post<SettingAnswer>('/api/bench/settings', screw);
    const open = await student.post<WordsAnswer>(`/api/bench/settings/${screw.id}/words`, {
      hands: { at: 24.9, locked: false },
    });
    expect(open.body.words).toMatchObject([expect.stringContaining('ratchet')]);
    expect((await teacher.post(`${path}/students/${randomUUID()}`, { spoken: true })).status).toBe(404);
    expect((await student.post(`${path}/students/${delphi}`, { spoken: true })).status).toBe(403);
  });
});

describe('which instrument', () => {
  it('computes what each would give, and names the plainest that is enough', async () => {
    const { body } = await student.post<WhichAnswer>('/api/bench/which', {
      size: '18',
      unit: 'mm',
      percent: '1',
    });
    expect(body.plainest).toBe('vernier-10-19');
    expect(body.choices[0]).toMatchObject({ model: 'micrometer-vernier', fits: true, enough: true });
    const wide = await student.post<WhichAnswer>('/api/bench/which', {
      size: '40',
      unit: 'mm',
      percent: '0.01',
    });
    expect(wide.body.plainest).toBeNull();
    expect(wide.body.choices.find(({ kind }) => kind === 'micrometer')?.fits).toBe(false);
    expect(
      (await student.post<WhichAnswer>('/api/bench/which', { size: 'x', unit: 'mm', percent: '1' })).status,
    ).toBe(422);
    expect(
      (await student.post<WhichAnswer>('/api/bench/which', { size: '1', unit: 'ell', percent: '1' })).status,
    ).toBe(422);
  });
});
