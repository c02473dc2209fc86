import { describe, expect, it } from 'vitest';
import { presetNamed, revise } from '../conventions';
import { Exact, exactly, measured, parseNumber, writeTracked, type WrittenNumber } from '../figures';
import { quadrature } from '../uncertainty';
import { densityByDisplacement, type DisplacementTrial, type Gauge } from './displacement';
import { percentError } from './percentError';

const bench = presetNamed('Chemistry bench');
const n = (text: string): WrittenNumber => {
  const parsed = parseNumber(text);
  if (!parsed.ok) throw new Error(parsed.problem.message);
  return parsed.number;
};
const trial = (number: number, mass: string, before: string, after: string): DisplacementTrial => ({
  trial: number,
  mass: n(mass),
  before: n(before),
  after: n(after),
});
const balance: Gauge = {
  kind: 'three-beam-balance',
  model: 'three-beam-600',
  division: '0.1',
  reads: 'scale',
  tag: 'B-01',
  tolerance: '0.1',
};
const cylinder: Gauge = {
  kind: 'graduated-cylinder',
  model: 'cylinder-100-1',
  division: '1',
  reads: 'scale',
  tag: 'C-07',
  tolerance: '0.5',
};

// 84.0/10.0, 84.0/10.2, 84.0/9.8 = 8.4, 8.2353, 8.5714: worked by hand below.
const trials = [
  trial(1, '84.0', '50.0', '60.0'),
  trial(2, '84.0', '50.0', '60.2'),
  trial(3, '84.0', '50.0', '59.8'),
];

describe('density by displacement', () => {
  const density = densityByDisplacement(trials, balance, cylinder, bench);

  it('derives each trial with its figures', () => {
    expect(density.trials.map(({ volume }) => writeTracked(volume.result))).toEqual(['10.0', '10.2', '9.8']);
    expect(density.trials.map(({ density: { result } }) => writeTracked(result))).toEqual([
      '8.40',
      '8.24',
      '8.6',
    ]);
    expect(writeTracked(density.mean)).toBe('8.4');
  });

  it('states the repeat part as the standard deviation of the mean', () => {
    // Mean 8.402241; deviations −0.002241, −0.166947, 0.169188; s = 0.168079; s/√3 = 0.097040.
    expect(density.summary.mean.toFixed(6)).toBe('8.402241');
    expect(density.repeatPart?.toFixed(4)).toBe('0.0970');
  });

  it('carries the instruments once, the glass as a tolerance of the difference', () => {
    // c_m = 1/10, c_V = −8.4/10: 0.05·0.1, 0.1·0.1, 0.5·0.84 twice for the readings, 0.5·0.84 for the glass.
    const amounts = density.instrument.contributions.map(({ amount }) => Math.abs(amount));
    expect(amounts.map((amount) => amount.toFixed(4))).toEqual([
      '0.0050',
      '0.0100',
      '0.4200',
      '0.4200',
      '0.4200',
    ]);
    expect(density.instrumentPart).toBeCloseTo(Math.sqrt(0.005 ** 2 + 0.01 ** 2 + 3 * 0.42 ** 2), 10);
  });

  it('joins both parts as the class does', () => {
    const parts = [0.09704, density.instrumentPart] as const;
    const joined = (repeatAndInstrument: 'larger' | 'sum' | 'root-sum-square') =>
      densityByDisplacement(
        trials,
        balance,
        cylinder,
        revise(bench, { repeatAndInstrument }),
      ).uncertainty?.toNumber();
    expect(joined('root-sum-square')).toBeCloseTo(Math.hypot(...parts), 4);
    expect(joined('sum')).toBeCloseTo(parts[0] + parts[1], 4);
    expect(joined('larger')).toBeCloseTo(parts[1], 4);
  });

  it('does not shrink the instruments with more trials', () => {
    const ten = densityByDisplacement([...trials, ...trials, ...trials], balance, cylinder, bench);
    expect(ten.instrumentPart).toBeCloseTo(density.instrumentPart, 10);
    expect(ten.repeatPart!.lt(density.repeatPart!)).toBe(true);
  });

  it('turns half-widths into standard uncertainties where the course says so', () => {
    const metrology = densityByDisplacement(trials, balance, cylinder, presetNamed('Metrology'));
    expect(metrology.instrumentPart).toBeCloseTo(density.instrumentPart / Math.sqrt(3), 10);
    expect(quadrature(metrology.instrument.contributions)).toBe(metrology.instrumentPart);
  });

  it('works by figures only in a first course, and by the worst case where asked', () => {
    expect(
      densityByDisplacement(trials, balance, cylinder, presetNamed('First course')).uncertainty,
    ).toBeNull();
    const worst = densityByDisplacement(trials, balance, cylinder, presetNamed('Physics bench'));
    // Tenths of a division: 0.01·0.1 + 0.1·0.1 + 2·0.1·0.84 + 0.5·0.84.
    expect(worst.instrumentPart).toBeCloseTo(0.001 + 0.01 + 0.168 + 0.42, 10);
  });

  it('refuses a level that does not rise', () => {
    expect(() => densityByDisplacement([trial(2, '84.0', '60.0', '50.0')], balance, cylinder, bench)).toThrow(
      /trial 2/,
    );
  });
});

describe('percentError', () => {
  const of = (result: string, accepted: string, sign: 'absolute' | 'signed') =>
    percentError(measured(n(result)), n(accepted), revise(bench, { percentError: sign }));

  it.each([
    ['8.41', '8.80', 'signed', '−4.4 %', 'good'],
    ['8.41', '8.80', 'absolute', '4.4 %', 'good'],
    ['9.50', '8.80', 'signed', '+8.0 %', 'acceptable'],
    ['12.0', '8.8', 'signed', '+36 %', null],
    ['8.80', '8.80', 'signed', '0 %', 'good'],
  ] as const)('%s against %s, %s: %s', (result, accepted, sign, text, word) => {
    expect(of(result, accepted, sign)).toMatchObject({ text, word });
  });

  it('lets the lost figures govern', () => {
    // 8.7 − 8.8 leaves one figure: −1.136… % is written −1 %.
    expect(of('8.7', '8.8', 'signed')).toMatchObject({ text: '−1 %', figuresLost: 1 });
  });

  it('has nothing to divide by when the accepted value is 0', () => {
    expect(() => percentError(exactly(new Exact(1)), n('0.0'), bench)).toThrow(RangeError);
  });
});
