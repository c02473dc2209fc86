import type { Random } from '../chance/random';
import {
  handFlag,
  handNumber,
  NotReady,
  type Instrument,
  type Misreading,
  type Model,
  type Picture,
  type Setting,
} from './instrument';
import { shown } from './scale';

export interface ElectronicBalanceSetting extends Setting {
  readonly kind: 'electronic-balance';
  /** True mass of what is asked for, in grams. */
  readonly contentsGrams: number;
  /** The vessel that holds it; 0 when it lies on the pan itself. */
  readonly vesselGrams: number;
  /** Left on the pan before anything was put on. */
  readonly residueGrams: number;
  /** Whether the balance was set to zero with the residue, or with the vessel, on it. */
  readonly tared: 'nothing' | 'pan' | 'vessel';
  /** Draught through an open door pushes the display up by this much. */
  readonly draughtGrams: number;
  readonly doorOpen: boolean;
  /** Seconds since the load was put on. */
  readonly seconds: number;
  /** How the reader is to come to the mass: straight, by the vessel's tare, or as a difference of two readings. */
  readonly task: 'straight' | 'tare' | 'difference';
}

export interface ElectronicBalancePicture extends Picture {
  readonly kind: 'electronic-balance';
  readonly task: ElectronicBalanceSetting['task'];
  /** What the display shows of the whole load, of the vessel alone and of the empty pan, before any tare. */
  readonly loadedGrams: number;
  readonly vesselGrams: number;
  readonly emptyGrams: number;
  readonly draughtGrams: number;
  readonly doorOpen: boolean;
  readonly tared: ElectronicBalanceSetting['tared'];
  readonly seconds: number;
}

/** After this many seconds the display stands and the stable sign lights. */
export const stableAfterSeconds = 4;

const make = (division: string, highest: string): Model => ({
  id: `electronic-${division.replace('.', '_')}`,
  name: `Electronic balance, ${division} g`,
  unit: 'g',
  division,
  reads: 'digits',
  labelEvery: division,
  lowest: '0',
  highest,
  tolerance: division,
});

export const electronicBalances: readonly Model[] = [
  make('0.1', '2000'),
  make('0.01', '400'),
  make('0.001', '120'),
];

/** What a display with this last digit shows of a mass: rounded, and on its way while it settles. */
export function displayed(grams: number, division: number, seconds: number): number {
  const settling = seconds >= stableAfterSeconds ? 1 : 1 - Math.exp(-seconds * 1.1);
  return Number((Math.round((grams * settling) / division + 1e-9) * division).toPrecision(12));
}

const divisionOf = ({ model }: ElectronicBalanceSetting): number =>
  Number(electronicBalances.find(({ id }) => id === model)?.division ?? '0.1');

const rounded = (setting: ElectronicBalanceSetting, grams: number): number =>
  displayed(grams, divisionOf(setting), stableAfterSeconds);

/** What the display shows of the whole load, as it was zeroed. */
function shownNow(setting: ElectronicBalanceSetting): number {
  const { contentsGrams, vesselGrams, residueGrams, tared, doorOpen, draughtGrams, seconds } = setting;
  const taken = { nothing: 0, pan: residueGrams, vessel: residueGrams + vesselGrams }[tared];
  return displayed(
    contentsGrams + vesselGrams + residueGrams + (doorOpen ? draughtGrams : 0) - taken,
    divisionOf(setting),
    seconds,
  );
}

/** The vessel's own reading, where no tare has taken it off. */
const vesselToTakeOff = (setting: ElectronicBalanceSetting): number =>
  setting.vesselGrams > 0 && setting.tared !== 'vessel' ? rounded(setting, setting.vesselGrams) : 0;

const faultless = ({ doorOpen, seconds, residueGrams, tared }: ElectronicBalanceSetting): boolean =>
  !doorOpen && seconds >= stableAfterSeconds && (residueGrams === 0 || tared !== 'nothing');

/** In good order the display says it; with a fault in the handling it does not, the load does. */
const truth = (setting: ElectronicBalanceSetting): number =>
  faultless(setting) ? shownNow(setting) - vesselToTakeOff(setting) : rounded(setting, setting.contentsGrams);

export const electronicBalance: Instrument<ElectronicBalanceSetting> = {
  kind: 'electronic-balance',
  name: 'electronic balance',
  quantity: 'mass',
  unitChoices: ['kg', 'g', 'mg', 'mL'],
  models: electronicBalances,

  sample: (model, random) => loaded(model, random, false),
  start: (model, random) => loaded(model, random, true),
  leave: (model, random) => {
    const setting = loaded(model, random, true);
    return {
      ...setting,
      doorOpen: setting.doorOpen && random.chance(0.4),
      seconds: random.chance(0.3) ? 1 : stableAfterSeconds,
      tared: random.chance(0.3) ? 'nothing' : setting.task === 'tare' ? 'vessel' : 'pan',
    };
  },
  handle: (setting, hands) => {
    if (handNumber(hands, 'load', 0, 2) !== 2)
      throw new NotReady('The load is not on the pan. Put it on, then read.');
    const zeroedWith = (['nothing', 'pan', 'vessel'] as const)[handNumber(hands, 'zeroed', 0, 3)];
    if (!zeroedWith)
      throw new NotReady(
        'The balance was set to zero with the whole load on it. Take it off, set to zero, put it on again.',
      );
    return {
      ...setting,
      doorOpen: handFlag(hands, 'doorOpen'),
      seconds: handNumber(hands, 'seconds', 0, 100_000),
      tared: zeroedWith,
    };
  },

  indication: truth,
  observed: (setting) => truth(setting) + vesselToTakeOff(setting),
  correct: (setting, number) => number - vesselToTakeOff(setting),
  picture: ({
    kind,
    model,
    task,
    contentsGrams,
    vesselGrams,
    residueGrams,
    draughtGrams,
    doorOpen,
    tared,
    seconds,
  }) => ({
    kind,
    model,
    task,
    loadedGrams: contentsGrams + vesselGrams + residueGrams,
    vesselGrams: vesselGrams + residueGrams,
    emptyGrams: residueGrams,
    draughtGrams,
    doorOpen,
    tared,
    seconds,
  }),

  ask: ({ task }) =>
    ({
      straight: 'What is the mass of the shackle ring?',
      tare: 'What is the mass of the lamp oil alone? Use the tare.',
      difference: 'What is the mass of the lamp oil alone? Weigh by difference.',
    })[task],

  buildUp: (setting, written) => {
    const off = vesselToTakeOff(setting);
    const decimals = String(divisionOf(setting)).split('.')[1]?.length ?? 0;
    return [
      'The pan is empty and clean, the balance stands at zero, the door is shut and the stable sign is lit.',
      ...(off === 0
        ? []
        : [
            `Vessel and oil: ${(truth(setting) + off).toFixed(decimals)} g. The vessel alone: ${off.toFixed(decimals)} g.`,
          ]),
      `Every digit that is shown is written, the last zeros too: ${written} g.`,
    ];
  },

  lookFirst: ({ task }) =>
    task === 'difference'
      ? 'Two readings make a mass by difference: the vessel with the oil, and the vessel alone. Write every digit of both.'
      : 'Is the stable sign lit, the door shut, and did the balance stand at zero before?',

  misreadings: [
    {
      code: 'read-while-settling',
      stage: 'place',
      title: 'The display had not settled, or air was moving.',
      predict: (setting) =>
        setting.seconds < stableAfterSeconds || setting.doorOpen ? [shownNow(setting)] : [],
      look: ({ doorOpen }) =>
        doorOpen
          ? 'The door is open: moving air pushes on the pan. Shut it and wait for the stable sign.'
          : 'Wait for the stable sign; until then the digits still move.',
    },
    {
      code: 'empty-pan-not-zero',
      stage: 'place',
      title: 'The empty pan did not stand at zero.',
      predict: (setting) =>
        setting.residueGrams > 0 && setting.tared === 'nothing' ? [shownNow(setting)] : [],
      look: () =>
        'Something lies on the pan. Brush it off or set the balance to zero before the load goes on.',
    },
    {
      code: 'container-included',
      stage: 'correction',
      title: 'You left the vessel in.',
      predict: (setting, number) => (vesselToTakeOff(setting) > 0 ? [number] : []),
      look: () => 'What is asked for is the oil alone. What does the vessel weigh without it?',
    },
    {
      code: 'container-tared-and-subtracted',
      stage: 'correction',
      title: 'You took the vessel off twice.',
      predict: (setting, number) =>
        setting.vesselGrams > 0 && setting.task === 'tare'
          ? [number - rounded(setting, setting.vesselGrams)]
          : [],
      look: () => 'The tare has taken the vessel off already. The display shows the oil alone.',
    },
    {
      code: 'unit-slip',
      stage: 'correction',
      title: 'The unit is a thousandfold off.',
      predict: (setting, number) => [
        (number - vesselToTakeOff(setting)) / 1000,
        (number - vesselToTakeOff(setting)) * 1000,
      ],
      look: () => 'Look at the unit beside the digits. Does the one that you chose fit what lies on the pan?',
    },
  ] satisfies Misreading<ElectronicBalanceSetting>[],
};

/** A load, often one that ends in zeros; handled ones with residue, an open door, and the tare still to be used. */
function loaded(model: Model, random: Random, handled: boolean): ElectronicBalanceSetting {
  const d = Number(model.division);
  const heaviest = Number(model.highest) * 0.4;
  const grid = (grams: number) => Number((Math.round(grams / d) * d).toPrecision(10));
  const contents = random.pick([
    () => random.between(heaviest * 0.02, heaviest),
    () => random.between(heaviest * 0.02, heaviest),
    () => grid(random.between(heaviest * 0.02, heaviest) / (10 * d)) * 10 * d,
  ])();
  const task = random.pick(['straight', 'straight', 'tare', 'difference'] as const);
  const vessel = task === 'straight' ? 0 : grid(random.between(heaviest * 0.1, heaviest * 0.5));
  const residue = handled && random.chance(0.4) ? grid(d * random.whole(3, 40)) : 0;
  return {
    kind: 'electronic-balance',
    model: model.id,
    contentsGrams: Number(shown(grid(contents))),
    vesselGrams: vessel,
    residueGrams: residue,
    tared: handled ? 'nothing' : task === 'tare' ? 'vessel' : 'pan',
    draughtGrams: grid(d * random.whole(4, 30)),
    doorOpen: handled && random.chance(0.6),
    seconds: handled ? 0 : stableAfterSeconds,
    task,
  };
}
