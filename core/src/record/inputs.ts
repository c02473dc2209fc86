import type { Conventions } from '../conventions';
import type { Decimal, Quantity } from '../figures';
import { instrumentOf, modelOf } from '../instruments';
import { parseProduct } from '../units';
import {
  dualOf,
  inBase,
  termOf,
  variable,
  type Component,
  type Contribution,
  type Input,
  type ModelEquation,
} from '../uncertainty';
import { clockHalfWidth, halfWidthOf } from './columnKinds';
import { planned, variesByPlan } from './byPlan';
import { named, parsedFormula, type Named } from './formula';
import {
  kitOf,
  unitOf,
  type Column,
  type Investigation,
  type MeasuredColumn,
  type Table,
} from './investigation';
import { valueIn, type Trial } from './trials';

/** A result as a calculation with uncertain inputs, in SI base units. */
export interface ResultModel {
  readonly term: ModelEquation;
  readonly inputs: readonly Input[];
}

export interface ModelInputs {
  readonly investigation: Investigation;
  readonly conventions: Conventions;
  /** Trials of every table, by its key. */
  readonly trials: Readonly<Record<string, readonly Trial[]>>;
  /** Means of all columns that have one, by key. */
  readonly means: Readonly<Record<string, Quantity>>;
}

/** A half-width as it stands, or as the standard uncertainty of a rectangle, a/√3 (JCGM 100:2008, 4.3.7). */
export const asStandard = (halfWidth: number, { plusMinus }: Conventions): number =>
  plusMinus === 'standard' ? halfWidth / Math.sqrt(3) : halfWidth;

const one = (unit: string): number => inBase(parseProduct(unit));

/** A column of the points of a line. */
export interface PointColumn {
  readonly column: Column;
  readonly table: Table;
  readonly trials: readonly Trial[];
  /** What is given by one of its values more, in base units. */
  readonly by: readonly number[];
}

/** What stands behind the points of a line, in the base unit of what is given. */
export interface LineParts {
  /** How they were read, as one habit over all of them: Σ c. */
  readonly habits: readonly Contribution[];
  /** The same, each reading by itself: √Σ c². */
  readonly readings: readonly Contribution[];
  readonly others: readonly Contribution[];
}

/** Gathers the inputs that a formula turns out to need, each once. */
export class Inputs {
  readonly #inputs = new Map<string, Input>();
  /** The column and tag behind an input, for what two readings of one instrument share. */
  readonly #behind = new Map<
    string,
    { readonly tag: string; readonly called: string; readonly cause: string }
  >();
  /** Differences that an instrument's tolerance has entered already, by its tag. */
  readonly #differences = new Map<string, readonly string[]>();
  readonly #alone = new Set<string>();
  /** Means that scatter, by the name of the input that brings it in. */
  readonly #repeats = new Map<string, Named>();
  /** Portions between the first mark and the last, where they follow each other: a tolerance acts once over all of it. */
  #portions = 1;

  constructor(private readonly modelInputs: ModelInputs) {}

  /**
   * A formula of a table at the means of its trials.
   * @param own null for a formula over means alone.
   */
  atMeans(formula: string, own: Table | null): ResultModel {
    return this.#finish(this.#term(formula, own, (name, found, within) => this.#mean(name, found, within)));
  }

  /**
   * A formula through the rows of a table whose amounts differ by plan: each instrument acts as one habit over all of them,
   * with its mean sensitivity, which is not that at the means.
   */
  #rows(formula: string, table: Table): ModelEquation | null {
    const of = (this.modelInputs.trials[table.key] ?? []).flatMap((trial) => {
      if (trial.standing !== 'counts') return [];
      try {
        return [this.#inRow(formula, table, trial)];
      } catch (error) {
        if (error instanceof Unfinished) return [];
        throw error;
      }
    });
    return of.length === 0 ? null : { kind: 'mean', of };
  }

  /** The mean of a formula over some trials that share readings: every reading is an input of its own. */
  overTrials(formula: string, own: Table, trials: readonly Trial[]): ResultModel {
    const counting = trials.filter(({ standing }) => standing === 'counts');
    const terms = counting.flatMap((trial, at) => {
      const before = counting[at - 1];
      const pick = (found: Named) => (found.of === 'before' ? before : trial);
      try {
        return [
          this.#term(formula, own, (name, found) => {
            if (found.of === 'mean') return this.#mean(name, found, null);
            const of = pick(found);
            const value = valueIn(of, found.column);
            if (!of || !value) throw new Unfinished();
            return this.#reading(`${found.column.key} of trial ${of.trial}`, found.column, value);
          }),
        ];
      } catch (error) {
        if (error instanceof Unfinished) return [];
        throw error;
      }
    });
    this.#portions = Math.max(1, terms.length);
    return this.#finish({ kind: 'mean', of: terms });
  }

  /**
   * What the readings behind the points of a line do to something that it gives: by themselves, as one habit of their
   * reader, and everything else.
   * @param columns with the derivative of what is given by each of their values, in base units, trial by trial.
   */
  throughPoints(columns: readonly PointColumn[]): LineParts {
    const by = new Map<string, number>();
    const add = (name: string, amount: number) => by.set(name, (by.get(name) ?? 0) + amount);
    for (const { column, table, trials, by: own } of columns)
      for (const [at, trial] of trials.entries()) {
        const value = valueIn(trial, column);
        const through = own[at];
        if (!value || through === undefined) continue;
        const term =
          column.kind === 'derived'
            ? this.#inRow(column.formula, table, trial)
            : this.#reading(`${column.key} of trial ${trial.trial}`, column, value, column.key);
        for (const [name, derivative] of this.#derivatives(term)) add(name, through * derivative);
      }
    this.#scatterJointly(by);
    const habits = new Map<string, Contribution>();
    const alone = new Map<string, number>();
    for (const [name, amount] of by)
      for (const { source, kind, u, degrees } of this.#inputs.get(name)?.components ?? []) {
        const contribution = (habits.get(source)?.contribution ?? 0) + amount * u;
        habits.set(source, { source, kind, contribution, ...(degrees === undefined ? {} : { degrees }) });
        if (kind === 'reading') alone.set(source, Math.hypot(alone.get(source) ?? 0, amount * u));
      }
    const all = [...habits.values()];
    return {
      habits: all.filter(({ kind }) => kind === 'reading'),
      readings: [...alone].map(([source, contribution]) => ({ source, kind: 'reading', contribution })),
      others: [...all.filter(({ kind }) => kind !== 'reading'), ...this.#tolerances(by)],
    };
  }

  /** A maker’s tolerance bounds the error between any two marks: T·max(Σc⁺, Σ|c⁻|) over all readings of an instrument. */
  #tolerances(by: ReadonlyMap<string, number>): Contribution[] {
    const byTag = new Map<string, { up: number; down: number }>();
    for (const [name, amount] of by) {
      const tag = this.#behind.get(name)?.tag;
      if (tag === undefined) continue;
      const { up, down } = byTag.get(tag) ?? { up: 0, down: 0 };
      byTag.set(tag, { up: up + Math.max(0, amount), down: down + Math.max(0, -amount) });
    }
    return [...byTag].map(([tag, { up, down }]) => {
      const { source, kind, u } = this.#tolerance(tag, `tolerance of ${tag}`);
      return { source, kind, contribution: u * Math.max(up, down) };
    });
  }

  /** A formula in one row; what is read there has the cause of its column. @throws Unfinished */
  #inRow(formula: string, table: Table, trial: Trial): ModelEquation {
    return this.#term(formula, table, (name, found, within) => {
      if (found.of === 'mean') return this.#mean(name, found, within);
      const value = found.of === 'before' ? undefined : valueIn(trial, found.column);
      if (!value) throw new Unfinished();
      return this.#reading(
        `${found.column.key} of trial ${trial.trial}`,
        found.column,
        value,
        found.column.key,
      );
    });
  }

  #term(
    formula: string,
    own: Table | null,
    leaf: (name: string, found: Named, within: Table | null) => ModelEquation,
    within: Table | null = null,
  ): ModelEquation {
    const resolve = (name: string): ModelEquation | undefined => {
      const found = named(this.modelInputs.investigation, own, name);
      if (!found) return undefined;
      const { column } = found;
      if (column.kind !== 'derived') return leaf(name, found, within);
      // A derived column is what its own formula says; of another table, with the scatter of its trials besides. That holds
      // the scatter of what it is made of in that table.
      if (found.of !== 'mean')
        return this.#term(
          column.formula,
          found.table,
          (innerName, deeper, inner) =>
            leaf(
              innerName,
              found.of === 'before' && deeper.of === 'trial' ? { ...deeper, of: 'before' } : deeper,
              inner,
            ),
          within,
        );
      const rows = planned(found.table) ? this.#rows(column.formula, found.table) : null;
      const inner =
        rows ??
        this.#term(
          column.formula,
          found.table,
          (innerName, deeper, inside) =>
            leaf(innerName, { ...deeper, of: deeper.of === 'before' ? 'before' : 'mean' }, inside),
          found.table,
        );
      return found.table === within ? inner : this.#withScatter(inner, found);
    };
    return termOf(parsedFormula(formula), resolve, this.modelInputs.conventions.water);
  }

  #mean(name: string, found: Named, within: Table | null): ModelEquation {
    const { column } = found;
    const mean = this.modelInputs.means[column.key];
    if (!mean) throw new Unfinished();
    // The trial before has, on the mean, the same values; its readings are others.
    const reading = this.#reading(found.of === 'before' ? name : column.key, column, mean);
    return found.of === 'mean' && found.table !== within ? this.#withScatter(reading, found) : reading;
  }

  /**
   * A mean of another table brings the scatter of its trials with it: through an input of value 0, whose size is found once
   * the whole formula is there. What differs by plan does not scatter.
   */
  #withScatter(term: ModelEquation, found: Named): ModelEquation {
    if (variesByPlan(found.column)) return term;
    const name = `scatter of ${found.column.key}`;
    this.#repeats.set(name, found);
    this.#inputs.set(name, { name, value: 0, components: [] });
    return { kind: 'operation', operator: '+', left: term, right: { kind: 'input', name } };
  }

  /** A column by its heading; where another bears the same one, with its symbol: they are two causes. */
  #called(column: Column): string {
    const alike = this.modelInputs.investigation.tables.some(({ columns }) =>
      columns.some(({ heading, key }) => key !== column.key && heading === column.heading),
    );
    return alike ? `${lower(column.heading)} ${column.symbol}` : lower(column.heading);
  }

  #derivatives(term: ModelEquation): ReadonlyMap<string, number> {
    return dualOf(term, (name) => variable(name, this.#inputs.get(name)?.value ?? NaN)).by;
  }

  /**
   * Columns of one table scatter together: over its complete rows z = Σ c·(x − x̄), c the sensitivity of the result to each
   * column’s mean; their part is s(z)/√n, once (JCGM 100:2008, H.2).
   */
  #scatterJointly(by: ReadonlyMap<string, number>): void {
    const byTable = new Map<Table, [name: string, found: Named][]>();
    for (const entry of this.#repeats)
      byTable.set(entry[1].table, [...(byTable.get(entry[1].table) ?? []), entry]);
    for (const [table, columns] of byTable) {
      const rows = (this.modelInputs.trials[table.key] ?? []).flatMap((trial) => {
        if (trial.standing !== 'counts') return [];
        const values = columns.map(([, { column }]) => valueIn(trial, column)?.value);
        return values.every((value) => value !== undefined) ? [values] : [];
      });
      const n = rows.length;
      if (n < 2) continue;
      const z = columns.reduce<readonly number[]>(
        (sums, [name, { column }], at) => {
          // From the first value on, so that a tiny spread on a large mean survives.
          const from = rows[0]?.[at];
          const size = (by.get(name) ?? 0) * one(unitOf(column));
          return sums.map(
            (sum, row) => sum + size * (from ? (rows[row]?.[at] ?? from).minus(from).toNumber() : 0),
          );
        },
        rows.map(() => 0),
      );
      const mean = z.reduce((sum, value) => sum + value, 0) / n;
      const ofMean = Math.sqrt(z.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1) / n);
      // The first column that the result feels carries what they do together.
      const [carrier] = columns.find(([name]) => (by.get(name) ?? 0) !== 0) ?? [];
      const input = carrier === undefined ? undefined : this.#inputs.get(carrier);
      if (carrier === undefined || !input) continue;
      const headings = columns.map(([, { column }]) => this.#called(column));
      this.#inputs.set(carrier, {
        ...input,
        components: [
          {
            source: `scatter of ${headings.join(' and ')}${headings.length > 1 ? ', row by row' : ''}`,
            kind: 'repeat',
            u: ofMean / (by.get(carrier) ?? 1),
            degrees: n - 1,
          },
        ],
      });
    }
  }

  /** @param cause what its components are named by: readings of one cause act together. */
  #reading(name: string, column: Column, { value, lastPlace }: Quantity, cause = name): ModelEquation {
    const { conventions } = this.modelInputs;
    const base = one(unitOf(column));
    const components: Component[] = [];
    if (column.kind === 'clock')
      components.push({
        // Each look at a clock has its own error.
        source: `reading ${cause === column.key ? this.#called(column) : cause.replace(column.key, this.#called(column))}`,
        kind: 'reading',
        u: asStandard(clockHalfWidth(lastPlace), conventions) * base,
      });
    if (column.kind === 'measured') {
      components.push(...this.#typeBs(cause, column, value, base));
      this.#behind.set(name, { tag: column.tag, called: this.#called(column), cause: column.key });
    }
    this.#inputs.set(name, { name, value: value.toNumber() * base, components });
    return { kind: 'input', name };
  }

  #typeBs(cause: string, column: MeasuredColumn, value: Decimal, base: number): Component[] {
    const { investigation, conventions } = this.modelInputs;
    const item = kitOf(investigation, column.tag);
    const half = halfWidthOf(column, investigation, conventions);
    const apart =
      cause === column.key ? this.#called(column) : cause.replace(column.key, this.#called(column));
    const bound = (source: string, kind: Component['kind'], size: number): Component => ({
      source,
      kind,
      u: asStandard(size, conventions) * base,
    });
    return [
      bound(`reading ${apart}`, 'reading', half),
      ...(item.offset ? [bound(`zero of ${item.tag}`, 'offset', Number(item.offset))] : []),
      ...(item.scalePercent
        ? [
            bound(
              `scale of ${item.tag}`,
              'scale factor',
              (value.toNumber() * Number(item.scalePercent)) / 100,
            ),
          ]
        : []),
    ];
  }

  /**
   * The maker's tolerance bounds the error between any two marks: it enters once for each difference of two readings of one
   * instrument, and once for a reading that is used by itself.
   */
  #finish(term: ModelEquation): ResultModel {
    const marked = this.#betweenMarks(term);
    this.#scatterJointly(this.#derivatives(marked));
    for (const name of this.#alone) {
      const behind = this.#behind.get(name);
      const input = this.#inputs.get(name);
      if (behind && input)
        this.#inputs.set(name, {
          ...input,
          components: [
            ...input.components,
            this.#tolerance(behind.tag, `tolerance of ${behind.tag}, ${behind.called}`),
          ],
        });
    }
    return { term: marked, inputs: [...this.#inputs.values()] };
  }

  #betweenMarks(term: ModelEquation): ModelEquation {
    if (term.kind === 'input') {
      this.#alone.add(term.name);
      return term;
    }
    if (term.kind === 'function') return { ...term, of: this.#betweenMarks(term.of) };
    if (term.kind === 'mean') return { ...term, of: term.of.map((of) => this.#betweenMarks(of)) };
    if (term.kind === 'constant') return term;
    const [left, right] = [readingOf(term.left), readingOf(term.right)];
    const tag = left && this.#behind.get(left)?.tag;
    if (term.operator === '−' && left && right && tag && tag === this.#behind.get(right)?.tag) {
      const name = `between ${left} and ${right}`;
      const [from, to] = [this.#behind.get(right)?.cause, this.#behind.get(left)?.cause];
      // The same difference in another row is of the same cause.
      const cause = `between ${to} and ${from}`;
      const known = this.#differences.get(tag) ?? [];
      const at = known.includes(cause) ? known.indexOf(cause) : known.length;
      if (at === known.length) this.#differences.set(tag, [...known, cause]);
      // One difference of an instrument needs no more than its tag; further ones say which they are.
      const source = at === 0 ? `tolerance of ${tag}` : `tolerance of ${tag}, ${to}`;
      this.#inputs.set(name, { name, value: 0, components: [this.#tolerance(tag, source, this.#portions)] });
      return { kind: 'operation', operator: '+', left: term, right: { kind: 'input', name } };
    }
    return { ...term, left: this.#betweenMarks(term.left), right: this.#betweenMarks(term.right) };
  }

  #tolerance(tag: string, source: string, over = 1): Component {
    const item = kitOf(this.modelInputs.investigation, tag);
    const { tolerance, unit } = modelOf(instrumentOf(item.kind), item.model);
    return {
      source,
      kind: 'tolerance',
      u: (asStandard(Number(tolerance), this.modelInputs.conventions) * one(unit)) / over,
    };
  }
}

/** The reading that a term is, alone or with the scatter of its mean. */
function readingOf(term: ModelEquation): string | null {
  if (term.kind === 'input') return term.name;
  if (
    term.kind === 'operation' &&
    term.operator === '+' &&
    term.right.kind === 'input' &&
    term.right.name.startsWith('scatter of')
  )
    return readingOf(term.left);
  return null;
}

/** A value that is not there yet. */
export class Unfinished extends Error {}

const lower = (heading: string): string => heading.charAt(0).toLowerCase() + heading.slice(1);
