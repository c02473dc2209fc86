import { cellKey, type Column, type Table, type Trial } from '@green-beam/core';
import type { Book } from './book';

/** Digits, signs and spaces before the point of a written number. */
const before = (text: string): number =>
  // What is not one number has no point to be set under another.
  /.[+;]/.test(text) ? 0 : (/^[^.,]*/.exec(text)?.[0].length ?? 0);

/** The most that stands before the point in each column, so that points stand one under the other. */
export const wholeDigits = (table: Table, cells: Book['table'], trials: readonly Trial[]): number[] =>
  table.columns.map((column) =>
    isNumber(column) ? Math.max(0, ...trials.map((trial) => before(textIn(cells, trial, column)))) : 0,
  );

function textIn(cells: Book['table'], { trial, derived }: Trial, { key }: Column): string {
  const cell = derived[key];
  return cells.get(cellKey(trial, key))?.current.text.trim() ?? (cell?.state === 'reckoned' ? cell.text : '');
}

const isNumber = ({ kind }: Column): boolean => kind === 'measured' || kind === 'derived' || kind === 'count';

/** How far a text is moved to the right for that, as a style. */
export const padding = (text: string, whole: number): { readonly paddingLeft?: string } =>
  whole > before(text) ? { paddingLeft: `${whole - before(text)}ch` } : {};
