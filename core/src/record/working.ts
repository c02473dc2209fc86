import type { Conventions } from '../conventions';
import type { PercentError } from '../density/percentError';
import { Decimal, expressionTex, numberTex, quantityTex, roundToPlace, stepTex, unitTex } from '../figures';
import { parseProduct } from '../units';
import { parsedFormula } from './formula';
import type { DerivedColumn, Investigation } from './investigation';
import type { Result } from './result';
import type { Trial } from './trials';

/** One step of a working: formulas as TeX lines, and in words why it comes out as it does. */
export interface WorkingStep {
  readonly title: string;
  readonly tex: readonly string[];
  readonly why: string;
}

const gap = '\\;=\\;';
const unit = (symbol: string): string => (symbol === '' ? '' : unitTex(parseProduct(symbol)));

/** A number with its guard digits, cut so that a page can hold it. */
export const unrounded = (value: Decimal): string => {
  const cut = value.toSignificantDigits(7, Decimal.ROUND_DOWN);
  return cut.eq(value) ? value.toString() : `${cut.toString()}\\ldots`;
};

const ruleWords: Readonly<Record<string, string>> = {
  'coarsest last place': 'A sum or a difference keeps the coarsest last place of its numbers.',
  'fewest figures': 'A product or a quotient keeps the fewest figures of its factors.',
  'figures of the base': 'A power or a root keeps the figures of its base.',
  'decimals from figures': 'A logarithm has as many decimals as its number has figures.',
  'figures from decimals': 'A power of a measured exponent has as many figures as that has decimals.',
  'slope times the last place': 'The last place moves as steeply as the curve does there.',
  'last place of the readings': 'A mean keeps the last place of its readings.',
  'all exact': 'All of it is exact.',
};

/** The working of one trial: each derived column, formula first, then step by step. */
export function trialWorking(
  { tables }: Investigation,
  trial: Trial,
  { rounding }: Conventions,
): WorkingStep[] {
  const columns = (tables.find(({ key }) => key === trial.table)?.columns ?? []).filter(
    (column): column is DerivedColumn => column.kind === 'derived',
  );
  return columns.flatMap((column): WorkingStep[] => {
    const cell = trial.derived[column.key];
    if (cell?.state !== 'reckoned') return [];
    const rules = [...new Set(cell.steps.map(({ rule }) => rule))];
    const lost = cell.steps.reduce((most, { figuresLost }) => Math.max(most, figuresLost), 0);
    return [
      {
        title: `Trial ${trial.trial}: ${column.heading.charAt(0).toLowerCase()}${column.heading.slice(1)}`,
        tex: [
          `${symbolTex(column.symbol)}${gap}${expressionTex(parsedFormula(column.formula))}`,
          ...cell.steps.map((step) => stepTex(step, rounding)),
          `${symbolTex(column.symbol)}${gap}${quantityTex(cell.value)} \\;\\rightarrow\\; ${numberTex(cell.text, -1)}${unit(column.unit)}`,
        ],
        why:
          rules.map((rule) => ruleWords[rule] ?? rule).join(' ') +
          (lost > 0
            ? ` Subtracting nearly equal numbers lost ${lost} ${lost === 1 ? 'figure' : 'figures'}.`
            : ''),
      },
    ];
  });
}

/** `V_1`, `ρ`, `ρ_w` as TeX. @param index a further index, after its own. */
export function symbolTex(symbol: string, index = ''): string {
  const [letter = '', ...below] = symbol.split('_');
  const under = [...below, ...(index ? [index] : [])].map((part) =>
    part.length > 1 ? `\\mathrm{${escaped(part)}}` : part,
  );
  const main = letter.replaceAll('ρ', '\\rho ').replaceAll('π', '\\pi ');
  return under.length === 0 ? main : `{${main}}_{${under.join(',')}}`;
}

/** Text as TeX sets it: what has a meaning of its own there is written out. */
export const escaped = (text: string): string =>
  text.replace(/[\\{}$&#^_%~]/g, (sign) =>
    sign === '\\' ? '\\backslash ' : sign === '^' || sign === '~' ? `\\${sign}{}` : `\\${sign}`,
  );

/** The working from the trials to the result with its uncertainty. */
export function resultWorking(result: Result, conventions: Conventions): WorkingStep[] {
  const { plan, summary, uncertainty, plusMinus } = result;
  const u = unit(plan.unit);
  const mean = `\\overline{${symbolTex(plan.symbol)}}`;
  const steps: WorkingStep[] = [];
  if (summary) {
    const { n, standardDeviation, sdOfMean } = summary;
    steps.push({
      title: 'Mean of the trials',
      tex: [
        n > 12
          ? `${mean}${gap}\\frac{1}{${n}}\\sum ${symbolTex(plan.symbol, 'i')}${gap}${unrounded(summary.mean)}${u}`
          : `${mean}${gap}\\frac{${result.values.map(({ value }) => cut(value.value)).join(' + ')}}{${n}}${u}${gap}${unrounded(summary.mean)}${u}`,
      ],
      why:
        `The unrounded values are averaged; ${n} is a count and exact.` +
        (result.otherAverage
          ? ` The means of the inputs would give ${result.otherAverage}: look for a trial that is unlike the others.`
          : ''),
    });
    if (standardDeviation && sdOfMean)
      steps.push({
        title: 'Spread of the trials',
        tex: [
          `s${gap}\\sqrt{\\frac{\\sum(${symbolTex(plan.symbol, 'i')} - ${mean})^2}{n - 1}}${gap}${cut(standardDeviation)}${u}`,
          ...(result.shares
            ? []
            : [
                `\\frac{s}{\\sqrt{n}}${gap}\\frac{${cut(standardDeviation)}}{\\sqrt{${n}}}${gap}${cut(sdOfMean)}${u}`,
              ]),
        ],
        why: result.shares
          ? 'Neighbouring trials share a weighing or a mark: an error in it makes one too large and the next too small. So s/√n does not hold; every reading is carried through by itself.'
          : 'A mean of n trials scatters √n times less than one trial.',
      });
  }
  if (result.line) {
    const { slope, intercept, slopeSd, interceptSd, residualSd, degrees } = result.line;
    steps.push({
      title: 'Straight line',
      tex: [
        `b${gap}${short(slope)} \\pm ${short(slopeSd)}`,
        ...(plan.kind === 'line' && plan.throughOrigin
          ? []
          : [`a${gap}${short(intercept)} \\pm ${short(interceptSd)}`]),
        `s${gap}${short(residualSd)}`,
      ],
      why: `Least squares through ${result.points.length} points, in the units of the columns; ${degrees} degrees of freedom are left. What shifts all readings alike goes to the intercept.`,
    });
  }
  if (uncertainty !== null) {
    steps.push({
      title: 'Part of the instruments',
      tex: result.contributions
        .filter(({ kind }) => kind !== 'repeat' || result.plan.kind === 'value')
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
        `U${gap}k\\,u${gap}${result.expanded.k.toFixed(2)} \\times ${short(result.uncertainty ?? 0)}${u}${gap}${short(result.expanded.size)}${u}`,
      ],
      why: Number.isFinite(result.expanded.degrees)
        ? `k is Student’s factor for ${result.expanded.degrees} effective degrees of freedom.`
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
