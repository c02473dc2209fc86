import type { Level } from '@green-beam/core';

export const levelNames: Readonly<Record<Level, string>> = {
  first: 'for a first course',
  usual: 'usual',
  demanding: 'demanding',
};
