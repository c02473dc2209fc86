import { describe, expect, it } from 'vitest';
import { presetNamed } from '../conventions';
import { parseReading } from '../figures';
import { inParts, ruler, type RulerSetting } from '../instruments';
import { checkReading } from '../reading';

const rules = presetNamed('Chemistry bench');
const onRuler = (to: number, from = 0): RulerSetting => ({
  kind: 'ruler',
  model: 'ruler-sixteenths',
  from,
  to,
  eyeMm: 0,
});
const outcome = (setting: RulerSetting, text: string, unit = 'in') =>
  checkReading(ruler, setting, rules, text, unit).outcome;

describe('a fraction of an inch', () => {
  it.each([
    ['4 9/16', '4.5625', 16, ''],
    ['9/16 in', '0.5625', 16, 'in'],
    ['4-9/16 in', '4.5625', 16, 'in'],
    ['4\u20099⁄16', '4.5625', 16, ''],
    ['12 1/2', '12.5', 2, ''],
    ['0/16', '0', 16, ''],
    ['3 31/32', '3.96875', 32, ''],
  ])('%s is %s', (text, value, fractionOf, unitText) => {
    const parsed = parseReading(text);
    expect(parsed.ok && parsed.number.value.toString()).toBe(value);
    expect(parsed).toMatchObject({ ok: true, number: { fractionOf, unitText } });
  });

  it.each(['4 9/10', '9/', '4 9 / 16 / 2', '4.5 9/16', '9/16/16', '1/3'])('%s is none', (text) =>
    expect(parseReading(text).ok).toBe(false),
  );

  it('of a whole or more is asked about', () => {
    const parsed = parseReading('4 17/16');
    expect(parsed).toMatchObject({
      ok: false,
      problem: { message: '17/16 is a whole or more: write the whole before it.' },
    });
  });

  it('is judged exactly: the nearest sixteenth is right, reduced or not, and no other', () => {
    // 4.575 in is 73.2 sixteenths: the nearest is 73/16 = 4 9/16.
    expect(outcome(onRuler(4.575), '4 9/16')).toBe('right');
    expect(outcome(onRuler(4.575), '4 10/16')).toBe('wrong');
    expect(outcome(onRuler(4.575), '4 5/8')).toBe('wrong');
    expect(outcome(onRuler(4.575), '4 1/2')).toBe('wrong');
    // Dead on a line, its fraction in lowest terms.
    expect(outcome(onRuler(4.5), '4 1/2')).toBe('right');
    expect(outcome(onRuler(4.5), '4 8/16')).toBe('right');
    expect(outcome(onRuler(4.5), '4 7/16')).toBe('wrong');
  });

  it('half-way between two lines either is right, and half a space may be written', () => {
    // 146.5 thirty-seconds … 4 + 9.5/16 = 4.59375.
    for (const text of ['4 9/16', '4 10/16', '4 19/32'])
      expect(outcome(onRuler(4.59375), text)).toBe('right');
    // 4 19/32 claims half of a half space: at 4 9/16 the pointer is a whole half away.
    expect(outcome(onRuler(4.5625), '4 19/32')).toBe('wrong');
    expect(outcome(onRuler(4.5625), '4 37/64')).toBe('wrong');
  });

  it('of a length that begins between lines is made of two readings', () => {
    // From 1 3/16 + 0.4 of a space to 3 10/16 + 0.3: 38.9 spaces; 39/16 = 2 7/16, and 38/16 as the two nearest lines have it.
    const setting = onRuler((58 + 0.3) / 16, (19 + 0.4) / 16);
    expect(outcome(setting, '2 7/16')).toBe('right');
    expect(outcome(setting, '2 3/8')).toBe('right');
    expect(outcome(setting, '2 1/4')).toBe('wrong');
  });

  it('is refused in words where nothing is divided so', () => {
    const verdict = checkReading(ruler, { ...onRuler(40), model: 'ruler-mm' }, rules, '4 9/16', 'in');
    expect(verdict).toMatchObject({
      outcome: 'unreadable',
      problem: {
        message:
          'Write it with decimals, 4.5625: only a rule that is divided in sixteenths is read in fractions.',
      },
    });
  });

  it.each([
    [4.575, '4 9/16'],
    [4.5, '4 1/2'],
    [0.74, '3/4'],
    [2.99, '3'],
    [0.01, '0'],
  ])('%d in is written %s', (inches, text) => expect(inParts(inches, 1 / 16)).toBe(text));
});
