import { halfWidthFor, type Conventions, type InstrumentKind } from '../conventions';
import { Decimal } from '../figures';
import { instruments } from '../instruments';
import { conversionFactor, findUnit, sameQuantity } from '../units/units';

/** What one instrument would give for a thing of about a known size. */
export interface Choice {
  readonly kind: InstrumentKind;
  readonly model: string;
  readonly name: string;
  readonly unit: string;
  readonly fits: boolean;
  /** Reading half-width by the class's rule, and the maker's tolerance, in its unit. */
  readonly halfWidth: number;
  readonly tolerance: number;
  /** Both together (root of the sum of squares) over the size, in percent. */
  readonly relativePercent: number;
  readonly enough: boolean;
}

/**
 * What each instrument of a stock would give for an object, best first; out of range ones last.
 * @param size about how large the object is, with its unit.
 * @param wantedPercent the relative uncertainty that is wanted, in percent.
 * @throws RangeError for a unit that is not known, or a size that is not positive.
 */
export function chooseInstrument(
  size: number,
  unitText: string,
  wantedPercent: number,
  conventions: Conventions,
): Choice[] {
  const given = findUnit(unitText)?.unit;
  if (!given) throw new RangeError(`“${unitText}” is not a unit that is known here.`);
  if (!(size > 0)) throw new RangeError('The size has to be greater than zero.');
  const choices = instruments.flatMap(({ kind, models }) =>
    models.flatMap((model): Choice[] => {
      const own = findUnit(model.unit)?.unit;
      if (!own || own.quantity === 'count' || !sameQuantity(own, given)) return [];
      const inOwn = conversionFactor(given, own).times(size).toNumber();
      const halfWidth = halfWidthFor(
        conventions,
        { ...model, kind, model: model.id },
        new Decimal(model.tolerance),
      );
      const tolerance = Number(model.tolerance);
      const relativePercent = (100 * Math.hypot(halfWidth.toNumber(), tolerance)) / inOwn;
      const fits = inOwn >= Number(model.lowest) && inOwn <= Number(model.highest);
      return [
        {
          kind,
          model: model.id,
          name: model.name,
          unit: model.unit,
          fits,
          halfWidth: halfWidth.toNumber(),
          tolerance,
          relativePercent,
          enough: fits && relativePercent <= wantedPercent,
        },
      ];
    }),
  );
  return choices.sort((a, b) => Number(b.fits) - Number(a.fits) || a.relativePercent - b.relativePercent);
}

/** The plainest instrument that is good enough: the coarsest of those that reach what is wanted. */
export const plainestEnough = (choices: readonly Choice[]): Choice | undefined =>
  choices.filter(({ enough }) => enough).at(-1);
