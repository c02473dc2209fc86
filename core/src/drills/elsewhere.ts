import { presets, type StatedElsewhere } from '../conventions';
import { drillOf } from './all';
import type { DrillItem } from './drill';
import { makeItem } from './makeItem';

/**
 * The answer to an item as classes with each ready-made set of house rules write it; none where they are not asked the same.
 * @param from what the item was made from
 */
export const itemElsewhere = (
  { given, unit }: DrillItem,
  { kind, level, seed }: { readonly kind: string; readonly level: number; readonly seed: number },
): StatedElsewhere[] =>
  presets.flatMap((conventions) => {
    const other = makeItem(drillOf(kind), conventions, level, seed);
    const same = other.unit === unit && other.given.join('\n') === given.join('\n');
    return same
      ? [{ preset: conventions.preset, text: [other.text, unit].filter((part) => part !== '').join(' ') }]
      : [];
  });
