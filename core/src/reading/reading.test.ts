import { describe, expect, it } from 'vitest';
import { presetNamed, revise } from '../conventions';
import {
  graduatedCylinder,
  instrumentOf,
  threeBeamBalance,
  type BalanceSetting,
  type CylinderSetting,
} from '../instruments';
import { checkReading, expectReading, readingOf, type Verdict } from './check';
import { makeSetting, settingAt } from './makeSetting';
import { predictAlone } from './predictions';

const bench = presetNamed('Chemistry bench');

const cylinder = (levelMl: number, rest: Partial<CylinderSetting> = {}): CylinderSetting => ({
  kind: 'graduated-cylinder',
  model: 'cylinder-100-1',
  levelMl,
  surface: 'concave',
  eyeMm: 0,
  targetMl: null,
  filmMl: null,
  filling: false,
  ...rest,
});

const balance = (
  hundreds: number,
  tens: number,
  ones: number,
  rest: Partial<BalanceSetting> = {},
): BalanceSetting => ({
  kind: 'three-beam-balance',
  model: 'three-beam-600',
  riders: { hundreds, tens, ones },
  loadGrams: hundreds + tens + ones,
  onPan: true,
  zeroErrorGrams: 0,
  handled: false,
  ...rest,
});

const codes = (verdict: Verdict): string[] =>
  verdict.outcome === 'wrong'
    ? verdict.explanations.map((explanation) => explanation.map(({ code }) => code).join(' + '))
    : [verdict.outcome];
const readCylinder = (setting: CylinderSetting, text: string, unit = 'mL', conventions = bench) =>
  codes(checkReading(graduatedCylinder, setting, conventions, text, unit));
const readBalance = (setting: BalanceSetting, text: string, unit = 'g', conventions = bench) =>
  codes(checkReading(threeBeamBalance, setting, conventions, text, unit));

describe('a graduated cylinder, 100 mL in 1 mL, at 37.2 mL', () => {
  // The bore is 27 mm: 1 mL is 1.7465 mm high; the edge stands 2.976 mm up, which is 1.70 mL.
  it.each([
    ['37.2', ['right']],
    ['37,2', ['right']],
    ['37.0', ['right']],
    ['37.4', ['right']],
    ['37.2 mL', ['right']],
    ['0.372e2', ['right']],
    ['37.5', []],
    ['37', ['dropped-trailing-zero', 'dropped-final-digit']],
    ['37.20', ['extra-digit']],
    ['38.9', ['top-of-meniscus']],
    ['39', ['top-of-meniscus + dropped-final-digit']],
    ['47.2', ['next-label']],
    ['48.9', ['top-of-meniscus + next-label']],
    ['12..3', ['unreadable']],
    ['', ['unreadable']],
  ])('%s', (text, expected) => {
    expect(readCylinder(cylinder(37.2), text)).toEqual(expected);
  });

  it.each([
    ['37.2', 'cm³', ['right']],
    ['0.0372', 'L', ['right']],
    ['37.2', 'ml', ['right']],
    ['37.2', '', ['unit-missing']],
    ['37.2', 'g', ['unit-wrong']],
    ['37.2', 'parsec', ['unit-wrong']],
    ['47.2', 'g', ['next-label + unit-wrong']],
    ['37', 'g', ['dropped-trailing-zero + unit-wrong', 'dropped-final-digit + unit-wrong']],
  ])('%s in %s', (text, unit, expected) => {
    expect(readCylinder(cylinder(37.2), text, unit)).toEqual(expected);
  });

  it('tells a dropped zero from a dropped digit where it can', () => {
    expect(readCylinder(cylinder(37.45), '37')).toEqual(['dropped-final-digit']);
    expect(readCylinder(cylinder(38.0), '38')).toEqual(['dropped-trailing-zero', 'dropped-final-digit']);
  });

  it('remarks on a spelling, or refuses it, as the class does', () => {
    expect(checkReading(graduatedCylinder, cylinder(37.2), bench, '37.2', 'ml')).toMatchObject({
      remarks: ['“ml” is understood; its symbol is mL.'],
    });
    const strict = revise(bench, { symbolSpelling: 'refuse' });
    expect(readCylinder(cylinder(37.2), '37.2', 'ml', strict)).toEqual(['unit-misspelt']);
  });
});

describe('other cylinders', () => {
  it.each([
    // Eye 100 mm up, radius 13.5 mm, wall 300 mm away: 4.306 mm or 2.47 mL too high.
    ['eye above', cylinder(37.2, { eyeMm: 100, surface: 'flat' }), '39.7', ['eye-too-high']],
    ['eye below', cylinder(37.2, { eyeMm: -100, surface: 'flat' }), '34.7', ['eye-too-low']],
    [
      'eye above and top of the curve',
      cylinder(37.2, { eyeMm: 100 }),
      '41.4',
      ['top-of-meniscus + eye-too-high'],
    ],
    ['edge of a dome', cylinder(37.2, { surface: 'convex' }), '35.5', ['edge-of-convex']],
    ['a flat surface has no edge', cylinder(37.2, { surface: 'flat' }), '38.9', []],
    ['the falling scale', cylinder(37.2, { model: 'cylinder-100-1-double' }), '62.8', ['wrong-scale']],
    [
      'each line of 2 mL taken as 1',
      cylinder(37, { model: 'cylinder-100-2' }),
      '33.5',
      ['miscounted-division'],
    ],
    [
      'each line of 5 mL taken as 1',
      cylinder(235, { model: 'cylinder-500-5' }),
      '207',
      ['miscounted-division'],
    ],
    ['the planned amount', cylinder(41.3, { targetMl: 40 }), '40.0', ['target-written']],
  ] as const)('%s', (_, setting, text, expected) => {
    expect(readCylinder(setting, text)).toEqual(expected);
  });

  it('accepts the line below where nothing is estimated, and not the one above', () => {
    const lower = revise(bench, { analogueStep: 'lower' });
    expect(readCylinder(cylinder(37.9), '37', 'mL', lower)).toEqual(['right']);
    expect(readCylinder(cylinder(37.5), '38', 'mL', lower)).toEqual([]);
    expect(expectReading(graduatedCylinder, cylinder(37.9), lower).text).toBe('37');
  });

  it('names a value between the steps of a half-division class', () => {
    const half = presetNamed('Half-division');
    expect(readCylinder(cylinder(37.4), '37.5', 'mL', half)).toEqual(['right']);
    expect(readCylinder(cylinder(37.4), '37.4', 'mL', half)).toEqual(['off-step']);
  });
});

describe('a three-beam balance', () => {
  it.each([
    [balance(200, 0, 7.4), '207.4', ['right']],
    [balance(200, 0, 7.45), '207.5', ['right']],
    [balance(200, 0, 7.4), '27.4', ['empty-place-dropped']],
    [balance(200, 30, 0.4), '230.4', ['right']],
    [balance(200, 30, 0.4), '23.4', ['empty-place-dropped']],
    [balance(200, 30, 7.4), '327.4', ['riders-swapped']],
    [balance(200, 30, 7.4), '247.4', ['rider-rounded-up']],
    [balance(200, 30, 7.4), '238.4', ['rider-rounded-up']],
    [balance(200, 30, 7.4), '230.0', ['rider-forgotten']],
    [balance(200, 30, 7.4), '207.4', ['rider-forgotten']],
    [balance(200, 30, 7.4), '237.0', ['miscounted-division']],
    [balance(200, 30, 7.4), '237.04', ['miscounted-division + extra-digit']],
    [balance(200, 30, 7.4), '237', ['dropped-final-digit']],
    [balance(200, 30, 7.0), '237', ['dropped-trailing-zero']],
    [balance(200, 30, 7.4), '237.40', ['extra-digit']],
    [balance(200, 30, 7.4), '0.2374', ['unit-wrong']],
  ])('%j read as %s', (setting, text, expected) => {
    const unit = expected[0] === 'unit-wrong' ? 'mL' : 'g';
    const told = readBalance(setting as BalanceSetting, text, unit);
    if (expected[0] === 'unit-wrong') expect(told.join()).toContain('unit-wrong');
    else expect(told).toEqual(expected);
  });

  const handled = { handled: true } as const;
  it.each([
    ['level and at zero', balance(200, 30, 7.4, handled), '237.4', ['right']],
    [
      'level within what the eye can see',
      balance(200, 30, 7.4, { ...handled, loadGrams: 237.42 }),
      '237.4',
      ['right'],
    ],
    ['riders too light', balance(200, 30, 5.0, { ...handled, loadGrams: 237.4 }), '235.0', ['not-balanced']],
    [
      'zero never set',
      balance(200, 30, 8.2, { ...handled, loadGrams: 237.4, zeroErrorGrams: 0.8 }),
      '238.2',
      ['zero-not-set'],
    ],
    [
      'a rider on a ridge',
      balance(204, 30, 3.4, { ...handled, loadGrams: 237.4 }),
      '233.4',
      ['rider-off-notch'],
    ],
    [
      'nothing on the pan',
      balance(0, 0, 0, { ...handled, onPan: false, loadGrams: 237.4 }),
      '0.0',
      ['not-balanced'],
    ],
    [
      'not level, then a rider forgotten',
      balance(200, 30, 5, { ...handled, loadGrams: 237.4 }),
      '205.0',
      ['not-balanced + rider-forgotten'],
    ],
  ])('%s', (_, setting, text, expected) => {
    expect(readBalance(setting, text)).toEqual(expected);
  });

  it('sends who writes what fits nothing to what the hands left undone, before the riders', () => {
    const first = (setting: BalanceSetting) => threeBeamBalance.lookFirst(setting);
    const light = { ...handled, loadGrams: 237.4 };
    expect(first(balance(200, 30, 5.0, light))).toContain('the pointer rests on its zero mark');
    expect(first(balance(200, 30, 8.2, { ...light, zeroErrorGrams: 0.8 }))).toContain('zero screw');
    expect(first(balance(204, 30, 3.4, light))).toContain('notched beams');
    for (const inOrder of [balance(200, 30, 7.4, handled), balance(200, 30, 7.4)])
      expect(first(inOrder)).toContain('one beam at a time');
  });

  it('takes only what hands can do', () => {
    const setting = balance(0, 0, 0, { handled: true, loadGrams: 50, onPan: false });
    const hands = { hundreds: 0, tens: 50, ones: 0, screw: 0, onPan: true };
    expect(threeBeamBalance.handle(setting, hands)).toMatchObject({ riders: { tens: 50 }, onPan: true });
    for (const wrong of [
      null,
      'x',
      {},
      { ...hands, tens: 91 },
      { ...hands, ones: NaN },
      { ...hands, onPan: 1 },
    ]) {
      expect(() => threeBeamBalance.handle(setting, wrong)).toThrow(RangeError);
    }
  });
});

describe('what a verdict tells', () => {
  it('leans coarsely and never holds the answer', () => {
    const verdict = checkReading(graduatedCylinder, cylinder(37.2), bench, '52.9', 'mL');
    expect(verdict).toMatchObject({ deviation: { direction: 'high', distance: 'far off' } });
    expect(JSON.stringify(verdict)).not.toContain('37');
    expect(checkReading(graduatedCylinder, cylinder(37.2), bench, '36.2', 'mL')).toMatchObject({
      deviation: { direction: 'low', distance: 'just off' },
    });
  });
});

describe('makeSetting', () => {
  it.each(['three-beam-balance', 'graduated-cylinder'])(
    'gives the same %s for the same seed, and others otherwise',
    (kind) => {
      const instrument = instrumentOf(kind);
      const model = instrument.models[0]!;
      const draw = (seed: number, mode: 'read' | 'handle' = 'read') =>
        makeSetting(instrument, model, bench, mode, seed);
      expect(draw(5)).toEqual(draw(5));
      expect(new Set([1, 2, 3, 4, 5].map((seed) => JSON.stringify(draw(seed)))).size).toBe(5);
      expect(draw(5, 'handle')).not.toEqual(draw(5));
    },
  );

  it('stays on the scale and never under the lowest line', () => {
    for (const model of graduatedCylinder.models) {
      for (let seed = 0; seed < 200; seed += 1) {
        const { levelMl } = makeSetting(graduatedCylinder, model, bench, 'read', seed) as CylinderSetting;
        expect(levelMl).toBeGreaterThanOrEqual(Number(model.lowest));
        expect(levelMl).toBeLessThanOrEqual(Number(model.highest));
      }
    }
  });
});

describe('a setting that aims at a misreading', () => {
  it('is one at which that leads to a number of its own, whatever the seed', () => {
    for (let seed = 1; seed <= 40; seed += 1) {
      const { setting, shows } = settingAt(graduatedCylinder, 'top-of-meniscus', bench, seed);
      expect(shows).toBe(true);
      const alone = predictAlone(readingOf(graduatedCylinder, setting, bench));
      const own = alone.filter(({ faults }) => faults.some(({ code }) => code === 'top-of-meniscus'));
      expect(own).toHaveLength(1);
      const { accepted } = expectReading(graduatedCylinder, setting, bench);
      expect(own[0]!.value < accepted.low || own[0]!.value > accepted.high).toBe(true);
    }
  });

  it('says so where it shows in none', () => {
    expect(settingAt(instrumentOf('ruler'), 'top-of-meniscus', bench, 3).shows).toBe(false);
  });
});
