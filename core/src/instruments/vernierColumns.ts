import type { Part } from './instrument';
import type { CaliperSetting } from './caliperGrip';
import { caliperModel, leastCount, vernierParts } from './verniers';

/** A vernier reading in its parts, each in a column of its own; none where the least count itself is asked for. */
export function vernierColumns(setting: CaliperSetting): readonly Part[] {
  if (setting.task === 'least count') return [];
  const model = caliperModel(setting.model);
  const { mainDivision } = model;
  const count = leastCount(model);
  const { main, line } = vernierParts(model, setting.size + setting.zeroError);
  const part = (
    key: string,
    heading: string,
    value: number,
    step: number,
    hint: string,
    unit = model.unit,
  ) => ({
    key,
    heading,
    unit,
    value: Number(value.toPrecision(10)),
    step: String(step),
    hint,
  });
  return [
    part(
      'main',
      'Main scale',
      main,
      mainDivision,
      'The last main mark that the vernier’s zero line has reached or passed.',
    ),
    part(
      'line',
      'Line',
      line,
      1,
      'Count the lines of the vernier from its zero line to the one that coincides.',
      '',
    ),
    part('fraction', 'Line × LC', line * count, count, 'The index of the line, times the least count.'),
    part('observed', 'Observed', main + line * count, count, 'Main scale and fraction together.'),
    part(
      'zero',
      'Zero error',
      setting.zeroError,
      count,
      'The reading with the jaws closed, with its sign. After several checks, use their mean.',
    ),
    ...(setting.asItStands
      ? []
      : [part('corrected', 'Corrected', setting.size, count, 'Observed minus zero error, signs kept.')]),
  ];
}
