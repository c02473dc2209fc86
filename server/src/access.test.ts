import { at, type LogbooksAnswer, type SettingAnswer } from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { onePixel } from '../test/picture';
import { startHarness, type Browser, type Harness } from '../test/harness';
import { demoClass } from './demo/scenario';
import { hashSecret } from './session/passphrase';

/** Who asks: nobody, a student of another class, of the same class, whose own it is; assistant, co-teacher, owner, another teacher. */
const askers = [
  'nobody',
  'otherClass',
  'sameClass',
  'own',
  'assistant',
  'coTeacher',
  'owner',
  'otherTeacher',
] as const;
type Asker = (typeof askers)[number];

/**
 * What each is answered at every route: `y` it is theirs, `1` they have to sign in, `3` it is not theirs. A route that is added
 * without a row here fails the test.
 */
const matrix: Readonly<Record<string, string>> = {
  //                                                          n o s o a c o o
  'get /api/session': 'yyyyyyyy',
  'post /api/session/teacher': 'yyyyyyyy',
  'post /api/session/student': 'yyyyyyyy',
  'post /api/session/password': '1333yyyy',
  'get /api/events': '1yyyyyyy',
  'get /api/bench': '1yyyyyyy',
  'post /api/bench/settings': '1yyyyyyy',
  'get /api/bench/settings/:settingId': '133y3333',
  'post /api/bench/settings/:settingId/words': '133y3333',
  'get /api/bench/settings/:settingId/presets': '133y3333',
  'post /api/bench/settings/:settingId/attempts': '133y3333',
  'post /api/bench/which': '1yyyyyyy',
  'get /api/question': '1yyy3333',
  'post /api/questions/:questionId/settings': '13yy3333',
  'get /api/classes/:classId/question': '1333yyy3',
  'post /api/classes/:classId/question': '13333yy3',
  'post /api/classes/:classId/question/answer': '13333yy3',
  'post /api/classes/:classId/station': '13333yy3',
  'get /api/balance': '1yyyyyyy',
  'post /api/balance/readings': '1yyyyyyy',
  'get /api/conventions': '1yyyyyyy',
  'get /api/drills': '1yyyyyyy',
  'post /api/drills/items': '1yyyyyyy',
  'get /api/drills/items/:itemId': '133y3333',
  'post /api/drills/items/:itemId/attempts': '133y3333',
  'post /api/rearranged': '1yyyyyyy',
  'post /api/spotted': '1yyyyyyy',
  'post /api/logbooks/:logbookId/calculations': '133y3333',
  'get /api/logbooks': '1yyyyyyy',
  'post /api/classes/:classId/logbooks': '1333yyy3',
  'post /api/investigations/:investigationId/logbook': '13yy3333',
  'get /api/logbooks/:logbookId': '133yyyy3',
  'post /api/logbooks/:logbookId/entries': '133y3333',
  'get /api/logbooks/:logbookId/reviews': '133yyyy3',
  'post /api/logbooks/:logbookId/reviews': '13333yy3',
  'post /api/logbooks/:logbookId/initials': '1333yyy3',
  'get /api/classes/:classId/marks': '1333yyy3',
  'get /api/logbooks/:logbookId/entries': '133yyyy3',
  'post /api/logbooks/:logbookId/blocks': '133y3333',
  'put /api/logbooks/:logbookId/photos/:photoId': '133y3333',
  'get /api/logbooks/:logbookId/photos/:photoId': '133yyyy3',
  'get /api/classes/:classId/investigations': '1333yyy3',
  'post /api/classes/:classId/investigations': '13333yy3',
  'get /api/classes/:classId/investigations/:investigationId/logbooks': '1333yyy3',
  'post /api/classes/:classId/investigations/:investigationId': '13333yy3',
  'get /api/classes/:classId/readings': '1333yyy3',
  'get /api/classes/:classId/comparisons': '1333yyy3',
  'post /api/classes/:classId/comparisons': '13333yy3',
  'get /api/stock': '1yyyyyyy',
  'post /api/stock': '13333yyy',
  'get /api/materials': '1yyyyyyy',
  'post /api/materials': '13333yyy',
  'post /api/classes': '1333yyyy',
  'post /api/classes/:classId': '13333yy3',
  'get /api/classes/:classId/staff': '1333yyy3',
  'post /api/classes/:classId/staff': '133333y3',
  'get /api/classes/:classId/everything': '13333yy3',
  'post /api/classes/:classId/deletion': '133333y3',
  'get /api/classes/:classId/rules': '1333yyy3',
  'post /api/classes/:classId/rules': '13333yy3',
  'get /api/tasks': '1yyy3333',
  'get /api/classes/:classId/tasks': '1333yyy3',
  'post /api/classes/:classId/tasks': '13333yy3',
  'post /api/classes/:classId/tasks/:taskId': '13333yy3',
  'get /api/call': '1yyy3333',
  'post /api/call': '1yyy3333',
  'get /api/classes/:classId/calls': '1333yyy3',
  'get /api/classes/:classId/benches': '1333yyy3',
  'post /api/classes/:classId/benches': '13333yy3',
  'get /api/classes/:classId/board': '1333yyy3',
  'get /api/classes/:classId/now': '1333yyy3',
  'get /api/classes/:classId/students/:studentId': '1333yyy3',
  'post /api/classes/:classId/students': '13333yy3',
  'post /api/classes/:classId/students/:studentId': '13333yy3',
  'post /api/classes/:classId/slips': '13333yy3',
  // What takes something away comes last.
  'delete /api/classes/:classId/question': '13333yy3',
  'delete /api/classes/:classId/students/:studentId': '13333yy3',
  'delete /api/classes/:classId/comparisons/:comparisonId': '13333yy3',
  'delete /api/classes/:classId/staff/:personId': '133333y3',
  'delete /api/call': '1yyy3333',
  'delete /api/classes/:classId/calls/:callId': '1333yyy3',
  'delete /api/stock/:pieceId': '13333yyy',
  'delete /api/materials/:materialId': '13333yyy',
  'delete /api/session/everywhere': '1yyyyyyy',
  'delete /api/session': 'yyyyyyyy',
};

let harness: Harness;
let browsers: Record<Asker, Browser>;
let names: Record<string, string>;
beforeAll(async () => {
  harness = await startHarness();
  const { models } = harness.database;
  const staff = async (name: string) => {
    const id = randomUUID();
    await models.people.create({
      id,
      role: 'teacher',
      name,
      address: null,
      secretHash: await hashSecret('x'),
    });
    return id;
  };
  const itsClass = await models.classes.findOne({ where: { code: demoClass.code } });
  const classId = itsClass!.id;
  await models.classStaff.create({ classId, personId: await staff('Assistant Finch'), role: 'assistant' });
  await staff('Dr Elsewhere');
  const elsewhere = await harness.asTeacher('Dr Elsewhere', 'x');
  const other = await elsewhere.post<{ id: string; code: string }>('/api/classes', { name: '9 Plover' });
  const slips = await elsewhere.post<{ slips: { passphrase: string }[] }>(
    `/api/classes/${other.body.id}/students`,
    { names: ['Far Away'] },
  );
  const otherClass = harness.browser();
  await otherClass.post('/api/session/student', {
    classCode: other.body.code,
    name: 'Far Away',
    passphrase: slips.body.slips[0]!.passphrase,
  });
  const delphi = await models.people.findOne({ where: { name: 'Delphi Marsh' } });
  await models.classStudents.update({ spoken: true }, { where: { personId: delphi!.id } });
  const own = await harness.asStudent('Delphi Marsh');
  browsers = {
    nobody: harness.browser(),
    otherClass,
    sameClass: await harness.asStudent('Xanthe Reed'),
    own,
    assistant: await harness.asTeacher('Assistant Finch', 'x'),
    coTeacher: await harness.asTeacher('Mr Teal', 'level beam 10'),
    owner: await harness.asTeacher(),
    otherTeacher: elsewhere,
  };
  const setting = await own.post<SettingAnswer>('/api/bench/settings', {
    id: randomUUID(),
    kind: 'ruler',
    mode: 'read',
  });
  const item = await own.post<{ id: string }>('/api/drills/items', {
    id: randomUUID(),
    kind: 'counting',
  });
  const book = (await own.get<LogbooksAnswer>('/api/logbooks')).body.logbooks.find(
    ({ logbookId }) => logbookId,
  )!;
  const photoId = randomUUID();
  await own.put(`/api/logbooks/${book.logbookId}/photos/${photoId}`, onePixel, 'image/png');
  const question = await browsers.owner.post<{ question: { id: string } }>(
    `/api/classes/${classId}/question`,
    {
      id: randomUUID(),
      kind: 'ruler',
      model: setting.body.picture.model,
    },
  );
  names = {
    classId,
    settingId: setting.body.id,
    itemId: item.body.id,
    logbookId: book.logbookId!,
    photoId,
    investigationId: book.investigationId,
    questionId: question.body.question.id,
    comparisonId: randomUUID(),
    taskId: randomUUID(),
    callId: randomUUID(),
    personId: randomUUID(),
    pieceId: randomUUID(),
    materialId: randomUUID(),
    studentId: (await harness.asStudent('Bastian Wren')).personId,
  };
});
afterAll(() => harness.close());

it('has a row for every route, and none besides', () => {
  const lines = harness.routes.map(({ method, path }) => `${method} ${path}`);
  expect(Object.keys(matrix).sort()).toEqual(lines.sort());
});

describe('who may', () => {
  it.each(Object.entries(matrix))('%s', async (route, row) => {
    const [method = '', path = ''] = route.split(' ');
    const address = at(path, names);
    const answers = [];
    for (const asker of askers) {
      const { personId, raw } = browsers[asker];
      // A stream would stay open: its headers tell.
      const body = method === 'post' ? '{}' : undefined;
      const headers = body === undefined ? {} : { 'content-type': 'application/json' };
      const { status } =
        path === '/api/events'
          ? await streamStatus(browsers[asker])
          : await raw(method.toUpperCase(), address, headers, body);
      expect(personId === '' ? 'nobody' : 'somebody').toBe(asker === 'nobody' ? 'nobody' : 'somebody');
      answers.push(
        status === 401 && !path.startsWith('/api/session/')
          ? '1'
          : status === 403
            ? '3'
            : signedOut(path, status),
      );
    }
    expect(answers.join('')).toBe(row);
  });
});

/** A sign-in that lacks its words is refused as not valid, not as not signed in. */
const signedOut = (path: string, status: number): string =>
  status === 401 && ['/api/session/password', '/api/session/everywhere'].includes(path) ? '1' : 'y';

async function streamStatus(browser: Browser): Promise<{ status: number }> {
  try {
    await (await browser.stream('/api/events')).cancel();
    return { status: 200 };
  } catch {
    return { status: 401 };
  }
}
