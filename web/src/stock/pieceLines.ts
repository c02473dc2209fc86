import type { Check, CorrectionPoint } from '@green-beam/core';

/** As it is kept: with the minus of the keyboard. */
export const plainMinus = (text: string): string => text.trim().replace('−', '-');

/** A point of a correction as a line, `0.4: -0.4`. */
export const pointLine = ({ at, add }: CorrectionPoint): string => `${at}: ${add}`;

export function pointFrom(line: string): CorrectionPoint {
  const [at = '', add = ''] = line.split(/[:\s]+/).filter(Boolean);
  return { at: plainMinus(at), add: plainMinus(add) };
}

/** A check as a line, `2026-11-02, Mr Teal, 100.0, 99.9`. */
export const checkLine = ({ on, by, known, shown }: Check): string => [on, by, known, shown].join(', ');

/** A check out of its line; who it was by may be several, with commas between. */
export function checkFrom(line: string): Check {
  const parts = line.split(',').map((part) => part.trim());
  const [on = '', ...rest] = parts;
  const [known = '', shown = ''] = rest.splice(-2);
  return { on, by: rest.join(', '), known: plainMinus(known), shown: plainMinus(shown) };
}
