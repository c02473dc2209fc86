import type { Part } from './instrument';
import { micrometerModel, screwParts, type MicrometerSetting } from './screws';

/** The columns of a micrometer's reading, each with its own value. */
export function screwColumns(setting: MicrometerSetting): readonly Part[] {
  const model = micrometerModel(setting.model);
  const { sleeve, thimble, vernier } = screwParts(model, setting.size + setting.zeroError);
  const part = (key: string, heading: string, value: number, step: string, hint: string, unit = 'mm') => ({
    key,
    heading,
    unit,
    value: Number(value.toPrecision(10)),
    step,
    hint,
  });
  return [
    part(
      'sleeve',
      'Sleeve',
      sleeve,
      String(model.pitch),
      'The last mark uncovered, half-millimetre marks included.',
    ),
    part('thimble', 'Thimble', thimble, '1', 'The thimble line at or below the datum.', ''),
    ...(model.vernier
      ? [
          part(
            'vernier',
            'Vernier',
            vernier,
            '1',
            'The line along the sleeve that runs into a thimble line.',
            '',
          ),
        ]
      : []),
    part(
      'observed',
      'Observed',
      setting.size + setting.zeroError,
      model.division,
      'Sleeve, thimble and vernier together.',
    ),
    part(
      'zero',
      'Zero error',
      setting.zeroError,
      model.division,
      'The reading with the jaws closed, with its sign.',
    ),
    ...(setting.asItStands
      ? []
      : [
          part(
            'corrected',
            'Corrected',
            setting.size,
            model.division,
            'Observed minus zero error, signs kept.',
          ),
        ]),
  ];
}
