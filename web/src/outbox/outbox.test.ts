import { describe, expect, it, vi } from 'vitest';
import { ApiProblem, NoConnection } from '../api';
import { Outbox, type Keep } from './outbox';

const memory = (): Keep & { readonly items: Map<string, string> } => {
  const items = new Map<string, string>();
  return {
    items,
    getItem: (key) => items.get(key) ?? null,
    setItem: (key, value) => void items.set(key, value),
  };
};
const parcel = (id: string) => ({ id, path: '/api/entries', body: { id } });

describe('the outbox', () => {
  it('sends in order and lets go only of what was taken', async () => {
    const sent: string[] = [];
    const outbox = new Outbox('me', memory(), async (_, body) => sent.push((body as { id: string }).id));
    outbox.add(parcel('a'));
    outbox.add(parcel('b'));
    await vi.waitFor(() => expect(outbox.parcels).toEqual([]));
    expect(sent).toEqual(['a', 'b']);
  });

  it('keeps everything while the server is away, over a reload, and sends it once it is back', async () => {
    vi.useFakeTimers();
    const keep = memory();
    let away = true;
    const sent: string[] = [];
    const send = async (_: string, body: object) => {
      if (away) throw new NoConnection();
      sent.push((body as { id: string }).id);
    };
    const before = new Outbox('me', keep, send);
    before.add(parcel('a'));
    before.add(parcel('b'));
    await vi.advanceTimersByTimeAsync(20_000);
    expect(before.parcels.map(({ id }) => id)).toEqual(['a', 'b']);

    const after = new Outbox('me', keep, send);
    expect(after.parcels).toHaveLength(2);
    away = false;
    await after.flush();
    expect(sent).toEqual(['a', 'b']);
    vi.useRealTimers();
  });

  it('sets a refused parcel aside with its sentence, and goes on', async () => {
    const outbox = new Outbox('me', memory(), async (_, body) => {
      if ((body as { id: string }).id === 'a')
        throw new ApiProblem('not-valid', 422, 'A correction says why.');
    });
    outbox.add(parcel('a'));
    outbox.add(parcel('b'));
    await vi.waitFor(() =>
      expect(outbox.parcels).toEqual([{ ...parcel('a'), refused: 'A correction says why.' }]),
    );
    outbox.discard('a');
    expect(outbox.parcels).toEqual([]);
  });

  it.each([
    ['signed out', new ApiProblem('not-signed-in', 401, '')],
    ['too many tries', new ApiProblem('too-many-tries', 429, '')],
    ['a fault of the server', new ApiProblem('unexpected', 500, '')],
  ])('waits when the answer is: %s', async (_, problem) => {
    vi.useFakeTimers();
    const outbox = new Outbox('me', memory(), async () => {
      throw problem;
    });
    outbox.add(parcel('a'));
    await vi.advanceTimersByTimeAsync(100);
    expect(outbox.parcels).toEqual([parcel('a')]);
    vi.useRealTimers();
  });

  it('keeps each person’s parcels apart, and survives a spoilt storage', () => {
    const keep = memory();
    new Outbox('me', keep, () => new Promise(() => undefined)).add(parcel('a'));
    expect(new Outbox('you', keep, async () => undefined).parcels).toEqual([]);
    keep.items.set('green-beam/outbox/you', '{not json');
    expect(new Outbox('you', keep, async () => undefined).parcels).toEqual([]);
  });
});
