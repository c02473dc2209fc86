import { divide, Decimal, figuresOf, leadingPlace, roundToPlace, subtract } from '../figures';
import { ask, draw, figuresWords, writtenAt, type Drill } from './drill';
import { tracked } from './sums';

/** A difference, then a quotient: guard digits stay, and the digits that the difference loses govern. */
export const mixed: Drill = {
  kind: 'mixed',
  name: 'Both in one calculation',
  about: 'guard digits, and figures that a difference loses',
  make: (random, conventions, level) => {
    const decimals = level > 0 ? 2 : 1;
    const [full, empty] = [draw(random, 52, 68, decimals), draw(random, 40, 48, decimals)];
    const volume = draw(random, 11, 24, random.pick([1, 2]));
    const difference = subtract(tracked(full), tracked(empty)).result;
    const result = divide(difference, tracked(volume)).result;
    const early = roundToPlace(difference.value, leadingPlace(difference.value), conventions.rounding);
    const place = (value: Decimal, figures: number) => leadingPlace(value) - figures + 1;
    const inputs = [full, empty, volume].map(tracked);
    const unlost = Math.min(...inputs.map(figuresOf));
    const rough = early.div(volume);
    const noVessel = new Decimal(full).div(volume);
    return ask(
      {
        prompt:
          'A bottle with lamp oil, the bottle alone, and the volume of the oil. What is the density of the oil?',
        given: [`with oil: ${full} g`, `empty: ${empty} g`, `V = ${volume} mL`],
        unit: 'g/mL',
        unitChoices: ['g', 'mL', 'g/mL', 'kg/m³'],
        result,
        mistakes: [
          {
            code: 'rounded-too-early',
            skill: 'digits' as const,
            title: 'It was rounded on the way.',
            hint: 'Keep all digits until the end, and round once.',
            text: writtenAt(rough, place(rough, figuresOf(result)), conventions),
          },
          {
            code: 'lost-figures-kept',
            skill: 'digits' as const,
            title: 'The figures that the subtraction lost were written all the same.',
            hint: 'How many figures has the difference? They govern from there on.',
            text: writtenAt(result.value, place(result.value, unlost), conventions),
          },
          {
            code: 'container-included',
            skill: 'working' as const,
            title: 'The bottle was left in.',
            hint: 'What weighs the oil alone?',
            text: writtenAt(noVessel, place(noVessel, figuresOf(result)), conventions),
          },
          {
            code: 'density-upside-down',
            skill: 'working' as const,
            title: 'It is upside down.',
            hint: 'Density is mass per volume: how many grams has one mL?',
            text: writtenAt(
              new Decimal(1).div(result.value),
              place(new Decimal(1).div(result.value), figuresOf(result)),
              conventions,
            ),
          },
        ],
        working: [
          `${full} g − ${empty} g = ${difference.value.toString()} g: ${figuresWords(difference)}.`,
          `Divided by ${volume} mL: ${result.value.toSignificantDigits(7).toString()}… g/mL.`,
        ],
      },
      conventions,
    );
  },
};
