import type { Investigation } from '../investigation';
import { clearUp, density, derived, measured, plain } from './plain';

/** A liquid by difference, as running totals against the empty vessel, with the slope besides. */
export const lampOil: Investigation = {
  ...plain,
  title: 'Lamp oil: mass against volume',
  aim: 'Find the density of old lamp oil from more and more of it in one cylinder: trial by trial, and as the slope of a line.',
  minutes: 45,
  level: 'first',
  object: 'lamp oil',
  route:
    'A slope does not mind what the empty vessel weighs: whatever shifts all masses goes to the intercept.',
  kit: [
    { tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_01' },
    { tag: 'C-07', kind: 'graduated-cylinder', model: 'cylinder-100-1' },
  ],
  steps: [
    {
      text: 'Weigh the dry, empty cylinder three times, lifting it off in between.',
      precaution: 'Every trial uses this mass: it is worth three weighings.',
    },
    {
      text: 'Pour in some oil. Weigh, and read the level. Add more, and do it again, five times.',
      precaution: 'Wipe drips off the outside; wait until the wall has drained.',
      caution: 'Lamp oil burns: no flames. Spilt oil is slippery; wipe it up.',
    },
    {
      text: 'Pour the oil back into its bottle.',
      caution: 'Not into the sink: waste goes where your school says.',
    },
    clearUp,
  ],
  tables: [
    {
      key: 'vessel',
      title: 'Empty cylinder',
      trials: 3,
      columns: [measured('empty', 'Mass of the empty cylinder', 'm_0', 'g', 'E-03')],
    },
    {
      key: 'fill',
      title: 'With oil',
      trials: 5,
      columns: [
        measured('M', 'Mass with oil', 'M', 'g', 'E-03', { differs: true }),
        measured('V', 'Volume of oil', 'V', 'mL', 'C-07', { differs: true }),
        derived('m', 'Mass of oil', 'm', 'g', 'M - empty', { rises: true }),
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
      y: 'M',
      throughOrigin: false,
      gives: 'slope',
      quantity: 'density',
      accepted: { value: '0.80', unit: 'g/cm³', source: 'a table: lamp oil 0.78 to 0.82' },
    },
    density('rho', null, { name: 'Density, trial by trial', quantity: 'density' }),
  ],
  questions: [
    {
      key: 'float',
      when: 'after',
      kind: 'floats',
      text: 'Pour a little on water: does this oil float?',
    },
  ],
  causes: ['film', 'outside-wet', 'balance-changed', 'curve-top', 'evaporated'],
};
