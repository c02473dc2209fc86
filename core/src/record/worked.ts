import type { Conventions } from '../conventions';
import { checkDrill } from '../drills/check';
import { plain, type Mistake } from '../drills/drill';
import type { DrillVerdict } from '../drills/check';
import { Exact, inUnit, parseNumber, writeTracked, type Expression, type Quantity } from '../figures';
import { evaluateTree } from '../figures';
import { parseProduct } from '../units';
import { namesIn, parsedFormula } from './formula';
import type { DerivedColumn } from './investigation';
import { writtenMean, type Derived, type Trial } from './trials';

/**
 * Checks a derived value that a student worked by hand: arithmetic, digits and unit, named by the mistake that leads to it.
 * Null while there is nothing to check it against.
 * @param names the values that the formula was given.
 */
export function checkWorked(
  text: string,
  column: DerivedColumn,
  cell: Derived | undefined,
  names: Readonly<Record<string, Quantity>>,
  conventions: Conventions,
): DrillVerdict | null {
  if (cell?.state !== 'reckoned') return null;
  const { value, lastPlace } = cell.value;
  const right = plain(cell.text);
  return checkDrill(
    {
      prompt: column.heading,
      given: [],
      value,
      lastPlace,
      text: right,
      unit: column.unit,
      unitChoices: [],
      form: 'any',
      mistakes: ownMistakes(column, cell.value, names, conventions).filter(
        (mistake) => mistake.text !== right,
      ),
      working: [],
    },
    text,
    // The heading says the unit, so none has to stand in the cell.
    unitIn(text, conventions) ? '' : column.unit,
    conventions,
  );
}

/**
 * Checks a mean that a student worked of a column, over the trials that count. Null while there is nothing to check it against.
 * @param mean of the values with all their digits.
 */
export function checkMean(
  text: string,
  column: DerivedColumn,
  mean: Quantity | undefined,
  trials: readonly Trial[],
  conventions: Conventions,
): DrillVerdict | null {
  if (!mean) return null;
  const right = writtenMean(mean, conventions);
  return checkDrill(
    {
      prompt: `Mean of ${column.heading}`,
      given: [],
      value: mean.value,
      lastPlace: mean.lastPlace,
      text: right,
      unit: column.unit,
      unitChoices: [],
      form: 'any',
      mistakes: meanMistakes(column, mean, trials, conventions).filter((mistake) => mistake.text !== right),
      working: [],
    },
    text,
    unitIn(text, conventions) ? '' : column.unit,
    conventions,
  );
}

/** Other numbers that a student may have taken for the mean. */
function meanMistakes(
  { key }: DerivedColumn,
  { lastPlace }: Quantity,
  trials: readonly Trial[],
  { rounding }: Conventions,
): Mistake[] {
  const values = (wanted: readonly Trial['standing'][]): Exact[] =>
    trials.flatMap(({ standing, derived }) => {
      const cell = derived[key];
      return wanted.includes(standing) && cell?.state === 'reckoned' ? [cell.value.value] : [];
    });
  const [counting, all] = [values(['counts']), values(['counts', 'excluded'])];
  const sum = (of: readonly Exact[]): Exact => Exact.sum(0, ...of);
  const mistake = (code: string, title: string, look: string, value: Exact): Mistake => ({
    code,
    title,
    look,
    text: plain(writeTracked({ value, lastPlace }, rounding)),
  });
  if (counting.length < 2) return [];
  return [
    mistake(
      'mean-holds-excluded',
      'The excluded trial is still in it.',
      'Only the trials that count make the mean.',
      sum(all).div(all.length),
    ),
    mistake('sum-not-divided', 'That is the sum.', 'Divide it by how many trials count.', sum(counting)),
    mistake(
      'middle-for-mean',
      'That is the middle between the largest and the smallest.',
      'Every trial that counts belongs in a mean, not two of them.',
      Exact.max(...counting)
        .plus(Exact.min(...counting))
        .div(2),
    ),
  ];
}

const unitIn = (text: string, { trailingZeros }: Conventions): boolean => {
  const parsed = parseNumber(text, trailingZeros);
  return parsed.ok && parsed.number.unitText !== '';
};

/** Other formulas that a student may have followed: the fraction upside down, × for ÷, the difference the other way, … */
function ownMistakes(
  { formula, unit }: DerivedColumn,
  right: Quantity,
  names: Readonly<Record<string, Quantity>>,
  conventions: Conventions,
): Mistake[] {
  const tree = parsedFormula(formula);
  const outer = tree.kind === 'group' ? tree.of : tree;
  if (outer.kind !== 'operation') return [];
  const other = (code: string, title: string, look: string, node: Expression): Mistake[] => {
    try {
      const { result } = evaluateTree(node, conventions, names);
      const value = sameUnit(result, unit);
      return [{ code, title, look, text: plain(writeTracked(value, conventions.rounding)) }];
    } catch {
      return [];
    }
  };
  const wrong: Mistake[] = [];
  if (outer.operator === '÷')
    wrong.push(
      ...other(
        'density-upside-down',
        'The fraction is upside down.',
        'What is divided by what? The unit tells.',
        {
          ...outer,
          left: outer.right,
          right: outer.left,
        },
      ),
      ...other(
        'multiplied-for-divided',
        'It was multiplied where it is to be divided.',
        'Look at the formula once more.',
        {
          ...outer,
          operator: '×',
        },
      ),
    );
  if (outer.operator === '−')
    wrong.push(
      ...other(
        'difference-reversed',
        'The difference is the other way round.',
        'The heading says which is taken from which.',
        {
          ...outer,
          left: outer.right,
          right: outer.left,
        },
      ),
      ...other('added-for-subtracted', 'The two were added.', 'A difference is asked for.', {
        ...outer,
        operator: '+',
      }),
    );
  wrong.push(...radius(right, namesIn(tree), names, conventions));
  return wrong;
}

/** A diameter put for the radius makes four times the area, and the other way round; eight times for a sphere. */
function radius(
  right: Quantity,
  used: readonly string[],
  _: Readonly<Record<string, Quantity>>,
  { rounding }: Conventions,
): Mistake[] {
  if (!used.some((name) => /^(d|D|diameter|r|R|radius)/.test(name))) return [];
  const times = (factor: number, code: string, title: string): Mistake => ({
    code,
    title,
    look: 'A radius is half a diameter. Which of them did you measure, and which does the formula want?',
    text: plain(writeTracked({ value: right.value.times(factor), lastPlace: right.lastPlace }, rounding)),
  });
  return [
    times(4, 'diameter-for-radius', 'A diameter was put where the radius belongs.'),
    times(8, 'diameter-for-radius', 'A diameter was put where the radius belongs.'),
    times(0.25, 'radius-for-diameter', 'A radius was put where the diameter belongs.'),
  ];
}

/** A wrong formula has a wrong unit: its number is what a student would write beside the heading’s unit. */
function sameUnit(quantity: Quantity, unit: string): Quantity {
  try {
    return inUnit(quantity, parseProduct(unit));
  } catch {
    return { ...quantity, value: new Exact(quantity.value) };
  }
}
