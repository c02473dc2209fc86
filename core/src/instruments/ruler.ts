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
import { labelBelow, miscountedDivision, scaleOf, shown, slack } from './scale';

export interface RulerModel extends Make {
  /** What one numbered interval is called on the scale: its number is the place divided by this. */
  readonly numberedBy: number;
  readonly metric: boolean;
}

export interface RulerSetting extends Setting {
  readonly kind: 'ruler';
  /** Where the object begins and ends on the scale, in the model's unit. */
  readonly from: number;
  readonly to: number;
  /** How far the eye stands to the right of the object's end, in millimetres; left of it negative. */
  readonly eyeMm: number;
}

export interface RulerPicture extends Picture {
  readonly kind: 'ruler';
  readonly from: number;
  readonly to: number;
  readonly eyeMm: number;
}

/** Thickness of a rule, on whose top the scale lies, and height of the eye, in millimetres. */
const [thicknessMm, eyeHeightMm] = [6, 300];
export const rulerEyeReachMm = 140;

const make = (
  id: string,
  name: string,
  division: string,
  labelEvery: string,
  highest: string,
  numberedBy: number,
  metric = true,
): RulerModel => ({
  id,
  name,
  unit: metric ? 'mm' : 'in',
  division,
  reads: 'scale',
  labelEvery,
  lowest: '0',
  highest,
  // Lines are placed far better than a coarse stick can be read.
  tolerance: metric ? '0.5' : '0.02',
  numberedBy,
  metric,
  // Binary parts of an inch, not tenths.
  fractions: !metric && Number.isInteger(Math.log2(Number(division))),
});

export const rulers: readonly RulerModel[] = [
  make('ruler-mm', 'Ruler in millimetres', '1', '10', '300', 10),
  make('metre-stick-mm', 'Metre stick in millimetres', '1', '10', '1000', 10),
  make('stick-half-cm', 'Training stick in half centimetres', '5', '10', '300', 10),
  make('stick-cm', 'Training stick in centimetres', '10', '50', '500', 10),
  make('stick-dm', 'Training stick in decimetres', '100', '100', '1000', 100),
  make('ruler-tenths', 'Ruler in tenths of an inch', '0.1', '1', '12', 1, false),
  make('ruler-sixteenths', 'Ruler in sixteenths of an inch', '0.0625', '1', '12', 1, false),
];

/** @throws RangeError for a model that there is not. */
export const rulerModel = (id: string): RulerModel => modelIn(rulers, 'ruler', id);

const modelFor = ({ model }: RulerSetting): RulerModel => rulerModel(model);
const scaleFor = (setting: RulerSetting) => scaleOf(modelFor(setting));
const mmPerUnit = ({ metric }: RulerModel): number => (metric ? 1 : 25.4);

/**
 * The rule lies on the object, its scale a thickness above it: an eye toward the larger numbers sees the end against
 * a smaller one, low by eye·t/(D − t). In the model's unit, signed.
 */
export const rulerParallax = (model: RulerModel, eyeMm: number): number =>
  (-eyeMm * thicknessMm) / (eyeHeightMm - thicknessMm) / mmPerUnit(model);

export const ruler: Instrument<RulerSetting> = {
  kind: 'ruler',
  name: 'ruler',
  quantity: 'length',
  unitChoices: ['m', 'cm', 'mm', 'in'],
  models: rulers,
  options: [
    {
      key: 'begins',
      name: 'It begins at',
      inItsUnit: true,
      bounds: ({ from, to }, { highest }) => [0, Number(highest) - (to - from)],
      change: (setting, from) => ({
        ...setting,
        from,
        to: Number((from + setting.to - setting.from).toPrecision(10)),
      }),
    },
    eyeOption(['square', 'to the right', 'to the left']),
  ],

  sampleSetting: ({ id }, random, indicates) => {
    const setting = laid(rulerModel(id), random, 0);
    return indicates === undefined ? setting : { ...setting, from: 0, to: indicates };
  },
  initial: ({ id }, random) =>
    laid(rulerModel(id), random, (random.chance(0.5) ? 1 : -1) * Math.round(random.between(70, 130))),
  sampleHandled: ({ id }, random) =>
    laid(rulerModel(id), random, random.chance(0.5) ? 0 : random.between(-130, 130)),
  handle: (setting, hands) => {
    handFlag(hands, 'eyeSquare');
    return { ...setting, eyeMm: handNumber(hands, 'eyeMm', -rulerEyeReachMm, rulerEyeReachMm) };
  },

  // A beginning between the lines has to be estimated as well.
  estimates: (setting) => (beginsOnLine(setting) ? 1 : 2),
  indication: ({ from, to }) => to - from,
  observed: ({ to }) => to,
  correct: ({ from }, end) => end - from,
  picture: ({ kind, model, from, to, eyeMm }) => ({ kind, model, from, to, eyeMm }),

  ask: () => 'How long is the slate tally token?',

  buildUp: (setting, written) => {
    const { unit } = modelFor(setting);
    const scale = scaleFor(setting);
    const label = labelBelow(scale, setting.to);
    const divisions = (setting.to - label) / scale.d;
    const whole = Math.floor(divisions + slack);
    return [
      `The numbered line before the end is at ${shown(label)} ${unit}; one space is ${shown(scale.d)} ${unit}.`,
      `The end lies ${whole} ${whole === 1 ? 'space' : 'spaces'} and about ${Math.round((divisions - whole) * 10)} tenths further on.`,
      `The token begins at ${shown(setting.from)} ${unit}: end less beginning is ${written} ${unit}.`,
      ...(modelFor(setting).fractions
        ? [`To the nearest line, as a fraction: ${inParts(setting.to - setting.from, scale.d)} in.`]
        : []),
    ];
  },

  lookFirst: (setting) =>
    `Where does the token begin, and where does it end? Between two numbered lines there are ${Math.round(scaleFor(setting).labelEvery / scaleFor(setting).d)} spaces.${modelFor(setting).fractions ? ' You may write a fraction: 2 3/16 in.' : ''}`,

  misreadings: [
    {
      code: 'parallax',
      stage: 'place',
      skill: 'handling',
      point: 'level',
      title: 'Your eye was not square above the end.',
      predict: (setting, seen) =>
        setting.eyeMm === 0 ? [] : [seen + rulerParallax(modelFor(setting), setting.eyeMm)],
      hint: () =>
        'The scale lies a little above the token. Move your eye until it is straight above the end.',
    },
    miscountedDivision(scaleFor),
    {
      code: 'started-at-one',
      stage: 'correction',
      skill: 'zero error',
      point: 'edge',
      title: 'You took the end for the length.',
      predict: ({ from }, end) => (from === 0 ? [] : [end]),
      hint: () =>
        'The token does not begin at 0. Any two points will do, but then the length is the difference of two readings.',
    },
    {
      code: 'cm-mm-slip',
      stage: 'correction',
      skill: 'unit',
      rescales: true,
      title: 'You mixed units of length by a factor of ten.',
      predict: (setting, end) =>
        modelFor(setting).metric ? [(end - setting.from) / 10, (end - setting.from) * 10] : [],
      hint: (setting) =>
        `The numbers on this scale count ${modelFor(setting).numberedBy === 100 ? 'decimetres' : 'centimetres'}. Which unit did you write?`,
    },
  ] satisfies Misreading<RulerSetting>[],
};

const beginsOnLine = (setting: RulerSetting): boolean => {
  const lines = setting.from / scaleFor(setting).d;
  return Math.abs(lines - Math.round(lines)) < 1e-6;
};

/** A token on a rule, often not begun at the worn end; now and then both of its ends lie between lines. */
function laid(model: RulerModel, random: Random, eyeMm: number): RulerSetting {
  const { d, labelEvery, highest } = scaleOf(model);
  const labels = Math.round(highest / labelEvery);
  const begins = random.chance(0.5) ? 0 : random.pick([1, 1, 2]);
  const anywhere = random.chance(0.2) ? Math.round(random.between(0.1, 1.9) * 20) / 20 : null;
  const from = Number(((anywhere ?? begins) * labelEvery).toPrecision(10));
  const longest = Math.min(highest - from, 8 * Math.max(labelEvery, 4 * d));
  const length = random.pick([
    () => random.between(labelEvery * 0.6, longest),
    () => random.between(labelEvery * 0.6, longest),
    () => Math.round(random.between(labelEvery, longest) / d) * d,
    () =>
      random.whole(1, Math.max(1, Math.min(labels - begins, 8))) * labelEvery - random.between(0.1, 0.9) * d,
  ])();
  const to = from + Math.min(longest, Math.max(d * 0.6, length));
  const hundredth = d / 100;
  return {
    kind: 'ruler',
    model: model.id,
    from,
    to: Number((Math.round(to / hundredth) * hundredth).toPrecision(10)),
    eyeMm,
  };
}

/** A length to the nearest part of an inch, as it is written: `4 9/16`, `5`. */
export function inParts(inches: number, division: number): string {
  let [upper, lower] = [Math.round(inches / division), Math.round(1 / division)];
  while (lower > 1 && upper % 2 === 0) [upper, lower] = [upper / 2, lower / 2];
  const [whole, rest] = [Math.floor(upper / lower), upper % lower];
  return [whole > 0 || rest === 0 ? String(whole) : '', rest > 0 ? `${rest}/${lower}` : '']
    .filter(Boolean)
    .join(' ');
}
