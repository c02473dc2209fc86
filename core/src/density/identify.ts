import { materials, type Material } from '../reference';
import { agreement } from '../statistics';
import { parseProduct, productFactor } from '../units';

/** A material that a density may be, and how well the two fit. */
export interface Candidate {
  readonly material: Material;
  /** How far outside its range the density lies, in standard (or stated) uncertainties; 0 inside. */
  readonly times: number;
  readonly verdict: 'agree' | 'doubtful' | 'disagree';
}

/** What a density may be, the best first. */
export interface Identified {
  /** All that agree: told as ties, in the order of the table. */
  readonly ties: readonly Candidate[];
  /** The next ones, nearest first. */
  readonly others: readonly Candidate[];
  /** What would part the ties, in words; null where one or none is left. */
  readonly toPart: string | null;
}

/** How many g/cm³ one of a unit is; null for what is no density. */
export function perGramCube(unit: string): number | null {
  try {
    return productFactor(parseProduct(unit), parseProduct('g/cm³')).toNumber();
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/**
 * Candidates for a density. One that lies in a range agrees; outside, the distance to its nearer end counts as a difference does
 * (up to 2 uncertainties agrees, up to 3 is doubtful).
 * @param density in g/cm³
 * @param u its uncertainty, in g/cm³
 * @throws RangeError for what is not a density, or an uncertainty that is not more than 0.
 */
export function identify(density: number, u: number, among: readonly Material[] = materials): Identified {
  if (!(density > 0) || !(u > 0) || !Number.isFinite(density + u))
    throw new RangeError('A density and its uncertainty are more than nothing.');
  const all = among.map((material): Candidate => {
    const off = Math.max(0, material.low - density, density - material.high);
    const { times, verdict } = agreement(off, u, Infinity);
    return { material, times, verdict };
  });
  const ties = all.filter(({ verdict }) => verdict === 'agree');
  const others = all.filter(({ verdict }) => verdict !== 'agree').sort((a, b) => a.times - b.times);
  return { ties, others: others.slice(0, 4), toPart: toPart(ties.map(({ material }) => material)) };
}

/** Nobody needs to part a liquid from a solid. */
const isLiquid = ({ kind }: Material): boolean => kind === 'liquid';

/** The nearest two ties that do not overlap are parted by a ± of a quarter of what lies between them. */
function toPart(ties: readonly Material[]): string | null {
  const byLow = [...ties].sort((a, b) => a.low - b.low);
  const gaps = byLow.flatMap((lower, at) => {
    const upper = byLow[at + 1];
    return upper ? [{ lower, upper, gap: upper.low - lower.high }] : [];
  });
  if (gaps.length === 0) return null;
  const overlapping = gaps
    .filter(({ gap, lower, upper }) => gap <= 0 && isLiquid(lower) === isLiquid(upper))
    .map(({ lower, upper }) => `${lower.name} and ${upper.name}`);
  const apart = gaps.filter(({ gap }) => gap > 0).sort((a, b) => a.gap - b.gap)[0];
  return [
    apart
      ? `A ± of ${Number((apart.gap / 4).toPrecision(1))} g/cm³ would part ${apart.lower.name} from ${apart.upper.name}.`
      : '',
    overlapping.length > 0
      ? `Density alone never parts ${overlapping.slice(0, 3).join(', nor ')}: look at colour, hardness, a magnet, how it sounds.`
      : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** What something does in a liquid: by its density, within its uncertainty. */
export type Floats = 'floats' | 'sinks' | 'cannot tell';

/** @param U expanded uncertainty, and both densities in one unit */
export const floatsIn = (density: number, U: number, liquid: number): Floats =>
  density + U < liquid ? 'floats' : density - U > liquid ? 'sinks' : 'cannot tell';

/** What contradicts a density, where it was seen to float or sink; null where nothing does. */
export function againstSeen(seen: Floats, foretold: Floats, liquid: string): string | null {
  if (seen === 'cannot tell' || foretold === 'cannot tell' || seen === foretold) return null;
  return `It ${seen} in ${liquid}, but by this density it ${foretold === 'floats' ? 'would float' : 'would sink'}: which reading is wrong, or did air cling to it?`;
}

const inWords: Readonly<Record<string, string>> = {
  g: 'grams',
  kg: 'kilograms',
  mg: 'milligrams',
  mL: 'millilitre',
  L: 'litre',
  'cm³': 'cubic centimetre',
  'm³': 'cubic metre',
  min: 'minute',
  s: 'second',
  h: 'hour',
  mm: 'millimetres',
  drops: 'drop',
};

/** `8.7 g/cm³` → `8.7 grams per one cubic centimetre`; null for a unit that is no quotient. */
export function perOneSentence(value: string, unit: string): string | null {
  const [of = '', per] = unit.split('/');
  const [above, below] = [inWords[of] ?? (of === 'mL' ? 'millilitres' : of), per && (inWords[per] ?? per)];
  return per === undefined || above === ''
    ? null
    : `${value} ${of === 'mL' ? 'millilitres' : above} per one ${below ?? per}`;
}
