import { parseNumber, roundToPlace, tenTo, writeAtPlace, type Decimal } from '../figures';
import type { Skill } from './cause';

/** A wrong answer that a known mistake leads to. */
export interface Mistake {
  readonly code: string;
  /** What it shows to be missing. */
  readonly skill: Skill;
  /** What went wrong, one sentence. */
  readonly title: string;
  /** What to do about it, without the answer. */
  readonly hint: string;
  /** What it writes, without unit. */
  readonly text: string;
}

/** With a sign that can be typed. */
export const plain = (text: string): string => text.replaceAll('−', '-');

/** A right answer that others are looked for beside. */
interface Worked {
  readonly value: Decimal;
  readonly lastPlace: number | null;
  readonly text: string;
}

/** Mistakes in written work that any item can have. Earlier ones are told before later ones. */
export function commonMistakes(question: Worked): Mistake[] {
  const { value, lastPlace, text } = question;
  const place = lastPlace ?? -decimalsOf(text);
  const right = roundToPlace(value, place);
  return [
    ...otherRounding(value, place),
    ...truncated(value, place, right),
    ...wholeDisplay(value, place),
    ...zerosDropped(text),
    ...tenfold(right, place),
    ...figuresOff(value, place),
    ...(value.isZero() ? [] : [reversedSign(text)]),
    ...swapped(text),
    ...slips(text),
  ].filter((mistake) => mistake.text !== text);
}

const decimalsOf = (text: string): number => text.split('.')[1]?.length ?? 0;
const write = (value: Decimal, place: number): string => plain(writeAtPlace(value, place));

const otherRounding = (value: Decimal, place: number): Mistake[] => {
  const [away, even] = (['half-away', 'half-even'] as const).map((rounding) =>
    plain(writeAtPlace(value, place, rounding)),
  );
  if (away === even) return [];
  return [away, even].map((text = '') => ({
    code: 'other-rounding',
    skill: 'digits' as const,
    title: 'The tie was rounded the other way.',
    hint: 'The part that is cut off is exactly a half. Look up how your class rounds a tie.',
    text,
  }));
};

const truncated = (value: Decimal, place: number, right: Decimal): Mistake[] => {
  const cut = value.div(tenTo(place)).trunc().times(tenTo(place));
  return cut.eq(right)
    ? []
    : [
        {
          code: 'truncated',
          skill: 'digits' as const,
          title: 'The digits were cut off, not rounded.',
          hint: 'Look at the first digit that goes: from 5 on, the one before it goes up.',
          text: write(cut, place),
        },
      ];
};

/** As a pocket calculator shows it: ten digits, its zeros at the end dropped. */
const wholeDisplay = (value: Decimal, place: number): Mistake[] => {
  const display = value.toSignificantDigits(10);
  return -display.decimalPlaces() >= place - 2
    ? []
    : [
        {
          code: 'whole-display',
          skill: 'digits' as const,
          title: 'That is the whole display of the calculator.',
          hint: 'The data do not justify so many digits. Which of them limits the result?',
          text: display.toFixed(),
        },
      ];
};

const zerosDropped = (text: string): Mistake[] =>
  /\.\d*0$/.test(text) || text.endsWith('0.')
    ? [
        {
          code: 'trailing-zeros-dropped',
          skill: 'digits' as const,
          title: 'A zero at the end is missing.',
          hint: 'A zero at the end is a figure too: it says that this digit was known.',
          text: text.endsWith('.') ? text.slice(0, -1) : text.replace(/\.?0+$/, ''),
        },
      ]
    : [];

const tenfold = (right: Decimal, place: number): Mistake[] =>
  [-3, -2, -1, 1, 2, 3].map((power) => ({
    code: 'factor-of-ten',
    skill: 'unit' as const,
    title: 'The point stands in the wrong place.',
    hint: 'The digits are right. Reckon roughly in your head: how large must it be?',
    text: write(right.times(tenTo(power)), place + power),
  }));

const figuresOff = (value: Decimal, place: number): Mistake[] =>
  [1, -1, 2, -2].map((off) => ({
    code: off > 0 ? 'too-few-figures' : 'too-many-figures',
    skill: 'digits' as const,
    title:
      off > 0 ? 'It has fewer figures than the data justify.' : 'It has more figures than the data justify.',
    hint: 'The value is right. Count once more how far the data go.',
    text: write(value, place + off),
  }));

const reversedSign = (text: string): Mistake => ({
  code: 'sign-reversed',
  skill: 'working' as const,
  title: 'The sign is the wrong way round.',
  hint: 'Which is taken from which?',
  text: text.startsWith('-') ? text.slice(1) : `-${text}`,
});

const swapped = (text: string): Mistake[] =>
  digitPlaces(text).flatMap((at, nth, all) => {
    const next = all[nth + 1];
    if (next === undefined || text[at] === text[next]) return [];
    const characters = [...text];
    [characters[at], characters[next]] = [text[next] ?? '', text[at] ?? ''];
    return [
      {
        code: 'digits-swapped',
        skill: 'working' as const,
        title: 'Two digits are swapped.',
        hint: 'Compare digit by digit with what you worked out.',
        text: characters.join(''),
      },
    ];
  });

const slips = (text: string): Mistake[] =>
  digitPlaces(text).flatMap((at) =>
    [...'0123456789']
      .filter((digit) => digit !== text[at])
      .map((digit) => ({
        code: 'slip-of-a-digit',
        skill: 'working' as const,
        title: 'One digit is off.',
        hint: 'All digits but one are right. Work it out again.',
        text: `${text.slice(0, at)}${digit}${text.slice(at + 1)}`,
      })),
  );

/** Where the digits of a number stand, those of a power of ten left out. */
const digitPlaces = (text: string): number[] => {
  const end = text.indexOf('×') < 0 ? text.length : text.indexOf('×');
  return [...text.slice(0, end)].flatMap((character, at) => (/\d/.test(character) ? [at] : []));
};

/** Two writings of one number: the same value, known to the same place. */
export function sameWriting(a: string, b: string): boolean {
  const [left, right] = [parseNumber(a), parseNumber(b)];
  if (!left.ok || !right.ok) return false;
  return left.number.value.eq(right.number.value) && left.number.lastPlace === right.number.lastPlace;
}
