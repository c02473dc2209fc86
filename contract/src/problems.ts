/** Every problem that the API can answer with, and the one plain sentence it is told by unless a route says more. */
export const problems = {
  'not-json': [400, 'The request could not be read: it is not valid JSON.'],
  'too-large': [413, 'The request is too long.'],
  'not-valid': [422, 'Something in the request is not as it should be.'],
  'not-signed-in': [401, 'You are not signed in. Sign in and try again.'],
  'other-person': [
    401,
    'Somebody else is signed in on this browser now. What you wrote is kept; sign in again to send it.',
  ],
  'password-first': [
    403,
    'Choose a password of your own first: the printed one is for the first sign-in only.',
  ],
  'sign-in-refused': [401, 'The name or the passphrase is not right.'],
  'too-many-tries': [429, 'Too many tries. Wait a little and try again.'],
  busy: [429, 'Green Beam is still working on what you sent before. Wait a few seconds and try again.'],
  'too-much-work': [422, 'This took too long to work out, so it was stopped. Make it shorter and try again.'],
  'sign-in-busy': [429, 'Many people are signing in at this moment. Wait a few seconds and try again.'],
  'too-fast': [429, 'That is more than anybody does by hand. Wait a little, then go on.'],
  'other-origin': [403, 'This request came from another site and was refused.'],
  'other-host': [421, 'This address is not one of Green Beam’s. Ask your teacher for the right one.'],
  'not-allowed': [403, 'This is not yours to open or change.'],
  'not-found': [404, 'There is nothing at this address.'],
  'already-used': [409, 'This id was used for something else.'],
  'too-many-pages': [429, 'Green Beam is open on too many devices at once. Close it on one of them.'],
  'reading-used': [
    409,
    'This reading of the balance was taken by somebody else, or stands in a cell already.',
  ],
  'photos-full': [409, 'This logbook is full: it holds no more photographs.'],
  'feed-silent': [409, 'The balance is silent. Is it switched on and connected?'],
  'feed-unsteady': [409, 'The balance has not come to rest. Wait until it stands.'],
  'not-an-investigation': [422, 'The investigation cannot be used as it is.'],
  'changed-meanwhile': [
    409,
    'Somebody else has changed this meanwhile. Look at what stands now, and change it from there.',
  ],
  'setting-open': [409, 'This setting is not finished: its answer is told at the end.'],
  'setting-closed': [409, 'This setting is finished. Take the next one.'],
  'task-done': [409, 'You have taken all that was set here.'],
  unavailable: [
    503,
    'Green Beam cannot reach its records at the moment. What you wrote is kept and sent again by itself.',
  ],
  unexpected: [500, 'Something went wrong on the server. What you wrote is kept; try again in a moment.'],
} as const satisfies Record<string, readonly [status: number, sentence: string]>;

export type ProblemCode = keyof typeof problems;

/** RFC 9457 problem document. */
export interface ProblemDocument {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly code: ProblemCode;
  readonly detail: string;
  readonly requestId: string;
}
