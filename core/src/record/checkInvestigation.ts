import {
  evaluateTree,
  Decimal,
  ExpressionProblem,
  foldExpression,
  inUnit,
  isScale,
  parseNumber,
  type Expression,
  type Quantity,
  namesIn,
} from '../figures';
import { instruments } from '../instruments';
import { parseProduct, unitFactor, writeProduct } from '../units';
import { errorCauses } from './causes';
import { beforeSuffix, named, parsedFormula } from './formula';
import { columnOf, unitOf, type Column, type Investigation, type Table } from './investigation';

/** Something that is wrong with an investigation, and where: `tables[0].columns[2].formula`. */
export interface InvestigationProblem {
  readonly place: string;
  readonly sentence: string;
}

const keyShape = /^[A-Za-z][A-Za-z0-9]*$/;

/** Everything that is wrong with an investigation whose shape is right; empty when it can be used. Never throws. */
export function checkInvestigation(investigation: Investigation): InvestigationProblem[] {
  return [
    ...checkKit(investigation),
    ...investigation.tables.flatMap((table, at) => checkTable(investigation, table, `tables[${at}]`)),
    ...repeated(
      investigation.tables.flatMap(({ columns }, table) =>
        columns.map(({ key }, at) => ({ key, place: `tables[${table}].columns[${at}].key` })),
      ),
      (key) => `Two columns are called “${key}”.`,
    ),
    ...checkResults(investigation),
    ...repeated(
      investigation.results.map(({ key }, at) => ({ key, place: `results[${at}].key` })),
      (key) => `Two results are called “${key}”.`,
    ),
    ...investigation.predictions.flatMap(({ result }, at) =>
      investigation.results.some(({ key }) => key === result)
        ? []
        : [
            {
              place: `predictions[${at}].result`,
              sentence: `There is no result “${result}” to compare it with.`,
            },
          ],
    ),
    ...investigation.causes.flatMap((code, at) =>
      errorCauses.some((cause) => cause.code === code)
        ? []
        : [{ place: `causes[${at}]`, sentence: `“${code}” is not a cause of error that is known here.` }],
    ),
  ];
}

function checkKit({ kit }: Investigation): InvestigationProblem[] {
  return [
    ...kit.flatMap(({ kind, model }, at): InvestigationProblem[] => {
      const instrument = instruments.find((candidate) => candidate.kind === kind);
      if (!instrument)
        return [{ place: `kit[${at}].kind`, sentence: `“${kind}” is not a kind of instrument.` }];
      return instrument.models.some(({ id }) => id === model)
        ? []
        : [{ place: `kit[${at}].model`, sentence: `There is no ${instrument.name} called “${model}”.` }];
    }),
    ...repeated(
      kit.map(({ tag }, at) => ({ key: tag, place: `kit[${at}].tag` })),
      (tag) => `Two pieces of the kit are tagged “${tag}”.`,
    ),
  ];
}

function checkTable(investigation: Investigation, table: Table, place: string): InvestigationProblem[] {
  return table.columns.flatMap((column, at): InvestigationProblem[] => {
    const here = `${place}.columns[${at}]`;
    const problems: InvestigationProblem[] = [];
    if (!keyShape.test(column.key))
      problems.push({
        place: `${here}.key`,
        sentence: `“${column.key}” cannot be a name: a letter, then letters and digits.`,
      });
    if (column.kind !== 'clock') problems.push(...checkUnit(column.unit, `${here}.unit`));
    if (column.kind === 'measured') problems.push(...checkTag(investigation, column.tag, column.unit, here));
    if (column.kind === 'derived' && problems.length === 0)
      problems.push(...checkFormula(investigation, table, column.formula, column.unit, at, here));
    return problems;
  });
}

function checkUnit(unit: string, place: string): InvestigationProblem[] {
  try {
    parseProduct(unit);
    return [];
  } catch (error) {
    return [{ place, sentence: error instanceof RangeError ? error.message : `“${unit}” is not a unit.` }];
  }
}

function checkTag({ kit }: Investigation, tag: string, unit: string, here: string): InvestigationProblem[] {
  const item = kit.find((candidate) => candidate.tag === tag);
  if (!item) return [{ place: `${here}.tag`, sentence: `The kit holds nothing tagged “${tag}”.` }];
  const make = instruments.find(({ kind }) => kind === item.kind)?.models.find(({ id }) => id === item.model);
  return !make || make.unit === unit
    ? []
    : [
        {
          place: `${here}.unit`,
          sentence: `${tag} is read in ${make.unit}, not in ${unit || 'a pure number'}.`,
        },
      ];
}

/** Tries the formula with ones: what is unknown, comes later or does not fit in unit shows. */
function checkFormula(
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
      if (comesLater(investigation, own, found.table, found.column, before))
        return [
          { place, sentence: `“${name}” stands after this column: a formula uses what comes before it.` },
        ];
      names[name] = sample(found.column, Object.keys(names).length);
    }
    const { result } = evaluateTree(expression, { rounding: 'half-away', roundWhen: 'end' }, names);
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

/** Values that are unlike, so that no difference of two is nothing. */
const sample = (column: Column, nth: number): Quantity => ({
  value: new Decimal(7 + 3 * nth + nth * nth),
  lastPlace: column.kind === 'count' ? null : -2,
  unit: parseProduct(unitOf(column)),
  point: isScale(unitOf(column)),
});

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

function checkResults(investigation: Investigation): InvestigationProblem[] {
  return investigation.results.flatMap((plan, at): InvestigationProblem[] => {
    const here = `results[${at}]`;
    const unit = checkUnit(plan.unit, `${here}.unit`);
    if (unit.length > 0) return unit;
    const accepted = plan.accepted && parseNumber(plan.accepted.value);
    if (accepted && !accepted.ok)
      return [{ place: `${here}.accepted.value`, sentence: accepted.problem.message }];
    if (plan.accepted && plan.accepted.unit !== plan.unit)
      return [
        {
          place: `${here}.accepted.unit`,
          sentence: `The accepted value is in ${plan.accepted.unit}, the result in ${plan.unit}.`,
        },
      ];
    if (plan.kind === 'value')
      return checkFormula(investigation, null, plan.formula, plan.unit, Infinity, here);
    if (plan.kind === 'mean') {
      const found = columnOf(investigation, plan.column);
      if (!found) return [{ place: `${here}.column`, sentence: `There is no column “${plan.column}”.` }];
      return unitFactor(unitOf(found.column), plan.unit) || sameProduct(unitOf(found.column), plan.unit)
        ? []
        : [
            {
              place: `${here}.unit`,
              sentence: `The column is in ${unitOf(found.column)}, which is no ${plan.unit}.`,
            },
          ];
    }
    const [x, y] = [columnOf(investigation, plan.x), columnOf(investigation, plan.y)];
    if (!x) return [{ place: `${here}.x`, sentence: `There is no column “${plan.x}”.` }];
    if (!y) return [{ place: `${here}.y`, sentence: `There is no column “${plan.y}”.` }];
    if (x.table !== y.table)
      return [{ place: `${here}.y`, sentence: 'A line needs two columns of one table.' }];
    if (plan.gives !== 'slope' && !parseNumber(plan.at ?? '').ok)
      return [{ place: `${here}.at`, sentence: 'Say at which value the line is asked.' }];
    return [];
  });
}

function sameProduct(a: string, b: string): boolean {
  try {
    inUnit({ value: new Decimal(1), lastPlace: null, unit: parseProduct(a), point: false }, parseProduct(b));
    return true;
  } catch {
    return false;
  }
}

function repeated(
  keys: readonly { readonly key: string; readonly place: string }[],
  sentence: (key: string) => string,
): InvestigationProblem[] {
  return keys.flatMap(({ key, place }, at) =>
    keys.findIndex((other) => other.key === key) < at ? [{ place, sentence: sentence(key) }] : [],
  );
}
