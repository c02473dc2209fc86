import type { Conventions } from '../conventions';
import { columnRule } from './columnRule';
import { unitOf, type Column, type Investigation, type Table } from './investigation';
import type { Outcome } from './outcome';
import { secondLook, type AuditColumn, type AuditTable, type Finding } from './secondLook';
import { cellKey } from './subject';
import { type Cell } from './table';
import { parsedFormula } from './formula';
import { namesIn } from '../figures';
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
  return {
    title: table.title,
    columns: table.columns.map((column) => auditColumn(column, investigation, conventions)),
    rows: (outcome.trials[table.key] ?? [])
      .filter(({ standing }) => standing !== 'abandoned')
      .map(({ trial, standing, reason }) => ({
        trial,
        excluded: standing === 'excluded' ? (reason ?? '') : null,
        cells: Object.fromEntries(
          table.columns.map(({ key }) => [key, cells.get(cellKey(trial, key))?.current.text ?? '']),
        ),
      })),
    mean: null,
  };
}

function auditColumn(column: Column, investigation: Investigation, conventions: Conventions): AuditColumn {
  const head = {
    key: column.key,
    heading: column.heading,
    // The headings of a logbook are the teacher's: a pure number has no unit to be stated.
    unit: unitOf(column) || '–',
    read: null,
    difference: null,
    carried: false,
    planned: null,
  };
  if (column.kind === 'measured') {
    const { instrument, step, range } = columnRule(column, investigation, conventions);
    return {
      ...head,
      read: {
        by: column.tag,
        unit: column.unit,
        step: step.size.toString(),
        estimated: step.judged === 'estimate',
        lowest: range.lowest.toString(),
        highest: range.highest.toString(),
        glass: instrument.quantity === 'volume',
      },
      carried: column.carried ?? false,
      planned: column.planned ?? null,
    };
  }
  if (column.kind === 'derived' && column.by === 'student')
    return { ...head, difference: differenceOf(column.formula) };
  return head;
}

/** `after - before`: a plain difference of two columns. */
function differenceOf(formula: string): AuditColumn['difference'] {
  const tree = parsedFormula(formula);
  if (tree.kind !== 'operation' || tree.operator !== '−') return null;
  const [to, from] = [namesIn(tree.left), namesIn(tree.right)];
  return tree.left.kind === 'name' && tree.right.kind === 'name' && to[0] && from[0]
    ? { from: from[0], to: to[0], clock: false }
    : null;
}
