import {
  personHeader,
  type BoardAnswer,
  type LogbooksAnswer,
  type SessionAnswer,
  type SettingAnswer,
} from '@green-beam/contract';
import { boltPin, seeded, type Random } from '@green-beam/core';
import { hash } from '@node-rs/argon2';
import { randomUUID } from 'node:crypto';
import { Agent, request as send } from 'node:http';
import type { Harness } from './harness';
import { nastyAddresses, nastyPart, spoilt } from './nasty';

const roles = ['nobody', 'student', 'assistant', 'teacher'] as const;
type Role = (typeof roles)[number];
interface Person {
  cookie: string;
  id: string;
}

export interface Told {
  readonly requests: number;
  /** Answers by status. */
  readonly statuses: Readonly<Record<string, number>>;
  /** What was answered with a fault of the server, as it was asked. */
  readonly faults: readonly string[];
  readonly resets: readonly string[];
  /** The longest answer, in milliseconds. */
  readonly longestMs: number;
  readonly slow: readonly string[];
}

const slowMs = 2_000;
const atOnce = 8;

/** Sends seeded requests over all routes, as nobody, a student, an assistant and a teacher, most of them spoilt somewhere. */
export async function fuzz(harness: Harness, seed: number, count: number): Promise<Told> {
  const random = seeded(seed);
  const stage = await Stage.set(harness);
  const statuses: Record<string, number> = {};
  const [faults, resets, slow]: [string[], string[], string[]] = [[], [], []];
  let longestMs = 0;
  let left = count;
  const agent = new Agent({ keepAlive: true, maxSockets: atOnce });
  const worker = async () => {
    while (left > 0) {
      left -= 1;
      const made = stage.request(random);
      const line = `${made.role} ${made.method} ${made.path.slice(0, 200)} ${made.body?.slice(0, 300) ?? ''}`;
      const began = performance.now();
      try {
        const { status, cookie } = await stage.send(made, agent);
        statuses[status] = (statuses[status] ?? 0) + 1;
        if (status >= 500) faults.push(`${status} ${line}`);
        await stage.after(made, status, cookie);
      } catch (error) {
        resets.push(`${String(error)} ${line}`);
      }
      const took = performance.now() - began;
      longestMs = Math.max(longestMs, took);
      if (took > slowMs) slow.push(`${Math.round(took)} ms ${line}`);
    }
  };
  await Promise.all(Array.from({ length: atOnce }, worker));
  agent.destroy();
  return { requests: count, statuses, faults, resets, longestMs, slow };
}

interface Made {
  readonly role: Role;
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | undefined;
}

/** A class with people in it, and what they own. */
class Stage {
  private constructor(
    private readonly harness: Harness,
    private readonly people: Record<Role, Person>,
    private readonly names: Readonly<Record<string, readonly string[]>>,
    private readonly bodies: Readonly<Record<string, () => object>>,
  ) {}

  static async set(harness: Harness): Promise<Stage> {
    const { models } = harness.database;
    const teacher = await harness.asTeacher();
    const { who } = (await teacher.get<SessionAnswer>('/api/session')).body;
    const classId = who?.classes[0]?.id ?? '';
    const assistantId = randomUUID();
    await models.people.create({
      id: assistantId,
      role: 'teacher',
      name: 'Assistant Finch',
      address: null,
      secretHash: await hash('x'),
    });
    await models.classStaff.create({ classId, personId: assistantId, role: 'assistant' });
    const student = await harness.asStudent('Verity Moss');
    const board = (await teacher.get<BoardAnswer>(`/api/classes/${classId}/board`)).body;
    const books = (await student.get<LogbooksAnswer>('/api/logbooks')).body.logbooks;
    const setting = await student.post<SettingAnswer>('/api/bench/settings', {
      id: randomUUID(),
      kind: 'vernier-caliper',
      mode: 'handle',
    });
    const item = await student.post<{ id: string }>('/api/drills/items', { id: randomUUID(), kind: 'sums' });
    const show = await teacher.post<{ show: { id: string } }>(`/api/classes/${classId}/show`, {
      id: randomUUID(),
      kind: 'ruler',
      model: 'ruler-mm',
    });
    const photoId = randomUUID();
    const logbookId = books.find((line) => line.logbookId)?.logbookId ?? '';
    await student.put(
      `/api/logbooks/${logbookId}/photos/${photoId}`,
      Buffer.from('89504e470d0a1a0a0000', 'hex'),
      'image/png',
    );
    const names = {
      classId: [classId],
      settingId: [setting.body.id],
      itemId: [item.body.id],
      logbookId: [logbookId],
      photoId: [photoId],
      investigationId: books.map(({ investigationId }) => investigationId),
      showId: [show.body.show.id],
      // Not the student who asks: taken out of the class, nothing could be asked any more.
      studentId: board.students.filter(({ name }) => name !== 'Verity Moss').map(({ id }) => id),
    };
    const entry = () => ({
      id: randomUUID(),
      trial: 1,
      column: 'mass',
      text: '214.6',
      tag: null,
      supplied: false,
      replaces: null,
      reason: null,
      takenId: null,
      attemptId: null,
      writtenAt: new Date().toISOString(),
    });
    const attempt = () => ({
      id: randomUUID(),
      text: '12.40',
      unit: 'mm',
      hands: { jaw: 12.3, lock: false },
      parts: null,
    });
    const bodies: Record<string, () => object> = {
      'post /api/session/teacher': () => ({ name: 'Ms Marrow', password: 'no', ownDevice: false }),
      'post /api/session/student': () => ({
        classCode: 'TERN9',
        name: 'Delphi Marsh',
        passphrase: 'no',
        ownDevice: false,
      }),
      'post /api/session/password': () => ({ current: 'no', next: 'something longer' }),
      'post /api/bench/settings': () => ({
        id: randomUUID(),
        kind: 'burette',
        mode: 'handle',
        model: 'burette-50-0_1',
      }),
      'post /api/bench/settings/:settingId/words': () => ({ hands: { jaw: 1 } }),
      'post /api/bench/settings/:settingId/attempts': attempt,
      'post /api/bench/which': () => ({ size: '12.4', unit: 'mm', percent: '1' }),
      'post /api/shows/:showId/settings': () => ({ id: randomUUID() }),
      'post /api/classes/:classId/show': () => ({
        id: randomUUID(),
        kind: 'ruler',
        model: 'ruler-mm',
        indicates: '12.4',
      }),
      'post /api/classes/:classId/station': () => ({
        id: randomUUID(),
        kind: 'ruler',
        model: 'ruler-mm',
        tag: 'R-1',
        reading: '12.4',
        tolerance: '0.1',
      }),
      'post /api/balance/readings': () => ({}),
      'post /api/drills/items': () => ({ id: randomUUID(), kind: 'rounding' }),
      'post /api/drills/items/:itemId/attempts': () => ({ id: randomUUID(), text: '12.4', unit: 'g' }),
      'post /api/logbooks/:logbookId/calculations': () => ({
        id: randomUUID(),
        expression: '214.6 g / 24.5 mL',
      }),
      'post /api/investigations/:investigationId/logbook': () => ({}),
      'post /api/logbooks/:logbookId/entries': entry,
      'post /api/logbooks/:logbookId/blocks': () => ({ id: randomUUID(), entries: [entry(), entry()] }),
      'post /api/classes/:classId/investigations': () => ({
        id: randomUUID(),
        replaces: null,
        body: boltPin,
      }),
      'post /api/classes/:classId/investigations/:investigationId': () => ({ retired: false }),
      'post /api/classes': () => ({ name: '9 Gull' }),
      'post /api/classes/:classId/students': () => ({ names: ['New One', 'New Two'] }),
      'post /api/classes/:classId/students/:studentId': () => ({ spoken: true }),
      'post /api/classes/:classId/slips': () => ({ studentIds: [names.studentId[0]], everyone: false }),
    };
    const stage = new Stage(
      harness,
      { nobody: { cookie: '', id: '' }, student: none(), assistant: none(), teacher: none() },
      names,
      bodies,
    );
    for (const role of roles) await stage.revive(role);
    return stage;
  }

  request(random: Random): Made {
    const role = random.pick(roles);
    const { id, cookie } = this.people[role];
    const person = random.chance(0.9)
      ? id
      : random.pick(['', randomUUID(), 'x', this.people.teacher.id, '%00']);
    const headers: Record<string, string> = { cookie, [personHeader]: person, origin: this.harness.address };
    if (random.chance(0.03)) headers['origin'] = random.pick(['null', 'https://elsewhere.example', 'x']);
    if (random.chance(0.06))
      return {
        role,
        method: random.pick(['GET', 'POST', 'HEAD', 'OPTIONS', 'PUT', 'DELETE', 'PATCH']),
        path: random.pick(nastyAddresses),
        headers,
        body: undefined,
      };
    const route = random.pick(this.harness.routes);
    // Those that end things for everybody are asked less often.
    const rare = /session|slips|events/.test(route.path) && !random.chance(0.05);
    const { method, path } = rare
      ? random.pick(this.harness.routes.filter((other) => !/session|slips|events/.test(other.path)))
      : route;
    const filled = Object.fromEntries(
      Object.entries(this.names).map(([name, ids]) => [
        name,
        random.chance(0.85) ? random.pick(ids) : random.chance(0.4) ? randomUUID() : nastyPart(random),
      ]),
    );
    const address = path.replace(/:(\w+)/g, (_, name: string) => filled[name] ?? 'x');
    const query = random.chance(0.15)
      ? `?${random.pick(['after', 'students', 'for', '__proto__', 'x[y]'])}=${nastyPart(random)}`
      : '';
    if (method === 'put') {
      const body = random.pick(['\x89PNG\r\n\x1a\n0000', '\xff\xd8\xff0', 'no picture', '']);
      return {
        role,
        method: 'PUT',
        path: address + query,
        headers: {
          ...headers,
          'content-type': random.pick(['image/png', 'image/jpeg', 'text/html', 'application/json', '']),
        },
        body,
      };
    }
    const template = this.bodies[`${method} ${path}`];
    if (method !== 'post' || !template)
      return { role, method: method.toUpperCase(), path: address + query, headers, body: undefined };
    const text = JSON.stringify(random.chance(0.25) ? template() : spoilt(template(), random));
    const broken = random.chance(0.04)
      ? random.pick([text.slice(0, -2), '{', '', 'null', '[]', '"x"', text + '}', '\u0000'])
      : text;
    return {
      role,
      method: 'POST',
      path: address + query,
      headers: {
        ...headers,
        'content-type': random.chance(0.96)
          ? 'application/json'
          : random.pick(['text/plain', 'application/json; charset=utf-7', 'multipart/form-data', 'x']),
        ...(random.chance(0.01) ? { 'content-encoding': random.pick(['gzip', 'br', 'x']) } : {}),
      },
      body: broken,
    };
  }

  send(
    { method, path, headers, body }: Made,
    agent: Agent,
  ): Promise<{ status: number; cookie: string | undefined }> {
    const { hostname, port } = new URL(this.harness.address);
    return new Promise((resolve, reject) => {
      const asked = send({ hostname, port, method, path, headers: clean(headers), agent }, (answer) => {
        const status = answer.statusCode ?? 0;
        const cookie = answer.headers['set-cookie']?.find((line) => line.startsWith('green-beam='));
        // A stream would stay open: what it is answered with is enough.
        if (String(answer.headers['content-type']).startsWith('text/event-stream')) {
          asked.destroy();
          return resolve({ status, cookie });
        }
        answer.resume();
        answer.on('end', () => resolve({ status, cookie }));
        answer.on('error', reject);
      });
      asked.on('error', reject);
      asked.setTimeout(20_000, () => asked.destroy(new Error('no answer')));
      if (body !== undefined) asked.setHeader('content-length', Buffer.byteLength(body));
      asked.end(body);
    });
  }

  /** Whoever has been signed out signs in again. */
  async after({ role, headers, path }: Made, status: number, cookie: string | undefined): Promise<void> {
    const person = this.people[role];
    const own = headers[personHeader] === person.id && role !== 'nobody';
    if (cookie !== undefined && role !== 'nobody') await this.revive(role);
    else if (own && status === 401 && !path.startsWith('/api/session')) await this.revive(role);
  }

  private async revive(role: Role): Promise<void> {
    if (role === 'nobody') return;
    const { models } = this.harness.database;
    const name = { student: 'Verity Moss', assistant: 'Assistant Finch', teacher: 'Ms Marrow' }[role];
    const secret = role === 'student' ? 'verity lantern quay' : 'level beam 9';
    await models.people.update({ secretHash: await hash(secret), mustChange: false }, { where: { name } });
    const browser = this.harness.browser();
    await browser.get('/api/session');
    const answer = await browser.post(
      role === 'student' ? '/api/session/student' : '/api/session/teacher',
      role === 'student' ? { classCode: 'TERN9', name, passphrase: secret } : { name, password: secret },
    );
    if (answer.status !== 200) throw new Error(`${name} could not sign in: ${answer.status}`);
    const line = answer.headers.getSetCookie().find((own) => own.startsWith('green-beam='));
    this.people[role] = { cookie: line?.split(';')[0] ?? '', id: browser.personId };
  }
}

const none = (): Person => ({ cookie: '', id: '' });

/** Headers that can be sent at all. */
const clean = (headers: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(Object.entries(headers).filter(([, value]) => value !== ''));
