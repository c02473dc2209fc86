import { describe, expect, it } from 'vitest';
import { againstSeen, floatsIn, identify, perGramCube, perOneSentence } from '.';
import { materials } from '../reference';

const names = (list: ReturnType<typeof identify>['ties']) => list.map(({ material }) => material.name);

describe('what a density may be', () => {
  it('tells ties as ties, and what is near as near', () => {
    // 8.71 ± 0.06: brass to 8.73 and bronze from 8.70 hold it; copper 8.96 is 0.25/0.06 = 4.2 off.
    const { ties, others, toPart } = identify(8.71, 0.06);
    expect(names(ties)).toEqual(['brass', 'bronze']);
    expect(others[0]).toMatchObject({ material: { name: 'copper' }, verdict: 'disagree' });
    expect(others[0]!.times).toBeCloseTo(0.25 / 0.06, 10);
    expect(toPart).toMatch(/Density alone never parts brass and bronze/);
  });

  it('counts the distance to the nearer end of a range', () => {
    // 8.05 ± 0.03: stainless steel ends at 8.00, 1.67 off; iron 7.87 is 6 off.
    const { ties } = identify(8.05, 0.03);
    expect(names(ties)).toEqual(['stainless steel']);
    // Just under two agree, a little more is doubtful.
    expect(identify(8.0599, 0.03).ties).toHaveLength(1);
    expect(identify(8.0601, 0.03).others[0]).toMatchObject({ verdict: 'doubtful' });
  });

  it('says which ± would part two that do not overlap', () => {
    // Zinc 7.13 and tin 7.29 lie 0.16 apart: a quarter is 0.04.
    expect(identify(7.2, 0.1).toPart).toBe('A ± of 0.04 g/cm³ would part zinc from tin.');
    expect(identify(11.3, 0.1)).toMatchObject({ toPart: null });
  });

  it('refuses what is no density', () => {
    for (const [density, u] of [
      [0, 1],
      [-2, 1],
      [2, 0],
      [NaN, 1],
      [2, Infinity],
    ] as const)
      expect(() => identify(density, u)).toThrow(RangeError);
    expect(perGramCube('kg/m³')).toBeCloseTo(0.001, 15);
    expect(perGramCube('g/mL')).toBe(1);
    expect(perGramCube('mL')).toBeNull();
  });

  it('has materials whose ranges are the right way round, each once, each with a source', () => {
    expect(new Set(materials.map(({ name }) => name)).size).toBe(materials.length);
    for (const { low, high, source } of materials) {
      expect(low).toBeGreaterThan(0);
      expect(high).toBeGreaterThanOrEqual(low);
      expect(source).not.toBe('');
    }
  });
});

describe('floating', () => {
  it('follows from a density within its uncertainty', () => {
    expect(floatsIn(0.92, 0.02, 0.998)).toBe('floats');
    expect(floatsIn(1.02, 0.01, 0.998)).toBe('sinks');
    expect(floatsIn(1.01, 0.02, 0.998)).toBe('cannot tell');
  });

  it('questions a density that contradicts what was seen', () => {
    expect(againstSeen('floats', 'sinks', 'water')).toMatch(
      /It floats in water, but by this density it would sink/,
    );
    expect(againstSeen('sinks', 'sinks', 'water')).toBeNull();
    expect(againstSeen('floats', 'cannot tell', 'water')).toBeNull();
  });
});

it('reads a quotient out as so much per one', () => {
  expect(perOneSentence('8.7', 'g/cm³')).toBe('8.7 grams per one cubic centimetre');
  expect(perOneSentence('0.05', 'mL/drops')).toBe('0.05 millilitres per one drop');
  expect(perOneSentence('−0.20', 'mm/min')).toBe('−0.20 millimetres per one minute');
  expect(perOneSentence('12', 'g')).toBeNull();
});
