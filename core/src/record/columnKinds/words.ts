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
/** The word that is meant, whatever the size of its letters; null where it is none of them. */
export const wordIn = (text: string, { options }: ChoiceColumn): string | null =>
  options.find((option) => option.toLowerCase() === text.trim().toLowerCase()) ?? null;

export const choiceKind: ColumnKind<ChoiceColumn> = {
  quantity: () => null,
  halfWidth: () => 0,
  audit: () => ({}),
  advise: (text, column) =>
    wordIn(text, column) !== null ? null : `One of these is expected: ${column.options.join(', ')}.`,
};
