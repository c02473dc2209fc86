import { csvFormatRows, csvParseRows } from 'd3-dsv';
import type { InstrumentKind } from '../conventions/kinds';
import { plainDecimal } from '../decimal/decimal';
import { forSpreadsheet, fromSpreadsheet } from '../spreadsheet';
import { checkPiece } from './checkPiece';
import type { Correction } from './correction';
import type { Check, Piece } from './piece';

/** A row of a file of pieces: the piece, or why it is none. */
export interface StockRow {
  /** Its line, the headings being line 1. */
  readonly line: number;
  readonly tag: string;
  readonly piece: Piece | null;
  readonly problems: readonly string[];
}

interface StockColumn {
  readonly name: string;
  write(piece: Piece): string;
}

/** The columns of the file, in order. */
const columns = [
  { name: 'tag', write: ({ tag }) => tag },
  { name: 'kind', write: ({ kind }) => kind },
  { name: 'make', write: ({ model }) => model },
  { name: 'place', write: ({ place }) => place },
  { name: 'count', write: ({ count }) => String(count) },
  { name: 'certified ±', write: ({ certified }) => certified?.plusMinus ?? '' },
  { name: 'certificate', write: ({ certified }) => certified?.source ?? '' },
  { name: 'correction', write: ({ correction }) => (correction ? correctionText(correction) : '') },
  { name: 'correction ±', write: ({ correction }) => correction?.plusMinus ?? '' },
  { name: 'found on', write: ({ correction }) => correction?.on ?? '' },
  { name: 'found by', write: ({ correction }) => correction?.by ?? '' },
  { name: 'checks', write: ({ checks }) => checks.map(checkText).join('; ') },
  { name: 'faults', write: ({ faults }) => faults },
  { name: 'out of use', write: ({ outOfUse }) => (outOfUse ? 'yes' : '') },
] as const satisfies readonly StockColumn[];
type Name = (typeof columns)[number]['name'];

const needed: readonly Name[] = ['tag', 'kind', 'make'];

/** The stockroom as CSV: a line of headings, then a line a piece. */
export const stockCsv = (pieces: readonly Piece[]): string =>
  csvFormatRows([
    columns.map(({ name }) => name),
    ...pieces.map((piece) => columns.map(({ write }) => forSpreadsheet(write(piece)))),
  ]);

/**
 * Pieces out of a CSV file with the headings of `stockCsv`, in any order; *tag*, *kind* and *make* must be there.
 * @throws RangeError, in words, for what is no such file.
 */
export function stockIn(text: string): StockRow[] {
  const [first, ...rows] = csvParseRows(text.replace(/^\uFEFF/, ''));
  const headings = first?.map((heading) => heading.trim().toLowerCase()) ?? [];
  const missing = needed.filter((name) => !headings.includes(name));
  if (missing.length > 0)
    throw new RangeError(
      `The first line names the columns. There is no ${missing.map((name) => `“${name}”`).join(' and no ')}.`,
    );
  const seen = new Set<string>();
  return rows.flatMap((row, at): StockRow[] => {
    if (row.every((cell) => cell.trim() === '')) return [];
    const cell = (name: Name) => fromSpreadsheet(row[headings.indexOf(name)] ?? '').trim();
    const number = (name: Name) => plainDecimal(cell(name));
    const found = { plusMinus: number('correction ±'), on: cell('found on'), by: cell('found by') };
    const { correction, problem } = correctionFrom(cell('correction'), found);
    const { checks, unread } = checksFrom(cell('checks'));
    const outOfUse = cell('out of use').toLowerCase();
    const piece: Piece = {
      tag: cell('tag'),
      kind: cell('kind').toLowerCase().replace(/\s+/g, '-') as InstrumentKind,
      model: cell('make'),
      place: cell('place'),
      count: cell('count') === '' ? 1 : Number(cell('count')),
      certified:
        cell('certified ±') === '' ? null : { plusMinus: number('certified ±'), source: cell('certificate') },
      correction,
      checks,
      faults: cell('faults'),
      outOfUse: ['yes', 'true', '1', 'x'].includes(outOfUse),
    };
    const twice = seen.has(piece.tag.toLowerCase());
    seen.add(piece.tag.toLowerCase());
    const problems = [
      ...(twice ? [`The tag “${piece.tag}” stands in an earlier line.`] : []),
      ...(['', 'yes', 'no', 'true', 'false', '1', '0', 'x'].includes(outOfUse)
        ? []
        : [`Out of use: yes or nothing, not “${outOfUse}”.`]),
      ...problem,
      ...unread,
      ...checkPiece(piece).map(({ sentence }) => sentence),
    ];
    return [{ line: at + 2, tag: piece.tag, piece: problems.length === 0 ? piece : null, problems }];
  });
}

/** `zero 0.03`, or `0: 0.4; 99.6: -0.4`. */
const correctionText = (correction: Correction): string =>
  correction.kind === 'zero'
    ? `zero ${correction.error}`
    : correction.points.map(({ at, add }) => `${at}: ${add}`).join('; ');

function correctionFrom(
  text: string,
  found: Pick<Correction, 'plusMinus' | 'on' | 'by'>,
): { readonly correction: Correction | null; readonly problem: readonly string[] } {
  if (text === '') return { correction: null, problem: [] };
  const zero = /^zero\s+(.+)$/i.exec(text);
  if (zero)
    return { correction: { kind: 'zero', error: plainDecimal(zero[1] ?? ''), ...found }, problem: [] };
  const pairs = text.split(';').map((part) => part.split(':').map(plainDecimal));
  if (pairs.some((pair) => pair.length !== 2))
    return {
      correction: null,
      problem: [`A correction is “zero 0.03” or “0: 0.4; 99.6: -0.4”, not “${text}”.`],
    };
  const points = pairs.map(([at = '', add = '']) => ({ at, add }));
  return { correction: { kind: 'points', points, ...found }, problem: [] };
}

/** `2026-11-03, M. Marrow: 100.00 shown as 99.98`. */
const checkText = ({ on, by, known, shown }: Check): string =>
  `${on}, ${by.replace(/[;:]/g, ' ')}: ${known} shown as ${shown}`;

function checksFrom(text: string): { readonly checks: readonly Check[]; readonly unread: readonly string[] } {
  const parts = text
    .split(';')
    .map((part) => part.trim())
    .filter(Boolean);
  const checks: Check[] = [];
  const unread: string[] = [];
  for (const part of parts) {
    const [, on = '', by = '', known = '', shown = ''] =
      /^(\S+),\s*([^:]*):\s*(\S+)\s+shown as\s+(\S+)$/.exec(part) ?? [];
    if (shown === '') unread.push(`A check is “2026-11-03, who: 100.00 shown as 99.98”, not “${part}”.`);
    else checks.push({ on, by: by.trim(), known: plainDecimal(known), shown: plainDecimal(shown) });
  }
  return { checks, unread };
}
