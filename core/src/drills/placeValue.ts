import { exactly, parseNumber, tenTo, leadingPlace } from '../figures';
import { ask, draw, type Drill } from './drill';

/** What the last significant digit of a number is worth. */
export const placeValue: Drill = {
  kind: 'place-value',
  name: 'Find the last place',
  about: 'what the doubtful digit is worth',
  unmarked: true,
  make: (random, conventions, level) => {
    const text = random.pick([
      () => draw(random, 10, 99, level + 1),
      () => `0.0${draw(random, 10, 99, 0)}0`,
      () => `${random.whole(12, 98)}00`,
      () => draw(random, 100, 999, 2),
    ])();
    const parsed = parseNumber(text, conventions.trailingZeros);
    if (!parsed.ok) throw new RangeError(parsed.problem.message);
    const { value, lastPlace, decimals } = parsed.number;
    const at = (place: number) => tenTo(place).toFixed();
    return ask(
      {
        prompt: 'What is one in the last significant digit worth? Write it as a number: 0.1, 10, …',
        given: [text],
        result: exactly(tenTo(lastPlace)),
        mistakes: [
          {
            code: 'first-place-given',
            skill: 'digits' as const,
            title: 'That is the place of the first digit.',
            hint: 'The last significant digit is the doubtful one, at the other end.',
            text: at(leadingPlace(value)),
          },
          lastPlace > -decimals
            ? {
                code: 'idle-zeros-counted',
                skill: 'digits' as const,
                title: 'Zeros at the end of a whole number were counted.',
                hint: 'Without a point they only show how large it is. Which digit is the last that counts?',
                text: at(-decimals),
              }
            : null,
          {
            code: 'place-one-off',
            skill: 'digits' as const,
            title: 'That is one place further on.',
            hint: 'Go to the very last digit that counts.',
            text: at(lastPlace + 1),
          },
        ],
        working: [`The last digit that counts stands at ${at(lastPlace)}.`],
      },
      conventions,
    );
  },
};
