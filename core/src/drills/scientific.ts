import { leadingPlace, superscript, tenTo } from '../figures';
import { ask, draw, type Drill } from './drill';
import { tracked } from './sums';

/** Scientific notation, all figures kept. */
export const scientific: Drill = {
  kind: 'scientific',
  name: 'Scientific notation',
  about: 'one digit before the point, every figure kept',
  make: (random, conventions, level) => {
    const small = random.chance(0.5);
    const digits = `${draw(random, 10, 99, 0)}${random.pick(['', '0'])}`;
    const zeros = '0'.repeat(random.whole(2, level > 0 ? 5 : 3));
    const text = small ? `0.${zeros}${digits}` : `${digits}${zeros}.`;
    const number = tracked(text);
    const lead = leadingPlace(number.value);
    const mantissa = (figures: number) => number.value.div(tenTo(lead)).toFixed(figures - 1);
    const figures = lead - (number.lastPlace ?? 0) + 1;
    const row = (code: string, title: string, hint: string, power: number, count = figures) => ({
      code,
      skill: 'digits' as const,
      title,
      hint,
      text: `${mantissa(count)}×10${superscript(power)}`,
    });
    return ask(
      {
        prompt: 'Write this in scientific notation and keep every figure.',
        given: [text],
        form: 'scientific',
        text: `${mantissa(figures)}×10${superscript(lead)}`,
        result: number,
        mistakes: [
          row(
            'power-sign-reversed',
            'The power has the wrong sign.',
            'A number smaller than one has a negative power.',
            -lead,
          ),
          row(
            'power-one-off',
            'The power is one off.',
            'Count how many places the point moves to stand behind the first digit.',
            lead + (small ? -1 : 1),
          ),
          digits.endsWith('0')
            ? row(
                'trailing-zeros-dropped',
                'A zero at the end is missing.',
                'A zero that counted before counts still.',
                lead,
                Math.max(1, figures - (/0*$/.exec(small ? digits : '')?.[0].length ?? 0)),
              )
            : null,
        ],
        working: [`The point moves ${Math.abs(lead)} places to ${mantissa(figures)}.`],
      },
      conventions,
    );
  },
};
