import { seeded } from '../chance/random';
import type { Conventions } from '../conventions';
import { modelOf, type Instrument, type Make, type Setting } from '../instruments/instrument';
import { readingOf } from './check';
import { ambiguous, predictAlone } from './predictions';

export type Mode = 'read' | 'handle';

const tries = 40;

/**
 * A setting to practise on, the same for the same seed. Settings to read in which two misreadings would lead to the
 * same number are passed over, so that a wrong answer can be told by its cause. In one to handle the hands decide.
 * @param first true for the first setting of this model that a reader is given.
 */
export function makeSetting(
  instrument: Instrument,
  model: Make,
  conventions: Conventions,
  mode: Mode,
  seed: number,
  first = false,
): Setting {
  const random = seeded(seed);
  if (first && mode === 'read' && instrument.first) return instrument.first(model, random);
  if (mode === 'handle') return instrument.initial(model, random);
  for (let attempt = 0; attempt < tries; attempt += 1) {
    const setting = instrument.sampleSetting(model, random);
    if (!ambiguous(predictAlone(readingOf(instrument, setting, conventions)))) return setting;
  }
  return instrument.sampleSetting(model, random);
}

/** A setting with what was chosen by hand, by the keys of its options. @throws RangeError, in words */
export const withOptions = (
  instrument: Instrument,
  setting: Setting,
  chosen: Readonly<Record<string, string>>,
): Setting =>
  (instrument.options ?? []).reduce((so, option) => {
    const value = chosen[option.key]?.trim() ?? '';
    return value === '' ? so : option.apply(so, value, modelOf(instrument, so.model));
  }, setting);

/** A setting to show: one that indicates a number that somebody chose, or one to practise on. */
export const sampleQuestion = (
  instrument: Instrument,
  model: Make,
  conventions: Conventions,
  seed: number,
  indicates?: number,
): Setting =>
  indicates === undefined
    ? makeSetting(instrument, model, conventions, 'read', seed)
    : instrument.sampleSetting(model, seeded(seed), indicates);
