import { setImmediate } from 'node:timers/promises';

/** Does the same with each, one after another; others are answered in between. */
export async function inTurn<T, R>(items: Iterable<T>, act: (item: T) => R | Promise<R>): Promise<R[]> {
  const done: R[] = [];
  for (const item of items) {
    done.push(await act(item));
    await setImmediate();
  }
  return done;
}
