import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Decimal } from '../decimal/decimal';
import { instrumentKinds } from '../conventions/kinds';
import { instrumentOf } from '../instruments';
import { checkPiece } from './checkPiece';
import { correctionAt, correctionWords, uncorrectedOffset, type Correction } from './correction';
import { pieceOf, type Piece } from './piece';
import { stockCsv, stockIn } from './stockFile';

const found = { plusMinus: '0.1', on: '2026-11-03', by: 'Ms Marrow' };
const points = (...pairs: readonly (readonly [at: string, add: string])[]): Correction => ({
  kind: 'points',
  points: pairs.map(([at, add]) => ({ at, add })),
  ...found,
});
const added = (correction: Correction, reading: string) =>
  correctionAt(correction, new Decimal(reading)).toString();

describe('a correction', () => {
  it.each([
    ['a zero error is taken away', { kind: 'zero', error: '0.03', ...found } as const, '12.43', '-0.03'],
    ['one point holds everywhere', points(['20', '-0.5']), '80', '-0.5'],
    // A line through (0.4, −0.4) and (98.9, 0.7): at 49.65, half-way, 0.15.
    ['a line between two', points(['0.4', '-0.4'], ['98.9', '0.7']), '49.65', '0.15'],
    ['at a point of its own', points(['0.4', '-0.4'], ['98.9', '0.7']), '0.4', '-0.4'],
    ['as at the nearest beyond', points(['0.4', '-0.4'], ['98.9', '0.7']), '-3', '-0.4'],
    ['as at the nearest above', points(['0.4', '-0.4'], ['98.9', '0.7']), '105', '0.7'],
    ['a table in any order', points(['50', '0.2'], ['0', '0'], ['100', '-0.6']), '75', '-0.2'],
  ])('%s', (_, correction, reading, expected) => {
    expect(added(correction, reading)).toBe(expected);
  });

  it('tells how far a piece may be off without it', () => {
    expect(uncorrectedOffset(points(['0', '0.2'], ['100', '-0.6'])).toString()).toBe('0.7');
    expect(uncorrectedOffset({ kind: 'zero', error: '-0.04', ...found }).toString()).toBe('0.14');
  });

  it('is told in words', () => {
    expect(correctionWords(points(['0.4', '-0.4'], ['98.9', '0.70']), '°C')).toBe(
      '−0.4 at 0.4, +0.70 at 98.9 °C, by a straight line between',
    );
    expect(correctionWords({ kind: 'zero', error: '0.10', ...found }, 'mm')).toBe(
      'zero error +0.10 mm, taken away from every reading',
    );
  });
});

const piece = (rest: Partial<Piece> = {}): Piece =>
  pieceOf({ tag: 'V-11', kind: 'vernier-caliper', model: 'vernier-20-39', place: 'Cupboard 2', ...rest });

describe('what is amiss with a piece', () => {
  it.each<[string, Partial<Piece>, RegExp]>([
    ['no tag', { tag: '' }, /what is written on it/],
    ['no such make', { model: 'vernier-9' }, /no make “vernier-9” of vernier caliper/],
    ['half a piece', { count: 0.5 }, /whole number/],
    ['a certificate of nothing', { certified: { plusMinus: '0', source: 'x' } }, /more than nothing/],
    ['a correction of no points', { correction: points() }, /at one reading at least/],
    ['a reading twice', { correction: points(['1', '0'], ['1.0', '2']) }, /says twice/],
    [
      'no day',
      { correction: { kind: 'zero', error: '1', plusMinus: '1', on: '2026-02-30', by: '' } },
      /2026-02-30/,
    ],
    ['no number', { correction: points(['one', '0']) }, /“one” is no number/],
    ['a check of words', { checks: [{ on: '2026-11-03', by: 'x', known: '1', shown: 'good' }] }, /“good”/],
  ])('%s', (_, rest, sentence) => {
    const problems = checkPiece(piece(rest));
    expect(problems).toHaveLength(1);
    expect(problems[0]?.sentence).toMatch(sentence);
  });

  it('is nothing where all is well', () => expect(checkPiece(piece())).toEqual([]));
});

const digits = fc
  .tuple(fc.boolean(), fc.integer({ min: 0, max: 99999 }), fc.integer({ min: 0, max: 3 }))
  .map(([minus, size, places]) =>
    new Decimal(size)
      .div(10 ** places)
      .times(minus ? -1 : 1)
      .toFixed(places),
  );
const positive = digits.map((text) => text.replace('-', '')).filter((text) => Number(text) > 0);
const day = fc
  .date({ min: new Date('2020-01-01'), max: new Date('2030-01-01'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));
const words = fc
  .string({ maxLength: 20 })
  .map((text) => text.replace(/[;:\r\n\t]/g, ' ').trim())
  .filter((text) => !text.startsWith("'"));
const pieces = fc.uniqueArray(
  fc
    .tuple(
      fc.integer({ min: 1, max: 10_000 }).map((n) => `P-${n}`),
      fc.constantFrom(...instrumentKinds),
      fc.record({
        place: words,
        count: fc.integer({ min: 1, max: 99 }),
        certified: fc.option(fc.record({ plusMinus: positive, source: words })),
        correction: fc.option(
          fc.oneof(
            fc.record({
              kind: fc.constant('zero' as const),
              error: digits,
              plusMinus: positive,
              on: day,
              by: words,
            }),
            fc.record({
              kind: fc.constant('points' as const),
              points: fc.uniqueArray(fc.record({ at: digits, add: digits }), {
                minLength: 1,
                maxLength: 4,
                selector: ({ at }) => new Decimal(at).toString(),
              }),
              plusMinus: positive,
              on: day,
              by: words,
            }),
          ),
        ),
        checks: fc.array(fc.record({ on: day, by: words, known: digits, shown: digits }), { maxLength: 3 }),
        faults: words,
        outOfUse: fc.boolean(),
      }),
    )
    .map(([tag, kind, rest]): Piece => {
      const model = instrumentOf(kind).models[0]?.id ?? '';
      return { tag, kind, model, ...rest };
    }),
  { selector: ({ tag }) => tag, maxLength: 6 },
);

describe('the stockroom as a file', () => {
  it('comes back as it went, whatever is in it', () => {
    fc.assert(
      fc.property(pieces, (all) => {
        expect(stockIn(stockCsv(all)).map((row) => row.piece ?? row.problems)).toEqual(all);
      }),
    );
  });

  it('names the line and what is amiss there, and takes the others', () => {
    const rows = stockIn(
      [
        'Tag,Make,Kind,Count,Correction,Correction ±,Found on',
        'V-11,vernier-20-39,vernier caliper,,zero 0.10,0.05,2026-10-12',
        'V-12,vernier-20-39,Vernier-Caliper,two,,,',
        '',
        'V-13,vernier-9,vernier-caliper,1,,,',
        'v-11,vernier-20-39,vernier-caliper,1,,,',
        'T-01,thermometer-1,thermometer,1,0 to 0.4,0.1,2026-10-12',
      ].join('\n'),
    );
    expect(rows.map(({ line, piece: own }) => [line, own !== null])).toEqual([
      [2, true],
      [3, false],
      [5, false],
      [6, false],
      [7, false],
    ]);
    expect(rows.map(({ problems }) => problems[0] ?? '')).toEqual([
      '',
      expect.stringContaining('whole number'),
      expect.stringContaining('no make “vernier-9”'),
      expect.stringContaining('stands in an earlier line'),
      expect.stringContaining('“0: 0.4; 99.6: -0.4”'),
    ]);
  });

  it('says which column a file lacks', () => {
    expect(() => stockIn('tag,kind\nV-11,ruler')).toThrow('There is no “make”.');
    expect(() => stockIn('')).toThrow(/no “tag” and no “kind” and no “make”/);
  });
});
