import type { Random } from '../chance/random';
import {
  handFlag,
  handNumber,
  modelIn,
  type Instrument,
  type Misreading,
  type Make,
  type Picture,
  type Setting,
} from './instrument';
import { eyeOption } from './options';
import { labelBelow, miscountedDivision, samplePlace, scaleOf, shown, slack } from './scale';

export interface ThermometerModel extends Make {
  /** Whether the scale lies in front of the column, on the glass, or on a plate behind it. */
  readonly scaleInFront: boolean;
}

export interface ThermometerSetting extends Setting {
  readonly kind: 'thermometer';
  /** The bath, in °C. */
  readonly bath: number;
  /** The column before it was hung in, in °C. */
  readonly before: number;
  /** Seconds since then. */
  readonly seconds: number;
  /** What a bulb on the heated base reads too much, in °C; it counts only while it rests there. */
  readonly baseExcess: number;
  readonly bulbOnBase: boolean;
  /** Height of the eye above the end of the column, in millimetres. */
  readonly eyeMm: number;
}

export interface ThermometerPicture extends Picture {
  readonly kind: 'thermometer';
  readonly bath: number;
  readonly before: number;
  readonly seconds: number;
  readonly baseExcess: number;
  readonly bulbOnBase: boolean;
  readonly eyeMm: number;
}

/** The column follows its bath with this time constant, in seconds. */
const followsInSeconds = 6;
/** After this many seconds nothing moves any more that an eye could see. */
export const restsAfterSeconds = 60;
/** Depth of the column behind or before the scale, eye distance, in millimetres; and the height of one division. */
const [depthMm, eyeDistanceMm, divisionMm] = [3, 300, 1.6];
export const thermometerEyeReachMm = 140;

const make = (
  id: string,
  name: string,
  division: string,
  labelEvery: string,
  scaleInFront: boolean,
): ThermometerModel => ({
  id,
  name: `Thermometer, ${name}`,
  unit: '°C',
  division,
  reads: 'scale',
  labelEvery,
  lowest: '-10',
  highest: '110',
  tolerance: division,
  scaleInFront,
});

export const thermometers: readonly ThermometerModel[] = [
  make('thermometer-1', 'by 1 °C', '1', '10', true),
  make('thermometer-1-plate', 'by 1 °C, scale behind', '1', '10', false),
  make('thermometer-0_5', 'by 0.5 °C', '0.5', '5', true),
  make('thermometer-0_2', 'by 0.2 °C', '0.2', '2', true),
];

/** @throws RangeError for a model that there is not. */
export const thermometerModel = (id: string): ThermometerModel => modelIn(thermometers, 'thermometer', id);

/** Where the end of the column stands, in °C: it nears its bath exponentially, and a bulb on the base shows the base. */
export function columnAt({
  bath,
  before,
  seconds,
  baseExcess,
  bulbOnBase,
}: Omit<ThermometerPicture, 'kind' | 'model' | 'eyeMm'>): number {
  const settled = bath + (bulbOnBase ? baseExcess : 0);
  return seconds >= restsAfterSeconds
    ? settled
    : settled + (before - settled) * Math.exp(-seconds / followsInSeconds);
}

/** How much too high the column is read by an eye so far above its end, in °C; signed. */
export function thermometerParallax({ division, scaleInFront }: ThermometerModel, eyeMm: number): number {
  const mm = (eyeMm * depthMm) / eyeDistanceMm;
  return ((scaleInFront ? mm : -mm) / divisionMm) * Number(division);
}

const modelFor = ({ model }: ThermometerSetting): ThermometerModel => thermometerModel(model);
const scaleFor = (setting: ThermometerSetting) => scaleOf(modelFor(setting));

export const thermometer: Instrument<ThermometerSetting> = {
  kind: 'thermometer',
  name: 'thermometer',
  quantity: 'temperature',
  unitChoices: ['°C', 'K', '°F', 'g'],
  models: thermometers,
  options: [eyeOption()],

  sampleSetting: ({ id }, random, indicates) => {
    const setting = hung(thermometerModel(id), random);
    return indicates === undefined ? setting : { ...setting, bath: indicates };
  },
  initial: ({ id }, random) => ({
    ...hung(thermometerModel(id), random),
    before: 21,
    seconds: 0,
    bulbOnBase: random.chance(0.5),
    eyeMm: (random.chance(0.5) ? 1 : -1) * Math.round(random.between(70, 130)),
  }),
  sampleHandled: (model, random) => {
    const setting = thermometer.initial(model, random);
    return {
      ...setting,
      seconds: random.pick([4, 9, restsAfterSeconds]),
      bulbOnBase: setting.bulbOnBase && random.chance(0.5),
      eyeMm: random.chance(0.6) ? 0 : setting.eyeMm,
    };
  },
  handle: (setting, hands) => ({
    ...setting,
    seconds: handNumber(hands, 'seconds', 0, 100_000),
    bulbOnBase: handFlag(hands, 'bulbOnBase'),
    eyeMm: handNumber(hands, 'eyeMm', -thermometerEyeReachMm, thermometerEyeReachMm),
  }),

  indication: ({ bath }) => bath,
  observed: ({ bath }) => bath,
  correct: (_, number) => number,
  picture: ({ kind, model, bath, before, seconds, baseExcess, bulbOnBase, eyeMm }) => ({
    kind,
    model,
    bath,
    before,
    seconds,
    baseExcess,
    bulbOnBase,
    eyeMm,
  }),

  ask: ({ bath }) => (bath < 0 ? 'How cold is the brine in the freezing mixture?' : 'How warm is the water?'),

  buildUp: (setting, written) => {
    const scale = scaleFor(setting);
    const label = labelBelow(scale, setting.bath);
    const divisions = (setting.bath - label) / scale.d;
    const whole = Math.floor(divisions + slack);
    return [
      `The numbered line below the end of the column is ${shown(label)} °C; one space is ${shown(scale.d)} °C.`,
      `Counted upward from it: ${whole} ${whole === 1 ? 'space' : 'spaces'} and about ${Math.round((divisions - whole) * 10)} tenths.`,
      `Together: ${written} °C.`,
    ];
  },

  lookFirst: () =>
    'Bracket the end of the column between two numbered lines. Which way do the numbers grow there, and what is one space worth?',

  misreadings: [
    {
      code: 'read-while-settling',
      stage: 'place',
      skill: 'handling',
      title: 'The column was still moving.',
      predict: (setting) =>
        setting.seconds < restsAfterSeconds ? [columnAt({ ...setting, bulbOnBase: false })] : [],
      hint: () =>
        'It takes a while until the bulb is as warm as what it hangs in. Watch the end of the column until it rests.',
    },
    {
      code: 'bulb-on-base',
      stage: 'place',
      skill: 'handling',
      point: 'tip',
      title: 'The bulb rested on the base.',
      predict: (setting, seen) => (setting.bulbOnBase ? [seen + setting.baseExcess] : []),
      hint: () =>
        'The base is not as warm as the liquid. Raise the clamp until the bulb hangs clear of bottom and wall.',
    },
    {
      code: 'parallax',
      stage: 'place',
      skill: 'handling',
      point: 'level',
      title: 'Your eye was not level with the end of the column.',
      predict: (setting, seen) =>
        setting.eyeMm === 0 ? [] : [seen + thermometerParallax(modelFor(setting), setting.eyeMm)],
      hint: () =>
        'The scale and the column lie at different depths. Bring your eye level with the end of the column.',
    },
    {
      code: 'below-zero-direction',
      stage: 'count',
      skill: 'd',
      point: 'label',
      title: 'Below zero you counted the wrong way.',
      predict: (setting, seen) => (seen < 0 ? [2 * labelBelow(scaleFor(setting), seen) - seen, -seen] : []),
      hint: () =>
        'Below zero the numbers grow downward. From the colder numbered line up to the end of the column it gets less cold.',
    },
    miscountedDivision(scaleFor),
  ] satisfies Misreading<ThermometerSetting>[],
};

/** A thermometer that has hung long enough; below zero as often as a tenth of the time. */
function hung(model: ThermometerModel, random: Random): ThermometerSetting {
  const bath = random.chance(0.15)
    ? Number((-random.between(0.3, 9.5)).toFixed(2))
    : samplePlace(scaleOf(model), random);
  return {
    kind: 'thermometer',
    model: model.id,
    bath,
    before: 21,
    seconds: restsAfterSeconds,
    baseExcess: Number((Number(model.division) * random.between(3, 6)).toFixed(2)),
    bulbOnBase: false,
    eyeMm: 0,
  };
}
