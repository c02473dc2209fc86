import type { Random } from '../chance/random';
import { countFaults } from './countFaults';
import {
  handNumber,
  NotReady,
  type Instrument,
  type Misreading,
  type Model,
  type Picture,
} from './instrument';
import { shown, slack } from './scale';
import { lessZeroError, zeroErrorMisreadings, type WithZeroError } from './zeroError';

export interface CaliperModel extends Model {
  /** Distance between two lines of the main scale, in the model's unit. */
  readonly mainDivision: number;
  /** Lines of the vernier, and how many main divisions they span. */
  readonly lines: number;
  readonly spans: number;
  /** Every so many lines the vernier carries a number; the numbers count 0, 1, 2 … or as `printed` says. */
  readonly numberedEvery: number;
  readonly printed: (line: number) => number;
  readonly inches: boolean;
}

export interface CaliperSetting extends WithZeroError {
  readonly kind: 'vernier-caliper';
  /** True size of the object, in the model's unit. */
  readonly size: number;
  /** Where the vernier's zero line stands on the main scale, in the model's unit. */
  readonly at: number;
  /** How far the object yields when it is squeezed, in the model's unit; 0 for a hard one. */
  readonly yields: number;
}

export interface CaliperPicture extends Picture {
  readonly kind: 'vernier-caliper';
  readonly at: number;
  /** Where the zero line stands with the jaws closed on nothing. */
  readonly closedAt: number;
  /** Where the jaws touch the object. */
  readonly touchesAt: number;
  readonly yields: number;
}

/** How far the slide reaches left of the vernier's zero line, in main divisions. */
export const slideEdge = 1.5;

/** Least count = |k·s − m·s/N|, k the whole number nearest to m/N. */
export const leastCount = ({
  mainDivision,
  lines,
  spans,
}: Pick<CaliperModel, 'mainDivision' | 'lines' | 'spans'>): number =>
  Number((mainDivision * Math.abs(Math.round(spans / lines) - spans / lines)).toPrecision(6));

const make = (lines: number, spans: number, numberedEvery: number, inches = false): CaliperModel => {
  const mainDivision = inches ? 0.025 : 1;
  return {
    id: `vernier-${lines}-${spans}${inches ? '-inch' : ''}`,
    name: `Vernier caliper, ${lines} lines on ${spans} ${inches ? 'of 0.025 in' : 'mm'}`,
    unit: inches ? 'in' : 'mm',
    division: String(leastCount({ mainDivision, lines, spans })),
    reads: 'least count',
    labelEvery: inches ? '0.1' : '10',
    lowest: '0',
    highest: inches ? '5' : '130',
    tolerance: inches ? '0.001' : '0.05',
    mainDivision,
    lines,
    spans,
    numberedEvery,
    // In inches the numbers are thousandths; in millimetres tenths of a division.
    printed: inches ? (line) => line : (line) => line / numberedEvery,
    inches,
  };
};

export const calipers: readonly CaliperModel[] = [
  make(10, 9, 5),
  make(20, 19, 2),
  make(20, 39, 2),
  make(50, 49, 5),
  make(25, 24, 5, true),
].map((model) => (model.lines === 10 ? { ...model, printed: (line) => line } : model));

/** @throws RangeError for a model that there is not. */
export function caliperModel(id: string): CaliperModel {
  const found = calipers.find((candidate) => candidate.id === id);
  if (!found) throw new RangeError(`There is no vernier caliper called “${id}”.`);
  return found;
}

/** A place of the zero line as it is read: the main mark at or left of it, and the index of the line that coincides. */
export interface VernierParts {
  readonly main: number;
  readonly line: number;
}

/** Lines 0 and N coincide together; that is line 0 of the next main mark. */
export function vernierParts(model: CaliperModel, at: number): VernierParts {
  const count = leastCount(model);
  const steps = Math.round(at / count);
  const perMain = Math.round(model.mainDivision / count);
  const line = ((steps % perMain) + perMain) % perMain;
  return { main: Number((((steps - line) / perMain) * model.mainDivision).toPrecision(12)), line };
}

const modelFor = ({ model }: CaliperSetting): CaliperModel => caliperModel(model);
const partsFor = (setting: CaliperSetting, seen: number): VernierParts =>
  vernierParts(modelFor(setting), seen);

const count = countFaults((setting: CaliperSetting, seen) => {
  const model = modelFor(setting);
  return [model, vernierParts(model, seen), leastCount(model)] as const;
});

export const vernierCaliper: Instrument<CaliperSetting> = {
  kind: 'vernier-caliper',
  name: 'vernier caliper',
  quantity: 'length',
  unitChoices: ['cm', 'mm', 'in', 'g'],
  models: calipers,

  sample: ({ id }, random) => gripped(caliperModel(id), random),
  start: ({ id }, random) => {
    const model = caliperModel(id);
    const setting = gripped(model, random);
    const soft = random.chance(0.4);
    const yields = soft ? Number((leastCount(model) * random.whole(4, 9)).toPrecision(6)) : 0;
    return { ...setting, yields, at: setting.at + model.mainDivision * random.between(8, 14) };
  },
  leave: (model, random) => {
    const setting = vernierCaliper.start(model, random);
    const squeeze = random.chance(0.5) ? setting.yields : 0;
    return { ...setting, at: setting.size + setting.zeroError - squeeze };
  },
  handle: (setting, hands) => {
    const model = modelFor(setting);
    const touchesAt = setting.size + setting.zeroError;
    const at = handNumber(hands, 'at', -model.mainDivision, Number(model.highest) + 20 * model.mainDivision);
    if (at > touchesAt + leastCount(model) / 2)
      throw new NotReady('The jaws do not touch the object yet. Close them on it.');
    return { ...setting, at: Math.max(at, touchesAt - setting.yields) };
  },

  indication: ({ size }) => size,
  observed: ({ size, zeroError }) => size + zeroError,
  correct: lessZeroError,
  picture: ({ kind, model, at, size, zeroError, yields }) => ({
    kind,
    model,
    at,
    closedAt: zeroError,
    touchesAt: size + zeroError,
    yields,
  }),

  ask: ({ yields }) =>
    yields > 0
      ? 'How wide is the cork float? Correct for the zero error.'
      : 'How long is the bolt pin? Correct for the zero error.',

  buildUp: (setting, written) => {
    const model = modelFor(setting);
    const { main, line } = partsFor(setting, setting.size + setting.zeroError);
    const count = leastCount(model);
    const { unit } = model;
    return [
      `${model.lines} vernier lines span ${shown(model.spans * model.mainDivision)} ${unit}, so the least count is ${shown(count)} ${unit}.`,
      `The last main mark at or left of the vernier’s zero line: ${shown(main)} ${unit}.`,
      `Line ${line} coincides: ${line} × ${shown(count)} = ${shown(line * count)} ${unit}. Observed: ${shown(main + line * count)} ${unit}.`,
      `Closed on nothing it shows ${shown(setting.zeroError)} ${unit}. Observed minus zero error: ${written} ${unit}.`,
    ];
  },

  lookFirst: () =>
    'First the main scale: the last mark at or left of the vernier’s zero line. Then the one line of the vernier that runs straight into a line above it.',

  misreadings: [
    {
      code: 'squeezed',
      stage: 'place',
      title: 'The object was squeezed.',
      predict: ({ at, size, zeroError }) => (at < size + zeroError - slack && at > zeroError ? [at] : []),
      look: () =>
        'It is soft: the harder the jaws press, the smaller it reads. Open until they only just touch.',
    },
    count({
      code: 'main-scale-only',
      title: 'You read the main scale alone.',
      predict: (_, { main }) => [main],
      look: 'The main scale gives the whole divisions; the line of the vernier that coincides gives the rest.',
    }),
    count({
      code: 'coincidence-not-scaled',
      title: 'You added the number of the line as it is.',
      predict: ({ inches }, { main, line }) => [main + line, main + line / (inches ? 100 : 10)],
      look: 'The index of the coinciding line counts least counts. Multiply it by the least count before you add it.',
    }),
    count({
      code: 'printed-number-as-line',
      title: 'You took a number printed on the vernier for the index of a line.',
      predict: (model, { main, line }) => [
        main + Math.floor(model.printed(line) + slack) * leastCount(model),
      ],
      look: 'The printed numbers do not count the lines. Count the lines themselves, from the vernier’s zero line.',
    }),
    count({
      code: 'jaw-edge-as-zero',
      title: 'You read the main scale at the edge of the slide.',
      predict: ({ mainDivision }, { main, line }, count) => [
        (Math.ceil(main / mainDivision + (line * count) / mainDivision - slideEdge - slack) - 1) *
          mainDivision +
          line * count,
      ],
      look: 'The slide begins left of its scale. The main scale is read at the vernier’s zero line, not at the edge.',
    }),
    count({
      code: 'next-main-mark',
      title: 'You took the main mark right of the zero line.',
      predict: ({ mainDivision }, { main, line }, count) => [main + mainDivision + line * count],
      look: 'Take the last main mark that the vernier’s zero line has reached or passed.',
    }),
    {
      code: 'cm-mm-slip',
      stage: 'correction',
      title: 'You mixed centimetres and millimetres.',
      predict: (setting, observed) =>
        modelFor(setting).inches
          ? []
          : [lessZeroError(setting, observed) / 10, lessZeroError(setting, observed) * 10],
      look: () =>
        'The numbers of the main scale are centimetres; the lines between them are millimetres. Which unit did you write?',
    },
    ...zeroErrorMisreadings,
  ] satisfies Misreading<CaliperSetting>[],
};

/**
 * The jaws on an object. The zero line stands within a quarter of a least count of a whole one, so that two
 * neighbouring lines never tie; both ends of the vernier are as frequent as its middle.
 */
function gripped(model: CaliperModel, random: Random): CaliperSetting {
  const count = leastCount(model);
  const perMain = Math.round(model.mainDivision / count);
  const line = random.pick([
    random.whole(0, perMain - 1),
    random.whole(0, perMain - 1),
    random.whole(0, perMain - 1),
    0,
    1,
    perMain - 1,
  ]);
  const mains = random.whole(model.inches ? 12 : 8, model.inches ? 110 : 64);
  const tidy = (value: number) => Number(value.toPrecision(10));
  const at = tidy((mains * perMain + line + random.between(-0.25, 0.25)) * count);
  const zeroError = random.chance(0.5) ? 0 : tidy((random.chance(0.5) ? 1 : -1) * random.whole(3, 7) * count);
  return { kind: 'vernier-caliper', model: model.id, size: tidy(at - zeroError), at, zeroError, yields: 0 };
}
