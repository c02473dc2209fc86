import type { Quantity } from '../figures';
import { dualOf, variable, type Component, type Input, type ModelEquation } from '../uncertainty';
import { variesByPlan } from './byPlan';
import type { Named } from './formula';
import type { Column } from './investigation';
import { jointScatter, type Repeated } from './jointScatter';
import { withLeftOut } from './leftOut';
import { partsOf, type LineParts } from './lineParts';
import { Marks, scatterPrefix } from './marks';
import type { ModelInputs, ResultModel } from './modelInputs';
import { ReadingCauses } from './readingCauses';

/** The inputs of one model, each once: what was read and given, by their names, with what they may be off by. */
export class KnownInputs {
  readonly #inputs = new Map<string, Input>();
  /** Means that scatter, by the name of the input that brings it in. */
  readonly #repeats = new Map<string, Repeated>();
  /** The inputs that are looks at a clock. */
  readonly #looks = new Set<string>();
  readonly #causes: ReadingCauses;
  readonly #marks: Marks;

  constructor(private readonly modelInputs: ModelInputs) {
    this.#marks = new Marks(modelInputs);
    this.#causes = new ReadingCauses(modelInputs);
  }

  /** What a column is called in a budget. */
  called(column: Column): string {
    return this.#causes.called(column);
  }

  /** Takes an input in, and gives it as a term. */
  takes(input: Input): ModelEquation {
    this.#inputs.set(input.name, input);
    return { kind: 'input', name: input.name };
  }

  /**
   * A mean of another table brings the scatter of its trials with it: through an input of value 0, whose size is found once
   * the whole formula is there. What differs by plan does not scatter.
   */
  withScatter(term: ModelEquation, found: Named): ModelEquation {
    if (variesByPlan(found.column, found.table)) return term;
    const name = `${scatterPrefix}${found.column.key}`;
    this.#repeats.set(name, { ...found, name, called: this.#causes.called(found.column) });
    this.#inputs.set(name, { name, value: 0, components: [] });
    return { kind: 'operation', operator: '+', left: term, right: { kind: 'input', name } };
  }

  /** By how much a term changes with each of its inputs, in base units. */
  derivatives(term: ModelEquation): ReadonlyMap<string, number> {
    return dualOf(term, (name) => variable(name, this.#inputs.get(name)?.value ?? NaN)).by;
  }

  /** What inputs that act on the points of a line by so much do to what it gives. */
  through(by: ReadonlyMap<string, number>): LineParts {
    this.#scatterJointly(by);
    const { others, ...read } = partsOf(by, this.#inputs, this.#looks);
    return { ...read, others: [...others, ...this.#marks.over(by)] };
  }

  #scatterJointly(by: ReadonlyMap<string, number>): void {
    const found = jointScatter([...this.#repeats.values()], by, this.modelInputs.trials);
    for (const [name, component] of found) this.adds(name, component);
  }

  /** Gives an input one more component. */
  adds(name: string, component: Component): void {
    const input = this.#inputs.get(name);
    if (input) this.#inputs.set(name, { ...input, components: [...input.components, component] });
  }

  /** @param cause what its components are named by: readings of one cause act together. */
  reading(name: string, column: Column, { value, lastPlace }: Quantity, cause = name): ModelEquation {
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

  /**
   * The whole model: with what it leaves out, the tolerances of its differences, and the scatter of its means.
   * @param portions between the first mark and the last, where they follow each other: a tolerance acts once over all of it.
   */
  finish(term: ModelEquation, portions = 1): ResultModel {
    const whole = withLeftOut(term, this.modelInputs.conventions);
    for (const input of whole.inputs) this.#inputs.set(input.name, input);
    const marked = this.#marks.within(whole.term, portions);
    for (const input of marked.differences) this.#inputs.set(input.name, input);
    if (this.#repeats.size > 0) this.#scatterJointly(this.derivatives(marked.term));
    for (const [name, component] of marked.alone) this.adds(name, component);
    return { term: marked.term, inputs: [...this.#inputs.values()] };
  }
}
