import { useState } from 'react';
import { sentenceFor } from '../api';
import { NotKept } from './outbox';

/**
 * For a form whose text goes into the outbox: `keep` tells whether it was kept, so that the text is let go only then, and `trouble`
 * is what to say in the form where it was not.
 */
export function useKeeping(): readonly [
  keep: (kept: Promise<void>) => Promise<boolean>,
  trouble: string | null,
] {
  const [trouble, setTrouble] = useState<string | null>(null);
  const keep = async (kept: Promise<void>) => {
    try {
      await kept;
      setTrouble(null);
      return true;
    } catch (error) {
      setTrouble(error instanceof NotKept ? error.message : sentenceFor(error));
      return false;
    }
  };
  return [keep, trouble];
}
