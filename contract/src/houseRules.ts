import {
  instrumentKinds,
  presetNamed,
  questions,
  type Conventions,
  type QuestionKey,
} from '@green-beam/core';
import { array, number, object, string, type Schema } from 'yup';

/** What holds where a class said nothing, because the question was not asked yet when it answered. */
const standard = presetNamed('Chemistry bench');

const answers = Object.fromEntries(
  (Object.keys(questions) as QuestionKey[]).map((key) => [
    key,
    string()
      .oneOf(Object.keys(questions[key].answers), `That is not an answer to: ${questions[key].asks}`)
      .default(standard[key]),
  ]),
);

const decimal = (name: string) =>
  string()
    .trim()
    .max(20)
    .matches(/^\d{0,6}(?:\.\d{1,6})?$/, `The ${name} is a number such as 0.05.`);

const override = object({
  kind: string()
    .oneOf([...instrumentKinds], 'That is no kind of instrument.')
    .required('Say which instrument.'),
  division: decimal('division').optional(),
  model: string().trim().max(60).optional(),
  tag: string().trim().max(20).optional(),
  step: decimal('step')
    .required('Say to which step it is read.')
    .test('positive', 'A step is more than nothing.', (step) => Number(step) > 0),
}).noUnknown();

const band = object({
  upToPercent: number().min(0).max(1000).required('Say up to how many percent.'),
  word: string().trim().max(40).required('A band has a word.'),
}).noUnknown();

/** The house rules of a class, as they are sent and as they are read from where they are kept. */
export const houseRules: Schema<Conventions> = object({
  version: number().integer().min(1).default(1),
  preset: string().trim().max(60).default(standard.preset),
  overrides: array(override)
    .max(60, 'There are at most 60 rules of their own.')
    .default([...standard.overrides]),
  zeroClosings: number().integer().min(1).max(5, 'It is closed one to five times.').default(1),
  strictness: number()
    .min(0.05, 'An estimate may be off by a twentieth of a division to a whole one.')
    .max(1, 'An estimate may be off by a twentieth of a division to a whole one.')
    .default(standard.strictness),
  fixedFigures: number().integer().min(1).max(8, 'A result has one to eight figures.').default(3),
  bands: array(band)
    .max(6)
    .default([...standard.bands]),
  ...answers,
}).noUnknown() as unknown as Schema<Conventions>;
