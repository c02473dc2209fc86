import {
  Decimal,
  exerciseFormat,
  instrumentKinds,
  points,
  skills,
  type Answers,
  type Cause,
  type Exercise,
  type ExerciseOf,
  type Explanation,
  type Investigation,
  type Setting,
  type Verdicts,
} from '@green-beam/core';
import { array, lazy, mixed, number, object, string, type ISchema, type Schema } from 'yup';
import { investigationFile } from './investigationFile';

const text = () => string().strict().defined();
const texts = () => array(text()).defined();
const only = <T extends string>(...values: readonly T[]) => string().strict().oneOf(values).required();

/** What was kept while a part of it was called otherwise. */
const renamed =
  (before: string, now: string) =>
  (_: unknown, given: unknown): unknown => {
    if (typeof given !== 'object' || given === null || !(before in given)) return given;
    const { [before]: part, ...rest } = given as Readonly<Record<string, unknown>>;
    return { ...rest, [now]: part };
  };

/** A fault as it was told. */
const cause = object({
  code: text(),
  title: text(),
  hint: text(),
  skill: only(...skills).optional(),
  point: only(...points).optional(),
}).transform(renamed('look', 'hint')) as unknown as Schema<Cause>;

/** What may have led to a number: each explanation one fault, or several at once. */
export const storedExplanations = array(array(cause).defined()).defined() as unknown as Schema<
  readonly Explanation[]
>;

const deviation = object({
  direction: only('low', 'level', 'high'),
  distance: only('level', 'just off', 'well off', 'far off'),
});

/** Verdicts that count as a try, by their outcome. */
const verdict = <V>(wrong: Record<string, ISchema<unknown>>, always: Record<string, ISchema<unknown>>) =>
  lazy((value: unknown) =>
    object({
      outcome: only('right', 'wrong'),
      remarks: texts(),
      ...always,
      ...(outcomeOf(value) === 'right' ? {} : wrong),
    }).transform(renamed('lean', 'deviation')),
  ) as unknown as Schema<V>;

const outcomeOf = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && 'outcome' in value ? value.outcome : undefined;

const workedVerdict = verdict<Verdicts['drill']>({ causes: array(cause).defined() }, {});

const storedVerdicts: { readonly [Of in ExerciseOf]: Schema<Verdicts[Of]> } = {
  setting: verdict<Verdicts['setting']>(
    { explanations: storedExplanations, lookFirst: text() },
    // The first readings were kept without it.
    { deviation: deviation.default({ direction: 'level', distance: 'level' }) },
  ),
  drill: workedVerdict,
  rearranging: workedVerdict,
  table: workedVerdict,
};

/** Plain data as deep as a setting goes: numbers, words, yes and no, and rows of these. */
const isPlain = (value: unknown, deep = 0): boolean =>
  value === null ||
  ['string', 'boolean'].includes(typeof value) ||
  (typeof value === 'number' && Number.isFinite(value)) ||
  (typeof value === 'object' && deep < 4 && Object.values(value).every((part) => isPlain(part, deep + 1)));

/** An apparatus at one moment; what else it holds, its own file knows. */
export const storedSetting = object({ kind: only(...instrumentKinds), model: text() }).test(
  'plain',
  'A setting is plain data.',
  (value) => isPlain(value),
) as unknown as Schema<Setting>;

const mistake = object({ code: text(), skill: only(...skills), title: text(), hint: text(), text: text() });

const drillItem = object({
  prompt: text(),
  given: texts(),
  value: mixed((value): value is Decimal => Decimal.isDecimal(value))
    .transform((value: unknown) => (typeof value === 'string' ? new Decimal(value) : value))
    .required(),
  lastPlace: number().strict().nullable().defined(),
  text: text(),
  unit: text(),
  unitChoices: texts(),
  form: only('any', 'scientific', 'signed'),
  mistakes: array(mistake).defined(),
  choices: array(object({ text: text(), low: text(), high: text() })).optional(),
  headed: mixed<boolean>((value): value is boolean => typeof value === 'boolean').optional(),
  working: texts(),
});

const rearranging = object({
  id: text(),
  formula: text(),
  wanted: text(),
  names: texts(),
  answer: text(),
  steps: array(object({ line: text(), why: text() })).defined(),
  mistakes: array(object({ code: text(), title: text(), hint: text(), expression: text() })).defined(),
});

const table = object({ title: text(), columns: array().defined(), rows: array().defined() }).test(
  'plain',
  'A table is plain data.',
  (value) => isPlain(value),
);

const kept = { format: mixed().oneOf([exerciseFormat]).required() };
const exercises: { readonly [Of in ExerciseOf]: Schema } = {
  setting: object({
    ...kept,
    of: only('setting'),
    mode: only('read', 'handle'),
    setting: storedSetting,
    aim: text().optional(),
  }),
  drill: object({ ...kept, of: only('drill'), kind: text(), level: number().required(), item: drillItem }),
  rearranging: object({ ...kept, of: only('rearranging'), item: rearranging }),
  table: object({ ...kept, of: only('table'), table }),
};

/** What was asked, as it is kept. */
export const storedExercise = lazy((value: unknown) => {
  const of = typeof value === 'object' && value !== null && 'of' in value ? String(value.of) : '';
  return Object.hasOwn(exercises, of)
    ? exercises[of as ExerciseOf]
    : object({ of: only(...(Object.keys(exercises) as ExerciseOf[])) });
}) as unknown as Schema<Exercise>;

const record = <T>(isPart: (part: unknown) => part is T) =>
  mixed<Readonly<Record<string, T>>>(
    (value): value is Record<string, T> =>
      typeof value === 'object' && value !== null && Object.values(value).every(isPart),
  ).nullable();

const written = { text: text(), unit: text() };
const storedAnswers: { readonly [Of in ExerciseOf]: Schema<Answers[Of]> } = {
  setting: object({
    ...written,
    hands: record((part): part is number | boolean => ['number', 'boolean'].includes(typeof part)).default(
      null,
    ),
    parts: record((part): part is string => typeof part === 'string').default(null),
  }) as unknown as Schema<Answers['setting']>,
  drill: object(written) as unknown as Schema<Answers['drill']>,
  rearranging: object({ text: text() }) as unknown as Schema<Answers['rearranging']>,
  table: object({
    marks: array(
      object({
        place: object({ trial: mixed<number | string>().required(), column: text() }),
        code: text(),
      }),
    ).defined(),
  }) as unknown as Schema<Answers['table']>,
};

/** A try, as it is kept, at a kind of exercise. */
export const storedTry = <Of extends ExerciseOf>(of: Of) => ({
  answer: storedAnswers[of],
  verdict: storedVerdicts[of],
});

/** An investigation as it is kept: what was accepted once is not looked through for sense again. */
export const storedInvestigation = investigationFile as unknown as Schema<Investigation>;

/**
 * What is kept, as it is meant to be: what a later question or format added is filled in.
 * @throws Error that says what cannot be read, and where
 */
export function readStored<T>(schema: Schema<T>, json: unknown, what: string): T {
  try {
    return schema.validateSync(json);
  } catch (error) {
    const said = error instanceof Error ? error.message : '';
    throw new Error(`The ${what} that is kept cannot be read: ${said}`, { cause: error });
  }
}
