import { describe, expect, it } from 'vitest';
import { seeded } from '../chance/random';
import { presetNamed } from '../conventions';
import { checkReading } from '../reading';
import { micrometer } from './micrometer';
import { micrometers, screwParts, type MicrometerSetting } from './screws';

describe.each(micrometers.map((model) => [model.name, model] as const))('%s', (_, model) => {
  const random = seeded(5);
  const settings = Array.from(
    { length: 800 },
    () => micrometer.sampleSetting(model, random) as MicrometerSetting,
  );

  it('reads what a search of the laid-out scales finds, whatever the zero error', () => {
    for (const { at } of settings) {
      // The sleeve: the last mark at or before the edge of the thimble, half a step of grace at a full turn.
      const grace = Number(model.division) / 2;
      const marks = Array.from({ length: Math.round(25 / model.pitch) + 1 }, (_, turn) => turn * model.pitch);
      const sleeve = marks.filter((mark) => mark <= at + grace).at(-1) ?? NaN;
      const turned = (at - sleeve) / 0.01;
      const parts = screwParts(model, at);
      expect(parts.sleeve).toBeCloseTo(sleeve, 9);
      if (!model.vernier) {
        expect(parts.thimble).toBe(Math.max(0, Math.round(turned)));
        continue;
      }
      // Ten sleeve lines 0.9 of a thimble division apart: the one with the least misalignment.
      const apart = Array.from({ length: 10 }, (_, line) => {
        const place = turned + line * 0.9;
        return Math.abs(place - Math.round(place));
      });
      expect(parts.vernier).toBe(apart.indexOf(Math.min(...apart)));
      expect(parts.thimble).toBe(Math.floor(turned + 0.05));
    }
  });

  it('does not open beyond its range', () => {
    for (const { at } of settings) expect(at).toBeLessThan(25);
  });
});

it('reads a negative zero error back from a full turn', () => {
  const [plain, vernier] = micrometers;
  expect(screwParts(plain!, -0.02)).toMatchObject({ sleeve: -0.5, thimble: 48 });
  expect(screwParts(vernier!, -0.013)).toEqual({ sleeve: -0.5, thimble: 48, vernier: 7 });
});

describe('a reading, 7.5 on the sleeve, 28 on the thimble, zero error +0.03', () => {
  const setting: MicrometerSetting = {
    kind: 'micrometer',
    model: 'micrometer-plain',
    at: 7.78,
    size: 7.75,
    zeroError: 0.03,
  };
  const codes = (text: string, changed: Partial<MicrometerSetting> = {}) => {
    const verdict = checkReading(
      micrometer,
      { ...setting, ...changed },
      presetNamed('Chemistry bench'),
      text,
      'mm',
    );
    return verdict.outcome === 'wrong'
      ? verdict.explanations.map((causes) => causes.map(({ code }) => code).join(' + '))
      : [verdict.outcome];
  };
  const vernierAt = { model: 'micrometer-vernier', at: 7.783, size: 7.783, zeroError: 0 } as const;
  const atTurn = { at: 7.99, size: 7.99, zeroError: 0 };
  const afterTurn = { at: 8.02, size: 8.02, zeroError: 0 };

  it.each([
    ['7.75', {}, ['right']],
    ['7.78', {}, ['zero-error-ignored']],
    ['7.81', {}, ['zero-error-reversed']],
    ['7.25', {}, ['half-line-missed']],
    ['10.27', {}, ['thimble-as-tenths']],
    ['7.8', {}, ['dropped-final-digit']],
    ['8.49', atTurn, ['half-line-invented']],
    ['7.52', afterTurn, ['half-line-overlooked-when-hidden']],
    ['7.783', vernierAt, ['right']],
    ['7.787', vernierAt, ['vernier-counted-backwards']],
    ['7.780', vernierAt, ['vernier-ignored']],
    ['7.793', vernierAt, ['thimble-rounded-up']],
    ['7.72', { at: 7.75 }, ['over-tightened']],
  ])('%s', (text, changed, expected) => {
    expect(codes(text, changed)).toEqual(expected);
  });

  it('lets a plain one be estimated where the class does', () => {
    const physics = { ...presetNamed('Physics bench'), leastCount: 'screw-to-thousandth' as const };
    expect(checkReading(micrometer, setting, physics, '7.751', 'mm').outcome).toBe('right');
    expect(checkReading(micrometer, setting, physics, '7.75', 'mm').outcome).toBe('wrong');
  });
});
