import { describe, expect, it } from 'vitest';
import { boilingPoint, boilingSlope, pressureAt, pressureSlope, waterDensity } from '.';

describe('the boiling point of water', () => {
  it('is what Antoine’s equation gives, worked by hand', () => {
    // At 760 mmHg log₁₀ is 2.880813592280791; 1730.63/(8.07131 − 2.880813592…) − 233.426 = 99.9968…
    expect(boilingPoint(101.325)).toBeCloseTo(1730.63 / (8.07131 - 2.880813592280791) - 233.426, 11);
    expect(boilingPoint(101.325)).toBeCloseTo(100, 1);
    // 700 mmHg: log₁₀ 700 = 2.845098040014257.
    expect(boilingPoint((700 * 101.325) / 760)).toBeCloseTo(
      1730.63 / (8.07131 - 2.845098040014257) - 233.426,
      11,
    );
  });

  it('is refused above 105 °C, and for no pressure', () => {
    // 105 °C is 906 mmHg, 120.8 kPa.
    expect(boilingPoint(120)).toBeLessThan(105);
    for (const kPa of [122, 0, -3, NaN, Infinity]) expect(() => boilingPoint(kPa)).toThrow(RangeError);
  });

  it('moves as its slope says', () => {
    for (const kPa of [80, 95, 101.325])
      expect((boilingPoint(kPa + 1e-4) - boilingPoint(kPa - 1e-4)) / 2e-4).toBeCloseTo(boilingSlope(kPa), 7);
  });
});

describe('the usual pressure at a height', () => {
  it('is that of the standard atmosphere', () => {
    expect(pressureAt(0)).toBe(101.325);
    // ISO 2533: 89.875 kPa at 1000 m, 54.020 kPa at 5000 m.
    expect(pressureAt(1000)).toBeCloseTo(89.875, 2);
    expect(pressureAt(5000)).toBeCloseTo(54.02, 2);
    expect(() => pressureAt(12_000)).toThrow(RangeError);
  });

  it('moves as its slope says', () => {
    expect((pressureAt(500.1) - pressureAt(499.9)) / 0.2).toBeCloseTo(pressureSlope(500), 8);
  });
});

it('water is densest at 3.983 °C, by the formula and by its table', () => {
  // Tanaka et al. 2001, table 1: 999.974950 at 3.983035 °C, 998.2067 at 20 °C, 997.0470 at 25 °C.
  expect(waterDensity(3.983035)).toBeCloseTo(999.97495, 12);
  expect(waterDensity(20)).toBeCloseTo(998.2067, 3);
  expect(waterDensity(25)).toBeCloseTo(997.047, 3);
});
