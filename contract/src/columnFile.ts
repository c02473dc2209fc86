import { manners, mostTrials } from '@green-beam/core';
import { string } from 'yup';
import { byKind, decimal, flag, list, maybe, needed, only, text } from './fileFields';

const head = { key: needed(40), heading: needed(80), symbol: needed(30), kind: needed(20) };
/** A column of an investigation, of one of its kinds. */
export const column = byKind({
  measured: only({
    ...head,
    unit: needed(24),
    tag: needed(40),
    manner: string()
      .oneOf(manners, `This is one of: ${manners.join(', ')}.`)
      .optional(),
    secondOf: maybe(40),
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
  allowance: only({ ...head, unit: text(24).defined('This is missing.') }),
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
