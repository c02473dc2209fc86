import type { Conventions } from '../conventions';
import { Decimal, parseNumber } from '../figures';
import type { Instrument, Part, Setting } from '../instruments/instrument';
import { slack } from '../instruments/scale';
import { readingOf } from './check';

/** What is said of one column of a reading that is written in its parts. */
export interface PartVerdict {
  readonly key: string;
  readonly right: boolean;
  /** What to look at; empty when it is right. */
  readonly hint: string;
}

/** The columns in which a class has the parts of this reading written; none where it is written as one number. */
export function partsAsked(
  instrument: Instrument,
  found: Setting,
  conventions: Conventions,
): readonly Part[] {
  if (conventions.vernierParts !== 'columns') return [];
  const { setting } = readingOf(instrument, found, conventions);
  return instrument.parts?.(setting) ?? [];
}

/**
 * Checks each column by itself: whole marks exactly, a fraction or a sum within one step of it. What is empty is not
 * judged.
 */
export function checkParts(
  parts: readonly Part[],
  written: Readonly<Record<string, string>>,
): readonly PartVerdict[] {
  return parts.flatMap((part): PartVerdict[] => {
    const text = written[part.key]?.trim() ?? '';
    return text === '' ? [] : [{ key: part.key, ...judged(part, text) }];
  });
}

function judged({ value, step, hint, key }: Part, text: string): { right: boolean; hint: string } {
  const parsed = parseNumber(text);
  if (!parsed.ok) return { right: false, hint: parsed.problem.message };
  const size = new Decimal(step).toNumber();
  // The main scale and a zero error are seen as they are; the line and what follows from it may be one off.
  const within = ['main', 'sleeve', 'zero'].includes(key) ? 0 : size;
  const right = Math.abs(parsed.number.value.toNumber() - value) <= within + slack * size;
  return right ? { right, hint: '' } : { right, hint };
}
