import { eventually } from '@green-beam/core/test/eventually';
import { seeded } from '@green-beam/core';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Locks } from '../../test/locks';
import { ApiProblem, NoConnection } from '../api';
import { parcelsOf } from '../browser/database';
import { NotKept, Outbox } from './outbox';
import type { Parcel, ParcelStore } from '../browser/parcel';
import type { Send } from './sender';

const parcel = (id: string, rest: object = {}): Parcel => ({
  id,
  path: '/api/entries',
  body: { id },
  ...rest,
});
const opened: Outbox[] = [];
afterEach(() => opened.splice(0).forEach((outbox) => outbox.close()));

/** One tab of a browser; tabs that are given the same locks are in the same one. */
function tab(
  send: Send,
  { person = 'me', locks = new Locks(), store = parcelsOf(person) as ParcelStore } = {},
) {
  const outbox = new Outbox({
    store,
    send,
    alone: (act) => locks.request(person, act) as ReturnType<typeof act>,
    now: Date.now,
    channel: new BroadcastChannel(`test/${person}`),
  });
  opened.push(outbox);
  return outbox;
}
const ids = ({ parcels }: Outbox) => parcels.map(({ id }) => id);

describe('the outbox', () => {
  it('sends in order and lets go only of what was taken', async () => {
    const sent: string[] = [];
    const outbox = tab(async ({ id }) => sent.push(id));
    await Promise.all([outbox.add(parcel('a')), outbox.add(parcel('b'))]);
    await eventually(() => expect(outbox.parcels).toEqual([]));
    expect(sent).toEqual(['a', 'b']);
    expect(await parcelsOf('me').all()).toEqual([]);
  });

  it('keeps everything while the server is away, over a reload, and sends it once it is back', async () => {
    let away = true;
    const sent: string[] = [];
    const send: Send = async ({ id }) => {
      if (away) throw new NoConnection();
      sent.push(id);
    };
    const before = tab(send);
    await before.add(parcel('a'));
    await before.add(parcel('b'));
    before.close();
    const after = tab(send);
    await after.refresh();
    expect(ids(after)).toEqual(['a', 'b']);
    away = false;
    await after.flush();
    expect(sent).toEqual(['a', 'b']);
  });

  it('sets a refused parcel aside with its sentence, goes on, and sends it again when asked', async () => {
    let refuses = true;
    const outbox = tab(async ({ id }) => {
      if (id === 'a' && refuses) throw new ApiProblem('not-valid', 422, 'A correction says why.');
    });
    await outbox.add(parcel('a'));
    await outbox.add(parcel('b'));
    await eventually(() =>
      expect(outbox.parcels).toMatchObject([{ id: 'a', refused: 'A correction says why.' }]),
    );
    refuses = false;
    await outbox.again('a');
    await eventually(() => expect(outbox.parcels).toEqual([]));
  });

  it('lets go of a refused parcel only when its writer puts it aside', async () => {
    const outbox = tab(async () => {
      throw new ApiProblem('not-valid', 422, 'no');
    });
    await outbox.add(parcel('a'));
    await eventually(() => expect(outbox.parcels[0]?.refused).toBe('no'));
    await outbox.discard('a');
    expect(await parcelsOf('me').all()).toEqual([]);
  });

  it.each([
    ['signed out', new ApiProblem('not-signed-in', 401, '')],
    ['somebody else is signed in', new ApiProblem('other-person', 401, '')],
    ['the printed password has to be changed first', new ApiProblem('password-first', 403, '')],
    ['too many tries', new ApiProblem('too-many-tries', 429, '')],
    ['the database is away', new ApiProblem('unavailable', 503, '')],
    ['a fault of the server', new ApiProblem('unexpected', 500, '')],
  ])('waits when the answer is: %s', async (_, problem) => {
    const outbox = tab(async () => {
      throw problem;
    });
    await outbox.add(parcel('a'));
    await new Promise((resolve) => setTimeout(resolve, 30));
    expect(outbox.parcels).toMatchObject([{ id: 'a' }]);
    expect(outbox.parcels[0]?.refused).toBeUndefined();
  });

  it('has a parcel that the server stumbles over again and again step aside, and what needs it wait', async () => {
    const sent: string[] = [];
    const outbox = tab(async ({ id }) => {
      if (id === 'a') throw new ApiProblem('unexpected', 500, '');
      sent.push(id);
    });
    await outbox.add(parcel('a'));
    await outbox.add(parcel('b', { needs: ['a'] }));
    await outbox.add(parcel('c'));
    for (let go = 0; go < 4; go += 1) await outbox.flush();
    await eventually(() => expect([sent, ids(outbox)]).toEqual([['c'], ['a', 'b']]));
    expect(outbox.parcels[0]).toMatchObject({ stumbles: 3 });
  });

  it('goes on where the page stumbles over an answer: what was sent is sent', async () => {
    const sent: string[] = [];
    const outbox = tab(async ({ id }) => sent.push(id));
    const stumbled = vi.fn();
    process.once('unhandledRejection', stumbled);
    outbox.onSent(({ parcel: { id } }) => {
      if (id === 'a') throw new Error('a fault of the page');
    });
    await outbox.add(parcel('a'));
    await eventually(async () => expect(await parcelsOf('me').all()).toEqual([]));
    await outbox.add(parcel('b'));
    await eventually(() => expect(sent).toEqual(['a', 'b']));
    expect(stumbled).toHaveBeenCalledOnce();
  });

  it('shows in no tab for long what another tab has sent', async () => {
    const locks = new Locks();
    const [one, other] = [tab(async () => ({}), { locks }), tab(async () => ({}), { locks })];
    for (let nth = 0; nth < 60; nth += 1) await one.add(parcel(`p${nth}`));
    await eventually(() => expect([one.parcels, other.parcels]).toEqual([[], []]));
  });

  it('keeps each person’s parcels apart', async () => {
    await tab(() => Promise.reject(new NoConnection())).add(parcel('a'));
    const other = tab(async () => undefined, { person: 'you' });
    await other.refresh();
    expect(other.parcels).toEqual([]);
  });

  it('two tabs at machine speed: 600 parcels, none lost, none doubled, order kept', async () => {
    const locks = new Locks();
    const random = seeded(7);
    const sent: string[] = [];
    const heard: string[][] = [[], []];
    const send: Send = async ({ id }) => {
      sent.push(id);
      if (random.chance(0.02)) throw new NoConnection();
      return {};
    };
    const tabs = [tab(send, { locks }), tab(send, { locks })];
    tabs.forEach((own, at) => own.onSent(({ parcel: { id } }) => heard[at]?.push(id)));
    for (let nth = 0; nth < 300; nth += 1)
      await Promise.all(tabs.map((own, at) => own.add(parcel(`${at}-${nth}`))));
    await eventually(async () => {
      await tabs[0]?.flush();
      expect(await parcelsOf('me').all()).toEqual([]);
    });
    // One that was answered with a lost connection came again at once, before the next: never twice in another place.
    const order = sent.filter((id, at) => id !== sent[at - 1]);
    expect(new Set(order).size).toBe(600);
    expect(order).toHaveLength(600);
    for (const at of ['0', '1'])
      expect(order.filter((id) => id.startsWith(`${at}-`))).toEqual(
        Array.from({ length: 300 }, (_, nth) => `${at}-${nth}`),
      );
    await eventually(() => expect(heard.map((own) => new Set(own).size)).toEqual([600, 600]));
  });
});

describe('a browser that keeps nothing', () => {
  const full: ParcelStore = {
    all: async () => [],
    add: () => Promise.reject(new DOMException('', 'QuotaExceededError')),
    put: async () => undefined,
    remove: async () => undefined,
  };

  it('sends at once, and says so where that cannot be', async () => {
    let away = false;
    const sent: string[] = [];
    const outbox = tab(
      async ({ id }) => {
        if (away) throw new NoConnection();
        sent.push(id);
      },
      { store: full },
    );
    const heard: string[] = [];
    outbox.onSent(({ parcel: { id } }) => heard.push(id));
    await outbox.add(parcel('a'));
    expect([sent, heard]).toEqual([['a'], ['a']]);
    away = true;
    await expect(outbox.add(parcel('b'))).rejects.toThrow(NotKept);
  });

  it('tells a refusal in the field', async () => {
    const outbox = tab(
      async () => {
        throw new ApiProblem('not-valid', 422, 'A correction says why.');
      },
      { store: full },
    );
    await expect(outbox.add(parcel('a'))).rejects.toThrow('A correction says why.');
  });
});
