import type { Random } from '../chance/random';
import { handFlag, handNumber, modelIn, type Instrument, type Misreading, type Picture } from './instrument';
import {
  levelRiders,
  offNotch,
  sampleRiders,
  says,
  tidy,
  total,
  turning,
  type BalanceSetting,
  type BeamBalanceKind,
  type BeamModel,
  type Riders,
} from './riders';
import { riderMisreadings } from './riderFaults';
import { shown, slack } from './scale';

export interface BalancePicture extends Picture {
  readonly kind: BeamBalanceKind;
  readonly riders: Riders;
  readonly onPan: boolean;
  /** Turning moments that the drawing needs to tip the beam, in the units of the riders. */
  readonly loadMoment: number;
  readonly zeroMoment: number;
  readonly handled: boolean;
}

/** Imbalance, in grams, up to which a resting pointer looks level. */
export const levelWithin = ({ division }: Pick<BeamModel, 'division'>): number => 0.3 * Number(division);

/**
 * Where the pointer comes to rest, in marks above the zero mark (negative: low), of 10 each way. Near level one
 * mark is one division; far from it the beam meets its stop.
 */
export const pointerMarks = ({ division }: Pick<BeamModel, 'division'>, imbalanceGrams: number): number =>
  10 * Math.tanh(imbalanceGrams / (10 * Number(division)));

/** How far the zero screw may be turned each way, in grams. */
export const screwReach = ({ division }: Pick<BeamModel, 'division'>): number => 30 * Number(division);

interface Kind {
  readonly kind: BeamBalanceKind;
  readonly name: string;
  readonly models: readonly BeamModel[];
}

/** A balance with beams and riders. */
export function beamBalance({ kind, name, models }: Kind): Instrument<BalanceSetting> {
  const modelFor = ({ model }: BalanceSetting): BeamModel => modelIn(models, name, model);
  const count = (setting: BalanceSetting) => says(modelFor(setting), setting.riders);
  const sum = (setting: BalanceSetting) => total(modelFor(setting), setting.riders);

  /** What the pan side weighs more than the rider side, in grams: positive lifts the pointer. */
  const imbalance = (setting: BalanceSetting): number =>
    (setting.onPan ? setting.loadGrams : 0) +
    setting.zeroErrorGrams -
    turning(modelFor(setting), setting.riders);
  const offLevel = (setting: BalanceSetting): boolean =>
    !setting.onPan || Math.abs(imbalance(setting)) > levelWithin(modelFor(setting)) + slack;
  const offZero = (setting: BalanceSetting): boolean =>
    Math.abs(setting.zeroErrorGrams) > levelWithin(modelFor(setting)) + slack;
  const onRidge = (setting: BalanceSetting): boolean => offNotch(modelFor(setting), setting.riders);
  // In good order the riders say what the object weighs; with a fault in the handling they do not, the object does.
  const faultless = (setting: BalanceSetting): boolean =>
    !setting.handled || !(offLevel(setting) || offZero(setting) || onRidge(setting));
  const truth = (setting: BalanceSetting): number => (faultless(setting) ? sum(setting) : setting.loadGrams);

  const untouched = (model: BeamModel, random: Random): BalanceSetting => {
    const d = Number(model.division);
    const grams = random.between(0.03, 0.8) * Number(model.highest);
    return {
      kind,
      model: model.id,
      riders: levelRiders(model, 0),
      loadGrams: tidy(Math.round(grams / (d / 10)) * (d / 10)),
      onPan: false,
      zeroErrorGrams: random.chance(0.4)
        ? (random.chance(0.5) ? 1 : -1) * tidy(random.whole(30, 120) * (d / 10))
        : 0,
      handled: true,
    };
  };

  /** A fault of the hands: the riders are read rightly, but do not say what the object weighs. */
  const handling = (
    code: string,
    point: 'level' | 'label',
    applies: (setting: BalanceSetting) => boolean,
    title: string,
    hint: string,
  ): Misreading<BalanceSetting> => ({
    code,
    stage: 'place',
    skill: 'handling',
    point,
    title,
    predict: (setting) => (setting.handled && applies(setting) ? [sum(setting)] : []),
    hint: () => hint,
  });
  const ofTheHands = [
    handling(
      'rider-off-notch',
      'label',
      onRidge,
      'A rider sits between two notches.',
      'Look at the notched beams: a rider that rides on the ridge turns the beam as if it weighed something in between.',
    ),
    handling(
      'not-balanced',
      'level',
      offLevel,
      'The balance was not level when you read it.',
      'The riders mean something only when the object is on the pan and the pointer rests on its zero mark, or swings as far above it as below.',
    ),
    handling(
      'zero-not-set',
      'level',
      offZero,
      'The balance was not at zero before you began.',
      'Take the object off, set all riders to zero and look at the pointer. If it is not on its mark, turn the zero screw first.',
    ),
  ];

  return {
    kind,
    name,
    quantity: 'mass',
    unitChoices: ['kg', 'g', 'mg', 'mL'],
    models,

    sampleSetting: ({ id }, random, indicates) => {
      const model = modelIn(models, name, id);
      const riders = indicates === undefined ? sampleRiders(model, random) : levelRiders(model, indicates);
      return {
        kind,
        model: id,
        riders,
        loadGrams: total(model, riders),
        onPan: true,
        zeroErrorGrams: 0,
        handled: false,
      };
    },
    initial: ({ id }, random) => untouched(modelIn(models, name, id), random),
    sampleHandled: ({ id }, random) => {
      const model = modelIn(models, name, id);
      const setting = untouched(model, random);
      const zeroErrorGrams = random.chance(0.5) ? 0 : setting.zeroErrorGrams;
      // Level but for a fault or two: a rider pushed away from where it should be, or left on a ridge.
      const riders = { ...levelRiders(model, Math.max(0, setting.loadGrams + zeroErrorGrams)) };
      const [sliding, notched] = [model.beams.at(-1), model.beams.at(-2)];
      if (sliding && notched?.notch) {
        const ridge = random.chance(0.15) ? random.between(0.2, 0.7) * notched.notch : 0;
        const push = random.chance(0.25) ? random.between(-0.3, 0.3) * sliding.top : 0;
        const standsAt = riders[notched.key] ?? 0;
        if (standsAt + notched.notch <= notched.top) riders[notched.key] = standsAt + ridge;
        riders[sliding.key] = Math.min(
          sliding.top,
          Math.max(0, tidy((riders[sliding.key] ?? 0) - ridge + push)),
        );
      }
      return { ...setting, zeroErrorGrams, onPan: true, riders };
    },
    handle: (setting, hands) => {
      const model = modelFor(setting);
      const reach = screwReach(model);
      return {
        ...setting,
        riders: Object.fromEntries(model.beams.map(({ key, top }) => [key, handNumber(hands, key, 0, top)])),
        onPan: handFlag(hands, 'onPan'),
        zeroErrorGrams: setting.zeroErrorGrams + handNumber(hands, 'screw', -reach, reach),
      };
    },

    indication: truth,
    observed: truth,
    correct: (_, number) => number,
    picture: ({ model, riders, onPan, loadGrams, zeroErrorGrams, handled }) => ({
      kind,
      model,
      riders,
      onPan,
      loadMoment: loadGrams,
      zeroMoment: zeroErrorGrams,
      handled,
    }),

    ask: ({ handled }) =>
      handled ? 'What is the mass of the tin of rivets?' : 'What does the balance read?',
    buildUp: (setting, written) => {
      const model = modelFor(setting);
      const grams = faultless(setting) ? count(setting) : says(model, levelRiders(model, setting.loadGrams));
      const d = Number(model.division);
      return [
        ...model.beams.flatMap(({ name: beam, notch }, at) =>
          notch === null
            ? []
            : [
                `The rider on the beam of ${beam} stands at ${shown(grams[at] ?? 0)} g${grams[at] === 0 ? ': an empty beam still holds its place, 0' : ''}.`,
              ],
        ),
        `The sliding rider stands ${shown(Number(((grams.at(-1) ?? 0) / d).toFixed(1)))} of its small lines along, ${shown(d)} g each.`,
        `Together: ${written} g.`,
      ];
    },
    lookFirst: (setting) =>
      ofTheHands.find(({ predict }) => predict(setting, 0).length > 0)?.hint(setting) ??
      'Take one beam at a time, the heaviest rider first. Between two numbers the lower one counts; the next beam gives the rest.',

    misreadings: [...ofTheHands, ...riderMisreadings(modelFor)] satisfies Misreading<BalanceSetting>[],
  };
}
