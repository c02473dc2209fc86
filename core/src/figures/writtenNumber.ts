import { Decimal, tenTo } from '../decimal/decimal';

/** Whether the trailing zeros of a whole number without a point count as figures. */
export type TrailingZeros = 'written-point' | 'all-count';

/** A number as somebody wrote it. Nothing about the writing is lost: `5.80` is not `5.8`. */
export interface WrittenNumber {
  /** The text exactly as written. */
  readonly text: string;
  readonly value: Decimal;
  /** Digits after the point once the power of ten is worked in: `1.20e3` has −1. */
  readonly decimals: number;
  /** Power of ten of the last significant digit. */
  readonly lastPlace: number;
  /** Count of significant figures; 0 for a zero such as `0.00`, which has a place but no figures. */
  readonly figures: number;
  /** Where in `text` the last significant digit stands: the doubtful digit. */
  readonly doubtfulAt: number;
  /** True for a whole number that ends in a zero, without point and power of ten. */
  readonly bareZero: boolean;
  /** What stood behind the number, as written, or '' if nothing did. */
  readonly unitText: string;
  /** The lower number of a fraction of an inch such as `4 9/16`; null for a decimal. */
  readonly fractionOf: number | null;
}

export type NumberProblemCode = 'empty' | 'too-long' | 'no-digits' | 'ambiguous-comma' | 'not-understood';

export interface NumberProblem {
  readonly code: NumberProblemCode;
  /** Position in the text, from 0, of the first character that was not understood. */
  readonly at: number;
  readonly message: string;
}

export type ParsedNumber =
  | { readonly ok: true; readonly number: WrittenNumber }
  | { readonly ok: false; readonly problem: NumberProblem };

/** A writing, with the interval that its last digit claims: half of one in it, either way. Decimal texts. */
export interface Claim {
  readonly text: string;
  readonly low: string;
  readonly high: string;
}

/** What a written number claims: 7.4 from 7.35 to 7.45, 7.40 from 7.395 to 7.405. @throws RangeError for what is none */
export function claimOf(text: string): Pick<Claim, 'low' | 'high'> {
  const parsed = parseNumber(text);
  if (!parsed.ok) throw new RangeError(parsed.problem.message);
  const { value, lastPlace } = parsed.number;
  const half = tenTo(lastPlace).div(2);
  return { low: value.minus(half).toString(), high: value.plus(half).toString() };
}

/** The longest text that is taken as one number. */
export const longestNumber = 60;

const gap = '[ \\u00a0\\u2009\\u202f]';
const pieces = {
  sign: /[+\-−]?\s*/y,
  whole: new RegExp(`[1-9]\\d{0,2}(?:${gap}\\d{3})+(?!\\d)|\\d*`, 'y'),
  fraction: /([.,])(\d*)/y,
  exponent: /[eE]([+\-−]?\d{1,4})(?!\d)|\s*[×xX*·]\s*10\s*(?:\^\s*([+\-−]?\d{1,4})|([⁺⁻]?[⁰¹²³⁴-⁹]{1,4}))/y,
  unit: /\s*((?:[a-zA-ZµμΩ°%][a-zA-Z0-9µμ°%/·^³²⁻¹-]*)?)\s*/y,
};

/** `9/16`, `4 9/16`, `4-9/16`: parts of an inch as its rules have them, halved again and again. */
const ofAnInch = new RegExp(
  `^\\s*(?:(\\d{1,4})(?:${gap}+|-))?(\\d{1,2})\\s*[/⁄]\\s*(2|4|8|16|32|64)(?!\\d)\\s*([a-zA-Z]*)\\s*$`,
);

function fractionIn(text: string): ParsedNumber | null {
  const [, whole = '0', upper = '', lower = '', unitText = ''] = ofAnInch.exec(text) ?? [];
  if (lower === '') return null;
  if (Number(upper) >= Number(lower))
    return fail(
      'not-understood',
      text.indexOf(upper),
      `${upper}/${lower} is a whole or more: write the whole before it.`,
    );
  const value = new Decimal(upper).div(lower).plus(whole);
  const decimals = value.decimalPlaces();
  return {
    ok: true,
    number: {
      text,
      value,
      decimals,
      lastPlace: -decimals,
      figures: value.isZero() ? 0 : value.precision(),
      doubtfulAt: -1,
      bareZero: false,
      unitText,
      fractionOf: Number(lower),
    },
  };
}

/** A number as it may be written for a reading: a decimal, or parts of an inch such as `4 9/16`. */
export const parseReading = (text: string, trailingZeros?: TrailingZeros): ParsedNumber =>
  fractionIn(text) ?? parseNumber(text, trailingZeros);

/**
 * Reads one measured number, with or without a unit after it.
 *
 * Accepted: `62.40`, `62,40`, `450.`, `1.20e3`, `1.20E-4`, `1.20×10^3`, `1.20 x 10^-3`, plain or thin spaces
 * between thousands, a sign, a unit. One comma followed by exactly three digits could separate thousands and is
 * asked about, except where it cannot (`0,125`, `1234,567`). Never throws.
 */
export function parseNumber(text: string, trailingZeros: TrailingZeros = 'written-point'): ParsedNumber {
  if (text.trim() === '') return fail('empty', 0, 'Nothing is written yet.');
  if (text.length > longestNumber) {
    return fail('too-long', longestNumber, `A reading is at most ${longestNumber} characters long.`);
  }
  let at = text.length - text.trimStart().length;
  const take = (piece: RegExp): RegExpExecArray | null => {
    piece.lastIndex = at;
    const match = piece.exec(text);
    if (match) at = piece.lastIndex;
    return match;
  };

  const sign = take(pieces.sign)?.[0].trim() ?? '';
  const wholeAt = at;
  const wholeText = take(pieces.whole)?.[0] ?? '';
  const fraction = take(pieces.fraction);
  const mark = fraction?.[1] ?? '';
  const fractionDigits = fraction?.[2] ?? '';
  const wholeDigits = wholeText.replace(/\D/g, '');
  const digits = wholeDigits + fractionDigits;
  if (digits === '') return fail('no-digits', wholeAt, notUnderstood(text, wholeAt));
  if (mark === ',' && fractionDigits.length === 3 && /^[1-9]\d{0,2}$/.test(wholeText)) {
    return fail(
      'ambiguous-comma',
      at - 4,
      `Is “${wholeText},${fractionDigits}” a decimal or thousands? Write ${wholeText}.${fractionDigits} or ${digits}.`,
    );
  }
  const mantissaEnd = at;
  const exponentMatch = take(pieces.exponent);
  const exponent = Number(
    plainDigits(exponentMatch?.[1] ?? exponentMatch?.[2] ?? exponentMatch?.[3] ?? '0').replace('−', '-'),
  );
  const unitText = take(pieces.unit)?.[1] ?? '';
  if (at < text.length) return fail('not-understood', at, notUnderstood(text, at));

  const significant = digits.replace(/^0+/, '');
  const isZero = significant === '';
  const zerosAtEnd = isZero || mark !== '' ? 0 : (/0*$/.exec(significant)?.[0].length ?? 0);
  const idleZeros = trailingZeros === 'all-count' ? 0 : zerosAtEnd;
  const decimals = fractionDigits.length - exponent;
  const negative = sign === '-' || sign === '−';
  return {
    ok: true,
    number: {
      text,
      value: new Decimal(`${negative ? '-' : ''}${digits}`).times(tenTo(-decimals)),
      decimals,
      lastPlace: -decimals + idleZeros,
      figures: isZero ? 0 : significant.length - idleZeros,
      doubtfulAt: positionOfDigit(text, wholeAt, mantissaEnd, digits.length - 1 - idleZeros),
      bareZero: zerosAtEnd > 0 && exponentMatch === null,
      unitText,
      fractionOf: null,
    },
  };
}

/** The number of digits asked for, counted from 0 within a stretch of text, as a position in the text. */
function positionOfDigit(text: string, from: number, to: number, nth: number): number {
  let seen = -1;
  for (let at = from; at < to; at += 1) {
    if (/\d/.test(text.charAt(at))) seen += 1;
    if (seen === nth) return at;
  }
  return -1;
}

const superscripts = '⁰¹²³⁴⁵⁶⁷⁸⁹';
/** Raised digits as plain ones. */
export const plainDigits = (text: string): string =>
  [...text]
    .map((character) => {
      if (character === '⁻') return '-';
      if (character === '⁺') return '+';
      const digit = superscripts.indexOf(character);
      return digit < 0 ? character : String(digit);
    })
    .join('');

function notUnderstood(text: string, at: number): string {
  const character = [...text.slice(at)][0];
  if (character === undefined) return 'A number needs at least one digit.';
  if (/[.,]/.test(character)) {
    return /[.,]/.test(text.slice(0, at))
      ? `There is a second point or comma at place ${at + 1}. A number has one at most.`
      : `A digit is missing beside the “${character}”.`;
  }
  if (/\p{Nd}/u.test(character) && !/\d/.test(character)) {
    return `“${character}” at place ${at + 1} is not an ordinary digit. Write it with 0 to 9.`;
  }
  return `“${character}” at place ${at + 1} was not understood. Write a number such as 37.2.`;
}

const fail = (code: NumberProblemCode, at: number, message: string): ParsedNumber => ({
  ok: false,
  problem: { code, at, message },
});
