import { Decimal, leadingPlace } from '../figures';
import { ask, draw, writtenAt, type Drill } from './drill';
import { tracked } from './sums';

/** A mean keeps the last place of its readings; how many there are is exact. */
export const means: Drill = {
  kind: 'means',
  name: 'Take a mean',
  about: 'a mean keeps the place of its readings',
  make: (random, conventions, level) => {
    const n = level > 0 ? 5 : 3;
    const decimals = random.pick([1, 2]);
    const middle = random.between(21, 88);
    const texts: string[] = [];
    // A mean that comes out even would hide what is to be learnt.
    do {
      texts.length = 0;
      while (texts.length < n)
        texts.push(draw(random, middle - 4 * 10 ** -decimals, middle + 4 * 10 ** -decimals, decimals));
    } while (total(texts).div(n).decimalPlaces() <= decimals);
    const value = total(texts).div(n);
    const left = texts.slice(0, -1);
    const partial = total(left).div(n);
    return ask(
      {
        prompt: 'These are the readings of one mass. What is their mean?',
        given: texts.map((text) => `${text} g`),
        unit: 'g',
        unitChoices: ['kg', 'g', 'mg', 'mL'],
        result: { value, lastPlace: tracked(texts[0] ?? '0').lastPlace },
        mistakes: [
          {
            code: 'exact-taken-as-limiting',
            skill: 'digits' as const,
            title: 'The number of readings was taken as limiting.',
            hint: `There are exactly ${n}: a count has as many figures as one likes.`,
            text: writtenAt(value, leadingPlace(value), conventions),
          },
          {
            code: 'reading-left-out',
            skill: 'working' as const,
            title: 'A reading was left out of the sum.',
            hint: `Count what you added: there are ${n}.`,
            text: writtenAt(partial, -decimals, conventions),
          },
          {
            code: 'mean-too-fine',
            skill: 'digits' as const,
            title: 'The mean is finer than its readings.',
            hint: 'A mean keeps the last place of its readings.',
            text: writtenAt(value, -decimals - 1, conventions),
          },
        ],
        working: [
          `Sum ${total(texts).toString()} g over ${n}: ${value.toSignificantDigits(8).toString()}… g.`,
        ],
      },
      conventions,
    );
  },
};

const total = (texts: readonly string[]): Decimal =>
  texts.reduce((sum, text) => sum.plus(text), new Decimal(0));
