import { claims } from './claims';
import { clockTimes } from './clockTimes';
import { conversions } from './conversions';
import { counting } from './counting';
import type { Drill } from './drill';
import { means } from './means';
import { mixed } from './mixed';
import { percentErrors } from './percentErrors';
import { placeValue } from './placeValue';
import { products } from './products';
import { roundingDrill } from './rounding';
import { scientific } from './scientific';
import { sums } from './sums';

/** Every drill, in the order in which they build on one another. A new one is a file beside this one and a line here. */
export const drills: readonly Drill[] = [
  counting,
  placeValue,
  claims,
  roundingDrill,
  sums,
  products,
  mixed,
  means,
  conversions,
  percentErrors,
  clockTimes,
  scientific,
];

/** @throws RangeError for a drill that there is not. */
export function drillOf(kind: string): Drill {
  const found = drills.find((candidate) => candidate.kind === kind);
  if (!found) throw new RangeError(`There is no drill called “${kind}”.`);
  return found;
}
