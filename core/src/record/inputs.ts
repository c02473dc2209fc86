import type { Conventions } from '../conventions';
import type { Decimal, Quantity } from '../figures';
import { instrumentOf, modelOf } from '../instruments';
import { parseProduct } from '../units';
import { inBase, termOf, type Component, type Input, type ModelEquation } from '../uncertainty';
import { halfWidthOf } from './columnKinds';
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

/** Gathers the inputs that a formula turns out to need, each once. */
export class Inputs {
  readonly #inputs = new Map<string, Input>();
  /** The column and tag behind an input, for what two readings of one instrument share. */
  readonly #behind = new Map<string, { readonly tag: string; readonly heading: string }>();
  /** Differences that an instrument's tolerance has entered already, by its tag. */
  readonly #differences = new Map<string, readonly string[]>();
  readonly #alone = new Set<string>();

  constructor(private readonly modelInputs: ModelInputs) {}

  /**
   * A formula of a table at the means of its trials.
   * @param own null for a formula over means alone.
   */
  atMeans(formula: string, own: Table | null): ResultModel {
    return this.#finish(this.#term(formula, own, (name, found) => this.#mean(name, found)));
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
            if (found.of === 'mean') return this.#mean(name, found);
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
    return this.#finish({ kind: 'mean', of: terms });
  }

  #term(
    formula: string,
    own: Table | null,
    leaf: (name: string, found: Named) => ModelEquation,
  ): ModelEquation {
    const resolve = (name: string): ModelEquation | undefined => {
      const found = named(this.modelInputs.investigation, own, name);
      if (!found) return undefined;
      const { column } = found;
      if (column.kind !== 'derived') return leaf(name, found);
      // A derived column is what its own formula says; of another table, with the scatter of its trials besides.
      const inner = this.#term(column.formula, found.table, (innerName, deeper) =>
        leaf(
          innerName,
          found.of === 'trial' ? deeper : { ...deeper, of: found.of === 'before' ? 'before' : 'mean' },
        ),
      );
      return found.of === 'mean' ? this.#withScatter(inner, found) : inner;
    };
    return termOf(parsedFormula(formula), resolve, this.modelInputs.conventions.water);
  }

  #mean(name: string, found: Named): ModelEquation {
    const { column } = found;
    const mean = this.modelInputs.means[column.key];
    if (!mean) throw new Unfinished();
    // The trial before has, on the mean, the same values; its readings are others.
    const reading = this.#reading(found.of === 'before' ? name : column.key, column, mean);
    return found.of === 'mean' ? this.#withScatter(reading, found) : reading;
  }

  /** A mean of another table brings the scatter of its own trials with it. */
  #withScatter(term: ModelEquation, { column, table }: Named): ModelEquation {
    const values = (this.modelInputs.trials[table.key] ?? []).flatMap((trial) =>
      trial.standing === 'counts' ? (valueIn(trial, column)?.value.toNumber() ?? []) : [],
    );
    const n = values.length;
    if (n < 2) return term;
    const mean = values.reduce((sum, value) => sum + value, 0) / n;
    const sd = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1));
    const name = `scatter of ${column.key}`;
    const source = `scatter of ${lower(column.heading)}`;
    const size = (sd / Math.sqrt(n)) * one(unitOf(column));
    this.#inputs.set(name, {
      name,
      value: 0,
      components: [{ source, kind: 'repeat', u: size, degrees: n - 1 }],
    });
    return { kind: 'operation', operator: '+', left: term, right: { kind: 'input', name } };
  }

  #reading(name: string, column: Column, { value }: Quantity): ModelEquation {
    const { conventions } = this.modelInputs;
    const base = one(unitOf(column));
    const components: Component[] = [];
    if (column.kind === 'clock')
      components.push({
        source: `reading ${lower(column.heading)}`,
        kind: 'reading',
        u: asStandard(halfWidthOf(column, this.modelInputs.investigation, conventions), conventions) * base,
      });
    if (column.kind === 'measured') {
      components.push(...this.#typeBs(name, column, value, base));
      this.#behind.set(name, { tag: column.tag, heading: column.heading });
    }
    this.#inputs.set(name, { name, value: value.toNumber() * base, components });
    return { kind: 'input', name };
  }

  #typeBs(name: string, column: MeasuredColumn, value: Decimal, base: number): Component[] {
    const { investigation, conventions } = this.modelInputs;
    const item = kitOf(investigation, column.tag);
    const half = halfWidthOf(column, investigation, conventions);
    const apart =
      name === column.key ? lower(column.heading) : name.replace(column.key, lower(column.heading));
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
    for (const name of this.#alone) {
      const behind = this.#behind.get(name);
      const input = this.#inputs.get(name);
      if (behind && input)
        this.#inputs.set(name, {
          ...input,
          components: [
            ...input.components,
            this.#tolerance(behind.tag, `tolerance of ${behind.tag}, ${lower(behind.heading)}`),
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
      const known = this.#differences.get(tag) ?? [];
      const at = known.includes(name) ? known.indexOf(name) : known.length;
      if (at === known.length) this.#differences.set(tag, [...known, name]);
      // One difference of an instrument needs no more than its tag; further ones say which they are.
      const source = at === 0 ? `tolerance of ${tag}` : `tolerance of ${tag}, ${left}`;
      this.#inputs.set(name, { name, value: 0, components: [this.#tolerance(tag, source)] });
      return { kind: 'operation', operator: '+', left: term, right: { kind: 'input', name } };
    }
    return { ...term, left: this.#betweenMarks(term.left), right: this.#betweenMarks(term.right) };
  }

  #tolerance(tag: string, source: string): Component {
    const item = kitOf(this.modelInputs.investigation, tag);
    const { tolerance, unit } = modelOf(instrumentOf(item.kind), item.model);
    return {
      source,
      kind: 'tolerance',
      u: asStandard(Number(tolerance), this.modelInputs.conventions) * one(unit),
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
