import { ApiProblem } from '../api';
import type { KeptParcel } from '../browser/parcel';

/** So often in a row the server may stumble over a parcel before it steps aside, and for so long. */
export const stumblesBefore = 3;
export const asideMs = 60_000;

/** Whether a parcel may be sent now: it is not refused, not aside, and what it needs has gone. @param gone ids that were sent just now */
export function mayGo(
  { refused, notBefore = 0, needs = [] }: KeptParcel,
  all: readonly KeptParcel[],
  gone: ReadonlySet<string>,
  now: number,
): boolean {
  if (refused !== undefined || notBefore > now) return false;
  return !needs.some((id) => !gone.has(id) && all.some((other) => other.id === id));
}

/** After how many milliseconds the first parcel that stepped aside may go again; null when none waits so. */
export function waitOf(all: readonly KeptParcel[], now: number): number | null {
  const times = all.flatMap(({ notBefore, refused }) =>
    notBefore === undefined || refused !== undefined ? [] : [notBefore - now],
  );
  return times.length === 0 ? null : Math.max(100, Math.min(...times));
}

/** A refusal that neither sending again nor signing in would change. */
export const isFinal = (error: unknown): error is ApiProblem =>
  error instanceof ApiProblem &&
  error.status >= 400 &&
  error.status < 500 &&
  ![401, 408, 425, 429].includes(error.status) &&
  !['password-first', 'other-origin', 'other-host', 'not-json'].includes(error.code);

/** The server is there, but not for this parcel. */
export const isStumble = (error: unknown): boolean =>
  error instanceof ApiProblem && error.status >= 500 && ![502, 503, 504].includes(error.status);
