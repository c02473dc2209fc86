import { describe, expect, it } from 'vitest';
import { presetNamed } from '../../conventions';
import { rows } from '../../../test/entry';
import { checkInvestigation } from '../checkInvestigation';
import { outcomeOf } from '../outcome';
import { tableOf } from '../table';
import { shapes } from '.';

const bench = presetNamed('Chemistry bench');

describe('shapes', () => {
  it.each(shapes.map((shape) => [shape.name, shape] as const))(
    '%s can be set as it stands',
    (_, { body }) => {
      expect(checkInvestigation(body)).toEqual([]);
      expect(body.results.every(({ accepted }) => accepted === null)).toBe(true);
      expect(body.steps.length).toBeGreaterThan(1);
      // It speaks of no thing of ours.
      expect(JSON.stringify(body)).not.toMatch(/\b(pin|bush|sleeve|rivets?|brine from|museum)\b/i);
    },
  );

  it('have keys and names of their own', () => {
    expect(new Set(shapes.map(({ key }) => key)).size).toBe(shapes.length);
    expect(new Set(shapes.map(({ name }) => name)).size).toBe(shapes.length);
  });

  it.each([
    // 20·30·50 mm = 30 cm³ of 81 g; π·20²/4·50 = 15.708 cm³ of 42.41 g; π·30³/6 = 14.137 cm³ of 38.17 g.
    ['box', 'mass L W H', '81.00 50.00 30.00 20.00', 2.7],
    ['cylinder', 'mass d L', '42.41 20.00 50.00', 42.41 / (Math.PI * 5)],
    ['sphere', 'mass d', '38.17 30.00', 38.17 / (Math.PI * 4.5)],
    // A nut: (√3/2·19² − π·10²/4)·8 mm = 1872.8 mm³ of 14.70 g.
    [
      'hexagon',
      'mass w d h',
      '14.70 19.00 10.00 8.00',
      14.7 / (((Math.sqrt(3) / 2) * 361 - Math.PI * 25) * 0.008),
    ],
  ])('a %s has the density that one works by hand', (key, columns, texts, density) => {
    const { body } = shapes.find((shape) => shape.key === key)!;
    const [state] = outcomeOf(body, tableOf(rows(body, columns, texts)), bench).results;
    if (state?.state !== 'reckoned') throw new Error(state?.why);
    expect(state.result.value.value.toNumber()).toBeCloseTo(density, 12);
  });
});
