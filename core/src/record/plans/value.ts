import { inUnit } from '../../figures';
import { parseProduct } from '../../units';
import { inResultUnit, instrumentUncertainty } from '../combination';
import { Inputs, type ModelInputs } from '../inputs';
import type { ValuePlan } from '../investigation';
import { stated, type ValueResult } from '../result';
import { atMeans } from './atMeans';

/** A formula over the means of columns. */
export function valueResult(plan: ValuePlan, material: ModelInputs): ValueResult {
  const model = inResultUnit(new Inputs(material).atMeans(plan.formula, null), plan);
  const value = inUnit(atMeans(plan.formula, null, material), parseProduct(plan.unit));
  return {
    kind: 'value',
    plan,
    model,
    ...stated(plan, material, {
      value,
      ...instrumentUncertainty(model, material.conventions),
      typeA: null,
      degrees: Infinity,
    }),
  };
}
