import { describe, expect, it } from 'vitest';
import { claimCells, claimsIn, mostFalse } from '../../test/claims';
import { presetNamed, type Conventions } from '../conventions';
import {
  biases,
  byPrecision,
  byTrueness,
  meanText,
  observationName,
  otherTruths,
  outliersIn,
  percentErrorText,
  pretendedTrials,
  toldOf,
  truestOf,
  verdictsOf,
  withoutLeftOut,
  compared,
  judgeClaim,
  moreAccurate,
  morePrecise,
  sampleOfGroup,
  shownOf,
  shownWords,
  verdictWords,
  type Comparison,
  type Group,
  type Observation,
} from '.';

const group = (name: string, values: string, rest: Partial<Group> = {}): Group => ({
  key: name,
  name,
  observations: values.split(' ').map((value, at): Observation => ({ value, trial: at + 1 })),
  reference: { value: '10.00', tolerance: '0.5' },
  step: 0,
  ...rest,
});
const of = (...groups: readonly Group[]): Comparison => ({ unit: 'mL', groups });
const plain = (key: string) => key;

describe('what trials show', () => {
  it('is worked by hand for a beaker', () => {
    // 9.43, 9.49, 9.82, 10.03: mean 9.6925; Σd² = 0.240075, s = 0.28289; s/2 = 0.14145; t₀.₉₇₅(3) = 3.18245.
    const shown = shownOf(group('beaker', '9.43 9.49 9.82 10.03'))!;
    expect(shown).toMatchObject({ n: 4, excluded: 0, tolerance: 0.5, againstTolerance: 'cannot tell' });
    expect(shown.error).toBeCloseTo(-0.3075, 12);
    expect(shown.percentError).toBeCloseTo(-3.075, 12);
    expect(shown.sd).toBeCloseTo(Math.sqrt(0.240075 / 3), 12);
    expect(shown.interval).toBeCloseTo((3.182446305 * Math.sqrt(0.240075 / 3)) / 2, 8);
    expect(shown.meanAbsoluteDeviation).toBeCloseTo((0.2625 + 0.2025 + 0.1275 + 0.3375) / 4, 12);
  });

  it('is inside, outside, or cannot be told', () => {
    const told = (values: string, tolerance = '0.2') =>
      shownOf(group('x', values, { reference: { value: '10.00', tolerance } }))!.againstTolerance;
    expect(told('9.98 9.99 9.97 9.98')).toBe('inside');
    expect(told('9.48 9.49 9.47 9.48')).toBe('outside');
    expect(told('9.70 9.90 10.10')).toBe('cannot tell');
    expect(told('9.98')).toBe('cannot tell');
  });

  it('counts what is left in, and keeps the rest in sight', () => {
    const own = group('cylinder', '9.9 10.0 4.0');
    const observations = own.observations.map((one, at) => (at === 2 ? { ...one, excluded: 'spilt' } : one));
    expect(shownOf({ ...own, observations })).toMatchObject({ n: 2, excluded: 1 });
    expect(
      shownOf({ ...own, observations: observations.map((one) => ({ ...one, excluded: 'all' })) }),
    ).toBeNull();
  });

  it('has no percent of nothing, and no error without a reference', () => {
    expect(shownOf(group('ice', '0.4 0.5', { reference: { value: '0.00' } }))).toMatchObject({
      percentError: null,
    });
    expect(shownOf(group('pin', '0.4 0.5', { reference: null }))).toMatchObject({
      error: null,
      percentError: null,
    });
  });

  it('is told from one trial on, and a spread from two', () => {
    const one = compared(of(group('beaker', '9.4'), group('pipette', '9.98')));
    expect(shownWords(one, 'mL')).toEqual([
      'As they stand, pipette comes nearest to what it should be: 0.20 % off.',
      'One trial has no spread: from two on there is something to say of it.',
    ]);
    const two = compared(of(group('beaker', '9.4 9.8'), group('pipette', '9.98 9.97')));
    expect(shownWords(two, 'mL')[1]).toBe('The trials of pipette lie closest together: s = 0.0071 mL.');
  });
});

describe('what trials carry', () => {
  it('is a bias by √(s²/n + step²/12 + u²)', () => {
    // Four times 9.98 to a step of 0.02: u = √(0.0004/12 + 0.003²) = 0.0065064; t = −0.02/u = −3.0739, p(3) = 0.0544.
    const own = group('pipette', '9.98 9.98 9.98 9.98', {
      step: 0.02,
      reference: { value: '10.00', u: 0.003 },
    });
    const [verdict] = biases([sampleOfGroup(own)!]);
    expect(verdict?.evidence?.statistic).toBeCloseTo(-0.02 / Math.sqrt(0.0004 / 12 + 0.000009), 10);
    expect(verdict).toMatchObject({ claim: 'biased', carried: false, settles: { by: 'trials' } });
  });

  it('is one more accurate only where difference and sum both tell', () => {
    const samples = (a: string, b: string) =>
      [group('a', a), group('b', b)].map((own) => sampleOfGroup(own)!);
    // Off alike, one either way: nobody is nearer.
    const [opposite] = moreAccurate(samples('9.50 9.51 9.49 9.50', '10.50 10.49 10.51 10.50'));
    expect(opposite?.carried).toBe(false);
    const [nearer] = moreAccurate(samples('9.50 9.51 9.49 9.50', '10.01 9.99 10.00 10.02'));
    expect(nearer).toMatchObject({ of: ['b', 'a'], carried: true, settles: { by: 'these' } });
    expect(nearer?.size).toBeCloseTo(0.5 - 0.005, 12);
  });

  it('is nothing of a spread below five trials, or under the step', () => {
    const verdictOf = (a: string, b: string, step = 0) =>
      morePrecise([group('a', a, { step }), group('b', b, { step })].map((own) => sampleOfGroup(own)!))[0]!;
    expect(verdictOf('1 2 3 4', '1 9 3 7').settles).toEqual({ by: 'five' });
    expect(verdictOf('1.0 1.1 1.0 1.0 1.1', '1.0 1.9 0.4 1.2 0.1', 0.1).settles).toEqual({
      by: 'resolution',
    });
    expect(verdictOf('1 1 1 1 1', '1 2 3 4 5').settles).toEqual({ by: 'resolution' });
    expect(verdictOf('5.00 5.01 4.99 5.02 4.98 5.00 5.01', '5.0 7.1 3.2 6.4 4.0 2.9 7.7')).toMatchObject({
      of: ['a', 'b'],
      carried: true,
    });
  });

  it('claims nothing of the spread of replicates that share, and takes their mean with its own ±', () => {
    const shared = group('receiver', '9.9 10.1 9.8 10.2 10.0', { shared: { u: 0.01, df: 4 } });
    const other = group('afresh', '9.0 9.1 8.9 9.2 8.8');
    const samples = [shared, other].map((own) => sampleOfGroup(own)!);
    expect(morePrecise(samples)).toEqual([]);
    expect(moreAccurate(samples)[0]).toMatchObject({ of: ['receiver', 'afresh'], carried: true });
  });

  it('says in words how large, or what would tell', () => {
    const all = compared(
      of(
        group('beaker', '9.43 9.49 9.82 10.03'),
        group('cylinder', '9.93 9.96 9.89 9.95'),
        group('pipette', '9.98 9.97 9.99 9.97'),
      ),
    );
    const words = (verdicts: typeof all.biases) => verdicts.map((own) => verdictWords(own, plain, 'mL'));
    // 9.98, 9.97, 9.99, 9.97: −0.0225, s/√4 = 0.00479, t = −4.7, p(3) = 0.018, times 3 groups.
    expect(words(all.biases)[2]).toBe(
      'Whether pipette leans one way: cannot tell yet; about 1 more trial of each would.',
    );
    expect(words(all.moreAccurate)[0]).toMatch(
      /^cylinder more accurate than beaker: cannot tell yet; about \d+ more trials of each would\.$/,
    );
    expect(words(all.morePrecise)[0]).toMatch(/a spread needs five trials of each/);
  });
});

describe('a student’s claim', () => {
  // The pipette lies nearest as it stands; the cylinder’s trials overlap with it.
  const all = compared(
    of(group('cylinder', '9.93 10.05 9.89 9.99'), group('pipette', '9.98 10.03 9.99 9.97')),
  );
  it.each([
    ['as-they-stand', 'pipette', 'right'],
    ['as-they-stand', 'cylinder', 'other group'],
    ['as-they-stand', null, 'too careful'],
    ['overlap', 'pipette', 'beyond the data'],
    ['tests', 'pipette', 'beyond the data'],
    ['tests', null, 'right'],
  ] as const)('by %s, of %s: %s', (rule, key, verdict) => {
    expect(judgeClaim({ question: 'more accurate', of: key }, all, rule)).toBe(verdict);
  });

  it('is right where the trials carry it', () => {
    const clear = compared(
      of(group('beaker', '9.50 9.51 9.49 9.50'), group('pipette', '9.99 10.00 10.01 10.00')),
    );
    for (const rule of ['as-they-stand', 'overlap', 'tests'] as const)
      expect(judgeClaim({ question: 'more accurate', of: 'pipette' }, clear, rule)).toBe('right');
  });
});

describe('at the ends', () => {
  it('says nothing that means nothing of no group, one group, or none that counts', () => {
    for (const groups of [
      [],
      [group('a', '1')],
      [group('a', '1', { observations: [] }), group('b', '2 3')],
    ]) {
      const all = compared(of(...groups));
      for (const verdict of [...all.biases, ...all.moreAccurate, ...all.morePrecise, ...all.differ])
        expect(verdictWords(verdict, plain, 'mL')).not.toMatch(/NaN|Infinity|undefined/);
    }
  });

  it('tells equal values for what they are', () => {
    const all = compared(of(group('a', '10 10 10 10 10'), group('b', '10 10 10 10 10')));
    const words = [...all.biases, ...all.moreAccurate, ...all.morePrecise, ...all.differ].map((own) =>
      verdictWords(own, plain, 'mL'),
    );
    for (const sentence of [...words, ...shownWords(all, 'mL')]) expect(sentence).not.toMatch(/NaN|Infinity/);
    expect(all.moreAccurate[0]?.carried).toBe(false);
  });

  it('takes a hundred thousand observations', () => {
    const many = Array.from({ length: 100_000 }, (_, at) => String(10 + ((at * 7919) % 101) / 1000)).join(
      ' ',
    );
    expect(compared(of(group('a', many), group('b', '10.0 10.1 10.2'))).shown[0]?.n).toBe(100_000);
  });
});

describe('a tenth of the simulated classes', () => {
  it.each(claimCells.map((cell, at) => [cell.name, cell, at] as const))('%s', (_, cell, at) => {
    const classes = cell.claim === 'differ' ? 300 : 1000;
    const { wrong, right } = claimsIn(cell, classes, 7000 + at);
    expect(wrong / classes).toBeLessThanOrEqual(mostFalse(classes));
    if (cell.real) expect(right / classes).toBeGreaterThan(0.5);
  });
});

describe('what is told of a comparison', () => {
  const all = compared(
    of(
      group('beaker', '9.50 9.51 9.49 9.50'),
      group('cylinder', '9.9 10.5 9.6 10.2'),
      group('pipette', '9.99 10.00 10.01 10.00'),
    ),
  );

  it('is what is carried, and what the best might have claimed', () => {
    const told = toldOf(all);
    expect(told.every((own) => own.carried || own.of[0] === 'pipette')).toBe(true);
    expect(told.some(({ claim }) => claim === 'differ')).toBe(false);
    expect(verdictsOf(all).length).toBeGreaterThan(told.length);
  });

  it('ranks by trueness and by precision, apart', () => {
    expect(byTrueness(all.shown).map(({ name }) => name)).toEqual(['pipette', 'cylinder', 'beaker']);
    expect(byPrecision(all.shown).at(-1)?.name).toBe('cylinder');
  });

  it('writes a percent error as the class does', () => {
    const as = (percentError: Conventions['percentError']) =>
      percentErrorText(-3.075, { ...presetNamed('Chemistry bench'), percentError });
    expect([as('absolute'), as('signed'), as('of-target'), as('hundred-less')]).toEqual([
      '3.1 %',
      '−3.1 %',
      '96.9 % of the accepted value',
      '96.9 % (100 less the percent error)',
    ]);
  });

  it('writes a mean to the second figure of its spread, and nothing without a sign', () => {
    const written = (mean: number, sd: number | null, interval: number | null = null, step = 0) =>
      meanText({ ...all.shown[0]!, mean, sd, interval, step });
    expect(written(9.6925, 0.283)).toBe('9.69');
    expect(written(-0.0004, 0.12)).toBe('0.00');
    expect(written(-0.31, 0.12)).toBe('−0.31');
    expect(written(20, 0, 0.0092)).toBe('20.0000');
    expect(written(9.5, null)).toBe('9.500');
    // One reading alone is no more exact than it was read.
    expect([1, 0.1, 0.05, 20].map((step) => written(345, null, null, step))).toEqual([
      '345',
      '345.0',
      '345.00',
      '345',
    ]);
  });

  it('suggests what lies apart, and leaves out what a person says, however it is grouped', () => {
    const apart = of(group('a', '10.00 10.01 9.99 10.02 9.98 10.00 14.00'));
    const [found] = outliersIn(apart);
    expect(found?.observation).toMatchObject({ value: '14.00', trial: 7 });
    const name = observationName(found!.observation);
    const then = withoutLeftOut(apart, { [name]: 'spilt' });
    expect(outliersIn(then)).toEqual([]);
    expect(compared(then).shown[0]).toMatchObject({ n: 6, excluded: 1 });
    expect(withoutLeftOut(apart, {})).toBe(apart);
  });
});

describe('pretended vessels', () => {
  const vessels = [
    { name: 'A', bias: -0.1, scatter: 0.05 },
    { name: 'B', bias: 0.02, scatter: 0.15 },
  ];

  it('give the same first trials, however many are looked at', () => {
    const values = (n: number) =>
      pretendedTrials(vessels, n, 3).groups.map(({ observations }) => observations.map(({ value }) => value));
    expect(values(30).map((own) => own.slice(0, 4))).toEqual(values(4));
    expect(values(30)).not.toEqual(
      pretendedTrials(vessels, 30, 4).groups.map(({ observations }) =>
        observations.map(({ value }) => value),
      ),
    );
  });

  it('are off by their bias and scatter by their scatter', () => {
    const [a] = compared(pretendedTrials(vessels, 30, 8)).shown;
    // Four times 0.05/√30.
    expect(Math.abs(a!.error! + 0.1)).toBeLessThan(0.037);
    expect(a!.sd!).toBeGreaterThan(0.03);
    expect(a!.sd!).toBeLessThan(0.07);
  });

  it('have other truths by chance, one of them nearer', () => {
    const others = otherTruths(vessels, 5);
    expect(others).toEqual(otherTruths(vessels, 5));
    expect(others).not.toEqual(vessels);
    expect(truestOf(vessels)?.name).toBe('B');
  });
});
