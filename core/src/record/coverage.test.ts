import { describe, expect, it } from 'vitest';
import { seeded } from '../chance/random';
import { presetNamed } from '../conventions';
import { rows } from '../../test/entry';
import type { Investigation, ResultPlan, Table } from './investigation';
import { outcomeOf } from './outcome';
import { derived, measured, plain } from './readyMade/plain';
import { tableOf } from './table';

// A truth is set up, measured again and again with errors drawn as the rules say, and the stated 95 % counted: a small world
// of its own, which knows nothing of how an uncertainty is reckoned.
const metrology = presetNamed('Metrology');
const kit = [{ tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_01' }] as const;
const about = (columns: Table['columns'], result: ResultPlan, rest: Partial<Table> = {}): Investigation => ({
  ...plain,
  title: 'A world',
  aim: '',
  object: '',
  kit,
  steps: [],
  tables: [{ key: 'table', title: 'Readings', trials: 5, columns, ...rest }],
  results: [result],
});
const M = measured('M', 'Mass with portion', 'M', 'g', 'E-01');
const portion = derived('m', 'Portion', 'm', 'g', 'M - M_before', { rises: true });
const mean: ResultPlan = {
  kind: 'mean',
  key: 'result',
  name: 'Portion',
  symbol: 'm',
  unit: 'g',
  column: 'm',
  accepted: null,
};

/** How often the expanded uncertainty holds the truth. */
function covered(
  what: Investigation,
  times: number,
  seed: number,
  world: (normal: () => number) => string[],
  truth: number,
) {
  const random = seeded(seed);
  let held = 0;
  for (let time = 0; time < times; time += 1) {
    const texts = world(() => random.normal());
    const [state] = outcomeOf(what, tableOf(rows(what, 'M', ...texts)), metrology).results;
    if (state?.state !== 'reckoned') throw new Error(state?.why);
    const { value, expanded } = state.result;
    if (Math.abs(value.value.toNumber() - truth) <= (expanded?.size ?? 0)) held += 1;
  }
  return held / times;
}

describe('a stated 95 % holds the truth about as often', () => {
  it('for portions into one receiver that scatter by much more than they are read to', () => {
    const share = covered(
      about([M, portion], mean),
      1500,
      11,
      (normal) => {
        let sum = 50;
        return [sum, ...Array.from({ length: 5 }, () => (sum += 10 + 0.4 * normal()))].map((mass) =>
          mass.toFixed(2),
        );
      },
      10,
    );
    expect(share).toBeGreaterThan(0.93);
    expect(share).toBeLessThan(0.975);
  });

  it('for portions from mark to mark, whose marks alone scatter', () => {
    const share = covered(
      about([M, portion], mean, { replicates: 'mark to mark' }),
      1500,
      12,
      (normal) => Array.from({ length: 6 }, (_, at) => (50 + 10 * at + 0.3 * normal()).toFixed(2)),
      10,
    );
    expect(share).toBeGreaterThan(0.92);
    expect(share).toBeLessThan(0.985);
  });
});
