import type {
  BoardAnswer,
  LogbookAnswer,
  LogbooksAnswer,
  MarksAnswer,
  ReviewsAnswer,
} from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { handingIn } from '../../test/entry';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let teacher: Browser;
let student: Browser;
let classId: string;
let book: { id: string; task: string };
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher();
  student = await harness.asStudent('Delphi Marsh');
  classId = (await harness.database.models.classes.findOne({ where: { code: 'TERN9' } }))!.id;
  const line = (await student.get<LogbooksAnswer>('/api/logbooks')).body.logbooks.find(
    ({ logbookId }) => logbookId,
  )!;
  const family = await harness.database.models.investigations.findByPk(line.investigationId);
  book = { id: line.logbookId!, task: family!.familyId };
});
afterAll(() => harness.close());

const marks = { readings: 4, records: 3, working: 4, uncertainty: 2, judgement: 4 };
const path = () => `/api/logbooks/${book.id}/reviews`;
const handIn = () => student.post(`/api/logbooks/${book.id}/entries`, handingIn());
const cells = async () => {
  const { body } = await teacher.get<MarksAnswer>(`/api/classes/${classId}/marks`);
  return body.students
    .filter(({ name }) => ['Delphi Marsh', 'Eskil Tarn'].includes(name))
    .map(({ cells: own }) =>
      own.filter(({ task }) => task === book.task).map(({ state, mark }) => [state, mark]),
    );
};

describe('what a second look finds', () => {
  it('stands on the board and in the queue for the staff, and in no list of a student', async () => {
    const { body } = await student.get<LogbookAnswer>(`/api/logbooks/${book.id}`);
    const column = body.investigation.tables[0]!.columns.find(({ kind }) => kind === 'measured')!;
    await student.post(`/api/logbooks/${book.id}/entries`, {
      id: randomUUID(),
      kind: 'reading',
      trial: 9,
      of: column.key,
      text: '0.0000001',
      replaces: null,
      reason: null,
      writtenAt: new Date().toISOString(),
    });
    const found = { count: expect.any(Number), weight: 3, sentence: expect.stringMatching(/\S/) };
    const board = (await teacher.get<BoardAnswer>(`/api/classes/${classId}/board`)).body;
    const lines = board.students.find(({ name }) => name === 'Delphi Marsh')!.logbooks;
    expect(lines.find(({ logbookId }) => logbookId === book.id)?.found).toEqual(found);
    const marks = (await teacher.get<MarksAnswer>(`/api/classes/${classId}/marks`)).body;
    const cells = marks.students.find(({ name }) => name === 'Delphi Marsh')!.cells;
    expect(cells.find(({ logbookId }) => logbookId === book.id)?.found).toEqual(found);
    // Beside a review the other benches' results; a student sees none of them.
    const reviews = (await teacher.get<ReviewsAnswer>(path())).body;
    expect(reviews.others?.some(({ resultText }) => resultText?.includes('±'))).toBe(true);
    expect((await student.get<ReviewsAnswer>(path())).body.others).toBeUndefined();
    expect(JSON.stringify((await student.get('/api/logbooks')).body)).not.toContain('found');
  });
});

describe('a logbook', () => {
  it('is handed in, handed back with marks and remarks to all of its bench, and handed in again', async () => {
    expect((await handIn()).status).toBe(200);
    expect(await cells()).toEqual([[['handed in', null]], [['handed in', null]]]);
    const remarks = [
      { about: 'Trial 2, Mass of the pin', text: 'Which balance?' },
      { about: '', text: 'Clear work.' },
    ];
    const id = randomUUID();
    const body = { id, marks, remarks };
    expect((await teacher.post<ReviewsAnswer>(path(), body)).body.reviews).toMatchObject([
      { id, marks, remarks },
    ]);
    // Told twice, it is said once.
    expect((await teacher.post<ReviewsAnswer>(path(), body)).body.reviews).toHaveLength(1);
    expect((await student.get<ReviewsAnswer>(path())).body.reviews).toMatchObject([
      { by: 'Ms Marrow', marks, remarks },
    ]);
    expect(await cells()).toEqual([[['handed back', 17]], [['handed back', 17]]]);
    await handIn();
    // What was given stays until another is.
    expect(await cells()).toEqual([[['handed in', 17]], [['handed in', 17]]]);
    await teacher.post(path(), { id: randomUUID(), marks: { ...marks, uncertainty: 4 }, remarks: [] });
    expect(
      (await student.get<ReviewsAnswer>(path())).body.reviews.map(({ marks: own }) => own.uncertainty),
    ).toEqual([4, 2]);
    expect(await cells()).toEqual([[['handed back', 19]], [['handed back', 19]]]);
  });

  it.each([
    [{ marks: { ...marks, working: 5 } }, 'A mark is at most 4.'],
    [{ marks: { ...marks, working: 1.5 } }, 'A mark is a whole number.'],
    [{ marks: { readings: 1 } }, 'is missing'],
    [{ remarks: [{ about: '', text: '' }] }, 'remark is missing'],
  ])('is not handed back with %j', async (part, words) => {
    expect(await teacher.post(path(), { id: randomUUID(), marks, remarks: [], ...part })).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining(words) },
    });
  });
});
