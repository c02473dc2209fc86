import { paths, type LiveEvent } from '@green-beam/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { catchUp } from '../logbook/kept';

/** Listens for what changed and has the pages fetch it again. Tells whether the line is open. */
export function useLive(): boolean {
  const queries = useQueryClient();
  const [open, setOpen] = useState(true);
  useEffect(() => {
    const stream = new EventSource(paths.events);
    let lost = false;
    stream.onopen = () => {
      setOpen(true);
      // What happened while the line was down was not heard.
      if (lost) void queries.invalidateQueries();
      lost = false;
    };
    stream.onerror = () => {
      lost = true;
      setOpen(false);
    };
    stream.onmessage = ({ data }: MessageEvent<string>) => {
      const event = JSON.parse(data) as LiveEvent;
      if (event.changed === 'logbook') void catchUp(queries, event.logbookId);
      const keys =
        event.changed === 'logbook'
          ? [['logbooks']]
          : event.changed === 'show'
            ? [['show'], ['classShow', event.classId]]
            : [['board', event.classId]];
      for (const queryKey of keys) void queries.invalidateQueries({ queryKey });
    };
    return () => stream.close();
  }, [queries]);
  return open;
}
