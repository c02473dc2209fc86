import type { SubjectKind } from '@green-beam/core';
import { DataTypes } from 'sequelize';
import { id, key, needed, type Define, type Row } from './table';

export interface InvestigationRow extends Row {
  id: string;
  classId: string;
  /** Read through `storedInvestigation`. */
  body: unknown;
  /** The first version of it; what is changed becomes the next version, and old logbooks keep theirs. */
  familyId: string;
  version: number;
  /** True once it is no longer set; a setting of the class, not part of the record. */
  retired: boolean;
  /** Whose own it is; null for one that is set for the class. */
  personId?: string | null;
}

export interface LogbookRow extends Row {
  id: string;
  investigationId: string;
  conventionsId: string;
  /** Which variation of its investigation it is of; null where there are none. */
  variation?: number | null;
  /** True where the ± of a mean was stated by a version that left some of it out. */
  reckonedAnew?: boolean;
}

export interface LogbookMemberRow extends Row {
  logbookId: string;
  personId: string;
}

export interface LogbookEntryRow extends Row {
  id: string;
  seq?: string;
  logbookId: string;
  /** What it is about, with its trial (0 for the logbook as a whole) and the column, table or question. */
  kind: SubjectKind;
  trial: number;
  of: string;
  text: string;
  tag: string;
  readerId: string;
  origin: 'own' | 'partner' | 'teacher' | 'simulated' | 'balance';
  replaces: string | null;
  reason: string | null;
  writtenAt: Date;
  /** Whose clock `writtenAt` is by: the writer's, or the server's where the writer's cannot be. */
  timedBy?: 'writer' | 'receipt';
  /** The block that it came in, if it came in one. */
  blockId?: string | null;
  /** The number of the entry before it in this logbook; null for those from before there was one. */
  prior?: string | null;
}

/** A reading that was taken from a connected balance. */
export interface BalanceReadingRow extends Row {
  id: string;
  personId: string;
  text: string;
  unit: string;
  /** The entry that it was written as; null until then. */
  entryId: string | null;
}

export interface LogbookPhotoRow extends Row {
  id: string;
  logbookId: string;
  personId: string;
  mediaType: string;
  bytes: Buffer;
}

export interface KeptCalculationRow extends Row {
  id: string;
  logbookId: string;
  personId: string;
  expression: string;
  result: string;
}

/** A logbook as somebody handed it back. */
export interface ReviewRow extends Row {
  id: string;
  logbookId: string;
  personId: string;
  /** Read through `storedMarks` and `storedRemarks`. */
  marks: unknown;
  remarks: unknown;
}

const { BIGINT, BLOB, BOOLEAN, DATE, INTEGER, JSONB, TEXT, UUID } = DataTypes;

/** Investigations and the logbooks that are kept of them. */
export const logbooksTables = (table: Define) => ({
  investigations: table<InvestigationRow>('investigations', {
    id: id(),
    classId: needed(UUID),
    body: needed(JSONB),
    familyId: needed(UUID),
    version: { ...needed(INTEGER), defaultValue: 1 },
    retired: { ...needed(BOOLEAN), defaultValue: false },
    personId: UUID,
  }),
  logbooks: table<LogbookRow>('logbooks', {
    id: id(),
    investigationId: needed(UUID),
    conventionsId: needed(UUID),
    variation: INTEGER,
    reckonedAnew: { ...needed(BOOLEAN), defaultValue: false },
  }),
  logbookMembers: table<LogbookMemberRow>('logbook_members', { logbookId: key(), personId: key() }),
  logbookEntries: table<LogbookEntryRow>('logbook_entries', {
    id: id(),
    seq: { type: BIGINT, allowNull: false, autoIncrement: true },
    logbookId: needed(UUID),
    kind: needed(TEXT),
    trial: needed(INTEGER),
    of: needed(TEXT),
    text: needed(TEXT),
    tag: needed(TEXT),
    readerId: needed(UUID),
    origin: needed(TEXT),
    replaces: UUID,
    reason: TEXT,
    writtenAt: needed(DATE),
    timedBy: { ...needed(TEXT), defaultValue: 'writer' },
    blockId: UUID,
    prior: BIGINT,
  }),
  balanceReadings: table<BalanceReadingRow>('balance_readings', {
    id: id(),
    personId: needed(UUID),
    text: needed(TEXT),
    unit: needed(TEXT),
    entryId: UUID,
  }),
  logbookPhotos: table<LogbookPhotoRow>('logbook_photos', {
    id: id(),
    logbookId: needed(UUID),
    personId: needed(UUID),
    mediaType: needed(TEXT),
    bytes: needed(BLOB),
  }),
  keptCalculations: table<KeptCalculationRow>('kept_calculations', {
    id: id(),
    logbookId: needed(UUID),
    personId: needed(UUID),
    expression: needed(TEXT),
    result: needed(TEXT),
  }),
  reviews: table<ReviewRow>('reviews', {
    id: id(),
    logbookId: needed(UUID),
    personId: needed(UUID),
    marks: needed(JSONB),
    remarks: needed(JSONB),
  }),
});
