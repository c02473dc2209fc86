import { describe, expect, it } from 'vitest';
import { Decimal, parseExpression } from '../figures';
import { coverageFactorFor, fitLine, yAt } from '../statistics';
import {
  covarianceOf,
  covariancesOfMeans,
  dualOf,
  effectiveDegrees,
  expanded,
  propagate,
  quadrature,
  termOf,
  variable,
  type Input,
} from '.';

/** Worked examples of the Guide to the Expression of Uncertainty in Measurement (JCGM 100:2008), annex H. */
describe('GUM H.2: resistance and reactance measured together', () => {
  const volts = [5.007, 4.994, 5.005, 4.99, 4.999];
  const amperes = [19.663, 19.639, 19.64, 19.685, 19.678].map((milli) => milli / 1000);
  const radians = [1.0456, 1.0438, 1.0468, 1.0428, 1.0433];
  const covariances = covariancesOfMeans([volts, amperes, radians]);
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const at: Record<string, number> = { V: mean(volts), I: mean(amperes), p: mean(radians) };
  const result = (formula: string) => {
    const dual = dualOf(
      termOf(parseExpression(formula), (name) => ({ kind: 'input', name })),
      (name) => variable(name, at[name] ?? NaN),
    );
    return { value: dual.value, by: ['V', 'I', 'p'].map((name) => dual.by.get(name) ?? 0) };
  };
  const [R, X, Z] = [result('V / I * cos(p)'), result('V / I * sin(p)'), result('V / I')];
  const u = ({ by }: typeof R) => Math.sqrt(covarianceOf(by, by, covariances));
  const r = (a: typeof R, b: typeof R) => covarianceOf(a.by, b.by, covariances) / (u(a) * u(b));

  it('has the uncertainties and correlations of the readings of table H.2', () => {
    const sd = [0, 1, 2].map((at) => Math.sqrt(covariances[at]?.[at] ?? NaN));
    expect(sd.map((value) => value.toPrecision(2))).toEqual(['0.0032', '0.0000095', '0.00075']);
    const correlation = (a: number, b: number) =>
      (covariances[a]?.[b] ?? NaN) / ((sd[a] ?? NaN) * (sd[b] ?? NaN));
    expect(correlation(0, 1)).toBeCloseTo(-0.36, 2);
    expect(correlation(0, 2)).toBeCloseTo(0.86, 2);
    expect(correlation(1, 2)).toBeCloseTo(-0.65, 2);
  });

  it('has the results of table H.3', () => {
    expect([R, X, Z].map(({ value }) => value.toFixed(3))).toEqual(['127.732', '219.847', '254.260']);
    // The Guide reckons on with rounded means; unrounded ones end within one in its last place.
    for (const [of, printed] of [
      [R, 0.071],
      [X, 0.295],
      [Z, 0.236],
    ] as const)
      expect(Math.abs(u(of) - printed)).toBeLessThan(0.001);
    expect(r(R, X)).toBeCloseTo(-0.588, 3);
    expect(r(R, Z)).toBeCloseTo(-0.485, 3);
    expect(r(X, Z)).toBeCloseTo(0.993, 3);
  });
});

describe('GUM H.3: calibration of a thermometer', () => {
  const readings = [21.521, 22.012, 22.512, 23.003, 23.507, 23.999, 24.513, 25.002, 25.503, 26.01, 26.511];
  const corrections = [-0.171, -0.169, -0.166, -0.159, -0.164, -0.165, -0.156, -0.157, -0.159, -0.161, -0.16];
  const line = fitLine(
    readings.map((t, at) => ({ x: new Decimal(t).minus(20), y: new Decimal(corrections[at] ?? NaN) })),
  );

  it('has the line of H.3.3', () => {
    expect(line.intercept).toBeCloseTo(-0.1712, 4);
    expect(line.interceptSd).toBeCloseTo(0.0029, 4);
    expect(line.slope).toBeCloseTo(0.00218, 5);
    expect(line.slopeSd).toBeCloseTo(0.00067, 5);
    expect(line.covariance / (line.slopeSd * line.interceptSd)).toBeCloseTo(-0.93, 2);
    expect(line.residualSd).toBeCloseTo(0.0035, 4);
    expect(line.degrees).toBe(9);
  });

  it('predicts the correction at 30 °C as H.3.4', () => {
    const { value, sd } = yAt(line, 10);
    expect(value).toBeCloseTo(-0.1494, 4);
    expect(sd).toBeCloseTo(0.0041, 4);
  });
});

describe('GUM H.1: an end gauge against a standard', () => {
  // l = l_S + d − l_S(δα·θ + α_S·δθ), in nm and °C (H.1.2 to H.1.5).
  const inputs: Input[] = [
    {
      name: 'lS',
      value: 50_000_623,
      components: [{ source: 'standard', kind: 'offset', u: 25, degrees: 18 }],
    },
    {
      name: 'd',
      value: 215,
      components: [
        { source: 'repeats', kind: 'repeat', u: 5.8, degrees: 24 },
        { source: 'comparator, random', kind: 'reading', u: 3.9, degrees: 5 },
        { source: 'comparator, systematic', kind: 'tolerance', u: 6.7, degrees: 8 },
      ],
    },
    {
      name: 'da',
      value: 0,
      components: [{ source: 'difference of expansion', kind: 'tolerance', u: 0.58e-6, degrees: 50 }],
    },
    { name: 't', value: -0.1, components: [{ source: 'temperature', kind: 'tolerance', u: 0.41 }] },
    { name: 'aS', value: 11.5e-6, components: [{ source: 'expansion', kind: 'tolerance', u: 1.2e-6 }] },
    {
      name: 'dt',
      value: 0,
      components: [{ source: 'difference of temperature', kind: 'tolerance', u: 0.029, degrees: 2 }],
    },
  ];
  const known = new Map(inputs.map(({ name }) => [name, { kind: 'input', name } as const]));
  const term = termOf(parseExpression('lS + d - lS * (da * t + aS * dt)'), (name) => known.get(name));
  const { value, contributions } = propagate((input) => dualOf(term, input), inputs);
  const of = (source: string) =>
    Math.abs(contributions.find((part) => part.source === source)?.contribution ?? NaN);

  it('has the length and the parts of H.1.4 and table H.1', () => {
    expect(value).toBe(50_000_838);
    expect(of('difference of expansion')).toBeCloseTo(2.9, 1);
    expect(of('difference of temperature')).toBeCloseTo(16.6, 0);
    // To first order neither of these matters: both differences are nothing.
    expect([of('temperature'), of('expansion')]).toEqual([0, 0]);
  });

  it('has u = 32 nm, 16 degrees of freedom and U = 93 nm for 99 of 100', () => {
    const u = quadrature(contributions);
    expect(u.toFixed(0)).toBe('32');
    expect(effectiveDegrees(contributions)).toBe(16);
    expect((coverageFactorFor(0.99, 16) * 32).toFixed(0)).toBe('93');
  });
});

describe('effective degrees of freedom', () => {
  it('agrees with GUM H.1.6: 16 for the end gauge, and t 2.92 for 99 of 100', () => {
    // Parts in nm with their degrees of freedom (H.1.6): 25 (18), 9.7 (25.6), 2.9 (50), 16.6 (2).
    const parts = [
      { contribution: 25, degrees: 18 },
      { contribution: 9.7, degrees: 25.6 },
      { contribution: 2.9, degrees: 50 },
      { contribution: 16.6, degrees: 2 },
    ];
    expect(effectiveDegrees(parts)).toBe(16);
    expect(coverageFactorFor(0.99, 16)).toBeCloseTo(2.92, 2);
  });

  it('is infinite, and k 1.96, where nothing was found by repeating', () => {
    const { degrees, k } = expanded([{ contribution: 0.3 }, { contribution: 0.4 }]);
    expect(degrees).toBe(Infinity);
    expect(k).toBeCloseTo(1.96, 2);
  });
});
