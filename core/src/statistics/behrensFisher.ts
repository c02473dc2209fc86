import type { Test } from './sample';
import { studentTails } from './tails';
import { welchOf, type VariancePart } from './welchT';

/** What is rejected at most so often by the surest test is not asked for more exactly. */
const hopeless = 0.05;

/**
 * Whether a difference or a sum of two means is more than nothing, whatever their variances and numbers. Of alike numbers Welch’s t;
 * of others the test of Behrens and Fisher, P(|t₁ sin θ + t₂ cos θ| > T) with tan²θ = v₁/v₂ (R. A. Fisher, Ann. Eugen. 6, 1935):
 * Welch’s ν wanders to the larger sample when the smaller happens to scatter little, and then claims 12 of 100 at n 2 and 20.
 * @throws RangeError where nothing scatters
 */
export function behrensFisher(size: number, first: VariancePart, second: VariancePart): Test {
  const welch = welchOf(size, [first, second]);
  if (first.df === second.df || studentTails(welch.statistic, first.df + second.df) >= hopeless) return welch;
  const [fewer, more] = first.df < second.df ? [first, second] : [second, first];
  return { ...welch, p: tailsOfSum(Math.abs(welch.statistic), fewer, more) };
}

const panels = 48;

/**
 * P(|t₁ sin θ + t₂ cos θ| > T) over φ with t₁ = √ν₁ tan φ, which has the density cos^(ν₁ − 1) φ there. Simpson’s rule between edges
 * that lie the closer, the nearer they are to where t₁ alone reaches T. To 1e-5 for ν₁ up to 200, from where on Student’s t stands
 * for the normal within that; to 2e-4 where t₂ is next to nothing.
 */
function tailsOfSum(statistic: number, fewer: VariancePart, more: VariancePart): number {
  const whole = fewer.of + more.of;
  const [sine, cosine] = [Math.sqrt(fewer.of / whole), Math.sqrt(more.of / whole)];
  if (sine === 0 || cosine === 0) return studentTails(statistic, (cosine === 0 ? fewer : more).df);
  const df = Math.min(fewer.df, 200);
  const reach = sine * Math.sqrt(df);
  const density = (angle: number) => Math.max(0, Math.cos(angle)) ** (df - 1);
  const beyond = (angle: number) => upperTail((statistic - reach * Math.tan(angle)) / cosine, more.df);
  const end = Math.PI / 2;
  const turn = Math.atan2(statistic, reach);
  const edges = [end, (turn + end) / 2, turn];
  for (let back = end - turn; turn - back > -end; back *= 3) edges.push(turn - back);
  edges.push(-end);
  let [found, all] = [0, 0];
  for (const [at, high] of edges.slice(0, -1).entries()) {
    const low = edges[at + 1] ?? -end;
    const step = (high - low) / panels;
    for (let panel = 0; panel <= panels; panel += 1) {
      const angle = low + panel * step;
      const weight = (panel % panels === 0 ? 1 : panel % 2 === 1 ? 4 : 2) * step * density(angle);
      all += weight;
      found += weight * beyond(angle);
    }
  }
  return Math.min(1, (2 * found) / all);
}

const upperTail = (t: number, df: number): number => {
  const both = studentTails(t, df);
  return t >= 0 ? both / 2 : 1 - both / 2;
};
