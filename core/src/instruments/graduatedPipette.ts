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
import { miscountedDivision, samplePlace, scaleOf } from './scale';

export interface GraduatedPipetteSetting extends DownwardSetting {
  readonly kind: 'graduated-pipette';
}

export interface GraduatedPipettePicture
  extends Picture, Pick<GraduatedPipetteSetting, 'task' | 'initialMl' | 'levelMl' | 'surface' | 'eyeMm'> {
  readonly kind: 'graduated-pipette';
}

const make = (
  capacity: number,
  division: string,
  boreMm: number,
  tolerance: string,
  lowerMark: boolean,
): GlassModel => ({
  id: `graduated-pipette-${capacity}${lowerMark ? '-lower' : ''}`,
  name: `Graduated pipette, ${capacity} mL in ${division} mL, ${lowerMark ? 'to a lower mark' : 'to the tip'}`,
  unit: 'mL',
  division,
  reads: 'scale',
  labelEvery: String(Number(division) * 10),
  lowest: '0',
  highest: String(lowerMark ? capacity - Number(division) * 10 : capacity),
  tolerance,
  boreMm,
});

export const graduatedPipettes: readonly GlassModel[] = [
  make(10, '0.1', 8, '0.05', false),
  make(10, '0.1', 8, '0.05', true),
  make(5, '0.05', 6, '0.03', false),
];

export const graduatedPipetteModel = (id: string): GlassModel =>
  modelIn(graduatedPipettes, 'graduated pipette', id);
const modelFor = ({ model }: GraduatedPipetteSetting): GlassModel => graduatedPipetteModel(model);

/** Filled above its zero, to be run down to it and then to a chosen line. */
export const graduatedPipette: Instrument<GraduatedPipetteSetting> = {
  kind: 'graduated-pipette',
  name: 'graduated pipette',
  quantity: 'volume',
  unitChoices: ['L', 'mL', 'cm³', 'g'],
  models: graduatedPipettes,
  options: glassOptions(),

  sampleSetting: (model, random, indicates) =>
    held(model, random, random.chance(0.4) ? 'delivered' : 'reading', 0, indicates),
  initial: (model, random) => ({
    ...held(model, random, 'delivered', (random.chance(0.5) ? 1 : -1) * Math.round(random.between(60, 130))),
    initialMl: -Number(model.division) * 6,
    levelMl: -Number(model.division) * 6,
  }),
  sampleHandled: (model, random) =>
    held(model, random, 'reading', random.chance(0.5) ? 0 : Math.round(random.between(-130, 130))),
  handle: (setting, hands) => {
    const top = Number(modelFor(setting).highest);
    if (!handFlag(hands, 'noted'))
      throw new NotReady('Read where the surface stands and note the start before you let any run.');
    const initialMl = handNumber(hands, 'initial', -5, top);
    const levelMl = handNumber(hands, 'level', -5, top + 5);
    if (initialMl < 0)
      throw new NotReady(
        'The start lies above the zero line: let it run down to the scale, and note the start again.',
      );
    if (levelMl > top) throw new NotReady('It ran out past its last line. Fill it and begin again.');
    if (levelMl - initialMl < top / 5) throw new NotReady('Let some of it run out first.');
    return { ...setting, initialMl, levelMl, eyeMm: handNumber(hands, 'eyeMm', -eyeReachMm, eyeReachMm) };
  },

  estimates: ({ task }) => (task === 'delivered' ? 2 : 1),
  indication: (setting) => lessInitial(setting, setting.levelMl),
  observed: ({ levelMl }) => levelMl,
  correct: lessInitial,
  picture: ({ kind, model, task, initialMl, levelMl, surface, eyeMm }) => ({
    kind,
    model,
    task,
    initialMl,
    levelMl,
    surface,
    eyeMm,
  }),

  ask: ({ task, levelMl, initialMl }) =>
    task === 'reading'
      ? 'What does the pipette read?'
      : levelMl === initialMl
        ? 'Let about half of it run out. How much was delivered?'
        : 'How much has the pipette delivered?',
  buildUp: (setting, written) => {
    const decimals = written.split('.')[1]?.length ?? 0;
    if (setting.task === 'reading')
      return [...downwardBuildUp(modelFor(setting), setting.levelMl), `Together: ${written} mL.`];
    return [
      `Before: ${setting.initialMl.toFixed(decimals)} mL. After: ${setting.levelMl.toFixed(decimals)} mL.`,
      `Delivered is last less first: ${written} mL.`,
    ];
  },
  lookFirst: () =>
    'The zero is at the top and the numbers grow downward. Start at the number above the level and count down.',

  misreadings: [
    ...surfaceMisreadings<GraduatedPipetteSetting>({
      modelFor,
      grows: -1,
      single: ({ task }) => task === 'reading',
    }),
    ...downwardMisreadings<GraduatedPipetteSetting>(modelFor),
    miscountedDivision((setting) => scaleOf(modelFor(setting))),
  ] satisfies Misreading<GraduatedPipetteSetting>[],
};

function held(
  model: Make,
  random: Random,
  task: GraduatedPipetteSetting['task'],
  eyeMm: number,
  indicates?: number,
): GraduatedPipetteSetting {
  const scale = scaleOf(model);
  const hundredth = (value: number) =>
    Number((Math.round((value / scale.d) * 100) * (scale.d / 100)).toPrecision(12));
  const initialMl = random.chance(0.3) ? 0 : hundredth(random.between(0, 0.3) * scale.highest);
  return {
    kind: 'graduated-pipette',
    model: model.id,
    task: indicates === undefined ? task : 'reading',
    initialMl,
    levelMl:
      indicates ??
      (task === 'delivered'
        ? hundredth(initialMl + random.between(0.2, 0.6) * scale.highest)
        : samplePlace(scale, random)),
    surface: 'concave',
    eyeMm,
  };
}
