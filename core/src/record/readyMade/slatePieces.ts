import type { Investigation } from '../investigation';
import { clearUp, density, derived, measured, plain, displacement } from './plain';

/** One material in pieces of many sizes: is bigger denser? */
export const slatePieces: Investigation = {
  ...plain,
  title: 'Slate in pieces: is bigger denser?',
  aim: 'Find the density of five pieces of one slate, from small to large, and lay a line through mass against volume.',
  minutes: 60,
  level: 'usual',
  object: 'pieces of slate',
  route: 'If all lie on one line through the origin, the material has one density whatever the size.',
  kit: [
    { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
    { tag: 'C-07', kind: 'graduated-cylinder', model: 'cylinder-100-1' },
  ],
  steps: [
    {
      text: 'Weigh each piece dry.',
      precaution: 'Slate soaks up water: weigh before it gets wet.',
      caution: 'Edges of slate are sharp.',
    },
    {
      text: 'Read C-07, slide the piece in, read again.',
      precaution: 'Cover it wholly; tap bubbles off.',
      caution: 'Slide it, or the glass cracks.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'pieces',
      title: 'Pieces',
      trials: 5,
      rows: ['A', 'B', 'C', 'D', 'E'].map((name) => ({ key: name.toLowerCase(), name: `Piece ${name}` })),
      columns: [
        measured('m', 'Mass', 'm', 'g', 'E-03'),
        ...displacement('C-07'),
        derived('rho', 'Density', 'ρ', 'g/cm³', 'm / V'),
      ],
    },
  ],
  results: [
    {
      kind: 'line',
      key: 'slope',
      name: 'Density as a slope',
      symbol: 'b',
      unit: 'g/cm³',
      x: 'V',
      y: 'm',
      throughOrigin: true,
      gives: 'slope',
      quantity: 'density',
      accepted: { value: '2.8', unit: 'g/cm³', source: 'a table: slate 2.7 to 2.9' },
    },
    density('rho', null, { name: 'Density, piece by piece', quantity: 'density' }),
  ],
  questions: [
    {
      key: 'bigger',
      when: 'before',
      kind: 'statement',
      text: 'The largest piece is the densest.',
    },
    {
      key: 'small',
      when: 'after',
      kind: 'text',
      text: 'The smallest piece lies farthest from the others. Another slate, or the cylinder? How do you know?',
    },
  ],
  causes: ['soaks', 'bubble', 'not-covered', 'eye-height'],
};
