import {
  add,
  Decimal,
  figuresOf,
  leadingPlace,
  measured,
  parseNumber,
  subtract,
  type Tracked,
} from '../figures';
import { ask, draw, figuresWords, things, writtenAt, type Drill } from './drill';

/** + and −: the coarsest last place governs. */
export const sums: Drill = {
  kind: 'sums',
  name: 'Add and subtract',
  about: 'the coarsest last place governs',
  make: (random, conventions, level) => {
    const taken = random.chance(0.5);
    const decimals = random.pick([
      [1, 2],
      [2, 1],
      [0, 1],
      [2, 3],
    ] as const);
    const texts = [draw(random, 110, 480, decimals[0]), draw(random, 11, 95, decimals[1])];
    if (level > 0 && !taken) texts.push(draw(random, 1, 9, 2));
    const numbers = texts.map(tracked);
    const [first = tracked('0'), ...rest] = numbers;
    const result = rest.reduce<Tracked>(
      (sum, next) => (taken ? subtract(sum, next) : add(sum, next)).result,
      first,
    );
    const fewest = Math.min(...numbers.map(figuresOf));
    const finest = Math.min(...numbers.map(({ lastPlace }) => lastPlace ?? 0));
    return ask(
      {
        prompt: taken
          ? `A dish with ${random.pick(things.solid)}, less the dish alone. What is the mass?`
          : 'What do these weigh together?',
        given: texts.map((text, at) => `${at === 0 ? '' : taken ? '− ' : '+ '}${text} g`),
        unit: 'g',
        unitChoices: ['kg', 'g', 'mg', 'mL'],
        result,
        mistakes: [
          {
            code: 'product-rule-for-sum',
            skill: 'digits' as const,
            title: 'The rule for products was used on a sum.',
            hint: 'In a sum it is the place that counts, not the number of figures: which reading ends first?',
            text: writtenAt(result.value, leadingPlace(result.value) - fewest + 1, conventions),
          },
          {
            code: 'finest-place-kept',
            skill: 'digits' as const,
            title: 'The finest place was kept.',
            hint: 'The coarsest reading governs: behind its last digit nothing is known.',
            text: writtenAt(result.value, finest, conventions),
          },
          {
            code: taken ? 'added-for-subtracted' : 'subtracted-for-added',
            skill: 'working' as const,
            title: taken ? 'They were added.' : 'They were subtracted.',
            hint: 'What is asked: both together, or what is left?',
            text: writtenAt(
              rest.reduce((sum, { value }) => (taken ? sum.plus(value) : sum.minus(value)), first.value),
              result.lastPlace,
              conventions,
            ),
          },
          ...(taken
            ? []
            : [
                {
                  code: 'subtracted-for-added',
                  skill: 'working' as const,
                  title: 'They were subtracted, and the other way round.',
                  hint: 'What is asked: both together, or what is left?',
                  text: writtenAt(
                    rest.reduce((sum, { value }) => sum.minus(value), first.value).neg(),
                    result.lastPlace,
                    conventions,
                  ),
                },
              ]),
        ],
        working: [
          `Unrounded: ${result.value.toString()} g.`,
          `The coarsest last place among ${numbers.map(figuresWords).join(', ')} governs, whatever the figures.`,
        ],
      },
      conventions,
    );
  },
};

/** A measured number out of its text. */
export function tracked(text: string): Tracked {
  const parsed = parseNumber(text);
  return parsed.ok ? measured(parsed.number) : { value: new Decimal(0), lastPlace: 0 };
}
