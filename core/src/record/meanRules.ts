import { Decimal } from '../figures';
import { close, number, type AuditRow, type AuditTable, type Finding, type LookRule } from './auditTable';

/** What can be wrong with a mean that is written under a column. */
export const meanRules: readonly LookRule[] = [
  {
    code: 'mean-holds-excluded',
    label: 'The mean still holds an excluded trial',
    find: (table) => meanFinding(table, 'mean-holds-excluded'),
  },
  {
    code: 'mean-contradicted',
    label: 'The mean is not that of its column',
    find: (table) => meanFinding(table, 'mean-contradicted'),
  },
];

function meanFinding(table: AuditTable, code: 'mean-holds-excluded' | 'mean-contradicted'): Finding[] {
  if (!table.mean) return [];
  const { column, text } = table.mean;
  const of = (rows: readonly AuditRow[]): Decimal | null => {
    const values = rows.flatMap((row) => number(row.cells[column] ?? '') ?? []);
    return values.length === 0
      ? null
      : values.reduce((sum, value) => sum.plus(value), new Decimal(0)).div(values.length);
  };
  const [written, kept, all] = [
    number(text),
    of(table.rows.filter(({ excluded }) => excluded === null)),
    of(table.rows),
  ];
  if (!written || !kept || !all || close(written, kept, text)) return [];
  const holdsAll = close(written, all, text);
  if (holdsAll !== (code === 'mean-holds-excluded')) return [];
  const sentence = holdsAll
    ? 'It is the mean of all trials, the excluded one too.'
    : `The trials that count give another mean than ${text}.`;
  return [{ code, place: { trial: 'mean', column }, sentence, sure: 'certain' }];
}
