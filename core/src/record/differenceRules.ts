import { clockMinutes, type Decimal } from '../figures';
import { close, eachCell, number, type AuditColumn, type AuditRow, type LookRule } from './auditTable';

/** What can be wrong with a difference of two columns: of numbers, or of clock times. */
export const differenceRules: readonly LookRule[] = [
  {
    code: 'clock-as-decimals',
    label: 'Clock times were subtracted as decimals',
    find: eachCell(
      ({ difference }) => difference?.clock === true,
      ({ difference }, text, row) => {
        const [written, minutes] = [number(text), clockDifference(row, difference)];
        if (!written || !minutes || close(written, minutes, text)) return null;
        const naive = decimalClock(row, difference);
        return naive && close(written, naive, text)
          ? `${text} is what the clock times give when minutes are taken for hundredths.`
          : null;
      },
      'clock-as-decimals',
    ),
  },
  {
    code: 'difference-contradicted',
    label: 'Its own readings give another difference',
    find: eachCell(
      ({ difference }) => difference !== null,
      ({ difference }, text, row) => {
        const written = number(text);
        const reckoned = difference?.clock
          ? clockDifference(row, difference)
          : plainDifference(row, difference);
        if (!written || !reckoned || close(written, reckoned, text)) return null;
        if (close(written, reckoned.neg(), text)) return null;
        const naive = difference?.clock ? decimalClock(row, difference) : null;
        return naive && close(written, naive, text)
          ? null
          : `Its readings give ${reckoned.toString()}, not ${text}.`;
      },
      'difference-contradicted',
    ),
  },
  {
    code: 'wrong-direction',
    label: 'The difference goes the wrong way',
    find: eachCell(
      ({ difference }) => difference !== null,
      ({ difference }, text, row) => {
        const [written, reckoned] = [
          number(text),
          difference?.clock ? null : plainDifference(row, difference),
        ];
        return written && reckoned && !reckoned.isZero() && close(written, reckoned.neg(), text)
          ? `${text} is first less last: the heading says the other way.`
          : null;
      },
      'wrong-direction',
    ),
  },
];

type Difference = AuditColumn['difference'];

function plainDifference(row: AuditRow, difference: Difference): Decimal | null {
  const [from, to] = [
    number(row.cells[difference?.from ?? ''] ?? ''),
    number(row.cells[difference?.to ?? ''] ?? ''),
  ];
  return from && to && to.minus(from);
}

function clockDifference(row: AuditRow, difference: Difference): Decimal | null {
  try {
    return clockMinutes(row.cells[difference?.from ?? ''] ?? '', row.cells[difference?.to ?? ''] ?? '');
  } catch {
    return null;
  }
}

/** 9:50 to 10:20 taken as 9.50 and 10.20. */
function decimalClock(row: AuditRow, difference: Difference): Decimal | null {
  const [from, to] = [difference?.from, difference?.to].map((key) =>
    number((row.cells[key ?? ''] ?? '').replace(':', '.')),
  );
  return from && to ? to.minus(from).times(100) : null;
}
