import type { Investigation } from '../../src/record/investigation';
import type { Rows, ToleranceOn } from '../../src/world';
import { mean, straight, type HandWorked, type Rule } from '../byRule';

/** A result of an investigation, with what is true and how it is worked by hand. */
export interface Case extends HandWorked {
  readonly name: string;
  readonly investigation: Investigation;
  readonly plan: string;
  readonly value: number;
  /** Standard deviation of what really scatters, in a classroom; in units of its moves. */
  readonly classroomScatter: number;
  /** What is asked of a line: its slope, if nothing is said. */
  readonly asks?: 'height';
  /** Why its ± is more than half as large again as its errors, where it is. */
  readonly why?: string;
}
export const readersDoBetter = 'half a division is allowed for each reading, and readers do better';
export const neighbours =
  'neighbouring portions share a reading: what one gains the next one lacks, and their spread shows it twice';
export const worstOfTolerance =
  'the worst that a tolerance could do over the whole scale is allowed, and half a division for each reading';
export const at = (rows: Rows, column: string): readonly number[] => rows[column] ?? [];
export const each = (rows: Rows, column: string, of: (value: number, row: number) => number) =>
  at(rows, column).map(of);
export const same = (value: number, n: number): number[] => Array.from({ length: n }, () => value);
export const rising = (from: number, by: number, n: number): number[] =>
  Array.from({ length: n }, (_, row) => from + by * row);
export const get = (rows: Rows, column: string, row: number): number => at(rows, column)[row] ?? NaN;
export const whole = (tag: string, ...columns: string[]): ToleranceOn[] =>
  columns.map((column) => ({ piece: tag, column, acts: 'whole' }));
export const along = (tag: string, ...columns: string[]): ToleranceOn[] =>
  columns.map((column) => ({ piece: tag, column, acts: 'along' }));
/** The mean of what each row gives. */
export const byRows = (
  of: (rows: Rows, rule: Rule) => number[],
): Pick<Case, 'each' | 'result' | 'running' | 'way'> => ({
  way: 'rows',
  running: false,
  each: of,
  result: (rows, rule) => mean(of(rows, rule)),
});
/** What a line through points gives. */
export const byLine = (
  points: NonNullable<Case['points']>,
  gives: (slope: number, height: number) => number,
  { throughOrigin = false, scatter = null as { readonly of: Rows; readonly size: number } | null } = {},
): Pick<
  Case,
  'points' | 'gives' | 'throughOrigin' | 'result' | 'running' | 'way' | 'scatters' | 'classroomScatter'
> => ({
  way: 'line',
  running: false,
  scatters: scatter?.of ?? {},
  classroomScatter: scatter?.size ?? 0,
  points,
  throughOrigin,
  gives: (of) => gives(...straight(of, throughOrigin)),
  result: (rows) => gives(...straight(points(rows), throughOrigin)),
});

export const displaced = (mass: string) => (rows: Rows) =>
  each(rows, 'after', (after, row) => get(rows, mass, row) / (after - get(rows, 'before', row)));

const sinceFirst = (rows: Rows) => at(rows, 't').map((time) => time - get(rows, 't', 0));
export const against = (column: string) => (rows: Rows) => ({ x: sinceFirst(rows), y: at(rows, column) });
