import { exactly, parseNumber } from '../figures';
import { ask, type Drill } from './drill';

/** How many figures a written number has. */
export const counting: Drill = {
  kind: 'counting',
  name: 'Count the figures',
  about: 'which zeros count',
  unmarked: true,
  make: (random, conventions, level) => {
    const digits = () => random.whole(1, 9);
    const forms: readonly (() => string)[] = [
      () => `0.00${digits()}${digits()}0`,
      () => `${digits()}0${digits()}.0`,
      () => `${digits()}${digits()}00`,
      () => `0.0${digits()}0${digits()}`,
      () => `${digits()}.0${digits()}0`,
      () => `${digits()}${digits()}00.`,
      () => `${digits()}.${digits()}0e${random.whole(2, 5)}`,
    ];
    const text = random.pick(level === 0 ? forms.slice(0, 5) : forms)();
    const parsed = parseNumber(text, conventions.trailingZeros);
    const figures = parsed.ok ? parsed.number.figures : 0;
    const [mantissa = ''] = text.split('e');
    const all = mantissa.replace('.', '');
    const leading = /^0*/.exec(all)?.[0].length ?? 0;
    const atEnd = /0*$/.exec(all)?.[0].length ?? 0;
    const between = (all.replace(/^0+|0+$/g, '').match(/0/g) ?? []).length;
    const row = (code: string, title: string, hint: string, count: number) => ({
      code,
      skill: 'digits' as const,
      title,
      hint,
      text: String(count),
    });
    const trailingCount = /[.,]/.test(mantissa) || conventions.trailingZeros === 'all-count';
    return ask(
      {
        prompt: 'How many significant figures has this reading?',
        given: [text],
        result: exactly(figures),
        mistakes: [
          leading > 0
            ? row(
                'leading-zeros-counted',
                'Zeros at the front were counted.',
                'Zeros before the first other digit only show where the point is.',
                figures + leading,
              )
            : null,
          atEnd > 0 && trailingCount
            ? row(
                'trailing-zeros-not-counted',
                'Zeros at the end were left out.',
                'After a point, a zero at the end was read: it counts.',
                figures - atEnd,
              )
            : null,
          atEnd > 0 && !trailingCount
            ? row(
                'idle-zeros-counted',
                'Zeros at the end of a whole number were counted.',
                'Without a point, zeros at the end only show how large it is.',
                figures + atEnd,
              )
            : null,
          between > 0
            ? row(
                'inner-zeros-not-counted',
                'Zeros between other digits were left out.',
                'A zero between two digits that count does count.',
                figures - between,
              )
            : null,
        ],
        working: [
          ...(leading > 0 ? ['Zeros before the first other digit do not count.'] : []),
          ...(atEnd > 0
            ? [
                trailingCount
                  ? 'Zeros at the end count: there is a point.'
                  : 'Zeros at the end do not count: there is no point.',
              ]
            : []),
          'All other digits count.',
        ],
      },
      conventions,
    );
  },
};
