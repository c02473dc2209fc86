import { describe, expect, it, vi } from 'vitest';
import { presetNamed, seeded } from '..';
import { byRule, rules } from '../../test/byRule';
import { ownCases, readyMadeCases } from '../../test/benches';
import { coverage, limits, stated } from '../../test/coverage';
import { plannedResults } from '../record/namedRows';
import { readyMade } from '../record/readyMade';
import { classroom, matched, observe } from '.';

const cases = [...readyMadeCases, ...ownCases];
const few = 200;
// Two hundred logbooks of a long table take their time on a busy machine.
vi.setConfig({ testTimeout: 240_000 });

it('every result that comes with the app is among those that are looked at', () => {
  expect(readyMadeCases.map(({ investigation, plan }) => `${investigation.title}: ${plan}`).sort()).toEqual(
    readyMade.flatMap((what) => plannedResults(what).map(({ plan }) => `${what.title}: ${plan.key}`)).sort(),
  );
});

describe('a stated 95 % holds the truth at least as often', () => {
  for (const [at, of] of cases.entries())
    it(of.name, () => {
      for (const world of ['matched', 'classroom'] as const) {
        const { held, ratio } = coverage(of, world, few, 100 + at);
        const { least, low, high } = limits(of, world, true);
        expect(held, world).toBeGreaterThanOrEqual(least);
        expect(ratio, world).toBeGreaterThanOrEqual(low);
        expect(ratio, world).toBeLessThanOrEqual(high);
      }
    });
});

describe('a stated ± is what the rule of the class gives, worked another way', () => {
  for (const [name, rule] of Object.entries(rules))
    it(name, () => {
      for (const of of cases) {
        const rows = observe(of, classroom, of.classroomScatter, seeded(5));
        const { uncertainty } = stated(of, rows, presetNamed(name));
        expect((uncertainty ?? NaN) / byRule(of, rows, rule), of.name).toBeCloseTo(1, 9);
      }
    });
});

describe('a world', () => {
  const [pin] = readyMadeCases;
  if (!pin) throw new Error('There are no cases.');

  it('gives the same logbook for the same seed, and another for another', () => {
    const once = observe(pin, classroom, 0.1, seeded(3));
    expect(observe(pin, classroom, 0.1, seeded(3))).toEqual(once);
    expect(observe(pin, classroom, 0.1, seeded(4))).not.toEqual(once);
  });

  it('is read to the step in a classroom, and not rounded where everything is as budgeted', () => {
    const inSteps = (value: number) => Math.abs(value * 10 - Math.round(value * 10)) < 1e-9;
    expect(
      Object.values(observe(pin, classroom, 0.1, seeded(3)))
        .flat()
        .every(inSteps),
    ).toBe(true);
    expect(
      Object.values(observe(pin, matched, 0.1, seeded(3)))
        .flat()
        .some(inSteps),
    ).toBe(false);
  });

  it('errs by no more than its bounds where nothing scatters', () => {
    // A habit of at most half a division, and a tolerance of half a millilitre on the second mark.
    for (let seed = 0; seed < 300; seed += 1) {
      const { before = [], after = [] } = observe(pin, matched, 0, seeded(seed));
      for (const value of before) expect(Math.abs(value - 50.3)).toBeLessThanOrEqual(0.5);
      for (const value of after) expect(Math.abs(value - 70.3)).toBeLessThanOrEqual(1);
    }
  });

  it('keeps what moved where portions run into one vessel', () => {
    const receiver = ownCases.find(({ running }) => running);
    if (!receiver) throw new Error('There is none.');
    const still = {
      ...receiver,
      pieces: { 'E-03': { ...receiver.pieces['E-03']!, halfWidth: 0, tolerance: 0 } },
    };
    const { M = [] } = observe(still, matched, 1, seeded(8));
    const portions = M.slice(1).map((mass, row) => mass - (M[row] ?? 0) - 10);
    // Each portion scatters by itself by 1 g, so that the mass after five of them does by √5.
    expect(Math.max(...portions.map(Math.abs))).toBeLessThan(4);
    expect(M[5]).toBeCloseTo(100 + M[0]! - 50 + portions.reduce((sum, own) => sum + own, 0), 9);
  });
});
