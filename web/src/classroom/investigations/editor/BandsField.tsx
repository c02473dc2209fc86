import type { Band } from '@green-beam/core';
import { useState } from 'react';
import { TextField } from '../../../ui/fields';

/** Bands for the percent error as one line, `5 good, 10 acceptable`; empty for the class's own. */
export function BandsField({
  bands,
  onChange,
}: {
  readonly bands: readonly Band[] | null;
  readonly onChange: (bands: readonly Band[] | null) => void;
}) {
  const [text, setText] = useState(() => bandsText(bands));
  return (
    <TextField
      label="Percent errors up to, such as: 5 good, 10 acceptable"
      value={text}
      onChange={(typed) => {
        setText(typed);
        const read = readBands(typed);
        if (read !== undefined) onChange(read);
      }}
    />
  );
}

export const bandsText = (bands: readonly Band[] | null): string =>
  (bands ?? []).map(({ upToPercent, word }) => `${upToPercent} ${word}`).join(', ');

/** Null for nothing; undefined while it cannot be read. */
export function readBands(text: string): readonly Band[] | null | undefined {
  if (text.trim() === '') return null;
  const parts = text.split(',').map((part) => /^\s*(\d+(?:\.\d+)?)\s*%?\s+(\S.*?)\s*$/.exec(part));
  if (parts.some((part) => part === null)) return undefined;
  return parts.map((part) => ({ upToPercent: Number(part?.[1]), word: part?.[2] ?? '' }));
}
