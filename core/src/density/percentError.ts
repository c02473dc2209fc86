import type { Conventions } from '../conventions';
import {
  divide,
  Decimal,
  exactly,
  figuresOf,
  measured,
  multiply,
  roundToFigures,
  subtract,
  tenTo,
  writeAtPlace,
  type Tracked,
  type WrittenNumber,
} from '../figures';

export interface PercentError {
  /** Measured − accepted. */
  readonly error: Tracked;
  /** Signed, in percent, unrounded. */
  readonly percent: Decimal;
  /** As the class writes it: with its sign or without, with the figures that the subtraction left. */
  readonly text: string;
  /** The class's word for its size, or null beyond the last band. */
  readonly word: string | null;
  readonly figuresLost: number;
}

/**
 * (measured − accepted)/accepted × 100. The subtraction's figures govern; at least one is written.
 * @throws RangeError for an accepted value of 0.
 */
export function percentError(
  result: Tracked,
  accepted: WrittenNumber,
  conventions: Conventions,
): PercentError {
  const difference = subtract(result, measured(accepted));
  const ratio = divide(difference.result, measured(accepted)).result;
  const percent = multiply(ratio, exactly(100)).result;
  const place = figuresOf(percent) > 0 ? (percent.lastPlace ?? 0) : 0;
  return {
    error: difference.result,
    percent: percent.value,
    text:
      figuresOf(difference.result) === 0 && !percent.value.isZero()
        ? `under ${leastSeen(difference.result, accepted)} %`
        : percentWords(percent.value, Math.max(0, -place), conventions),
    word:
      conventions.bands.find(({ upToPercent }) => percent.value.abs().lte(new Decimal(upToPercent)))?.word ??
      null,
    figuresLost: difference.figuresLost,
  };
}

/** A signed percent error as the class writes it, to so many decimals. */
export function percentWords(percent: Decimal, decimals: number, conventions: Conventions): string {
  const { value, sign, words } = shapes[conventions.percentError](percent);
  return `${sign}${writeAtPlace(value, -decimals, conventions.rounding)} %${words}`;
}

/** What a class writes of a signed percent error, each named on the sheet where it is not the error itself. */
const shapes: Readonly<
  Record<
    Conventions['percentError'],
    (percent: Decimal) => { readonly value: Decimal; readonly sign: string; readonly words: string }
  >
> = {
  absolute: (percent) => ({ value: percent.abs(), sign: '', words: '' }),
  signed: (percent) => ({ value: percent, sign: percent.gt(0) ? '+' : '', words: '' }),
  'of-target': (percent) => ({ value: percent.plus(100), sign: '', words: ' of the accepted value' }),
  'hundred-less': (percent) => ({
    value: new Decimal(100).minus(percent.abs()),
    sign: '',
    words: ' (100 less the percent error)',
  }),
};

/** No figure left means that the two agree to the last digit: one in that digit, as a share of the accepted value, to one figure. */
const leastSeen = ({ lastPlace }: Tracked, { value }: WrittenNumber): string =>
  roundToFigures(
    tenTo(lastPlace ?? 0)
      .div(value.abs())
      .times(100),
    1,
  ).toString();
