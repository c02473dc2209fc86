import type { Conventions } from '../conventions';
import { Exact, figuresOf, roundToPlace, writeTracked } from '../figures';
import type { PlusMinus } from '../uncertainty';
import type { DisplacementDensity, TrialDensity } from './displacement';
import type { PercentError } from './percentError';

/** One step of a working: formulas as TeX lines, and in words why it comes out as it does. */
export interface WorkingStep {
  readonly title: string;
  readonly tex: readonly string[];
  readonly why: string;
}

const unit = (symbol: string): string => `\\,\\mathrm{${symbol.replace('³', '^3')}}`;
const gap = '\\;=\\;';

/** A number with its guard digits, cut so that a page can hold it. */
export const unrounded = (value: Exact): string => {
  const cut = value.toSignificantDigits(7, Exact.ROUND_DOWN);
  return cut.eq(value) ? value.toString() : `${cut.toString()}\\ldots`;
};

/** The working of one trial: the displaced volume, then the density. */
export function trialWorking(
  { readings, volume, density }: TrialDensity,
  { rounding }: Conventions,
): WorkingStep[] {
  const v = writeTracked(volume.result, rounding);
  const [mass, v2, v1] = [readings.mass, readings.after, readings.before].map(({ value, lastPlace }) =>
    writeTracked({ value, lastPlace }, rounding),
  ) as [string, string, string];
  const figures = figuresOf(volume.result);
  const limited = density.limitedBy.includes(1) ? 'V' : 'm';
  const both = density.limitedBy.length === 2;
  return [
    {
      title: `Trial ${readings.trial}: volume displaced`,
      tex: [`V = V_2 - V_1${gap}${v2}${unit('mL')} - ${v1}${unit('mL')}${gap}${v}${unit('mL')}`],
      why:
        `A difference keeps the coarsest last place of its readings.` +
        (volume.figuresLost > 0 ? ` Subtracting left only ${count(figures)}.` : ''),
    },
    {
      title: `Trial ${readings.trial}: density`,
      tex: [
        `\\rho = \\frac{m}{V}${gap}\\frac{${mass}${unit('g')}}{${v}\\,\\cancel{\\mathrm{mL}}} \\times \\frac{1\\,\\cancel{\\mathrm{mL}}}{1${unit('cm³')}}`,
        `\\phantom{\\rho}${gap}${unrounded(density.result.value)}${unit('g/cm³')} \\;\\rightarrow\\; ${writeTracked(density.result, rounding)}${unit('g/cm³')}`,
      ],
      why: `A quotient keeps the fewest figures: ${both ? 'both have' : `${limited} has`} ${count(figuresOf(density.result))}. 1 mL is exactly 1 cm³.`,
    },
  ];
}

/** The working from the trials to the result with its uncertainty. */
export function resultWorking(
  result: DisplacementDensity,
  plusMinus: PlusMinus | null,
  conventions: Conventions,
): WorkingStep[] {
  const { summary, instrument, repeatPart, uncertainty } = result;
  const steps: WorkingStep[] = [
    {
      title: 'Mean of the trials',
      tex: [
        `\\bar\\rho = \\frac{${result.trials.map(({ density }) => cut(density.result.value)).join(' + ')}}{${summary.n}}${unit('g/cm³')}${gap}${unrounded(summary.mean)}${unit('g/cm³')}`,
      ],
      why: `The unrounded densities are averaged; ${summary.n} is a count and exact.`,
    },
  ];
  if (summary.standardDeviation && summary.sdOfMean) {
    steps.push({
      title: 'Spread of the trials',
      tex: [
        `s = \\sqrt{\\frac{\\sum(\\rho_i - \\bar\\rho)^2}{n - 1}}${gap}${cut(summary.standardDeviation)}${unit('g/cm³')}`,
        `\\frac{s}{\\sqrt{n}} = \\frac{${cut(summary.standardDeviation)}}{\\sqrt{${summary.n}}}${gap}${cut(summary.sdOfMean)}${unit('g/cm³')}`,
      ],
      why: 'A mean of n trials scatters √n times less than one trial.',
    });
  }
  if (uncertainty) {
    steps.push({
      title: 'Part of the instruments',
      tex: instrument.contributions.map(
        ({ source, amount }) => `\\text{${source}:}\\quad ${cut(new Exact(amount))}${unit('g/cm³')}`,
      ),
      why:
        `Each is its half-width times how much the density moves with it. They are ${combiningWords[conventions.combining]}: ` +
        `${cutPlain(new Exact(result.instrumentPart))} g/cm³. Taking more trials does not make them smaller.`,
    });
    steps.push({
      title: 'Both parts together',
      tex: [
        `u = ${joinTex(conventions)(cut(repeatPart ?? new Exact(0)), cut(new Exact(result.instrumentPart)))}${gap}${cut(uncertainty)}${unit('g/cm³')}`,
      ],
      why: repeatPart
        ? 'The repeat part and the instrument part are joined as your class does.'
        : 'One trial has no spread; only the instruments speak.',
    });
  }
  if (plusMinus) {
    steps.push({
      title: 'Rounded',
      tex: [`\\rho = (${plusMinus.value} \\pm ${plusMinus.uncertainty})${unit('g/cm³')}`],
      why: 'The uncertainty is rounded first, by your class’s rule; the value is then rounded to the same place.',
    });
  }
  return steps;
}

export function percentErrorWorking(
  error: PercentError,
  acceptedText: string,
  measuredText: string,
  conventions: Conventions,
): WorkingStep {
  const ratio = `\\frac{${measuredText} - ${acceptedText}}{${acceptedText}}`;
  const formula = conventions.percentError === 'absolute' ? `\\left|${ratio}\\right|` : ratio;
  return {
    title: 'Percent error',
    tex: [`${formula} \\times 100\\,\\%${gap}${error.text.replace('%', '\\%').replace('−', '-')}`],
    why:
      'Measured minus accepted, as a share of the accepted value; reckoned from the unrounded mean.' +
      (error.figuresLost > 0 ? ' The subtraction leaves few figures, and they govern.' : ''),
  };
}

const combiningWords: Record<Conventions['combining'], string> = {
  'figures-only': 'not combined',
  'worst-case': 'added, as if all were at their worst at once',
  quadrature: 'combined in quadrature',
  'largest-smallest':
    'each put at one end and the other, and half of what lies between the largest and the smallest result taken',
  'monte-carlo': 'drawn by chance twenty thousand times, and the spread of the results taken',
};

const joinTex =
  ({ repeatAndInstrument }: Conventions) =>
  (repeat: string, instrument: string): string =>
    ({
      larger: `\\max(${repeat},\\, ${instrument})`,
      sum: `${repeat} + ${instrument}`,
      'root-sum-square': `\\sqrt{${repeat}^2 + ${instrument}^2}`,
    })[repeatAndInstrument];

const count = (figures: number): string => `${figures} ${figures === 1 ? 'figure' : 'figures'}`;
const cutPlain = (value: Exact): string => value.toSignificantDigits(3).toString();
const cut = (value: Exact): string => (value.isZero() ? '0' : roundToPlace(value, value.e - 3).toString());
