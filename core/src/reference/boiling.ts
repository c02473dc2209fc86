/** Antoine's equation for water, log₁₀(p/mmHg) = A − B/(C + t): its usual constants from 1 to 100 °C, used to 105 °C. */
const [A, B, C] = [8.07131, 1730.63, 233.426];
const highest = 105;

/** 1 mmHg = 101.325/760 kPa. */
const mmHgPerKPa = 760 / 101.325;

/** The boiling point of water in °C at a station pressure in kPa, to 105 °C (Antoine, 1888). @throws RangeError outside */
export function boilingPoint(kPa: number): number {
  const t = kPa > 0 ? B / (A - Math.log10(kPa * mmHgPerKPa)) - C : NaN;
  if (!(t >= 1 && t <= highest))
    throw new RangeError('The boiling point of water is known here for pressures that make it 1 to 105 °C.');
  return t;
}

/** How much that changes per kPa. */
export const boilingSlope = (kPa: number): number =>
  B / (A - Math.log10(kPa * mmHgPerKPa)) ** 2 / (kPa * Math.LN10);

/** The usual pressure in kPa at a height in m above the sea (standard atmosphere, ISO 2533). @throws RangeError above 11 km */
export function pressureAt(metres: number): number {
  if (!(metres >= -500 && metres <= 11_000))
    throw new RangeError('The usual pressure is known here from 500 m below the sea to 11 km above it.');
  return 101.325 * (1 - 2.25577e-5 * metres) ** 5.25588;
}

/** How much that changes per metre. */
export const pressureSlope = (metres: number): number =>
  -101.325 * 5.25588 * 2.25577e-5 * (1 - 2.25577e-5 * metres) ** 4.25588;
