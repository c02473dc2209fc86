import { subjectKey, type SubjectKind } from './subject';
import type { Entry } from './table';

/** What the staff saw of the data, and what was written since. */
export interface Initialled {
  readonly by: string;
  readonly at: string;
  /** Cells, means and standings, by `subjectKey`, that were written or rewritten after what was seen; in order. */
  readonly since: readonly string[];
}

const isData: ReadonlySet<SubjectKind> = new Set(['reading', 'mean', 'standing', 'kit']);

/**
 * The newest initials in a logbook; null without any. They go for what their writer had seen and no more: an entry that arrived while
 * they were being written is since.
 * @param entries in the order in which they arrived.
 */
export function initialledOf(entries: readonly Entry[]): Initialled | null {
  const newest = entries.findLast(({ kind }) => kind === 'initials');
  if (!newest) return null;
  const seen = entries.findIndex(({ id }) => id === newest.text);
  const since = entries
    .slice(seen + 1)
    .flatMap((entry) => (isData.has(entry.kind) ? [subjectKey(entry)] : []));
  return { by: newest.reader, at: newest.writtenAt, since: [...new Set(since)] };
}
