import {
  personHeader,
  type BoardAnswer,
  type LogbooksAnswer,
  type SessionAnswer,
  type SettingAnswer,
} from '@green-beam/contract';
import type { Random } from '@green-beam/core';
import { hash } from '@node-rs/argon2';
import { randomUUID } from 'node:crypto';
import { request as send, type Agent } from 'node:http';
import { fuzzBodies } from './fuzzBodies';
import type { Harness } from './harness';
import { onePixel } from './picture';
import { nastyAddresses, nastyPart, spoilt } from './nasty';

const roles = ['nobody', 'student', 'assistant', 'teacher'] as const;
type Role = (typeof roles)[number];
interface Person {
  cookie: string;
  id: string;
}

export interface Made {
  readonly role: Role;
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | undefined;
}

/** A class with people in it, and what they own. */
export class Stage {
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
    const question = await teacher.post<{ question: { id: string } }>(`/api/classes/${classId}/question`, {
      id: randomUUID(),
      kind: 'ruler',
      model: 'ruler-mm',
    });
    const photoId = randomUUID();
    const logbookId = books.find((line) => line.logbookId)?.logbookId ?? '';
    await student.put(`/api/logbooks/${logbookId}/photos/${photoId}`, onePixel, 'image/png');
    const names = {
      classId: [classId],
      settingId: [setting.body.id],
      itemId: [item.body.id],
      logbookId: [logbookId],
      photoId: [photoId],
      investigationId: books.map(({ investigationId }) => investigationId),
      questionId: [question.body.question.id],
      // Not the student who asks: taken out of the class, nothing could be asked any more.
      studentId: board.students.filter(({ name }) => name !== 'Verity Moss').map(({ id }) => id),
    };
    const bodies = fuzzBodies(names.studentId[0] ?? '');
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
