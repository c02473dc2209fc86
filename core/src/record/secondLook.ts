import {
  at,
  cell,
  decimals,
  eachCell,
  number,
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
    says: 'The heading has no unit',
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
  {
    code: 'finer-than-instrument',
    says: 'It is finer than the instrument can be read',
    find: eachCell(
      ({ read }) => read !== null,
      ({ read }, text) =>
        read && decimals(text) > read.decimals
          ? `${text} has more decimals than its instrument is read to.`
          : null,
      'finer-than-instrument',
    ),
  },
  {
    code: 'uneven-decimals',
    says: 'It has fewer decimals than its column',
    find: eachCell(
      ({ read }) => read !== null,
      ({ read }, text) =>
        read && decimals(text) < read.decimals ? `${text} stops short of the others in its column.` : null,
      'uneven-decimals',
    ),
  },
  {
    code: 'off-the-scale',
    says: 'It lies past the range of the instrument',
    find: eachCell(
      ({ read }) => read !== null,
      ({ read }, text) => {
        const value = number(text);
        return read && value && (value.lt(read.lowest) || value.gt(read.highest))
          ? `${text} cannot be read: the scale goes from ${read.lowest} to ${read.highest}.`
          : null;
      },
      'off-the-scale',
    ),
  },
  ...differenceRules,
  {
    code: 'carried-over-changed',
    says: 'A value that is carried over has changed',
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
    says: 'The planned amount stands in place of a reading',
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
                sentence: `Exactly the planned ${column.planned ?? ''}, ${same.length} times: was it read?`,
                sure: 'likely',
              }));
        }),
  },
  ...meanRules,
];

/** Everything that a second look finds, in the order of its rules. */
export const secondLook = (table: AuditTable): Finding[] => lookRules.flatMap(({ find }) => find(table));

function most(texts: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const text of texts) counts.set(text, (counts.get(text) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? '';
}
