import { describe, expect, it } from 'vitest';
import { compared } from './judged';
import type { Group } from './observation';
import { together, usualWay, type Gathered } from './together';

const group = (key: string, values: readonly string[], rest: Partial<Group> = {}): Group => ({
  key,
  name: key,
  reference: null,
  step: 0,
  observations: values.map((value, at) => ({ value, trial: at + 1, book: key })),
  ...rest,
});
const of = (unit: string, own: Group, source = own.key): Gathered => ({ unit, group: own, source });

const burette = of(
  'mL',
  group('burette', ['20.02', '19.98'], {
    reference: { value: '20', u: 0.002, tolerance: '0.05' },
    step: 0.01,
  }),
);
const jar = of(
  'cm³',
  group('jar', ['49.5', '50.5'], { reference: { value: '50', tolerance: '1' }, step: 0.5 }),
);
const rod = of('mm', group('rod', ['101', '99'], { reference: { value: '-100' }, step: 1 }));
const drift = of('divisions', group('drift', ['0.2'], { reference: { value: '0' }, step: 0.1 }));
const lump = of('g', group('lump', ['12.1']));
const values = ({ observations }: Group) => observations.map(({ value }) => value);

describe('groups from anywhere', () => {
  it('stand in the unit of the first, with what they are held against', () => {
    const litres = of(
      'L',
      group('flask', ['0.02005'], { reference: { value: '0.02', u: 1e-5, tolerance: '0.0001' } }),
    );
    const { comparison, apart } = together([burette, litres], 'values');
    expect(apart).toEqual([]);
    expect(comparison.unit).toBe('mL');
    // 0.02005 L is 20.05 mL; ± 0.01 mL, promised to 0.1 mL.
    expect(comparison.groups[1]).toMatchObject({ reference: { value: '20', u: 0.01, tolerance: '0.1' } });
    expect(values(comparison.groups[1]!)).toEqual(['20.05']);
  });

  it('that should be different are compared by their errors', () => {
    expect(usualWay([burette, jar])).toBe('errors');
    const [first, second] = together([burette, jar], 'errors').comparison.groups;
    expect([values(first!), values(second!)]).toEqual([
      ['0.02', '-0.02'],
      ['-0.5', '0.5'],
    ]);
    expect(second).toMatchObject({ reference: { value: '0', tolerance: '1' }, step: 0.5 });
  });

  it('that measure different things are compared in percent of what they should be', () => {
    expect(usualWay([burette, rod])).toBe('percent');
    const { comparison } = together([burette, rod], 'percent');
    expect(comparison.unit).toBe('%');
    const [first, second] = comparison.groups;
    // 0.02 of 20 is 0.1 %, 0.01 of 20 is 0.05 %; the rod’s −100 is missed by 201 and by 199.
    expect(values(first!)).toEqual(['0.1', '-0.1']);
    expect(first).toMatchObject({ step: 0.05, reference: { value: '0', u: 0.01, tolerance: '0.25' } });
    expect(values(second!)).toEqual(['201', '199']);
    expect(second?.step).toBe(1);
  });

  it('keep what is known of a mean whose trials share readings', () => {
    const shared = of('L', group('shared', ['0.02'], { shared: { u: 0.001, df: 3 } }));
    expect(together([burette, shared], 'values').comparison.groups[1]?.shared).toEqual({ u: 1, df: 3 });
  });

  it('say of each that stands apart why', () => {
    const whys = (way: Parameters<typeof together>[1], ...own: Gathered[]) =>
      together(own, way).apart.map(({ name, why }) => `${name}: ${why}`);
    expect(whys('values', burette, lump, drift)).toEqual([
      'lump: it is in g, and the first is in mL',
      'drift: it is in divisions, and the first is in mL',
    ]);
    expect(whys('errors', lump, burette)).toEqual([
      'lump: nothing says what it should be',
      'burette: it is in mL, and the first is in g',
    ]);
    expect(whys('percent', burette, drift)).toEqual(['drift: it should be 0, of which nothing is a percent']);
    const [celsius, kelvin] = [of('°C', group('c', ['20'])), of('K', group('k', ['293']))];
    expect(whys('values', celsius, kelvin)).toEqual(['k: it is in K, and the first is in °C']);
  });

  it('of the same trials are no two groups', () => {
    const whole = group('bench', [], {
      observations: [1, 2, 3].map((trial) => ({ value: '1', trial, book: 'b' })),
    });
    const part = { ...whole, key: 'reader', name: 'reader', observations: whole.observations.slice(1) };
    const mean = { ...part, observations: [{ value: '1', book: 'b' }] };
    const left = { ...part, observations: part.observations.map((own) => ({ ...own, excluded: 'spilt' })) };
    const why = (second: Group, source = 's') =>
      together([of('g', whole, 's'), of('g', second, source)], 'values').apart[0]?.why;
    expect(why(part)).toBe('2 of its trials are in bench already');
    expect(why(mean)).toBe('one of its trials is in bench already');
    expect(why(left)).toBeUndefined();
    expect(why(part, 'another table')).toBeUndefined();
  });

  it('judge as they would have by hand', () => {
    const many = (key: string, unit: string, mark: number, off: number, scale: number) =>
      of(
        unit,
        group(
          key,
          [-2, -1, 0, 1, 2].map((step) => String(Number((mark + off + step * scale).toPrecision(10)))),
          { reference: { value: String(mark) } },
        ),
      );
    const { comparison } = together(
      [many('fine', 'mL', 20, 0, 0.01), many('coarse', 'cm³', 100, 5, 0.01)],
      'errors',
    );
    const all = compared(comparison);
    expect(all.nearest?.key).toBe('fine');
    expect(all.moreAccurate).toContainEqual(
      expect.objectContaining({ of: ['fine', 'coarse'], carried: true }),
    );
    expect(all.shown.map(({ sd }) => Number(sd?.toPrecision(5)))).toEqual([0.015811, 0.015811]);
  });

  it('are nothing where nothing was gathered', () => {
    expect(together([], usualWay([]))).toEqual({ comparison: { unit: '', groups: [] }, apart: [] });
  });
});
