import {
  handFlag,
  handNumber,
  type Instrument,
  type Misreading,
  type Model,
  type Picture,
  type Setting,
} from './instrument';
import {
  droppedPlaces,
  levelRiders,
  nearest,
  offNotch,
  sampleRiders,
  tidy,
  total,
  type Riders,
} from './riders';
import { shown, slack } from './scale';

export interface BalanceSetting extends Setting {
  readonly kind: 'three-beam-balance';
  readonly riders: Riders;
  /** Mass of the object, in grams. */
  readonly loadGrams: number;
  readonly onPan: boolean;
  /** What the balance shows too much when empty with the zero screw as it stands, in grams. */
  readonly zeroErrorGrams: number;
  /** True once somebody has the apparatus in hand: then the pointer tells whether the riders mean anything. */
  readonly handled: boolean;
}

export interface BalancePicture extends Picture {
  readonly kind: 'three-beam-balance';
  readonly riders: Riders;
  readonly onPan: boolean;
  /** Turning moments that the drawing needs to tip the beam, in the units of the riders. */
  readonly loadMoment: number;
  readonly zeroMoment: number;
  readonly handled: boolean;
}

/** Imbalance, in grams, up to which a resting pointer looks level. */
export const levelWithinGrams = 0.03;

/**
 * Where the pointer comes to rest, in marks above the zero mark (negative: low), of 10 each way. Near level one
 * mark is 0.1 g; far from it the beam meets its stop.
 */
export const pointerMarks = (imbalanceGrams: number): number => 10 * Math.tanh(imbalanceGrams);

const model: Model = {
  id: 'three-beam-600',
  name: 'Three-beam balance, 600 g',
  unit: 'g',
  division: '0.1',
  reads: 'scale',
  labelEvery: '1',
  lowest: '0',
  highest: '600',
  tolerance: '0.1',
};

export const threeBeamBalance: Instrument<BalanceSetting> = {
  kind: 'three-beam-balance',
  name: 'three-beam balance',
  quantity: 'mass',
  unitChoices: ['kg', 'g', 'mg', 'mL'],
  models: [model],

  sample: ({ id }, random) => {
    const riders = sampleRiders(random);
    const loadGrams = total(riders);
    return {
      kind: 'three-beam-balance',
      model: id,
      riders,
      loadGrams,
      onPan: true,
      zeroErrorGrams: 0,
      handled: false,
    };
  },

  start: ({ id }, random) => ({
    kind: 'three-beam-balance',
    model: id,
    riders: { hundreds: 0, tens: 0, ones: 0 },
    loadGrams: tidy(random.between(12, 480)),
    onPan: false,
    zeroErrorGrams: random.chance(0.4) ? (random.chance(0.5) ? 1 : -1) * tidy(random.between(0.3, 1.2)) : 0,
    handled: true,
  }),

  leave: (model, random) => {
    const untouched = threeBeamBalance.start(model, random);
    const zeroErrorGrams = random.chance(0.5) ? 0 : untouched.zeroErrorGrams;
    // Level but for a fault or two: a rider pushed away from where it should be, or left on a ridge.
    const toLevel = untouched.loadGrams + zeroErrorGrams;
    const { hundreds, tens, ones } = levelRiders(toLevel);
    const ridge = random.chance(0.15) && tens < 90 ? random.between(2, 7) : 0;
    const push = random.chance(0.25) ? random.between(-3, 3) : 0;
    const slid = Math.min(10, Math.max(0, tidy(ones - ridge + push)));
    return {
      ...untouched,
      zeroErrorGrams,
      onPan: true,
      riders: { hundreds, tens: tens + ridge, ones: slid },
    };
  },

  handle: (setting, hands) => {
    const riders = {
      hundreds: handNumber(hands, 'hundreds', 0, 500),
      tens: handNumber(hands, 'tens', 0, 90),
      ones: handNumber(hands, 'ones', 0, 10),
    };
    const turnedGrams = handNumber(hands, 'screw', -3, 3);
    return {
      ...setting,
      riders,
      onPan: handFlag(hands, 'onPan'),
      zeroErrorGrams: setting.zeroErrorGrams + turnedGrams,
    };
  },

  // In good order the riders say what the object weighs; with a fault in the handling they do not, the object does.
  indication: (setting) => (faultless(setting) ? total(setting.riders) : setting.loadGrams),
  observed: (setting) => threeBeamBalance.indication(setting),
  correct: (_, number) => number,

  picture: ({ kind, model: id, riders, onPan, loadGrams, zeroErrorGrams, handled }) => ({
    kind,
    model: id,
    riders,
    onPan,
    loadMoment: loadGrams,
    zeroMoment: zeroErrorGrams,
    handled,
  }),

  ask: ({ handled }) => (handled ? 'What is the mass of the tin of rivets?' : 'What does the balance read?'),

  buildUp: (setting, written) => {
    const { hundreds, tens, ones } = faultless(setting) ? setting.riders : levelRiders(setting.loadGrams);
    return [
      `The hundreds rider stands at ${shown(hundreds)} g.`,
      `The tens rider stands at ${shown(tens)} g${tens === 0 ? ': an empty beam still holds its place, 0' : ''}.`,
      `The sliding rider has passed ${Math.floor(ones + slack)} g and stands ${lines(ones)} of its small lines (0.1 g each) further on.`,
      `Together: ${written} g.`,
    ];
  },

  lookFirst: () =>
    'Take one beam at a time, the heaviest rider first. Between two numbers the lower one counts; the next beam gives the rest.',

  misreadings: [
    handling({
      code: 'rider-off-notch',
      title: 'A rider sits between two notches.',
      applies: ({ riders }) => offNotch(riders),
      look: 'Look at the two notched beams: a rider that rides on the ridge turns the beam as if it weighed something in between.',
    }),
    handling({
      code: 'not-balanced',
      title: 'The balance was not level when you read it.',
      applies: (setting) => !setting.onPan || Math.abs(imbalance(setting)) > levelWithinGrams,
      look: 'The riders mean something only when the object is on the pan and the pointer rests on its zero mark. Look where the pointer rests.',
    }),
    handling({
      code: 'zero-not-set',
      title: 'The balance was not at zero before you began.',
      applies: (setting) => Math.abs(setting.zeroErrorGrams) > levelWithinGrams,
      look: 'Take the object off, set all riders to zero and look at the pointer. If it is not on its mark, turn the zero screw first.',
    }),
    {
      code: 'rider-rounded-up',
      stage: 'count',
      title: 'You took the next number on a beam.',
      predict: ({ riders: { hundreds, tens, ones } }, seen) => [
        ...(tens + ones > 0 && hundreds + tens > 0 ? [seen + 100] : []),
        ...(ones > 0 ? [seen + 10] : []),
        ...(Math.abs(ones - Math.round(ones)) > slack ? [seen + 1] : []),
      ],
      look: () =>
        'Check each beam: between two numbers the lower one counts, because the lighter riders have yet to add the rest.',
    },
    {
      code: 'riders-swapped',
      stage: 'count',
      title: 'You exchanged the hundreds and the tens.',
      predict: ({ riders: { hundreds, tens, ones } }) =>
        hundreds > 0 && tens > 0 ? [(nearest(tens, 10) / 10) * 100 + nearest(hundreds, 100) / 10 + ones] : [],
      look: () => 'Read the numbers printed on the beams: which beam goes up in hundreds, and which in tens?',
    },
    {
      code: 'rider-forgotten',
      stage: 'count',
      title: 'You left a rider out.',
      predict: ({ riders: { hundreds, tens, ones } }, seen) =>
        [nearest(hundreds, 100), nearest(tens, 10), ones]
          .filter((grams) => grams > 0)
          .map((grams) => seen - grams),
      look: () =>
        'There are three riders. Count those that do not stand at zero, and check that each is in your sum.',
    },
    {
      code: 'empty-place-dropped',
      stage: 'count',
      title: 'You dropped a place in which a beam stands at zero.',
      predict: ({ riders }) => droppedPlaces(riders),
      look: () =>
        'One beam adds nothing, but its place stays: write a 0 for it, so that the other digits keep theirs.',
    },
    {
      code: 'miscounted-division',
      stage: 'count',
      title: 'You counted the lines for something they are not worth.',
      predict: ({ riders: { ones } }, seen) => {
        const parts = ones - Math.floor(ones + slack);
        return [seen - parts + parts / 10];
      },
      look: () =>
        'On the sliding beam count the spaces between two whole grams: there are 10. So what is one space worth?',
    },
  ] satisfies Misreading<BalanceSetting>[],
};

const lines = (ones: number): string => shown(Number(((ones - Math.floor(ones + slack)) / 0.1).toFixed(1)));

/** What the pan side weighs more than the rider side, in grams: positive lifts the pointer. */
function imbalance({ riders, loadGrams, onPan, zeroErrorGrams }: BalanceSetting): number {
  return (onPan ? loadGrams : 0) + zeroErrorGrams - (riders.hundreds + riders.tens + riders.ones);
}

const faultless = (setting: BalanceSetting): boolean =>
  !setting.handled ||
  (setting.onPan &&
    !offNotch(setting.riders) &&
    Math.abs(imbalance(setting)) <= levelWithinGrams &&
    Math.abs(setting.zeroErrorGrams) <= levelWithinGrams);

/** A fault of the hands: the riders are read rightly, but do not say what the object weighs. */
function handling(fault: {
  readonly code: string;
  readonly title: string;
  readonly look: string;
  applies(setting: BalanceSetting): boolean;
}): Misreading<BalanceSetting> {
  return {
    code: fault.code,
    stage: 'place',
    title: fault.title,
    predict: (setting) => (setting.handled && fault.applies(setting) ? [total(setting.riders)] : []),
    look: () => fault.look,
  };
}
