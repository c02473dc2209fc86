import type { Conventions } from '../conventions';
import { plain } from '../answer';
import { percentError } from '../density/percentError';
import { divide, type Decimal, leadingPlace, parseNumber, subtract, writeAtPlace } from '../figures';
import { ask, draw, type Drill } from './drill';
import { tracked } from './sums';

/** Percent error, with its sign or without, as the class does it. */
export const percentErrors: Drill = {
  kind: 'percent-error',
  name: 'Percent error',
  about: 'with its sign or without; few figures are left',
  make: (random, rules, level) => {
    // The error itself is asked for, whatever the class makes of it afterwards.
    const conventions: Conventions =
      rules.percentError === 'signed' ? rules : { ...rules, percentError: 'absolute' };
    const accepted = random.pick(['8.80', '7.90', '2.70', '8.96']);
    const off = random.pick([-1, 1]) * random.between(0.03, level > 0 ? 0.09 : 0.06);
    const measuredText = draw(random, Number(accepted) * (1 + off), Number(accepted) * (1 + off) + 0.02, 2);
    const parsed = parseNumber(accepted);
    if (!parsed.ok) throw new RangeError(parsed.problem.message);
    const error = percentError(tracked(measuredText), parsed.number, conventions);
    const signed = conventions.percentError === 'signed';
    const value = signed ? error.percent : error.percent.abs();
    const left = subtract(tracked(measuredText), tracked(accepted)).result;
    const shown = (exact: Decimal, figures: number) =>
      plain(writeAtPlace(exact, Math.min(0, leadingPlace(exact) - figures + 1), conventions.rounding));
    const text = plain(error.text.replace(' %', ''));
    const place = -(text.split('.')[1]?.length ?? 0);
    const byMeasured = divide(left, tracked(measuredText)).result.value.times(100);
    const own = signed ? byMeasured : byMeasured.abs();
    return ask(
      {
        prompt: `What is the percent error${signed ? ', with its sign' : ''}?`,
        given: [`measured ${measuredText} g/cm³`, `accepted ${accepted} g/cm³`],
        form: signed ? 'signed' : 'any',
        text: value.gt(0) && signed ? `+${text.replace('+', '')}` : text.replace('+', ''),
        result: { value, lastPlace: place },
        mistakes: [
          {
            code: 'not-times-100',
            skill: 'unit' as const,
            title: 'It was not turned into percent.',
            hint: 'Percent means per hundred: multiply by 100.',
            text: plain(writeAtPlace(value.div(100), place - 2, conventions.rounding)),
          },
          {
            code: 'lost-figures-kept',
            skill: 'digits' as const,
            title: 'The figures that the subtraction lost were written all the same.',
            hint: 'How many figures has measured minus accepted? They govern.',
            text: shown(value, 3),
          },
          {
            code: 'divided-by-measured',
            skill: 'working' as const,
            title: 'It was divided by the measured value.',
            hint: 'The accepted value is what it is compared with.',
            text: plain(writeAtPlace(own, place - 1, conventions.rounding)),
          },
        ],
        working: [
          `${measuredText} − ${accepted} = ${left.value.toString()}: few figures are left.`,
          `Over ${accepted}, times 100: ${error.percent.toSignificantDigits(6).toString()}… %.`,
        ],
      },
      conventions,
    );
  },
};
