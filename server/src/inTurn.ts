import { setImmediate, setTimeout } from 'node:timers/promises';

/** Does the same with each, one after another; others are answered in between. */
export async function inTurn<T, R>(items: Iterable<T>, act: (item: T) => R | Promise<R>): Promise<R[]> {
  const done: R[] = [];
  for (const item of items) {
    done.push(await act(item));
    await setImmediate();
  }
  return done;
}

/** The same for what is long: after each it rests twice as long as that took, so that others are held up little. */
export const atLeisure = <T, R>(items: Iterable<T>, act: (item: T) => R | Promise<R>): Promise<R[]> =>
  inTurn(items, async (item) => {
    const began = performance.now();
    const done = await act(item);
    await setTimeout(2 * (performance.now() - began));
    return done;
  });
