import type { CallReason } from '@green-beam/contract';

export const reasonWords: Readonly<Record<CallReason, string>> = {
  help: 'we need help',
  check: 'check our data',
};
