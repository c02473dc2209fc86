import type { Conventions } from '../conventions';
import { convert, decimalOf, evaluateTree, namesIn, plainDecimal, type Quantity } from '../figures';
import { allowanceFrom, quantityOf, spreadWithin, wordIn } from './columnKinds';
import { clockZero, clockZeroOfRow } from './clockZero';
import { columnRule, type ColumnRule } from './columnRule';
import { beforeSuffix, named, parsedFormula, sentenceOf } from './formula';
import {
  isWords,
  type Column,
  type DerivedColumn,
  type Investigation,
  type MeasuredColumn,
  type Table,
} from './investigation';
import { givenIn, rowOf } from './namedRows';
import { columnOn } from './pieces';
import { cellKey, subjectKey } from './subject';
import type { Cell } from './table';
import { valueIn, writtenValue, type Derived, type Standing, type Trial } from './trials';

/** Derives trials, keeping what did not change: a key press recomputes one row. */
export class TrialEvaluator {
  readonly #kept = new Map<string, { readonly signature: string; readonly trial: Trial }>();

  /** How a column is read on a piece, by its key and the tag. */
  readonly #rules = new Map<string, ColumnRule>();
  readonly #kinds: ReadonlyMap<string, string>;

  constructor(
    private readonly investigation: Investigation,
    private readonly conventions: Conventions,
  ) {
    this.#kinds = new Map(investigation.kit.map(({ tag, kind }) => [tag, kind]));
  }

  #ruleOf(column: MeasuredColumn): ColumnRule {
    const name = `${column.key} ${column.tag}`;
    const known = this.#rules.get(name);
    if (known) return known;
    const made = columnRule(column, this.investigation, this.conventions);
    this.#rules.set(name, made);
    return made;
  }

  /** All trials of a table, in order. @param means of the tables before it, by column key. */
  trialsOf(
    table: Table,
    cells: ReadonlyMap<string, Cell>,
    numbers: readonly number[],
    means: Readonly<Record<string, Quantity>>,
  ): Trial[] {
    const text = (trial: number, key: string) => cells.get(cellKey(trial, key))?.current.text;
    /** Another piece of the kit that it was read on. */
    const otherTag = (trial: number, column: Column) => {
      if (column.kind !== 'measured') return undefined;
      const tag = cells.get(cellKey(trial, column.key))?.current.tag;
      if (tag === undefined || tag === column.tag) return undefined;
      return this.#kinds.has(tag) && this.#kinds.get(tag) === this.#kinds.get(column.tag) ? tag : undefined;
    };
    const clocks = table.columns.filter(({ kind }) => kind === 'clock');
    const zero = clocks.length > 0 ? clockZero(this.investigation, table, cells) : undefined;
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
      const firstClock = clockZeroOfRow(
        zero,
        clocks.flatMap(({ key }) => text(number, key) ?? []),
      );
      const signature = JSON.stringify([
        table.columns.map(({ key }) => text(number, key) ?? null),
        table.columns.map((column) => otherTag(number, column) ?? null),
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
          : this.#derive(
              table,
              number,
              standing,
              (key) => text(number, key),
              (column) => otherTag(number, column),
              firstClock,
              before,
              means,
            );
      this.#kept.set(name, { signature, trial });
      trials.push(trial);
    }
    return trials;
  }

  #derive(
    table: Table,
    trial: number,
    { standing, reason }: { readonly standing: Standing; readonly reason: string | null },
    text: (key: string) => string | undefined,
    otherTag: (column: Column) => string | undefined,
    firstClock: string | undefined,
    before: Trial | undefined,
    means: Readonly<Record<string, Quantity>>,
  ): Trial {
    const read: Record<string, Quantity> = {};
    const derived: Record<string, Derived> = {};
    const readOn: Record<string, string> = {};
    const allowed: Record<string, number> = {};
    const spread: Record<string, number> = {};
    const words: Record<string, string> = {};
    const values: Record<string, Quantity> = { ...means };
    for (const column of table.columns) {
      if (column.kind === 'derived') {
        const cell = this.#reckon(column, table, values, before);
        derived[column.key] = cell;
        if (cell.state === 'reckoned') values[column.key] = cell.value;
        continue;
      }
      const written =
        column.kind === 'given'
          ? plainDecimal(givenIn(column, table, trial)?.value ?? '') || undefined
          : text(column.key);
      if (column.kind === 'choice') words[column.key] = wordIn(written ?? '', column) ?? '';
      const tag = otherTag(column);
      const rule = column.kind === 'measured' ? this.#ruleOf(columnOn(column, tag)) : undefined;
      const context = { conventions: this.conventions, firstClock, rule };
      const shown = quantityOf(written, column, context);
      if (tag !== undefined) readOn[column.key] = tag;
      if (column.kind === 'allowance' && shown)
        allowed[column.key] = decimalOf(allowanceFrom(written ?? '')?.plusMinus ?? '0').toNumber();
      if (column.kind === 'measured' && column.manner === 'turned' && shown)
        spread[column.key] = spreadWithin(written ?? '', column, context);
      const value = shown && rule?.corrected ? { ...shown, value: rule.corrected(shown.value) } : shown;
      if (value) values[column.key] = read[column.key] = value;
    }
    const complete = table.columns.every((column) =>
      column.kind === 'derived'
        ? derived[column.key]?.state !== 'refused' &&
          // What reaches back to a trial before is not worked in the first one.
          (column.by === 'app' || text(column.key) !== undefined || derived[column.key]?.state === 'open')
        : isWords(column)
          ? text(column.key) !== undefined
          : read[column.key] !== undefined,
    );
    return {
      table: table.key,
      trial,
      standing,
      reason,
      read,
      readOn,
      words,
      allowed,
      spread,
      derived,
      complete,
    };
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
          wrongWay: true,
        };
      return { state: 'reckoned', value, text: writtenValue(value, this.conventions), steps };
    } catch (error) {
      const reason = sentenceOf(error);
      if (reason === null) throw error;
      return { state: 'refused', reason, wrongWay: false };
    }
  }
}

/** A trial counts until somebody says otherwise. */
function standingOf(cell: Cell | undefined): { readonly standing: Standing; readonly reason: string | null } {
  const text = cell?.current.text;
  return text === 'abandoned' || text === 'excluded'
    ? { standing: text, reason: cell?.current.reason ?? null }
    : { standing: 'counts', reason: null };
}
