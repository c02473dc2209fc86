import type { BenchAnswer, SessionAnswer } from '@green-beam/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Harness } from '../../test/harness';

let harness: Harness;
beforeAll(async () => {
  harness = await startHarness();
});
afterAll(() => harness.close());

const student = { classCode: 'TERN9', name: 'Delphi Marsh', passphrase: 'delphi lantern quay' };

describe('signing in', () => {
  it.each([
    ['by name', { name: 'Ms Marrow', password: 'level beam 9' }],
    ['by address', { name: 'MARROW@lantern-quay.example', password: 'level beam 9' }],
  ])('lets a teacher in %s', async (_, body) => {
    const browser = harness.browser();
    const answer = await browser.post('/api/session/teacher', body);
    expect(answer).toMatchObject({
      status: 200,
      body: {
        who: {
          role: 'teacher',
          name: 'Ms Marrow',
          classes: [{ code: 'TERN9' }, { code: 'PLVR8' }, { code: 'GANT12' }],
        },
      },
    });
    expect(answer.headers.get('set-cookie')).toMatch(/HttpOnly.*SameSite=Lax/);
    expect((await browser.get<SessionAnswer>('/api/session')).body.who?.name).toBe('Ms Marrow');
  });

  it.each([
    ['as on the slip', student],
    [
      'however they space and case it',
      { classCode: ' tern9 ', name: ' delphi  MARSH', passphrase: 'Delphi-Lantern  Quay' },
    ],
  ])('lets a student in %s', async (_, body) => {
    expect(await harness.browser().post('/api/session/student', body)).toMatchObject({
      status: 200,
      body: { who: { role: 'student', name: 'Delphi Marsh' } },
    });
  });

  it('tells nobody whether the class, the name or the passphrase was wrong', async () => {
    const answers = await Promise.all(
      [
        { ...student, passphrase: 'no' },
        { ...student, name: 'Nobody' },
        { ...student, classCode: 'NONE' },
      ].map((body) => harness.browser().post('/api/session/student', body)),
    );
    for (const answer of answers)
      expect(answer).toMatchObject({
        status: 401,
        body: { detail: 'The name or the passphrase is not right.' },
      });
  });

  it('signs out, and the old cookie is worth nothing', async () => {
    const browser = await harness.asStudent('Delphi Marsh');
    await browser.delete('/api/session');
    expect((await browser.get<BenchAnswer>('/api/bench')).status).toBe(401);
  });

  it.each(['aaaaaaaaaaaa', 'password123', 'qwertyuiop', '1234567890', 'Ms Marrow 1'])(
    'takes no password that is guessed at once: %s',
    async (next) => {
      const browser = await harness.asTeacher();
      const answer = await browser.post('/api/session/password', { current: 'level beam 9', next });
      expect(answer).toMatchObject({
        status: 422,
        body: { detail: expect.stringMatching(/first that people try/) },
      });
    },
  );

  it('counts eight tries from a device, whatever name the device gives itself', async () => {
    const made = harness.browser();
    const mark = 'green-beam-device=6f1c1b7e-2f43-4a9c-9d53-1b2e3f4a5b6c.' + 'A'.repeat(43);
    const statuses: number[] = [];
    for (let at = 0; at < 9; at += 1) {
      const cookie = mark.replace('6f1c', `6f1${at}`);
      const answer = await made.post(
        '/api/session/student',
        { ...student, name: 'Thora Gale', passphrase: 'wrong' },
        { cookie },
      );
      statuses.push(answer.status);
    }
    expect(statuses).toEqual([...Array<number>(8).fill(401), 429]);
  });

  it('slows down one account without locking out the room behind the same address', async () => {
    const wrong = { ...student, name: 'Ivo Brack', passphrase: 'wrong' };
    for (let at = 0; at < 8; at += 1)
      expect((await harness.browser().post('/api/session/student', wrong)).status).toBe(401);
    const refused = await harness
      .browser()
      .post('/api/session/student', { ...wrong, passphrase: 'ivo lantern quay' });
    expect(refused).toMatchObject({ status: 429, body: { code: 'too-many-tries' } });
    expect(Number(refused.headers.get('retry-after'))).toBeGreaterThan(0);
    expect((await harness.browser().post('/api/session/student', student)).status).toBe(200);
  });
});

describe('what is refused', () => {
  it('refuses a change that comes from another site, or from nowhere', async () => {
    const browser = await harness.asTeacher();
    for (const origin of ['https://elsewhere.example', 'null', '']) {
      expect(await browser.post('/api/classes', { name: 'x' }, { origin })).toMatchObject({
        status: 403,
        body: { code: 'other-origin' },
      });
    }
  });

  it.each([
    ['malformed JSON', '{"name": ', 400, 'not-json'],
    ['no fields', {}, 422, 'not-valid'],
    ['a field of another kind', { name: ['Ms Marrow'], password: 'x' }, 422, 'not-valid'],
    ['over-long text', { name: 'x'.repeat(5000), password: 'x' }, 422, 'not-valid'],
    ['a zero character', { name: 'Ms\u0000Marrow', password: 'x' }, 422, 'not-valid'],
    ['a huge body', { name: 'x'.repeat(100_000), password: 'x' }, 413, 'too-large'],
  ])('answers %s with a problem document', async (_, body, status, code) => {
    const answer = await harness.browser().post('/api/session/teacher', body);
    expect(answer).toMatchObject({ status, body: { code, status, detail: expect.stringMatching(/\.$/) } });
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
  });

  it('denies by default: unknown addresses, and every room without a sign-in', async () => {
    const browser = harness.browser();
    expect((await browser.get('/api/nothing')).status).toBe(404);
    for (const path of [
      '/api/bench',
      '/api/logbooks',
      '/api/events',
      '/api/classes/7b0e3b0c-6f43-4b7e-8a52-0c8a2f6d9e01/board',
    ]) {
      expect(await browser.get(path)).toMatchObject({ status: 401, body: { code: 'not-signed-in' } });
    }
  });

  it('sends a strict content-security policy', async () => {
    const policy = (await harness.browser().get<SessionAnswer>('/api/session')).headers.get(
      'content-security-policy',
    );
    expect(policy).toContain("default-src 'none'");
    expect(policy).not.toContain('unsafe');
  });
});
