import type { Investigation } from '../investigation';
import { clearUp, derived, given, measured, plain } from './plain';

/** A thermometer in melting ice and in boiling water, and what it says of the room. */
export const thermometerCheck: Investigation = {
  ...plain,
  title: 'Thermometer: ice, room and boiling water',
  aim: 'Find how far a thermometer is off in melting ice and in boiling water, and correct with a line what it says of the room.',
  minutes: 60,
  level: 'usual',
  object: 'thermometer',
  route:
    'Two temperatures are known without any thermometer: melting ice, and water that boils at today’s pressure.',
  kit: [
    { tag: 'T-01', kind: 'thermometer', model: 'thermometer-1' },
    { tag: 'T-02', kind: 'thermometer', model: 'thermometer-0_5' },
  ],
  steps: [
    {
      text: 'Heat water on the hot plate. Meanwhile: crushed ice, packed tight, a little water; T-01 in it until it stands still.',
      waitMinutes: 5,
      precaution: 'More ice than water, the bulb in the middle and not on the base.',
    },
    {
      text: 'T-01 in water that boils throughout, clamped. Your teacher writes today’s boiling point: it follows from the pressure of this place.',
      precaution: 'The bulb clear of the base; the base is hotter.',
      caution: 'Boiling water and hot plate: clamp, tongs, no reaching over. A hot plate looks cold.',
    },
    {
      text: 'Both thermometers side by side in water that has stood in the room. Read both, twice.',
      waitMinutes: 3,
    },
    clearUp,
  ],
  tables: [
    {
      key: 'fixed',
      title: 'Known temperatures',
      trials: 6,
      rows: [
        { key: 'ice', name: 'Melting ice' },
        { key: 'boiling', name: 'Boiling water' },
      ],
      columns: [
        measured('shown', 'Thermometer T-01', 't', '°C', 'T-01'),
        given('true', 'Temperature', 't_0', '°C', [
          { value: '0.00', plusMinus: '0.05', source: 'melting ice' },
          { value: '99.6', plusMinus: '0.1', source: 'boiling point at today’s pressure' },
        ]),
        derived('off', 'Shown less true', 'e', '°C', 'shown - true'),
      ],
    },
    {
      key: 'room',
      title: 'Room',
      trials: 2,
      columns: [
        measured('here', 'Thermometer T-01', 't', '°C', 'T-01'),
        measured('other', 'Thermometer T-02', 't_2', '°C', 'T-02'),
        derived('apart', 'T-01 less T-02', 'Δt', '°C', 'here - other'),
      ],
    },
  ],
  results: [
    {
      kind: 'mean',
      key: 'off',
      name: 'Shown less true',
      symbol: 'e',
      unit: '°C',
      column: 'off',
      accepted: null,
      perRow: 'fixed',
    },
    {
      kind: 'line',
      key: 'degree',
      name: 'One degree of this thermometer',
      symbol: 'b',
      unit: '°C/°C',
      x: 'shown',
      y: 'true',
      throughOrigin: false,
      gives: 'slope',
      accepted: null,
    },
    {
      kind: 'mean',
      key: 'apart',
      name: 'T-01 less T-02 in the room',
      symbol: 'Δt',
      unit: '°C',
      column: 'apart',
      accepted: null,
    },
  ],
  questions: [
    {
      key: 'hundred',
      when: 'before',
      kind: 'statement',
      text: 'Water boils at 100 °C.',
    },
    {
      key: 'trust',
      when: 'after',
      kind: 'text',
      text: 'The two thermometers part in the room. Which do you believe, and what would you write in the logbook of the next experiment?',
    },
  ],
  causes: ['bulb-on-base', 'eye-height'],
};
