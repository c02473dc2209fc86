import { mixed, array, boolean, number, object, string, type InferType } from 'yup';
import { houseRules } from '../houseRules';
import { clientId, named, shortText } from './fields';

/** What is to be another of a student; what is not said stays. */
export const studentChange = object({
  spoken: boolean().strict(),
  name: named('name', 60).optional(),
  /** Whether they are missing today. */
  absent: boolean().strict(),
})
  .noUnknown()
  .test(
    'something',
    'Say what is to be changed.',
    ({ spoken, name, absent }) => spoken !== undefined || name !== undefined || absent !== undefined,
  );

/** Pairs who are kept apart. */
export const storedApart = array(array(clientId).length(2, 'Two are kept apart.').required())
  .max(200)
  .required();

/** Who sits at which bench. */
export const arrangement = object({
  benches: array(
    object({
      id: clientId,
      name: named('name of a bench', 40),
      members: array(clientId).max(40, 'At most 40 sit at a bench.').required(),
    }).noUnknown(),
  )
    .max(60, 'A class has at most 60 benches.')
    .required('The benches are missing.')
    .test(
      'names',
      'Two benches have the same name.',
      (benches) => new Set(benches?.map(({ name }) => name?.trim().toLowerCase())).size === benches?.length,
    ),
  apart: storedApart,
}).noUnknown();

/** What is to be another of a class; what is not said stays. */
export const classChange = object({
  /** Whether its students may begin logbooks of their own. */
  freeLogbooks: boolean().strict(),
  name: named('name of the class', 60).optional(),
  /** Whether it is put away: its students are out, its record stays. */
  putAway: boolean().strict(),
})
  .noUnknown()
  .test(
    'something',
    'Say what is to be changed.',
    ({ freeLogbooks, name, putAway }) =>
      freeLogbooks !== undefined || name !== undefined || putAway !== undefined,
  );

/** A class that is to be deleted for good, by its name: what was written once more is meant. */
export const deletedClass = object({ name: named('name of the class', 60) }).noUnknown();

/** Somebody who is to teach a class too. */
export const newStaff = object({
  name: named('name', 60),
  role: string()
    .oneOf(['co-teacher', 'assistant'] as const, 'A co-teacher or an assistant.')
    .required('Say as what.'),
}).noUnknown();

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
  /** At which bench each sits, in the order of the names; empty for none. */
  benches: array(shortText('name of a bench', 40).defined()).max(60).optional(),
}).noUnknown();

export const newSlips = object({
  studentIds: array(clientId).max(200).nullable().default(null),
  everyone: boolean().default(false),
}).noUnknown();

export type NewInvestigation = InferType<typeof newInvestigation>;
export type NewClass = InferType<typeof newClass>;
export type NewHouseRules = InferType<typeof newHouseRules>;
export type NewStudents = InferType<typeof newStudents>;
export type NewSlips = InferType<typeof newSlips>;
export type InvestigationChange = InferType<typeof investigationChange>;
export type DeletedClass = InferType<typeof deletedClass>;
export type NewStaff = InferType<typeof newStaff>;
export type ClassChange = InferType<typeof classChange>;
export type StudentChange = InferType<typeof studentChange>;
export type Arrangement = InferType<typeof arrangement>;
