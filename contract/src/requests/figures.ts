import { mixed, array, number, object, type InferType } from 'yup';
import { clientId, needed, shortText } from './fields';

export const newDrill = object({
  id: clientId,
  kind: needed('kind of drill', 40),
  /** The work that is set for which it is taken. */
  task: clientId.optional(),
}).noUnknown();

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

export type NewDrill = InferType<typeof newDrill>;
export type NewDrillAttempt = InferType<typeof newDrillAttempt>;
export type NewRearranged = InferType<typeof newRearranged>;
export type NewSpotted = InferType<typeof newSpotted>;
export type NewCalculation = InferType<typeof newCalculation>;
