import type { InstrumentKind } from './kinds';
import { questions, type Choices, type QuestionKey } from './questions';

/** A step that a class prescribes for some instruments in place of the general rule. The first match governs. */
export interface StepOverride {
  readonly kind: InstrumentKind;
  /** Smallest division as written in the instrument's file; any when absent. */
  readonly division?: string;
  readonly model?: string;
  readonly tag?: string;
  /** The step to read to, in the instrument's own unit. */
  readonly step: string;
}

export interface Band {
  readonly upToPercent: number;
  readonly word: string;
}

/** The house rules of a class. A class keeps every version it has used; old work stays with the one it was judged by. */
export interface Conventions extends Choices {
  readonly version: number;
  readonly preset: string;
  readonly overrides: readonly StepOverride[];
  /** How often a caliper’s zero is checked, for the mean of its zero error: 1 to 5. */
  readonly zeroClosings: number;
  /** How far an estimate may be off, as a fraction of a division. */
  readonly strictness: number;
  /** Significant figures of results when `resultDigits` is fixed. */
  readonly fixedFigures: number;
  /** Words for a percent error, in rising order; beyond the last: look for the cause. */
  readonly bands: readonly Band[];
}

const usualOverrides: readonly StepOverride[] = [
  { kind: 'ruler', division: '1', step: '0.1' },
  { kind: 'burette', division: '0.1', step: '0.01' },
  { kind: 'burette', division: '0.02', step: '0.01' },
  { kind: 'thermometer', division: '0.2', step: '0.1' },
  { kind: 'three-beam-balance', step: '0.1' },
  { kind: 'four-beam-balance', step: '0.01' },
];

/** What holds where a preset does not say otherwise. */
const standard: Conventions = {
  version: 1,
  preset: 'Standard',
  analogueStep: 'written-place',
  overrides: usualOverrides,
  leastCount: 'least-count',
  vernierParts: 'one-number',
  zeroClosings: 1,
  strictness: 0.2,
  halfWidth: 'half-division',
  plusMinus: 'half-widths',
  repeatAndInstrument: 'root-sum-square',
  spread: 'standard-deviation',
  combining: 'quadrature',
  uncertaintyDigits: 'one-or-two',
  resultDigits: 'data',
  fixedFigures: 3,
  averaging: 'results',
  zeroCorrection: 'each-reading',
  percentError: 'absolute',
  howCompare: 'tests',
  glasswareReference: 'weighed',
  water: 'table',
  rounding: 'half-away',
  roundWhen: 'end',
  trailingZeros: 'written-point',
  onesZero: 'bare',
  kelvin: 'exact',
  symbolSpelling: 'remark',
  buretteStart: 'any',
  hydrometerLine: 'level',
  lastDrop: 'marking',
  bands: [
    { upToPercent: 5, word: 'good' },
    { upToPercent: 10, word: 'acceptable' },
  ],
};

/** The ready-made conventions. A class starts from one and may change any answer. */
export const presets: readonly Conventions[] = [
  { ...standard, preset: 'Chemistry bench', percentError: 'signed' },
  { ...standard, preset: 'First course', vernierParts: 'columns', combining: 'figures-only', water: 'one' },
  {
    ...standard,
    preset: 'Half-division',
    analogueStep: 'half',
    overrides: [{ kind: 'burette', division: '0.1', step: '0.05' }],
    spread: 'half-range',
    combining: 'largest-smallest',
  },
  {
    ...standard,
    preset: 'Physics bench',
    halfWidth: 'tenth-division',
    spread: 'sd-of-mean',
    combining: 'worst-case',
    percentError: 'signed',
  },
  {
    ...standard,
    preset: 'Metrology',
    zeroClosings: 3,
    plusMinus: 'standard',
    uncertaintyDigits: 'two',
    water: 'buoyancy',
    percentError: 'signed',
  },
];

/** @throws RangeError for an unknown name. */
export function presetNamed(name: string): Conventions {
  const preset = presets.find((candidate) => candidate.preset === name);
  if (!preset) throw new RangeError(`There is no preset called “${name}”.`);
  return preset;
}

/** The same conventions with some answers changed: a new version. @throws RangeError for an answer that is not offered. */
export function revise(
  conventions: Conventions,
  changes: Partial<Omit<Conventions, 'version'>>,
): Conventions {
  for (const key of Object.keys(questions) as QuestionKey[]) {
    const answer = changes[key];
    if (answer !== undefined && !Object.hasOwn(questions[key].answers, answer)) {
      throw new RangeError(`“${answer}” is not an answer to: ${questions[key].asks}`);
    }
  }
  return { ...conventions, ...changes, version: conventions.version + 1 };
}
