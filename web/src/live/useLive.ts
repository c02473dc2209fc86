import type { LiveEvent } from '@green-beam/contract';
import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { patchBoard } from '../answers/board';
import { arrive, catchUp } from '../answers/logbook';
import { sessionKey } from '../session/who';
import { listenTogether } from './stream';

/** Listens for what changed and has the pages follow. Tells whether the line is open. */
export function useLive(person: string): boolean {
  const queries = useQueryClient();
  const [open, setOpen] = useState(true);
  useEffect(
    () =>
      listenTogether(person, (heard) => {
        if ('changed' in heard) return follow(queries, heard);
        setOpen(heard.line === 'open' || heard.line === 'again');
        if (heard.line === 'again') void queries.invalidateQueries();
        if (heard.line === 'refused') void queries.invalidateQueries({ queryKey: sessionKey });
      }),
    [person, queries],
  );
  return open;
}

function follow(queries: QueryClient, event: LiveEvent): void {
  const again = (...queryKey: string[]) => void queries.invalidateQueries({ queryKey });
  switch (event.changed) {
    case 'logbook':
      if (event.arrived) arrive(queries, event.logbookId, event.arrived);
      else void catchUp(queries, event.logbookId);
      again('logbooks');
      again('reviews', event.logbookId);
      break;
    case 'board':
      void patchBoard(queries, event.classId, event.students);
      for (const logbookId of event.logbooks) void catchUp(queries, logbookId);
      break;
    case 'question':
      again('question');
      again('tasks');
      // What was held back may be told now.
      for (const of of ['setting', 'bench', 'drill', 'drills']) again(of);
      again('classShow', event.classId);
      break;
    case 'calls':
      again('call');
      again('calls', event.classId);
      break;
    case 'answers':
      again('classShow', event.classId);
      break;
    case 'classes':
    case 'session':
      again(...sessionKey);
  }
}
