import { parseReading } from '../figures';
import { instrumentOf, modelOf, NotReady, type Instrument, type Setting } from '../instruments';
import { checkReading, readingOf, readWith } from '../reading';
import type { Conventions } from '../conventions';
import { unitFactor } from '../units';
import type { Answers, ExerciseKind, ExerciseNamed, Hands } from './exercise';

/** An apparatus on the bench: read, judged by the class's rules, compared with its true indication. */
export const settingKind: ExerciseKind<'setting'> = {
  kindOf: ({ setting }) => setting.kind,
  judge(exercise, answer, conventions) {
    const { instrument, setting } = apparatusOf(exercise, conventions);
    const left = asLeft(instrument, exercise, setting, answer.hands);
    if (left instanceof NotReady)
      return { verdict: { outcome: 'not ready', message: left.message }, value: null, divisionsOff: null };
    return {
      verdict: checkReading(instrument, left, conventions, answer.text, answer.unit),
      ...comparedWith(instrument, left, answer),
    };
  },
};

/** What a kept setting is read with, and the setting as the class takes it. */
export function apparatusOf(
  { setting: kept }: Pick<ExerciseNamed<'setting'>, 'setting'>,
  conventions: Conventions,
): { readonly instrument: Instrument; readonly setting: Setting } {
  const instrument = readWith(instrumentOf(kept.kind), kept);
  return { instrument, setting: readingOf(instrument, kept, conventions).setting };
}

/** The apparatus as the hands left it, or what has to be done to it first. @throws RangeError for hands that cannot be */
export function asLeft(
  instrument: Instrument,
  { mode }: Pick<ExerciseNamed<'setting'>, 'mode'>,
  setting: Setting,
  hands: Hands | null,
): Setting | NotReady {
  if (mode === 'read') return setting;
  try {
    return instrument.handle(setting, hands);
  } catch (error) {
    if (error instanceof NotReady) return error;
    throw error;
  }
}

/** How much one division is, in the instrument's unit. */
export const divisionOf = (instrument: Instrument, setting: Setting): number =>
  Number(instrument.scale?.(setting).division ?? modelOf(instrument, setting.model).division);

function comparedWith(
  instrument: Instrument,
  setting: Setting,
  { text, unit }: Pick<Answers['setting'], 'text' | 'unit'>,
): { readonly value: number | null; readonly divisionsOff: number | null } {
  const parsed = parseReading(text);
  if (!parsed.ok) return { value: null, divisionsOff: null };
  const own = instrument.scale?.(setting).unit ?? modelOf(instrument, setting.model).unit;
  const factor = unitFactor(parsed.number.unitText || unit, own) ?? 1;
  const value = parsed.number.value.times(factor).toNumber();
  const off = (value - instrument.indication(setting)) / divisionOf(instrument, setting);
  return { value, divisionsOff: Number(off.toFixed(3)) };
}
