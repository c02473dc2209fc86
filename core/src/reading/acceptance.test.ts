import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { presetNamed, presets, revise, stepFor, type Step } from '../conventions';
import { Decimal } from '../figures';
import { instruments } from '../instruments';
import { seeded } from '../chance/random';
import { acceptanceAt, accepts, acceptsSome, overlap, toStep, type ReadingRule } from './acceptance';
import { checkReading, expectReading } from './check';
import { deviationOf } from './deviation';

const step = (size: string, judged: Step['judged']): Step => ({
  size: new Decimal(size),
  decimals: new Decimal(size).decimalPlaces(),
  judged,
});
const rule = (division: string, by: Step, estimates = 1): ReadingRule => ({
  d: Number(division),
  step: by.size.toNumber(),
  judged: by.judged,
  strictness: 0.2,
  estimates,
});
const range = (at: number, division: string, by: Step) => {
  const { low, high } = acceptanceAt(at, rule(division, by));
  return [low, high].map((end) => String(Number(end.toFixed(6))));
};

describe('acceptanceAt', () => {
  it.each([
    // max(0.2·1, 0.05 + 0.1) = 0.2
    ['an estimate to a tenth', 37.2, '1', step('0.1', 'estimate'), ['37', '37.4']],
    // max(0.2·1, 0.25 + 0.1) = 0.35
    ['an estimate to a half', 37.2, '1', step('0.5', 'estimate'), ['36.85', '37.55']],
    // max(0.2·0.1, 0.05 + 0.01) = 0.06
    ['a beam read to its lines', 207.43, '0.1', step('0.1', 'estimate'), ['207.37', '207.49']],
    ['the line below', 37.9, '1', step('1', 'line below'), ['36.8', '38']],
    [
      'a vernier, one least count around the nearest multiple',
      23.484,
      '0.02',
      step('0.02', 'least count'),
      ['23.46', '23.5'],
    ],
    ['a display, digit for digit', 52.4, '0.01', step('0.01', 'digits'), ['52.4', '52.4']],
  ] as const)('%s', (_, at, division, by, expected) => {
    expect(range(at, division, by)).toEqual(expected);
  });

  it('holds its ends, and tells apart what overlaps', () => {
    const at = (value: number) => acceptanceAt(value, rule('1', step('0.1', 'estimate')));
    expect(accepts(at(37.2), 37.4)).toBe(true);
    expect(accepts(at(37.2), 37.5)).toBe(false);
    expect(acceptsSome(at(37.2), 37.4, 39)).toBe(true);
    expect(acceptsSome(at(37.2), 37.5, 39)).toBe(false);
    expect(overlap(at(37.2), at(37.5))).toBe(true);
    expect(overlap(at(37.2), at(37.7))).toBe(false);
  });
});

it('takes a difference of two estimates twice as wide', () => {
  const one = acceptanceAt(20, rule('0.1', step('0.01', 'estimate')));
  const two = acceptanceAt(20, rule('0.1', step('0.01', 'estimate'), 2));
  expect(two.high - two.low).toBeCloseTo(2 * (one.high - one.low), 12);
});

it('rounds to a step as exact decimals do, ties away from zero', () => {
  const places = fc.integer({ min: -400_000, max: 400_000 });
  fc.assert(
    fc.property(
      places,
      fc.constantFrom('0.1', '0.5', '0.02', '0.05', '0.001', '2', '0.0625'),
      (count, size) => {
        const value = count / 1000;
        const steps = new Decimal(value).div(size).toDecimalPlaces(0, Decimal.ROUND_HALF_UP);
        expect(toStep(value, Number(size))).toBeCloseTo(steps.times(size).toNumber(), 9);
      },
    ),
  );
});

describe('leanOf', () => {
  it.each([
    ['37.3', 'level', 'level'],
    ['38.2', 'high', 'just off'],
    ['30.0', 'low', 'well off'],
    ['372', 'high', 'far off'],
  ])('%s leans %s, %s', (answer, direction, distance) => {
    const accepted = acceptanceAt(37.2, rule('1', step('0.1', 'estimate')));
    expect(deviationOf(Number(answer), 37.2, accepted, 1)).toEqual({ direction, distance });
  });
});

describe('steps of instruments without a scale to estimate', () => {
  const micrometer = { kind: 'micrometer', model: 'any', division: '0.01', reads: 'least count' } as const;

  it('reads a least count as it is, and a plain micrometer finer where the class does', () => {
    expect(stepFor(presetNamed('Chemistry bench'), micrometer)).toMatchObject({
      decimals: 2,
      judged: 'least count',
    });
    const finer = revise(presetNamed('Chemistry bench'), { leastCount: 'screw-to-thousandth' });
    expect(stepFor(finer, micrometer)).toMatchObject({ decimals: 3, judged: 'estimate' });
    expect(stepFor(finer, { ...micrometer, kind: 'vernier-caliper' })).toMatchObject({
      decimals: 2,
      judged: 'least count',
    });
  });
});

describe('every instrument under every preset', () => {
  it.each(instruments.map((instrument) => [instrument.name, instrument] as const))(
    '%s accepts its own answer, as read and as left',
    (_, instrument) => {
      const random = seeded(11);
      for (const conventions of presets) {
        for (const model of instrument.models) {
          for (const setting of [
            instrument.sampleSetting(model, random),
            instrument.sampleHandled(model, random),
          ]) {
            const { text, unit } = expectReading(instrument, setting, conventions);
            expect([setting, checkReading(instrument, setting, conventions, text, unit).outcome]).toEqual([
              setting,
              'right',
            ]);
            expect(instrument.buildUp(setting, text).join(' ')).toContain(text);
          }
        }
      }
    },
  );

  it.each(instruments.map((instrument) => [instrument.name, instrument] as const))(
    '%s answers anything that is typed, and gives nothing away',
    (_, instrument) => {
      const model = instrument.models[0]!;
      const setting = instrument.sampleSetting(model, seeded(3));
      const conventions = presetNamed('Chemistry bench');
      const { text: key } = expectReading(instrument, setting, conventions);
      const character = fc.constantFrom(...'0123456789.,eE-×^ mgL°<');
      fc.assert(
        fc.property(
          fc.string({ unit: character, maxLength: 20 }),
          fc.constantFrom('', 'g', 'mL', 'mm', 'cm', '°C', 'K', 'in', 'ml', 'x'),
          (text, unit) => {
            const verdict = checkReading(instrument, setting, conventions, text, unit);
            expect(['right', 'wrong', 'unreadable']).toContain(verdict.outcome);
            if (verdict.outcome === 'wrong' && key.length > 3 && !text.includes(key))
              expect(JSON.stringify(verdict)).not.toContain(key);
          },
        ),
        { numRuns: 300 },
      );
    },
  );

  it.each(instruments.map((instrument) => [instrument.name, instrument] as const))(
    '%s keeps its truth out of the way: every misreading has words',
    (_, instrument) => {
      const setting = instrument.sampleSetting(instrument.models[0]!, seeded(3));
      for (const { code, title, hint } of instrument.misreadings) {
        expect(code).toMatch(/^[a-z]+(-[a-z]+)*$/);
        expect(title).toMatch(/^[A-Z].*\.$/);
        expect(hint(setting).length).toBeGreaterThan(20);
      }
      expect(new Set(instrument.misreadings.map(({ code }) => code)).size).toBe(
        instrument.misreadings.length,
      );
    },
  );
});
