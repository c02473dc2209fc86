import { judgeWorked, plain, type Mistake, type WorkedVerdict } from '../answer';
import type { Conventions } from '../conventions';
import { Decimal, writeTracked, type Quantity } from '../figures';
import type { DerivedColumn } from './investigation';
import { writtenMean, type Trial } from './trials';

/**
 * Checks a mean that a student worked of a column, over the trials that count. Null while there is nothing to check it against.
 * @param mean of the values with all their digits.
 */
export function checkMean(
  text: string,
  column: DerivedColumn,
  mean: Quantity | undefined,
  trials: readonly Trial[],
  conventions: Conventions,
): WorkedVerdict | null {
  if (!mean) return null;
  const right = plain(writtenMean(mean, conventions));
  return judgeWorked(
    {
      value: mean.value,
      lastPlace: mean.lastPlace ?? -1,
      text: right,
      unit: column.unit,
      form: 'any',
      mistakes: meanMistakes(column, mean, trials, conventions).filter((mistake) => mistake.text !== right),
    },
    text,
    '',
    conventions,
    true,
  );
}

/** Other numbers that a student may have taken for the mean. */
function meanMistakes(
  { key }: DerivedColumn,
  { lastPlace }: Quantity,
  trials: readonly Trial[],
  { rounding }: Conventions,
): Mistake[] {
  const values = (wanted: readonly Trial['standing'][]): Decimal[] =>
    trials.flatMap(({ standing, derived }) => {
      const cell = derived[key];
      return wanted.includes(standing) && cell?.state === 'reckoned' ? [cell.value.value] : [];
    });
  const [counting, all] = [values(['counts']), values(['counts', 'excluded'])];
  const sum = (of: readonly Decimal[]): Decimal => Decimal.sum(0, ...of);
  const mistake = (code: string, title: string, hint: string, value: Decimal): Mistake => ({
    code,
    skill: 'working',
    title,
    hint,
    text: plain(writeTracked({ value, lastPlace }, rounding)),
  });
  if (counting.length < 2) return [];
  return [
    mistake(
      'mean-holds-excluded',
      'The excluded trial is still in it.',
      'Only the trials that count make the mean.',
      sum(all).div(all.length),
    ),
    mistake('sum-not-divided', 'That is the sum.', 'Divide it by how many trials count.', sum(counting)),
    mistake(
      'middle-for-mean',
      'That is the middle between the largest and the smallest.',
      'Every trial that counts belongs in a mean, not two of them.',
      Decimal.max(...counting)
        .plus(Decimal.min(...counting))
        .div(2),
    ),
  ];
}
