import type { Conventions } from '../conventions';
import {
  convert,
  evaluateTree,
  Decimal,
  writeTracked,
  type Quantity,
  type EvaluationStep,
  namesIn,
} from '../figures';
import { columnRule, type ColumnRule } from './columnRule';
import { quantityOf } from './columnKinds';
import { beforeSuffix, named, parsedFormula, sentenceOf } from './formula';
import { isWords, type Column, type DerivedColumn, type Investigation, type Table } from './investigation';
import { givenIn, rowOf } from './namedRows';
import { cellKey, subjectKey } from './subject';
import { type Cell } from './table';

export type Standing = 'counts' | 'abandoned' | 'excluded';

/** What a derived cell comes to. */
export type Derived =
  | { readonly state: 'open'; readonly missing: readonly string[] }
  | { readonly state: 'refused'; readonly reason: string }
  | {
      readonly state: 'reckoned';
      readonly value: Quantity;
      /** Rounded as the class does. */
      readonly text: string;
      readonly steps: readonly EvaluationStep[];
    };

/** One trial of one table as it stands. */
export interface Trial {
  readonly table: string;
  readonly trial: number;
  readonly standing: Standing;
  /** Why it does not count, in the words of who said so. */
  readonly reason: string | null;
  /** Values of the columns that are written, by key. */
  readonly read: Readonly<Record<string, Quantity>>;
  readonly derived: Readonly<Record<string, Derived>>;
  /** True when everything that is to be written is there, and nothing is refused. */
  readonly complete: boolean;
}

/** Derives trials, keeping what did not change: a key press recomputes one row. */
export class TrialEvaluator {
  readonly #kept = new Map<string, { readonly signature: string; readonly trial: Trial }>();

  readonly #rules: ReadonlyMap<string, ColumnRule>;

  constructor(
    private readonly investigation: Investigation,
    private readonly conventions: Conventions,
  ) {
    this.#rules = new Map(
      investigation.tables.flatMap(({ columns }) =>
        columns.flatMap((column) =>
          column.kind === 'measured'
            ? [[column.key, columnRule(column, investigation, conventions)] as const]
            : [],
        ),
      ),
    );
  }

  /** All trials of a table, in order. @param means of the tables before it, by column key. */
  trialsOf(
    table: Table,
    cells: ReadonlyMap<string, Cell>,
    numbers: readonly number[],
    means: Readonly<Record<string, Quantity>>,
  ): Trial[] {
    const text = (trial: number, key: string) => cells.get(cellKey(trial, key))?.current.text;
    const firstClock = table.columns.some(({ kind }) => kind === 'clock')
      ? this.#firstClock(cells)
      : undefined;
    const reachesBack = table.columns.some(
      (column) => column.kind === 'derived' && column.formula.includes(beforeSuffix),
    );
    const meansSignature = Object.entries(means)
      .map(([key, { value }]) => `${key}=${value.toString()}`)
      .join();
    const trials: Trial[] = [];
    for (const number of numbers) {
      const standing = standingOf(
        cells.get(subjectKey({ kind: 'standing', trial: number, table: table.key })),
      );
      const row = rowOf(table, number);
      const before = reachesBack
        ? trials.findLast((trial) => trial.standing === 'counts' && rowOf(table, trial.trial) === row)
        : undefined;
      const signature = JSON.stringify([
        table.columns.map(({ key }) => text(number, key) ?? null),
        standing,
        firstClock ?? null,
        before && table.columns.map(({ key }) => before.read[key]?.value.toString() ?? null),
        meansSignature,
      ]);
      const name = `${table.key} ${number}`;
      const kept = this.#kept.get(name);
      const trial =
        kept?.signature === signature
          ? kept.trial
          : this.#derive(table, number, standing, (key) => text(number, key), firstClock, before, means);
      this.#kept.set(name, { signature, trial });
      trials.push(trial);
    }
    return trials;
  }

  /** The first time in the order of tables, trials and columns: from there all clocks count. */
  #firstClock(cells: ReadonlyMap<string, Cell>): string | undefined {
    const order = this.investigation.tables.flatMap((table, at) =>
      table.columns.flatMap(({ kind, key }, column) =>
        kind === 'clock' ? [[key, at, column] as const] : [],
      ),
    );
    const places = new Map(order.map(([key, at, column]) => [key, at * 1e6 + column]));
    let first: { readonly place: number; readonly text: string } | undefined;
    for (const { current } of cells.values()) {
      if (current.kind !== 'reading' || current.text.trim() === '') continue;
      const column = places.get(current.column);
      if (column === undefined) continue;
      const place = column + current.trial * 1e3;
      if (!first || place < first.place) first = { place, text: current.text };
    }
    return first?.text;
  }

  #derive(
    table: Table,
    trial: number,
    { standing, reason }: { readonly standing: Standing; readonly reason: string | null },
    text: (key: string) => string | undefined,
    firstClock: string | undefined,
    before: Trial | undefined,
    means: Readonly<Record<string, Quantity>>,
  ): Trial {
    const read: Record<string, Quantity> = {};
    const derived: Record<string, Derived> = {};
    const values: Record<string, Quantity> = { ...means };
    for (const column of table.columns) {
      if (column.kind === 'derived') {
        const cell = this.#reckon(column, table, values, before);
        derived[column.key] = cell;
        if (cell.state === 'reckoned') values[column.key] = cell.value;
        continue;
      }
      const written =
        column.kind === 'given' ? givenIn(column, table, trial)?.value.replace('−', '-') : text(column.key);
      const value = quantityOf(written, column, {
        conventions: this.conventions,
        firstClock,
        rule: this.#rules.get(column.key),
      });
      if (value) values[column.key] = read[column.key] = value;
    }
    const complete = table.columns.every((column) =>
      column.kind === 'derived'
        ? derived[column.key]?.state !== 'refused' && (column.by === 'app' || text(column.key) !== undefined)
        : isWords(column)
          ? text(column.key) !== undefined
          : read[column.key] !== undefined,
    );
    return { table: table.key, trial, standing, reason, read, derived, complete };
  }

  #reckon(
    column: DerivedColumn,
    table: Table,
    values: Readonly<Record<string, Quantity>>,
    before: Trial | undefined,
  ): Derived {
    const expression = parsedFormula(column.formula);
    const names: Record<string, Quantity> = {};
    const missing: string[] = [];
    for (const name of namesIn(expression)) {
      const found = named(this.investigation, table, name);
      const value = found?.of === 'before' ? valueIn(before, found.column) : values[name];
      if (value) names[name] = value;
      else
        missing.push(
          found?.of === 'before'
            ? `${found.column.heading} of the trial before`
            : (found?.column.heading ?? name),
        );
    }
    if (missing.length > 0) return { state: 'open', missing };
    try {
      const { result, steps } = evaluateTree(expression, this.conventions, names);
      const value = convert(result, column.unit, this.conventions.kelvin);
      if (column.rises && value.value.lte(0))
        return {
          state: 'refused',
          reason: `${column.heading} comes out as ${value.value.toSignificantDigits(4).toString().replace('-', '−')}: it should be more than nothing.`,
        };
      return { state: 'reckoned', value, text: writtenValue(value, this.conventions), steps };
    } catch (error) {
      const reason = sentenceOf(error);
      if (reason === null) throw error;
      return { state: 'refused', reason };
    }
  }
}

export const valueIn = (trial: Trial | undefined, { key }: Column): Quantity | undefined => {
  const cell = trial?.derived[key];
  return trial?.read[key] ?? (cell?.state === 'reckoned' ? cell.value : undefined);
};

/** Every value of a trial, read or reckoned, by the key of its column. */
export const valuesOf = ({
  read,
  derived,
}: Pick<Trial, 'read' | 'derived'>): Readonly<Record<string, Quantity>> => ({
  ...read,
  ...Object.fromEntries(
    Object.entries(derived).flatMap(([key, cell]) => (cell.state === 'reckoned' ? [[key, cell.value]] : [])),
  ),
});

/** As the class writes it: by the data, or to a fixed count of figures. */
export function writtenValue(value: Quantity, { rounding, resultDigits, fixedFigures }: Conventions): string {
  if (resultDigits === 'data' || value.lastPlace === null || value.value.isZero())
    return value.lastPlace === null
      ? value.value.toSignificantDigits(12).toString()
      : writeTracked(value, rounding);
  return writeTracked({ value: value.value, lastPlace: value.value.e - fixedFigures + 1 }, rounding);
}

/** A mean of a column; that of counts is no count and gets a decimal of its own. */
export const writtenMean = (mean: Quantity, conventions: Conventions): string =>
  writtenValue(mean.lastPlace === null ? { ...mean, lastPlace: -1 } : mean, conventions);

/** A trial counts until somebody says otherwise. */
function standingOf(cell: Cell | undefined): { readonly standing: Standing; readonly reason: string | null } {
  const text = cell?.current.text;
  return text === 'abandoned' || text === 'excluded'
    ? { standing: text, reason: cell?.current.reason ?? null }
    : { standing: 'counts', reason: null };
}

/** The mean of a column over the trials that count, to the coarsest last place among them; null for none. */
export function meanOf(trials: readonly Trial[], column: Column): Quantity | null {
  const values = trials.flatMap((trial) =>
    trial.standing === 'counts' ? (valueIn(trial, column) ?? []) : [],
  );
  const [first] = values;
  if (!first) return null;
  const sum = values.reduce((total, { value }) => total.plus(value), new Decimal(0));
  const places = values.flatMap(({ lastPlace }) => lastPlace ?? []);
  return {
    ...first,
    value: sum.div(values.length),
    lastPlace: places.length === 0 ? null : Math.max(...places),
  };
}
