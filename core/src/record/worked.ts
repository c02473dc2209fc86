import { judgeWorked, plain, type Mistake, type WorkedVerdict } from '../answer';
import type { Conventions } from '../conventions';
import {
  convert,
  Decimal,
  evaluateTree,
  roundToPlace,
  writeTracked,
  type Expression,
  type Quantity,
  namesIn,
} from '../figures';
import { parseProduct, sameDimension } from '../units';
import { parsedFormula, quantityOf } from './formula';
import type { DerivedColumn, Table } from './investigation';
import { cellKey } from './subject';
import { type Cell } from './table';
import { valuesOf, writtenMean, writtenValue, type Derived, type Trial } from './trials';

/** What stands beside a worked value in its trial. */
export interface Beside {
  readonly table: Table;
  /** What it comes to. */
  readonly cell: Derived | undefined;
  /** The values that its formula was given, by name. */
  readonly names: Readonly<Record<string, Quantity>>;
  /** What is written in the trial, by column. */
  readonly texts: Readonly<Record<string, string | undefined>>;
}

/** What stands beside the worked values of a trial. */
export const besideOf = (
  table: Table,
  trial: Trial,
  cells: ReadonlyMap<string, Cell>,
): Omit<Beside, 'cell'> => ({
  table,
  names: valuesOf(trial),
  texts: Object.fromEntries(
    table.columns.map(({ key }) => [key, cells.get(cellKey(trial.trial, key))?.current.text]),
  ),
});

/**
 * Checks a derived value that a student worked by hand: arithmetic, digits and unit, named by the mistake that leads to it.
 * Null while there is nothing to check it against.
 */
export function checkWorked(
  text: string,
  column: DerivedColumn,
  beside: Beside,
  conventions: Conventions,
): WorkedVerdict | null {
  const { cell } = beside;
  if (cell?.state !== 'reckoned') return null;
  const { value, lastPlace } = cell.value;
  return judgeWorked(
    {
      value,
      lastPlace,
      text: plain(cell.text),
      unit: column.unit,
      form: 'any',
      mistakes: [
        ...followsFrom(column, beside, conventions),
        ...ownMistakes(column, cell.value, beside, conventions),
      ].filter((mistake) => mistake.text !== plain(cell.text)),
    },
    text,
    '',
    conventions,
    true,
  );
}

/** What the formula gives with what was written in other columns that were worked by hand. */
function followsFrom(
  { formula, unit }: DerivedColumn,
  { table, names, texts }: Beside,
  conventions: Conventions,
): Mistake[] {
  const tree = parsedFormula(formula);
  const slips = table.columns.flatMap((other) => {
    if (other.kind !== 'derived' || other.by !== 'student' || !namesIn(tree).includes(other.key)) return [];
    const written = quantityOf(texts[other.key], other, conventions, undefined);
    const right = names[other.key];
    return written && right && !written.value.eq(roundedAs(right, written)) ? [{ other, written }] : [];
  });
  if (slips.length === 0) return [];
  const withSlips = {
    ...names,
    ...Object.fromEntries(slips.map(({ other, written }) => [other.key, written])),
  };
  const headings = slips.map(({ other }) => `“${other.heading}”`).join(' and ');
  return reckoned(tree, withSlips, unit, conventions).map((text) => ({
    code: 'follows-from-a-slip',
    skill: 'working',
    title: `It follows from ${headings}, which is not right yet.`,
    look: 'This step is worked well. Put that one right first; then reckon this once more.',
    text,
  }));
}

/** A value at the place to which another was written. */
const roundedAs = ({ value }: Quantity, { lastPlace }: Quantity): Decimal =>
  lastPlace === null ? value : roundToPlace(value, lastPlace);

/** What an expression gives as it would be written in the heading's unit; nothing where it gives none. */
function reckoned(
  node: Expression,
  names: Readonly<Record<string, Quantity>>,
  unit: string,
  conventions: Conventions,
): string[] {
  try {
    const { result } = evaluateTree(node, conventions, names);
    return [plain(writtenValue(inHeadingUnit(result, unit), conventions))];
  } catch {
    return [];
  }
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
): WorkedVerdict | null {
  if (!mean) return null;
  const right = plain(writtenMean(mean, conventions));
  return judgeWorked(
    {
      value: mean.value,
      lastPlace: mean.lastPlace ?? -1,
      text: right,
      unit: column.unit,
      form: 'any',
      mistakes: meanMistakes(column, mean, trials, conventions).filter((mistake) => mistake.text !== right),
    },
    text,
    '',
    conventions,
    true,
  );
}

/** Other numbers that a student may have taken for the mean. */
function meanMistakes(
  { key }: DerivedColumn,
  { lastPlace }: Quantity,
  trials: readonly Trial[],
  { rounding }: Conventions,
): Mistake[] {
  const values = (wanted: readonly Trial['standing'][]): Decimal[] =>
    trials.flatMap(({ standing, derived }) => {
      const cell = derived[key];
      return wanted.includes(standing) && cell?.state === 'reckoned' ? [cell.value.value] : [];
    });
  const [counting, all] = [values(['counts']), values(['counts', 'excluded'])];
  const sum = (of: readonly Decimal[]): Decimal => Decimal.sum(0, ...of);
  const mistake = (code: string, title: string, look: string, value: Decimal): Mistake => ({
    code,
    skill: 'working',
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
      Decimal.max(...counting)
        .plus(Decimal.min(...counting))
        .div(2),
    ),
  ];
}

/** Other formulas that a student may have followed: the fraction upside down, × for ÷, the difference the other way, … */
function ownMistakes(
  column: DerivedColumn,
  right: Quantity,
  { table, names }: Beside,
  conventions: Conventions,
): Mistake[] {
  const { formula, unit } = column;
  const tree = parsedFormula(formula);
  const outer = tree.kind === 'group' ? tree.of : tree;
  const other = (code: string, title: string, look: string, node: Expression): Mistake[] =>
    reckoned(node, names, unit, conventions).map((text) => ({ code, skill: 'working', title, look, text }));
  const wrong: Mistake[] = [];
  if (outer.kind === 'operation' && outer.operator === '÷') {
    const swapped = { ...outer, left: outer.right, right: outer.left };
    wrong.push(
      ...other(
        isDensity(right) ? 'density-upside-down' : 'quotient-upside-down',
        'The fraction is upside down.',
        'What is divided by what? The unit tells.',
        swapped,
      ),
      ...other(
        'multiplied-for-divided',
        'It was multiplied where it is to be divided.',
        'Look at the formula once more.',
        { ...outer, operator: '×' },
      ),
    );
  }
  if (outer.kind === 'operation' && outer.operator === '−') {
    const swapped = { ...outer, left: outer.right, right: outer.left };
    wrong.push(
      ...other(
        'difference-reversed',
        'The difference is the other way round.',
        'The heading says which is taken from which.',
        swapped,
      ),
      ...other('added-for-subtracted', 'The two were added.', 'A difference is asked for.', {
        ...outer,
        operator: '+',
      }),
    );
  }
  return [...wrong, ...acrossMistakes(column, table, names, conventions)];
}

const isDensity = ({ unit }: Quantity): boolean => sameDimension(unit, parseProduct('g/cm³'));

/** A diameter put for a radius, or a radius for a diameter: tried on each column that says it is one. */
function acrossMistakes(
  { formula, unit }: DerivedColumn,
  { columns }: Table,
  names: Readonly<Record<string, Quantity>>,
  conventions: Conventions,
): Mistake[] {
  const tree = parsedFormula(formula);
  const look = 'A radius is half a diameter. Which of them did you measure, and which does the formula want?';
  return columns.flatMap((column): Mistake[] => {
    const across = acrossOf(column.heading);
    const value = names[column.key];
    if (!across || !value || !namesIn(tree).includes(column.key)) return [];
    const [factor, code, title] =
      across === 'radius'
        ? ([2, 'diameter-for-radius', 'A diameter was put where the radius belongs.'] as const)
        : ([0.5, 'radius-for-diameter', 'A radius was put where the diameter belongs.'] as const);
    const changed = { ...names, [column.key]: { ...value, value: value.value.times(factor) } };
    return reckoned(tree, changed, unit, conventions).map((text) => ({
      code,
      skill: 'working' as const,
      title,
      look,
      text,
    }));
  });
}

const acrossOf = (heading: string): 'radius' | 'diameter' | null => {
  const found = /\b(radius|diameter)\b/i.exec(heading)?.[1]?.toLowerCase();
  return found === undefined ? null : found === 'radius' ? 'radius' : 'diameter';
};

/** A wrong formula has a wrong unit: its number is what a student would write beside the heading’s unit. */
function inHeadingUnit(quantity: Quantity, unit: string): Quantity {
  try {
    return convert(quantity, unit);
  } catch {
    return quantity;
  }
}
