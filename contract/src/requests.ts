import { formerSubject, subjectKinds } from '@green-beam/core';
import { houseRules } from './houseRules';
import { array, boolean, mixed, number, object, string, type InferType, type Schema } from 'yup';

const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
const clientId = string().matches(uuid, 'The id is not a UUID.').required('The id is missing.');
const shortText = (name: string, longest: number) =>
  string()
    .strict()
    .max(longest, `The ${name} is at most ${longest} characters long.`)
    .test(
      'storable',
      `The ${name} holds a character that cannot be stored.`,
      (text) => !text?.includes('\0'),
    );
const needed = (name: string, longest: number) =>
  shortText(name, longest).required(`The ${name} is missing.`);
/** A name: spaces at its ends do not count. */
const named = (name: string, longest: number) =>
  string()
    .trim()
    .max(longest, `The ${name} is at most ${longest} characters long.`)
    .test('storable', `The ${name} holds a character that cannot be stored.`, (text) => !text?.includes('\0'))
    .required(`The ${name} is missing.`);

export const isId = (text: string): boolean => uuid.test(text);

/** True on a device of one's own: the session then outlives the browser. */
const ownDevice = boolean().strict().default(false);

export const teacherSignIn = object({
  name: needed('name or address', 120),
  password: needed('password', 200),
  ownDevice,
}).noUnknown();

export const studentSignIn = object({
  classCode: needed('class code', 20),
  name: needed('name', 60),
  passphrase: needed('passphrase', 100),
  ownDevice,
}).noUnknown();

export const shortestPassword = 10;

export const newPassword = object({
  current: needed('password that you have now', 200),
  next: needed('new password', 200).min(
    shortestPassword,
    `A password has at least ${shortestPassword} characters.`,
  ),
}).noUnknown();

export const newSetting = object({
  id: clientId,
  kind: needed('kind of instrument', 40),
  mode: string()
    .oneOf(['read', 'handle'] as const, 'A setting is to read or to handle.')
    .required('Say whether to read or to handle.'),
  model: shortText('model', 60),
}).noUnknown();

/** The state of the apparatus, as the instrument's own file describes it; its numbers are checked there. */
const hands = mixed<Readonly<Record<string, number | boolean>>>(
  (value): value is Record<string, number | boolean> => {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    const parts = Object.values(value);
    return parts.length <= 20 && parts.every((part) => typeof part === 'number' || typeof part === 'boolean');
  },
)
  .typeError('The state of the apparatus could not be read.')
  .nullable()
  .default(null);

export const newAttempt = object({
  id: clientId,
  text: shortText('reading', 60).defined('The reading is missing.'),
  unit: shortText('unit', 24).defined('The unit is missing.'),
  hands,
  parts: mixed<Readonly<Record<string, string>>>((value): value is Record<string, string> => {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    const texts = Object.values(value);
    return texts.length <= 12 && texts.every((text) => typeof text === 'string' && text.length <= 60);
  })
    .typeError('The parts of the reading could not be read.')
    .nullable()
    .default(null),
}).noUnknown();

export const newDrill = object({ id: clientId, kind: needed('kind of drill', 40) }).noUnknown();

export const newDrillAttempt = object({
  id: clientId,
  text: shortText('answer', 60).defined('The answer is missing.'),
  unit: shortText('unit', 24).defined('The unit is missing.'),
}).noUnknown();

/** What was written for a letter of a formula that the page asked for. */
export const newRearranged = object({
  id: clientId,
  exerciseId: clientId,
  formula: needed('formula', 400),
  wanted: needed('letter', 60),
  text: shortText('answer', 200).defined('The answer is missing.'),
}).noUnknown();

/** What was marked in a table with faults, by the seed that it was made from. */
export const newSpotted = object({
  id: clientId,
  exerciseId: clientId,
  seed: number()
    .strict()
    .integer()
    .min(0)
    .max(2 ** 31)
    .required('The table is missing.'),
  marks: array(
    object({
      place: object({
        trial: mixed<number | 'heading' | 'mean'>(
          (value): value is number | 'heading' | 'mean' =>
            value === 'heading' || value === 'mean' || Number.isInteger(value),
        ).required('The place is missing.'),
        column: needed('column', 60),
      }).noUnknown(),
      code: needed('fault', 60),
    }).noUnknown(),
  )
    .max(100, 'At most 100 marks.')
    .required('The marks are missing.'),
}).noUnknown();

export const newCalculation = object({ id: clientId, expression: needed('calculation', 2000) }).noUnknown();

export const askedWords = object({ hands }).noUnknown();

export const newClassQuestion = object({
  id: clientId,
  kind: needed('kind of instrument', 40),
  model: needed('model', 60),
  /** What it should indicate; null lets chance choose. */
  indicates: shortText('reading', 60).nullable().default(null),
}).noUnknown();

export const newStationQuestion = object({
  id: clientId,
  kind: needed('kind of instrument', 40),
  model: needed('model', 60),
  tag: named('label', 40),
  reading: needed('reading', 60),
  tolerance: needed('tolerance', 60),
}).noUnknown();

export const takeQuestion = object({ id: clientId }).noUnknown();

export const whichInstrument = object({
  size: needed('size', 60),
  unit: needed('unit', 24),
  percent: needed('relative uncertainty', 60),
}).noUnknown();

export const studentChange = object({
  spoken: boolean().strict().required('Say whether the scale may be described.'),
}).noUnknown();

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

export const newInvestigation = object({
  id: clientId,
  /** The version that it replaces, if it is one of the class’s own. */
  replaces: clientId.nullable().default(null).notRequired(),
  /** Checked by `checkInvestigationFile`. */
  body: mixed<object>((value): value is object => typeof value === 'object' && value !== null).required(
    'The investigation is missing.',
  ),
}).noUnknown();

export const investigationChange = object({
  retired: boolean().strict().required('Say whether it is still set.'),
}).noUnknown();

export const newClass = object({
  name: named('name of the class', 60),
  /** The ready-made house rules that it begins with. */
  preset: shortText('preset', 60),
}).noUnknown();

/** A new version of a class's house rules, made from the one that was seen. */
export const newHouseRules = object({
  rules: houseRules.required('The rules are missing.'),
  from: number().integer().min(1).required('Say from which version.'),
}).noUnknown();

export const newStudents = object({
  names: array(named('name', 60))
    .min(1, 'Write at least one name.')
    .max(60, 'At most 60 names at once.')
    .required('Write at least one name.'),
}).noUnknown();

export const newSlips = object({
  studentIds: array(clientId).max(200).nullable().default(null),
  everyone: boolean().default(false),
}).noUnknown();

export type TeacherSignIn = InferType<typeof teacherSignIn>;
export type NewPassword = InferType<typeof newPassword>;
export type StudentSignIn = InferType<typeof studentSignIn>;
export type NewSetting = InferType<typeof newSetting>;
export type NewAttempt = InferType<typeof newAttempt>;
export type NewDrill = InferType<typeof newDrill>;
export type NewDrillAttempt = InferType<typeof newDrillAttempt>;
export type NewRearranged = InferType<typeof newRearranged>;
export type NewSpotted = InferType<typeof newSpotted>;
export type NewCalculation = InferType<typeof newCalculation>;
export type NewClassQuestion = InferType<typeof newClassQuestion>;
export type NewStationQuestion = InferType<typeof newStationQuestion>;
export type WhichInstrument = InferType<typeof whichInstrument>;
export type NewBlock = InferType<typeof newBlock>;
export type NewInvestigation = InferType<typeof newInvestigation>;
export type NewEntry = InferType<typeof newEntry>;
export type NewClass = InferType<typeof newClass>;
export type NewHouseRules = InferType<typeof newHouseRules>;
export type NewStudents = InferType<typeof newStudents>;
export type NewSlips = InferType<typeof newSlips>;
export type AskedWords = InferType<typeof askedWords>;
export type InvestigationChange = InferType<typeof investigationChange>;
export type StudentChange = InferType<typeof studentChange>;
export type TakeQuestion = InferType<typeof takeQuestion>;
