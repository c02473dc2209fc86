import { portionsThreeVessels } from '../../src/record/readyMade';
import { along, byRows, each, get, neighbours, rising, same, type Case, whole } from './case';
import { hundredths, thermometer } from './pieces';
import { leftOut, shownPerMl, waterAt } from './weighedWater';

/** Portions of three vessels into a flask: five weighings of each. */
const tens = { beaker: 10.6, cylinder: 9.93, pipette: 10.01 };
const portionCase = (row: keyof typeof tens, nth: number, scatter: number): Case => ({
  name: `Portions into one flask, ${row}`,
  investigation: portionsThreeVessels,
  plan: `V.${row}`,
  value: tens[row],
  pieces: { 'E-03': hundredths, 'T-02': thermometer },
  readOn: { t: 'T-02', M: 'E-03' },
  tolerances: [...along('E-03', 'M'), ...whole('T-02', 't')],
  truth: () => ({
    t: same(20, 2),
    air: [0],
    M: Object.values(tens).flatMap((volume) => rising(85.2, volume * shownPerMl, 5)),
  }),
  scatters: { M: same(1, 15) },
  classroomScatter: scatter,
  meansOf: ['t'],
  given: leftOut,
  ...byRows((rows, rule) =>
    each(rows, 'M', (mass, at_) => (mass - get(rows, 'M', at_ - 1)) / waterAt(rows, rule)).slice(
      5 * nth + 1,
      5 * nth + 5,
    ),
  ),
  way: 'receiver',
  running: true,
  why: neighbours,
});
export const portionsThreeVesselsCases: readonly Case[] = [
  portionCase('beaker', 0, 0.5),
  portionCase('cylinder', 1, 0.08),
  portionCase('pipette', 2, 0.03),
];
