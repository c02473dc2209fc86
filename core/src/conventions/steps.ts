import { Decimal, tenTo } from '../figures';
import type { InstrumentKind } from './kinds';
import type { Conventions } from './conventions';
import { questions, type Answer } from './questions';

/** How a scale is to be read. */
export interface Step {
  /** The smallest amount by which two readings may differ, in the instrument's unit. */
  readonly size: Decimal;
  /** Decimals that every reading shows. */
  readonly decimals: number;
  /** How a value is judged against the true indication. */
  readonly judged: Judged;
}

/**
 * `estimate`: between the lines, by eye. `line below`: nothing estimated, the lower line written. `least count`: a
 * vernier or a screw, to the nearest multiple. `digits`: a display, digit for digit.
 */
export type Judged = 'estimate' | 'line below' | 'least count' | 'digits';

/** What has to be known of a scale to say how it is read. */
export interface ScaleIdentity {
  readonly kind: InstrumentKind;
  readonly model: string;
  /** Smallest division, as a decimal text. */
  readonly division: string;
  readonly reads: Reads;
  readonly tag?: string | undefined;
}

/** What kind of reading a scale gives: an analogue one, one by least count, or a row of digits. */
export type Reads = 'scale' | 'least count' | 'digits';

/** The general rule of each school: the step for a smallest division d. */
const stepRules: Record<Answer<'analogueStep'>, (d: Decimal) => Decimal> = {
  // d 1 → 0.1, d 2 → 0.1, d 5 → 1, likewise in every decade.
  'written-place': (d) => tenTo(d.div(tenTo(d.e)).lt(5) ? d.e - 1 : d.e),
  'strict-tenth': (d) => d.div(10),
  'next-place': (d) => tenTo(-d.decimalPlaces() - 1),
  half: (d) => d.div(2),
  nearest: (d) => d,
  lower: (d) => d,
};

const overrideFor = (conventions: Conventions, scale: ScaleIdentity) =>
  conventions.overrides.find(
    (rule) =>
      rule.kind === scale.kind &&
      (rule.division === undefined || rule.division === scale.division) &&
      (rule.model === undefined || rule.model === scale.model) &&
      (rule.tag === undefined || rule.tag === scale.tag),
  );

const known = new WeakMap<Conventions, Map<string, Step>>();

/** The step to which an instrument is read under these conventions. Reckoned once for each scale. */
export function stepFor(conventions: Conventions, scale: ScaleIdentity): Step {
  const steps = known.get(conventions) ?? new Map<string, Step>();
  known.set(conventions, steps);
  const key = `${scale.kind} ${scale.model} ${scale.division} ${scale.reads} ${scale.tag ?? ''}`;
  const before = steps.get(key);
  if (before) return before;
  const reckoned = reckonStep(conventions, scale);
  steps.set(key, reckoned);
  return reckoned;
}

function reckonStep(conventions: Conventions, scale: ScaleIdentity): Step {
  const override = overrideFor(conventions, scale);
  if (scale.reads !== 'scale' && !(override || thousandths(conventions, scale)))
    return step(scale.division, scale.reads);
  if (scale.reads !== 'scale') return step(override?.step ?? '0.001', 'estimate');
  const rule = conventions.analogueStep;
  const size = override ? new Decimal(override.step) : stepRules[rule](new Decimal(scale.division));
  return step(size, !override && rule === 'lower' ? 'line below' : 'estimate');
}

/** Why a scale is read so far under these conventions, in words. */
export function stepWords(conventions: Conventions, scale: ScaleIdentity): string {
  const { size, judged } = stepFor(conventions, scale);
  if (judged === 'digits') return 'Every digit that is shown is written';
  if (judged === 'least count') return `Read to the least count, ${size.toString()}, nothing estimated`;
  const override = overrideFor(conventions, scale);
  const rule = override
    ? 'this kind of instrument has a rule of its own'
    : questions.analogueStep.answers[conventions.analogueStep];
  return `Read in steps of ${size.toString()}: ${rule}`;
}

const step = (size: Decimal | string, judged: Judged): Step => {
  const exact = new Decimal(size);
  return { size: exact, decimals: exact.decimalPlaces(), judged };
};

/** A plain micrometer may be estimated to 0.001 mm. */
const thousandths = ({ leastCount }: Conventions, { kind, division }: ScaleIdentity): boolean =>
  leastCount === 'screw-to-thousandth' && kind === 'micrometer' && division === '0.01';

/**
 * The half-width a of a reading, in the instrument's unit: by the class's rule for an analogue scale, one least count
 * for a vernier or a screw, half of one last digit for a display.
 * @param tolerance the maker's tolerance, used where the class says so.
 */
export function halfWidthFor(conventions: Conventions, scale: ScaleIdentity, tolerance: Decimal): Decimal {
  const d = new Decimal(scale.division);
  if (scale.reads === 'least count') return d;
  if (scale.reads === 'digits') return d.div(2);
  const rules: Record<Answer<'halfWidth'>, () => Decimal> = {
    'half-division': () => d.div(2),
    'tenth-division': () => d.div(10),
    'one-division': () => d,
    step: () => stepFor(conventions, scale).size,
    tolerance: () => tolerance,
  };
  return rules[conventions.halfWidth]();
}
