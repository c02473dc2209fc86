import type { Random } from '../chance/random';
import {
  eyeReachMm,
  mmPerMl,
  glassOptions,
  surfaceMisreadings,
  type GlassModel,
  type GlassSetting,
} from './glass';
import {
  handFlag,
  handNumber,
  modelIn,
  NotReady,
  type Instrument,
  type Misreading,
  type Make,
  type Picture,
} from './instrument';
import { labelBelow, miscountedDivision, nextLabel, samplePlace, scaleOf, shown, slack } from './scale';

export interface CylinderModel extends GlassModel {
  /** A second set of numbers that falls as the first rises. */
  readonly falling: boolean;
}

export interface CylinderSetting extends GlassSetting {
  readonly kind: 'graduated-cylinder';
  /** What somebody set out to pour in, where that was asked for. */
  readonly targetMl: number | null;
  /** What stays on the wall of a cylinder marked “to contain” when it is poured out; null where nobody pours. */
  readonly filmMl: number | null;
  /** True where it is to be filled to the target by hand. */
  readonly filling: boolean;
}

export interface CylinderPicture
  extends Picture, Pick<CylinderSetting, 'surface' | 'eyeMm' | 'targetMl' | 'filmMl' | 'filling'> {
  readonly kind: 'graduated-cylinder';
  /** Height of the level above the scale's zero, in millimetres. */
  readonly heightMm: number;
}

/** Where a bottle's stream leaves off and drops begin: nearer to the mark than this many divisions. */
export const dropsWithin = 2;

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
  name: `Graduated cylinder, ${capacity} mL in ${division} mL${falling ? ', two scales' : ''}`,
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
  make(10, '0.1', '1', '1', 12, '0.1', true),
  make(25, '0.5', '5', '2.5', 17, '0.25'),
  make(50, '1', '5', '5', 22, '0.5'),
  make(50, '1', '10', '5', 22, '0.5', true),
  make(100, '1', '10', '10', 27, '0.5'),
  make(100, '1', '10', '10', 27, '0.5', true),
  make(100, '2', '10', '10', 27, '1'),
  make(250, '2', '20', '20', 38, '1'),
  make(500, '5', '50', '50', 50, '2.5'),
  make(500, '5', '50', '50', 50, '2.5', true),
];

export const cylinderModel = (id: string): CylinderModel => modelIn(cylinders, 'graduated cylinder', id);
const modelFor = ({ model }: CylinderSetting): CylinderModel => cylinderModel(model);
const scaleFor = (setting: CylinderSetting) => scaleOf(modelFor(setting));

export const graduatedCylinder: Instrument<CylinderSetting> = {
  kind: 'graduated-cylinder',
  name: 'graduated cylinder',
  quantity: 'volume',
  unitChoices: ['L', 'mL', 'cm³', 'g'],
  models: cylinders,
  options: glassOptions(),

  sampleSetting: (model, random, indicates) => {
    const setting = settle(model, random, 0);
    return indicates === undefined
      ? setting
      : { ...setting, levelMl: indicates, surface: 'concave', targetMl: null, filmMl: null };
  },
  initial: (model, random) => {
    const setting = settle(
      model,
      random,
      (random.chance(0.5) ? 1 : -1) * Math.round(random.between(60, 130)),
    );
    return random.chance(0.4) ? toFill(setting, model, random) : { ...setting, filmMl: null };
  },
  sampleHandled: (model, random) =>
    settle(model, random, random.chance(0.4) ? 0 : Math.round(random.between(-eyeReachMm, eyeReachMm))),
  handle: (setting, hands) => {
    handFlag(hands, 'card');
    const seen = { ...setting, eyeMm: handNumber(hands, 'eyeMm', -eyeReachMm, eyeReachMm) };
    if (!setting.filling) return seen;
    const { lowest, highest, d } = scaleFor(setting);
    const levelMl = handNumber(hands, 'level', 0, highest * 1.2);
    if (levelMl > highest) throw new NotReady('It stands above the last line. Pour it out and begin again.');
    if (levelMl < Math.max(lowest, (setting.targetMl ?? 0) - 4 * d))
      throw new NotReady('It is not filled to the mark yet. Pour on, and let the last part in by drops.');
    return { ...seen, levelMl };
  },
  indication: ({ levelMl, filmMl }) => levelMl - (filmMl ?? 0),
  observed: ({ levelMl }) => levelMl,
  correct: ({ filmMl }, number) => number - (filmMl ?? 0),
  picture: ({ kind, model, levelMl, surface, eyeMm, targetMl, filmMl, filling }) => ({
    kind,
    model,
    heightMm: levelMl * mmPerMl(cylinderModel(model)),
    surface,
    eyeMm,
    targetMl,
    filmMl,
    filling,
  }),

  ask: ({ targetMl, filmMl, filling }) => {
    if (filling) return `Fill it to ${shown(targetMl ?? 0)} mL. Then write what is there.`;
    if (filmMl !== null)
      return `It is marked “to contain”. Poured out, a film of ${shown(filmMl)} mL stays on its wall. How much comes out?`;
    return targetMl === null
      ? 'How much is in the cylinder?'
      : `Somebody meant to pour ${shown(targetMl)} mL. How much is in the cylinder?`;
  },

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
      setting.filmMl === null
        ? `Together: ${written} mL.`
        : `Less the film of ${shown(setting.filmMl)} mL that stays: ${written} mL.`,
    ];
  },

  lookFirst: (setting) => {
    const { d, labelEvery } = scaleFor(setting);
    return `Bracket the level first: which numbered lines are just below and just above it? Between them one space is ${shown(labelEvery)} mL ÷ ${Math.round(labelEvery / d)}.`;
  },

  misreadings: [
    ...surfaceMisreadings<CylinderSetting>({ modelFor, grows: 1 }),
    {
      code: 'wrong-scale',
      stage: 'count',
      skill: 'd',
      point: 'other-side',
      title: 'You read the other scale.',
      predict: (setting, seen) =>
        cylinderModel(setting.model).falling ? [scaleFor(setting).highest - seen] : [],
      hint: () => 'There are two sets of numbers. The set that grows upward tells what is in the cylinder.',
    },
    miscountedDivision(scaleFor),
    nextLabel(scaleFor, 'mL'),
    {
      code: 'target-written',
      stage: 'count',
      skill: 'd',
      point: 'level',
      title: 'You wrote what you meant to pour, not what is there.',
      predict: ({ targetMl }) => (targetMl === null ? [] : [targetMl]),
      hint: () => 'Forget the amount that was planned. Where does the level stand now?',
    },
    {
      code: 'film-ignored',
      stage: 'correction',
      skill: 'zero error',
      title: 'You left the film out of account.',
      predict: ({ filmMl }, number) => (filmMl === null ? [] : [number]),
      hint: () =>
        'It holds that much, but not all of it comes out: glass marked “to contain” keeps its film when it is poured.',
    },
  ] satisfies Misreading<CylinderSetting>[],
};

/** An empty cylinder and an amount to fill in. */
function toFill(setting: CylinderSetting, model: Make, random: Random): CylinderSetting {
  const { d, lowest, highest } = scaleOf(model);
  const lines = random.whole(Math.ceil((lowest + 0.2 * highest) / d), Math.floor((0.85 * highest) / d));
  return {
    ...setting,
    levelMl: 0,
    targetMl: Number((lines * d).toPrecision(12)),
    filmMl: null,
    surface: 'concave',
    filling: true,
  };
}

function settle(model: Make, random: Random, eyeMm: number): CylinderSetting {
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
  const film = Number((scale.d * random.pick([0.6, 0.8, 1, 1.2])).toPrecision(6));
  const filmMl = targetMl === null && levelMl > scale.lowest + 2 * film && random.chance(0.1) ? film : null;
  return {
    kind: 'graduated-cylinder',
    model: model.id,
    levelMl,
    surface,
    eyeMm,
    targetMl,
    filmMl,
    filling: false,
  };
}
