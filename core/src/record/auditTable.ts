import { judgeWriting, type Fractions, type Writing } from '../answer';
import type { Conventions } from '../conventions';
import { Decimal, parseReading, roundToPlace } from '../figures';

/** A table as a careful reader finds it: texts as they were written. */
export interface AuditTable {
  readonly title: string;
  readonly columns: readonly AuditColumn[];
  readonly rows: readonly AuditRow[];
  /** A mean that is written under a column; null for none. */
  readonly mean: { readonly column: string; readonly text: string } | null;
}

export interface AuditColumn {
  readonly key: string;
  readonly heading: string;
  /** As the heading states it; null where it does not. */
  readonly unit: string | null;
  /** The step of its instrument and how far that goes, in the heading's unit; null for what was not read. */
  readonly read: AuditRead | null;
  /** A difference of two other columns: the second less the first; clock times give minutes. */
  readonly difference: { readonly from: string; readonly to: string; readonly clock: boolean } | null;
  /** True where one and the same value is carried through all rows. */
  readonly carried: boolean;
  /** What was planned to be there, as written. */
  readonly planned: string | null;
}

/** How a column is read; numbers as decimal texts. */
export interface AuditRead {
  /** The tag of its instrument, or what it is. */
  readonly by: string;
  readonly unit: string;
  readonly step: string;
  readonly estimated: boolean;
  /** Given where it may be read in fractions of an inch: its division. */
  readonly fractions?: Fractions;
  readonly lowest: string;
  readonly highest: string;
  /** True for what holds liquid: its maker's tolerance, not the eye, sets how fine a reading may be. */
  readonly glass: boolean;
}

export interface AuditRow {
  readonly trial: number;
  /** Why it does not count; null where it counts. */
  readonly excluded: string | null;
  /** A number for each cell; of several readings in one, their mean. */
  readonly cells: Readonly<Record<string, string>>;
  /** The readings themselves, of cells that hold several. */
  readonly readings?: Readonly<Record<string, readonly string[]>>;
  /** How a cell was read that was read on another piece than its column says. */
  readonly readOn?: Readonly<Record<string, AuditRead>>;
}

/** Where something was found: a cell, a heading or a mean. */
export interface Place {
  readonly trial: number | 'heading' | 'mean';
  readonly column: string;
}

export interface Finding {
  readonly code: string;
  readonly place: Place;
  readonly sentence: string;
  readonly sure: 'certain' | 'likely' | 'worth a look';
}

/** One thing that a second look looks for. */
export interface LookRule {
  readonly code: string;
  /** As somebody who marks a cell would say it. */
  readonly label: string;
  find(table: AuditTable, judge: Judge): readonly Finding[];
}

/** What there is to say about the writing of a cell. */
export type Judge = (text: string, read: AuditRead) => Writing;

/** The number that a text is; null where it is none. */
export const number = (text: string): Decimal | null => {
  const parsed = parseReading(text);
  return parsed.ok ? parsed.number.value : null;
};
/** Decimals of a written number, none for what is none. */
export const decimals = (text: string): number => {
  const parsed = parseReading(text);
  return parsed.ok ? Math.max(0, parsed.number.decimals) : 0;
};
/** Judges cells as everywhere else, each writing of a column once. */
export function judgeOf(conventions: Conventions): Judge {
  const known = new Map<AuditRead, Map<string, Writing>>();
  return (text, read) => {
    const own = known.get(read) ?? new Map<string, Writing>();
    known.set(read, own);
    const writing = own.get(text) ?? judgeAudit(text, read, conventions);
    own.set(text, writing);
    return writing;
  };
}

const judgeAudit = (text: string, read: AuditRead, conventions: Conventions): Writing =>
  judgeWriting(
    text,
    '',
    {
      unit: read.unit,
      headed: true,
      resolution: {
        by: 'step',
        size: new Decimal(read.step),
        estimated: read.estimated,
        ...(read.fractions ? { fractions: read.fractions } : {}),
      },
      accepts: null,
      reads: `${read.by} is read`,
    },
    conventions,
  );
export const cell = (row: AuditRow, { key }: AuditColumn): string => row.cells[key] ?? '';
export const at = (row: AuditRow, { key }: AuditColumn): Place => ({ trial: row.trial, column: key });

/** Looks at each written cell of some columns. */
export const eachCell =
  (
    columns: (column: AuditColumn) => boolean,
    wrong: (column: AuditColumn, text: string, row: AuditRow, judge: Judge) => string | null,
    code: string,
    sure: Finding['sure'] = 'certain',
  ) =>
  (table: AuditTable, judge: Judge): Finding[] =>
    table.columns.filter(columns).flatMap((column) =>
      table.rows.flatMap((row) => {
        const texts = row.readings?.[column.key] ?? [cell(row, column)];
        // It is judged by the piece that it was read on.
        const read = row.readOn?.[column.key];
        const own = read ? { ...column, read } : column;
        const [sentence] = texts.flatMap((text) => (text === '' ? [] : (wrong(own, text, row, judge) ?? [])));
        return sentence === undefined ? [] : [{ code, place: at(row, column), sentence, sure }];
      }),
    );

/** Equal to the place that the text goes to, whichever way a tie is rounded. */
export function close(written: Decimal, reckoned: Decimal, text: string): boolean {
  const place = -decimals(text);
  return (['half-away', 'half-even'] as const).some((rounding) =>
    roundToPlace(reckoned, place, rounding).eq(written),
  );
}
