import { describe, expect, it } from 'vitest';
import { about, mean, resultOf, value } from '../../test/aCase';
import { rows } from '../../test/entry';
import type { GivenColumn, LinePlan, ResultPlan } from './investigation';
import { measured } from './readyMade/plain';

// A number in a plan may be typed with a decimal comma or a true minus: nothing of the result depends on it.

const given = (own: string, plusMinus: string): GivenColumn => ({
  key: 'rho',
  heading: 'Density of the liquid',
  symbol: 'ρ',
  kind: 'given',
  unit: 'g/cm³',
  values: [{ value: own, plusMinus, source: 'the label' }],
});
const mass = measured('m', 'Mass', 'm', 'g', 'E-01');
const line = (at: string): ResultPlan => ({
  key: 'result',
  name: 'Result',
  symbol: 'x',
  accepted: null,
  unit: 'g',
  kind: 'line',
  x: 'l',
  y: 'm',
  throughOrigin: false,
  gives: 'y',
  at,
});

describe('a number that was typed into a plan', () => {
  it('is the same with a comma: a given value and its ±', () => {
    const stated = (own: string, plusMinus: string) => {
      const what = about([mass, given(own, plusMinus)], value('m / rho', 'cm³'));
      return resultOf(what, rows(what, 'm', '15.70', '15.71', '15.69'));
    };
    const [comma, point] = [stated('7,85', '0,02'), stated('7.85', '0.02')];
    expect(comma).toEqual(
      expect.objectContaining({ uncertainty: point.uncertainty, plusMinus: point.plusMinus }),
    );
    // 15.70 / 7.85 is 2; of its ± the given value alone makes 2.00 × 0.02/7.85/√3.
    expect(comma.value.value.toNumber()).toBeCloseTo(2, 12);
    const ofGiven = comma.contributions.find(({ source }) => source.includes('label'));
    expect(Math.abs(ofGiven?.contribution ?? NaN)).toBeCloseTo((2 * 0.02) / 7.85 / Math.sqrt(3), 8);
  });

  it('is the same with a comma: what an instrument is off by', () => {
    const stated = (offset: string) => {
      const kit = [{ tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_01', offset }] as const;
      const what = about([mass], mean('m', 'g'), {}, { kit });
      return resultOf(what, rows(what, 'm', '15.70', '15.71', '15.69')).uncertainty;
    };
    expect(stated('0,05')).toBeCloseTo(stated('0.05') ?? NaN, 12);
    expect(stated('0.05')).toBeGreaterThan(0.05 / Math.sqrt(3));
  });

  it('is the same with a comma or a true minus: where a line is asked', () => {
    const stated = (at: string) => {
      const what = about([measured('l', 'Length', 'l', 'mm', 'R-01'), mass], line(at) as LinePlan);
      const entries = rows(what, 'l m', '10.0 5.00', '20.0 10.01', '30.0 14.99');
      return resultOf(what, entries).value.value.toNumber();
    };
    expect(stated('15,0')).toBe(stated('15.0'));
    expect(stated('−5')).toBe(stated('-5'));
    // The line through the three: slope 0.4995, at 20 mm 10.
    expect(stated('15,0')).toBeCloseTo(10 - 5 * 0.4995, 9);
  });
});
