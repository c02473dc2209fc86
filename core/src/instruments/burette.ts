import type { Random } from '../chance/random';
import { downwardBuildUp, downwardMisreadings, lessInitial, type DownwardSetting } from './downwardScale';
import { eyeReachMm, glassOptions, surfaceMisreadings, type GlassModel } from './glass';
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
import { miscountedDivision, samplePlace, scaleOf, shown } from './scale';

export interface BuretteSetting extends DownwardSetting {
  readonly kind: 'burette';
  /** What the reading is too large by, in mL, through what the hands left undone. */
  readonly bubbleMl: number;
  readonly dropMl: number;
  readonly drainingMl: number;
  /** What a bubble in the tip, a hanging drop and a wet wall each would amount to here, in mL. */
  readonly faults: { readonly bubble: number; readonly drop: number; readonly wall: number };
  /** True while the tip still holds air. */
  readonly airInTip: boolean;
  /** How much is to be run out, roughly, in mL. */
  readonly wantedMl: number;
}

export interface BurettePicture
  extends
    Picture,
    Pick<
      BuretteSetting,
      'task' | 'initialMl' | 'levelMl' | 'surface' | 'eyeMm' | 'faults' | 'airInTip' | 'wantedMl'
    > {
  readonly kind: 'burette';
}

/** A drop from a burette's tip, in mL: about twenty to a millilitre. */
export const dropMl = 0.05;
/** Seconds until a wall that was run fast has drained. */
export const drainsInSeconds = 8;

const make = (capacity: number, division: string, boreMm: number, tolerance: string): GlassModel => ({
  id: `burette-${capacity}-${division.replace('.', '_')}`,
  name: `Burette, ${capacity} mL in ${division} mL`,
  unit: 'mL',
  division,
  reads: 'scale',
  labelEvery: division === '0.1' ? '1' : division === '0.05' ? '0.5' : '0.2',
  lowest: '0',
  highest: String(capacity),
  tolerance,
  boreMm,
});

export const burettes: readonly GlassModel[] = [
  make(50, '0.1', 11, '0.05'),
  make(25, '0.1', 9.5, '0.03'),
  make(10, '0.05', 7.5, '0.02'),
  make(10, '0.02', 6, '0.02'),
];

export const buretteModel = (id: string): GlassModel => modelIn(burettes, 'burette', id);
const modelFor = ({ model }: BuretteSetting): GlassModel => buretteModel(model);
const scaleFor = (setting: BuretteSetting) => scaleOf(modelFor(setting));

export const burette: Instrument<BuretteSetting> = {
  kind: 'burette',
  name: 'burette',
  quantity: 'volume',
  unitChoices: ['L', 'mL', 'cm³', 'g'],
  models: burettes,
  options: glassOptions(),

  sampleSetting: (model, random, indicates) =>
    clamped(model, random, random.chance(0.35) ? 'delivered' : 'reading', indicates),
  initial: (model, random) => {
    const setting = clamped(model, random, 'delivered');
    const initialMl = Number((-random.between(0.3, 0.9) * Number(model.labelEvery)).toFixed(3));
    return { ...setting, initialMl, levelMl: initialMl, airInTip: random.chance(0.5), eyeMm: tilted(random) };
  },
  sampleHandled: (model, random) => {
    const setting = clamped(model, random, random.chance(0.5) ? 'delivered' : 'reading');
    if (setting.task === 'reading') return { ...setting, eyeMm: random.chance(0.5) ? 0 : tilted(random) };
    const part = (size: number) => (random.chance(0.3) ? size : 0);
    const { faults } = setting;
    return {
      ...setting,
      bubbleMl: part(faults.bubble),
      dropMl: part(faults.drop),
      drainingMl: part(faults.wall),
    };
  },
  handle: (setting, hands) => {
    const top = Number(modelFor(setting).highest);
    if (!handFlag(hands, 'noted'))
      throw new NotReady('Read where it stands and note the start before you run any out.');
    const initialMl = handNumber(hands, 'initial', -5, top);
    const levelMl = handNumber(hands, 'level', -5, top + 5);
    if (initialMl < 0)
      throw new NotReady(
        'The start lies above the zero line: run it down to the scale, and note the start again.',
      );
    if (levelMl > top) throw new NotReady('It ran out below its last line. Fill it and begin again.');
    if (levelMl - initialMl < setting.wantedMl / 2)
      throw new NotReady(`Run out about ${shown(setting.wantedMl)} mL first.`);
    const part = (key: string, size: number) => (handFlag(hands, key) ? size : 0);
    return {
      ...setting,
      initialMl,
      levelMl,
      eyeMm: handNumber(hands, 'eyeMm', -eyeReachMm, eyeReachMm),
      bubbleMl: part('bubbleLeft', setting.faults.bubble),
      dropMl: part('dropHangs', setting.faults.drop),
      drainingMl: part('wallWet', setting.faults.wall),
    };
  },

  // A class that starts at zero has run the burette down to it before.
  withConventions: (setting, { buretteStart }) =>
    buretteStart === 'zero' && setting.task === 'delivered' && setting.initialMl > 0
      ? { ...setting, initialMl: 0, levelMl: Number((setting.levelMl - setting.initialMl).toPrecision(12)) }
      : setting,
  estimates: ({ task }) => (task === 'delivered' ? 2 : 1),
  indication: (setting) => lessInitial(setting, wellRun(setting)),
  observed: (setting) => wellRun(setting),
  correct: lessInitial,
  picture: ({ kind, model, task, initialMl, levelMl, surface, eyeMm, faults, airInTip, wantedMl }) => ({
    kind,
    model,
    task,
    initialMl,
    levelMl,
    surface,
    eyeMm,
    faults,
    airInTip,
    wantedMl,
  }),

  ask: ({ task, wantedMl, levelMl, initialMl }) =>
    task === 'reading'
      ? 'What does the burette read?'
      : levelMl === initialMl
        ? `Run out about ${shown(wantedMl)} mL. How much was delivered?`
        : 'How much has the burette delivered?',

  buildUp: (setting, written) => {
    const model = modelFor(setting);
    const decimals = written.split('.')[1]?.length ?? 0;
    const final = wellRun(setting);
    if (setting.task === 'reading') return [...downwardBuildUp(model, final), `Together: ${written} mL.`];
    return [
      `Before: ${setting.initialMl.toFixed(decimals)} mL, zeros included.`,
      `After: ${final.toFixed(decimals)} mL.`,
      `Delivered is last less first: ${written} mL.`,
    ];
  },

  lookFirst: ({ task }) =>
    task === 'reading'
      ? 'Which numbers stand just above and just below the level? The zero is at the top: count down from the upper one.'
      : 'Read both levels from the top down, each with all its decimals; then last less first.',

  misreadings: [
    ...surfaceMisreadings<BuretteSetting>({ modelFor, grows: -1, single: ({ task }) => task === 'reading' }),
    ...downwardMisreadings<BuretteSetting>(modelFor),
    miscountedDivision(scaleFor),
    undone(
      'tip-bubble',
      'bubbleMl',
      'Air in the tip was counted as liquid.',
      'Air left the tip while you ran it out, and liquid took its place. Clear the tip before you note the start.',
    ),
    undone(
      'hanging-drop',
      'dropMl',
      'A drop still hangs at the tip.',
      'The hanging drop has left the scale but not reached the flask. Touch it off against the wall before you read.',
    ),
    undone(
      'read-while-draining',
      'drainingMl',
      'The wall had not drained.',
      'After a fast run liquid clings to the wall above the level. Wait until it has come down, then read.',
    ),
  ] satisfies Misreading<BuretteSetting>[],
};

/** Where the level stands once nothing is left undone. */
const wellRun = ({ levelMl, bubbleMl, dropMl: hanging, drainingMl }: BuretteSetting): number =>
  levelMl - bubbleMl - hanging - drainingMl;

function undone(
  code: string,
  part: 'bubbleMl' | 'dropMl' | 'drainingMl',
  title: string,
  hint: string,
): Misreading<BuretteSetting> {
  return {
    code,
    stage: 'place',
    skill: 'handling',
    point: 'tip',
    title,
    predict: (setting, seen) =>
      setting.task === 'delivered' && setting[part] > 0 ? [seen + setting[part]] : [],
    hint: () => hint,
  };
}

const tilted = (random: Random): number =>
  (random.chance(0.5) ? 1 : -1) * Math.round(random.between(60, 130));

/** A burette in its clamp, read as it stands or before and after a delivery. */
function clamped(
  model: Make,
  random: Random,
  task: BuretteSetting['task'],
  indicates?: number,
): BuretteSetting {
  const scale = scaleOf(model);
  const hundredth = (value: number) =>
    Number((Math.round((value / scale.d) * 100) * (scale.d / 100)).toPrecision(12));
  const delivered = task === 'delivered' ? hundredth(random.between(0.15, 0.6) * scale.highest) : 0;
  const initialMl = random.chance(0.2) ? 0 : hundredth(random.between(0, 0.35) * scale.highest);
  return {
    kind: 'burette',
    model: model.id,
    task: indicates === undefined ? task : 'reading',
    initialMl,
    levelMl:
      indicates ?? (task === 'delivered' ? hundredth(initialMl + delivered) : samplePlace(scale, random)),
    surface: 'concave',
    eyeMm: 0,
    bubbleMl: 0,
    dropMl: 0,
    drainingMl: 0,
    faults: { bubble: scale.d * 3, drop: dropMl * (scale.d < 0.1 ? 0.6 : 1) + scale.d, wall: scale.d * 1.5 },
    airInTip: false,
    wantedMl: Math.round(0.4 * scale.highest),
  };
}
