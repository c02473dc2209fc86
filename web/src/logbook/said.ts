import { cellKey, subjectKey, type Cell, type Entry, type Subject } from '@green-beam/core';
import type { Book } from './book';

/** Everything that was said in a place that is added to, oldest first. */
export const saidIn = (table: ReadonlyMap<string, Cell>, subject: Subject): readonly Entry[] => {
  const cell = table.get(subjectKey(subject));
  return cell ? [...cell.struck.map(({ entry }) => entry), cell.current] : [];
};

/** What an answer, a remark or a prediction says now. */
export const said = (table: ReadonlyMap<string, Cell>, subject: Subject): string =>
  table.get(subjectKey(subject))?.current.text ?? '';

/** Whether a cell was written or rewritten after the staff looked the data through. */
export const isSince = ({ initialled }: Book, trial: number, column: string): boolean =>
  initialled?.since.includes(cellKey(trial, column)) ?? false;

export const isHandedIn = (table: ReadonlyMap<string, Cell>): boolean =>
  table.has(subjectKey({ kind: 'hand-in' }));
