import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '../chance/random';
import {
  anova,
  chiSquareUniform,
  fRatio,
  holm,
  leveneMedian,
  leveneMedianModified,
  meansDifferP,
  oneSampleT,
  trialsFor,
  welchAnova,
  welchT,
} from '.';

// All expected values were worked to 40 digits by the incomplete beta and gamma functions. Those of the hours of sleep and of the dried
// plants agree with what is published of these data: t = −1.8608, ν = 17.776, p = 0.07939; F = 4.846, p = 0.01591; F = 5.181, p = 0.01739.
const words = (text: string) => text.split(' ');
const sleep = [
  words('0.7 -1.6 -0.2 -1.2 -0.1 3.4 3.7 0.8 0.0 2.0'),
  words('1.9 0.8 1.1 0.1 -0.1 4.4 5.5 1.6 4.6 3.4'),
] as const;
const plants = [
  words('4.17 5.58 5.18 6.11 4.50 4.61 5.17 4.53 5.33 5.14'),
  words('4.81 4.17 4.41 3.59 5.87 3.83 6.03 4.89 4.32 4.69'),
  words('6.31 5.12 5.54 5.50 5.37 5.29 4.92 6.15 5.80 5.26'),
];
const beaker = words('9.43 9.49 9.69 9.86 10.02');
const cylinder = words('9.93 9.96 9.89 9.95');
const pipette = words('9.98 9.97 9.99 9.97 9.98 9.98');
const vessels = [beaker, cylinder, pipette];

const near = (found: number, expected: number) => expect(found / expected).toBeCloseTo(1, 9);

describe('tests of one statistic', () => {
  it.each([
    ['a mean against a reference', () => oneSampleT(sleep[0], '0'), 1.32571014071382, 9, 0.217597780068449],
    [
      'rounded, against one that is not exact',
      () => oneSampleT(pipette, '10', '0.01', 0.004),
      -3.72800567539663,
      5,
      0.0135990042696275,
    ],
    ['two means', () => welchT(...sleep), -1.86081346748685, 17.7764735161785, 0.0793941401873581],
    [
      'two means of unlike spread',
      () => welchT(beaker, pipette),
      -2.53144506442759,
      4.00616625941663,
      0.0644707531659572,
    ],
    ['counts', () => chiSquareUniform([12, 8, 9, 15, 7, 11, 10, 9, 14, 5]), 8.6, 9, 0.474985686648009],
  ] as const)('%s', (_, of, statistic, df, p) => {
    const found = of();
    near(found.statistic, statistic);
    near(found.df, df);
    expect(found.p).toBeCloseTo(p, 10);
  });
});

describe('tests of two spreads and of many means', () => {
  it.each([
    ['two variances', () => fRatio(...sleep), 0.798342617998392, 9, 9, 0.742719931726045],
    ['two unlike variances', () => fRatio(beaker, cylinder), 63.9339130434783, 4, 3, 0.00619919885056273],
    ['three means', () => anova(plants), 4.84608786238014, 2, 27, 0.0159099583256229],
    ['three vessels', () => anova(vessels), 5.65235022793955, 2, 12, 0.0186391595278538],
    [
      'three means, spreads unlike',
      () => welchAnova(plants),
      5.18097240811319,
      2,
      17.1284186166441,
      0.01739282149017,
    ],
    [
      'three vessels, spreads unlike',
      () => welchAnova(vessels),
      6.47793685613108,
      2,
      4.77490328815549,
      0.0436232421650452,
    ],
    ['three spreads', () => leveneMedian(plants), 1.11918569487039, 2, 27, 0.341226624125474],
    ['three vessels’ spreads', () => leveneMedian(vessels), 10.4712302383436, 2, 12, 0.00233642193541001],
    [
      'spreads without what is there by construction',
      () => leveneMedianModified(plants),
      1.23859957793709,
      2,
      24,
      0.307659546215642,
    ],
    [
      'the same of odd and even counts',
      () => leveneMedianModified(vessels),
      38.8121402156819,
      2,
      9,
      3.7558904134855e-5,
    ],
  ] as const)('%s', (_, of, statistic, df1, df2, p) => {
    const found = of();
    near(found.statistic, statistic);
    expect(found.df1).toBe(df1);
    near(found.df2, df2);
    expect(found.p).toBeCloseTo(p, 10);
  });

  it('keeps a tiny scatter on a large value', () => {
    const far = vessels.map((texts) => texts.map((text) => `100000000${text.padStart(5, '0')}`));
    near(anova(far).statistic, 5.65235022793955);
    near(leveneMedian(far).statistic, 10.4712302383436);
    near(welchT(far[0]!, far[2]!).statistic, -2.53144506442759);
  });
});

describe('what cannot be tested', () => {
  it.each([
    ['one value', () => oneSampleT(['1'], '1'), /at least two/],
    ['equal values', () => oneSampleT(['1', '1.0'], '2'), /All values are equal/],
    ['two equal samples', () => welchT(['1', '1'], ['2', '2']), /All values are equal/],
    ['nothing to divide by', () => fRatio(['1', '2'], ['2', '2']), /All values are equal/],
    ['one group', () => anova([['1', '2']]), /two groups/],
    ['an empty group', () => anova([['1', '2'], []]), /no values/],
    ['one value each', () => anova([['1'], ['2']]), /no spread/],
    [
      'a group that does not scatter',
      () =>
        welchAnova([
          ['1', '2'],
          ['3', '3'],
        ]),
      /All values are equal/,
    ],
    ['words', () => welchT(['one', '2'], ['1', '2']), /“one” is no number/],
    ['half a count', () => chiSquareUniform([1.5, 2]), /whole number/],
    ['no counts', () => chiSquareUniform([0, 0]), /Nothing was counted/],
  ])('%s is told in words', (_, of, sentence) => expect(of).toThrow(sentence));

  it('still tests equal values that were rounded to a step', () => {
    // Four times 10.0 read to 0.1: √(0.01/12) = 0.028868.
    expect(oneSampleT(['10.0', '10.0', '10.0', '10.0'], '10.1', '0.1').statistic).toBeCloseTo(
      -Math.sqrt(12),
      12,
    );
  });
});

describe('Holm’s correction', () => {
  it('multiplies the smallest by all, and never steps back', () => {
    // 0.01·4, 0.02·3, 0.03·2 = 0.06, 0.04·1 raised to 0.06.
    expect(holm([0.04, 0.01, 0.03, 0.02])).toEqual([0.06, 0.04, 0.06, 0.06]);
    expect(holm([0.9, 0.8])).toEqual([1, 1]);
    expect(holm([])).toEqual([]);
  });

  it('keeps the order of the values, and lies between them and their number of times', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 12 }),
        (values) => {
          const corrected = holm(values);
          values.forEach((p, at) => {
            expect(corrected[at]).toBeGreaterThanOrEqual(p);
            expect(corrected[at]).toBeLessThanOrEqual(Math.min(1, p * values.length) + 1e-12);
            values.forEach(
              (q, other) => p < q && expect(corrected[at]).toBeLessThanOrEqual(corrected[other]!),
            );
          });
        },
      ),
    );
  });
});

describe('trials for 80 % power', () => {
  // By the exact power of the t test, from the noncentral distribution.
  it.each([
    [0.3, 90, 176],
    [0.5, 34, 64],
    [0.8, 15, 26],
    [1, 10, 17],
    [1.5, 6, 9],
  ])(
    'a difference of %s standard deviations: %i against a reference, %i in each of two groups',
    (size, one, two) => {
      expect(Math.abs(trialsFor(size, 1, 0)! - one)).toBeLessThanOrEqual(1);
      expect(Math.abs(trialsFor(size, 2, 0, 0.05, 2)! - two)).toBeLessThanOrEqual(1);
    },
  );

  it('takes more at a corrected level', () => {
    expect(Math.abs(trialsFor(0.8, 1, 0, 0.005)! - 25)).toBeLessThanOrEqual(1);
    expect(Math.abs(trialsFor(0.8, 2, 0, 0.005, 2)! - 44)).toBeLessThanOrEqual(1);
  });

  it('is never where repeating does not help', () => {
    expect(trialsFor(0, 1, 0)).toBeNull();
    expect(trialsFor(0.1, 1, 0.01)).toBeNull();
  });
});

describe('means that differ, by the bootstrap', () => {
  it('is near Welch’s analysis where that is good, and the same for the same seed', () => {
    const groups = plants.map((texts) => {
      const values = texts.map(Number);
      const mean = values.reduce((all, value) => all + value, 0) / values.length;
      const variance = values.reduce((all, value) => all + (value - mean) ** 2, 0) / (values.length - 1);
      return { mean, variance, n: values.length };
    });
    const p = meansDifferP(groups, seeded(4));
    expect(p).toBe(meansDifferP(groups, seeded(4)));
    expect(Math.abs(p - 0.0174)).toBeLessThan(0.008);
  });
});
