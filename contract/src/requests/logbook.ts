import { formerSubject, subjectKinds } from '@green-beam/core';
import { array, boolean, mixed, number, object, string, type InferType, type Schema } from 'yup';
import { clientId, named, needed, shortText } from './fields';

/** What waited since an earlier version of the pages says in its column what it is about. */
function fromFormer(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || 'kind' in value || !('column' in value)) return value;
  const { column, ...rest } = value;
  return typeof column === 'string' ? { ...rest, ...formerSubject(column) } : value;
}

export const newEntry = object({
  id: clientId,
  /** What it is about: with the trial (0 for what belongs to the logbook as a whole), and the column, table or question. */
  kind: string().oneOf(subjectKinds, 'Say what the entry is about.').required('Say what the entry is about.'),
  of: shortText('column', 60)
    .defined('The column is missing.')
    .test('named', 'The column is missing.', (of, { parent }) => of !== '' || parent?.kind === 'hand-in'),
  trial: number()
    .strict()
    .integer('A trial has a whole number.')
    .min(0, 'Trials count from 1.')
    .max(200, 'A logbook holds 200 trials.')
    .required('The trial is missing.'),
  text: needed('text', 2000).test('written', 'Nothing is written yet.', (text) => text.trim() !== ''),
  /** The instrument that it was read on, where that is not the one of its column. */
  tag: shortText('tag', 40).nullable().default(null),
  /** True for a number that the teacher supplied. */
  supplied: boolean().strict().default(false),
  replaces: clientId.nullable().default(null).notRequired(),
  reason: shortText('reason', 200).nullable().default(null),
  /** The reading of a connected balance that it is, if it is one. */
  takenId: clientId.nullable().default(null).notRequired(),
  /** The try on the bench that it is, if it was read there. */
  attemptId: clientId.nullable().default(null).notRequired(),
  writtenAt: string().strict().datetime('The time could not be read.').required('The time is missing.'),
})
  .transform(fromFormer)
  .noUnknown();

/** A full logbook at once: 200 trials of 12 columns. */
export const largestBlock = 2400;

const someOf = <S extends Schema>(entry: S) =>
  array(entry)
    .min(1, 'There is nothing to write.')
    .max(largestBlock, `At most ${largestBlock} cells at once.`)
    .required('The entries are missing.');

/** Entries that belong together, such as a pasted block. */
export const newBlock = object({ id: clientId, entries: someOf(newEntry) }).noUnknown();

/** The same as far as it can be looked at at once; its entries are looked at some at a time. */
export const blockOutline = object({ id: clientId, entries: someOf(mixed()) }).noUnknown();

export const blockSlice = array(newEntry).required();

export const photoTypes = ['image/jpeg', 'image/png'] as const;

/** The largest photograph, in bytes, and how many of them and how much a logbook holds. */
export const largestPhoto = 5_000_000;

export const mostPhotos = 120;

export const mostPhotoBytes = 120_000_000;

/** A logbook of one's own, from a shape. */
export const newFreeLogbook = object({
  id: clientId,
  shape: needed('shape', 40),
  title: named('title', 120),
}).noUnknown();

export type NewFreeLogbook = InferType<typeof newFreeLogbook>;
export type NewBlock = InferType<typeof newBlock>;
export type NewEntry = InferType<typeof newEntry>;
