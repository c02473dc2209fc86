import { Decimal, leadingPlace, measured, parseNumber, roundToPlace, superscript } from '../figures';
import { ask, draw, writtenAt, type Drill } from './drill';

/** Rounding to figures or to decimals. */
export const roundingDrill: Drill = {
  kind: 'rounding',
  name: 'Round',
  about: 'to figures and to decimals, ties included',
  make: (random, conventions, level) => {
    const toFigures = random.chance(0.5);
    const count = random.whole(2, 3);
    const whole = random.pick([0, 1, 2]);
    const tie = level > 0 && random.chance(0.4);
    const kept = draw(
      random,
      10 ** whole,
      10 ** (whole + 1),
      toFigures ? Math.max(1, count - whole - 1) : count,
    );
    const text = tie ? `${kept}5` : `${kept}${random.whole(1, 9)}${random.pick([1, 2, 3, 6, 7, 8, 9])}`;
    const value = new Decimal(text);
    const place = toFigures ? leadingPlace(value) - count + 1 : -count;
    const rounded = roundToPlace(value, place, conventions.rounding);
    const shift = rounded.e > value.e && toFigures ? 1 : 0;
    const parsed = parseNumber(text);
    const otherPlace = toFigures ? -count : leadingPlace(value) - count + 1;
    return ask(
      {
        prompt: `Round to ${count} ${toFigures ? 'significant figures' : 'decimals'}.`,
        given: [text],
        result: { value: parsed.ok ? measured(parsed.number).value : value, lastPlace: place + shift },
        mistakes: [
          {
            code: 'decimals-for-figures',
            skill: 'digits' as const,
            title: toFigures ? 'It was rounded to decimals.' : 'It was rounded to figures.',
            hint: 'Figures are counted from the first digit that is not 0; decimals from the point.',
            text: writtenAt(value, otherPlace, conventions),
          },
        ],
        working: [
          `The last digit that stays is the one at 10${superscript(place + shift)}.`,
          tie
            ? `What goes is exactly a half: your class rounds ${conventions.rounding === 'half-even' ? 'to the even digit' : 'away from zero'}.`
            : 'The first digit that goes decides.',
        ],
      },
      conventions,
    );
  },
};
