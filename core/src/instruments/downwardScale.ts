import type { GlassModel, GlassSetting } from './glass';
import type { Misreading } from './instrument';
import { labelBelow, scaleOf, shown, slack } from './scale';

/** Glass whose zero is at the top: it tells what has left it. A volume is a final reading less an initial one. */
export interface DownwardSetting extends GlassSetting {
  /** Where it stood before; it counts only where a delivered volume is asked for. */
  readonly initialMl: number;
  readonly task: 'reading' | 'delivered';
}

/** Delivered = final − initial. */
export const lessInitial = ({ task, initialMl }: DownwardSetting, number: number): number =>
  task === 'delivered' ? number - initialMl : number;

/** The slips of a scale that grows downward, and of a difference on it. */
export function downwardMisreadings<S extends DownwardSetting>(
  modelFor: (setting: S) => GlassModel,
): readonly Misreading<S>[] {
  return [
    {
      code: 'read-upward',
      stage: 'count',
      skill: 'd',
      point: 'label',
      title: 'You counted upward from the number below.',
      predict: (setting, seen) => {
        const { labelEvery, d } = scaleOf(modelFor(setting));
        return [2 * Math.ceil(seen / labelEvery - (slack * d) / labelEvery) * labelEvery - seen];
      },
      hint: () =>
        'The zero is at the top and the numbers grow downward. Start at the number above the level and count down.',
    },
    {
      code: 'initial-not-subtracted',
      stage: 'correction',
      skill: 'zero error',
      title: 'You left the beginning in.',
      predict: (setting, final) => (setting.task === 'delivered' && setting.initialMl !== 0 ? [final] : []),
      hint: () => 'It did not begin at 0. What has left it is the last reading less the first.',
    },
    {
      code: 'difference-reversed',
      stage: 'correction',
      skill: 'zero error',
      title: 'You took the difference the wrong way round.',
      predict: (setting, final) => (setting.task === 'delivered' ? [setting.initialMl - final] : []),
      hint: () => 'The numbers grow while it runs out: the last reading is the larger one. Last less first.',
    },
  ];
}

/** How a level on a downward scale is read, a line each. */
export function downwardBuildUp(model: GlassModel, levelMl: number): string[] {
  const scale = scaleOf(model);
  const label = labelBelow(scale, levelMl);
  const divisions = (levelMl - label) / scale.d;
  const whole = Math.floor(divisions + slack);
  const rest = Math.round((divisions - whole) * 10);
  return [
    `The number above the level is ${shown(label)}; the numbers grow downward, one space is ${shown(scale.d)} mL.`,
    `Counted down from it: ${whole} ${whole === 1 ? 'space' : 'spaces'}${rest === 0 ? ', on the line' : `, and about ${rest} tenths of the next`}.`,
  ];
}
