import { describe, expect, it } from 'vitest';
import { presetNamed } from '..';
import { readyMadeCases } from '../../test/benches';
import { carefulLogbook } from '../../test/careful';
import { readyMade } from '../record/readyMade';
import { secondLookAt } from '../record/look';

const metrology = presetNamed('Metrology');

describe('a careful student hands in what comes with the app', () => {
  it.each(readyMade.map((what) => [what.title, what] as const))('%s', (_, what) => {
    // One of the first seeds, on which no trial lies apart by chance.
    const clean = [1, 2, 3, 4, 5, 6].some((seed) => {
      const { cells, outcome } = carefulLogbook(what, metrology, seed);
      expect(outcome.trialsWanted).toBe(0);
      return secondLookAt(what, cells, outcome, metrology).length === 0;
    });
    expect(clean).toBe(true);
    // Every result holds its truth within U for about 95 of 100: in six of seven logbooks at the least.
    const seeds = [11, 12, 13, 14, 15, 16, 17];
    const held = new Map<string, number>();
    for (const seed of seeds)
      for (const state of carefulLogbook(what, metrology, seed).outcome.results) {
        if (state.state !== 'reckoned') throw new Error(`${state.plan.name}: ${state.why}`);
        const { plan, value, expanded } = state.result;
        const of = readyMadeCases.find((own) => own.investigation === what && own.plan === plan.key);
        const inside = Math.abs(value.value.toNumber() - (of?.value ?? NaN)) <= (expanded?.size ?? 0);
        held.set(plan.key, (held.get(plan.key) ?? 0) + (inside ? 1 : 0));
      }
    for (const [key, times] of held) expect(times, key).toBeGreaterThanOrEqual(seeds.length - 2);
  });
});
