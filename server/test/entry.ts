import { randomUUID } from 'node:crypto';

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
