import type { LogbookAnswer, LogbooksAnswer, StockAnswer } from '@green-beam/contract';
import { pieceOf, pieceText, type Piece } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { entry } from '../../test/entry';
import { startHarness, type Browser, type Harness } from '../../test/harness';
import { teacher as owner } from '../demo/scenario';

let harness: Harness;
let teacher: Browser;
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher(owner.name, owner.password);
});
afterAll(() => harness.close());

const piece = (rest: Partial<Piece> = {}): Piece =>
  pieceOf({
    tag: 'B-31',
    kind: 'three-beam-balance',
    model: 'three-beam-600',
    correction: { kind: 'zero', error: '0.2', plusMinus: '0.05', on: '2026-10-12', by: 'Mr Teal' },
    ...rest,
  });
const tags = ({ pieces }: StockAnswer) => pieces.map(({ tag }) => tag);
const keep = (pieces: readonly object[], revision: number | null = null) =>
  teacher.post<StockAnswer>('/api/stock', { pieces, revision });

describe('the stockroom', () => {
  it('has what the investigations of the demo name, for whoever is signed in', async () => {
    const student = await harness.asStudent('Verity Moss');
    const { body } = await student.get<StockAnswer>('/api/stock');
    expect(tags(body)).toEqual(expect.arrayContaining(['B-02', 'T-01', 'V-11']));
  });

  it('keeps a piece, changes it, and knows no tag twice', async () => {
    const made = await keep([piece()], 0);
    expect(made.body.pieces.find(({ tag }) => tag === 'B-31')).toMatchObject({ ...piece(), revision: 1 });
    expect((await keep([piece({ place: 'Shelf' })], 0)).body).toMatchObject({ code: 'changed-meanwhile' });
    const changed = await keep([piece({ tag: 'b-31', place: 'Shelf' })], 1);
    expect(changed.body.pieces.filter(({ tag }) => tag.toLowerCase() === 'b-31')).toMatchObject([
      { tag: 'b-31', place: 'Shelf', revision: 2 },
    ]);
    expect((await keep([piece({ place: 'Drawer' })], 1)).body).toMatchObject({ code: 'changed-meanwhile' });
  });

  it('takes a file whole or not at all', async () => {
    const { status, body } = await keep([piece({ tag: 'B-40' }), piece({ tag: 'B-41', model: 'none' })]);
    expect([status, body]).toMatchObject([422, { detail: expect.stringContaining('There is no make') }]);
    expect((await keep([piece({ tag: 'B-42' }), piece({ tag: 'b-42' })])).status).toBe(422);
    expect(tags((await teacher.get<StockAnswer>('/api/stock')).body)).not.toContain('B-40');
  });

  it('takes a piece out', async () => {
    const { body } = await keep([piece({ tag: 'B-50' })]);
    const { id } = body.pieces.find(({ tag }) => tag === 'B-50')!;
    expect(tags((await teacher.delete(`/api/stock/${id}`)).body as StockAnswer)).not.toContain('B-50');
  });
});

describe('a piece at the bench', () => {
  it('is kept in the logbook as it was, where it can stand in', async () => {
    const student = await harness.asStudent('Verity Moss');
    const { body: books } = await student.get<LogbooksAnswer>('/api/logbooks');
    const book = books.logbooks.find(({ logbookId }) => logbookId !== null)!;
    const path = `/api/logbooks/${book.logbookId}`;
    const { body } = await student.get<LogbookAnswer>(path);
    const [first] = body.investigation.kit;
    const taken = (of: string, text: string) =>
      student.post(`${path}/entries`, { ...entry({ text }), kind: 'piece', of, trial: 0, column: undefined });
    const text = pieceText({ role: first!.tag, piece: piece(), corrected: true });
    expect((await taken('B-31', text)).status).toBe(200);
    expect((await taken('B-32', text)).status).toBe(422);
    expect((await taken('B-31', '{}')).status).toBe(422);
    const caliper = piece({ tag: 'V-11', kind: 'vernier-caliper', model: 'vernier-20-39' });
    expect(
      await taken('V-11', pieceText({ role: first!.tag, piece: caliper, corrected: true })),
    ).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining('another kind') },
    });
  });
});
