import type { LogbooksAnswer, SessionAnswer, SlipsAnswer } from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { nextEvent } from '../../test/events';
import { startHarness, type Browser, type Harness } from '../../test/harness';
import { guessesPerDevice } from './limits';

let harness: Harness;
let teacher: Browser;
let classId: string;
let clock = Date.now();
beforeAll(async () => {
  harness = await startHarness({ now: () => new Date(clock) });
  teacher = await harness.asTeacher();
  classId = (await teacher.get<SessionAnswer>('/api/session')).body.who!.classes[0]!.id;
});
afterAll(() => harness.close());

const hour = 3_600_000;
const idOf = async (name: string) => (await harness.database.models.people.findOne({ where: { name } }))!.id;
const signIn = (name: string, passphrase: string, browser = harness.browser()) =>
  browser.post('/api/session/student', { classCode: 'TERN9', name, passphrase });
const signInTeacher = (password: string, browser = harness.browser()) =>
  browser.post('/api/session/teacher', { name: 'Ms Marrow', password });

describe('for whom a request is made', () => {
  it('is answered with 401 where it is not whose the session is, and nothing is stored', async () => {
    const delphi = await harness.asStudent('Delphi Marsh');
    const { body } = await delphi.get<LogbooksAnswer>('/api/logbooks');
    const path = `/api/logbooks/${body.logbooks.find(({ logbookId }) => logbookId)!.logbookId}`;
    const mate = await harness.asStudent('Bastian Wren');
    const before = await harness.database.models.logbookEntries.count();
    for (const person of [mate.personId, randomUUID(), 'x', ''])
      expect(
        await delphi.post(
          `${path}/entries`,
          {
            id: randomUUID(),
            trial: 9,
            column: 'mass',
            text: '1.0',
            writtenAt: new Date(clock).toISOString(),
          },
          { 'x-person': person },
        ),
      ).toMatchObject({ status: 401, body: { code: 'other-person' } });
    expect(await harness.database.models.logbookEntries.count()).toBe(before);
    expect((await delphi.raw('GET', '/api/bench', { 'x-person': '' })).status).toBe(401);
    // An address that can carry no header says it in itself.
    expect(
      (await delphi.raw('GET', `/api/bench?for=${delphi.personId}`, { 'x-person': delphi.personId })).status,
    ).toBe(200);
  });
});

describe('a session', () => {
  it('ends with the browser, unless the device is one’s own', async () => {
    const cookie = async (ownDevice: boolean) =>
      (
        await harness.browser().post('/api/session/student', {
          classCode: 'TERN9',
          name: 'Delphi Marsh',
          passphrase: 'delphi lantern quay',
          ownDevice,
        })
      ).headers
        .getSetCookie()
        .find((line) => line.startsWith('green-beam='));
    expect(await cookie(false)).not.toMatch(/Expires|Max-Age/);
    expect(await cookie(true)).toMatch(/Expires/);
  });

  it.each([
    ['of a shared laptop', false, 2, 3],
    ['of one’s own device', true, 13 * 24, 14 * 24],
  ])('%s lasts while it is used, and ends after so long without', async (_, ownDevice, lasts, ends) => {
    const browser = harness.browser();
    await browser.post('/api/session/student', {
      classCode: 'TERN9',
      name: 'Delphi Marsh',
      passphrase: 'delphi lantern quay',
      ownDevice,
    });
    const before = clock;
    clock += lasts * hour;
    expect((await browser.get('/api/bench')).status).toBe(200);
    clock += lasts * hour;
    expect((await browser.get('/api/bench')).status).toBe(200);
    clock += ends * hour + 1000;
    expect(await browser.get('/api/bench')).toMatchObject({ status: 401, body: { code: 'not-signed-in' } });
    clock = before;
  });

  it('of a shared laptop ends after twelve hours in any case', async () => {
    const browser = await harness.asStudent('Delphi Marsh');
    const before = clock;
    for (let used = 0; used < 5; used += 1) {
      clock += 2.3 * hour;
      expect((await browser.get('/api/bench')).status).toBe(200);
    }
    clock += 1 * hour;
    expect((await browser.get('/api/bench')).status).toBe(401);
    clock = before;
  });

  it('is known to the database by a hash only', async () => {
    const browser = await harness.asStudent('Delphi Marsh');
    const answer = await signIn('Delphi Marsh', 'delphi lantern quay', browser);
    const cookie = decodeURIComponent(
      answer.headers.getSetCookie().find((line) => line.startsWith('green-beam='))!,
    );
    const [, value = ''] = /=s:([^.]+)\./.exec(cookie) ?? [];
    expect(value.length).toBeGreaterThan(20);
    expect(await harness.database.models.sessions.count({ where: { id: value } })).toBe(0);
  });

  it('ends at once with a new slip, and its open page is told', async () => {
    const student = await harness.asStudent('Kester Pike');
    const stream = await student.stream('/api/events');
    const { body } = await teacher.post<SlipsAnswer>(`/api/classes/${classId}/slips`, {
      studentIds: [await idOf('Kester Pike')],
    });
    expect((await student.get('/api/bench')).status).toBe(401);
    expect(await nextEvent(stream, 'session')).toBeDefined();
    expect((await signIn('Kester Pike', 'kester lantern quay')).status).toBe(401);
    expect((await signIn('Kester Pike', body.slips[0]!.passphrase)).status).toBe(200);
  });

  it('ends at once with the place in the class, and so does its open page', async () => {
    const student = await harness.asStudent('Magnus Dell');
    const stream = await student.stream('/api/events');
    await teacher.delete(`/api/classes/${classId}/students/${await idOf('Magnus Dell')}`);
    expect((await student.get('/api/logbooks')).status).toBe(401);
    expect(await nextEvent(stream, 'session')).toBeDefined();
    expect((await signIn('Magnus Dell', 'magnus lantern quay')).status).toBe(401);
  });

  it('ends everywhere when one signs out everywhere', async () => {
    const [here, there] = [await harness.asStudent('Silas Burr'), await harness.asStudent('Silas Burr')];
    await here.delete('/api/session/everywhere');
    expect([(await here.get('/api/bench')).status, (await there.get('/api/bench')).status]).toEqual([
      401, 401,
    ]);
  });

  it('ends its stream when one signs out', async () => {
    const student = await harness.asStudent('Thora Gale');
    const stream = await student.stream('/api/events');
    await student.delete('/api/session');
    expect(await nextEvent(stream, 'session')).toBeDefined();
  });
});

describe('open pages', () => {
  it('of one person are so many and no more', async () => {
    const student = await harness.asStudent('Junia Fell');
    const streams = await Promise.all(Array.from({ length: 6 }, () => student.stream('/api/events')));
    expect(await student.get('/api/events')).toMatchObject({ status: 429, body: { code: 'too-many-pages' } });
    await Promise.all(streams.map((stream) => stream.cancel()));
  });

  it('hear of a class that is made after they were opened', async () => {
    const stream = await teacher.stream('/api/events');
    const { body } = await teacher.post<{ id: string }>('/api/classes', { name: '9 Dunlin' });
    expect(await nextEvent(stream, 'classes')).toBeDefined();
    await teacher.post(`/api/classes/${body.id}/students`, { names: ['Quite New'] });
    expect(await nextEvent(stream, 'board')).toMatchObject({ classId: body.id });
    await stream.cancel();
  });
});

describe('a password', () => {
  it('that was printed opens nothing but its change; other sessions end with it', async () => {
    await harness.database.models.people.update({ mustChange: true }, { where: { name: 'Mr Teal' } });
    const fresh = await harness.asTeacher('Mr Teal', 'level beam 10');
    const other = await harness.asTeacher('Mr Teal', 'level beam 10');
    expect((await fresh.get<SessionAnswer>('/api/session')).body.mustChange).toBe(true);
    expect(await fresh.get(`/api/classes/${classId}/board`)).toMatchObject({
      status: 403,
      body: { code: 'password-first' },
    });
    const change = (current: string, next: string) =>
      fresh.post<SessionAnswer>('/api/session/password', { current, next });
    expect((await change('wrong', 'amber lantern quay')).status).toBe(422);
    expect((await change('level beam 10', 'short')).status).toBe(422);
    expect((await change('level beam 10', 'level beam 10')).status).toBe(422);
    expect(await change('level beam 10', 'amber lantern quay')).toMatchObject({
      status: 200,
      body: { mustChange: false },
    });
    expect((await fresh.get(`/api/classes/${classId}/board`)).status).toBe(200);
    expect((await other.get('/api/bench')).status).toBe(401);
    await harness.asTeacher('Mr Teal', 'amber lantern quay');
  });
});

describe('sign-in limits', () => {
  /** A browser as a real one: it has a name before it signs in. */
  const device = async () => {
    const browser = harness.browser();
    await browser.get('/api/session');
    return browser;
  };

  it('are exact, however many guesses come at once', async () => {
    const browser = await device();
    const answers = await Promise.all(
      Array.from({ length: 150 }, (_, nth) => signIn('Ivo Brack', `wrong ${nth}`, browser)),
    );
    const count = (status: number) => answers.filter((answer) => answer.status === status).length;
    expect([count(401), count(429)]).toEqual([guessesPerDevice, 150 - guessesPerDevice]);
    expect(answers.find(({ status }) => status === 429)!.body).toMatchObject({
      detail: expect.stringMatching(/on this device\. Wait 10 minutes, or ask your teacher for a new slip/),
    });
  });

  it('let a prankster lock out neither who he guesses at, nor the class, nor the teacher', async () => {
    const usual = await device();
    expect((await signIn('Verity Moss', 'verity lantern quay', usual)).status).toBe(200);
    // 300 guesses from ever new devices behind the same address, at one classmate, at all and at the teacher.
    await Promise.all(
      Array.from({ length: 300 }, async (_, nth) => {
        const browser = await device();
        return nth % 3 === 0
          ? signInTeacher(`wrong ${nth}`, browser)
          : signIn(nth % 3 === 1 ? 'Verity Moss' : 'Xanthe Reed', `wrong ${nth}`, browser);
      }),
    );
    expect((await signIn('Verity Moss', 'verity lantern quay', usual)).status).toBe(200);
    expect((await signIn('Verity Moss', 'verity lantern quay', await device())).status).toBe(200);
    expect((await signIn('Wilfred Sand', 'wilfred lantern quay', await device())).status).toBe(200);
    expect((await signInTeacher('level beam 9', await device())).status).toBe(200);
  });

  it('close an account to new devices after very many guesses, never to one that it knows', async () => {
    const known = await device();
    await signIn('Adaline Moor', 'adaline lantern quay', known);
    await harness.database.sequelize.query(
      `update sign_in_limits set points = 2000, expire = ${Date.now() + hour} where key = 'account:student:TERN9:adaline moor'`,
    );
    await signIn('Adaline Moor', 'wrong', await device());
    await harness.database.sequelize.query(
      `update sign_in_limits set points = 2000, expire = ${Date.now() + hour} where key = 'account:student:TERN9:adaline moor'`,
    );
    expect((await signIn('Adaline Moor', 'adaline lantern quay', await device())).status).toBe(429);
    expect((await signIn('Adaline Moor', 'adaline lantern quay', known)).status).toBe(200);
  });

  it('are forgotten with a new slip, as the message says', async () => {
    const browser = await device();
    for (let nth = 0; nth < 9; nth += 1) await signIn('Ottilie Crane', 'wrong', browser);
    const id = (await harness.database.models.people.findOne({ where: { name: 'Xanthe Reed' } }))!.id;
    for (let nth = 0; nth < 9; nth += 1) await signIn('Xanthe Reed', 'wrong', browser);
    expect((await signIn('Xanthe Reed', 'xanthe lantern quay', browser)).status).toBe(429);
    const { body } = await teacher.post<SlipsAnswer>(`/api/classes/${classId}/slips`, { studentIds: [id] });
    expect((await signIn('Xanthe Reed', body.slips[0]!.passphrase, browser)).status).toBe(200);
  });
});
