import { object, string, type InferType } from 'yup';
import { clientId } from './fields';

/** What a bench may call its teacher for. */
export const callReasons = ['help', 'check'] as const;
export type CallReason = (typeof callReasons)[number];

export const newCall = object({
  id: clientId,
  reason: string().oneOf(callReasons, 'Say what it is for.').required('Say what it is for.'),
  /** The logbook that is open; null for none. */
  logbookId: clientId.nullable().defined(),
})
  .noUnknown()
  .test(
    'what-to-check',
    'Open the logbook that is to be looked at.',
    ({ reason, logbookId }) => reason !== 'check' || logbookId !== null,
  );

/** Initials under the data, up to the entry that was seen last. */
export const newInitials = object({ id: clientId, seen: clientId }).noUnknown();

export type NewCall = InferType<typeof newCall>;
export type NewInitials = InferType<typeof newInitials>;
