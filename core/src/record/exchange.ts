import { csvFormatRows, csvParseRows, tsvParseRows } from 'd3-dsv';
import type { Conventions } from '../conventions';
import { adviseOn } from './columnKinds';
import { unitOf, type Column, type Investigation, type Table } from './investigation';
import { givenIn, rowOf } from './namedRows';
import type { Outcome } from './outcome';
import { forSpreadsheet, fromSpreadsheet } from '../spreadsheet';
import { cellKey, subjectKey } from './subject';
import { type Cell, type Entry } from './table';

/**
 * A table as CSV: a row of headings, a row of units, then a row for each trial; texts as they were written, derived values as
 * they are shown; whether a trial counts, and its remark. What a spreadsheet would run is held by an apostrophe, which `csvIn` takes away.
 */
export function csvOf(table: Table, cells: ReadonlyMap<string, Cell>, outcome: Outcome): string {
  const trials = outcome.trials[table.key] ?? [];
  const text = (trial: number, column: Column): string => {
    const written = cells.get(cellKey(trial, column.key))?.current.text;
    if (written !== undefined) return written;
    if (column.kind === 'given') return givenIn(column, table, trial)?.value ?? '';
    const derived = trials.find((own) => own.trial === trial)?.derived[column.key];
    return derived?.state === 'reckoned' ? derived.text : '';
  };
  const named = (cell: string): string[] => (table.rows ? [cell] : []);
  const rows = [
    [
      'Trial',
      ...named('Row'),
      ...table.columns.map(({ heading }) => heading),
      'Standing',
      'Reason',
      'Remark',
    ],
    [
      '',
      ...named(''),
      ...table.columns.map((column) => (column.kind === 'clock' ? '' : unitOf(column))),
      '',
      '',
      '',
    ],
    ...trials.map(({ trial, standing, reason }) => [
      String(trial),
      ...named(rowOf(table, trial)?.name ?? ''),
      ...table.columns.map((column) => text(trial, column)),
      standing,
      reason ?? '',
      cells.get(subjectKey({ kind: 'remark', trial, table: table.key }))?.current.text ?? '',
    ]),
  ];
  return csvFormatRows(rows.map((row) => row.map(forSpreadsheet)));
}

/** A whole logbook as plain data: what was written with its history, what follows from it with its uncertainties. */
export function jsonOf(
  investigation: Investigation,
  conventions: Conventions,
  entries: readonly Entry[],
  outcome: Outcome,
): object {
  return {
    format: 1,
    investigation,
    conventions: { preset: conventions.preset, version: conventions.version },
    entries,
    trials: Object.entries(outcome.trials).flatMap(([table, trials]) =>
      trials.map(({ trial, standing, reason, derived }) => ({
        table,
        trial,
        standing,
        reason,
        derived: Object.fromEntries(
          Object.entries(derived).flatMap(([key, cell]) =>
            cell.state === 'reckoned' ? [[key, { text: cell.text, value: cell.value.value.toString() }]] : [],
          ),
        ),
      })),
    ),
    results: outcome.results.flatMap((state) =>
      state.state === 'reckoned'
        ? [
            {
              name: state.plan.name,
              unit: state.plan.unit,
              text: state.result.text,
              value: state.result.value.value.toString(),
              uncertainty: state.result.uncertainty,
              typeA: state.result.typeA,
              typeB: state.result.typeB,
              contributions: state.result.contributions,
            },
          ]
        : [],
    ),
  };
}

/** One cell of a block that is to be written. */
export interface PastedCell {
  readonly trial: number;
  readonly column: Column;
  readonly text: string;
  /** What to say of it: it is written all the same. */
  readonly advice: string | null;
  /** Why it will not be written; null for one that will. */
  readonly refused: string | null;
}

/** Columns that are written in, in order. */
export const writtenColumns = ({ columns }: Table): readonly Column[] =>
  columns.filter((column) => (column.kind === 'derived' ? column.by === 'student' : column.kind !== 'given'));

/**
 * A block from a spreadsheet, laid over a table from a cell on. A cell that is written already is never overwritten.
 * @param mayTake how many trials a table may have.
 */
export function pastedBlock(
  text: string,
  from: { readonly trial: number; readonly column: string },
  table: Table,
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  conventions: Conventions,
  mayTake = 200,
): PastedCell[] {
  const rows = tsvParseRows(text.replace(/\r?\n$/, ''));
  const columns = writtenColumns(table);
  const first = columns.findIndex(({ key }) => key === from.column);
  return rows.flatMap((row, down) =>
    row.flatMap((own, across): PastedCell[] => {
      const column = columns[first + across];
      if (own.trim() === '' || !column) return [];
      return [placed(own.trim(), from.trial + down, column, investigation, cells, conventions, mayTake)];
    }),
  );
}

function placed(
  text: string,
  trial: number,
  column: Column,
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  conventions: Conventions,
  mayTake: number,
): PastedCell {
  const there = cells.get(cellKey(trial, column.key))?.current.text;
  const refused =
    trial > mayTake
      ? `A logbook holds ${mayTake} trials.`
      : text.length > 60
        ? 'It is longer than a reading can be.'
        : there !== undefined
          ? there.trim() === text
            ? 'It is there already.'
            : `${there} stands here already; strike it and rewrite.`
          : null;
  return { trial, column, text, advice: adviseOn(text, column, investigation, conventions), refused };
}

/** What a CSV file says for a table: cells to write, and per line what could not be understood. */
export interface ReadCsv {
  readonly cells: readonly PastedCell[];
  readonly problems: readonly { readonly line: number; readonly sentence: string }[];
}

/** Reads what `csvOf` writes, or any CSV with the headings of the table; a row of units under them is checked. */
export function csvIn(
  text: string,
  table: Table,
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  conventions: Conventions,
): ReadCsv {
  const [headings, ...lines] = csvParseRows(text.replace(/^\uFEFF/, '')).map((row) =>
    row.map(fromSpreadsheet),
  );
  if (!headings) return { cells: [], problems: [{ line: 1, sentence: 'The file is empty.' }] };
  const at = headings.map((heading) =>
    writtenColumns(table).find((column) => column.heading.toLowerCase() === heading.trim().toLowerCase()),
  );
  const trialAt = headings.findIndex((heading) => heading.trim().toLowerCase() === 'trial');
  if (!at.some(Boolean))
    return {
      cells: [],
      problems: [
        {
          line: 1,
          sentence: `None of its headings is one of this table’s: ${writtenColumns(table)
            .map(({ heading }) => heading)
            .join(', ')}.`,
        },
      ],
    };
  const problems: { line: number; sentence: string }[] = [];
  const found: PastedCell[] = [];
  let next = 1;
  for (const [down, row] of lines.entries()) {
    const line = down + 2;
    if (row.every((own) => own.trim() === '')) continue;
    if (down === 0 && isUnits(row, at)) {
      problems.push(...unitProblems(row, at, line));
      continue;
    }
    const trial = trialAt >= 0 ? Number(row[trialAt]) : next;
    if (!Number.isInteger(trial) || trial < 1) {
      problems.push({ line, sentence: `“${row[trialAt] ?? ''}” is not the number of a trial.` });
      continue;
    }
    next = trial + 1;
    if (row.length > headings.length)
      problems.push({ line, sentence: 'It has more cells than there are headings; the rest is left out.' });
    for (const [across, column] of at.entries()) {
      const own = row[across]?.trim() ?? '';
      if (column && own !== '')
        found.push(placed(own, trial, column, investigation, cells, conventions, 200));
    }
  }
  return { cells: found, problems };
}

/** A line without any digit under the known columns is one of units. */
const isUnits = (row: readonly string[], at: readonly (Column | undefined)[]): boolean =>
  at.every((column, across) => !column || !/\d/.test((row[across] ?? '').replace(/[a-z°µ]\d|[³²]/gi, '')));

const unitProblems = (row: readonly string[], at: readonly (Column | undefined)[], line: number) =>
  at.flatMap((column, across) => {
    const own = row[across]?.trim() ?? '';
    if (!column || column.kind === 'clock' || own === '' || own === unitOf(column)) return [];
    return [
      {
        line,
        sentence: `${column.heading} is in ${own} there and in ${unitOf(column)} here. Convert it first.`,
      },
    ];
  });
