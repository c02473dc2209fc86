import type { LogbooksAnswer, PoolAnswer, SessionAnswer } from '@green-beam/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Harness } from '../../test/harness';

let harness: Harness;
beforeAll(async () => {
  harness = await startHarness();
});
afterAll(() => harness.close());

describe('the logbooks of a class together', () => {
  it('come with their readers and entries in order, in two queries however many there are', async () => {
    const student = await harness.asStudent('Verity Moss');
    const { body: books } = await student.get<LogbooksAnswer>('/api/logbooks');
    const { investigationId } = books.logbooks[0]!;
    const classId = (await student.get<SessionAnswer>('/api/session')).body.who!.classes[0]!.id;
    const teacher = await harness.asTeacher('Ms Marrow', 'level beam 9');
    const path = `/api/classes/${classId}/investigations/${investigationId}/logbooks`;
    const { status, body } = await teacher.get<PoolAnswer>(path);
    expect(status).toBe(200);
    expect(body.books.length).toBeGreaterThan(4);
    expect(body.books.every(({ readers }) => readers.length > 0)).toBe(true);
    const written = body.books.find(({ entries }) => entries.length > 0);
    expect(written?.entries[0]).toMatchObject({ kind: 'reading', reader: expect.any(String) });
    expect((await student.get(path)).status).toBe(403);
    const elsewhere = `/api/classes/${classId}/investigations/${classId}/logbooks`;
    expect((await teacher.get(elsewhere)).status).toBe(404);
  });
});
