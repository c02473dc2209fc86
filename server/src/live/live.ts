import { EventEmitter } from 'node:events';
import type { LiveEvent, Who } from '@green-beam/contract';
import type { Response } from 'express';

/** Something changed; `readers` are the students who may be told besides the staff of the class. */
export type Change = LiveEvent & { readonly readers: readonly string[] };

export interface Live {
  tell(change: Change): void;
  /** Keeps a response open as an event stream until the other side goes away. */
  listen(who: Who, response: Response): void;
  close(): void;
}

const heartbeatMs = 20_000;

/** Tells open pages what to fetch again. One process: the changes pass through memory. */
export function createLive(): Live {
  const changes = new EventEmitter().setMaxListeners(0);
  const open = new Set<Response>();
  return {
    tell: (change) => void changes.emit('change', change),
    listen: (who, response) => {
      response.set({
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      });
      response.flushHeaders();
      response.write('retry: 1000\n\n');
      const send = ({ readers, ...event }: Change) => {
        const concerns =
          who.role === 'teacher'
            ? who.classes.some(({ id }) => id === event.classId)
            : readers.includes(who.id);
        if (concerns) response.write(`data: ${JSON.stringify(event)}\n\n`);
      };
      const heartbeat = setInterval(() => response.write(': still here\n\n'), heartbeatMs);
      changes.on('change', send);
      open.add(response);
      response.on('close', () => {
        clearInterval(heartbeat);
        changes.off('change', send);
        open.delete(response);
      });
    },
    close: () => open.forEach((response) => response.end()),
  };
}
