import {
  divisionOf,
  electronicBalances,
  faultless,
  flawed,
  flaws,
  loaded,
  rounded,
  shownNow,
  stableAfterSeconds,
  truth,
  vesselToTakeOff,
  type ElectronicBalanceSetting,
  type Flaw,
} from './balanceLoad';
import { handFlag, handNumber, NotReady, type Instrument, type Misreading, type Picture } from './instrument';

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
  readonly flaw: Flaw;
  readonly flawGrams: number;
  readonly hops: boolean;
}

export const electronicBalance: Instrument<ElectronicBalanceSetting> = {
  kind: 'electronic-balance',
  name: 'electronic balance',
  quantity: 'mass',
  unitChoices: ['kg', 'g', 'mg', 'mL'],
  models: electronicBalances,

  sampleSetting: (model, random, indicates) => {
    const setting = loaded(model, random, false);
    return indicates === undefined
      ? setting
      : { ...setting, contentsGrams: indicates, vesselGrams: 0, task: 'straight', tared: 'pan', hops: false };
  },
  initial: (model, random) => loaded(model, random, true),
  sampleHandled: (model, random) => {
    const setting = loaded(model, random, true);
    return {
      ...setting,
      doorOpen: setting.doorOpen && random.chance(0.4),
      seconds: random.chance(0.3) ? 1 : stableAfterSeconds,
      mended: random.chance(0.5),
      tared: random.chance(0.3) ? 'nothing' : setting.task === 'tare' ? 'vessel' : 'pan',
    };
  },
  handle: (setting, hands) => {
    const load = handNumber(hands, 'load', 0, 3);
    if (load === 3)
      throw new NotReady('It weighs more than this balance carries: the display shows dashes. Take it off.');
    if (load !== 2) throw new NotReady('The load is not on the pan. Put it on, then read.');
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
      mended: handFlag(hands, 'mended'),
    };
  },

  flicker: (setting) => (setting.hops && faultless(setting) ? truth(setting) + divisionOf(setting) : null),
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
    flaw,
    flawGrams,
    hops,
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
    flaw,
    flawGrams,
    hops,
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
      `Every digit that is shown is written, the last zeros too: ${written} g${setting.hops ? ', or one digit more: where it hops between two, either is right' : ''}.`,
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
      skill: 'handling',
      point: 'display',
      title: 'The display had not settled, or air was moving.',
      predict: (setting) =>
        setting.seconds < stableAfterSeconds || setting.doorOpen ? [shownNow(setting)] : [],
      hint: ({ doorOpen }) =>
        doorOpen
          ? 'The door is open: moving air pushes on the pan. Shut it and wait for the stable sign.'
          : 'Wait for the stable sign; until then the digits still move.',
    },
    {
      code: 'empty-pan-not-zero',
      stage: 'place',
      skill: 'handling',
      point: 'edge',
      title: 'The empty pan did not stand at zero.',
      predict: (setting) =>
        setting.residueGrams > 0 && setting.tared === 'nothing' ? [shownNow(setting)] : [],
      hint: () =>
        'Something lies on the pan. Brush it off or set the balance to zero before the load goes on.',
    },
    ...(Object.keys(flaws) as (keyof typeof flaws)[]).map((flaw): Misreading<ElectronicBalanceSetting> => ({
      code: `weighed-${flaw}`,
      stage: 'place',
      skill: 'handling',
      point: 'edge',
      title: flaws[flaw].title,
      predict: (setting) => (setting.flaw === flaw && flawed(setting) ? [shownNow(setting)] : []),
      hint: () => flaws[flaw].hint,
    })),
    {
      code: 'container-included',
      stage: 'correction',
      skill: 'zero error',
      title: 'You left the vessel in.',
      predict: (setting, number) => (vesselToTakeOff(setting) > 0 ? [number] : []),
      hint: () => 'What is asked for is the oil alone. What does the vessel weigh without it?',
    },
    {
      code: 'container-tared-and-subtracted',
      stage: 'correction',
      skill: 'zero error',
      title: 'You took the vessel off twice.',
      predict: (setting, number) =>
        setting.vesselGrams > 0 && setting.task === 'tare'
          ? [number - rounded(setting, setting.vesselGrams)]
          : [],
      hint: () => 'The tare has taken the vessel off already. The display shows the oil alone.',
    },
    {
      code: 'unit-slip',
      stage: 'correction',
      skill: 'unit',
      rescales: true,
      point: 'display',
      title: 'The unit is a thousandfold off.',
      predict: (setting, number) => [
        (number - vesselToTakeOff(setting)) / 1000,
        (number - vesselToTakeOff(setting)) * 1000,
      ],
      hint: () => 'Look at the unit beside the digits. Does the one that you chose fit what lies on the pan?',
    },
  ] satisfies Misreading<ElectronicBalanceSetting>[],
};
