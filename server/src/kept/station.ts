import { apparatusOf, type Conventions, type Instrument, type Setting } from '@green-beam/core';
import type { Laid } from './laid';

/** A setting on the bench with what it is judged by. */
export interface Station {
  readonly laid: Laid<'setting'>;
  readonly instrument: Instrument;
  readonly conventions: Conventions;
  /** The setting as the class takes it. */
  readonly setting: Setting;
}

export async function stationOf(
  kept: { conventions(id: string | null): Promise<Conventions> },
  laid: Laid<'setting'>,
): Promise<Station> {
  const conventions = await kept.conventions(laid.conventionsId);
  return { laid, conventions, ...apparatusOf(laid.exercise, conventions) };
}
