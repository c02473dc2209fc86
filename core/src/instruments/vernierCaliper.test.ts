import { describe, expect, it } from 'vitest';
import { seeded } from '../chance/random';
import { presetNamed } from '../conventions';
import { checkReading } from '../reading';
import {
  calipers,
  leastCount,
  vernierCaliper,
  vernierParts,
  type CaliperModel,
  type CaliperSetting,
} from '.';

/** Lays every line out and searches: how far each vernier line is from its nearest main line. */
function misalignments({ lines, spans, mainDivision }: CaliperModel, at: number): number[] {
  return Array.from({ length: lines + 1 }, (_, line) => {
    const place = at + (line * spans * mainDivision) / lines;
    return Math.abs(place - Math.round(place / mainDivision) * mainDivision);
  });
}

describe.each(calipers.map((model) => [model.name, model] as const))('%s', (_, model) => {
  const random = seeded(model.lines);
  const settings = Array.from(
    { length: 600 },
    () => vernierCaliper.sampleSetting(model, random) as CaliperSetting,
  );

  it('has the least count that its name promises', () => {
    const expected: Record<string, number> = {
      '10-9': 0.1,
      '10-19': 0.1,
      '20-19': 0.05,
      '20-39': 0.05,
      '50-49': 0.02,
      '25-24': 0.001,
    };
    expect(leastCount(model)).toBeCloseTo(expected[`${model.lines}-${model.spans}`] ?? NaN, 9);
  });

  it('reads the line that a search of the laid-out lines finds, whatever the zero error', () => {
    for (const { at } of settings) {
      const apart = misalignments(model, at);
      const best = apart.indexOf(Math.min(...apart));
      expect(vernierParts(model, at).line).toBe(best % model.lines);
    }
  });

  it('never gives a tie of neighbouring lines', () => {
    for (const { at } of settings) {
      // Lines 0 and N coincide together: they are one.
      const apart = misalignments(model, at).slice(0, model.lines);
      const [best = 0, second = 0] = [...apart].sort((a, b) => a - b);
      expect(second - best).toBeGreaterThan(leastCount(model) * 0.4);
    }
  });

  it('takes lines 0 and N together as line 0', () => {
    expect(vernierParts(model, 20 * model.mainDivision)).toEqual({ main: 20 * model.mainDivision, line: 0 });
  });
});

describe('a reading, 50 lines on 49 mm, 23.48 mm observed, zero error −0.06', () => {
  const setting: CaliperSetting = {
    kind: 'vernier-caliper',
    model: 'vernier-50-49',
    at: 23.48,
    size: 23.54,
    zeroError: -0.06,
    yields: 0,
    task: 'size',
    jaws: 'outside',
    closings: [-0.06],
    outOfRound: 0,
    turn: 0,
  };
  const codes = (text: string, unit = 'mm', changed: Partial<CaliperSetting> = {}) => {
    const verdict = checkReading(
      vernierCaliper,
      { ...setting, ...changed },
      presetNamed('Chemistry bench'),
      text,
      unit,
    );
    return verdict.outcome === 'wrong'
      ? verdict.explanations.map((causes) => causes.map(({ code }) => code).join(' + '))
      : [verdict.outcome];
  };

  // Line 24 coincides. 23 + 24 × 0.02 = 23.48; 23.48 − (−0.06) = 23.54.
  it.each([
    ['23.54', ['right']],
    ['2.354 cm', ['right']],
    ['23.56', ['right']],
    ['23.48', ['zero-error-ignored']],
    ['23.42', ['zero-error-reversed']],
    ['23.06', ['main-scale-only']],
    ['25.46', ['coincidence-not-scaled']],
    ['24.54', ['next-main-mark']],
    ['2.36', ['cm-mm-slip']],
    ['23.5', ['dropped-final-digit']],
    ['23.55', ['off-step']],
    ['21.54', ['jaw-edge-as-zero']],
  ])('%s', (text, expected) => {
    expect(codes(text)).toEqual(expected);
  });

  it('names a squeezed object, and refuses jaws that do not touch', () => {
    const soft = { ...setting, at: 23.24, yields: 0.3 };
    expect(codes('23.30', 'mm', soft)).toEqual(['squeezed']);
    expect(() => vernierCaliper.handle(setting, { at: 24, turn: 0 })).toThrow(/does not touch/);
    expect(vernierCaliper.handle(setting, { at: 20, turn: 0 })).toMatchObject({ at: 23.48 });
  });
});

describe('in a bore', () => {
  const [model] = calipers;
  const found = Array.from({ length: 200 }, (_, seed) => vernierCaliper.initial(model!, seeded(seed))).filter(
    ({ jaws }) => jaws === 'inside',
  );

  it('the jaws begin closer together than the walls, and are opened until they touch', () => {
    expect(found.length).toBeGreaterThan(10);
    for (const setting of found) {
      const touches = setting.size + setting.zeroError;
      expect(setting.at).toBeLessThan(touches);
      const hands = (at: number) => ({ at, turn: 0, locked: false });
      expect(() => vernierCaliper.handle!(setting, hands(touches - 1))).toThrow(/Open it until it does/);
      expect(vernierCaliper.handle!(setting, hands(touches))).toMatchObject({ at: touches });
      // Forced further, they stand where the walls are.
      expect(vernierCaliper.handle!(setting, hands(touches + 1))).toMatchObject({ at: touches });
    }
  });
});
