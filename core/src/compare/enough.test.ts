import { describe, expect, it } from 'vitest';
import { compared, enoughFor, enoughWords, type Comparison, type Group } from '.';

const group = (name: string, tolerance: string | null, ...values: string[]): Group => ({
  key: name,
  name,
  observations: values.map((value) => ({ value })),
  reference: tolerance === null ? null : { value: '20.00', tolerance },
  step: 0.01,
});
const shownOf = (...groups: Group[]) => compared({ unit: 'mL', groups } satisfies Comparison).shown;
// s = 0.1 of five, t = 2.776: alone it is good to 0.278.
const cylinder = group('Cylinder', '0.5', '19.9', '20.1', '20.0', '19.9', '20.1');
const burette = group('Burette', '0.05', '20.00', '20.01', '19.99', '20.01', '19.99');
const beaker = group('Beaker', null, '21');

describe('what to use for a wanted ±', () => {
  it('is the least number of trials whose mean lies within it, by hand', () => {
    // (2.776·0.1/0.1)² = 7.7; (2.776·0.01/0.1)² is less than one.
    expect(enoughFor(shownOf(cylinder, burette), 0.1)).toEqual([
      { key: 'Burette', name: 'Burette', trials: 1, promised: null },
      { key: 'Cylinder', name: 'Cylinder', trials: 8, promised: 0.5 },
    ]);
    expect(enoughFor(shownOf(cylinder), 0.01)).toMatchObject([{ trials: null, promised: 0.5 }]);
    expect(enoughFor(shownOf(cylinder), 0.6)).toMatchObject([{ trials: 1, promised: null }]);
  });

  it('is said in a sentence', () => {
    const says = (wanted: number, ...groups: Group[]) => {
      const shown = shownOf(...groups);
      return enoughFor(shown, wanted).map((one) =>
        enoughWords(
          one,
          'mL',
          shown.some(({ key, sd }) => key === one.key && sd !== null),
        ),
      );
    };
    expect(says(0.1, cylinder, burette, beaker)).toEqual([
      'Burette: one trial does.',
      'Beaker: one trial shows no spread, so that nobody can tell.',
      'Cylinder: the mean of 8 trials; and only with its correction, for by itself its maker promises ± 0.5 mL.',
    ]);
    expect(says(0.01, cylinder)[0]).toContain('more than 30 trials: it scatters too much for that');
  });
});
