import { evaluateTree, inUnit, namesIn, type Quantity } from '../../figures';
import { parseProduct } from '../../units';
import { named, parsedFormula } from '../formula';
import { Unfinished, type ModelInputs } from '../modelInputs';

/** A formula with the means of all its columns. */
export function atMeans(
  formula: string,
  own: Parameters<typeof named>[1],
  { investigation, conventions, means }: ModelInputs,
): Quantity {
  const resolve = (of: string, table: typeof own): Quantity => {
    const expression = parsedFormula(of);
    const names: Record<string, Quantity> = {};
    for (const name of namesIn(expression)) {
      const found = named(investigation, table, name);
      if (found?.of === 'trial' && found.column.kind === 'derived')
        names[name] = inUnit(resolve(found.column.formula, found.table), parseProduct(found.column.unit));
      else {
        const mean = found && means[found.column.key];
        if (!mean) throw new Unfinished();
        names[name] = mean;
      }
    }
    return evaluateTree(expression, { ...conventions, roundWhen: 'end' }, names).result;
  };
  return resolve(formula, own);
}
