import { seeded, seedFrom } from '@green-beam/core';
import type { Transaction } from 'sequelize';
import { studentsPerBench, type Reader } from './scenario';

/** A UUID that always belongs to the same name. */
export function idFor(name: string): string {
  const random = seeded(seedFrom(name));
  const hex = (length: number) => Array.from({ length }, () => random.whole(0, 15).toString(16)).join('');
  return `${hex(8)}-${hex(4)}-4${hex(3)}-a${hex(3)}-${hex(12)}`;
}

export const classId = idFor('class');

export const conventionsId = idFor('conventions');

export const studentId = ({ name }: Reader): string => idFor(`student ${name}`);

export const groupOf = (at: number): number => Math.floor(at / studentsPerBench);

export interface Within {
  readonly transaction: Transaction;
}

/** Seconds into a lesson that began at nine on a day, or a few minutes ago today. */
export function lessonTime(now: Date, daysAgo: number, seconds: number): Date {
  if (daysAgo === 0) {
    // Just after midnight the lesson has begun at midnight: it is today's all the same.
    const midnight = new Date(now).setHours(0, 0, 0, 0);
    const began = Math.max(midnight, now.getTime() - 12 * 60_000);
    return new Date(Math.min(now.getTime(), began + seconds * 1000));
  }
  const start = new Date(now);
  start.setDate(start.getDate() - daysAgo);
  start.setHours(9, 4, 0, 0);
  return new Date(start.getTime() + seconds * 1000);
}
