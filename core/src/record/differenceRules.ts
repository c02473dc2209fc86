import type { Decimal } from '../figures';
import { clockDifference, clockSlips, type ClockSlip } from './clockSlips';
import { close, decimals, eachCell, number, type LookRule } from './auditTable';

/** What can be wrong with a difference of two columns: of numbers, or of clock times. */
export const differenceRules: readonly LookRule[] = [
  differenceRule('clock-as-decimals', 'Clock times were subtracted as decimals', (cell) => {
    const slip = decimalsIn(cell);
    return slip ? `${slip.title} ${slip.hint}` : null;
  }),
  differenceRule('difference-contradicted', 'Its own readings give another difference', (cell) =>
    isReversed(cell) || decimalsIn(cell) ? null : `The readings give ${cell.given.text}, not ${cell.text}.`,
  ),
  differenceRule('wrong-direction', 'The difference goes the wrong way', (cell) =>
    isReversed(cell) ? `${cell.text} is first minus last. The heading asks for last minus first.` : null,
  ),
];

/** A difference as somebody worked it out, which is not what its readings give. */
interface WrongDifference {
  readonly text: string;
  readonly written: Decimal;
  /** What its readings give, with as many decimals as they have. */
  readonly given: { readonly value: Decimal; readonly text: string };
  readonly unit: string | null;
  readonly clock: boolean;
  readonly from: string;
  readonly to: string;
}

/** A rule over every difference that is not what its readings give. */
function differenceRule(
  code: string,
  label: string,
  wrong: (cell: WrongDifference) => string | null,
): LookRule {
  return {
    code,
    label,
    find: eachCell(
      ({ difference }) => difference !== null,
      ({ difference, unit }, text, { cells }) => {
        const { clock = false, from: first = '', to: last = '' } = difference ?? {};
        const [from = '', to = ''] = [cells[first], cells[last]];
        const written = number(text);
        const given = clock ? betweenClocks(from, to, unit) : betweenReadings(from, to);
        return !written || !given || close(written, given.value, text)
          ? null
          : wrong({ text, written, given, unit, clock, from, to });
      },
      code,
    ),
  };
}

function betweenClocks(from: string, to: string, unit: string | null): WrongDifference['given'] | null {
  const value = clockDifference(from, to, unit);
  return value && { value, text: value.toDecimalPlaces(2).toString() };
}

function betweenReadings(from: string, to: string): WrongDifference['given'] | null {
  const [first, last] = [number(from), number(to)];
  if (!first || !last) return null;
  const value = last.minus(first);
  return { value, text: value.toFixed(Math.max(decimals(from), decimals(to))).replace('-', '−') };
}

const isReversed = ({ text, written, given: { value }, clock }: WrongDifference): boolean =>
  !clock && !value.isZero() && close(written, value.neg(), text);

const decimalsIn = ({ text, written, unit, clock, from, to }: WrongDifference): ClockSlip | undefined =>
  clock
    ? clockSlips(from, to, unit).find(
        ({ code, value }) => code === 'clock-as-decimals' && close(written, value, text),
      )
    : undefined;
