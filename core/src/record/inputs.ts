import type { Quantity } from '../figures';
import { dualOf, termOf, variable, type Component, type Input, type ModelEquation } from '../uncertainty';
import { variesByPlan } from './byPlan';
import { named, parsedFormula, type Named } from './formula';
import { unitOf, type AllowanceColumn, type Column, type GivenColumn, type Table } from './investigation';
import { jointScatter, type Repeated } from './jointScatter';
import { partsOf, type LineParts, type PointColumn } from './lineParts';
import { givenIn } from './namedRows';
import { withLeftOut } from './leftOut';
import { Marks, scatterPrefix } from './marks';
import { columnOn } from './pieces';
import { allowanceInput, givenInput } from './notRead';
import { perUnit, Unfinished, type ModelInputs, type ResultModel } from './modelInputs';
import { ReadingCauses } from './readingCauses';
import { valueIn, type Trial } from './trials';

/** Gathers the inputs that a formula turns out to need, each once. */
export class Inputs {
  readonly #inputs = new Map<string, Input>();
  /** Means that scatter, by the name of the input that brings it in. */
  readonly #repeats = new Map<string, Repeated>();
  /** Portions between the first mark and the last, where they follow each other: a tolerance acts once over all of it. */
  #portions = 1;

  /** The inputs that are looks at a clock. */
  readonly #looks = new Set<string>();
  readonly #names = new Map<string, Named | undefined>();
  readonly #causes: ReadingCauses;
  readonly #marks: Marks;

  constructor(private readonly modelInputs: ModelInputs) {
    this.#marks = new Marks(modelInputs);
    this.#causes = new ReadingCauses(modelInputs);
  }

  /** A formula over the means of columns. @throws Unfinished */
  overMeans(formula: string): ResultModel {
    return this.#finish(this.#term(formula, null, (found) => this.#mean(found)));
  }

  /** The mean of a formula over the trials of its table. @throws Unfinished */
  alongRows(formula: string, own: Table): ResultModel {
    return this.#finish(this.#rows(formula, own));
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
            : column.kind === 'given'
              ? this.#given(column, { column, table, of: 'trial' }, trial.trial)
              : this.#readIn(trial, column, value, column.key);
        for (const [name, derivative] of this.#derivatives(term)) add(name, through * derivative);
      }
    this.#scatterJointly(by);
    const { others, ...read } = partsOf(by, this.#inputs, this.#looks);
    return { ...read, others: [...others, ...this.#marks.over(by)] };
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
      if (of === 'mean') return this.#withScatter(this.#rows(column.formula, table), found);
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
    return this.#withScatter(this.#meanReading(found, mean), found);
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
      return this.#reading(column.key, on(column, only), mean, column.key);
    return {
      kind: 'mean',
      of: trials.map((trial) => this.#readIn(trial, column, valueIn(trial, column) ?? mean, column.key)),
    };
  }

  /** A correction by judgement, in a row. */
  #allowance(trial: Trial, column: AllowanceColumn, value: Quantity): ModelEquation {
    return this.#takes(
      allowanceInput(trial, column, value, this.#causes.called(column), this.modelInputs.conventions),
    );
  }

  /** What was read in a row, on the piece on which it was. @param cause what its components are named by. */
  #readIn(trial: Trial, column: Column, value: Quantity, cause: string): ModelEquation {
    if (column.kind === 'allowance') return this.#allowance(trial, column, value);
    const tag = trial.readOn?.[column.key];
    const name = `${column.key} of trial ${trial.trial}`;
    const read = this.#reading(
      name,
      on(column, tag),
      value,
      tag === undefined ? cause : `${cause} on ${tag}`,
    );
    const spread = trial.spread?.[column.key];
    // The thing is out of round in the same way in every trial: one cause over all of them.
    if (spread)
      this.#adds(name, {
        source: `where ${this.#causes.called(column)} was read, as it was turned`,
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
      return this.#takes(
        givenInput(own, column, table, this.#causes.called(column), this.modelInputs.conventions),
      );
    });
    const [only] = terms;
    return only && terms.length === 1 ? only : { kind: 'mean', of: terms };
  }

  #takes(input: Input): ModelEquation {
    this.#inputs.set(input.name, input);
    return { kind: 'input', name: input.name };
  }

  /**
   * A mean of another table brings the scatter of its trials with it: through an input of value 0, whose size is found once
   * the whole formula is there. What differs by plan does not scatter.
   */
  #withScatter(term: ModelEquation, found: Named): ModelEquation {
    if (variesByPlan(found.column, found.table)) return term;
    const name = `${scatterPrefix}${found.column.key}`;
    this.#repeats.set(name, { ...found, name, called: this.#causes.called(found.column) });
    this.#inputs.set(name, { name, value: 0, components: [] });
    return { kind: 'operation', operator: '+', left: term, right: { kind: 'input', name } };
  }

  #derivatives(term: ModelEquation): ReadonlyMap<string, number> {
    return dualOf(term, (name) => variable(name, this.#inputs.get(name)?.value ?? NaN)).by;
  }

  #scatterJointly(by: ReadonlyMap<string, number>): void {
    const found = jointScatter([...this.#repeats.values()], by, this.modelInputs.trials);
    for (const [name, component] of found) this.#adds(name, component);
  }

  #adds(name: string, component: Component): void {
    const input = this.#inputs.get(name);
    if (input) this.#inputs.set(name, { ...input, components: [...input.components, component] });
  }

  /** @param cause what its components are named by: readings of one cause act together. */
  #reading(name: string, column: Column, { value, lastPlace }: Quantity, cause = name): ModelEquation {
    const { base, called, parts, scale } = this.#causes.of(column, lastPlace, cause);
    const own = value.toNumber() * base;
    if (column.kind === 'clock') this.#looks.add(name);
    if (column.kind === 'measured') this.#marks.read(name, column, called);
    this.#inputs.set(name, {
      name,
      value: own,
      components: scale
        ? [...parts, { source: scale.source, kind: 'scale factor', u: own * scale.share }]
        : parts,
    });
    return { kind: 'input', name };
  }

  #finish(term: ModelEquation): ResultModel {
    const whole = withLeftOut(term, this.modelInputs.conventions);
    for (const input of whole.inputs) this.#inputs.set(input.name, input);
    const marked = this.#marks.within(whole.term, this.#portions);
    for (const input of marked.differences) this.#inputs.set(input.name, input);
    if (this.#repeats.size > 0) this.#scatterJointly(this.#derivatives(marked.term));
    for (const [name, component] of marked.alone) this.#adds(name, component);
    return { term: marked.term, inputs: [...this.#inputs.values()] };
  }
}

const on = (column: Column, tag: string | undefined): Column =>
  column.kind === 'measured' ? columnOn(column, tag) : column;
