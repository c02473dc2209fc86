import type { ModelInputs } from '../modelInputs';
import type { ResultPlan } from '../investigation';
import type { ResultOf } from '../result';
import { lineResult } from './line';
import { meanResult } from './mean';
import { valueResult } from './value';

type Kind = ResultPlan['kind'];
type Reckoned<K extends Kind> = (
  plan: Extract<ResultPlan, { readonly kind: K }>,
  inputs: ModelInputs,
) => ResultOf<K>;

/** How each kind of result is reckoned; a new kind is a file beside this one and a line here. */
const byKind: { readonly [K in Kind]: Reckoned<K> } = {
  mean: meanResult,
  value: valueResult,
  line: lineResult,
};

/** @throws Unfinished while something is missing; RangeError for what cannot be reckoned. */
export const resultOf = <K extends Kind>(
  plan: Extract<ResultPlan, { readonly kind: K }>,
  inputs: ModelInputs,
): ResultOf<K> => (byKind[plan.kind as K] as Reckoned<K>)(plan, inputs);
