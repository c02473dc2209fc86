import type { Conventions } from './conventions';
import { questions } from './questions';

/** One rule on the printed page of rules. */
export interface Card {
  readonly title: string;
  readonly rule: string;
  readonly examples: readonly (readonly [given: string, result: string])[];
}

/** The rules of written numbers, in a class's own conventions. */
export function cardsFor(conventions: Conventions): Card[] {
  const even = conventions.rounding === 'half-even';
  const allCount = conventions.trailingZeros === 'all-count';
  return [
    {
      title: 'Which digits count',
      rule: `Every digit from the first that is not 0. Zeros before it never count; zeros at the end count ${allCount ? 'always' : 'where there is a point'}.`,
      examples: [
        ['0.0420', '3 figures'],
        ['40.20', '4 figures'],
        ['4200', allCount ? '4 figures' : '2 figures'],
        ['4200.', '4 figures'],
      ],
    },
    {
      title: 'Add and subtract',
      rule: 'The coarsest last place governs. A difference can lose figures, and what follows then has no more.',
      examples: [
        ['12.11 + 18.0', '30.1'],
        ['46.0 − 45.2', '0.8'],
      ],
    },
    {
      title: 'Multiply and divide',
      rule: 'The fewest figures govern. Counts, definitions and numbers of a formula are exact and never do.',
      examples: [
        ['4.56 × 1.4', '6.4'],
        ['23.45 g ÷ 8.62 mL', '2.72 g/mL'],
      ],
    },
    {
      title: 'Round',
      rule: `A tie goes ${even ? 'to the even digit' : 'away from zero'}. Round ${conventions.roundWhen === 'end' ? 'once, at the end; keep the other digits until then' : 'at each step'}.`,
      examples: [
        ['105.35 to tenths', even ? '105.4' : '105.4'],
        ['2.45 to tenths', even ? '2.4' : '2.5'],
      ],
    },
    {
      title: 'Means and logarithms',
      rule: 'A mean keeps the last place of its readings. A logarithm has as many decimals as its number has figures.',
      examples: [
        ['mean of 2.31, 2.35, 2.34', '2.33'],
        ['log 300.', '2.477'],
      ],
    },
    {
      title: 'Temperature',
      rule: 'kelvin is °C plus exactly 273.15; the decimals stay. A difference has no offset.',
      examples: [
        ['20.12 °C', '293.27 K'],
        ['5.2 °C warmer', '5.2 K warmer'],
      ],
    },
    {
      title: 'Read a scale',
      rule: `Your class reads an analogue scale ${questions.analogueStep.answers[conventions.analogueStep]}.`,
      examples: [],
    },
    {
      title: 'Say how sure',
      rule: `± means ${questions.plusMinus.answers[conventions.plusMinus]}. The uncertainty is rounded first (${questions.uncertaintyDigits.answers[conventions.uncertaintyDigits]}), the value to the same place.`,
      examples: [
        ['8.4137 ± 0.0621', conventions.uncertaintyDigits === 'two' ? '8.414 ± 0.062' : '8.41 ± 0.06'],
      ],
    },
    {
      title: 'Percent error',
      rule: `Measured less accepted, over accepted, times 100; written ${questions.percentError.answers[conventions.percentError]}.`,
      examples: [],
    },
  ];
}
