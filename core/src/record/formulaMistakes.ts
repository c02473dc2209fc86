import { plain, type Mistake } from '../answer';
import type { Conventions } from '../conventions';
import {
  convert,
  evaluateTree,
  namesIn,
  roundToPlace,
  type Decimal,
  type Expression,
  type Operator,
  type Quantity,
} from '../figures';
import { parseProduct, sameDimension } from '../units';
import { clocksOf, clockSlips } from './clockSlips';
import { quantityOf } from './columnKinds';
import { parsedFormula } from './formula';
import type { DerivedColumn, Table } from './investigation';
import { writtenValue } from './trials';

type Names = Readonly<Record<string, Quantity>>;

/** What a derived value follows from: its trial, as it was measured and as it was written. */
export interface Beside {
  readonly table: Table;
  /** The values that its formula was given, by name. */
  readonly names: Names;
  /** What is written in the trial, by column. */
  readonly texts: Readonly<Record<string, string | undefined>>;
}

/** Other numbers that a student may have come to for a value: from a slip before it, or by another formula. */
export const formulaMistakes = (
  column: DerivedColumn,
  right: Quantity,
  beside: Beside,
  conventions: Conventions,
): Mistake[] => [
  ...followsFrom(column, beside, conventions),
  ...otherOperation(column, right, beside, conventions),
  ...otherAcross(column, beside, conventions),
  ...otherTime(column, beside),
];

/** What the formula gives with what was written in other columns that were worked by hand. */
function followsFrom(
  { formula, unit }: DerivedColumn,
  { table, names, texts }: Beside,
  conventions: Conventions,
): Mistake[] {
  const tree = parsedFormula(formula);
  const slips = table.columns.flatMap((other) => {
    if (other.kind !== 'derived' || other.by !== 'student' || !namesIn(tree).includes(other.key)) return [];
    const written = quantityOf(texts[other.key], other, {
      conventions,
      firstClock: undefined,
      rule: undefined,
    });
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
    hint: 'This step is worked well. Correct that one first. Then work this out again.',
    text,
  }));
}

/** A value at the place to which another was written. */
const roundedAs = ({ value }: Quantity, { lastPlace }: Quantity): Decimal =>
  lastPlace === null ? value : roundToPlace(value, lastPlace);

type Operation = Extract<Expression, { kind: 'operation' }>;

interface OtherWay {
  readonly code: string;
  readonly title: string;
  readonly hint: string;
  make(right: Operation): Operation;
}

const turned = (of: Operation): Operation => ({ ...of, left: of.right, right: of.left });

/** What a student may have done instead of the outermost operation of a formula. */
const otherWays: Partial<Record<Operator, readonly OtherWay[]>> = {
  '÷': [
    {
      code: 'quotient-upside-down',
      title: 'The fraction is upside down.',
      hint: 'What is divided by what? The unit tells.',
      make: turned,
    },
    {
      code: 'multiplied-for-divided',
      title: 'It was multiplied where it is to be divided.',
      hint: 'Look at the formula once more.',
      make: (right) => ({ ...right, operator: '×' }),
    },
  ],
  '−': [
    {
      code: 'difference-reversed',
      title: 'The difference is the other way round.',
      hint: 'The heading says which is taken from which.',
      make: turned,
    },
    {
      code: 'added-for-subtracted',
      title: 'The two were added.',
      hint: 'A difference is asked for.',
      make: (right) => ({ ...right, operator: '+' }),
    },
  ],
};

function otherOperation(
  { formula, unit }: DerivedColumn,
  right: Quantity,
  { names }: Beside,
  conventions: Conventions,
): Mistake[] {
  const tree = parsedFormula(formula);
  const outer = tree.kind === 'group' ? tree.of : tree;
  if (outer.kind !== 'operation') return [];
  return (otherWays[outer.operator] ?? []).flatMap(({ code, title, hint, make }) =>
    reckoned(make(outer), names, unit, conventions).map((text) => ({
      code: code === 'quotient-upside-down' && isDensity(right) ? 'density-upside-down' : code,
      skill: 'working',
      title,
      hint,
      text,
    })),
  );
}

const isDensity = ({ unit }: Quantity): boolean => sameDimension(unit, parseProduct('g/cm³'));

/** A diameter put for a radius, or a radius for a diameter: tried on each column that says it is one. */
function otherAcross(
  { formula, unit }: DerivedColumn,
  { table: { columns }, names }: Beside,
  conventions: Conventions,
): Mistake[] {
  const tree = parsedFormula(formula);
  const hint = 'A radius is half a diameter. Which of them did you measure, and which does the formula want?';
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
      hint,
      text,
    }));
  });
}

/** What a student may have taken clock times for, written to whole units, tenths or hundredths. */
function otherTime(column: DerivedColumn, { table, texts }: Beside): Mistake[] {
  const clocks = clocksOf(column, table);
  if (!clocks) return [];
  return clockSlips(texts[clocks.from] ?? '', texts[clocks.to] ?? '', column.unit).flatMap(
    ({ code, title, hint, value }) =>
      [0, 1, 2].map((places) => ({ code, skill: 'working', title, hint, text: value.toFixed(places) })),
  );
}

const acrossOf = (heading: string): 'radius' | 'diameter' | null => {
  const found = /\b(radius|diameter)\b/i.exec(heading)?.[1]?.toLowerCase();
  return found === undefined ? null : found === 'radius' ? 'radius' : 'diameter';
};

/** What an expression gives as it would be written in the heading's unit; nothing where it gives none. */
function reckoned(node: Expression, names: Names, unit: string, conventions: Conventions): string[] {
  try {
    const { result } = evaluateTree(node, conventions, names);
    return [plain(writtenValue(inHeadingUnit(result, unit), conventions))];
  } catch {
    return [];
  }
}

/** A wrong formula has a wrong unit: its number is what a student would write beside the heading’s unit. */
function inHeadingUnit(quantity: Quantity, unit: string): Quantity {
  try {
    return convert(quantity, unit);
  } catch {
    return quantity;
  }
}
