import type { Random } from '../chance/random';
import type { Make, Setting } from './instrument';
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
  /** What is wrong with the load as it lies, and by how much the display is off while it is, in grams. */
  readonly flaw: Flaw;
  readonly flawGrams: number;
  readonly mended: boolean;
  /** True where the last digit hops between two neighbouring values. */
  readonly hops: boolean;
}

export type Flaw = 'none' | 'wet' | 'warm' | 'off-centre';

/** What a reader can do about a load that is not fit to be weighed, and what it is called when they do not. */
export const flaws: Readonly<
  Record<
    Exclude<Flaw, 'none'>,
    { readonly seen: string; readonly mend: string; readonly title: string; readonly hint: string }
  >
> = {
  wet: {
    seen: 'Drops hang on the ring.',
    mend: 'Dry the ring',
    title: 'It was weighed wet.',
    hint: 'The water on it counts as mass. Dry it, and weigh it before it gets wet.',
  },
  warm: {
    seen: 'The ring has just come out of hot water.',
    mend: 'Let the ring cool',
    title: 'It was weighed warm.',
    hint: 'Warm air rises from it and lifts the pan, and the display drifts. Let it cool first.',
  },
  'off-centre': {
    seen: 'The ring lies at the rim of the pan.',
    mend: 'Put the ring in the middle',
    title: 'It did not lie in the middle of the pan.',
    hint: 'Far from the middle the pan tilts, and the display is off. Put it in the middle.',
  },
};

/** After this many seconds the display stands and the stable sign lights. */
export const stableAfterSeconds = 4;

const make = (division: string, highest: string): Make => ({
  id: `electronic-${division.replace('.', '_')}`,
  name: `Electronic balance, ${division} g`,
  unit: 'g',
  division,
  reads: 'digits',
  labelEvery: division,
  lowest: '0',
  highest,
  belowZero: highest,
  tolerance: division,
});

export const electronicBalances: readonly Make[] = [
  make('0.1', '2000'),
  make('0.01', '400'),
  make('0.001', '120'),
];

/** What a display with this last digit shows of a mass: rounded, and on its way while it settles. */
export function displayed(grams: number, division: number, seconds: number): number {
  const settling = seconds >= stableAfterSeconds ? 1 : 1 - Math.exp(-seconds * 1.1);
  return Number((Math.round((grams * settling) / division + 1e-9) * division).toPrecision(12));
}

export const divisionOf = ({ model }: ElectronicBalanceSetting): number =>
  Number(electronicBalances.find(({ id }) => id === model)?.division ?? '0.1');

export const rounded = (setting: ElectronicBalanceSetting, grams: number): number =>
  displayed(grams, divisionOf(setting), stableAfterSeconds);

/** What the display shows of the whole load, as it was zeroed. */
export function shownNow(setting: ElectronicBalanceSetting): number {
  const { contentsGrams, vesselGrams, residueGrams, tared, doorOpen, draughtGrams, seconds } = setting;
  const flawed = setting.mended ? 0 : setting.flawGrams;
  const taken = { nothing: 0, pan: residueGrams, vessel: residueGrams + vesselGrams }[tared];
  return displayed(
    contentsGrams + vesselGrams + residueGrams + (doorOpen ? draughtGrams : 0) + flawed - taken,
    divisionOf(setting),
    seconds,
  );
}

/** The vessel's own reading, where no tare has taken it off. */
export const vesselToTakeOff = (setting: ElectronicBalanceSetting): number =>
  setting.vesselGrams > 0 && setting.tared !== 'vessel' ? rounded(setting, setting.vesselGrams) : 0;

export const flawed = ({ flaw, mended }: ElectronicBalanceSetting): boolean => flaw !== 'none' && !mended;

export const faultless = (setting: ElectronicBalanceSetting): boolean => {
  const { doorOpen, seconds, residueGrams, tared } = setting;
  return !flawed(setting) && inOrder({ doorOpen, seconds, residueGrams, tared });
};

const inOrder = ({
  doorOpen,
  seconds,
  residueGrams,
  tared,
}: Pick<ElectronicBalanceSetting, 'doorOpen' | 'seconds' | 'residueGrams' | 'tared'>): boolean =>
  !doorOpen && seconds >= stableAfterSeconds && (residueGrams === 0 || tared !== 'nothing');

/** In good order the display says it; with a fault in the handling it does not, the load does. */
export const truth = (setting: ElectronicBalanceSetting): number =>
  faultless(setting) ? shownNow(setting) - vesselToTakeOff(setting) : rounded(setting, setting.contentsGrams);

/** A load, often one that ends in zeros; handled ones with residue, an open door, and the tare still to be used. */
export function loaded(model: Make, random: Random, handled: boolean): ElectronicBalanceSetting {
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
  const flaw: Flaw =
    handled && task === 'straight'
      ? random.pick(['none', 'none', 'wet', 'warm', 'off-centre'] as const)
      : 'none';
  const flawGrams = flaw === 'none' ? 0 : grid(d * random.whole(12, 60)) * (flaw === 'warm' ? -1 : 1);
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
    flaw,
    flawGrams,
    mended: false,
    hops: task === 'straight' && flaw === 'none' && random.chance(0.2),
  };
}
