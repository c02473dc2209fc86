import { describe, expect, it } from 'vitest';
import { presetNamed } from '../conventions';
import { checkReading } from '../reading';
import type { Instrument, Setting } from './instrument';
import { ruler, rulerParallax, rulers, type RulerSetting } from './ruler';
import {
  columnAt,
  restsAfterSeconds,
  thermometer,
  thermometerModel,
  thermometerParallax,
  type ThermometerSetting,
} from './thermometer';

const bench = presetNamed('Chemistry bench');
const codes = (instrument: Instrument, setting: Setting, text: string, unit: string): string[] => {
  const verdict = checkReading(instrument, setting, bench, text, unit);
  return verdict.outcome === 'wrong'
    ? verdict.explanations.map((causes) => causes.map(({ code }) => code).join(' + '))
    : [verdict.outcome];
};

describe('a ruler', () => {
  const token = (rest: Partial<RulerSetting> = {}): RulerSetting => ({
    kind: 'ruler',
    model: 'ruler-mm',
    from: 0,
    to: 64.3,
    eyeMm: 0,
    ...rest,
  });

  it.each([
    ['from the zero line', {}, '64.3', 'mm', ['right']],
    ['the same in centimetres', {}, '6.43', 'cm', ['right']],
    ['the same in metres', {}, '0.0643', 'm', ['right']],
    ['a whole number stops short', {}, '64', 'mm', ['dropped-final-digit']],
    ['as a difference', { from: 10, to: 74.3 }, '64.3', 'mm', ['right']],
    ['the end for the length', { from: 10, to: 74.3 }, '74.3', 'mm', ['started-at-one']],
    ['centimetres written as millimetres', {}, '6.4', 'mm', ['cm-mm-slip']],
    ['centimetres chosen for millimetres', {}, '64.3', 'cm', ['cm-mm-slip']],
    // 140 mm to the right, 6 mm thick, 300 mm high: 140·6/294 = 2.86 mm too low.
    ['the eye to the right', { eyeMm: 140 }, '61.4', 'mm', ['parallax']],
    [
      'half centimetres taken as millimetres',
      { model: 'stick-half-cm', to: 65 },
      '61',
      'mm',
      ['miscounted-division'],
    ],
    ['inches on a metric ruler', {}, '2.5', 'in', ['unit-wrong']],
    ['inches', { model: 'ruler-tenths', to: 3.47 }, '3.47', 'in', ['right']],
  ] as const)('%s', (_, rest, text, unit, expected) => {
    expect(codes(ruler, token(rest), text, unit)).toEqual(expected);
  });

  it('sees the end low from the right and high from the left, alike', () => {
    for (const model of rulers) {
      expect(rulerParallax(model, 100)).toBeLessThan(0);
      expect(rulerParallax(model, -100)).toBeCloseTo(-rulerParallax(model, 100), 12);
    }
  });
});

describe('a thermometer', () => {
  const hung = (rest: Partial<ThermometerSetting> = {}): ThermometerSetting => ({
    kind: 'thermometer',
    model: 'thermometer-1',
    bath: 63.4,
    before: 21,
    seconds: restsAfterSeconds,
    baseExcess: 4,
    bulbOnBase: false,
    eyeMm: 0,
    ...rest,
  });

  it.each([
    ['at rest', {}, '63.4', ['right']],
    ['within a fifth of a division', {}, '63.6', ['right']],
    ['stops short', {}, '63', ['dropped-final-digit']],
    // After 6 s, one time constant: 63.4 − 42.4/e = 47.80.
    ['while it still moves', { seconds: 6 }, '47.8', ['read-while-settling']],
    ['with the bulb on the base', { bulbOnBase: true }, '67.4', ['bulb-on-base']],
    // 140·3/300 = 1.4 mm, at 1.6 mm a division: 0.875 °C.
    ['from above, scale in front', { eyeMm: 140 }, '64.3', ['parallax']],
    ['from above, scale behind', { eyeMm: 140, model: 'thermometer-1-plate' }, '62.5', ['parallax']],
    ['below zero', { bath: -7.3 }, '-7.3', ['right']],
    ['below zero, counted the wrong way', { bath: -7.3 }, '-12.7', ['below-zero-direction']],
    ['below zero, without its sign', { bath: -7.3 }, '7.3', ['below-zero-direction']],
    ['half degrees taken as tenths', { model: 'thermometer-0_5', bath: 62 }, '60.4', ['miscounted-division']],
  ] as const)('%s', (_, rest, text, expected) => {
    expect(codes(thermometer, hung(rest), text, '°C')).toEqual(expected);
  });

  it('nears its bath and never passes it', () => {
    const at = (seconds: number) =>
      columnAt({ bath: 80, before: 21, seconds, baseExcess: 5, bulbOnBase: false });
    expect(at(0)).toBe(21);
    expect(at(1000)).toBe(80);
    for (let seconds = 1; seconds < 60; seconds += 1) {
      expect(at(seconds)).toBeGreaterThan(at(seconds - 1));
      expect(at(seconds)).toBeLessThan(80);
    }
  });

  it('leans the other way with the scale on a plate behind', () => {
    const [front, behind] = ['thermometer-1', 'thermometer-1-plate'].map(thermometerModel);
    expect(thermometerParallax(front!, 90)).toBeCloseTo(-thermometerParallax(behind!, 90), 12);
  });
});
