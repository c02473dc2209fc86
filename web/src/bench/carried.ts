import { useState } from 'react';
import { ownTexts } from '../browser/storage';
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
  const { id } = useWho();
  const [key, own] = [keyFor(id), ownTexts(id)];
  const [carried, setCarried] = useState<Carried | null>(() => {
    try {
      return JSON.parse(own.getItem(key) ?? 'null') as Carried | null;
    } catch {
      return null;
    }
  });
  return [
    carried,
    () => {
      own.removeItem(key);
      setCarried(null);
    },
  ];
}

/** Takes a reading along. */
export function useCarry(): (carried: Carried) => void {
  const { id } = useWho();
  return (carried) => ownTexts(id).setItem(keyFor(id), JSON.stringify(carried));
}
