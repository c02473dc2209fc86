import type { ChoiceOption, Make, Setting } from './instrument';

/** An option of a few values, each with what it makes of a setting. */
export function choiceOption<S extends Setting>(
  key: string,
  name: string,
  choices: Readonly<Record<string, (setting: S, model: Make) => S>>,
): ChoiceOption<S> {
  return {
    key,
    name,
    choices: Object.keys(choices).map((value) => ({ value, name: value })),
    choose(setting, value, model) {
      const change = choices[value];
      if (!change) throw new RangeError(`“${value}” is none of the choices for: ${name.toLowerCase()}.`);
      return change(setting, model);
    },
  };
}

/** Where the eye is. */
export const eyeOption = <S extends Setting & { readonly eyeMm: number }>(
  names: readonly [level: string, plus: string, minus: string] = ['level', 'above', 'below'],
): ChoiceOption<S> =>
  choiceOption<S>('eye', 'The eye', {
    [names[0]]: (setting) => ({ ...setting, eyeMm: 0 }),
    [names[1]]: (setting) => ({ ...setting, eyeMm: 100 }),
    [names[2]]: (setting) => ({ ...setting, eyeMm: -100 }),
  });
