import {
  instrumentOf,
  readingOf,
  readWith,
  type Conventions,
  type Instrument,
  type Setting,
} from '@green-beam/core';
import type { PracticeSettingRow } from '../database/models';

/** A stored setting with what it is judged by: the version of the conventions that it was given under. */
export interface Station {
  readonly row: PracticeSettingRow;
  readonly instrument: Instrument;
  readonly conventions: Conventions;
  /** The setting as the class takes it. */
  readonly setting: Setting;
}

export async function stationOf(
  kept: { conventions(id: string | null): Promise<Conventions> },
  row: PracticeSettingRow,
): Promise<Station> {
  const conventions = await kept.conventions(row.conventionsId);
  const instrument = readWith(instrumentOf(row.kind), row.setting);
  return { row, instrument, conventions, setting: readingOf(instrument, row.setting, conventions).setting };
}
