import { expect, it } from 'vitest';
import { Hashes } from './hashes';

/** Work that waits until it is let go; `begun` tells the order. */
function stage(atOnce = 1) {
  const hashes = new Hashes(atOnce);
  const begun: string[] = [];
  const open: (() => void)[] = [];
  const ask = (name: string, device: string, known = false) =>
    hashes.run(device, known, async () => {
      begun.push(name);
      await new Promise<void>((done) => open.push(done));
      return name;
    });
  const next = async () => {
    open.shift()?.();
    await new Promise((resolve) => setImmediate(resolve));
  };
  return { hashes, begun, ask, next };
}

it('works a few at once, devices in turn, and known ones first', async () => {
  const { hashes, begun, ask, next } = stage();
  const all = [
    ...['g1', 'g2', 'g3', 'g4'].map((name) => ask(name, 'guesser')),
    ask('a', 'device of a'),
    ask('b', 'device of b'),
    ask('c', 'device of c', true),
  ];
  expect(begun).toEqual(['g1']);
  expect(hashes.waiting).toBe(6);
  for (let turn = 0; turn < 7; turn += 1) await next();
  expect(await Promise.all(all)).toHaveLength(7);
  expect(begun).toEqual(['g1', 'c', 'g2', 'a', 'b', 'g3', 'g4']);
  expect(hashes.waiting).toBe(0);
});

it('goes on after work that failed', async () => {
  const hashes = new Hashes();
  await expect(hashes.run('a', false, () => Promise.reject(new Error('no')))).rejects.toThrow('no');
  expect(await hashes.run('b', false, () => Promise.resolve(2))).toBe(2);
});

it('refuses those that come when the queue is full, and never those who were here before', async () => {
  const { ask, next } = stage();
  const waiting = Array.from({ length: 151 }, (_, nth) => ask(`g${nth}`, `device ${nth}`));
  await expect(ask('one more', 'another')).rejects.toMatchObject({ code: 'sign-in-busy', status: 429 });
  const known = ask('known', 'own', true);
  for (let turn = 0; turn < 153; turn += 1) await next();
  expect(await known).toBe('known');
  expect(await Promise.all(waiting)).toHaveLength(151);
});

it('does not work for those who have gone meanwhile', async () => {
  const { hashes, begun, ask, next } = stage();
  const first = ask('first', 'a');
  let there = true;
  const left = expect(
    hashes.run(
      'b',
      false,
      () => Promise.resolve(begun.push('left')),
      () => !there,
    ),
  ).rejects.toMatchObject({ code: 'sign-in-busy' });
  const last = ask('last', 'c');
  there = false;
  await next();
  await left;
  await next();
  expect(await Promise.all([first, last])).toEqual(['first', 'last']);
  expect(begun).toEqual(['first', 'last']);
});
