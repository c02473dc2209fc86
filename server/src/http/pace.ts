import { LRUCache } from 'lru-cache';
import { Problem } from './problem';

/** So many of something in so long: more than anybody does by hand. */
export interface Pace {
  readonly most: number;
  readonly inMs: number;
  /** What is said to who is faster. */
  readonly says: string;
}

/**
 * Counts what each person does, and refuses what nobody does by hand. Each process counts by itself: it holds back who floods, and
 * decides nothing that counts.
 */
export class Paces {
  readonly #at = new LRUCache<string, number[]>({ max: 20_000 });

  /** @throws Problem where it is too much at once */
  count(name: string, personId: string, now: number, { most, inMs, says }: Pace): void {
    const key = `${name} ${personId}`;
    const recent = (this.#at.get(key) ?? []).filter((at) => at > now - inMs);
    if (recent.length >= most) {
      const waitMs = (recent[0] ?? now) + inMs - now;
      throw new Problem('too-fast', says, { 'retry-after': String(Math.max(1, Math.ceil(waitMs / 1000))) });
    }
    this.#at.set(key, [...recent, now]);
  }
}

const minute = 60_000;

/** What a person may take. */
export const paces = {
  exercises: {
    most: 120,
    inMs: 5 * minute,
    says: 'You have taken 120 settings and items in five minutes. Answer the one before you, then take the next.',
  },
  balance: {
    most: 40,
    inMs: 5 * minute,
    says: 'You have kept 40 readings of the balance in five minutes. Write down the ones that you need, then go on.',
  },
  blocks: {
    most: 4,
    inMs: 5 * minute,
    says: 'You have pasted four large tables in five minutes. What you pasted is kept, and sent when it is time.',
  },
  formulas: {
    most: 100,
    inMs: 5 * minute,
    says: 'You have sent 100 formulas in five minutes. They are kept. Wait a moment, then go on.',
  },
} as const satisfies Readonly<Record<string, Pace>>;
