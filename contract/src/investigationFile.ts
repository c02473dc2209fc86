import {
  checkInvestigation,
  readableFormats,
  instrumentKinds,
  mostTrials,
  replicateWays,
  type Investigation,
  type InvestigationProblem,
} from '@green-beam/core';
import {
  array,
  boolean,
  lazy,
  mixed,
  number,
  object,
  string,
  ValidationError,
  type ISchema,
  type ObjectShape,
} from 'yup';

const text = (longest: number) =>
  string()
    .strict()
    .typeError('A text is expected here.')
    .max(longest, `This is at most ${longest} characters long.`)
    .test('storable', 'This holds a character that cannot be stored.', (value) => !value?.includes('\0'));
const needed = (longest: number) => text(longest).required('This is missing.');
const maybe = (longest: number) => text(longest).optional();
const flag = () => boolean().strict().typeError('true or false is expected here.');
const count = (least: number, most: number) =>
  number()
    .strict()
    .typeError('A number is expected here.')
    .integer('A whole number is expected here.')
    .min(least, `This is at least ${least}.`)
    .max(most, `This is at most ${most}.`);
const only = (shape: ObjectShape) =>
  object(shape)
    .noUnknown(({ unknown }) => `“${String(unknown)}” is not known here.`)
    .strict();
/** One of several shapes, told apart by `kind`. */
const byKind = (shapes: Readonly<Record<string, ReturnType<typeof only>>>) =>
  lazy((value: unknown) => {
    const kind = typeof value === 'object' && value !== null && 'kind' in value ? String(value.kind) : '';
    return (
      shapes[kind] ??
      only({
        kind: string()
          .oneOf(Object.keys(shapes), `This is one of ${Object.keys(shapes).join(', ')}.`)
          .required('This is missing.'),
      })
    );
  });
const maybeList = (of: ISchema<unknown>, most: number) =>
  array(of).strict().typeError('A list is expected here.').max(most, `There are at most ${most} here.`);
const list = (of: ISchema<unknown>, most: number) => maybeList(of, most).required('This is missing.');
const decimal = () =>
  text(40).matches(/^[+\-−]?\d+([.,]\d+)?$/, {
    message: 'A decimal number is expected here.',
    excludeEmptyString: true,
  });

const head = { key: needed(40), heading: needed(80), symbol: needed(30), kind: needed(20) };
const column = byKind({
  measured: only({
    ...head,
    unit: needed(24),
    tag: needed(40),
    planned: maybe(60),
    carried: flag().optional(),
    differs: flag().optional(),
  }),
  clock: only(head),
  count: only({ ...head, unit: text(24).defined('This is missing.'), differs: flag().optional() }),
  given: only({
    ...head,
    unit: text(24).defined('This is missing.'),
    values: list(
      only({
        value: needed(40),
        plusMinus: decimal().optional(),
        source: text(200).defined('This is missing.'),
      }),
      mostTrials,
    ),
  }),
  choice: only({ ...head, options: list(needed(40), 20) }),
  text: only(head),
  derived: only({
    ...head,
    unit: text(24).defined('This is missing.'),
    formula: needed(400),
    by: string().oneOf(['app', 'student'], 'This is app or student.').required('This is missing.'),
    rises: flag().optional(),
  }),
});
const acceptedShape = {
  value: needed(60),
  tolerance: decimal().optional(),
  unit: text(24).defined('This is missing.'),
  source: text(200).defined('This is missing.'),
};
const accepted = object(acceptedShape).noUnknown().strict().nullable().default(null);
const resultHead = {
  key: needed(40),
  name: needed(80),
  symbol: needed(30),
  kind: needed(20),
  unit: text(24).defined('This is missing.'),
  accepted,
  quantity: maybe(40),
  perRow: maybe(40),
};
const result = byKind({
  mean: only({ ...resultHead, column: needed(40) }),
  value: only({ ...resultHead, formula: needed(400) }),
  line: only({
    ...resultHead,
    x: needed(40),
    y: needed(40),
    throughOrigin: flag().required('This is missing.'),
    gives: string().oneOf(['slope', 'y', 'x'], 'This is slope, y or x.').required('This is missing.'),
    at: decimal().optional(),
  }),
});

/** The open format of an investigation; docs/formats.md says it in words. */
export const investigationFile = only({
  format: mixed()
    .oneOf(
      [...readableFormats],
      `This file is of another version than ${readableFormats.join(' and ')}, the ones that are known here.`,
    )
    .required('The version of the format is missing.'),
  title: needed(120),
  aim: needed(1000),
  object: needed(80),
  route: text(1000).default(''),
  kit: list(
    only({
      tag: needed(40),
      kind: string()
        .oneOf(instrumentKinds, ({ value }) => `“${String(value)}” is not a kind of instrument.`)
        .required('This is missing.'),
      model: needed(60),
      offset: decimal().optional(),
      scalePercent: decimal().optional(),
    }),
    30,
  ),
  steps: list(
    only({
      text: needed(1000),
      precaution: maybe(500),
      caution: maybe(500),
      waitMinutes: count(0, 10_000).optional(),
    }),
    40,
  ),
  tables: list(
    only({
      key: needed(40),
      title: needed(80),
      trials: count(1, mostTrials).required('This is missing.'),
      rows: maybeList(
        only({
          key: needed(40),
          name: needed(80),
          accepted: only(acceptedShape).optional().default(undefined),
        }),
        40,
      ).optional(),
      replicates: string()
        .oneOf(replicateWays, `This is ${replicateWays.join(', ')}.`)
        .optional(),
      columns: list(column, 16).min(1, 'A table has at least one column.'),
    }),
    6,
  ).min(1, 'An investigation has at least one table.'),
  results: list(result, 6),
  predictions: list(
    only({
      key: needed(40),
      text: needed(500),
      unit: text(24).defined('This is missing.'),
      result: needed(40),
    }),
    10,
  ),
  questions: list(
    only({
      key: needed(40),
      when: string().oneOf(['before', 'after'], 'This is before or after.').required('This is missing.'),
      kind: string().oneOf(['text', 'statement'], 'This is text or statement.').required('This is missing.'),
      text: needed(1000),
    }),
    30,
  ),
  causes: list(text(60), 30),
  bands: array(
    only({
      upToPercent: number().strict().positive('This is more than 0.').required('This is missing.'),
      word: needed(40),
    }),
  )
    .nullable()
    .default(null),
  supplied: flag().required('This is missing.'),
  secondLook: string()
    .oneOf(['students', 'teacher'], 'This is students or teacher.')
    .required('This is missing.'),
  model: object({
    cells: mixed<Readonly<Record<string, string>>>(
      (value): value is Record<string, string> =>
        typeof value === 'object' &&
        value !== null &&
        Object.values(value).every((cell) => typeof cell === 'string' && cell.length <= 60),
    ).required('This is missing.'),
    words: text(1000).defined('This is missing.'),
  })
    .noUnknown()
    .strict()
    .nullable()
    .default(null),
}).typeError('An investigation is expected: { "format": 2, … }.');

export type ReadInvestigation =
  | { readonly ok: true; readonly investigation: Investigation }
  | { readonly ok: false; readonly problems: readonly InvestigationProblem[] };

/** Checks the shape first, then the sense: every problem with its place. Never throws. */
export function checkInvestigationFile(value: unknown): ReadInvestigation {
  try {
    const investigation = investigationFile.validateSync(value, {
      abortEarly: false,
    }) as unknown as Investigation;
    const problems = checkInvestigation(investigation);
    return problems.length === 0 ? { ok: true, investigation } : { ok: false, problems };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const single = error.inner.length > 0 ? error.inner : [error];
    return {
      ok: false,
      problems: single.map(({ path, message }) => ({ place: path ?? '', sentence: message })),
    };
  }
}

/** Reads a file. A text that is no JSON is refused with the place that its reader gives. */
export function readInvestigation(json: string): ReadInvestigation {
  let value: unknown;
  try {
    value = JSON.parse(json);
  } catch (error) {
    const at = error instanceof SyntaxError ? error.message : '';
    return { ok: false, problems: [{ place: '', sentence: `This is not valid JSON (${at}).` }] };
  }
  return checkInvestigationFile(value);
}
