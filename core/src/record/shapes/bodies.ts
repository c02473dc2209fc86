import type { Column, Investigation, KitItem } from '../investigation';
import { clearUp, density, derived, measured, plain } from '../readyMade/plain';

const balance: KitItem = { tag: 'balance', kind: 'electronic-balance', model: 'electronic-0_01' };
const caliper: KitItem = { tag: 'caliper', kind: 'vernier-caliper', model: 'vernier-20-39', offset: '0.05' };

/** A body whose volume follows from lengths that a caliper takes. */
function fromLengths(
  title: string,
  aim: string,
  lengths: readonly (readonly [key: string, heading: string, symbol: string])[],
  volume: string,
  how: string,
): Investigation {
  const columns: Column[] = [
    measured('mass', 'Mass', 'm', 'g', 'balance', { carried: true }),
    ...lengths.map(([key, heading, symbol]) => measured(key, heading, symbol, 'mm', 'caliper')),
    derived('V', 'Volume', 'V', 'cm³', volume),
    derived('rho', 'Density', 'ρ', 'g/cm³', 'mass / V'),
  ];
  return {
    ...plain,
    title,
    aim,
    object: '',
    kit: [balance, caliper],
    steps: [
      { text: 'Weigh the dry object.', precaution: 'Set the balance to zero with nothing on it.' },
      {
        text: `Close the caliper on nothing and note its zero error. ${how}`,
        precaution: 'At another place for each trial; a zero error left in shifts every length.',
      },
      clearUp,
    ],
    tables: [{ key: 'trials', title: 'Trials', trials: 4, columns }],
    results: [density('rho', null)],
    causes: ['zero-error-left', 'not-square', 'jaws-askew'],
  };
}

export const box = fromLengths(
  'Density of a box',
  'Find the density of a box from its mass and its three sides.',
  [
    ['L', 'Length', 'L'],
    ['W', 'Width', 'W'],
    ['H', 'Height', 'H'],
  ],
  'L * W * H',
  'Measure all three sides.',
);

export const cylinder = fromLengths(
  'Density of a cylinder',
  'Find the density of a cylinder from its mass, diameter and length.',
  [
    ['d', 'Diameter', 'd'],
    ['L', 'Length', 'L'],
  ],
  'π * d^2 / 4 exact * L',
  'Measure diameter and length, turned a quarter further each time.',
);

export const sphere = fromLengths(
  'Density of a ball',
  'Find the density of a ball from its mass and its diameter.',
  [['d', 'Diameter', 'd']],
  'π * d^3 / 6 exact',
  'Measure the diameter, turned further each time: it is largest across.',
);

export const prism = fromLengths(
  'Density of a six-sided prism with a bore',
  'Find the density of a hexagonal prism with a bore, such as a nut.',
  [
    ['w', 'Across the flats', 'w'],
    ['d', 'Bore', 'd'],
    ['h', 'Height', 'h'],
  ],
  '(sqrt(3 exact) / 2 exact * w^2 - π * d^2 / 4 exact) * h',
  'Measure across the flats, the bore and the height.',
);
