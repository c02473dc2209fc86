import { namesIn } from '../figures';
import { beforeSuffix, parsedFormula } from './formula';
import { columnOf, type Investigation, type ResultPlan, type Table } from './investigation';

/** The tables whose trials a result is made of, those behind its formulas too, in their order. */
export function tablesBehind(investigation: Investigation, plan: ResultPlan): Table[] {
  const seen = new Set<string>();
  const found = new Set<Table>();
  const visit = (name: string): void => {
    const key = name.endsWith(beforeSuffix) ? name.slice(0, -beforeSuffix.length) : name;
    if (seen.has(key)) return;
    seen.add(key);
    const at = columnOf(investigation, key);
    if (!at) return;
    found.add(at.table);
    if (at.column.kind === 'derived') namesIn(parsedFormula(at.column.formula)).forEach(visit);
  };
  namesOf(plan).forEach(visit);
  return investigation.tables.filter((table) => found.has(table));
}

function namesOf(plan: ResultPlan): readonly string[] {
  if (plan.kind === 'mean') return [plan.column];
  return plan.kind === 'line' ? [plan.x, plan.y] : namesIn(parsedFormula(plan.formula));
}
