import type { Conventions } from '../conventions';
import { auditColumn, cellInWriting, readingsIn } from './columnKinds';
import type { Column, Investigation, Table } from './investigation';
import type { Outcome } from './outcome';
import { columnOn } from './pieces';
import { secondLook, type AuditColumn, type AuditTable, type Finding } from './secondLook';
import { cellKey } from './subject';
import { type Cell } from './table';
import type { LogbookLook } from './logbookLook';
import { logbookRules } from './logbookRules';

/** A finding with the table that it is in. */
export type TableFinding = Finding & { readonly table: string };

/** Everything that a second look finds in a logbook. */
export function secondLookAt(
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  outcome: Outcome,
  conventions: Conventions,
): TableFinding[] {
  const within: LogbookLook = { investigation, cells, outcome, conventions };
  return [
    ...investigation.tables.flatMap((table) =>
      secondLook(auditOf(table, within), conventions).map((finding) => ({ ...finding, table: table.key })),
    ),
    ...logbookRules.flatMap(({ find }) => find(within)),
  ];
}

/** A table of a logbook, as a careful reader finds it. Abandoned trials are not looked at. */
function auditOf(table: Table, { investigation, cells, outcome, conventions }: LogbookLook): AuditTable {
  const textIn = (trial: number, { key }: Column) => cells.get(cellKey(trial, key))?.current.text ?? '';
  /** A column as it was read in a trial: on the piece of the kit that its entry names. */
  const columnIn = (trial: number, column: Column): Column => {
    const tag = cells.get(cellKey(trial, column.key))?.current.tag;
    return column.kind === 'measured' && investigation.kit.some((item) => item.tag === tag)
      ? columnOn(column, tag)
      : column;
  };
  const audited = new Map<string, AuditColumn>();
  const auditedOn = (column: Column): AuditColumn => {
    const name = `${column.key} ${column.kind === 'measured' ? column.tag : ''}`;
    const known = audited.get(name) ?? auditColumn(column, investigation, conventions);
    audited.set(name, known);
    return known;
  };
  return {
    title: table.title,
    columns: table.columns.map(auditedOn),
    rows: (outcome.trials[table.key] ?? [])
      .filter(({ standing }) => standing !== 'abandoned')
      .map(({ trial, standing, reason }) => ({
        trial,
        excluded: standing === 'excluded' ? (reason ?? '') : null,
        cells: Object.fromEntries(
          table.columns.map((column) => {
            const text = textIn(trial, column);
            return [
              column.key,
              cellInWriting(text, columnIn(trial, column), investigation, conventions) ?? text,
            ];
          }),
        ),
        readings: Object.fromEntries(
          table.columns.flatMap((column) =>
            column.kind === 'measured' && column.manner === 'turned'
              ? [[column.key, readingsIn(textIn(trial, column), column, undefined)]]
              : [],
          ),
        ),
        readOn: Object.fromEntries(
          table.columns.flatMap((column) => {
            const own = columnIn(trial, column);
            const { read } = auditedOn(own);
            return own === column || read === null ? [] : [[column.key, read]];
          }),
        ),
      })),
    mean: null,
  };
}
