import { makesOf, practisedKinds, triesAllowed, type SetWork } from '@green-beam/core';
import { array, boolean, number, object, string, type InferType, type Schema } from 'yup';
import { clientId, shortText } from './fields';

const kinds = practisedKinds.map(({ kind }) => kind);

// Not strict: what an earlier version of the pages did not say is as it was then.
const instant = (what: string) =>
  string()
    .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/, `The day ${what} could not be read.`)
    .nullable();

const setWork = {
  kinds: array(string().oneOf(kinds, 'There is no such kind of instrument or drill.').required())
    .max(kinds.length)
    .required('Say what is to be read.'),
  makes: array(string().strict().max(60).required())
    .max(100)
    .default([])
    .when('kinds', ([read], own) =>
      own.test('there', 'There is no such make of what is to be read.', (makes) => {
        const ids = makesOf(read as string[]).map(({ id }) => id);
        return makes.every((id) => ids.includes(id));
      }),
    ),
  settings: number()
    .strict()
    .integer('So many settings is a whole number.')
    .min(1, 'At least one setting.')
    .max(50, 'At most 50 settings of each.')
    .nullable()
    .defined('Say how many settings, or until it is steady.'),
  investigations: array(clientId).max(20, 'At most 20 investigations at once.').default([]),
  benches: array(clientId).max(60).required('Say for whom.'),
  students: array(clientId).max(200).default([]),
  from: instant('from which it is shown').default(null),
  due: instant('on which it is due').defined(),
  place: string().oneOf(['lesson', 'home'], 'In the lesson or at home.').required(),
  note: shortText('note', 500).defined(),
  counts: number()
    .integer('What it counts is a whole number.')
    .min(0, 'It counts at least 0.')
    .max(100, 'It counts at most 100.')
    .default(0),
  tries: number()
    .integer('The number of tries is a whole number.')
    .min(1, 'At least one try.')
    .max(triesAllowed, `At most ${triesAllowed} tries.`)
    .default(triesAllowed),
  answers: string()
    .oneOf(['at once', 'held'], 'What is right is told at once, or once it is shown.')
    .default('at once'),
};

const untold = 'With answers held back, say how many settings: whether they are steady is not told.';
const isTold = (work: Pick<SetWork, 'kinds' | 'settings' | 'answers'> | undefined): boolean =>
  work === undefined || work.answers === 'at once' || work.settings !== null || work.kinds.length === 0;
const asksNothing = 'Say what is to be read, to drill or to hand in.';
const asksSomething = (work: Pick<SetWork, 'kinds' | 'investigations'> | undefined): boolean =>
  work === undefined || work.kinds.length + work.investigations.length > 0;

export const storedSetWork = object(setWork).noUnknown() as unknown as Schema<SetWork>;
/** Work that is set. */
export const newTask = object({ id: clientId, ...setWork })
  .noUnknown()
  .test('something', asksNothing, asksSomething)
  .test('told', untold, isTold);
/** A task that is taken back, or set again; due another day; whose answers are shown; or that asks something else. */
export const taskChange = object({
  withdrawn: boolean().strict(),
  shown: boolean().strict().oneOf([true], 'What was shown stays so.'),
  due: setWork.due.optional(),
  work: object(setWork)
    .noUnknown()
    .test('something', asksNothing, asksSomething)
    .test('told', untold, isTold)
    .default(undefined),
}).noUnknown();

export type NewTask = SetWork & { readonly id: string };
export type TaskChange = Omit<InferType<typeof taskChange>, 'work'> & { readonly work?: SetWork | undefined };
