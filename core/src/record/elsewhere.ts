import { presets, type StatedElsewhere } from '../conventions';
import type { Investigation } from './investigation';
import { outcomeOf } from './outcome';
import type { Cell } from './table';

/**
 * A result of a logbook as classes with each ready-made set of house rules would state it, from the same readings; none where a
 * class could not reckon it.
 * @param key of the result
 */
export const resultElsewhere = (
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  key: string,
): StatedElsewhere[] =>
  presets.flatMap((conventions) => {
    const state = outcomeOf(investigation, cells, conventions).results.find(({ plan }) => plan.key === key);
    return state?.state === 'reckoned' ? [{ preset: conventions.preset, text: state.result.text }] : [];
  });
