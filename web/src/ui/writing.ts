import { parseReading } from '@green-beam/core';

/** Where the doubtful digit of a written number stands; −1 where there is none. */
export function doubtfulAt(text: string): number {
  const parsed = parseReading(text);
  return parsed.ok ? parsed.number.doubtfulAt : -1;
}

/** True for something that was written without a unit. */
export function lacksUnit(text: string): boolean {
  const parsed = parseReading(text);
  return text.trim() !== '' && !(parsed.ok && parsed.number.unitText !== '');
}

const words = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];
const count = (n: number, noun: string): string => `${words[n] ?? n} ${noun}${n === 1 ? '' : 's'}`;

/** What the writing says of itself: its figures and decimals, or what could not be understood. */
export function described(text: string): string {
  const parsed = parseReading(text);
  if (!parsed.ok) return parsed.problem.message;
  const { figures, decimals, fractionOf } = parsed.number;
  if (fractionOf !== null) return `Parts of an inch: ${parsed.number.value.toString()} in.`;
  const said = `${count(figures, 'figure')}, ${count(Math.max(0, decimals), 'decimal')}.`;
  return said.charAt(0).toUpperCase() + said.slice(1);
}
