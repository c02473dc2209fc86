import { halfWidthFor, type Conventions, type ScaleIdentity } from '../conventions';
import {
  divide,
  Exact,
  measured,
  subtract,
  type FiguresStep,
  type Tracked,
  type WrittenNumber,
} from '../figures';
import { summarize, type Summary } from '../statistics';
import {
  largestSmallest,
  minus,
  monteCarlo,
  over,
  plus,
  propagate,
  quadrature,
  worstCase,
  type Component,
  type Dual,
  type Input,
  type Propagated,
} from '../uncertainty';

/** One complete trial: a mass in grams, and the level in millilitres before and after the object went in. */
export interface DisplacementTrial {
  readonly trial: number;
  readonly mass: WrittenNumber;
  readonly before: WrittenNumber;
  readonly after: WrittenNumber;
}

/** An instrument as far as its uncertainty goes. */
export interface Gauge extends ScaleIdentity {
  readonly tolerance: string;
}

export interface TrialDensity {
  readonly trial: number;
  readonly readings: DisplacementTrial;
  readonly volume: FiguresStep;
  readonly density: FiguresStep;
}

export interface DisplacementDensity {
  readonly trials: readonly TrialDensity[];
  /** Of the unrounded densities, in g/cm³ (1 mL = 1 cm³). */
  readonly summary: Summary;
  /** The mean with the coarsest last place among the trials. */
  readonly mean: Tracked;
  readonly repeatPart: Exact | null;
  readonly instrument: Propagated;
  readonly instrumentPart: number;
  /** Both parts joined by the class's convention; null where the class works by figures only. */
  readonly uncertainty: Exact | null;
}

/**
 * ρ = m / (V₂ − V₁). The instruments' part is carried through once, not reduced by the number of trials; the
 * scatter of the inputs is already in the scatter of the results and is not propagated again.
 * @throws RangeError for no trials, or for a level that does not rise.
 */
export function densityByDisplacement(
  readings: readonly DisplacementTrial[],
  balance: Gauge,
  cylinder: Gauge,
  conventions: Conventions,
): DisplacementDensity {
  const trials = readings.map(trialDensity);
  const summary = summarize(trials.map((trial) => trial.density.result.value));
  const lastPlace = Math.max(...trials.map((trial) => trial.density.result.lastPlace ?? -Infinity));
  const repeatPart = repeatPartOf(summary, conventions);
  const inputs = instrumentInputs(readings, balance, cylinder, conventions);
  const instrument = propagate(density, inputs);
  const instrumentPart = combined(instrument, inputs, conventions);
  return {
    trials,
    summary,
    mean: { value: summary.mean, lastPlace },
    repeatPart,
    instrument,
    instrumentPart,
    uncertainty:
      conventions.combining === 'figures-only' ? null : join(repeatPart, instrumentPart, conventions),
  };
}

/** One trial's volume and density. @throws RangeError for a level that does not rise. */
export function trialDensity(readings: DisplacementTrial): TrialDensity {
  const volume = subtract(measured(readings.after), measured(readings.before));
  if (volume.result.value.lte(0)) {
    throw new RangeError(`In trial ${readings.trial} the level after is not above the level before.`);
  }
  return { trial: readings.trial, readings, volume, density: divide(measured(readings.mass), volume.result) };
}

/** ρ = m / (V₂ − V₁ + what the glass may be wrong by between the two marks). */
const density = (input: (name: string) => Dual): Dual =>
  over(input('mass'), plus(minus(input('after'), input('before')), input('between marks')));

/** The instruments' part by the class's way of combining. */
function combined({ contributions }: Propagated, inputs: readonly Input[], conventions: Conventions): number {
  const ways: Record<Conventions['combining'], () => number> = {
    'figures-only': () => quadrature(contributions),
    'worst-case': () => worstCase(contributions),
    quadrature: () => quadrature(contributions),
    'largest-smallest': () => largestSmallest(density, inputs).half,
    'monte-carlo': () =>
      monteCarlo(density, inputs, { draws, seed: 1, standard: conventions.plusMinus === 'standard' })
        .standardDeviation,
  };
  return ways[conventions.combining]();
}

/** Enough for two digits of an uncertainty. */
const draws = 20_000;

function instrumentInputs(
  readings: readonly DisplacementTrial[],
  balance: Gauge,
  cylinder: Gauge,
  conventions: Conventions,
): Input[] {
  const meanOf = (pick: (trial: DisplacementTrial) => WrittenNumber) =>
    summarize(readings.map((trial) => pick(trial).value)).mean.toNumber();
  const reading = (gauge: Gauge, source: string): Component => ({
    source,
    kind: 'reading',
    size: asStandard(halfWidthFor(conventions, gauge, new Exact(gauge.tolerance)).toNumber(), conventions),
  });
  const tolerance = (gauge: Gauge, source: string): Component => ({
    source,
    kind: 'tolerance',
    size: asStandard(Number(gauge.tolerance), conventions),
  });
  return [
    {
      name: 'mass',
      value: meanOf(({ mass }) => mass),
      components: [
        reading(balance, 'reading the mass'),
        tolerance(balance, `tolerance of ${balance.tag ?? 'the balance'}`),
      ],
    },
    {
      name: 'before',
      value: meanOf(({ before }) => before),
      components: [reading(cylinder, 'reading the level before')],
    },
    {
      name: 'after',
      value: meanOf(({ after }) => after),
      components: [reading(cylinder, 'reading the level after')],
    },
    // The glass may be wrong by its tolerance between any two marks: once for the difference, never cancelled.
    {
      name: 'between marks',
      value: 0,
      components: [tolerance(cylinder, `tolerance of ${cylinder.tag ?? 'the cylinder'}`)],
    },
  ];
}

/** A half-width as it stands, or as the standard uncertainty of a rectangle, a/√3 (JCGM 100:2008, 4.3.7). */
const asStandard = (halfWidth: number, { plusMinus }: Conventions): number =>
  plusMinus === 'standard' ? halfWidth / Math.sqrt(3) : halfWidth;

function repeatPartOf(summary: Summary, { spread }: Conventions): Exact | null {
  if (summary.n < 2) return null;
  const parts = {
    'standard-deviation': summary.sdOfMean,
    'sd-of-mean': summary.sdOfMean,
    'mean-absolute-deviation': summary.meanAbsoluteDeviation,
    'half-range': summary.halfRange,
  };
  return parts[spread];
}

function join(repeat: Exact | null, instrument: number, { repeatAndInstrument }: Conventions): Exact {
  const parts = [repeat ?? new Exact(0), new Exact(instrument)] as const;
  const joined = {
    larger: () => Exact.max(...parts),
    sum: () => parts[0].plus(parts[1]),
    'root-sum-square': () => parts[0].times(parts[0]).plus(parts[1].times(parts[1])).sqrt(),
  };
  return joined[repeatAndInstrument]();
}
