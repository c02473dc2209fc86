import { divide, exactly, figuresOf, leadingPlace, multiply } from '../figures';
import { ask, draw, figuresWords, things, writtenAt, type Drill } from './drill';
import { tracked } from './sums';

/** × and ÷: the fewest figures govern; a count never limits. */
export const products: Drill = {
  kind: 'products',
  name: 'Multiply and divide',
  about: 'the fewest figures govern',
  make: (random, conventions, level) => {
    const many = level > 0 && random.chance(0.4);
    const mass = draw(random, 20, 95, random.pick([1, 2]));
    const other = many ? String(random.whole(3, 8)) : draw(random, 2, 9, random.pick([1, 2]));
    const [a, b] = [tracked(mass), many ? exactly(other) : tracked(other)];
    const result = divide(a, b).result;
    const place = (figures: number, value = result.value) => leadingPlace(value) - figures + 1;
    const wrong = (
      code: string,
      title: string,
      hint: string,
      value: typeof result.value,
      lastPlace: number,
    ) => ({ code, skill: 'digits' as const, title, hint, text: writtenAt(value, lastPlace, conventions) });
    const [upside, times] = [divide(b, a).result, multiply(a, b).result];
    return ask(
      {
        prompt: many
          ? `${other} rivets from one crate weigh this together. What does one weigh?`
          : `What is the density of ${random.pick(things.solid)}?`,
        given: many ? [`${mass} g`, `${other} rivets, counted`] : [`m = ${mass} g`, `V = ${other} cm³`],
        unit: many ? 'g' : 'g/cm³',
        unitChoices: many ? ['kg', 'g', 'mg', 'mL'] : ['g', 'cm³', 'g/cm³', 'kg/m³'],
        result,
        mistakes: [
          many
            ? wrong(
                'exact-taken-as-limiting',
                'A count was taken as limiting.',
                'How many there are is exact: it has as many figures as one likes.',
                result.value,
                place(1),
              )
            : wrong(
                'sum-rule-for-product',
                'The rule for sums was used on a quotient.',
                'In a quotient the figures count, not the places: which number has the fewest?',
                result.value,
                Math.max(a.lastPlace ?? 0, b.lastPlace ?? 0),
              ),
          many
            ? null
            : wrong(
                'density-upside-down',
                'It is upside down.',
                'Density is mass per volume: how many grams has one cm³?',
                upside.value,
                place(figuresOf(upside), upside.value),
              ),
          wrong(
            'multiplied-for-divided',
            'They were multiplied.',
            'Write the units beside the numbers: what has to be divided by what?',
            times.value,
            place(figuresOf(times), times.value),
          ),
        ],
        working: [
          `${mass} g ÷ ${other}${many ? '' : ' cm³'} = ${result.value.toSignificantDigits(7).toString()}…`,
          many
            ? `A count is exact: ${figuresWords(a)} of the mass govern.`
            : `${figuresWords(a)} and ${figuresWords(b)}: the fewer govern.`,
        ],
      },
      conventions,
    );
  },
};
