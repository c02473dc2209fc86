import type { Random } from '../chance/random';
import type { Answer } from '../conventions/questions';
import {
  handFlag,
  handNumber,
  modelIn,
  NotReady,
  type Instrument,
  type Misreading,
  type Make,
  type Picture,
  type Setting,
} from './instrument';
import { labelBelow, miscountedDivision, samplePlace, scaleOf, shown, slack } from './scale';

export interface HydrometerSetting extends Setting {
  readonly kind: 'hydrometer';
  /** Density of the liquid, in g/cm³. */
  readonly density: number;
  /** Which point is read; the class decides. */
  readonly line: Answer<'hydrometerLine'>;
  readonly liquid: string;
}

export interface HydrometerPicture extends Picture {
  readonly kind: 'hydrometer';
  readonly density: number;
  readonly line: Answer<'hydrometerLine'>;
}

const make = (lightest: number, heaviest: number): Make => ({
  id: `hydrometer-${Math.round(lightest * 1000)}`,
  name: `Hydrometer spindle, ${lightest.toFixed(3)} to ${heaviest.toFixed(3)} g/cm³`,
  unit: 'g/cm³',
  division: '0.005',
  reads: 'scale',
  labelEvery: '0.05',
  lowest: String(lightest),
  highest: String(heaviest),
  tolerance: '0.002',
});

/** The set, from the spindle for the lightest liquids up; their ranges overlap. */
export const spindles: readonly Make[] = [make(0.7, 0.85), make(0.83, 1), make(0.98, 1.15), make(1.13, 1.3)];

export const spindle = (id: string): Make => modelIn(spindles, 'hydrometer', id);
const scaleFor = ({ model }: HydrometerSetting) => scaleOf(spindle(model));

/** Length of the divided stem, in millimetres. */
export const stemMm = 90;

/**
 * How far below the topmost line a density stands on the stem, in millimetres. A float of mass m displaces m/ρ; the stem's
 * equal areas make equal volumes, so that places go with 1/ρ and the divisions draw together downward (Archimedes).
 */
export function stemPlaceMm({ lowest, highest }: Pick<Make, 'lowest' | 'highest'>, density: number): number {
  const [light, heavy] = [Number(lowest), Number(highest)];
  return (stemMm * (1 / light - 1 / density)) / (1 / light - 1 / heavy);
}

/** The density that stands so far below the topmost line. */
export function densityAtMm({ lowest, highest }: Pick<Make, 'lowest' | 'highest'>, mm: number): number {
  const [light, heavy] = [Number(lowest), Number(highest)];
  return 1 / (1 / light - (mm / stemMm) * (1 / light - 1 / heavy));
}

/** How far the liquid climbs the stem, in millimetres. */
export const stemRiseMm = 2.2;

/** What becomes of a spindle in a liquid: it floats on its scale, stands out of it, or goes down like a stone. */
export function flotation({ lowest, highest }: Make, density: number): 'floats' | 'stands out' | 'sinks' {
  if (density < Number(lowest) - slack) return 'sinks';
  return density > Number(highest) + slack ? 'stands out' : 'floats';
}

/** Where the top of the rise meets the scale: higher on the stem, so a smaller number. */
const atRise = ({ model, density }: HydrometerSetting): number =>
  densityAtMm(spindle(model), stemPlaceMm(spindle(model), density) - stemRiseMm);

const liquids = [
  { name: 'old lamp oil', from: 0.78, to: 0.82 },
  { name: 'denatured ethanol', from: 0.79, to: 0.83 },
  { name: 'olive oil', from: 0.911, to: 0.918 },
  { name: 'sea water', from: 1.02, to: 1.03 },
  { name: 'brine from the pan', from: 1.06, to: 1.2 },
  { name: 'antifreeze', from: 1.08, to: 1.12 },
  { name: 'glycerol', from: 1.22, to: 1.26 },
] as const;

export const hydrometer: Instrument<HydrometerSetting> = {
  kind: 'hydrometer',
  name: 'hydrometer',
  quantity: 'density',
  unitChoices: ['g/cm³', 'kg/m³', 'g', 'mL'],
  models: spindles,

  sampleSetting: (model, random, indicates) => afloat(model, random, indicates),
  initial: (model, random) => {
    const liquid = random.pick(liquids);
    return {
      ...afloat(model, random),
      density: Number(random.between(liquid.from, liquid.to).toFixed(4)),
      liquid: liquid.name,
    };
  },
  sampleHandled: (model, random) => afloat(model, random),
  handle: (setting, hands) => {
    const chosen = spindles[handNumber(hands, 'spindle', -1, spindles.length - 1)];
    if (!chosen)
      throw new NotReady('Take a spindle from the set first: begin with the one for the lightest liquids.');
    if (!handFlag(hands, 'released'))
      throw new NotReady('You hold it still. Let go when it floats, then read.');
    const came = flotation(chosen, setting.density);
    if (came === 'sinks')
      throw new NotReady(
        'That spindle is for denser liquids: it goes down like a stone here. Take a lighter range.',
      );
    if (came === 'stands out')
      throw new NotReady(
        'That spindle is for lighter liquids: its whole scale stands out. Take the next range up.',
      );
    return { ...setting, model: chosen.id };
  },

  withConventions: (setting, { hydrometerLine }) => ({ ...setting, line: hydrometerLine }),
  indication: (setting) => (setting.line === 'rise' ? atRise(setting) : setting.density),
  observed: (setting) => (setting.line === 'rise' ? atRise(setting) : setting.density),
  correct: (_, number) => number,
  picture: ({ kind, model, density, line }) => ({ kind, model, density, line }),

  ask: ({ liquid, line }) =>
    `What is the density of the ${liquid}? Your class reads ${line === 'rise' ? 'the top of the rise' : 'the level surface'}.`,
  buildUp: (setting, written) => {
    const scale = scaleFor(setting);
    const label = labelBelow(scale, hydrometer.indication(setting));
    const divisions = (hydrometer.indication(setting) - label) / scale.d;
    const whole = Math.floor(divisions + slack);
    return [
      `The number above the surface is ${label.toFixed(2)} g/cm³; the numbers grow downward, one space is ${shown(scale.d)}.`,
      `Counted down from it: ${whole} ${whole === 1 ? 'space' : 'spaces'} and about ${Math.round((divisions - whole) * 10)} tenths.`,
      `Together: ${written} g/cm³.`,
    ];
  },
  lookFirst: () =>
    'The densest end is at the bottom: the numbers grow downward. Start at the number above the surface and count down.',

  misreadings: [
    {
      code: 'top-of-meniscus',
      stage: 'place',
      skill: 'place',
      point: 'level',
      title: 'You read the top of the rise.',
      predict: (setting) => (setting.line === 'level' ? [atRise(setting)] : []),
      hint: () =>
        'The liquid climbs the stem. Your class reads where its level surface would cut the stem: look from just below it.',
    },
    {
      code: 'level-for-rise',
      stage: 'place',
      skill: 'place',
      point: 'level',
      title: 'You read the level surface.',
      predict: (setting) => (setting.line === 'rise' ? [setting.density] : []),
      hint: () => 'Your class reads this one at the top of the rise on the stem.',
    },
    {
      code: 'read-upward',
      stage: 'count',
      skill: 'd',
      point: 'label',
      title: 'You counted upward from the number below.',
      predict: (setting, seen) => {
        const { labelEvery } = scaleFor(setting);
        return [2 * Math.ceil(seen / labelEvery - 1e-9) * labelEvery - seen];
      },
      hint: () =>
        'On a float the numbers grow downward. Start at the number above the surface and count down.',
    },
    miscountedDivision(scaleFor),
    {
      code: 'unit-slip',
      stage: 'correction',
      skill: 'unit',
      rescales: true,
      title: 'The unit is a thousandfold off.',
      predict: (_, number) => [number * 1000, number / 1000],
      hint: () => 'Water has about 1 g/cm³, which is 1000 kg/m³. Which of the two did you write?',
    },
  ] satisfies Misreading<HydrometerSetting>[],
};

function afloat(model: Make, random: Random, indicates?: number): HydrometerSetting {
  const density = indicates ?? samplePlace(scaleOf(model), random);
  return { kind: 'hydrometer', model: model.id, density, line: 'level', liquid: 'liquid in the jar' };
}
