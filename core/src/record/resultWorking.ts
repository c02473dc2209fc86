import type { Conventions } from '../conventions';
import type { PercentError } from '../density/percentError';
import { Decimal, roundToPlace } from '../figures';
import type { LineResult, MeanResult, Result } from './result';
import { weakLine } from './doubts';
import { escaped, gap, symbolTex, unit, unrounded, type WorkingStep } from './working';

/** The working from the trials to the result with its uncertainty. */
export const resultWorking = (result: Result, conventions: Conventions): WorkingStep[] => [
  ...(result.kind === 'mean' ? meanSteps(result) : result.kind === 'line' ? [lineStep(result)] : []),
  ...statedSteps(result, conventions),
];

function meanSteps({ plan, summary, values, otherAverage, way, readings }: MeanResult): WorkingStep[] {
  const u = unit(plan.unit);
  const mean = `\\overline{${symbolTex(plan.symbol)}}`;
  const { n, standardDeviation, sdOfMean } = summary;
  const averaged: WorkingStep = {
    title: 'Mean of the trials',
    tex: [
      n > 12
        ? `${mean}${gap}\\frac{1}{${n}}\\sum ${symbolTex(plan.symbol, 'i')}${gap}${unrounded(summary.mean)}${u}`
        : `${mean}${gap}\\frac{${values.map(({ value }) => cut(value.value)).join(' + ')}}{${n}}${u}${gap}${unrounded(summary.mean)}${u}`,
    ],
    why:
      `The unrounded values are averaged; ${n} is a count and exact.` +
      (otherAverage
        ? ` The means of the inputs would give ${otherAverage}: look for a trial that is unlike the others.`
        : ''),
  };
  if (!standardDeviation || !sdOfMean) return [averaged];
  const spread: WorkingStep = {
    title: 'Spread of the trials',
    tex: [
      `s${gap}\\sqrt{\\frac{\\sum(${symbolTex(plan.symbol, 'i')} - ${mean})^2}{n - 1}}${gap}${cut(standardDeviation)}${u}`,
      way === 'mark to mark'
        ? `\\frac{s}{\\sqrt{n(n + 1)}}${gap}\\frac{${cut(standardDeviation)}}{\\sqrt{${n} \\cdot ${n + 1}}}${gap}${short(standardDeviation.toNumber() / Math.sqrt(n * (n + 1)))}${u}`
        : `\\frac{s}{\\sqrt{n}}${gap}\\frac{${cut(standardDeviation)}}{\\sqrt{${n}}}${gap}${cut(sdOfMean)}${u}`,
      ...(way === 'afresh' ? [] : [`u_R${gap}${short(readings)}${u}`]),
    ],
    why: whyOf[way],
  };
  return [averaged, spread];
}

const shared =
  'Neighbouring trials share a weighing or a mark: an error in it makes one too large and the next too small. The scatter of the portions is real and holds that already, so the larger of it and of what the readings do by themselves, u_R, counts, and never both. s tells how the portions differ, not how sure the mean is.';

const whyOf: Readonly<Record<MeanResult['way'], string>> = {
  afresh: 'A mean of n trials scatters √n times less than one trial.',
  'one receiver': shared,
  'mark to mark': `${shared} From mark to mark the inner marks cancel in the mean: only the first and the last are left.`,
};

function lineStep({ plan, line, points }: LineResult): WorkingStep {
  const { slope, intercept, slopeSd, interceptSd, residualSd, degrees, rSquared } = line;
  return {
    title: 'Straight line',
    tex: [
      `b${gap}${short(slope)} \\pm ${short(slopeSd)}`,
      ...(plan.throughOrigin ? [] : [`a${gap}${short(intercept)} \\pm ${short(interceptSd)}`]),
      `s${gap}${short(residualSd)}`,
      ...(Number.isFinite(rSquared) ? [`r^2${gap}${String(Number(rSquared.toPrecision(6)))}`] : []),
    ],
    why: `Least squares through ${points.length} points, in the units of the columns; ${degrees} degrees of freedom are left. What shifts all readings alike goes to the intercept.`,
  };
}

/** What is done with any result, whatever it was made of. */
function statedSteps(result: Result, conventions: Conventions): WorkingStep[] {
  const { plan, uncertainty, plusMinus } = result;
  const u = unit(plan.unit);
  const steps: WorkingStep[] = [];
  if (uncertainty !== null) {
    steps.push({
      title: 'Part of the instruments',
      tex: result.contributions
        .filter(({ kind }) => kind !== 'repeat' || result.kind === 'value')
        .map(
          ({ source, contribution: amount }) =>
            `\\text{${escaped(source)}:}\\quad ${cut(new Decimal(Math.abs(amount)))}${u}`,
        ),
      why:
        `Each is its half-width times how much the result moves with it. They are ${combiningWords[conventions.combining]}: ` +
        `${short(result.typeB)} ${plan.unit}. Taking more trials does not make them smaller.`,
    });
    steps.push({
      title: 'Both parts together',
      tex: [
        `u${gap}${joinTex(conventions)(cut(new Decimal(result.typeA ?? 0)), cut(new Decimal(result.typeB)))}${gap}${cut(new Decimal(uncertainty))}${u}`,
      ],
      why:
        result.typeA !== null
          ? 'The repeat part and the instrument part are joined as your class does.'
          : 'There is no spread of its own to add here; only the readings and the instruments speak.',
    });
  }
  if (plusMinus)
    steps.push({
      title: 'Rounded',
      tex: [`${symbolTex(plan.symbol)}${gap}(${plusMinus.value} \\pm ${plusMinus.uncertainty})${u}`],
      why: 'The uncertainty is rounded first, by your class’s rule; the value is then rounded to the same place.',
    });
  if (result.expanded)
    steps.push({
      title: 'For 95 of 100',
      tex: [
        `U${gap}k\\,u${gap}${result.expanded.k.toFixed(2)} \\times ${short(result.expanded.size / result.expanded.k)}${u}${gap}${short(result.expanded.size)}${u}`,
      ],
      why: Number.isFinite(result.expanded.degrees)
        ? `${weakLine(result) ?? ''} k is Student’s factor for ${result.expanded.degrees} effective degrees of freedom.`
        : 'k is that of the normal distribution: no part was found by repeating.',
    });
  if (result.percentError && plan.accepted)
    steps.push(percentErrorWorking(result.percentError, plan.accepted.value, result.valueText, conventions));
  return steps;
}

function percentErrorWorking(
  error: PercentError,
  acceptedText: string,
  measuredText: string,
  conventions: Conventions,
): WorkingStep {
  const ratio = `\\frac{${measuredText} - ${acceptedText}}{${acceptedText}}`;
  const formulas: Record<Conventions['percentError'], string> = {
    absolute: `\\left|${ratio}\\right| \\times 100\\,\\%`,
    signed: `${ratio} \\times 100\\,\\%`,
    'of-target': `\\frac{${measuredText}}{${acceptedText}} \\times 100\\,\\%`,
    'hundred-less': `100\\,\\% - \\left|${ratio}\\right| \\times 100\\,\\%`,
  };
  return {
    title: 'Percent error',
    tex: [`${formulas[conventions.percentError]}${gap}\\text{${escaped(error.text)}}`],
    why:
      'Measured minus accepted, as a share of the accepted value; reckoned from the unrounded mean.' +
      (error.figuresLost > 0 ? ' The subtraction leaves few figures, and they govern.' : ''),
  };
}

/** How a class combines, as the end of “they are …”. */
export const combiningWords: Record<Conventions['combining'], string> = {
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

const short = (value: number): string => String(Number(value.toPrecision(3)));
const cut = (value: Decimal): string => (value.isZero() ? '0' : roundToPlace(value, value.e - 3).toString());
