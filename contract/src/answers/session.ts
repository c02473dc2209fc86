export type Role = 'teacher' | 'student';

export type StaffRole = 'owner' | 'co-teacher' | 'assistant';

export interface ClassName {
  readonly id: string;
  readonly code: string;
  readonly name: string;
}

export interface ClassOfOnes extends ClassName {
  /** What one is in it. */
  readonly part: StaffRole | 'student';
  /** True where it was put away. */
  readonly putAway?: boolean;
}

export interface Who {
  readonly id: string;
  readonly role: Role;
  readonly name: string;
  /** A student's one class; a teacher's classes. */
  readonly classes: readonly ClassOfOnes[];
}

export interface SessionAnswer {
  readonly who: Who | null;
  /** True where nothing else can be done before a password of one's own is chosen. */
  readonly mustChange?: boolean;
  /** True on a device that was said to be one's own. */
  readonly ownDevice?: boolean;
  /** What this browser locks unsent words with when the session ends; only ever told to whom it belongs. */
  readonly sealKey?: string;
}

/** Names for whom a request is made: as a header, or as a parameter of an address that can carry none. */
export const personHeader = 'x-person';
export const personParameter = 'for';
