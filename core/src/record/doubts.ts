import { perGramCube } from '../density';
import { Decimal, parseNumber } from '../figures';
import type { Outcome } from './outcome';
import type { Result } from './result';
import { writtenMean } from './trials';
import type { Conventions } from '../conventions';
import { unitOf, type Column } from './investigation';

/** What no solid or liquid reaches, in g/cm³: aerogel is lighter than the least, osmium (22.6) the densest of all. */
const densitiesFrom = 0.01;
const densitiesTo = 23;
/** So many times more or less than expected is asked about. */
const farOff = 3;

/** A result that cannot well be, as a question; null where nothing speaks against it. */
export function questionAbout({ plan, value, uncertainty }: Result): string | null {
  const size = value.value.toNumber();
  const perCube = perGramCube(plan.unit);
  const written = `${value.value.toSignificantDigits(3).toString().replace('-', '−')} ${plan.unit}`;
  if (perCube !== null && size <= 0)
    return `A density of ${written} is not more than nothing. Which reading is the wrong way round?`;
  if (perCube !== null && size * perCube > densitiesTo)
    return `${written} would be denser than any metal. Is a point misplaced, a volume in another unit, or one reading in the place of another?`;
  if (perCube !== null && size * perCube < densitiesFrom)
    return `${written} would be as light as a gas. Is a point misplaced, or a mass in another unit?`;
  const parsed = plan.accepted && parseNumber(plan.accepted.value);
  const accepted = parsed?.ok ? parsed.number.value.toNumber() : 0;
  if (accepted !== 0) {
    const times = size / accepted;
    if (times < 0) return `${written} has another sign than what was expected. What was taken from what?`;
    if (times > farOff || times < 1 / farOff) {
      const tens = Math.round(Math.log10(times));
      const slipped = tens !== 0 && Math.abs(times / 10 ** tens - 1) < 0.15;
      return `${written} is ${inTimes(times)} what was expected. ${
        slipped
          ? 'Is a decimal point misplaced?'
          : 'Which unit does each reading have, and which reading is unlike the others?'
      }`;
    }
  }
  // A small difference may well be nothing; a density may not.
  if (perCube !== null && uncertainty !== null && uncertainty >= Math.abs(size))
    return `Its ± is as large as ${written} itself: these readings tell hardly more than that it is small. What could be measured larger, or finer?`;
  return null;
}

const inTimes = (times: number): string =>
  times > 1
    ? `${new Decimal(times).toSignificantDigits(2).toFixed()} times`
    : `1/${new Decimal(1 / times).toSignificantDigits(2).toFixed()} of`;

/** Where the 95 % of a line rest on very little: three points, or two through the origin. */
export const weakLine = (result: Result): string | null =>
  result.kind === 'line' && result.line.degrees === 1
    ? `${result.n} points leave one degree of freedom: how the line scatters is hardly known, and its 95 % is weak. One more point is worth most.`
    : null;

/** The mean of a column as it stands under it: to the place of the result that it is, where that has a ±. */
export function writtenFoot(column: Column, { results, means }: Outcome, conventions: Conventions): string {
  const mean = means[column.key];
  if (!mean) return '';
  for (const state of results)
    if (
      state.state === 'reckoned' &&
      state.result.kind === 'mean' &&
      state.result.plan.column === column.key &&
      state.result.plan.unit === unitOf(column) &&
      state.result.plusMinus
    )
      return state.result.plusMinus.value;
  return writtenMean(mean, conventions);
}
