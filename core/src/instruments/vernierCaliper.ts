import type { Random } from '../chance/random';
import { countFaults } from './countFaults';
import {
  handNumber,
  modelIn,
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
  /** Most readers measure; the first task with a new caliper is to find what its lines are worth. */
  readonly task: 'size' | 'least count';
  /** Which of its three parts is used. */
  readonly jaws: Jaws;
  /** What it shows each time it is closed on nothing; a class takes the mean of as many as it has set. */
  readonly closings: readonly number[];
  /** By how much an object that is not round is smaller across its narrowest turn, in the model's unit. */
  readonly outOfRound: number;
  /** How it is turned from its widest place, in degrees. */
  readonly turn: number;
}

export type Jaws = 'outside' | 'inside' | 'depth';

export interface CaliperPicture
  extends
    Picture,
    Pick<CaliperSetting, 'at' | 'yields' | 'task' | 'jaws' | 'closings' | 'outOfRound' | 'turn'> {
  readonly kind: 'vernier-caliper';
  /** Where the zero line stands with the jaws closed on nothing. */
  readonly closedAt: number;
  /** Where the jaws touch the object at its widest. */
  readonly touchesAt: number;
}

/** How much less than its widest an object measures when it is turned so many degrees from there. */
export const turnedBy = (outOfRound: number, turn: number): number =>
  outOfRound * Math.sin((turn * Math.PI) / 180) ** 2;

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
export const caliperModel = (id: string): CaliperModel => modelIn(calipers, 'vernier caliper', id);

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

const whenFinding = (
  code: string,
  title: string,
  look: string,
  predict: (model: CaliperModel) => readonly number[],
): Misreading<CaliperSetting> => ({
  code,
  stage: 'count',
  point: 'spaces',
  title,
  look: () => look,
  predict: (setting) => (setting.task === 'least count' ? predict(modelFor(setting)) : []),
});

/** Slips in finding the least count. */
const findingTheCount: readonly Misreading<CaliperSetting>[] = [
  whenFinding(
    'main-division-taken',
    'You gave the main scale’s division.',
    'The vernier divides that once more: count its lines, and see how many main divisions they span.',
    ({ mainDivision }) => [mainDivision],
  ),
  whenFinding(
    'printed-number-as-count',
    'You divided by the numbers printed on the vernier.',
    'The printed numbers do not count the lines. Count the lines themselves.',
    ({ mainDivision, lines, numberedEvery }) => [(mainDivision * numberedEvery) / lines, mainDivision / 10],
  ),
  whenFinding(
    'line-not-division',
    'You gave the distance of two vernier lines.',
    'Compare one vernier line with the nearest whole number of main divisions: the least count is the difference.',
    ({ mainDivision, lines, spans }) => [(mainDivision * spans) / lines],
  ),
];

export const vernierCaliper: Instrument<CaliperSetting> = {
  kind: 'vernier-caliper',
  name: 'vernier caliper',
  quantity: 'length',
  unitChoices: ['cm', 'mm', 'in', 'g'],
  models: calipers,

  sample: ({ id }, random, indicates) => gripped(caliperModel(id), random, indicates),
  first: ({ id }, random) => ({ ...gripped(caliperModel(id), random), task: 'least count' }),
  start: ({ id }, random) => {
    const model = caliperModel(id);
    const setting = gripped(model, random);
    const steps = (low: number, high: number) =>
      Number((leastCount(model) * random.whole(low, high)).toPrecision(6));
    const flaw = random.pick(['none', 'soft', 'oval'] as const);
    return {
      ...setting,
      jaws: flaw === 'none' ? setting.jaws : 'outside',
      yields: flaw === 'soft' ? steps(4, 9) : 0,
      outOfRound: flaw === 'oval' ? steps(6, 14) : 0,
      turn: flaw === 'oval' ? random.whole(3, 15) * 10 : 0,
      at: setting.at + model.mainDivision * random.between(8, 14),
    };
  },
  leave: (model, random) => {
    const setting = vernierCaliper.start(model, random);
    const squeeze = random.chance(0.5) ? setting.yields : 0;
    const turn = random.chance(0.5) ? 0 : setting.turn;
    return { ...setting, turn, at: touching({ ...setting, turn }) - squeeze };
  },
  handle: (setting, hands) => {
    const model = modelFor(setting);
    const at = handNumber(hands, 'at', -model.mainDivision, Number(model.highest) + 20 * model.mainDivision);
    const turned = { ...setting, turn: handNumber(hands, 'turn', -360, 360) };
    const touchesAt = touching(turned);
    if (at > touchesAt + leastCount(model) / 2)
      throw new NotReady('It does not touch the object yet. Close it until it does.');
    return { ...turned, at: Math.max(at, touchesAt - setting.yields) };
  },

  under: (setting, { zeroClosings }) => {
    const taken = setting.closings.slice(0, Math.max(1, zeroClosings));
    const count = leastCount(modelFor(setting));
    const mean = taken.reduce((sum, closing) => sum + closing, 0) / taken.length;
    const zeroError = Number((Math.round(mean / count) * count).toPrecision(10));
    return { ...setting, closings: taken, zeroError, size: setting.size + setting.zeroError - zeroError };
  },
  scale: (setting) =>
    setting.task === 'least count'
      ? { reads: 'digits', division: String(leastCount(modelFor(setting))) }
      : {},
  parts: (setting) => {
    if (setting.task === 'least count') return [];
    const model = modelFor(setting);
    const { mainDivision } = model;
    const count = leastCount(model);
    const { main, line } = partsFor(setting, setting.size + setting.zeroError);
    const part = (
      key: string,
      heading: string,
      value: number,
      step: number,
      look: string,
      unit = model.unit,
    ) => ({
      key,
      heading,
      unit,
      value: Number(value.toPrecision(10)),
      step: String(step),
      look,
    });
    return [
      part(
        'main',
        'Main scale',
        main,
        mainDivision,
        'The last main mark that the vernier’s zero line has reached or passed.',
      ),
      part(
        'line',
        'Line',
        line,
        1,
        'Count the lines of the vernier from its zero line to the one that coincides.',
        '',
      ),
      part('fraction', 'Line × LC', line * count, count, 'The index of the line, times the least count.'),
      part('observed', 'Observed', main + line * count, count, 'Main scale and fraction together.'),
      part(
        'zero',
        'Zero error',
        setting.zeroError,
        count,
        'What it shows closed on nothing, with its sign; the mean of the closings.',
      ),
      part('corrected', 'Corrected', setting.size, count, 'Observed minus zero error, signs kept.'),
    ];
  },

  indication: (setting) => (setting.task === 'least count' ? leastCount(modelFor(setting)) : setting.size),
  observed: (setting) =>
    setting.task === 'least count' ? leastCount(modelFor(setting)) : setting.size + setting.zeroError,
  correct: (setting, observed) =>
    setting.task === 'least count' ? observed : lessZeroError(setting, observed),
  picture: (setting) => ({
    kind: setting.kind,
    model: setting.model,
    at: setting.at,
    yields: setting.yields,
    task: setting.task,
    jaws: setting.jaws,
    closings: setting.closings,
    outOfRound: setting.outOfRound,
    turn: setting.turn,
    closedAt: setting.zeroError,
    touchesAt: setting.size + setting.zeroError,
  }),

  ask: ({ task, jaws, yields, outOfRound }) => {
    if (task === 'least count') return 'What is the least count of this caliper?';
    const object = {
      outside:
        yields > 0
          ? 'How thick is the cork net float?'
          : outOfRound > 0
            ? 'How wide is the bolt pin at its widest?'
            : 'How long is the bolt pin?',
      inside: 'How wide is the bore of the deck sleeve?',
      depth: 'How deep is the deck sleeve?',
    }[jaws];
    return `${object} Correct for the zero error.`;
  },
  buildUp: (setting, written) => {
    const model = modelFor(setting);
    const count = leastCount(model);
    if (setting.task === 'least count')
      return [
        `${model.lines} lines of the vernier span ${model.spans} divisions of the main scale, ${shown(model.mainDivision)} ${model.unit} each.`,
        `One line is ${shown(Number(((model.spans * model.mainDivision) / model.lines).toPrecision(6)))} ${model.unit}, short of the nearest whole number of divisions by the least count: ${written} ${model.unit}.`,
      ];
    const { main, line } = partsFor(setting, setting.size + setting.zeroError);
    const { decimals } = { decimals: String(count).split('.')[1]?.length ?? 0 };
    return [
      `The last main mark at or left of the vernier’s zero line: ${shown(main)} ${model.unit}.`,
      `Line ${line} coincides; ${line} × ${shown(count)} ${model.unit} is ${shown(Number((line * count).toPrecision(8)))} ${model.unit}.`,
      `Observed: ${(setting.size + setting.zeroError).toFixed(decimals)} ${model.unit}. Closed on nothing it shows ${shown(setting.zeroError)} ${model.unit}.`,
      `Observed minus zero error: ${written} ${model.unit}.`,
    ];
  },

  lookFirst: () =>
    'First the main scale: the last mark at or left of the vernier’s zero line. Then the one line of the vernier that runs straight into a line above it.',

  misreadings: [
    ...measuring([
      {
        code: 'squeezed',
        stage: 'place',
        point: 'edge',
        title: 'The object was squeezed.',
        predict: (setting, seen) => {
          const squeezedBy = touching(setting) - setting.at;
          return squeezedBy > slack ? [seen - squeezedBy] : [];
        },
        look: () =>
          'It is soft: the harder the jaws press, the smaller it reads. Open until they only just touch.',
      },
      count({
        code: 'main-scale-only',
        point: 'other-side',
        title: 'You read the main scale alone.',
        predict: (_, { main }) => [main],
        look: 'The main scale gives the whole divisions; the line of the vernier that coincides gives the rest.',
      }),
      count({
        code: 'coincidence-not-scaled',
        point: 'other-side',
        title: 'You added the number of the line as it is.',
        predict: ({ inches }, { main, line }) => [main + line, main + line / (inches ? 100 : 10)],
        look: 'The index of the coinciding line counts least counts. Multiply it by the least count before you add it.',
      }),
      count({
        code: 'printed-number-as-line',
        point: 'other-side',
        title: 'You took a number printed on the vernier for the index of a line.',
        predict: (model, { main, line }) => [
          main + Math.floor(model.printed(line) + slack) * leastCount(model),
        ],
        look: 'The printed numbers do not count the lines. Count the lines themselves, from the vernier’s zero line.',
      }),
      count({
        code: 'jaw-edge-as-zero',
        point: 'zero-line',
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
        point: 'zero-line',
        title: 'You took the main mark right of the zero line.',
        predict: ({ mainDivision }, { main, line }, count) => [main + mainDivision + line * count],
        look: 'Take the last main mark that the vernier’s zero line has reached or passed.',
      }),
      {
        code: 'cm-mm-slip',
        stage: 'correction',
        rescales: true,
        title: 'You mixed centimetres and millimetres.',
        predict: (setting, observed) =>
          modelFor(setting).inches
            ? []
            : [lessZeroError(setting, observed) / 10, lessZeroError(setting, observed) * 10],
        look: () =>
          'The numbers of the main scale are centimetres; the lines between them are millimetres. Which unit did you write?',
      },
      ...zeroErrorMisreadings,
      {
        code: 'one-place-only',
        stage: 'place',
        point: 'edge',
        title: 'You measured it at one place only.',
        predict: ({ outOfRound, turn }, seen) => (outOfRound > 0 ? [seen - turnedBy(outOfRound, turn)] : []),
        look: () => 'It is not round. Turn it a quarter at a time and take its widest place.',
      },
    ]),
    ...findingTheCount,
  ] satisfies Misreading<CaliperSetting>[],
};

/** Where it touches the object, turned as it is. */
function touching({ size, zeroError, outOfRound, turn }: CaliperSetting): number {
  return size + zeroError - turnedBy(outOfRound, turn);
}

/** Slips in measuring do not happen to somebody who looks for the least count. */
function measuring(rows: readonly Misreading<CaliperSetting>[]): Misreading<CaliperSetting>[] {
  return rows.map((row) => ({
    ...row,
    predict: (setting, seen) => (setting.task === 'size' ? row.predict(setting, seen) : []),
  }));
}

/**
 * The jaws on an object. The zero line stands within a quarter of a least count of a whole one, so that two
 * neighbouring lines never tie; both ends of the vernier are as frequent as its middle.
 */
function gripped(model: CaliperModel, random: Random, indicates?: number): CaliperSetting {
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
  const at = indicates ?? tidy((mains * perMain + line + random.between(-0.25, 0.25)) * count);
  const zeroError =
    indicates !== undefined || random.chance(0.5)
      ? 0
      : tidy((random.chance(0.5) ? 1 : -1) * random.whole(3, 7) * count);
  // The first closing shows it; later ones scatter by a line.
  const later = Array.from({ length: 4 }, () =>
    zeroError === 0 ? 0 : tidy(zeroError + random.whole(-1, 1) * count),
  );
  return {
    kind: 'vernier-caliper',
    model: model.id,
    size: tidy(at - zeroError),
    at,
    zeroError,
    yields: 0,
    task: 'size',
    jaws: random.pick(['outside', 'outside', 'inside', 'depth'] as const),
    closings: [zeroError, ...later],
    outOfRound: 0,
    turn: 0,
  };
}
