/** What tabs of one browser tell each other of the session. */
export type SessionWord =
  /** Somebody signed in, or signed in again. */
  | { readonly entered: string }
  /** Somebody signed out: no page of theirs stays open. */
  | { readonly left: string }
  /** Somebody's session has ended by itself. */
  | { readonly ended: string };

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('green-beam/session');
const here = new Set<(word: SessionWord) => void>();

/** Tells every tab of this browser, this one too. */
export function tellTabs(word: SessionWord): void {
  channel?.postMessage(word);
  here.forEach((hear) => hear(word));
}

export function hearTabs(hear: (word: SessionWord) => void): () => void {
  const listener = ({ data }: MessageEvent<SessionWord>) => hear(data);
  channel?.addEventListener('message', listener);
  here.add(hear);
  return () => {
    channel?.removeEventListener('message', listener);
    here.delete(hear);
  };
}
