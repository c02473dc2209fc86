import type { Random } from '../chance/random';
import { eyeReachMm, glassOptions, surfaceMisreadings, type GlassModel, type GlassSetting } from './glass';
import {
  handFlag,
  handNumber,
  modelIn,
  type Instrument,
  type Misreading,
  type Make,
  type Picture,
} from './instrument';
import { labelBelow, miscountedDivision, nextLabel, samplePlace, scaleOf, shown, slack } from './scale';

export interface BeakerModel extends GlassModel {
  /** Height of the point in which the walls of a conical flask would meet, above its base; null for a beaker. */
  readonly apexMm: number | null;
  readonly baseMm: number;
}

export interface BeakerSetting extends GlassSetting {
  readonly kind: 'beaker';
}

export interface BeakerPicture extends Picture, Pick<BeakerSetting, 'levelMl' | 'surface' | 'eyeMm'> {
  readonly kind: 'beaker';
}

const make = (
  name: string,
  capacity: number,
  division: string,
  labelEvery: string,
  baseMm: number,
  percent: number,
  apexMm: number | null = null,
): BeakerModel => ({
  id: `${apexMm === null ? 'beaker' : 'conical'}-${capacity}`,
  name: `${name}, ${capacity} mL, ±${percent} %`,
  unit: 'mL',
  division,
  reads: 'scale',
  labelEvery,
  lowest: division,
  highest: String(capacity - (capacity % Number(division)) - (apexMm === null ? Number(division) : 0)),
  tolerance: String((capacity * percent) / 100),
  boreMm: baseMm * (apexMm === null ? 1 : 0.8),
  baseMm,
  apexMm,
});

export const beakers: readonly BeakerModel[] = [
  make('Beaker', 50, '10', '20', 38, 5),
  make('Beaker', 100, '10', '20', 48, 5),
  make('Beaker', 250, '50', '100', 66, 5),
  make('Beaker', 600, '100', '200', 86, 5),
  make('Conical flask', 250, '50', '100', 82, 5, 150),
];

export const beakerModel = (id: string): BeakerModel => modelIn(beakers, 'beaker', id);
const modelFor = ({ model }: BeakerSetting): BeakerModel => beakerModel(model);
const scaleFor = (setting: BeakerSetting) => scaleOf(modelFor(setting));

/**
 * Height of a volume above the base, in millimetres. In a cone V = πR²H/3·(1 − (1 − h/H)³), so its lines draw apart
 * toward the neck.
 */
export function beakerHeightMm({ baseMm, apexMm }: BeakerModel, ml: number): number {
  const area = (Math.PI * baseMm ** 2) / 4;
  if (apexMm === null) return (ml * 1000) / area;
  return apexMm * (1 - Math.cbrt(1 - (3000 * ml) / (area * apexMm)));
}

/** Glass whose marks are guides: read as it stands, and trusted no further than its tolerance. */
export const beaker: Instrument<BeakerSetting> = {
  kind: 'beaker',
  name: 'beaker or conical flask',
  quantity: 'volume',
  unitChoices: ['L', 'mL', 'cm³', 'g'],
  models: beakers,
  options: glassOptions(),

  sampleSetting: (model, random, indicates) => filled(model, random, 0, indicates),
  initial: (model, random) =>
    filled(model, random, (random.chance(0.5) ? 1 : -1) * Math.round(random.between(60, 130))),
  sampleHandled: (model, random) =>
    filled(model, random, random.chance(0.4) ? 0 : Math.round(random.between(-130, 130))),
  handle: (setting, hands) => {
    handFlag(hands, 'card');
    return { ...setting, eyeMm: handNumber(hands, 'eyeMm', -eyeReachMm, eyeReachMm) };
  },
  indication: ({ levelMl }) => levelMl,
  observed: ({ levelMl }) => levelMl,
  correct: (_, number) => number,
  picture: ({ kind, model, levelMl, surface, eyeMm }) => ({ kind, model, levelMl, surface, eyeMm }),

  ask: ({ model }) => `About how much is in the ${beakerModel(model).apexMm === null ? 'beaker' : 'flask'}?`,
  buildUp: (setting, written) => {
    const scale = scaleFor(setting);
    const label = labelBelow(scale, setting.levelMl);
    const tenths = Math.round(((setting.levelMl - label) / scale.d) * 10 + slack);
    return [
      `The numbered line below the level is ${shown(label)} mL; one space is ${shown(scale.d)} mL.`,
      `The level stands about ${tenths} tenths of a space above it.`,
      `Together: ${written} mL. These marks are guides, good to ±${shown(Number(modelFor(setting).tolerance))} mL: for a volume that counts, take a cylinder.`,
    ];
  },
  lookFirst: (setting) =>
    `Which line is just below the level, and how far is it to the next? One space is ${shown(scaleFor(setting).d)} mL.`,

  misreadings: [
    ...surfaceMisreadings<BeakerSetting>({ modelFor, grows: 1 }),
    miscountedDivision(scaleFor),
    nextLabel(scaleFor, 'mL'),
  ] satisfies Misreading<BeakerSetting>[],
};

const filled = (model: Make, random: Random, eyeMm: number, indicates?: number): BeakerSetting => ({
  kind: 'beaker',
  model: model.id,
  levelMl: indicates ?? samplePlace(scaleOf(model), random),
  surface: 'concave',
  eyeMm,
});
