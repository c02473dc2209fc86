import type { CallReason, Role, StaffRole } from '@green-beam/contract';
import { DataTypes } from 'sequelize';
import { id, key, needed, type Define, type Row } from './table';

export interface PersonRow extends Row {
  id: string;
  role: Role;
  name: string;
  address: string | null;
  secretHash: string;
  /** True while the password is the printed first one. */
  mustChange?: boolean;
  /** What a browser locks this person's unsent words with; given only to whom it belongs. */
  sealKey?: string;
}

export interface SessionRow extends Row {
  /** A hash of what the cookie holds. */
  id: string;
  personId: string;
  /** True on a device of one's own: the session outlives the browser. */
  ownDevice: boolean;
  startedAt: Date;
  seenAt: Date;
}

export interface KnownDeviceRow extends Row {
  personId: string;
  deviceId: string;
}

export interface ClassRow extends Row {
  id: string;
  code: string;
  name: string;
  /** Whether its students may begin logbooks of their own. */
  freeLogbooks?: boolean;
  /** Read through `storedApart`. */
  apart?: unknown;
  /** Since when it is put away. */
  putAwayAt?: Date | null;
}

export interface ClassConventionsRow extends Row {
  id: string;
  classId: string;
  version: number;
  /** Read through `houseRules`. */
  body: unknown;
}

export interface ClassStaffRow extends Row {
  classId: string;
  personId: string;
  role: StaffRole;
}

export interface ClassStudentRow extends Row {
  classId: string;
  personId: string;
  /** The name as it is compared at sign-in. */
  nameKey: string;
  /** True where this student may have the scale described in words. */
  spoken?: boolean;
  /** The day on which they are missing, as `2026-11-03`. */
  absentOn?: string | null;
}

export interface BenchGroupRow extends Row {
  id: string;
  classId: string;
  name: string;
}

export interface BenchGroupMemberRow extends Row {
  groupId: string;
  personId: string;
}

/** A bench calls its teacher, until that is ended. */
export interface CallRow extends Row {
  id: string;
  classId: string;
  personId: string;
  /** The logbook that was open. */
  logbookId: string | null;
  reason: CallReason;
  endedAt?: Date | null;
}

/** A comparison that the staff of a class keep under a name. */
export interface ComparisonRow extends Row {
  id: string;
  classId: string;
  name: string;
  address: string;
}

const { BOOLEAN, DATE, INTEGER, JSONB, TEXT, UUID } = DataTypes;

/** Who there is, and which class and bench they belong to. */
export const peopleTables = (table: Define) => ({
  people: table<PersonRow>('people', {
    id: id(),
    role: needed(TEXT),
    name: needed(TEXT),
    address: TEXT,
    secretHash: needed(TEXT),
    mustChange: { ...needed(BOOLEAN), defaultValue: false },
    sealKey: { ...needed(UUID), defaultValue: DataTypes.UUIDV4 },
  }),
  sessions: table<SessionRow>('sessions', {
    id: { type: TEXT, primaryKey: true },
    personId: needed(UUID),
    ownDevice: needed(BOOLEAN),
    startedAt: needed(DATE),
    seenAt: needed(DATE),
  }),
  knownDevices: table<KnownDeviceRow>('known_devices', { personId: key(), deviceId: key() }),
  classes: table<ClassRow>('classes', {
    id: id(),
    code: needed(TEXT),
    name: needed(TEXT),
    freeLogbooks: { ...needed(BOOLEAN), defaultValue: false },
    apart: { ...needed(JSONB), defaultValue: [] },
    putAwayAt: DATE,
  }),
  classConventions: table<ClassConventionsRow>('class_conventions', {
    id: id(),
    classId: needed(UUID),
    version: needed(INTEGER),
    body: needed(JSONB),
  }),
  classStaff: table<ClassStaffRow>('class_staff', { classId: key(), personId: key(), role: needed(TEXT) }),
  classStudents: table<ClassStudentRow>('class_students', {
    classId: key(),
    personId: key(),
    nameKey: needed(TEXT),
    spoken: { ...needed(BOOLEAN), defaultValue: false },
    absentOn: TEXT,
  }),
  benchGroups: table<BenchGroupRow>('bench_groups', {
    id: id(),
    classId: needed(UUID),
    name: needed(TEXT),
  }),
  comparisons: table<ComparisonRow>('comparisons', {
    id: id(),
    classId: needed(UUID),
    name: needed(TEXT),
    address: needed(TEXT),
  }),
  calls: table<CallRow>('calls', {
    id: id(),
    classId: needed(UUID),
    personId: needed(UUID),
    logbookId: UUID,
    reason: needed(TEXT),
    endedAt: DATE,
  }),
  benchGroupMembers: table<BenchGroupMemberRow>('bench_group_members', { groupId: key(), personId: key() }),
});
