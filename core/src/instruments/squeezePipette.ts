import { eyeReachMm, surfaceMisreadings, type GlassModel, type GlassSetting } from './glass';
import { handNumber, modelIn, NotReady, type Instrument, type Misreading, type Picture } from './instrument';
import { eyeOption } from './options';
import { labelBelow, miscountedDivision, nextLabel, samplePlace, scaleOf, shown } from './scale';

export interface SqueezeModel extends GlassModel {
  /** True where its drops are counted, false where its rough scale is read. */
  readonly counts: boolean;
}

export interface SqueezeSetting extends GlassSetting {
  readonly kind: 'squeeze-pipette';
  /** Drops that have fallen. */
  readonly drops: number;
  /** How many are to fall. */
  readonly wanted: number;
}

export interface SqueezePicture
  extends Picture, Pick<SqueezeSetting, 'levelMl' | 'surface' | 'eyeMm' | 'drops' | 'wanted'> {
  readonly kind: 'squeeze-pipette';
}

export const squeezePipettes: readonly SqueezeModel[] = [
  {
    id: 'squeeze-3',
    name: 'Squeeze pipette, 3 mL in 0.5 mL',
    unit: 'mL',
    division: '0.5',
    reads: 'scale',
    labelEvery: '1',
    lowest: '0.5',
    highest: '3',
    tolerance: '0.25',
    boreMm: 8,
    counts: false,
  },
  {
    id: 'squeeze-drops',
    name: 'Squeeze pipette, counting drops',
    unit: 'drops',
    division: '1',
    reads: 'digits',
    labelEvery: '10',
    lowest: '1',
    highest: '60',
    tolerance: '0',
    boreMm: 8,
    counts: true,
  },
];

export const squeezeModel = (id: string): SqueezeModel => modelIn(squeezePipettes, 'squeeze pipette', id);
const modelFor = ({ model }: SqueezeSetting): SqueezeModel => squeezeModel(model);
const scaleFor = (setting: SqueezeSetting) => scaleOf(modelFor(setting));
const counts = (setting: SqueezeSetting): boolean => modelFor(setting).counts;
const value = (setting: SqueezeSetting): number => (counts(setting) ? setting.drops : setting.levelMl);

/** Rows of a misreading of the rough scale hold only where the scale is read. */
const onScale = (rows: readonly Misreading<SqueezeSetting>[]): Misreading<SqueezeSetting>[] =>
  rows.map((row) => ({
    ...row,
    predict: (setting, seen) => (counts(setting) ? [] : row.predict(setting, seen)),
  }));

/** A plastic pipette: rough, and each one different. Its scale is read, or its drops are counted. */
export const squeezePipette: Instrument<SqueezeSetting> = {
  kind: 'squeeze-pipette',
  name: 'squeeze pipette',
  quantity: 'volume',
  unitChoices: ['mL', 'drops', 'cm³', 'g'],
  models: squeezePipettes,
  options: [eyeOption()],

  sampleSetting: ({ id }, random, indicates) => {
    const model = squeezeModel(id);
    const wanted = random.whole(15, 45);
    return {
      kind: 'squeeze-pipette',
      model: id,
      levelMl: model.counts ? 1.5 : (indicates ?? samplePlace(scaleOf(model), random)),
      surface: 'flat',
      eyeMm: 0,
      drops: model.counts ? Math.round(indicates ?? wanted) : 0,
      wanted,
    };
  },
  initial: (model, random) => ({
    ...squeezePipette.sampleSetting(model, random),
    drops: 0,
    eyeMm: (random.chance(0.5) ? 1 : -1) * Math.round(random.between(60, 130)),
  }),
  sampleHandled: (model, random) => squeezePipette.sampleSetting(model, random),
  handle: (setting, hands) => {
    const drops = handNumber(hands, 'drops', 0, 500);
    if (counts(setting) && drops < 10) throw new NotReady('Let at least ten drops fall, and count them.');
    return { ...setting, drops, eyeMm: handNumber(hands, 'eyeMm', -eyeReachMm, eyeReachMm) };
  },
  indication: value,
  observed: value,
  correct: (_, number) => number,
  picture: ({ kind, model, levelMl, surface, eyeMm, drops, wanted }) => ({
    kind,
    model,
    levelMl,
    surface,
    eyeMm,
    drops,
    wanted,
  }),

  ask: (setting) => {
    if (!counts(setting)) return 'About how much is in the pipette?';
    return setting.drops === 0
      ? `Let about ${setting.wanted} drops fall. How many fell?`
      : 'How many drops lie on the card?';
  },
  buildUp: (setting, written) =>
    counts(setting)
      ? [`A count has no estimated digit: ${written} drops, exactly.`]
      : [
          `The line below the level is ${shown(labelBelow(scaleFor(setting), setting.levelMl))} mL or the half above it; one space is 0.5 mL.`,
          `Together: ${written} mL. Each of these is different: to know what it delivers, weigh it.`,
        ],
  lookFirst: (setting) =>
    counts(setting)
      ? 'Count them again, ten at a time. A lost count begins again from nothing.'
      : 'Which line is just below the level, and what is one space worth?',

  misreadings: [
    ...onScale(surfaceMisreadings<SqueezeSetting>({ modelFor, grows: 1 })),
    ...onScale([miscountedDivision(scaleFor), nextLabel(scaleFor, 'mL')]),
    {
      code: 'count-lost',
      stage: 'count',
      skill: 'd',
      title: 'The count is off by a drop or two.',
      predict: (setting, seen) => (counts(setting) ? [seen - 2, seen - 1, seen + 1, seen + 2] : []),
      hint: () =>
        'A drop was missed or counted twice. Count aloud, ten at a time, and begin again when you lose it.',
    },
  ] satisfies Misreading<SqueezeSetting>[],
};
