import { subjectKey, type Subject } from './subject';

/** Where a written reading came from. */
export type Origin = 'own' | 'partner' | 'teacher' | 'simulated' | 'balance';

/** Something that was written. Entries are only ever added; everything else is derived from them. */
export type Entry = Subject & EntryHead;

export interface EntryHead {
  readonly id: string;
  readonly text: string;
  readonly tag: string;
  readonly reader: string;
  /** Where the number came from; one's own eyes unless it says otherwise. */
  readonly origin?: Origin;
  readonly writtenAt: string;
  /** When it was stored; absent while it waits. */
  readonly receivedAt?: string;
  /** Whose clock `writtenAt` is by; the writer's unless that one cannot be right. */
  readonly timedBy?: 'writer' | 'receipt';
  /** The entry that this one strikes out, as its writer saw the cell; null when the cell looked empty. */
  readonly replaces: string | null;
  readonly reason: string | null;
}

export interface Cell {
  readonly current: Entry;
  /** Struck entries, oldest first, each with the entry that struck it. */
  readonly struck: readonly { readonly entry: Entry; readonly by: Entry }[];
  /** Entries that say the same as the current one, by who had not seen it. */
  readonly agreed?: readonly Entry[];
  /** True when two readers wrote this cell differently without seeing each other's entry. */
  readonly collided: boolean;
}

/**
 * The table that a list of entries, in the order in which they arrived, amounts to. A later entry strikes the one
 * that stands. When its writer had not seen that one and wrote something else, both stay readable and the cell says that two wrote it.
 */
export function tableOf(entries: readonly Entry[]): ReadonlyMap<string, Cell> {
  const table = new Map<string, Cell>();
  for (const entry of entries) {
    const key = subjectKey(entry);
    const before = table.get(key);
    // Two who wrote the same agree; nothing is struck, and nobody has to decide.
    const isValue = entry.kind === 'reading' || entry.kind === 'mean';
    if (before && isValue && entry.replaces === null && entry.text.trim() === before.current.text.trim()) {
      table.set(key, { ...before, agreed: [...(before.agreed ?? []), entry] });
      continue;
    }
    const known = before ? [before.current, ...(before.agreed ?? [])] : [];
    const unseen = before !== undefined && !known.some(({ id }) => id === entry.replaces);
    table.set(key, {
      current: entry,
      struck: before ? [...before.struck, { entry: before.current, by: entry }] : [],
      collided: unseen || (before?.collided === true && entry.reason === null),
    });
  }
  return table;
}

/** `Ada Lind` → `AL`. */
export const initials = (name: string): string =>
  name
    .split(/\s+/)
    .filter(Boolean)
    .map((part) => [...part][0]?.toUpperCase() ?? '')
    .join('');
