import type { Decimal } from '../decimal/decimal';
import { studentTails } from '../statistics/tails';
import type { MeasuredColumn, Table } from './investigation';
import { rowOf } from './namedRows';
import type { PooledBook } from './pool';

/** Two logbooks whose readings are the same more often than noise lets them be. For the teacher alone: worth a look, and no proof. */
export interface AlikePair {
  readonly books: readonly [PooledBook, PooledBook];
  /** How many readings both have at the same places, and how many of these are the same to the last digit. */
  readonly cells: number;
  readonly same: number;
  /** The chance that so many or more are the same in any pair of the class, at most. */
  readonly chance: number;
}

/** What is told happens by itself in less than one class of a thousand. */
const toldBelow = 0.001;
/** Fewer are a coincidence that nobody should have to explain. */
const leastSame = 5;
/** Others at the same place, and trials of a row, from which a scatter is taken. */
const leastOthers = 4;
const leastTrials = 3;

/**
 * Pairs of logbooks that agree where noise should make them differ. Two who read the same thing with normal scatter σ on a scale of
 * step q write the same with chance Σₖ [Φ((k + ½)q/σ) − Φ((k − ½)q/σ)]² at most, which is so where both lie on the middle of a step. σ is
 * the least of what the trials of either logbook and the other logbooks at this place scatter by; a cell where none of this is known
 * says nothing. How many of the cells are the same has then a Poisson binomial distribution; its tail is corrected for all pairs
 * (Bonferroni). Readings that are carried over, planned or the teacher's are left out.
 */
export function alikePairs(books: readonly PooledBook[]): AlikePair[] {
  const places = placesOf(books);
  const pairs = books.flatMap((a, at) => books.slice(at + 1).map((b) => [a, b] as const));
  return pairs
    .flatMap((pair): AlikePair[] => {
      const [a, b] = pair;
      const chances: number[] = [];
      let same = 0;
      for (const { of, step, scatter } of places) {
        const [own, other] = [of.get(a), of.get(b)];
        if (own === undefined || other === undefined) continue;
        const sigma = scatter(a, b);
        if (sigma === null) continue;
        chances.push(chanceOfSame(step, sigma));
        if (Math.abs(own - other) < step / 2) same += 1;
      }
      const chance = Math.min(1, atLeast(same, chances) * pairs.length);
      return same >= leastSame && chance < toldBelow
        ? [{ books: pair, cells: chances.length, same, chance }]
        : [];
    })
    .sort((one, two) => one.chance - two.chance);
}

/** One cell that every logbook has. */
interface Place {
  readonly of: ReadonlyMap<PooledBook, number>;
  readonly step: number;
  readonly scatter: (a: PooledBook, b: PooledBook) => number | null;
}

function placesOf(books: readonly PooledBook[]): Place[] {
  const [first] = books;
  return (first?.investigation.tables ?? []).flatMap((table) =>
    table.columns.flatMap((column) =>
      column.kind === 'measured' && !column.carried && column.planned === undefined
        ? placesIn(books, table, column)
        : [],
    ),
  );
}

function placesIn(books: readonly PooledBook[], table: Table, { key }: MeasuredColumn): Place[] {
  const columns = new Map(
    books.map((book) => [
      book,
      new Map(
        (book.outcome.trials[table.key] ?? []).flatMap(({ trial, read }) => {
          const value = trial > (table.supplied?.length ?? 0) ? read[key] : undefined;
          return value === undefined ? [] : [[trial, value] as const];
        }),
      ),
    ]),
  );
  const all = [...columns.values()].flatMap((own) => [...own.values()]);
  const lastPlace = Math.min(...all.flatMap((own) => own.lastPlace ?? []));
  if (!Number.isFinite(lastPlace)) return [];
  const step = stepOf(
    all.map(({ value }) => value),
    lastPlace,
  );
  const numbers = new Map(
    [...columns].map(([book, own]) => [
      book,
      new Map([...own].map(([trial, { value }]) => [trial, value.toNumber()])),
    ]),
  );
  const scatterOfRow = (book: PooledBook, trial: number): number | null => {
    const row = rowOf(table, trial);
    const own = [...(numbers.get(book) ?? [])].flatMap(([at, value]) =>
      rowOf(table, at) === row ? [value] : [],
    );
    return scatterOf(own, leastTrials);
  };
  const trials = [...new Set([...numbers.values()].flatMap((own) => [...own.keys()]))];
  return trials.map((trial): Place => {
    const of = new Map(
      [...numbers].flatMap(([book, own]) => {
        const value = own.get(trial);
        return value === undefined ? [] : [[book, value] as const];
      }),
    );
    return {
      of,
      step,
      scatter: (a, b) => {
        const others = [...of].flatMap(([book, value]) => (book === a || book === b ? [] : [value]));
        const known = [scatterOfRow(a, trial), scatterOfRow(b, trial)];
        if (known.includes(null)) return null;
        return Math.min(...[...known, scatterOf(others, leastOthers)].flatMap((own) => own ?? []));
      },
    };
  });
}

function scatterOf(values: readonly number[], least: number): number | null {
  if (values.length < least) return null;
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1));
}

/** What the values of a column go by: ones, twos or fives of their last place. */
function stepOf(values: readonly Decimal[], lastPlace: number): number {
  const place = 10 ** lastPlace;
  const digits = values.map((value) => Math.abs(Math.round(value.toNumber() / place)) % 10);
  const each = [10, 5, 2].find((own) => digits.every((digit) => digit % own === 0)) ?? 1;
  return each * place;
}

/** That two readings of one thing are the same, at most. */
export function chanceOfSame(step: number, sigma: number): number {
  if (sigma === 0) return 1;
  // P(|z| > x), normal.
  const beyond = (x: number) => studentTails(x, normalDegrees);
  let sum = (1 - beyond(step / 2 / sigma)) ** 2;
  for (let k = 1; k < 2000; k += 1) {
    const from = beyond(((k - 0.5) * step) / sigma);
    // Each side has half of it.
    const own = (from - beyond(((k + 0.5) * step) / sigma)) / 2;
    sum += 2 * own ** 2;
    if (from < 1e-9) break;
  }
  return Math.min(1, sum);
}

/** Student’s distribution with so many degrees is the normal one to nine digits. */
const normalDegrees = 1e9;

/** The chance that at least so many of independent events happen. */
function atLeast(count: number, chances: readonly number[]): number {
  let at = [1];
  for (const p of chances)
    at = [...at, 0].map((own, done) => own * (1 - p) + (done > 0 ? (at[done - 1] ?? 0) * p : 0));
  return at.slice(count).reduce((sum, own) => sum + own, 0);
}
