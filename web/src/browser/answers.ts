import { dehydrate, hydrate, type DehydratedState, type QueryClient } from '@tanstack/react-query';
import { database } from './database';
import { isHeld, opened, sealed } from './keys';

/** What can be gone on with without the server. */
const worthKeeping = new Set(['logbook', 'logbooks', 'bench', 'setting', 'conventions', 'drills', 'drill']);
const pauseMs = 2_000;
const longestAgeMs = 14 * 86_400_000;
interface KeptAnswers {
  readonly at: number;
  readonly shape: number;
  readonly state: DehydratedState;
}

/** Answers of another shape are let go: the server has them. */
const shape = 2;

/**
 * Keeps this person's answers of the server in the browser's database from now on: a little after they changed, and at once when
 * the page goes. @returns what ends it
 */
export function keepAnswers(queries: QueryClient, person: string): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const write = async () => {
    clearTimeout(timer);
    timer = undefined;
    const state = dehydrate(queries, {
      shouldDehydrateQuery: ({ queryKey, state: { status } }) =>
        status === 'success' && worthKeeping.has(String(queryKey[0])),
      shouldDehydrateMutation: () => false,
    });
    if (!isHeld(person)) return;
    const kept: KeptAnswers = { at: Date.now(), shape, state };
    const locked = sealed(person, JSON.stringify(kept));
    const at = (await database()).transaction('answers', 'readwrite');
    const done = at.store.put(locked, person);
    // Now, not when the page has time for it: it may be going.
    at.commit();
    await done;
  };
  const flush = () => timer !== undefined && void write().catch(() => undefined);
  const end = queries.getQueryCache().subscribe(({ type, query }) => {
    if (type === 'updated' && query.state.status === 'success' && worthKeeping.has(String(query.queryKey[0])))
      timer ??= setTimeout(flush, pauseMs);
  });
  const onHide = () => document.visibilityState === 'hidden' && flush();
  addEventListener('pagehide', flush);
  document.addEventListener('visibilitychange', onHide);
  return () => {
    clearTimeout(timer);
    end();
    removeEventListener('pagehide', flush);
    document.removeEventListener('visibilitychange', onHide);
  };
}

/** Puts back what was kept, for a start without the server. Never throws. */
export async function bringBackAnswers(queries: QueryClient, person: string): Promise<void> {
  try {
    const locked = await (await database()).get('answers', person);
    const plain = locked === undefined ? null : opened(person, locked);
    const kept = plain === null ? null : (JSON.parse(plain) as KeptAnswers);
    if (kept?.shape === shape && Date.now() - kept.at < longestAgeMs) hydrate(queries, kept.state);
  } catch {
    // This browser keeps nothing.
  }
}
