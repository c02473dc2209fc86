import { describe, expect, it } from 'vitest';
import { masteryOf, missingSkill, readersMark, suggest, type FirstTry } from './evidence';

const attempt = (right: boolean, code = '', divisionsOff: number | null = 0): FirstTry => ({
  kind: 'graduated-cylinder',
  right,
  codes: code ? [code] : [],
  missing: code ? [missingSkill('graduated-cylinder', { code })] : [],
  divisionsOff,
});
const kind = 'graduated-cylinder';

describe('masteryOf', () => {
  it.each([
    ['nothing', [], 'not seen yet'],
    ['one right', [attempt(true)], 'begun'],
    ['two right', [attempt(true), attempt(true)], 'begun'],
    ['one wrong', [attempt(false)], 'shaky'],
    ['four right', Array.from({ length: 4 }, () => attempt(true)), 'steady'],
    [
      'one slip among many',
      [attempt(true), attempt(true), attempt(false, 'next-label'), attempt(true), attempt(true)],
      'steady',
    ],
    [
      'one fault twice',
      [
        attempt(true),
        attempt(false, 'top-of-meniscus'),
        attempt(true),
        attempt(false, 'top-of-meniscus'),
        attempt(true),
      ],
      'shaky',
    ],
    [
      'old faults fade',
      [
        ...Array.from({ length: 6 }, () => attempt(true)),
        attempt(false, 'next-label'),
        attempt(false, 'next-label'),
      ],
      'steady',
    ],
  ])('%s', (_, tries, state) => {
    expect(masteryOf(kind, tries).state).toBe(state);
  });

  it('gives the reason', () => {
    const fault = attempt(false, 'top-of-meniscus');
    expect(masteryOf(kind, [fault, fault, attempt(true)]).reason).toBe(
      'top of meniscus twice in your last 3',
    );
  });
});

describe('readersMark', () => {
  it('is the mean and spread of the errors, wild ones held', () => {
    expect(readersMark(kind, [attempt(true, '', 1), attempt(true, '', 2), attempt(false, '', 3)])).toEqual({
      bias: 2,
      spread: 1,
      n: 3,
    });
    expect(readersMark(kind, [attempt(false, '', 90), attempt(false, '', null)])).toBeNull();
    expect(
      readersMark(
        kind,
        [90, 90, 90].map((off) => attempt(false, '', off)),
      )?.bias,
    ).toBe(5);
  });
});

it('suggests shaky before new before steady', () => {
  const skill = (name: string, state: 'shaky' | 'steady' | 'not seen yet') => ({
    kind: name,
    state,
    reason: '',
    tries: 1,
  });
  expect(suggest([skill('a', 'steady'), skill('b', 'not seen yet'), skill('c', 'shaky')])?.kind).toBe('c');
  expect(suggest([skill('a', 'steady'), skill('b', 'not seen yet')])?.kind).toBe('b');
  expect(suggest([])).toBeUndefined();
});
