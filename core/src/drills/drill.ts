import { plain, type Mistake, type WorkedAnswer } from '../answer';
import type { Random } from '../chance/random';
import type { Conventions } from '../conventions';
import { figuresOf, writeTracked, type Claim, type Decimal, type Tracked } from '../figures';

/** One item to work out by hand. */
export interface DrillItem extends WorkedAnswer {
  readonly prompt: string;
  /** What is given, a line each. */
  readonly given: readonly string[];
  readonly unitChoices: readonly string[];
  /** Writings of which one is chosen, each with what it claims; absent where the answer is written. */
  readonly choices?: readonly Claim[];
  /** True where the unit stands beside the answer already. */
  readonly headed?: boolean;
  /** How it is worked out, a line each; the last one says the answer. */
  readonly working: readonly string[];
}

/** One kind of drill; every drill is one object of this shape. */
export interface Drill {
  readonly kind: string;
  readonly name: string;
  /** What it trains, in a few words. */
  readonly about: string;
  /** True where the doubtful digit is what is asked for: it is not marked in what is given. */
  readonly unmarked?: boolean;
  /**
   * Makes an item. The same seed gives the same item.
   * @param level 0 for plain items, 1 and 2 for longer ones.
   */
  make(random: Random, conventions: Conventions, level: number): DrillItem;
}

type Asked = Pick<DrillItem, 'prompt' | 'given' | 'working'> &
  Partial<Pick<DrillItem, 'unit' | 'unitChoices' | 'form' | 'choices' | 'headed'>> & {
    readonly result: Tracked;
    readonly mistakes: readonly (Mistake | null)[];
    /** The right answer as text, where it is not the result at its last place. */
    readonly text?: string;
  };

/** Puts a question together: mistakes that would write the right answer do not apply and are left out. */
export function ask(
  {
    prompt,
    given,
    working,
    result,
    mistakes,
    unit = '',
    unitChoices = [],
    form = 'any',
    text: own,
    choices,
    headed,
  }: Asked,
  conventions: Conventions,
): DrillItem {
  const text = own ?? plain(writeTracked(result, conventions.rounding));
  const applying = mistakes.filter(
    (mistake): mistake is Mistake => mistake !== null && plain(mistake.text) !== text,
  );
  return {
    prompt,
    given,
    value: result.value,
    lastPlace: result.lastPlace,
    text,
    unit,
    unitChoices,
    ...(choices ? { choices } : {}),
    ...(headed ? { headed } : {}),
    form,
    mistakes: applying.map((mistake) => ({ ...mistake, text: plain(mistake.text) })),
    working: [...working, `Written: ${text}${unit === '' ? '' : ` ${unit}`}.`],
  };
}

/** A number written at a place, for a mistake. */
export const writtenAt = (value: Decimal, lastPlace: number | null, { rounding }: Conventions): string =>
  writeTracked({ value, lastPlace }, rounding);

/** How many figures a number has, in words. */
export const figuresWords = (tracked: Tracked): string => {
  const figures = figuresOf(tracked);
  return figures === Infinity ? 'exact' : `${figures} ${figures === 1 ? 'figure' : 'figures'}`;
};

/** A measured number drawn between two ends with so many decimals; its last digit is not 0 unless that is wanted. */
export function draw(random: Random, low: number, high: number, decimals: number): string {
  for (;;) {
    const text = random.between(low, high).toFixed(decimals);
    if (!text.endsWith('0') && !/^0\.?0*$/.test(text)) return text;
  }
}

/** Things of the scenario that can be weighed, measured, poured. */
export const things = {
  solid: ['a bolt pin', 'a shackle ring', 'a slate token', 'a deck sleeve', 'a sea-glass pebble'],
  liquid: ['lamp oil', 'brine from the pan', 'rinsing water'],
} as const;
