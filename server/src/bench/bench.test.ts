import type { BenchAnswer, SettingAnswer } from '@green-beam/contract';
import {
  expectReading,
  instrumentOf,
  instruments,
  presetNamed,
  type MicrometerPicture,
  type Setting,
} from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let student: Browser;
beforeAll(async () => {
  harness = await startHarness();
  student = await harness.asStudent('Delphi Marsh');
});
afterAll(() => harness.close());

const layOut = async (browser: Browser, body: object = {}) => {
  const id = randomUUID();
  const answer = await browser.post<SettingAnswer>('/api/bench/settings', {
    id,
    kind: 'graduated-cylinder',
    mode: 'read',
    model: 'cylinder-100-1',
    ...body,
  });
  expect(answer.status).toBe(200);
  return answer.body;
};
const attempt = (browser: Browser, settingId: string, text: string, rest: object = {}) =>
  browser.post(`/api/bench/settings/${settingId}/attempts`, {
    id: randomUUID(),
    text,
    unit: 'mL',
    hands: null,
    ...rest,
  });

/** The right answer, which only the database knows. */
async function keyTo(settingId: string): Promise<string> {
  const row = await harness.database.models.exercises.findByPk(settingId);
  const { setting } = row?.item as { setting: Setting };
  return expectReading(instrumentOf(setting.kind), setting, presetNamed('Chemistry bench')).text;
}

describe('a setting', () => {
  it('is drawn without its truth', async () => {
    const setting = await layOut(student);
    expect(setting).toMatchObject({
      kind: 'graduated-cylinder',
      triesLeft: 3,
      attempts: [],
      picture: { model: 'cylinder-100-1' },
    });
    expect(JSON.stringify(setting)).not.toContain('levelMl');
    expect(JSON.stringify(setting)).not.toContain('seed');
  });

  it('is the same again for the same id, and after a reload', async () => {
    const id = randomUUID();
    const body = { id, kind: 'three-beam-balance', mode: 'read' };
    const [first, second] = await Promise.all([
      student.post<SettingAnswer>('/api/bench/settings', body),
      student.post<SettingAnswer>('/api/bench/settings', body),
    ]);
    expect(first.body).toEqual(second.body);
    expect((await student.get(`/api/bench/settings/${id}`)).body).toEqual(first.body);
  });

  it.each([
    ['an unknown kind', { kind: 'astrolabe' }],
    ['an unknown model', { model: 'cylinder-7' }],
    ['an unknown mode', { mode: 'guess' }],
    ['an id that is none', { id: 'one' }],
  ])('refuses %s', async (_, part) => {
    const body = { id: randomUUID(), kind: 'graduated-cylinder', mode: 'read', ...part };
    expect(await student.post<SettingAnswer>('/api/bench/settings', body)).toMatchObject({
      status: 422,
      body: { code: 'not-valid' },
    });
  });

  it('belongs to its reader', async () => {
    const { id } = await layOut(student);
    const other = await harness.asStudent('Junia Fell');
    for (const answer of [await other.get(`/api/bench/settings/${id}`), await attempt(other, id, '50.0')]) {
      expect(answer).toMatchObject({ status: 403, body: { code: 'not-allowed' } });
    }
    expect((await student.get(`/api/bench/settings/${randomUUID()}`)).status).toBe(404);
    expect((await student.get('/api/bench/settings/not-an-id')).status).toBe(404);
  });
});

describe('a try', () => {
  it('is right, and then the build-up is told', async () => {
    const { id } = await layOut(student);
    const key = await keyTo(id);
    const { body } = await attempt(student, id, key);
    expect(body).toMatchObject({
      verdict: { outcome: 'right' },
      triesLeft: 0,
      solution: { text: key, unit: 'mL' },
    });
    expect(await attempt(student, id, key)).toMatchObject({ body: { code: 'setting-closed' } });
  });

  it('is wrong three times, and the answer is told only then', async () => {
    const { id } = await layOut(student);
    const key = await keyTo(id);
    const wrong = (Number(key) + 10).toFixed(1);
    for (const triesLeft of [2, 1]) {
      const { body } = await attempt(student, id, wrong);
      expect(body).toMatchObject({
        verdict: { outcome: 'wrong', explanations: [[{ code: 'next-label' }]] },
        triesLeft,
        solution: null,
      });
      expect(JSON.stringify(body)).not.toContain(key);
    }
    expect((await attempt(student, id, wrong)).body).toMatchObject({ triesLeft: 0, solution: { text: key } });
  });

  it.each(['12..3', '', '３７.2', '<script>alert(1)</script>', '1,234'])(
    'that cannot be read (%s) costs nothing',
    async (text) => {
      const { id } = await layOut(student);
      expect(await attempt(student, id, text)).toMatchObject({
        status: 200,
        body: { verdict: { outcome: 'unreadable', problem: { message: expect.any(String) } }, triesLeft: 3 },
      });
    },
  );

  it.each([
    ['over-long text', { text: '1'.repeat(61) }],
    ['no unit field', { unit: undefined }],
    ['hands that are none', { hands: 'two' }],
    ['a number for a text', { text: 37.2 }],
  ])('with %s is refused', async (_, part) => {
    const { id } = await layOut(student);
    expect(await attempt(student, id, '50.0', part)).toMatchObject({
      status: 422,
      body: { code: 'not-valid' },
    });
  });

  it('that is sent twice counts once', async () => {
    const { id } = await layOut(student);
    const body = { id: randomUUID(), text: '999.9', unit: 'mL', hands: null };
    const path = `/api/bench/settings/${id}/attempts`;
    const answers = await Promise.all([
      student.post(path, body),
      student.post(path, body),
      student.post(path, body),
    ]);
    for (const answer of answers) expect(answer).toMatchObject({ status: 200, body: { triesLeft: 2 } });
    const other = await layOut(student);
    expect(await student.post(`/api/bench/settings/${other.id}/attempts`, body)).toMatchObject({
      body: { code: 'already-used' },
    });
  });

  it('on a handled balance is judged by what the hands left', async () => {
    const { id } = await layOut(student, {
      kind: 'three-beam-balance',
      mode: 'handle',
      model: 'three-beam-600',
    });
    const hands = { hundreds: 0, tens: 10, ones: 2, screw: 0, onPan: true };
    expect((await attempt(student, id, '12.0', { unit: 'g', hands })).body).toMatchObject({
      verdict: {
        explanations: expect.arrayContaining([[expect.objectContaining({ code: 'not-balanced' })]]),
      },
    });
    expect((await attempt(student, id, '12.0', { unit: 'g', hands: { ...hands, tens: 1000 } })).status).toBe(
      422,
    );
    expect((await attempt(student, id, '12.0', { unit: 'g' })).status).toBe(422);
  });
});

it('says what to do first when the apparatus cannot be read yet, and takes no try for it', async () => {
  const setting = await layOut(student, { kind: 'micrometer', mode: 'handle', model: 'micrometer-plain' });
  const { at, touchesAt } = setting.picture as MicrometerPicture;
  expect(at).toBeGreaterThan(touchesAt);
  const open = await attempt(student, setting.id, '9.99', { unit: 'mm', hands: { at } });
  expect(open).toMatchObject({
    status: 200,
    body: { verdict: { outcome: 'not ready', message: expect.stringContaining('ratchet') }, triesLeft: 3 },
  });
  const closed = await attempt(student, setting.id, '0.01', { unit: 'mm', hands: { at: touchesAt } });
  expect(closed.body).toMatchObject({ verdict: { outcome: 'wrong' }, triesLeft: 2 });
});

it('says what a student can do, and what to practise', async () => {
  const { body } = await student.get<BenchAnswer>('/api/bench');
  expect(body.instruments.map(({ kind }) => kind)).toEqual(instruments.map(({ kind }) => kind));
  expect(body.suggestion).toMatchObject({ kind: expect.any(String), reason: expect.any(String) });
});
