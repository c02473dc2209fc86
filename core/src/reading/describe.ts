import type { Conventions } from '../conventions';
import type { Instrument, Setting } from '../instruments/instrument';
import { expectReading, readingOf } from './check';

/**
 * What stands near the pointer, in words, for a reader who cannot see it: numbered lines, what a space is worth, how far it
 * stands from them. The sum is left to the reader.
 */
export function describeScale(
  instrument: Instrument,
  found: Setting,
  conventions: Conventions,
): readonly string[] {
  const { setting, rule } = readingOf(instrument, found, conventions);
  const { text, unit } = expectReading(instrument, found, conventions);
  // A display has nothing to be counted: its digits are what there is to hear.
  if (rule.judged === 'digits') return [`The display shows ${text} ${unit}.`];
  return instrument.buildUp(setting, text).filter((line) => !line.includes(text));
}
