import {
  evaluateTree,
  Decimal,
  ExpressionProblem,
  foldExpression,
  inUnit,
  isScale,
  namesIn,
  type Expression,
  type Quantity,
  type RoundingPolicy,
} from '../figures';
import { parseProduct, writeProduct } from '../units';
import { beforeSuffix, named, parsedFormula } from './formula';
import { isWords, unitOf, type Column, type Investigation, type Table } from './investigation';
import type { InvestigationProblem } from './investigationProblem';

/** Tries the formula with ones: what is unknown, comes later or does not fit in unit shows. */
export function checkFormula(
  investigation: Investigation,
  own: Table | null,
  formula: string,
  unit: string,
  before: number,
  here: string,
): InvestigationProblem[] {
  const place = `${here}.formula`;
  try {
    const expression = parsedFormula(formula);
    const names: Record<string, Quantity> = {};
    for (const name of namesIn(expression)) {
      const found = named(investigation, own, name);
      if (!found)
        return [
          {
            place,
            sentence: name.endsWith(beforeSuffix)
              ? `“${name}” means a column of the same table in the trial before, and there is none called so.`
              : `“${name}” is not the name of a column.`,
          },
        ];
      if (isWords(found.column))
        return [{ place, sentence: `“${name}” holds words: a formula cannot reckon with it.` }];
      if (comesLater(investigation, own, found.table, found.column, before))
        return [
          { place, sentence: `“${name}” stands after this column: a formula uses what comes before it.` },
        ];
      names[name] = sample(found.column, Object.keys(names).length);
    }
    const { result } = evaluateTree(expression, policy, names);
    if (unit === '%' && result.unit.length === 0 && timesHundred(expression))
      return [
        {
          place,
          sentence:
            'A column in % turns a ratio into percent by itself: leave out “× 100”, or write “100 %”.',
        },
      ];
    try {
      inUnit(result, parseProduct(unit));
    } catch {
      return [
        {
          place: `${here}.unit`,
          sentence: `The formula gives ${writeProduct(result.unit) || 'a pure number'}, not ${unit || 'a pure number'}.`,
        },
      ];
    }
    return [];
  } catch (error) {
    if (error instanceof ExpressionProblem) return [{ place, sentence: error.message }];
    if (error instanceof RangeError) return [{ place, sentence: error.message }];
    throw error;
  }
}

/** Whether something is multiplied by a bare hundred. */
const timesHundred = (expression: Expression): boolean =>
  foldExpression<boolean>(
    expression,
    (node, parts) =>
      parts.some(Boolean) ||
      (node.kind === 'operation' &&
        node.operator === '×' &&
        [node.left, node.right].some(
          (side) => side.kind === 'number' && side.unit.length === 0 && side.number.value.eq(100),
        )),
  );

/** Values that are unlike, so that no difference of two is nothing; temperatures are those of a room, where water is known. */
const sample = (column: Column, nth: number): Quantity => ({
  value: new Decimal((roomOn[unitOf(column)] ?? 7 + 2 * nth + nth * nth) + nth),
  lastPlace: column.kind === 'count' ? null : -2,
  unit: parseProduct(unitOf(column)),
  point: isScale(unitOf(column)),
});

const roomOn: Readonly<Record<string, number>> = { '°C': 18, '°F': 65, K: 291 };

/** What a formula is tried by: its unit is asked, not its digits. */
const policy: RoundingPolicy = { rounding: 'half-away', roundWhen: 'end' };

function comesLater(
  { tables }: Investigation,
  own: Table | null,
  other: Table,
  column: Column,
  before: number,
): boolean {
  if (own === null) return false;
  if (other !== own) return tables.indexOf(other) > tables.indexOf(own);
  return own.columns.indexOf(column) >= before;
}
