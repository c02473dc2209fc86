import { seeded } from '../chance/random';
import type { Conventions } from '../conventions';
import { parseReading } from '../figures';
import {
  modelOf,
  type Instrument,
  type Make,
  type NumberOption,
  type Setting,
} from '../instruments/instrument';
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

/**
 * A setting, and a make, at which a misreading shows: where it would lead to a wrong number, and to one that no other leads to. A setting
 * to practise on where none of many does. Settings that differ with the seed alone are tried make by make.
 * @param code of the misreading
 * @returns shows false where it does not show in any of them
 */
export function settingAt(
  instrument: Instrument,
  code: string,
  conventions: Conventions,
  seed: number,
): { readonly model: Make; readonly setting: Setting; readonly shows: boolean } {
  const random = seeded(seed);
  for (let attempt = 0; attempt < 2 * tries; attempt += 1) {
    const model = random.pick(instrument.models);
    const setting = instrument.sampleSetting(model, random);
    const alone = predictAlone(readingOf(instrument, setting, conventions));
    if (!ambiguous(alone) && alone.some(({ faults }) => faults.some((own) => own.code === code)))
      return { model, setting, shows: true };
  }
  const model = random.pick(instrument.models);
  return { model, setting: makeSetting(instrument, model, conventions, 'read', seed), shows: false };
}

/** A setting with what was chosen by hand, by the keys of its options. @throws RangeError, in words */
export const withOptions = (
  instrument: Instrument,
  setting: Setting,
  chosen: Readonly<Record<string, string>>,
): Setting =>
  (instrument.options ?? []).reduce((so, option) => {
    const value = chosen[option.key]?.trim() ?? '';
    if (value === '') return so;
    const model = modelOf(instrument, so.model);
    return 'choices' in option
      ? option.choose(so, value, model)
      : option.change(so, numberFor(option, so, value, model), model);
  }, setting);

function numberFor(
  { name, inItsUnit, bounds }: NumberOption,
  setting: Setting,
  value: string,
  model: Make,
): number {
  const parsed = parseReading(value);
  if (!parsed.ok) throw new RangeError(`${name}: ${parsed.problem.message}`);
  const number = parsed.number.value.toNumber();
  const [low, high] = bounds(setting, model);
  if (number < low || number > high)
    throw new RangeError(
      `${name}: ${value} is beyond what can be set here. It goes from ${tidy(low)} to ${tidy(high)} ${inItsUnit ? model.unit : 'mm'}.`,
    );
  return number;
}

const tidy = (number: number): string => String(Number(number.toPrecision(6))).replace('-', '−');

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
