/** How dense a class takes water to be: 1 g/mL, by the table, or by the table with buoyancy and the expansion of glass. */
export type WaterRule = 'one' | 'table' | 'buoyancy';

/** M. Tanaka et al., Metrologia 38 (2001) 301, equation 1: air-free water at 101.325 kPa, 0 to 40 °C. */
const [a1, a2, a3, a4, a5] = [-3.983035, 301.797, 522528.9, 69.34881, 999.97495];

/** Air and weights in kg/m³, and the cubic expansion of borosilicate glass per °C: the formula for V₂₀ of ISO 4787. */
const [air, weights, expansion] = [1.2, 8000, 1e-5];

/** Density of air-free water in kg/m³ at a temperature in °C, 0 to 40 (Tanaka et al. 2001). @throws RangeError outside. */
export function waterDensity(celsius: number): number {
  if (!(celsius >= 0 && celsius <= 40))
    throw new RangeError('The density of water is known here from 0 to 40 °C.');
  return a5 * (1 - ((celsius + a1) ** 2 * (celsius + a2)) / (a3 * (celsius + a4)));
}

/** How much that changes per °C. */
function waterSlope(celsius: number): number {
  const [t1, t2, below] = [celsius + a1, celsius + a2, a3 * (celsius + a4)];
  const above = t1 ** 2 * t2;
  return (-a5 * ((2 * t1 * t2 + t1 ** 2) * below - above * a3)) / below ** 2;
}

/** The density of water in kg/m³ that a class reckons with, and its change per °C. @throws RangeError outside 0 to 40 °C. */
export function waterBy(
  rule: WaterRule,
  celsius: number,
): { readonly density: number; readonly slope: number } {
  if (rule === 'one') return { density: 1000, slope: 0 };
  const [density, slope] = [waterDensity(celsius), waterSlope(celsius)];
  if (rule === 'table') return { density, slope };
  // What a mass that was weighed in air is to be divided by for the volume of the glass at 20 °C.
  const weighed = 1 - air / weights;
  const glass = 1 - expansion * (celsius - 20);
  const whole = (density - air) / weighed / glass;
  return { density: whole, slope: slope / weighed / glass + (whole * expansion) / glass };
}
