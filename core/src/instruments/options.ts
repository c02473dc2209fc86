import { parseReading } from '../figures';
import type { Make, Setting, SettingOption } from './instrument';

/** An option of a few values, each with what it makes of a setting. */
export function choiceOption<S extends Setting>(
  key: string,
  name: string,
  choices: Readonly<Record<string, (setting: S, model: Make) => S>>,
): SettingOption<S> {
  return {
    key,
    name,
    choices: Object.keys(choices).map((value) => ({ value, name: value })),
    apply(setting, value, model) {
      const change = choices[value];
      if (!change) throw new RangeError(`“${value}” is none of the choices for: ${name.toLowerCase()}.`);
      return change(setting, model);
    },
  };
}

/** An option that is a number within bounds, ends included. */
export function numberOption<S extends Setting>(
  key: string,
  name: string,
  inItsUnit: boolean,
  bounds: (setting: S, model: Make) => readonly [low: number, high: number],
  change: (setting: S, number: number, model: Make) => S,
): SettingOption<S> {
  return {
    key,
    name,
    inItsUnit,
    apply(setting, value, model) {
      const parsed = parseReading(value);
      if (!parsed.ok) throw new RangeError(`${name}: ${parsed.problem.message}`);
      const number = parsed.number.value.toNumber();
      const [low, high] = bounds(setting, model);
      if (number < low || number > high)
        throw new RangeError(
          `${name}: ${value.trim()} is beyond what can be set here. It goes from ${tidy(low)} to ${tidy(high)} ${inItsUnit ? model.unit : 'mm'}.`,
        );
      return change(setting, number, model);
    },
  };
}

const tidy = (number: number): string => String(Number(number.toPrecision(6))).replace('-', '−');

/** Where the eye is. */
export const eyeOption = <S extends Setting & { readonly eyeMm: number }>(
  names: readonly [level: string, plus: string, minus: string] = ['level', 'above', 'below'],
): SettingOption<S> =>
  choiceOption<S>('eye', 'The eye', {
    [names[0]]: (setting) => ({ ...setting, eyeMm: 0 }),
    [names[1]]: (setting) => ({ ...setting, eyeMm: 100 }),
    [names[2]]: (setting) => ({ ...setting, eyeMm: -100 }),
  });
