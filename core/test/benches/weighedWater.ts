import { type Rows } from '../../src/world';
import { mean, type Rule } from '../byRule';
import { at, get } from './case';

/** Grams that a balance shows for a millilitre at a temperature; with buoyancy, and glass of 20 °C (ISO 4787). */
export const waterAt = (rows: Rows, { buoyancy }: Rule): number => {
  const t = mean(at(rows, 't'));
  const density =
    (0.99997495 * (522528.9 * (t + 69.34881) - (t - 3.983035) ** 2 * (t + 301.797))) /
    (522528.9 * (t + 69.34881));
  const air = get(rows, 'air', 0);
  return air + (buoyancy ? (density - 0.0012) / (1 - 0.0012 / 8) / (1 - 1e-5 * (t - 20)) : density);
};
/** What is not counted with it, in g/mL: the air, or what is dissolved in the water. */
export const leftOut = [
  { column: 'air', rows: [0], bound: ({ buoyancy }: Rule) => (buoyancy ? 2e-5 : 1.1e-3) },
];
/** At 20 °C, as the balance shows it. */
export const shownPerMl = (0.9982067 - 0.0012) / (1 - 0.0012 / 8);
