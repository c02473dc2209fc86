import type { Skill } from '../answer/cause';
import type { Answer } from '../conventions/questions';
import type { Random } from '../chance/random';
import { eyeReachMm, mmPerMl, parallaxMm, riseMm, type GlassModel } from './glass';
import {
  handFlag,
  handNumber,
  modelIn,
  NotReady,
  type Instrument,
  type Misreading,
  type Picture,
  type Setting,
} from './instrument';
import type { InstrumentKind } from '../conventions/kinds';
import { shown } from './scale';

/** Glass with one ring: set to it, it holds or delivers its marked volume and no other. */
export interface RingSetting extends Setting {
  /** How far the bottom of the curve stands above the ring, in millimetres. */
  readonly aboveMm: number;
  readonly eyeMm: number;
  /** What a last drop amounts to, in mL, and whether this pipette is marked to have it expelled. */
  readonly dropMl: number;
  readonly markedExpel: boolean;
  /** What happened to the last drop: it stays in a pipette that was only touched off, or was blown out. */
  readonly blown: boolean;
  /** False where the tip was not touched against the wall. */
  readonly touched: boolean;
  readonly handled: boolean;
}

export interface RingPicture
  extends Picture, Pick<RingSetting, 'aboveMm' | 'eyeMm' | 'markedExpel' | 'handled'> {
  /** What the class does with a last drop. */
  readonly lastDrop: Answer<'lastDrop'>;
}

interface RingSettingUnder extends RingSetting {
  readonly lastDrop?: Answer<'lastDrop'>;
}

interface Kind {
  readonly kind: InstrumentKind;
  readonly name: string;
  readonly models: readonly GlassModel[];
  /** To deliver, by running out; or to contain, by filling up. */
  readonly delivers: boolean;
}

/** The surface counts as set to the ring within this many millimetres. */
const setWithinMm = 0.6;

/** Whether the last drop belongs to what is delivered. */
const expels = ({ lastDrop = 'marking', markedExpel }: RingSettingUnder): boolean =>
  lastDrop === 'marking' ? markedExpel : lastDrop === 'expel';

/** An instrument with one ring mark: a volumetric pipette, or a volumetric flask. */
export function ringMark({ kind, name, models, delivers }: Kind): Instrument<RingSettingUnder> {
  const modelFor = ({ model }: RingSetting): GlassModel => modelIn(models, name, model);
  const capacity = (setting: RingSetting): number => Number(modelFor(setting).highest);
  const faults = misreadingsOf(modelFor, delivers);
  const held = (setting: RingSettingUnder): number => {
    const volume = capacity(setting) + setting.aboveMm / mmPerMl(modelFor(setting));
    if (!delivers) return volume;
    const kept = setting.touched ? 0 : setting.dropMl;
    const blown = Number(setting.blown) - Number(expels(setting));
    return volume - kept + blown * setting.dropMl;
  };
  const truth = (setting: RingSettingUnder): number =>
    faults.every(({ applies }) => !applies(setting)) ? capacity(setting) : held(setting);
  return {
    kind,
    name,
    quantity: 'volume',
    unitChoices: ['L', 'mL', 'cm³', 'g'],
    models,

    sampleSetting: ({ id }, random) => set(kind, id, random, delivers),
    initial: ({ id }, random) => ({
      ...set(kind, id, random, delivers),
      aboveMm: delivers ? 40 : -60,
      eyeMm: (random.chance(0.5) ? 1 : -1) * Math.round(random.between(60, 130)),
      touched: !delivers,
      blown: false,
      handled: true,
    }),
    sampleHandled: (model, random) => {
      const setting = set(kind, model.id, random, delivers);
      const rise = riseMm(modelIn(models, name, model.id));
      return {
        ...setting,
        handled: true,
        aboveMm: random.pick([0, 0, -rise, delivers ? -random.between(3, 8) : random.between(3, 8)]),
        touched: !delivers || random.chance(0.7),
        blown: delivers && (random.chance(0.3) ? !setting.markedExpel : setting.markedExpel),
      };
    },
    handle: (setting, hands) => {
      const aboveMm = handNumber(hands, 'aboveMm', -200, 200);
      const eyeMm = handNumber(hands, 'eyeMm', -eyeReachMm, eyeReachMm);
      if (delivers ? aboveMm > 6 : aboveMm < -6)
        throw new NotReady(
          delivers
            ? 'The surface stands well above the ring still. Let it run down to the ring.'
            : 'The surface stands well below the ring still. Fill on, the last part by drops.',
        );
      if (delivers && !handFlag(hands, 'delivered'))
        throw new NotReady('It has not been delivered yet. Let it run into the flask and wait.');
      return {
        ...setting,
        aboveMm,
        eyeMm,
        touched: !delivers || handFlag(hands, 'touched'),
        blown: delivers && handFlag(hands, 'blown'),
      };
    },

    withConventions: (setting, { lastDrop }) => ({ ...setting, lastDrop }),
    indication: truth,
    observed: truth,
    correct: (_, number) => number,
    picture: (setting) => ({
      kind,
      model: setting.model,
      aboveMm: setting.aboveMm,
      eyeMm: setting.eyeMm,
      markedExpel: setting.markedExpel,
      handled: setting.handled,
      lastDrop: setting.lastDrop ?? 'marking',
    }),

    ask: ({ handled }) =>
      handled
        ? delivers
          ? 'Fill it above the ring, run it down to the ring, deliver. What volume was delivered?'
          : 'Fill it to the ring. What volume does it hold?'
        : `It is set to its ring. What volume does it ${delivers ? 'deliver' : 'hold'}?`,
    buildUp: (setting, written) => [
      `One ring, one volume: ${shown(capacity(setting))} mL at 20 °C, with a tolerance of ±${modelFor(setting).tolerance} mL.`,
      `The tolerance says how many decimals the volume has: ${written} mL${truth(setting) === capacity(setting) ? '' : ', which is what came of it this time'}.`,
    ],
    lookFirst: (setting) =>
      `One ring, one volume. It is printed on the glass, with its tolerance of ±${modelFor(setting).tolerance} mL: that says how many decimals to write.`,

    misreadings: faults.map(
      ({ code, skill = 'handling', title, hint, applies }): Misreading<RingSettingUnder> => ({
        code,
        stage: 'place',
        skill,
        point: 'level',
        title,
        predict: (setting) => (setting.handled && applies(setting) ? [capacity(setting)] : []),
        hint: () => hint,
      }),
    ),
  };
}

interface HandlingFault {
  readonly code: string;
  /** Handling, unless it says otherwise. */
  readonly skill?: Skill;
  readonly title: string;
  readonly hint: string;
  applies(setting: RingSettingUnder): boolean;
}

/** What goes wrong at a ring: the reader writes the marked volume, and it is another. */
function misreadingsOf(modelFor: (setting: RingSetting) => GlassModel, delivers: boolean): HandlingFault[] {
  const offRing = ({ aboveMm }: RingSetting) => Math.abs(aboveMm) > setWithinMm;
  const byTop = (setting: RingSetting) =>
    Math.abs(setting.aboveMm + riseMm(modelFor(setting))) <= setWithinMm;
  const byEye = (setting: RingSetting) =>
    setting.eyeMm !== 0 &&
    Math.abs(setting.aboveMm + parallaxMm(modelFor(setting), setting.eyeMm)) <= setWithinMm;
  const faults: HandlingFault[] = [
    {
      code: 'top-of-meniscus',
      skill: 'place',
      title: 'The top of the curve was set to the ring.',
      hint: 'The rim of the liquid climbs the glass. It is the lowest point of the curve that has to lie on the ring.',
      applies: (setting) => offRing(setting) && byTop(setting),
    },
    {
      code: 'eye-not-level',
      title: 'Your eye was not level with the ring.',
      hint: 'From above or below the ring and the surface seem to meet where they do not. Move your eye until front and back of the ring lie in one line.',
      applies: (setting) => offRing(setting) && byEye(setting) && !byTop(setting),
    },
    {
      code: 'overshot-mark',
      title: delivers ? 'It ran past the ring.' : 'It was filled past the ring.',
      hint: delivers
        ? 'Once the surface is below the ring the volume is gone. Draw it up again and stop sooner.'
        : 'Once the surface is above the ring the volume is too large, and taking some out does not help. Begin again, the last part by drops.',
      applies: (setting) =>
        (delivers ? setting.aboveMm < -setWithinMm : setting.aboveMm > setWithinMm) &&
        !byTop(setting) &&
        !byEye(setting),
    },
    {
      code: 'short-of-mark',
      title: 'The surface does not lie on the ring yet.',
      hint: 'Go on by drops, the eye level, until the lowest point of the curve lies on the ring.',
      applies: (setting) =>
        (delivers ? setting.aboveMm > setWithinMm : setting.aboveMm < -setWithinMm) &&
        !byTop(setting) &&
        !byEye(setting),
    },
  ];
  if (!delivers) return faults;
  return [
    ...faults,
    {
      code: 'drop-left-behind',
      title: 'A drop was left behind.',
      hint: 'Touch the tip to the wall of the flask at the end; and where the last drop belongs to the volume, expel it.',
      applies: (setting) => !setting.touched || (expels(setting) && !setting.blown),
    },
    {
      code: 'blown-out',
      title: 'The last drop was blown out.',
      hint: 'This one is adjusted so that a last drop stays in the tip. Blow only where the marking, or your class, says so.',
      applies: (setting) => setting.blown && !expels(setting),
    },
  ];
}

const set = (kind: InstrumentKind, model: string, random: Random, delivers: boolean): RingSettingUnder => {
  const markedExpel = delivers && random.chance(0.4);
  return {
    kind,
    model,
    aboveMm: 0,
    eyeMm: 0,
    dropMl: 0.05,
    markedExpel,
    blown: markedExpel,
    touched: true,
    handled: false,
  };
};
