import type { Exact } from '../figures';
import { parseNumber, roundToPlace } from '../figures';

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
  /** What a reading of its instrument looks like, and how far that goes; null for what was not read. */
  readonly read: { readonly decimals: number; readonly lowest: number; readonly highest: number } | null;
  /** A difference of two other columns: the second less the first; clock times give minutes. */
  readonly difference: { readonly from: string; readonly to: string; readonly clock: boolean } | null;
  /** True where one and the same value is carried through all rows. */
  readonly carried: boolean;
  /** What was planned to be there, as written. */
  readonly planned: string | null;
}

export interface AuditRow {
  readonly trial: number;
  /** Why it does not count; null where it counts. */
  readonly excluded: string | null;
  readonly cells: Readonly<Record<string, string>>;
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
  readonly says: string;
  find(table: AuditTable): readonly Finding[];
}

/** The number that a text is; null where it is none. */
export const number = (text: string): Exact | null => {
  const parsed = parseNumber(text);
  return parsed.ok ? parsed.number.value : null;
};
export const decimals = (text: string): number => text.trim().split(/[.,]/)[1]?.length ?? 0;
export const cell = (row: AuditRow, { key }: AuditColumn): string => row.cells[key] ?? '';
export const at = (row: AuditRow, { key }: AuditColumn): Place => ({ trial: row.trial, column: key });

/** Looks at each written cell of some columns. */
export const eachCell =
  (
    columns: (column: AuditColumn) => boolean,
    wrong: (column: AuditColumn, text: string, row: AuditRow, table: AuditTable) => string | null,
    code: string,
    sure: Finding['sure'] = 'certain',
  ) =>
  (table: AuditTable): Finding[] =>
    table.columns.filter(columns).flatMap((column) =>
      table.rows.flatMap((row) => {
        const text = cell(row, column);
        const sentence = text === '' ? null : wrong(column, text, row, table);
        return sentence === null ? [] : [{ code, place: at(row, column), sentence, sure }];
      }),
    );

/** Equal to the place that the text goes to, whichever way a tie is rounded. */
export function close(written: Exact, reckoned: Exact, text: string): boolean {
  const place = -decimals(text);
  return (['half-away', 'half-even'] as const).some((rounding) =>
    roundToPlace(reckoned, place, rounding).eq(written),
  );
}
