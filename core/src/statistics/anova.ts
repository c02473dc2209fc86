import { Decimal } from '../decimal/decimal';
import { decimalsOf, sampleOf, scatters, type FisherTest } from './sample';
import { total } from './summary';
import { fisherTail } from './tails';

/** Whether the means of some groups differ, their variances being one: one-way analysis of variance. @throws RangeError */
export function anova(groups: readonly (readonly string[])[]): FisherTest {
  const values = groups.map(decimalsOf);
  const [origin] = values.flat();
  // From one of them on, exactly: a small scatter on a large value survives.
  return anovaOf(values.map((own) => own.map((value) => value.minus(origin ?? 0).toNumber())));
}

/** The same on numbers. @throws RangeError for fewer than two groups, an empty one, or nothing that scatters */
export function anovaOf(groups: readonly (readonly number[])[]): FisherTest {
  const n = groups.reduce((all, { length }) => all + length, 0);
  if (groups.length < 2) throw new RangeError('At least two groups are needed to be compared.');
  if (groups.some(({ length }) => length === 0)) throw new RangeError('A group has no values.');
  const [df1, df2] = [groups.length - 1, n - groups.length];
  if (df2 < 1) throw new RangeError('One value in each group has no spread: at least one group needs two.');
  const means = groups.map((values) => sum(values) / values.length);
  const overall = groups.reduce((all, values) => all + sum(values), 0) / n;
  const between = sum(groups.map((values, at) => values.length * ((means[at] ?? overall) - overall) ** 2));
  const within = sum(
    groups.flatMap((values, at) => values.map((value) => (value - (means[at] ?? overall)) ** 2)),
  );
  scatters(within);
  const statistic = between / df1 / (within / df2);
  return { statistic, df1, df2, p: fisherTail(statistic, df1, df2) };
}

const sum = (values: readonly number[]): number => values.reduce((all, value) => all + value, 0);

/**
 * Whether the means of some groups differ, whatever their variances (B. L. Welch, Biometrika 38, 1951).
 * @throws RangeError for fewer than two groups, or one without scatter
 */
export function welchAnova(groups: readonly (readonly string[])[]): FisherTest {
  if (groups.length < 2) throw new RangeError('At least two groups are needed to be compared.');
  const samples = groups.map(sampleOf);
  const weights = samples.map(({ n, variance }) => new Decimal(n).div(scatters(variance.toNumber())));
  const whole = total(weights);
  const mean = total(samples.map((sample, at) => sample.mean.times(weights[at] ?? 0))).div(whole);
  const k = groups.length;
  const between = total(
    samples.map((sample, at) => square(sample.mean.minus(mean)).times(weights[at] ?? 0)),
  ).toNumber();
  const lambda = samples.reduce(
    (sum, { n }, at) => sum + (1 - (weights[at] ?? new Decimal(0)).div(whole).toNumber()) ** 2 / (n - 1),
    0,
  );
  const statistic = between / (k - 1) / (1 + (2 * (k - 2) * lambda) / (k ** 2 - 1));
  const [df1, df2] = [k - 1, (k ** 2 - 1) / (3 * lambda)];
  return { statistic, df1, df2, p: fisherTail(statistic, df1, df2) };
}

const square = (value: Decimal): Decimal => value.times(value);
