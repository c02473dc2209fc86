import type { Conventions } from '../conventions';
import { Decimal } from '../decimal/decimal';
import { instrumentOf, modelOf } from '../instruments';
import { type Check, type Correction, type CorrectionPoint } from '../stock';
import { combineTypeAandB } from './combination';
import { columnRule } from './columnRule';
import { quantityOf } from './columnKinds';
import {
  kitOf,
  type Column,
  type GivenColumn,
  type Investigation,
  type MeasuredColumn,
  type Table,
} from './investigation';
import { givenIn, plannedResults } from './namedRows';
import { outcomeOf, type Outcome } from './outcome';
import { columnOn, pieceText, withPieces, type PieceInUse } from './pieces';
import type { Result } from './result';
import { subjectKey } from './subject';
import type { Cell } from './table';
import { meanOf } from './trials';

/** A column as what stands in a cell was read: on another piece of its kind, where the kit holds that. */
export function columnAsRead(column: Column, tag: string, { kit }: Investigation): Column {
  if (column.kind !== 'measured' || tag === column.tag) return column;
  const [own, other] = [column.tag, tag].map((wanted) => kit.find((item) => item.tag === wanted));
  return other && other.kind === own?.kind ? columnOn(column, tag) : column;
}

/** What a reading comes to where its piece is corrected, in the column’s unit; null where it is not, or cannot be read. */
export function correctedText(
  text: string,
  column: Column,
  investigation: Investigation,
  conventions: Conventions,
): string | null {
  if (column.kind !== 'measured' || !kitOf(investigation, column.tag).correction) return null;
  const rule = columnRule(column, investigation, conventions);
  const read = quantityOf(text, column, { conventions, firstClock: undefined, rule });
  if (!read || !rule.corrected) return null;
  const decimals = Math.max(0, -(read.lastPlace ?? 0));
  const value = rule.corrected(read.value).toDecimalPlaces(decimals + 1);
  return value.toFixed(Math.max(decimals, value.decimalPlaces())).replace('-', '−');
}

/** A result that a correction would change. */
export interface Changed {
  readonly name: string;
  readonly before: string;
  readonly after: string;
}

/** What would become of the results with a piece as it is said here. @param investigation as its teacher wrote it. */
export function changedBy(
  own: PieceInUse,
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  conventions: Conventions,
): Changed[] {
  const told: Cell = {
    current: {
      kind: 'piece',
      piece: own.piece.tag,
      id: '',
      text: pieceText(own),
      tag: '',
      reader: '',
      writtenAt: '',
      replaces: null,
      reason: null,
    },
    struck: [],
    collided: false,
  };
  const then = new Map(cells).set(subjectKey({ kind: 'piece', piece: own.piece.tag }), told);
  const textsOf = (among: ReadonlyMap<string, Cell>) =>
    outcomeOf(withPieces(investigation, among), among, conventions).results.map((state) => ({
      name: state.plan.name,
      text: state.state === 'reckoned' ? state.result.text : null,
    }));
  const after = textsOf(then);
  return textsOf(cells).flatMap(({ name, text: before }, at) => {
    const now = after[at]?.text ?? null;
    return before === null || now === null || before === now ? [] : [{ name, before, after: now }];
  });
}

/** What a logbook found of a piece: how it stood to what was known. */
export interface PieceFound {
  readonly tag: string;
  readonly checks: readonly Omit<Check, 'on' | 'by'>[];
  readonly correction: { readonly points: readonly CorrectionPoint[]; readonly plusMinus: string };
}

/** What a logbook found of its pieces, whichever way it looked. */
export const piecesFound = (
  investigation: Investigation,
  outcome: Outcome,
  conventions: Conventions,
): PieceFound[] => [
  ...differencesFound(investigation, outcome, conventions),
  ...vesselsFound(investigation, outcome, conventions),
];

/** What vessels gave in place of their mark: rows that bear the tag of one, with what is accepted for it. */
function vesselsFound(
  investigation: Investigation,
  { results }: Outcome,
  conventions: Conventions,
): PieceFound[] {
  const { kit } = investigation;
  return plannedResults(investigation).flatMap(({ plan, only }): PieceFound[] => {
    const state = results.find((one) => one.plan.key === plan.key);
    const item = only && kit.find(({ tag }) => plan.name.endsWith(` ${tag}`));
    if (plan.kind !== 'mean' || !item || item.correction || !plan.accepted || state?.state !== 'reckoned')
      return [];
    const instrument = instrumentOf(item.kind);
    const { result, trialsWanted } = state;
    if (
      instrument.quantity !== 'volume' ||
      modelOf(instrument, item.model).unit !== plan.unit ||
      trialsWanted > 0
    )
      return [];
    const plusMinus = upTo(withoutMaker(result, item.tag, conventions));
    const places = Math.max(0, new Decimal(plusMinus).decimalPlaces());
    const mark = plan.accepted.value.replace(',', '.').replace('−', '-');
    return [
      {
        tag: item.tag,
        checks: [{ known: result.value.value.toFixed(places), shown: mark }],
        correction: {
          points: [{ at: mark, add: result.value.value.minus(mark).toFixed(places) }],
          plusMinus,
        },
      },
    ];
  });
}

/**
 * What a logbook found of its pieces: results, row by row, that are the difference of what a piece showed and of what was given.
 * Only where all rows have come to a result, and nothing was corrected already.
 */
function differencesFound(
  investigation: Investigation,
  { results, trials }: Outcome,
  conventions: Conventions,
): PieceFound[] {
  return investigation.results.flatMap((plan): PieceFound[] => {
    const table = investigation.tables.find(({ key }) => key === plan.perRow);
    if (plan.kind !== 'mean' || !table?.rows) return [];
    const difference = shownLessKnown(table, plan.column);
    if (!difference || kitOf(investigation, difference.shown.tag).correction) return [];
    const { shown, known, sign } = difference;
    const found = plannedResults({ ...investigation, results: [plan] }).map(({ plan: own, only }) => {
      const state = results.find((one) => one.plan.key === own.key);
      const rows = only ? (trials[table.key] ?? []).filter(only.takes) : [];
      const mean = meanOf(rows, shown);
      const given = rows[0] && givenIn(known, table, rows[0].trial);
      const result = state?.state === 'reckoned' ? state.result : null;
      return result && mean && given ? { result, mean, known: given.value } : null;
    });
    if (found.length === 0 || found.includes(null)) return [];
    const whole = found.flatMap((one) => one ?? []);
    const written = (value: Decimal, lastPlace: number | null) =>
      value.toDecimalPlaces(Math.max(0, 1 - (lastPlace ?? 0))).toFixed();
    return [
      {
        tag: shown.tag,
        checks: whole.map(({ mean, known: value }) => ({
          known: value.replace('−', '-'),
          shown: written(mean.value, mean.lastPlace),
        })),
        correction: {
          points: whole.map(({ result, mean }) => ({
            at: written(mean.value, mean.lastPlace),
            add: written(result.value.value.times(-sign), mean.lastPlace),
          })),
          plusMinus: upTo(
            Math.max(...whole.map(({ result }) => withoutMaker(result, shown.tag, conventions))),
          ),
        },
      },
    ];
  });
}

/** How far what was found may be off: the maker’s tolerance is what was looked for, and no part of it. */
function withoutMaker(
  { contributions, typeA, expanded }: Result,
  tag: string,
  conventions: Conventions,
): number {
  const others = contributions.filter(
    ({ kind, source }) => kind !== 'repeat' && !source.startsWith(`tolerance of ${tag}`),
  );
  const instruments = Math.hypot(...others.map(({ contribution }) => contribution));
  return combineTypeAandB(typeA ?? 0, instruments, conventions) * (expanded?.k ?? 1);
}

/** Two figures, rounded up: what is promised stays true. */
function upTo(size: number): string {
  const exact = new Decimal(size);
  if (exact.isZero()) return '0';
  return exact.toDecimalPlaces(Math.max(0, 1 - exact.e), Decimal.ROUND_UP).toFixed();
}

/** The columns of a difference of what was shown and what was given; null where it is none. */
function shownLessKnown(
  table: Table,
  key: string,
): { readonly shown: MeasuredColumn; readonly known: GivenColumn; readonly sign: 1 | -1 } | null {
  const own = table.columns.find((column) => column.key === key);
  const [, first, second] =
    own?.kind === 'derived' ? (/^\s*(\w+)\s*[-−]\s*(\w+)\s*$/.exec(own.formula) ?? []) : [];
  const [left, right] = [first, second].map((name) => table.columns.find((column) => column.key === name));
  if (left?.kind === 'measured' && right?.kind === 'given') return { shown: left, known: right, sign: 1 };
  if (left?.kind === 'given' && right?.kind === 'measured') return { shown: right, known: left, sign: -1 };
  return null;
}

/** A correction that was found, as it is kept with its piece. */
export const asCorrection = (
  { correction: { points, plusMinus } }: PieceFound,
  on: string,
  by: string,
): Correction => ({ kind: 'points', points, plusMinus, on, by });
