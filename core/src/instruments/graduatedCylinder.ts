import type { Random } from '../chance/random';
import {
  handFlag,
  handNumber,
  type Instrument,
  type Misreading,
  type Model,
  type Picture,
  type Setting,
} from './instrument';
import { labelBelow, miscountedDivision, nextLabel, samplePlace, scaleOf, shown, slack } from './scale';

export type Surface = 'concave' | 'convex' | 'flat';

export interface CylinderModel extends Model {
  readonly boreMm: number;
  /** A second set of numbers that falls as the first rises. */
  readonly falling: boolean;
}

export interface CylinderSetting extends Setting {
  readonly kind: 'graduated-cylinder';
  readonly levelMl: number;
  readonly surface: Surface;
  /** Height of the eye above the level, in millimetres; below it negative. */
  readonly eyeMm: number;
  /** What somebody set out to pour in, where that was asked for. */
  readonly targetMl: number | null;
}

export interface CylinderPicture extends Picture {
  readonly kind: 'graduated-cylinder';
  /** Height of the level above the scale's zero, in millimetres. */
  readonly heightMm: number;
  readonly surface: Surface;
  readonly eyeMm: number;
  readonly targetMl: number | null;
}

/** Distance from a reader's eye to the wall of the cylinder, in millimetres. */
export const eyeDistanceMm = 300;

/** How far the eye may be moved from the level, in millimetres. */
export const eyeReachMm = 140;

const make = (
  capacity: number,
  division: string,
  labelEvery: string,
  lowest: string,
  boreMm: number,
  tolerance: string,
  falling = false,
): CylinderModel => ({
  id: `cylinder-${capacity}-${division.replace('.', '_')}${falling ? '-double' : ''}`,
  name: `Graduated cylinder, ${capacity} mL${falling ? ', two scales' : ''}`,
  unit: 'mL',
  division,
  reads: 'scale',
  labelEvery,
  lowest,
  highest: String(capacity),
  tolerance,
  boreMm,
  falling,
});

export const cylinders: readonly CylinderModel[] = [
  make(10, '0.1', '1', '1', 12, '0.1'),
  make(10, '0.2', '1', '1', 12, '0.2'),
  make(25, '0.5', '5', '2.5', 17, '0.25'),
  make(50, '1', '5', '5', 22, '0.5'),
  make(50, '1', '10', '5', 22, '0.5', true),
  make(100, '1', '10', '10', 27, '0.5'),
  make(100, '1', '10', '10', 27, '0.5', true),
  make(100, '2', '10', '10', 27, '1'),
  make(250, '2', '20', '20', 38, '1'),
  make(500, '5', '50', '50', 50, '2.5'),
];

/** @throws RangeError for a model that there is not. */
export function cylinderModel(id: string): CylinderModel {
  const found = cylinders.find((candidate) => candidate.id === id);
  if (!found) throw new RangeError(`There is no graduated cylinder called “${id}”.`);
  return found;
}

/** Height of one millilitre, in millimetres: 1000 mm³ over the area of the bore. */
export const mmPerMl = ({ boreMm }: CylinderModel): number => 1000 / ((Math.PI * boreMm ** 2) / 4);

/**
 * How far the edge of the surface stands from its middle, in millimetres. Against a flat wall water climbs by
 * √2·a, a = 2.7 mm its capillary length, and in a narrow bore by its radius; the smaller governs, smoothly joined.
 * (Landau and Lifshitz, Fluid Mechanics, §61, wetting wall.)
 */
export function riseMm({ boreMm }: CylinderModel): number {
  const [radius, wall] = [boreMm / 2, Math.SQRT2 * 2.7];
  return (radius * wall) / (radius + wall);
}

/**
 * How much too high a front scale is read by an eye h above the level: the sight line to the middle of the
 * surface crosses the wall at h·r/(D + r). In millimetres; negative for an eye below.
 */
export function parallaxMm({ boreMm }: CylinderModel, eyeMm: number): number {
  const radius = boreMm / 2;
  return (eyeMm * radius) / (eyeDistanceMm + radius);
}

const scaleFor = (setting: CylinderSetting) => scaleOf(cylinderModel(setting.model));
const inMl = (setting: CylinderSetting, mm: number): number => mm / mmPerMl(cylinderModel(setting.model));
const edgeMl = (setting: CylinderSetting): number => inMl(setting, riseMm(cylinderModel(setting.model)));
const eyeShiftMl = (setting: CylinderSetting): number =>
  inMl(setting, parallaxMm(cylinderModel(setting.model), setting.eyeMm));

export const graduatedCylinder: Instrument<CylinderSetting> = {
  kind: 'graduated-cylinder',
  name: 'graduated cylinder',
  quantity: 'volume',
  unitChoices: ['L', 'mL', 'cm³', 'g'],
  models: cylinders,

  sample: (model, random) => settle(model, random, 0),
  start: (model, random) =>
    settle(model, random, (random.chance(0.5) ? 1 : -1) * Math.round(random.between(60, 130))),
  leave: (model, random) =>
    settle(model, random, random.chance(0.4) ? 0 : Math.round(random.between(-eyeReachMm, eyeReachMm))),
  handle: (setting, hands) => {
    handFlag(hands, 'card');
    return { ...setting, eyeMm: handNumber(hands, 'eyeMm', -eyeReachMm, eyeReachMm) };
  },
  indication: ({ levelMl }) => levelMl,
  observed: ({ levelMl }) => levelMl,
  correct: (_, number) => number,
  picture: ({ kind, model, levelMl, surface, eyeMm, targetMl }) => ({
    kind,
    model,
    heightMm: levelMl * mmPerMl(cylinderModel(model)),
    surface,
    eyeMm,
    targetMl,
  }),

  ask: ({ targetMl }) =>
    targetMl === null
      ? 'How much is in the cylinder?'
      : `Somebody meant to pour ${shown(targetMl)} mL. How much is in the cylinder?`,

  buildUp: (setting, written) => {
    const scale = scaleFor(setting);
    const label = labelBelow(scale, setting.levelMl);
    const divisions = (setting.levelMl - label) / scale.d;
    const whole = Math.floor(divisions + slack);
    const rest = Math.round((divisions - whole) * 10);
    return [
      `The numbered line below the level is ${shown(label)} mL.`,
      `${Math.round(scale.labelEvery / scale.d)} spaces make ${shown(scale.labelEvery)} mL, so one space is ${shown(scale.d)} mL.`,
      `The level stands ${whole} ${whole === 1 ? 'space' : 'spaces'} above it${rest === 0 ? ', on the line' : `, and about ${rest} tenths of the next`}.`,
      `Together: ${written} mL.`,
    ];
  },

  lookFirst: (setting) => {
    const { d, labelEvery } = scaleFor(setting);
    return `Bracket the level first: which numbered lines are just below and just above it? Between them one space is ${shown(labelEvery)} mL ÷ ${Math.round(labelEvery / d)}.`;
  },

  misreadings: [
    {
      code: 'top-of-meniscus',
      stage: 'place',
      title: 'You read the top of the curve.',
      predict: (setting, seen) => (setting.surface === 'concave' ? [seen + edgeMl(setting)] : []),
      look: () =>
        'The liquid climbs the glass: its rim stands higher than its level. Find the lowest point of the curve and follow it across to the lines.',
    },
    {
      code: 'edge-of-convex',
      stage: 'place',
      title: 'You read the edge of the dome.',
      predict: (setting, seen) => (setting.surface === 'convex' ? [seen - edgeMl(setting)] : []),
      look: () =>
        'This surface is a dome: its edge hangs lower than its level. Find the highest point of the dome.',
    },
    {
      code: 'eye-too-high',
      stage: 'place',
      title: 'Your eye was above the level.',
      predict: (setting, seen) => (setting.eyeMm > 0 ? [seen + eyeShiftMl(setting)] : []),
      look: () =>
        'From above you look down through the front lines at a surface further back. Lower your eye until the ring of the surface closes to a line.',
    },
    {
      code: 'eye-too-low',
      stage: 'place',
      title: 'Your eye was below the level.',
      predict: (setting, seen) => (setting.eyeMm < 0 ? [seen + eyeShiftMl(setting)] : []),
      look: () =>
        'From below you look up past the front lines at a surface further back. Raise your eye until the ring of the surface closes to a line.',
    },
    {
      code: 'wrong-scale',
      stage: 'count',
      title: 'You read the other scale.',
      predict: (setting, seen) =>
        cylinderModel(setting.model).falling ? [scaleFor(setting).highest - seen] : [],
      look: () => 'There are two sets of numbers. The set that grows upward tells what is in the cylinder.',
    },
    miscountedDivision(scaleFor),
    nextLabel(scaleFor, 'mL'),
    {
      code: 'target-written',
      stage: 'count',
      title: 'You wrote what you meant to pour, not what is there.',
      predict: ({ targetMl }) => (targetMl === null ? [] : [targetMl]),
      look: () => 'Forget the amount that was planned. Where does the level stand now?',
    },
  ] satisfies Misreading<CylinderSetting>[],
};

function settle(model: Model, random: Random, eyeMm: number): CylinderSetting {
  const scale = scaleOf(model);
  const levelMl = samplePlace(scale, random);
  const surface = random.pick([
    'concave',
    'concave',
    'concave',
    'concave',
    'concave',
    'concave',
    'convex',
    'flat',
  ] as const);
  const pouredFor = random.chance(0.2) ? Math.round(levelMl / (5 * scale.d)) * 5 * scale.d : null;
  const targetMl = pouredFor !== null && pouredFor > scale.lowest ? Number(pouredFor.toPrecision(12)) : null;
  return { kind: 'graduated-cylinder', model: model.id, levelMl, surface, eyeMm, targetMl };
}
