import { glasswareThreeWays } from '../../src/record/readyMade';
import { byRows, each, get, rising, same, type Case, whole } from './case';
import { hundredths, thermometer } from './pieces';
import { leftOut, shownPerMl, waterAt } from './weighedWater';

/** Four jars of each of three vessels: 20.02 mL, 19.7 mL and 20.9 mL, at 20 °C. */
const jars = { burette: 20.02, cylinder: 19.7, beaker: 20.9 };
const perJar = [jars.burette, jars.cylinder, jars.beaker].flatMap((volume) => same(volume, 4));
const jarCase = (row: keyof typeof jars, from: number, scatter: number): Case => ({
  name: `Glassware three ways, ${row}`,
  investigation: glasswareThreeWays,
  plan: `V.${row}`,
  value: jars[row],
  pieces: { 'E-03': hundredths, 'T-02': thermometer },
  readOn: { t: 'T-02', dry: 'E-03', full: 'E-03' },
  tolerances: [...whole('E-03', 'full'), ...whole('T-02', 't')],
  truth: () => ({
    t: same(20, 2),
    air: [0],
    dry: rising(14.33, 0.11, 12),
    full: perJar.map((volume, at_) => 14.33 + 0.11 * at_ + volume * shownPerMl),
  }),
  scatters: { full: same(1, 12) },
  classroomScatter: scatter,
  meansOf: ['t'],
  given: leftOut,
  ...byRows((rows, rule) =>
    each(rows, 'full', (full, at_) => (full - get(rows, 'dry', at_)) / waterAt(rows, rule)).slice(
      from,
      from + 4,
    ),
  ),
});
export const glasswareThreeWaysCases: readonly Case[] = [
  jarCase('burette', 0, 0.03),
  jarCase('cylinder', 4, 0.2),
  jarCase('beaker', 8, 0.6),
];
