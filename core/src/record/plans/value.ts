import { inUnit } from '../../figures';
import { parseProduct } from '../../units';
import { inResultUnit, instrumentUncertainty } from '../combination';
import { Inputs } from '../inputs';
import type { ModelInputs } from '../modelInputs';
import type { ValuePlan } from '../investigation';
import { stated, type ValueResult } from '../result';
import { atMeans } from './atMeans';

/** A formula over the means of columns. */
export function valueResult(plan: ValuePlan, modelInputs: ModelInputs): ValueResult {
  const model = inResultUnit(new Inputs(modelInputs).overMeans(plan.formula), plan);
  const value = inUnit(atMeans(plan.formula, null, modelInputs), parseProduct(plan.unit));
  return {
    kind: 'value',
    plan,
    model,
    ...stated(plan, modelInputs, {
      value,
      ...instrumentUncertainty(model, modelInputs.conventions),
      typeA: null,
      degrees: Infinity,
    }),
  };
}
