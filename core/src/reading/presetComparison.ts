import { presets, stepWords, type Conventions } from '../conventions';
import { modelOf, type Instrument, type Setting } from '../instruments/instrument';
import { written } from './predictions';
import { expectReading, readingOf } from './check';

/** What one school would make of a setting. */
export interface PresetView {
  readonly preset: string;
  /** The reading as that school writes it. */
  readonly text: string;
  readonly unit: string;
  /** The first and the last value that it accepts, as it writes them. */
  readonly from: string;
  readonly to: string;
  readonly why: string;
}

/** What each convention preset would accept for a setting, and why. */
export const presetComparison = (instrument: Instrument, setting: Setting): PresetView[] =>
  presets.map((conventions) => presetViewOf(instrument, setting, conventions));

/** What a class with these house rules would make of a setting. */
export function presetViewOf(instrument: Instrument, setting: Setting, conventions: Conventions): PresetView {
  const { text, unit, accepted } = expectReading(instrument, setting, conventions);
  const reading = readingOf(instrument, setting, conventions);
  const { step, d } = reading.rule;
  // The multiples of the step that lie within; an end between two steps belongs to the next one inward.
  const inward = (end: number, sign: 1 | -1) => {
    const steps = (end / step) * sign;
    return written(reading, Math.ceil(steps - 1e-6) * step * sign);
  };
  const { model } = setting;
  const { division, reads } = { ...modelOf(instrument, model), ...instrument.scale?.(setting) };
  return {
    preset: conventions.preset,
    text,
    unit,
    from: inward(accepted.low, 1),
    to: inward(accepted.high, -1),
    why: `${stepWords(conventions, { kind: instrument.kind, model, division, reads })}; a division is ${String(d)} ${unit}.`,
  };
}
