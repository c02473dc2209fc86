import { describe, expect, it } from 'vitest';
import { presetNamed } from '../conventions';
import { checkReading } from '../reading';
import { displayed, electronicBalance, stableAfterSeconds, type ElectronicBalanceSetting } from '.';

const setting = (rest: Partial<ElectronicBalanceSetting> = {}): ElectronicBalanceSetting => ({
  kind: 'electronic-balance',
  model: 'electronic-0_01',
  contentsGrams: 52.4,
  vesselGrams: 0,
  residueGrams: 0,
  tared: 'pan',
  draughtGrams: 0.12,
  doorOpen: false,
  seconds: stableAfterSeconds,
  task: 'straight',
  flaw: 'none',
  flawGrams: 0,
  mended: false,
  hops: false,
  ...rest,
});
const codes = (rest: Partial<ElectronicBalanceSetting>, text: string, unit = 'g') => {
  const verdict = checkReading(electronicBalance, setting(rest), presetNamed('Chemistry bench'), text, unit);
  return verdict.outcome === 'wrong'
    ? verdict.explanations.map((causes) => causes.map(({ code }) => code).join(' + '))
    : [verdict.outcome];
};
const vessel = { vesselGrams: 31.25 };

describe('an electronic balance, 0.01 g', () => {
  it.each([
    [{}, '52.40', ['right']],
    [{}, '0.05240 kg', ['right']],
    [{}, '52.4', ['dropped-trailing-zero']],
    [{}, '52.400', ['extra-digit']],
    [{}, '52.40 kg', ['unit-slip']],
    [{ doorOpen: true }, '52.52', ['read-while-settling']],
    [{ residueGrams: 0.2, tared: 'nothing' }, '52.60', ['empty-pan-not-zero']],
    [{ flaw: 'wet', flawGrams: 0.4 }, '52.80', ['weighed-wet']],
    [{ flaw: 'warm', flawGrams: -0.3 }, '52.10', ['weighed-warm']],
    [{ flaw: 'off-centre', flawGrams: 0.2 }, '52.60', ['weighed-off-centre']],
    [{ flaw: 'wet', flawGrams: 0.4, mended: true }, '52.40', ['right']],
    [{ hops: true }, '52.40', ['right']],
    [{ hops: true }, '52.41', ['right']],
    [{ hops: true }, '52.42', []],
    [{ hops: true }, '52.39', []],
    [{ ...vessel, task: 'difference' }, '52.40', ['right']],
    [{ ...vessel, task: 'difference' }, '83.65', ['container-included']],
    [{ ...vessel, task: 'tare', tared: 'vessel' }, '52.40', ['right']],
    [{ ...vessel, task: 'tare', tared: 'vessel' }, '21.15', ['container-tared-and-subtracted']],
    [{ ...vessel, task: 'tare', tared: 'pan' }, '83.65', ['container-included']],
  ] as const)('%j read as %s', (rest, text, expected) => {
    expect(codes(rest, text)).toEqual(expected);
  });

  it('settles to what lies on it, rounded to its last digit', () => {
    expect(displayed(52.404, 0.01, stableAfterSeconds)).toBe(52.4);
    expect(displayed(52.404, 0.01, 0)).toBe(0);
    expect(displayed(52.404, 0.01, 1)).toBeLessThan(52.4);
  });

  it('takes only what hands can do', () => {
    const hands = { load: 2, zeroed: 1, doorOpen: false, seconds: 9, mended: true };
    expect(electronicBalance.handle(setting(), hands)).toMatchObject({ tared: 'pan', seconds: 9 });
    expect(() => electronicBalance.handle(setting(), { ...hands, load: 1 })).toThrow(/not on the pan/);
    expect(() => electronicBalance.handle(setting(), { ...hands, zeroed: 3 })).toThrow(/whole load/);
    expect(() => electronicBalance.handle(setting(), { ...hands, load: 3 })).toThrow(
      /more than this balance/,
    );
  });
});
