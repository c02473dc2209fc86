import { randomUUID } from 'node:crypto';

/** A logbook is handed in. */
export const handingIn = () =>
  entry({ column: undefined, kind: 'hand-in', trial: 0, of: '', text: 'handed in' });

/** An entry as a page would send it, with some of it otherwise. */
export const entry = (rest: object = {}) => ({
  id: randomUUID(),
  trial: 1,
  column: 'mass',
  text: '214.6',
  replaces: null,
  reason: null,
  writtenAt: new Date().toISOString(),
  ...rest,
});
