import { object, type InferType } from 'yup';
import { clientId, named, needed, shortText, textsByKey } from './fields';

export const newClassQuestion = object({
  id: clientId,
  kind: needed('kind of instrument', 40),
  /** Null lets chance choose. */
  model: shortText('model', 60).min(1, 'The model is missing.').nullable().default(null),
  /** A misreading at which it aims, by its code. */
  aim: shortText('misreading', 60).nullable().default(null),
  /** What it should indicate; null lets chance choose. */
  indicates: shortText('reading', 60).nullable().default(null),
  /** What else was set by hand, by the keys of the instrument's options. */
  options: textsByKey(8, 60).typeError('What was set by hand could not be read.').default({}),
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

export type NewClassQuestion = InferType<typeof newClassQuestion>;
export type NewStationQuestion = InferType<typeof newStationQuestion>;
export type TakeQuestion = InferType<typeof takeQuestion>;
