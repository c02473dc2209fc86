import type { Investigation } from '../investigation';
import { clearUp, density, derived, measured, plain, displacement } from './plain';

/** A second displacement, on an electronic balance that a connected one can write into; the student works it by hand. */
export const shackleRing: Investigation = {
  ...plain,
  title: 'Shackle ring: stainless or not?',
  aim: 'Find the density of a shackle ring by displacement, weighed on an electronic balance. Work volume and density yourself.',
  minutes: 45,
  level: 'usual',
  object: 'shackle ring',
  route: 'A bent ring has no dimensions that are easy to measure.',
  kit: [
    { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
    { tag: 'C-04', kind: 'graduated-cylinder', model: 'cylinder-50-1' },
  ],
  steps: [
    {
      text: 'Set E-03 to zero with nothing on it, the door shut. Weigh the dry ring and write every digit.',
      precaution: 'Moving air and water on the ring both change the mass that is shown.',
    },
    {
      text: 'Fill C-04 to about half, read the level, tilt it, slide the ring in and read again.',
      precaution: 'No splash and no bubble: water lost or air held changes the volume.',
      caution: 'A metal piece dropped in cracks the glass. Slide it. Broken glass: no bare hands.',
    },
    { text: 'Dry the ring. Do it again, at least three times in all.' },
    clearUp,
  ],
  tables: [
    {
      key: 'ring',
      title: 'Trials',
      trials: 3,
      columns: [
        measured('mass', 'Mass of the ring', 'm', 'g', 'E-03'),
        ...displacement('C-04', 'student'),
        derived('rho', 'Density', 'ρ', 'g/cm³', 'mass / V', { by: 'student' }),
      ],
    },
  ],
  results: [density('rho', { value: '7.9', unit: 'g/cm³', source: 'a table: stainless steel 7.7 to 8.0' })],
  questions: [
    {
      key: 'tell',
      when: 'after',
      kind: 'text',
      text: 'Could the ring be plain steel (7.85 g/cm³)? Compare within the uncertainty.',
    },
  ],
  causes: ['wet-when-weighed', 'bubble', 'splash', 'eye-height', 'not-covered'],
  model: {
    cells: { mass: '62.48', before: '21.4', after: '29.3', V: '7.9', rho: '7.9' },
    words: 'Two figures are left of the volume after subtracting, so the density has two.',
  },
};
