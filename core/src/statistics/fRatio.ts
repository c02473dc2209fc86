import { sampleOf, scatters, type FisherTest } from './sample';
import { fisherTail } from './tails';

/** Whether two variances differ: F = s_x²/s_y², two-sided. It trusts that both are normal, and misleads where they are not. @throws RangeError */
export function fRatio(first: readonly string[], second: readonly string[]): FisherTest {
  const [a, b] = [sampleOf(first), sampleOf(second)];
  scatters(b.variance.toNumber());
  const statistic = a.variance.div(b.variance).toNumber();
  const [df1, df2] = [a.n - 1, b.n - 1];
  const [above, below] = [
    fisherTail(statistic, df1, df2),
    statistic > 0 ? fisherTail(1 / statistic, df2, df1) : 0,
  ];
  return { statistic, df1, df2, p: Math.min(1, 2 * Math.min(above, below)) };
}
