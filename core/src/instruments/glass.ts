import type { Misreading, Make, Setting, SettingOption } from './instrument';
import { choiceOption, eyeOption } from './options';

export type Surface = 'concave' | 'convex' | 'flat';

/** Graduated glass with a liquid in it. */
export interface GlassModel extends Make {
  /** Inner width where it is read, in millimetres. */
  readonly boreMm: number;
}

export interface GlassSetting extends Setting {
  /** Where the surface stands on the scale, in millilitres. */
  readonly levelMl: number;
  readonly surface: Surface;
  /** Height of the eye above the level, in millimetres; below it negative. */
  readonly eyeMm: number;
}

/** Distance from a reader's eye to the wall of the glass, in millimetres. */
export const eyeDistanceMm = 300;

/** How far the eye may be moved from the level, in millimetres. */
export const eyeReachMm = 140;

/** Height of one millilitre, in millimetres: 1000 mm³ over the area of the bore. */
export const mmPerMl = ({ boreMm }: Pick<GlassModel, 'boreMm'>): number =>
  1000 / ((Math.PI * boreMm ** 2) / 4);

/**
 * How far the edge of the surface stands from its middle, in millimetres. Against a flat wall water climbs by
 * √2·a, a = 2.7 mm its capillary length, and in a narrow bore by its radius; the smaller governs, smoothly joined.
 * (Landau and Lifshitz, Fluid Mechanics, §61, wetting wall.)
 */
export function riseMm({ boreMm }: Pick<GlassModel, 'boreMm'>): number {
  const [radius, wall] = [boreMm / 2, Math.SQRT2 * 2.7];
  return (radius * wall) / (radius + wall);
}

/**
 * How much too high a front scale is read by an eye h above the level: the sight line to the middle of the
 * surface crosses the wall at h·r/(D + r). In millimetres; negative for an eye below.
 */
export function parallaxMm({ boreMm }: Pick<GlassModel, 'boreMm'>, eyeMm: number): number {
  const radius = boreMm / 2;
  return (eyeMm * radius) / (eyeDistanceMm + radius);
}

/** The liquid’s surface and the eye. */
export const glassOptions = <S extends GlassSetting>(): readonly SettingOption<S>[] => [
  choiceOption<S>('surface', 'The surface', {
    'a bowl': (setting) => ({ ...setting, surface: 'concave' }),
    'a dome': (setting) => ({ ...setting, surface: 'convex' }),
    flat: (setting) => ({ ...setting, surface: 'flat' }),
  }),
  eyeOption<S>(),
];

/** How a kind of glass is read: which way its numbers grow, and where one of its settings is a single reading. */
interface Glass<S extends GlassSetting> {
  readonly modelFor: (setting: S) => GlassModel;
  /** 1 where the numbers grow upward, −1 where they grow downward. */
  readonly grows: 1 | -1;
  /** False for a difference: a constant habit cancels in it, so that it is never named there. */
  readonly single?: (setting: S) => boolean;
}

/** What a curved surface and an eye at the wrong height do to a reading of glass. */
export function surfaceMisreadings<S extends GlassSetting>({
  modelFor,
  grows,
  single = () => true,
}: Glass<S>): readonly Misreading<S>[] {
  const edge = (setting: S) => (grows * riseMm(modelFor(setting))) / mmPerMl(modelFor(setting));
  const eye = (setting: S) =>
    (grows * parallaxMm(modelFor(setting), setting.eyeMm)) / mmPerMl(modelFor(setting));
  return [
    {
      code: 'top-of-meniscus',
      stage: 'place',
      skill: 'place',
      point: 'level',
      title: 'You read the top of the curve.',
      predict: (setting, seen) =>
        setting.surface === 'concave' && single(setting) ? [seen + edge(setting)] : [],
      hint: () =>
        'The liquid climbs the glass: its rim stands higher than its level. Find the lowest point of the curve and follow it across to the lines.',
    },
    {
      code: 'edge-of-convex',
      stage: 'place',
      skill: 'place',
      point: 'level',
      title: 'You read the edge of the dome.',
      predict: (setting, seen) =>
        setting.surface === 'convex' && single(setting) ? [seen - edge(setting)] : [],
      hint: () =>
        'This surface is a dome: its edge hangs lower than its level. Find the highest point of the dome.',
    },
    {
      code: 'eye-too-high',
      stage: 'place',
      skill: 'handling',
      point: 'level',
      title: 'Your eye was above the level.',
      predict: (setting, seen) => (setting.eyeMm > 0 && single(setting) ? [seen + eye(setting)] : []),
      hint: () =>
        'From above you look down through the front lines at a surface further back. Lower your eye until the ring of the surface closes to a line.',
    },
    {
      code: 'eye-too-low',
      stage: 'place',
      skill: 'handling',
      point: 'level',
      title: 'Your eye was below the level.',
      predict: (setting, seen) => (setting.eyeMm < 0 && single(setting) ? [seen + eye(setting)] : []),
      hint: () =>
        'From below you look up past the front lines at a surface further back. Raise your eye until the ring of the surface closes to a line.',
    },
  ];
}
