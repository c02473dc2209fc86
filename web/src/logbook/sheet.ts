import type { LogbookAnswer } from '@green-beam/contract';
import { tagInUse, type Onlooker } from '@green-beam/core';
import { useMemo } from 'react';
import { useWho } from '../session/who';
import type { Book } from './book';

/** What of a logbook its cells go by. It stays the same while entries come. */
export interface Sheet extends Pick<LogbookAnswer, 'id' | 'investigation' | 'conventions' | 'mayWrite'> {
  readonly onlooker: Onlooker;
  /** On what the pieces of the plan are read now, by their tags; those that are read themselves are not there. */
  readonly inUse: Readonly<Record<string, string>>;
}

/** Whose eyes a page of a logbook is for: who may write in it, by name, or staff. */
export const onlookerOf = (mayWrite: boolean, reader: string): Onlooker => (mayWrite ? { reader } : 'staff');

export function useSheet({
  answer: { id, investigation, conventions, mayWrite },
  plan: { kit },
  table,
}: Book): Sheet {
  const { name: reader } = useWho();
  const other = kit.flatMap(({ tag }) => {
    const now = tagInUse(table, tag);
    return now === tag ? [] : [[tag, now] as const];
  });
  const signature = JSON.stringify(other);
  return useMemo(
    () => ({
      id,
      investigation,
      conventions,
      mayWrite,
      onlooker: onlookerOf(mayWrite, reader),
      inUse: Object.fromEntries(JSON.parse(signature) as [string, string][]),
    }),
    [id, investigation, conventions, mayWrite, reader, signature],
  );
}
