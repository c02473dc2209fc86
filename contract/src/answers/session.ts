export type Role = 'teacher' | 'student';

export type StaffRole = 'owner' | 'co-teacher' | 'assistant';

export interface ClassName {
  readonly id: string;
  readonly code: string;
  readonly name: string;
}

export interface Who {
  readonly id: string;
  readonly role: Role;
  readonly name: string;
  /** A student's one class; a teacher's classes. */
  readonly classes: readonly ClassName[];
}

export interface SessionAnswer {
  readonly who: Who | null;
}
