import type { Comparison, Group, Observation } from '../compare';
import { inUnit, plainDecimal } from '../figures';
import { parseProduct } from '../units';
import {
  columnOf,
  type Column,
  type Investigation,
  type MeanPlan,
  type NamedRow,
  type Table,
} from './investigation';
import { acceptedFor, rowOf } from './namedRows';
import { isoDay } from './day';
import type { Outcome } from './outcome';
import type { MeanResult } from './result';
import { cellKey } from './subject';
import type { Cell } from './table';
import { valueIn, type Trial } from './trials';

/** A logbook as it enters a comparison. */
export interface PooledBook {
  readonly id: string;
  /** Who writes in it, as a bench is called. */
  readonly bench: string;
  readonly investigation: Investigation;
  readonly cells: ReadonlyMap<string, Cell>;
  readonly outcome: Outcome;
}

/** What groups are made of: the rows of a table, what was chosen in words, the benches, the readers, the pieces that were read, the days. */
export const groupings = ['row', 'word', 'bench', 'reader', 'piece', 'day'] as const;
export type Grouping = (typeof groupings)[number];

/** The results whose trials can be compared: means. */
export const comparable = ({ results }: Investigation): MeanPlan[] =>
  results.flatMap((plan) => (plan.kind === 'mean' ? [plan] : []));

/** What a result can be grouped by; by rows where it is reckoned for each. */
export const groupingsOf = ({ perRow, perWord }: MeanPlan): Grouping[] => [
  ...(perRow === undefined ? [] : (['row'] as const)),
  ...(perWord === undefined ? [] : (['word'] as const)),
  'bench',
  'reader',
  'piece',
  'day',
];

interface Value {
  readonly book: PooledBook;
  readonly row: NamedRow | undefined;
  readonly trial: Trial;
  readonly observation: Observation;
  readonly supplied: boolean;
  readonly word: string;
  /** The day of its last reading, as `2026-11-03`; empty where nothing was written. */
  readonly day: string;
  readonly lastPlace: number | null;
}

/**
 * The trials behind a result, of some logbooks, in groups. Replicates that share readings enter by their mean: of one logbook with its own
 * ±, of several as one value a bench. Abandoned trials are not there, excluded ones are, with their reason.
 * @param row the key of the row that is looked at, where groups are not rows.
 */
export function comparisonOf(
  books: readonly PooledBook[],
  key: string,
  by: Grouping,
  row: string | null = null,
): Comparison {
  const [first] = books;
  const plan = first && comparable(first.investigation).find((own) => own.key === key);
  if (!plan) return { unit: '', groups: [] };
  const values = books
    // What the teacher measured stands in all of them, and counts once.
    .flatMap((book, at) => valuesIn(book, key).filter(({ supplied }) => at === 0 || !supplied))
    .filter((value) => by === 'row' || row === null || value.row?.key === row);
  const groupOf = groupsBy[by];
  const keys = [...new Set(values.map((value) => groupOf(value).key))].filter((own) => own !== '');
  return {
    unit: plan.unit,
    groups: keys.map((own) => {
      const among = values.filter((value) => groupOf(value).key === own);
      return grouped(own, among[0] ? groupOf(among[0]).name : own, plan, among);
    }),
  };
}

/** Of what group a value is. */
const groupsBy: Readonly<
  Record<Grouping, (value: Value) => { readonly key: string; readonly name: string }>
> = {
  row: ({ row }) => ({ key: row?.key ?? '', name: row?.name ?? '' }),
  word: ({ word }) => ({ key: word, name: word }),
  bench: ({ book: { id, bench } }) => ({ key: id, name: bench }),
  reader: ({ observation: { who = '' } }) => ({ key: who, name: who }),
  piece: ({ observation: { piece = '' } }) => ({ key: piece, name: piece }),
  day: ({ day }) => ({ key: day, name: day }),
};

function grouped(key: string, name: string, plan: MeanPlan, values: readonly Value[]): Group {
  const [first] = values;
  const rows = new Set(values.map(({ row }) => row?.key));
  const accepted = rows.size === 1 ? acceptedFor(plan, first?.row) : plan.accepted;
  const places = values.flatMap(({ lastPlace }) => lastPlace ?? []);
  const group: Group = {
    key,
    name,
    reference: accepted
      ? {
          value: plainDecimal(accepted.value),
          ...(accepted.tolerance ? { tolerance: plainDecimal(accepted.tolerance) } : {}),
        }
      : null,
    step: places.length === 0 ? 0 : 10 ** Math.max(...places),
    observations: values.map(({ observation }) => observation),
  };
  const books = [...new Set(values.map(({ book }) => book))];
  const means = books.flatMap((book) => {
    const mean = sharedMean(book, plan, first?.row);
    return mean ? [{ book, mean }] : [];
  });
  const [only] = means;
  if (!only) return group;
  if (books.length > 1)
    return {
      ...group,
      observations: means.map(({ book, mean }) => ({
        value: mean.value.value.toString(),
        bench: book.bench,
        book: book.id,
      })),
    };
  const { typeA, n } = only.mean;
  return typeA === null ? group : { ...group, shared: { u: typeA, df: Math.max(1, n - 1) } };
}

/** The mean of a logbook whose replicates share readings; null where they do not. */
function sharedMean(
  { outcome }: PooledBook,
  { key }: MeanPlan,
  row: NamedRow | undefined,
): MeanResult | null {
  const state = outcome.results.find(({ plan }) => plan.key === (row ? `${key}.${row.key}` : key));
  const result = state?.state === 'reckoned' && state.result.kind === 'mean' ? state.result : null;
  return result && result.way !== 'afresh' ? result : null;
}

function valuesIn(book: PooledBook, key: string): Value[] {
  const { investigation, outcome } = book;
  const plan = comparable(investigation).find((own) => own.key === key);
  const found = plan && columnOf(investigation, plan.column);
  if (!plan || !found) return [];
  const { column, table } = found;
  const unit = parseProduct(plan.unit);
  return (outcome.trials[table.key] ?? []).flatMap((trial): Value[] => {
    const value = valueIn(trial, column);
    if (!value || trial.standing === 'abandoned') return [];
    const own = inUnit(value, unit);
    return [
      {
        book,
        trial,
        row: rowOf(table, trial.trial),
        word: (plan.perWord && trial.words?.[plan.perWord]) ?? '',
        supplied: trial.trial <= (table.supplied?.length ?? 0),
        day: dayRead(book, table, trial.trial),
        lastPlace: own.lastPlace,
        observation: {
          value: own.value.toSignificantDigits(15).toString(),
          bench: book.bench,
          book: book.id,
          trial: trial.trial,
          who: readerOf(book, table, trial.trial, column),
          piece: piecesOf(table, trial),
          excluded: trial.standing === 'excluded' ? (trial.reason ?? 'left out') : null,
        },
      },
    ];
  });
}

/** Who read a trial: the reader of its own column, or of the last that was written beside it. */
function readerOf({ cells }: PooledBook, { columns }: Table, trial: number, { key }: Column): string {
  const written = [key, ...columns.map((column) => column.key).reverse()];
  return written.flatMap((own) => cells.get(cellKey(trial, own))?.current.reader ?? [])[0] ?? '';
}

/** The pieces that a trial was read on, by their tags: those of the plan, or what stood in for them. */
const piecesOf = ({ columns }: Table, { read, readOn }: Trial): string =>
  [
    ...new Set(
      columns.flatMap((column) =>
        column.kind === 'measured' && read[column.key] ? [readOn?.[column.key] ?? column.tag] : [],
      ),
    ),
  ].join(', ');

function dayRead({ cells }: PooledBook, { columns }: Table, trial: number): string {
  const times = columns.flatMap(({ key }) => cells.get(cellKey(trial, key))?.current.writtenAt ?? []);
  const last = times.sort().at(-1);
  return last === undefined ? '' : isoDay(last);
}
