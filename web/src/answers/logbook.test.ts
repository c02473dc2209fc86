import { eventually } from '@green-beam/core/test/eventually';
import type { Entry } from '@green-beam/core';
import { QueryClient } from '@tanstack/react-query';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { arrive, catchUp, keyOf, type KeptLogbook } from './logbook';

const entry = (id: string): Entry => ({
  id,
  kind: 'reading',
  trial: 1,
  column: 'mass',
  text: id,
  tag: '',
  reader: 'Ada Lind',
  writtenAt: '',
  replaces: null,
  reason: null,
});
const book = (entries: readonly Entry[], last: number, sent: readonly Entry[] = []) =>
  ({ id: 'b', entries, last, sent }) as unknown as KeptLogbook;
const holding = (kept: KeptLogbook) => {
  const queries = new QueryClient();
  queries.setQueryData(keyOf('b'), kept);
  return queries;
};
const ids = (queries: QueryClient) => {
  const kept = queries.getQueryData<KeptLogbook>(keyOf('b'));
  return [kept?.entries.map(({ id }) => id), kept?.sent?.map(({ id }) => id), kept?.last];
};
/** A server that knows entries by their numbers. */
const serve = (all: readonly (readonly [number, Entry])[]) => {
  const asked: number[] = [];
  vi.stubGlobal('fetch', async (path: string) => {
    const after = Number(new URL(path, 'http://x').searchParams.get('after'));
    asked.push(after);
    const later = all.filter(([number]) => number > after);
    return Response.json({ entries: later.map(([, own]) => own), last: later.at(-1)?.[0] ?? after });
  });
  return asked;
};

afterEach(() => vi.unstubAllGlobals());

describe('a kept logbook', () => {
  it('has what was sent at once, and in its order once that has come back', async () => {
    const queries = holding(book([entry('a')], 1));
    serve([
      [1, entry('a')],
      [2, entry('mate')],
      [3, entry('mine')],
    ]);
    // Another entry came between: it is fetched.
    arrive(queries, 'b', { entries: [entry('mine')], after: 2, last: 3 });
    expect(ids(queries)).toEqual([['a'], ['mine'], 1]);
    await eventually(() => expect(ids(queries)).toEqual([['a', 'mate', 'mine'], [], 3]));
  });

  it.each([
    ['not there yet', []],
    ['there already', [entry('a')]],
  ] as const)('that is on its way and %s has what arrived before it came', async (_, before) => {
    const queries = before.length > 0 ? holding(book(before, 1)) : new QueryClient();
    serve([
      [1, entry('a')],
      [2, entry('b')],
    ]);
    let come: (kept: KeptLogbook) => void = () => undefined;
    const fetched = queries.fetchQuery({
      queryKey: keyOf('b'),
      queryFn: () => new Promise<KeptLogbook>((done) => (come = done)),
    });
    await eventually(() => expect(queries.isFetching()).toBe(1));
    arrive(queries, 'b', { entries: [entry('b')], after: 1, last: 2 });
    await catchUp(queries, 'b');
    // It was read before.
    come(book([entry('a')], 1));
    await fetched;
    await eventually(() => expect(ids(queries)[0]).toEqual(['a', 'b']));
  });

  it('takes what comes right after its last without asking, once', () => {
    const queries = holding(book([entry('a')], 1));
    const asked = serve([]);
    const next = { entries: [entry('b'), entry('c')], after: 1, last: 4 };
    arrive(queries, 'b', next);
    arrive(queries, 'b', next);
    expect(ids(queries)).toEqual([['a', 'b', 'c'], [], 4]);
    expect(asked).toEqual([]);
  });

  it('asks where it is not known what came before', async () => {
    const queries = holding(book([entry('a')], 1));
    serve([
      [1, entry('a')],
      [2, entry('b')],
    ]);
    arrive(queries, 'b', { entries: [entry('b')], after: null, last: null });
    await eventually(() => expect(ids(queries)).toEqual([['a', 'b'], [], 2]));
  });

  it('asks only for what came after, and once more when asked while it asks', async () => {
    const queries = holding(book([entry('a')], 1));
    const asked = serve([
      [1, entry('a')],
      [2, entry('c')],
    ]);
    await Promise.all([catchUp(queries, 'b'), catchUp(queries, 'b')]);
    await eventually(() => expect(asked).toEqual([1, 2]));
    expect(ids(queries)).toEqual([['a', 'c'], [], 2]);
  });

  it('stays as it is while the line is down, and for a book that is not open', async () => {
    const queries = holding(book([entry('a')], 1));
    vi.stubGlobal('fetch', () => Promise.reject(new Error('offline')));
    await catchUp(queries, 'b');
    expect(ids(queries)).toEqual([['a'], [], 1]);
    await catchUp(new QueryClient(), 'b');
  });
});
