import { describe, expect, it } from 'vitest';
import { Decimal } from '../figures';
import { presetNamed, presets, revise } from './conventions';
import { questions } from './questions';
import { halfWidthFor, stepFor } from './steps';

const cylinder = (division: string) =>
  ({ kind: 'graduated-cylinder', model: 'any', division, reads: 'scale' }) as const;
const stepText = (preset: string, scale: Parameters<typeof stepFor>[1]) =>
  stepFor(presetNamed(preset), scale).size.toFixed();

describe('stepFor', () => {
  it.each([
    ['1', '0.1'],
    ['2', '0.1'],
    ['5', '1'],
    ['10', '1'],
    ['0.5', '0.1'],
    ['0.2', '0.01'],
    ['0.1', '0.01'],
    ['50', '10'],
  ])('written place: d %s is read to %s', (division, step) => {
    expect(stepText('Chemistry bench', cylinder(division))).toBe(step);
  });

  it.each([
    ['strict-tenth', '2', '0.2'],
    ['next-place', '5', '0.1'],
    ['next-place', '0.5', '0.01'],
    ['half', '0.5', '0.25'],
    ['nearest', '2', '2'],
    ['lower', '5', '5'],
  ] as const)('%s: d %s is read to %s', (analogueStep, division, step) => {
    const conventions = revise(presetNamed('Chemistry bench'), { analogueStep });
    expect(stepFor(conventions, cylinder(division)).size.toFixed()).toBe(step);
    expect(stepFor(conventions, cylinder(division)).judged === 'line below').toBe(analogueStep === 'lower');
  });

  it('lets an instrument override the rule', () => {
    const balance = { kind: 'three-beam-balance', model: 'any', division: '0.1', reads: 'scale' } as const;
    expect(stepText('Chemistry bench', balance)).toBe('0.1');
    const burette = { kind: 'burette', model: 'any', division: '0.1', reads: 'scale' } as const;
    expect(stepText('Chemistry bench', burette)).toBe('0.01');
    expect(stepText('Half-division', burette)).toBe('0.05');
    const tagged = revise(presetNamed('Chemistry bench'), {
      overrides: [{ kind: 'three-beam-balance', tag: 'B-02', step: '0.05' }],
    });
    expect(stepFor(tagged, { ...balance, tag: 'B-02' }).size.toFixed()).toBe('0.05');
    expect(stepFor(tagged, { ...balance, tag: 'B-03' }).size.toFixed()).toBe('0.01');
  });
});

describe('conventions', () => {
  it('answers every question in every preset with an answer that is offered', () => {
    for (const preset of presets) {
      for (const [key, { answers }] of Object.entries(questions)) {
        expect(Object.keys(answers)).toContain(preset[key as keyof typeof questions]);
      }
    }
    expect(new Set(presets.map(({ preset }) => preset)).size).toBe(5);
  });

  it('numbers each revision and refuses unknown answers', () => {
    const first = presetNamed('Physics bench');
    expect(revise(first, { rounding: 'half-even' })).toMatchObject({
      version: 2,
      rounding: 'half-even',
      preset: 'Physics bench',
    });
    expect(() => revise(first, { rounding: 'upward' as never })).toThrow(RangeError);
    expect(() => presetNamed('Nobody')).toThrow(RangeError);
  });

  it.each([
    ['half-division', '0.5'],
    ['tenth-division', '0.1'],
    ['one-division', '1'],
    ['step', '0.1'],
    ['tolerance', '0.7'],
  ] as const)('half-width by %s of d 1 is %s', (halfWidth, text) => {
    const conventions = revise(presetNamed('Chemistry bench'), { halfWidth });
    expect(halfWidthFor(conventions, cylinder('1'), new Decimal('0.7')).toFixed()).toBe(text);
  });
});
