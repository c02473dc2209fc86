import { paths, type LiveEvent } from '@green-beam/contract';
import { addressFor } from '../api';

/** What a tab hears: an event, or how it is with the line. */
export type Heard = LiveEvent | { readonly line: 'open' | 'again' | 'down' | 'refused' };

const refusedPauseMs = 5_000;

/**
 * The one event stream of this browser. The tabs agree on one that holds it and tells the others; when that one closes, another
 * takes over. @returns what ends it for this tab
 */
export function listenTogether(person: string, hear: (heard: Heard) => void): () => void {
  const end = new AbortController();
  const name = `green-beam/stream/${person}`;
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(name);
  let state: 'open' | 'down' = 'open';
  const pass = (heard: Heard | { readonly ask: true }) => channel?.postMessage(heard);
  const tell = (heard: Heard) => {
    if ('line' in heard) state = heard.line === 'open' || heard.line === 'again' ? 'open' : 'down';
    hear(heard);
    pass(heard);
  };
  let holds = false;
  channel?.addEventListener('message', ({ data }: MessageEvent<Heard | { readonly ask: true }>) => {
    if ('ask' in data) {
      if (holds) pass({ line: state });
    } else hear(data);
  });
  const hold = () =>
    new Promise<void>((done) => {
      holds = true;
      const close = open(tell);
      end.signal.addEventListener('abort', () => {
        close();
        done();
      });
    });
  if (navigator.locks)
    navigator.locks.request(name, { signal: end.signal }, hold).catch((error: unknown) => {
      if (!end.signal.aborted) throw error;
    });
  else void hold();
  pass({ ask: true });
  return () => {
    end.abort();
    channel?.close();
  };
}

/** Opens the stream and keeps it open. @returns what closes it */
function open(tell: (heard: Heard) => void): () => void {
  let stream: EventSource;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let lost = false;
  const start = () => {
    stream = new EventSource(addressFor(paths.events));
    stream.onopen = () => {
      // What happened while the line was down was not heard.
      tell({ line: lost ? 'again' : 'open' });
      lost = false;
    };
    stream.onerror = () => {
      lost = true;
      const refused = stream.readyState === EventSource.CLOSED;
      tell({ line: refused ? 'refused' : 'down' });
      if (refused) timer = setTimeout(start, refusedPauseMs);
    };
    stream.onmessage = ({ data }: MessageEvent<string>) => tell(JSON.parse(data) as LiveEvent);
  };
  start();
  return () => {
    clearTimeout(timer);
    stream.close();
  };
}
