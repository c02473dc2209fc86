import type { Random } from '../chance/random';
import {
  handFlag,
  handNumber,
  modelIn,
  NotReady,
  type Instrument,
  type Misreading,
  type Make,
  type Picture,
  type Setting,
} from './instrument';
import { shown } from './scale';

export interface DigitalCaliperSetting extends Setting {
  readonly kind: 'digital-caliper';
  /** True size of the object, and how far it yields when squeezed, in millimetres. */
  readonly sizeMm: number;
  readonly yieldsMm: number;
  /** Where the jaws stand, in millimetres. */
  readonly atMm: number;
  /** What the display showed with the jaws closed before anybody set it to zero, in millimetres. */
  readonly closedShowsMm: number;
  readonly zeroed: boolean;
}

export interface DigitalCaliperPicture extends Picture, Omit<DigitalCaliperSetting, 'kind' | 'model'> {
  readonly kind: 'digital-caliper';
}

const make = (id: string, name: string, unit: string, division: string, highest: string): Make => ({
  id,
  name: `Digital caliper, ${name}`,
  unit,
  division,
  reads: 'digits',
  labelEvery: division,
  lowest: '0',
  highest,
  belowZero: highest,
  tolerance: unit === 'mm' ? '0.03' : '0.0015',
});

export const digitalCalipers: readonly Make[] = [
  make('digital-mm', 'in millimetres', 'mm', '0.01', '150'),
  make('digital-inch', 'in inches', 'in', '0.0005', '6'),
];

export const digitalCaliperModel = (id: string): Make => modelIn(digitalCalipers, 'digital caliper', id);

/** What the display shows, in the unit of a model, of so many millimetres. */
export function digitalDisplay({ unit, division }: Make, millimetres: number): number {
  const value = unit === 'mm' ? millimetres : millimetres / 25.4;
  return Number((Math.round(value / Number(division) + 1e-9) * Number(division)).toPrecision(12));
}

const display = ({ model }: DigitalCaliperSetting, millimetres: number): number =>
  digitalDisplay(digitalCaliperModel(model), millimetres);
const squeezed = ({ atMm, sizeMm }: DigitalCaliperSetting): boolean => atMm < sizeMm - 0.005;
const off = ({ zeroed, closedShowsMm }: DigitalCaliperSetting): number => (zeroed ? 0 : closedShowsMm);

/** In good order the display says it; with a fault in the handling it does not, the object does. */
const truth = (setting: DigitalCaliperSetting): number => display(setting, setting.sizeMm);

export const digitalCaliper: Instrument<DigitalCaliperSetting> = {
  kind: 'digital-caliper',
  name: 'digital caliper',
  quantity: 'length',
  unitChoices: ['cm', 'mm', 'in', 'g'],
  models: digitalCalipers,

  sampleSetting: (model, random, indicates) => {
    const setting = gripped(model, random);
    if (indicates === undefined) return setting;
    const sizeMm = indicates * (model.unit === 'mm' ? 1 : 25.4);
    return { ...setting, sizeMm, atMm: sizeMm };
  },
  initial: (model, random) => {
    const setting = gripped(model, random);
    const closedShowsMm = random.chance(0.6) ? (random.chance(0.5) ? 1 : -1) * random.whole(4, 60) * 0.01 : 0;
    return {
      ...setting,
      atMm: setting.sizeMm + random.between(8, 14),
      yieldsMm: random.chance(0.4) ? random.whole(8, 40) * 0.01 : 0,
      closedShowsMm: Number(closedShowsMm.toFixed(2)),
      zeroed: false,
    };
  },
  sampleHandled: (model, random) => {
    const setting = digitalCaliper.initial(model, random);
    return {
      ...setting,
      atMm: setting.sizeMm - (random.chance(0.5) ? setting.yieldsMm : 0),
      zeroed: random.chance(0.5),
    };
  },
  handle: (setting, hands) => {
    const atMm = handNumber(hands, 'at', -0.001, 165);
    if (atMm > setting.sizeMm + 0.005)
      throw new NotReady('The jaws do not touch the object yet. Close them on it.');
    const inch = handFlag(hands, 'inch');
    return {
      ...setting,
      model: inch ? 'digital-inch' : 'digital-mm',
      atMm: Math.max(atMm, setting.sizeMm - setting.yieldsMm),
      zeroed: handFlag(hands, 'zeroed'),
    };
  },

  indication: truth,
  observed: truth,
  correct: (_, number) => number,
  picture: ({ kind, model, sizeMm, yieldsMm, atMm, closedShowsMm, zeroed }) => ({
    kind,
    model,
    sizeMm,
    yieldsMm,
    atMm,
    closedShowsMm,
    zeroed,
  }),

  ask: ({ yieldsMm, atMm, sizeMm }) =>
    yieldsMm > 0 && atMm > sizeMm ? 'How thick is the cork net float?' : 'How wide is the acrylic name tag?',
  buildUp: (setting, written) => [
    'Close the jaws: the display must show zero, and the jaws must only just touch.',
    `Every digit that is shown is written, the last zeros too: ${written} ${digitalCaliperModel(setting.model).unit}.`,
    `It shows ${shown(Number(digitalCaliperModel(setting.model).division))} but is good to ±${digitalCaliperModel(setting.model).tolerance}: what it shows is finer than what it promises.`,
  ],
  lookFirst: () =>
    'Close it on nothing: does it show zero? Then close it until it only just touches, and write every digit.',

  misreadings: [
    {
      code: 'zero-not-set',
      stage: 'place',
      skill: 'handling',
      point: 'display',
      title: 'The display was not at zero with the jaws closed.',
      predict: (setting) => (off(setting) === 0 ? [] : [display(setting, setting.sizeMm + off(setting))]),
      hint: () => 'Wipe the jaws, close them on nothing and press zero. Then take the object.',
    },
    {
      code: 'squeezed',
      stage: 'place',
      skill: 'handling',
      point: 'edge',
      title: 'You squeezed the object.',
      predict: (setting, seen) =>
        squeezed(setting) ? [seen - display(setting, setting.sizeMm) + display(setting, setting.atMm)] : [],
      hint: () =>
        'It is soft: the harder the jaws press, the smaller it reads. Open until they only just touch.',
    },
    {
      code: 'inch-mm-slip',
      stage: 'correction',
      skill: 'unit',
      point: 'display',
      title: 'The number belongs to the other unit.',
      predict: ({ model }, number) => (model === 'digital-mm' ? [number / 25.4] : [number * 25.4]),
      hint: () => 'Look at the sign beside the digits: does it say millimetres or inches?',
    },
    {
      code: 'cm-mm-slip',
      stage: 'correction',
      skill: 'unit',
      rescales: true,
      point: 'display',
      title: 'You mixed centimetres and millimetres.',
      predict: ({ model }, number) => (model === 'digital-mm' ? [number / 10, number * 10] : []),
      hint: () => 'The display is in millimetres. Which unit did you write?',
    },
  ] satisfies Misreading<DigitalCaliperSetting>[],
};

/** An object between the jaws, often one whose last digit is 0. */
function gripped(model: Make, random: Random): DigitalCaliperSetting {
  const hundredths = random.chance(0.3) ? random.whole(60, 640) * 10 : random.whole(600, 6400);
  const sizeMm = Number((hundredths / 100).toFixed(2));
  return {
    kind: 'digital-caliper',
    model: model.id,
    sizeMm,
    yieldsMm: 0,
    atMm: sizeMm,
    closedShowsMm: 0,
    zeroed: true,
  };
}
