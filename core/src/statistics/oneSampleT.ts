import { decimalsOf, sampleOf, scatters, type Test } from './sample';
import { studentTails } from './tails';

/**
 * Whether the mean of a sample is off a reference: t = (x̄ − ref) / √(s²/n + step²/12 + u_ref²), ν = n − 1, two-sided. Values that
 * were rounded to a step would otherwise claim a bias that is not there.
 * @param step to which the values were rounded; 0 for none. @param uRef the standard uncertainty of the reference.
 * @throws RangeError for fewer than two values, or where there is nothing to test against
 */
export function oneSampleT(
  values: readonly string[],
  reference: string,
  step: string | number = 0,
  uRef: string | number = 0,
): Test {
  const { n, mean, variance } = sampleOf(values);
  const [own, ...others] = decimalsOf([reference, String(step), String(uRef)]);
  const [width = 0, u = 0] = others.map((other) => other.toNumber());
  const of = scatters(variance.div(n).toNumber() + width ** 2 / 12 + u ** 2);
  const statistic = mean.minus(own ?? 0).toNumber() / Math.sqrt(of);
  return { statistic, df: n - 1, p: studentTails(statistic, n - 1) };
}
