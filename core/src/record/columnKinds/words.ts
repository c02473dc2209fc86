import type { ChoiceColumn, TextColumn } from '../investigation';
import type { ColumnKind } from './columnKind';

/** Words: a remark of its own column, the colour of a thing. */
export const textKind: ColumnKind<TextColumn> = {
  quantity: () => null,
  advise: () => null,
  halfWidth: () => 0,
  audit: () => ({}),
};

/** One of several words: floats or sinks, which vessel. */
export const choiceKind: ColumnKind<ChoiceColumn> = {
  quantity: () => null,
  halfWidth: () => 0,
  audit: () => ({}),
  advise: (text, { options }) =>
    options.includes(text.trim()) ? null : `One of these is expected: ${options.join(', ')}.`,
};
