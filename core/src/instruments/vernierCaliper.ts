import { findingTheCount } from './leastCountTask';
import { gripped, contact, type CaliperSetting } from './caliperGrip';
import { measuringFaults } from './caliperFaults';
import { handNumber, NotReady, type Instrument, type Picture } from './instrument';
import { shown } from './scale';
import { vernierColumns } from './vernierColumns';
import {
  calipers,
  caliperModel,
  leastCount,
  vernierParts,
  type CaliperModel,
  type VernierParts,
} from './verniers';
import { choiceOption } from './options';
import { lessZeroError, zeroErrorOption, zeroErrorWords } from './zeroError';

export interface CaliperPicture
  extends
    Picture,
    Pick<CaliperSetting, 'at' | 'yields' | 'task' | 'jaws' | 'closings' | 'outOfRound' | 'turn'> {
  readonly kind: 'vernier-caliper';
  /** Where the zero line stands with the jaws closed. */
  readonly closedAt: number;
  /** Where the jaws touch the object at its widest. */
  readonly touchesAt: number;
}

const modelFor = ({ model }: CaliperSetting): CaliperModel => caliperModel(model);

const apart = ({ at, jaws, zeroError }: CaliperSetting, asFound: boolean, by: number): number =>
  asFound && jaws === 'inside' ? Math.max(zeroError, at - by) : at + by;

/** Neither soft nor out of round. */
const hard = (setting: CaliperSetting): CaliperSetting => ({ ...setting, yields: 0, outOfRound: 0, turn: 0 });

const partsFor = (setting: CaliperSetting, seen: number): VernierParts =>
  vernierParts(modelFor(setting), seen);

export const vernierCaliper: Instrument<CaliperSetting> = {
  kind: 'vernier-caliper',
  name: 'vernier caliper',
  quantity: 'length',
  unitChoices: ['cm', 'mm', 'in', 'g'],
  models: calipers,
  options: [
    zeroErrorOption((setting, zeroError, size) => ({
      ...setting,
      zeroError,
      size,
      closings: setting.closings.map(() => zeroError),
    })),
    choiceOption('jaws', 'Measured with', {
      'the outside jaws': (setting) => ({ ...setting, jaws: 'outside' }),
      'the inside jaws': (setting) => ({ ...hard(setting), jaws: 'inside' }),
      'the depth rod': (setting) => ({ ...hard(setting), jaws: 'depth' }),
    }),
    choiceOption('object', 'Between the outside jaws', {
      'a pin, along': (setting) => ({ ...hard(setting), jaws: 'outside' }),
      'a round pin, across': (setting, model) => ({
        ...hard(setting),
        jaws: 'outside',
        outOfRound: 8 * leastCount(caliperModel(model.id)),
      }),
      'a cork float': (setting, model) => ({
        ...hard(setting),
        jaws: 'outside',
        yields: 6 * leastCount(caliperModel(model.id)),
      }),
    }),
  ],

  sampleSetting: ({ id }, random, indicates) => gripped(caliperModel(id), random, indicates),
  first: ({ id }, random) => ({ ...gripped(caliperModel(id), random), task: 'least count' }),
  initial: ({ id }, random) => {
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
      // Before they touch, jaws around an object stand wider; those in a bore closer together.
      at: apart(setting, flaw === 'none', model.mainDivision * random.between(8, 14)),
    };
  },
  sampleHandled: (model, random) => {
    const setting = vernierCaliper.initial(model, random);
    const squeeze = random.chance(0.5) ? setting.yields : 0;
    const turn = random.chance(0.5) ? 0 : setting.turn;
    return { ...setting, turn, at: contact({ ...setting, turn }) - squeeze };
  },
  handle: (setting, hands) => {
    const model = modelFor(setting);
    const at = handNumber(hands, 'at', -model.mainDivision, Number(model.highest) + 20 * model.mainDivision);
    const turned = { ...setting, turn: handNumber(hands, 'turn', -360, 360) };
    const touchesAt = contact(turned);
    if (setting.jaws === 'inside') {
      if (at < touchesAt - leastCount(model) / 2)
        throw new NotReady('It does not touch the walls yet. Open it until it does.');
      return { ...turned, at: Math.min(at, touchesAt) };
    }
    if (at > touchesAt + leastCount(model) / 2)
      throw new NotReady('It does not touch the object yet. Close it until it does.');
    return { ...turned, at: Math.max(at, touchesAt - setting.yields) };
  },

  withConventions: (setting, { zeroClosings, zeroCorrection }) => {
    const taken = setting.closings.slice(0, Math.max(1, zeroClosings));
    const count = leastCount(modelFor(setting));
    const mean = taken.reduce((sum, closing) => sum + closing, 0) / taken.length;
    const zeroError = Number((Math.round(mean / count) * count).toPrecision(10));
    const size = setting.size + setting.zeroError - zeroError;
    return { ...setting, closings: taken, zeroError, size, asItStands: zeroCorrection === 'mean' };
  },
  scale: (setting) =>
    setting.task === 'least count'
      ? { reads: 'digits', division: String(leastCount(modelFor(setting))) }
      : {},
  parts: vernierColumns,
  highestLine: ({ id }) => caliperModel(id).lines,

  indication: (setting) =>
    setting.task === 'least count'
      ? leastCount(modelFor(setting))
      : lessZeroError(setting, setting.size + setting.zeroError),
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

  ask: (setting) => {
    const { task, jaws, yields, outOfRound } = setting;
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
    return `${object} ${zeroErrorWords(setting)}`;
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
      `Observed: ${(setting.size + setting.zeroError).toFixed(decimals)} ${model.unit}. With the jaws closed it shows ${shown(setting.zeroError)} ${model.unit}.`,
      setting.asItStands
        ? `As it stands: ${written} ${model.unit}. The zero error comes off the mean.`
        : `Observed minus zero error: ${written} ${model.unit}.`,
    ];
  },

  lookFirst: () =>
    'First the main scale: the last mark at or left of the vernier’s zero line. Then the one line of the vernier that runs straight into a line above it.',

  misreadings: [...measuringFaults, ...findingTheCount],
};
