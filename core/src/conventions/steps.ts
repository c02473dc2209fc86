import { Exact, tenTo } from '../figures';
import type { InstrumentKind } from '../instruments/kinds';
import type { Conventions } from './conventions';
import type { Answer } from './questions';

/** How a scale is to be read. */
export interface Step {
  /** The smallest amount by which two readings may differ, in the instrument's unit. */
  readonly size: Exact;
  /** Decimals that every reading shows. */
  readonly decimals: number;
  /** True where nothing is estimated and the line below the pointer is written. */
  readonly lineBelow: boolean;
}

/** What has to be known of a scale to say how it is read. */
export interface ScaleIdentity {
  readonly kind: InstrumentKind;
  readonly model: string;
  /** Smallest division, as a decimal text. */
  readonly division: string;
  readonly tag?: string | undefined;
}

/** The general rule of each school: the step for a smallest division d. */
const stepRules: Record<Answer<'analogueStep'>, (d: Exact) => Exact> = {
  // d 1 → 0.1, d 2 → 0.1, d 5 → 1, likewise in every decade.
  'written-place': (d) => tenTo(d.div(tenTo(d.e)).lt(5) ? d.e - 1 : d.e),
  'strict-tenth': (d) => d.div(10),
  'next-place': (d) => tenTo(-d.decimalPlaces() - 1),
  half: (d) => d.div(2),
  nearest: (d) => d,
  lower: (d) => d,
};

/** The step to which an analogue scale is read under these conventions. */
export function stepFor(conventions: Conventions, scale: ScaleIdentity): Step {
  const override = conventions.overrides.find(
    (rule) =>
      rule.kind === scale.kind &&
      (rule.division === undefined || rule.division === scale.division) &&
      (rule.model === undefined || rule.model === scale.model) &&
      (rule.tag === undefined || rule.tag === scale.tag),
  );
  const rule = conventions.analogueStep;
  const size = override ? new Exact(override.step) : stepRules[rule](new Exact(scale.division));
  return { size, decimals: size.decimalPlaces(), lineBelow: !override && rule === 'lower' };
}

/**
 * The half-width a of a reading, in the instrument's unit.
 * @param tolerance the maker's tolerance, used where the class says so.
 */
export function halfWidthFor(conventions: Conventions, scale: ScaleIdentity, tolerance: Exact): Exact {
  const d = new Exact(scale.division);
  const rules: Record<Answer<'halfWidth'>, () => Exact> = {
    'half-division': () => d.div(2),
    'tenth-division': () => d.div(10),
    'one-division': () => d,
    step: () => stepFor(conventions, scale).size,
    tolerance: () => tolerance,
  };
  return rules[conventions.halfWidth]();
}
