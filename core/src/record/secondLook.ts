import { presetNamed, type Conventions } from '../conventions';
import {
  at,
  cell,
  eachCell,
  judgeOf,
  type AuditRead,
  type AuditTable,
  type Finding,
  type LookRule,
} from './auditTable';
import { differenceRules } from './differenceRules';
import { meanRules } from './meanRules';

export type * from './auditTable';

/** Everything a second look looks for, in order; a new rule is a row. */
export const lookRules: readonly LookRule[] = [
  {
    code: 'heading-without-unit',
    label: 'The heading has no unit',
    find: ({ columns }) =>
      columns.flatMap(({ key, heading, unit }): Finding[] =>
        unit === null
          ? [
              {
                code: 'heading-without-unit',
                place: { trial: 'heading', column: key },
                sentence: `“${heading}” does not say in which unit.`,
                sure: 'certain',
              },
            ]
          : [],
      ),
  },
  digitsRule(
    'finer-than-instrument',
    'It is finer than the instrument can be read',
    'certain',
    (code) => code === 'extra-digit',
    (text) => `${text} has more decimals than its instrument is read to.`,
  ),
  digitsRule(
    'uneven-decimals',
    'It has fewer decimals than its column',
    'certain',
    (code) => ['dropped-final-digit', 'dropped-trailing-zero', 'bare-zero'].includes(code),
    (text) => `${text} stops short of the others in its column.`,
  ),
  digitsRule(
    'finer-than-glass',
    'It is finer than the instrument deserves',
    'likely',
    (code) => code === 'off-step',
    (text, { by, glass, step, unit }) =>
      glass
        ? `${text} is finer than ${by} deserves: it is read to ${step} ${unit}.`
        : `${text} falls between the steps: it is read to ${step} ${unit}.`,
  ),
  digitsRule(
    'point-missing',
    'A zero that was read has no point behind it',
    'likely',
    (code) => code === 'point-missing',
    (text) => `${text} ends in a zero that was read: your class writes ${text}.`,
  ),
  {
    code: 'other-unit',
    label: 'It is in another unit than its column',
    find: eachCell(
      ({ read }) => read !== null,
      ({ read }, text, _, judge) => {
        const writing = read && judge(text, read);
        if (!writing?.readable || writing.number.unitText === '') return null;
        const { faults, symbol } = writing.unit;
        return faults.some(({ code }) => code === 'unit-wrong') || symbol !== read?.unit
          ? `${text} stands in a column in ${read?.unit ?? ''}.`
          : null;
      },
      'other-unit',
    ),
  },
  {
    code: 'off-the-scale',
    label: 'It lies past the range of the instrument',
    find: eachCell(
      ({ read }) => read !== null,
      ({ read }, text, _, judge) => {
        const writing = read && judge(text, read);
        if (!writing?.readable || writing.unit.faults.some(({ code }) => code === 'unit-wrong')) return null;
        const { value } = writing.written;
        return read && (value.lt(read.lowest) || value.gt(read.highest))
          ? `${text} cannot be read: the scale goes from ${read.lowest.replace('-', '−')} to ${read.highest}.`
          : null;
      },
      'off-the-scale',
    ),
  },
  ...differenceRules,
  {
    code: 'carried-over-changed',
    label: 'A value that is carried over has changed',
    find: (table) =>
      table.columns
        .filter(({ carried }) => carried)
        .flatMap((column) => {
          const usual = most(table.rows.map((row) => cell(row, column)).filter(Boolean));
          return table.rows
            .filter((row) => cell(row, column) !== '' && cell(row, column) !== usual)
            .map((row): Finding => ({
              code: 'carried-over-changed',
              place: at(row, column),
              sentence: `It was ${usual} before and is ${cell(row, column)} here, though it is the same thing.`,
              sure: 'certain',
            }));
        }),
  },
  {
    code: 'planned-amount',
    label: 'The planned amount stands in place of a reading',
    find: (table) =>
      table.columns
        .filter(({ planned }) => planned !== null)
        .flatMap((column) => {
          const same = table.rows.filter((row) => cell(row, column) === column.planned);
          return same.length < 2
            ? []
            : same.map((row): Finding => ({
                code: 'planned-amount',
                place: at(row, column),
                sentence: `All ${same.length} are exactly the planned ${column.planned ?? ''}. Were they read from the scale?`,
                sure: 'likely',
              }));
        }),
  },
  ...meanRules,
];

/** Everything that a second look finds, in the order of its rules. */
export function secondLook(table: AuditTable, conventions: Conventions = usual): Finding[] {
  const judge = judgeOf(conventions);
  return lookRules.flatMap(({ find }) => [...find(table, judge)]);
}

const usual = presetNamed('Chemistry bench');

/** What is amiss with the digits of a reading, by the one way in which digits are judged. */
function digitsRule(
  code: string,
  says: string,
  sure: Finding['sure'],
  means: (fault: string) => boolean,
  sentence: (text: string, read: AuditRead) => string,
): LookRule {
  return {
    code,
    label: says,
    find: eachCell(
      ({ read }) => read !== null,
      ({ read }, text, _, judge) => {
        const writing = read && judge(text, read);
        return read && writing?.readable && writing.digits.faults.some((fault) => means(fault.code))
          ? sentence(writing.number.text.trim(), read)
          : null;
      },
      code,
      sure,
    ),
  };
}

function most(texts: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const text of texts) counts.set(text, (counts.get(text) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? '';
}
