import { parseProduct } from '../units';

/** Something that is wrong with an investigation, and where: `tables[0].columns[2].formula`. */
export interface InvestigationProblem {
  readonly place: string;
  readonly sentence: string;
}

/** Nothing where it is a unit. */
export function checkUnit(unit: string, place: string): InvestigationProblem[] {
  try {
    parseProduct(unit);
    return [];
  } catch (error) {
    return [{ place, sentence: error instanceof RangeError ? error.message : `“${unit}” is not a unit.` }];
  }
}

/** What is called as something before it is. */
export function repeated(
  keys: readonly { readonly key: string; readonly place: string }[],
  sentence: (key: string) => string,
): InvestigationProblem[] {
  return keys.flatMap(({ key, place }, at) =>
    keys.findIndex((other) => other.key === key) < at ? [{ place, sentence: sentence(key) }] : [],
  );
}
