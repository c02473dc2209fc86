import { describe, expect, it } from 'vitest';
import { seeded } from '../chance/random';
import { presetNamed } from '../conventions';
import { expectReading, withOptions } from '../reading';
import {
  instrumentOf,
  instruments,
  modelOf,
  type CylinderSetting,
  type Instrument,
  type RulerSetting,
  type Setting,
} from '.';

const bench = presetNamed('Chemistry bench');
const set = <S extends Setting>(
  kind: string,
  model: string,
  indicates: number,
  chosen: Record<string, string>,
): S => {
  const instrument = instrumentOf(kind);
  return withOptions(
    instrument,
    instrument.sampleSetting(modelOf(instrument, model), seeded(1), indicates),
    chosen,
  ) as S;
};
const reading = (setting: Setting) => expectReading(instrumentOf(setting.kind), setting, bench).text;

describe('what a teacher sets by hand', () => {
  it('is a reading and the zero error of a caliper or a micrometer', () => {
    // The scales show 31.46; closed they show −0.04: 31.46 − (−0.04) = 31.50.
    expect(reading(set('vernier-caliper', 'vernier-50-49', 31.46, { 'zero-error': '-0.04' }))).toBe('31.50');
    // 7.38 − 0.03 = 7.35.
    expect(reading(set('micrometer', 'micrometer-plain', 7.38, { 'zero-error': '0.03' }))).toBe('7.35');
    // What lies between two least counts is set to the nearer.
    expect(reading(set('vernier-caliper', 'vernier-50-49', 31.46, { 'zero-error': '0.05' }))).toBe('31.40');
  });

  it('is which jaws, and what is between them', () => {
    expect(set('vernier-caliper', 'vernier-50-49', 31.46, { jaws: 'the depth rod' })).toMatchObject({
      jaws: 'depth',
    });
    expect(
      set('vernier-caliper', 'vernier-50-49', 31.46, { jaws: 'the inside jaws', object: 'a cork float' }),
    ).toMatchObject({ jaws: 'outside', yields: 0.12 });
  });

  it('is the surface and the eye of glass, and leaves the reading as it is', () => {
    const setting = set<CylinderSetting>('graduated-cylinder', 'cylinder-100-1', 76.4, {
      surface: 'a dome',
      eye: 'above',
    });
    expect(setting).toMatchObject({ surface: 'convex', eyeMm: 100, levelMl: 76.4 });
    expect(reading(setting)).toBe('76.4');
  });

  it('is where a token begins, its length kept', () => {
    const setting = set<RulerSetting>('ruler', 'ruler-mm', 43.2, { begins: '20' });
    expect(setting).toMatchObject({ from: 20, to: 63.2 });
    expect(reading(setting)).toBe('43.2');
  });

  it.each([
    [
      'vernier-caliper',
      'vernier-50-49',
      { 'zero-error': '9' },
      /Reading with the jaws closed \(zero error\): 9 is beyond what can be set here. It goes from −2 to 2 mm./,
    ],
    ['vernier-caliper', 'vernier-50-49', { jaws: 'teeth' }, /none of the choices/],
    ['ruler', 'ruler-mm', { begins: 'abc' }, /It begins at: /],
    ['ruler', 'ruler-mm', { begins: '295' }, /beyond what can be set here/],
  ])('%s %s %j is refused in words', (kind, model, chosen, words) =>
    expect(() => set(kind, model, 30, chosen)).toThrow(words),
  );

  it('has a name, and leaves every setting readable, whatever is chosen', () => {
    for (const instrument of instruments as readonly Instrument[])
      for (const option of instrument.options ?? []) {
        expect(option.name).toMatch(/^[A-Z]/);
        for (const make of instrument.models)
          for (const value of 'choices' in option ? option.choices.map((choice) => choice.value) : ['0']) {
            const setting = withOptions(instrument, instrument.sampleSetting(make, seeded(2)), {
              [option.key]: value,
            });
            expect(expectReading(instrument, setting, bench).text).toMatch(/\d/);
            expect(instrument.picture(setting)).toMatchObject({ kind: instrument.kind });
          }
      }
  });
});
