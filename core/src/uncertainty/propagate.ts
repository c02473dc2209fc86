import { variable, type Dual } from './dual';

export type ComponentKind = 'repeat' | 'reading' | 'zero' | 'offset' | 'scale factor' | 'tolerance';

/** One reason why an input is uncertain. */
export interface Component {
  /** Names the cause. Components of one source act together: the same cause, once, with its sign. */
  readonly source: string;
  readonly kind: ComponentKind;
  /** Signed size in the input's unit: a half-width or a standard uncertainty, as the course has it. */
  readonly u: number;
  /** Degrees of freedom of a repeat part; infinitely many for what is not found by repeating. */
  readonly degrees?: number;
  /** How it is spread, where its kind does not say: repeats as Student's distribution, bounds evenly. */
  readonly shape?: 'normal' | 'rectangular' | 'triangular';
}

/**
 * One input of a calculation. A tolerance that bounds the error between any two marks belongs to a difference,
 * not to a reading: enter it once, as an input of value 0 that the model adds to the difference.
 */
export interface Input {
  readonly name: string;
  readonly value: number;
  readonly components: readonly Component[];
}

export interface Contribution {
  readonly source: string;
  readonly kind: ComponentKind;
  /** Σ c·u over the inputs that share the source, signed, in the result's unit. May vanish. */
  readonly contribution: number;
  readonly degrees?: number;
}

export interface Propagated {
  readonly value: number;
  /** ∂result/∂input, by input name. */
  readonly sensitivities: ReadonlyMap<string, number>;
  readonly contributions: readonly Contribution[];
}

/**
 * Carries the components of all inputs through a model by its exact derivatives (JCGM 100:2008, 5.1 and 5.2).
 * @throws RangeError for two inputs of one name, or where the model does.
 */
export function propagate(
  model: (input: (name: string) => Dual) => Dual,
  inputs: readonly Input[],
): Propagated {
  const duals = new Map(inputs.map(({ name, value }) => [name, variable(name, value)]));
  if (duals.size < inputs.length) throw new RangeError('Two inputs have the same name.');
  const result = model((name) => {
    const dual = duals.get(name);
    if (!dual) throw new RangeError(`There is no input called “${name}”.`);
    return dual;
  });
  const bySource = new Map<string, { -readonly [K in keyof Contribution]: Contribution[K] }>();
  for (const { name, components } of inputs) {
    const sensitivity = result.by.get(name) ?? 0;
    for (const { source, kind, u: size, degrees } of components) {
      const known = bySource.get(source);
      if (known) known.contribution += sensitivity * size;
      else
        bySource.set(source, {
          source,
          kind,
          contribution: sensitivity * size,
          ...(degrees === undefined ? {} : { degrees }),
        });
    }
  }
  return { value: result.value, sensitivities: result.by, contributions: [...bySource.values()] };
}

/** √Σ contribution²: independent sources in quadrature. */
export const quadrature = (contributions: readonly Contribution[]): number =>
  Math.hypot(...contributions.map(({ contribution }) => contribution));

/** Σ|contribution|: all sources at their worst at once. */
export const worstCase = (contributions: readonly Contribution[]): number =>
  contributions.reduce((sum, { contribution }) => sum + Math.abs(contribution), 0);
