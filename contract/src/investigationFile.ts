import {
  checkInvestigation,
  footKinds,
  readableFormats,
  instrumentKinds,
  levels,
  mostTrials,
  questionsOfClaims,
  replicateWays,
  type Investigation,
  type InvestigationProblem,
} from '@green-beam/core';
import { array, mixed, number, object, string, ValidationError } from 'yup';
import { column } from './columnFile';
import { byKind, count, decimal, flag, list, maybe, maybeList, needed, only, text } from './fileFields';

/** Texts by the keys of their columns. */
const texts = () =>
  mixed<Readonly<Record<string, string>>>(
    (value): value is Record<string, string> =>
      typeof value === 'object' &&
      value !== null &&
      !Array.isArray(value) &&
      Object.values(value).every((cell) => typeof cell === 'string' && cell.length <= 60),
  ).meta({
    jsonSchema: { type: 'object', additionalProperties: { type: 'string', maxLength: 60 } },
  } as object);

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
  perWord: maybe(40),
};
const result = byKind({
  mean: only({ ...resultHead, column: needed(40), concordant: decimal().optional() }),
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
  minutes: count(1, 10_000).optional(),
  level: string()
    .oneOf(levels, `This is one of: ${levels.join(', ')}.`)
    .optional(),
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
      foot: maybeList(
        string()
          .oneOf(footKinds, `This is one of: ${footKinds.join(', ')}.`)
          .required('This is missing.'),
        footKinds.length,
      ).optional(),
      supplied: maybeList(
        only({
          reader: needed(80),
          on: text(10)
            .matches(/^\d{4}-\d{2}-\d{2}$/, 'A day is expected here, such as 2026-10-12.')
            .required('This is missing.'),
          cells: texts().required('This is missing.'),
        }),
        mostTrials,
      ).optional(),
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
      kind: string()
        .oneOf(['text', 'statement', 'floats', 'compares'], 'This is text, statement, floats or compares.')
        .required('This is missing.'),
      liquid: only({ name: needed(80), density: decimal().required('This is missing.') })
        .optional()
        .default(undefined),
      compares: only({
        of: needed(40),
        question: string()
          .oneOf(questionsOfClaims, 'This is more accurate or more precise.')
          .required('This is missing.'),
      })
        .optional()
        .default(undefined),
      text: needed(1000),
      answer: maybe(2000),
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
  workedApart: flag().optional(),
  variations: maybeList(
    only({
      name: needed(80),
      object: maybe(80),
      words: maybe(1000),
      planned: texts().optional(),
      worked: maybeList(needed(40), 60).optional(),
    }),
    40,
  ).optional(),
  secondLook: string()
    .oneOf(['students', 'teacher'], 'This is students or teacher.')
    .required('This is missing.'),
  model: object({
    cells: texts().required('This is missing.'),
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
