import { Decimal, decimalOf, inUnit, isPlainDecimal, parseNumber } from '../figures';
import { parseProduct, unitFactor } from '../units';
import { checkFormula } from './checkFormula';
import { columnOf, unitOf, type Investigation, type ResultPlan } from './investigation';
import { checkUnit, type InvestigationProblem } from './investigationProblem';

export function checkResults(investigation: Investigation): InvestigationProblem[] {
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
    if (plan.perRow !== undefined && !investigation.tables.find(({ key }) => key === plan.perRow)?.rows)
      return [{ place: `${here}.perRow`, sentence: `No table “${plan.perRow}” has rows with names.` }];
    if (plan.perWord !== undefined && columnOf(investigation, plan.perWord)?.column.kind !== 'choice')
      return [
        { place: `${here}.perWord`, sentence: `“${plan.perWord}” is no column of words to choose from.` },
      ];
    return checkPlan(investigation, plan, here);
  });
}

type Check<Kind extends ResultPlan['kind']> = (
  investigation: Investigation,
  plan: Extract<ResultPlan, { kind: Kind }>,
  here: string,
) => InvestigationProblem[];

const checks: { readonly [Kind in ResultPlan['kind']]: Check<Kind> } = {
  value: (investigation, { formula, unit }, here) =>
    checkFormula(investigation, null, formula, unit, Infinity, here),
  mean: (investigation, { column, unit, concordant }, here) => {
    if (concordant !== undefined && !(isPlainDecimal(concordant) && decimalOf(concordant).gt(0)))
      return [
        {
          place: `${here}.concordant`,
          sentence: 'Concordant values lie within a spread of more than nothing.',
        },
      ];
    const found = columnOf(investigation, column);
    if (!found) return [noColumn(column, `${here}.column`)];
    const own = unitOf(found.column);
    return unitFactor(own, unit) || sameProduct(own, unit)
      ? []
      : [{ place: `${here}.unit`, sentence: `The column is in ${own}, which is no ${unit}.` }];
  },
  line: (investigation, plan, here) => {
    const [x, y] = [columnOf(investigation, plan.x), columnOf(investigation, plan.y)];
    if (!x) return [noColumn(plan.x, `${here}.x`)];
    if (!y) return [noColumn(plan.y, `${here}.y`)];
    if (x.table !== y.table)
      return [{ place: `${here}.y`, sentence: 'A line needs two columns of one table.' }];
    if (plan.gives !== 'slope' && !isPlainDecimal(plan.at ?? ''))
      return [{ place: `${here}.at`, sentence: 'Say at which value the line is asked.' }];
    return [];
  },
};

const checkPlan = <Kind extends ResultPlan['kind']>(
  investigation: Investigation,
  plan: Extract<ResultPlan, { kind: Kind }>,
  here: string,
): InvestigationProblem[] => (checks[plan.kind] as Check<Kind>)(investigation, plan, here);

const noColumn = (column: string, place: string): InvestigationProblem => ({
  place,
  sentence: `There is no column “${column}”.`,
});

function sameProduct(a: string, b: string): boolean {
  try {
    inUnit({ value: new Decimal(1), lastPlace: null, unit: parseProduct(a), point: false }, parseProduct(b));
    return true;
  } catch {
    return false;
  }
}
