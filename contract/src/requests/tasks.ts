import { instrumentKinds, type Practising } from '@green-beam/core';
import { array, boolean, number, object, string, type InferType, type Schema } from 'yup';
import { clientId, shortText } from './fields';

const practising = {
  kinds: array(string().oneOf(instrumentKinds, 'There is no such kind of instrument.').required())
    .min(1, 'Say what is to be read.')
    .max(instrumentKinds.length)
    .required('Say what is to be read.'),
  settings: number()
    .strict()
    .integer('So many settings is a whole number.')
    .min(1, 'At least one setting.')
    .max(50, 'At most 50 settings of each.')
    .nullable()
    .defined('Say how many settings, or until it is steady.'),
  benches: array(clientId).max(60).required('Say for whom.'),
  due: string()
    .strict()
    .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/, 'The day on which it is due could not be read.')
    .nullable()
    .defined(),
  place: string().oneOf(['lesson', 'home'], 'In the lesson or at home.').required(),
  note: shortText('note', 500).defined(),
};

export const storedPractising = object(practising).noUnknown() as unknown as Schema<Practising>;
/** Practice that is set. */
export const newTask = object({ id: clientId, ...practising }).noUnknown();
/** A task that is taken back, or set again; or due another day. */
export const taskChange = object({
  withdrawn: boolean().strict(),
  due: practising.due.optional(),
}).noUnknown();

export type NewTask = Practising & { readonly id: string };
export type TaskChange = InferType<typeof taskChange>;
