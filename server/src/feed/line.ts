import { parseNumber } from '@green-beam/core';

/** One line of a connected balance (docs/formats.md): `GB1 17 steady 52.40 g`. */
export type FeedLine =
  | {
      readonly state: 'steady' | 'moving';
      readonly seq: number;
      readonly text: string;
      readonly unit: string;
    }
  | { readonly state: 'over'; readonly seq: number };

/** The longest line that is looked at. */
export const longestLine = 80;

/** Reads one line; null for anything that is none. */
export function readFeedLine(line: string): FeedLine | null {
  const [mark, seqText = '', state = '', text = '', unit = '', ...rest] = line.trim().split(' ');
  if (mark !== 'GB1' || !/^\d{1,9}$/.test(seqText) || rest.length > 0 || line.length > longestLine)
    return null;
  const seq = Number(seqText);
  if (state === 'over') return text === '' ? { state, seq } : null;
  if ((state !== 'steady' && state !== 'moving') || !['g', 'kg', 'mg'].includes(unit)) return null;
  return parseNumber(text).ok ? { state, seq, text, unit } : null;
}

/** Writes one line. */
export const writeFeedLine = (line: FeedLine): string =>
  line.state === 'over'
    ? `GB1 ${line.seq} over\n`
    : `GB1 ${line.seq} ${line.state} ${line.text} ${line.unit}\n`;
