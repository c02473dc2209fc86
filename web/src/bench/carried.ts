import { useState } from 'react';
import { storage } from '../browser/storage';
import { useWho } from '../session/who';

/** A right reading that was taken along from the bench, for a cell of a logbook. */
export interface Carried {
  readonly attemptId: string;
  readonly kind: string;
  /** The make of it. */
  readonly model: string;
  readonly text: string;
  readonly unit: string;
}

const keyFor = (personId: string): string => `green-beam/carried/${personId}`;

/** What was taken along last, and how to let go of it. */
export function useCarried(): readonly [carried: Carried | null, letGo: () => void] {
  const key = keyFor(useWho().id);
  const [carried, setCarried] = useState<Carried | null>(() => {
    try {
      return JSON.parse(storage.getItem(key) ?? 'null') as Carried | null;
    } catch {
      return null;
    }
  });
  return [
    carried,
    () => {
      storage.removeItem(key);
      setCarried(null);
    },
  ];
}

/** Takes a reading along. */
export function useCarry(): (carried: Carried) => void {
  const key = keyFor(useWho().id);
  return (carried) => storage.setItem(key, JSON.stringify(carried));
}
