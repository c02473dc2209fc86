import { fullMarks, type Criterion } from '@green-beam/core';
import { array, number, object, type InferType } from 'yup';
import { clientId, needed, shortText } from './fields';

const mark = (criterion: Criterion) =>
  number()
    .strict()
    .integer('A mark is a whole number.')
    .min(0, 'A mark is at least 0.')
    .max(fullMarks, `A mark is at most ${fullMarks}.`)
    .required(`The mark for ${criterion} is missing.`);

export const storedMarks = object({
  readings: mark('readings'),
  records: mark('records'),
  working: mark('working'),
  uncertainty: mark('uncertainty'),
  judgement: mark('judgement'),
} satisfies Record<Criterion, unknown>).noUnknown();

export const storedRemarks = array(
  object({
    about: shortText('place', 200).defined(),
    text: needed('remark', 2000),
  }).noUnknown(),
)
  .max(60, 'At most 60 remarks at once.')
  .required('The remarks are missing.');

/** A logbook handed back. */
export const newReview = object({ id: clientId, marks: storedMarks, remarks: storedRemarks }).noUnknown();

export type NewReview = InferType<typeof newReview>;
