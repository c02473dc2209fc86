import type { Quantity } from '../figures';
import { termOf, type ModelEquation } from '../uncertainty';
import { named, parsedFormula, type Named } from './formula';
import { unitOf, type AllowanceColumn, type Column, type GivenColumn, type Table } from './investigation';
import { KnownInputs } from './knownInputs';
import type { LineParts, PointColumn } from './lineParts';
import { givenIn } from './namedRows';
import { columnOn } from './pieces';
import { allowanceInput, givenInput } from './notRead';
import { perUnit, Unfinished, type ModelInputs, type ResultModel } from './modelInputs';
import { valueIn, type Trial } from './trials';

/** Builds the model of a formula: over means, along the rows, through the points of a line. What it needs is known in one place. */
export class Inputs {
  readonly #names = new Map<string, Named | undefined>();
  readonly #known: KnownInputs;

  constructor(private readonly modelInputs: ModelInputs) {
    this.#known = new KnownInputs(modelInputs);
  }

  /** A formula over the means of columns. @throws Unfinished */
  overMeans(formula: string): ResultModel {
    return this.#known.finish(this.#term(formula, null, (found) => this.#mean(found)));
  }

  /** The mean of a formula over the trials of its table. @throws Unfinished */
  alongRows(formula: string, own: Table): ResultModel {
    return this.#known.finish(this.#rows(formula, own));
  }

  /**
   * The mean of a formula, row by row: each instrument acts as one habit over all of them, with its mean sensitivity, which
   * is not quite that at the means. @throws Unfinished
   */
  #rows(formula: string, table: Table): ModelEquation {
    const of = (this.modelInputs.trials[table.key] ?? []).flatMap((trial) => {
      if (trial.standing !== 'counts') return [];
      try {
        return [this.#inRow(formula, table, trial)];
      } catch (error) {
        if (error instanceof Unfinished) return [];
        throw error;
      }
    });
    if (of.length === 0) throw new Unfinished();
    return { kind: 'mean', of };
  }

  /** The mean of a formula over some trials that share readings: every reading is an input of its own. */
  overTrials(formula: string, own: Table, trials: readonly Trial[]): ResultModel {
    const counting = trials.filter(({ standing }) => standing === 'counts');
    const terms = counting.flatMap((trial, at) => {
      const before = counting[at - 1];
      const pick = (found: Named) => (found.of === 'before' ? before : trial);
      try {
        return [
          this.#term(formula, own, (found) => {
            if (found.column.kind === 'given') return this.#given(found.column, found, trial.trial);
            if (found.of === 'mean') return this.#mean(found);
            const of = pick(found);
            const value = valueIn(of, found.column);
            if (!of || !value) throw new Unfinished();
            return this.#readIn(of, found.column, value, `${found.column.key} of trial ${of.trial}`);
          }),
        ];
      } catch (error) {
        if (error instanceof Unfinished) return [];
        throw error;
      }
    });
    return this.#known.finish({ kind: 'mean', of: terms }, Math.max(1, terms.length));
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
            : column.kind === 'given'
              ? this.#given(column, { column, table, of: 'trial' }, trial.trial)
              : this.#readIn(trial, column, value, column.key);
        for (const [name, derivative] of this.#known.derivatives(term)) add(name, through * derivative);
      }
    return this.#known.through(by);
  }

  /** A formula in one row; what is read there has the cause of its column. @throws Unfinished */
  #inRow(formula: string, table: Table, trial: Trial): ModelEquation {
    return this.#term(formula, table, (found) => {
      if (found.column.kind === 'given') return this.#given(found.column, found, trial.trial);
      if (found.of === 'mean') return this.#mean(found);
      const value = found.of === 'before' ? undefined : valueIn(trial, found.column);
      if (!value) throw new Unfinished();
      return this.#readIn(trial, found.column, value, found.column.key);
    });
  }

  /** @param leaf what a column is that was not derived: in a row of its own table, or the mean of another. */
  #term(formula: string, own: Table | null, leaf: (found: Named) => ModelEquation): ModelEquation {
    const resolve = (name: string): ModelEquation | undefined => {
      const found = this.#named(own, name);
      if (!found) return undefined;
      const { column, table, of } = found;
      if (column.kind !== 'derived') return leaf(found);
      // A derived column is what its own formula says; of another table, the mean of that over its rows.
      if (of === 'mean') return this.#known.withScatter(this.#rows(column.formula, table), found);
      return this.#term(column.formula, table, (deeper) =>
        leaf(of === 'before' && deeper.of === 'trial' ? { ...deeper, of } : deeper),
      );
    };
    return termOf(parsedFormula(formula), resolve, this.modelInputs.conventions.water);
  }

  /** Rows are many, names few. */
  #named(own: Table | null, name: string): Named | undefined {
    const key = `${own?.key ?? ''} ${name}`;
    if (!this.#names.has(key)) this.#names.set(key, named(this.modelInputs.investigation, own, name));
    return this.#names.get(key);
  }

  #mean(found: Named): ModelEquation {
    const { column } = found;
    if (column.kind === 'given') return this.#given(column, found, null);
    const mean = this.modelInputs.means[column.key];
    if (!mean) throw new Unfinished();
    return this.#known.withScatter(this.#meanReading(found, mean), found);
  }

  /** A mean as one reading; read on several pieces, as the mean of what each of them gave. */
  #meanReading({ column, table }: Named, mean: Quantity): ModelEquation {
    const trials = (this.modelInputs.trials[table.key] ?? []).filter(
      (trial) => trial.standing === 'counts' && valueIn(trial, column),
    );
    const tags = new Set(trials.map(({ readOn }) => readOn?.[column.key]));
    const [only] = tags;
    const turned = trials.some(({ spread }) => spread?.[column.key]);
    if (tags.size < 2 && column.kind !== 'allowance' && !turned)
      return this.#known.reading(column.key, on(column, only), mean, column.key);
    return {
      kind: 'mean',
      of: trials.map((trial) => this.#readIn(trial, column, valueIn(trial, column) ?? mean, column.key)),
    };
  }

  /** A correction by judgement, in a row. */
  #allowance(trial: Trial, column: AllowanceColumn, value: Quantity): ModelEquation {
    return this.#known.takes(
      allowanceInput(trial, column, value, this.#known.called(column), this.modelInputs.conventions),
    );
  }

  /** What was read in a row, on the piece on which it was. @param cause what its components are named by. */
  #readIn(trial: Trial, column: Column, value: Quantity, cause: string): ModelEquation {
    if (column.kind === 'allowance') return this.#allowance(trial, column, value);
    const tag = trial.readOn?.[column.key];
    const name = `${column.key} of trial ${trial.trial}`;
    const read = this.#known.reading(
      name,
      on(column, tag),
      value,
      tag === undefined ? cause : `${cause} on ${tag}`,
    );
    const spread = trial.spread?.[column.key];
    // The thing is out of round in the same way in every trial: one cause over all of them.
    if (spread)
      this.#known.adds(name, {
        source: `where ${this.#known.called(column)} was read, as it was turned`,
        kind: 'tolerance',
        u: spread * perUnit(unitOf(column)),
      });
    return read;
  }

  /** What is given, of a trial of its table or the mean of all. */
  #given(column: GivenColumn, { table, of }: Named, trial: number | null): ModelEquation {
    const given = of === 'mean' || trial === null ? column.values : [givenIn(column, table, trial)];
    const terms = given.map((own): ModelEquation => {
      if (!own) throw new Unfinished();
      return this.#known.takes(
        givenInput(own, column, table, this.#known.called(column), this.modelInputs.conventions),
      );
    });
    const [only] = terms;
    return only && terms.length === 1 ? only : { kind: 'mean', of: terms };
  }
}

const on = (column: Column, tag: string | undefined): Column =>
  column.kind === 'measured' ? columnOn(column, tag) : column;
