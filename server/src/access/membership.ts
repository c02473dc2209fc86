import type { ClassName, StaffRole } from '@green-beam/contract';
import { Problem } from '../http/problem';
import type { Named } from './route';
import type { Caller } from './caller';

/** The caller's part in a class. @throws Problem when they are not of its staff. */
export function staffRoleIn(classId: string, { classes }: Caller): StaffRole {
  const part = classes.find(({ id }) => id === classId)?.part;
  if (part === undefined || part === 'student') throw new Problem('not-allowed');
  return part;
}

/** One of the caller's classes by its name and code. */
export function classFor({ classes }: Caller, classId: string): ClassName {
  const { code = '', name = '' } = classes.find(({ id }) => id === classId) ?? {};
  return { id: classId, code, name };
}

/** Owners and co-teachers may change the roster; assistants may only look. @throws Problem */
export function mayManage(classId: string, who: Caller): void {
  if (staffRoleIn(classId, who) === 'assistant') throw new Problem('not-allowed');
}

/** The class, for whom it belongs to alone. @throws Problem */
export function ownerOwns({ who, params }: Named): string {
  const classId = params['classId'] ?? '';
  if (staffRoleIn(classId, who) !== 'owner') throw new Problem('not-allowed');
  return classId;
}

/** For routes under a class: the class, for its staff. @throws Problem */
export function staffOwns({ who, params }: Named): string {
  const classId = params['classId'] ?? '';
  staffRoleIn(classId, who);
  return classId;
}

/** The class, for those of its staff who may change it. @throws Problem */
export function managerOwns({ who, params }: Named): string {
  const classId = params['classId'] ?? '';
  mayManage(classId, who);
  return classId;
}

/** What is the school’s: for who owns or teaches a class of it, not for who only looks. @throws Problem */
export function keepsTheSchools({ who }: Named): void {
  if (!who.classes.some(({ part }) => part === 'owner' || part === 'co-teacher'))
    throw new Problem('not-allowed', 'Only teachers with a class of their own change what is the school’s.');
}
