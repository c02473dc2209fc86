import type {
  InvestigationsAnswer,
  LogbookAnswer,
  LogbooksAnswer,
  SessionAnswer,
} from '@green-beam/contract';
import { boltPin, columnOf, type Investigation } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { entry } from '../../test/entry';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let teacher: Browser;
let investigations: string;
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher('Ms Marrow', 'level beam 9');
  const { body } = await teacher.get<SessionAnswer>('/api/session');
  investigations = `/api/classes/${body.who!.classes[0]!.id}/investigations`;
});
afterAll(() => harness.close());

const [table] = boltPin.tables;
const pins: Investigation = {
  ...boltPin,
  title: 'Pins of two metals',
  tables: [
    {
      ...table!,
      columns: table!.columns.map((column) =>
        column.kind === 'measured' && column.key === 'before' ? { ...column, planned: '50.0' } : column,
      ),
      supplied: [
        { reader: 'Ms Marrow', on: '2026-10-12', cells: { mass: '214.6', before: '50.0', after: '74.5' } },
      ],
    },
  ],
  questions: [
    {
      key: 'why',
      when: 'after',
      kind: 'text',
      text: 'Would a rougher pin come out denser?',
      answer: 'Air on it: less dense.',
    },
  ],
  variations: [
    { name: 'in turn', object: 'steel pin', planned: { before: '40.0' } },
    { name: 'bench 8', object: 'brass pin', words: 'your pin is brass.', worked: ['rho'] },
  ],
};

/** Opens what is set, by its title. */
async function opened(name: string): Promise<{ readonly path: string; readonly body: LogbookAnswer }> {
  const student = await harness.asStudent(name);
  const { body: list } = await student.get<LogbooksAnswer>('/api/logbooks');
  const line = list.logbooks.find(({ title }) => title === pins.title);
  const { body } = await student.post<{ logbookId: string }>(
    `/api/investigations/${line!.investigationId}/logbook`,
  );
  const path = `/api/logbooks/${body.logbookId}`;
  return { path, body: (await student.get<LogbookAnswer>(path)).body };
}

describe('an investigation that benches do each in their own way', () => {
  it('goes to the bench of its name, or to each in turn, and shows no student what a good answer says', async () => {
    const set = await teacher.post(investigations, { id: randomUUID(), replaces: null, body: pins });
    expect(set.body).toEqual({ id: expect.any(String) });
    const eighth = await opened('Verity Moss');
    expect(eighth.body.investigation).toMatchObject({
      object: 'brass pin',
      steps: [{ text: 'This bench: your pin is brass.' }, ...pins.steps],
    });
    expect(columnOf(eighth.body.investigation, 'rho')?.column).toMatchObject({ by: 'student' });
    expect(JSON.stringify(eighth.body)).not.toContain('less dense');
    const staff = await teacher.get<LogbookAnswer>(eighth.path);
    expect(JSON.stringify(staff.body)).toContain('less dense');
    const { body: other } = await opened('Delphi Marsh');
    expect(other.investigation.object).not.toBe(pins.object);
    // As a list shows it, too.
    const { body: answer } = await teacher.get<InvestigationsAnswer>(investigations);
    const lines = answer.investigations.find(({ body }) => body.title === pins.title)?.logbooks;
    expect(lines?.map(({ object }) => object)).toContain('brass pin');
  });

  it('has rows that the teacher measured, which nobody writes over', async () => {
    const { path } = await opened('Verity Moss');
    const student = await harness.asStudent('Verity Moss');
    expect(await student.post(`${path}/entries`, entry({ trial: 1, text: '214.7' }))).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining('Your teacher measured that') },
    });
    expect((await student.post(`${path}/entries`, entry({ trial: 2, text: '214.7' }))).status).toBe(200);
  });
});
