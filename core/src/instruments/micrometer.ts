import type { Random } from '../chance/random';
import { countFaults } from './countFaults';
import {
  handNumber,
  modelIn,
  NotReady,
  type Instrument,
  type Misreading,
  type Model,
  type Picture,
} from './instrument';
import { shown, slack } from './scale';
import { lessZeroError, zeroErrorMisreadings, type WithZeroError } from './zeroError';

export interface MicrometerModel extends Model {
  /** How far the spindle moves in one turn, in millimetres. */
  readonly pitch: number;
  /** Divisions around the thimble. */
  readonly thimble: number;
  /** Ten lines along the sleeve divide a thimble division once more. */
  readonly vernier: boolean;
}

export interface MicrometerSetting extends WithZeroError {
  readonly kind: 'micrometer';
  /** True size of the object, in millimetres. */
  readonly size: number;
  /** What the scales show now, in millimetres. */
  readonly at: number;
}

export interface MicrometerPicture extends Picture {
  readonly kind: 'micrometer';
  readonly at: number;
  readonly closedAt: number;
  readonly touchesAt: number;
}

/** How far a screw can be forced past the ratchet's slip, in millimetres: it bends the frame, not the object. */
export const forcedMm = 0.03;

const make = (
  id: string,
  name: string,
  pitch: number,
  thimble: number,
  vernier: boolean,
): MicrometerModel => ({
  id,
  name: `Micrometer 0–25 mm, ${name}`,
  unit: 'mm',
  division: vernier ? '0.001' : '0.01',
  reads: 'least count',
  labelEvery: '5',
  lowest: '0',
  highest: '25',
  tolerance: vernier ? '0.002' : '0.004',
  pitch,
  thimble,
  vernier,
});

export const micrometers: readonly MicrometerModel[] = [
  make('micrometer-plain', 'half-millimetre pitch', 0.5, 50, false),
  make('micrometer-vernier', 'half-millimetre pitch, sleeve vernier', 0.5, 50, true),
  make('micrometer-pitch-1', 'one-millimetre pitch', 1, 100, false),
];

/** @throws RangeError for a model that there is not. */
export const micrometerModel = (id: string): MicrometerModel => modelIn(micrometers, 'micrometer', id);

/** A place of the spindle as it is read: sleeve in millimetres, thimble division, vernier line (0 without one). */
export interface ScrewParts {
  readonly sleeve: number;
  readonly thimble: number;
  readonly vernier: number;
}

/** The thimble division is the one at or below the datum; a negative place is read back from a full turn. */
export function screwParts({ division, pitch, vernier }: MicrometerModel, at: number): ScrewParts {
  const steps = Math.round(at / Number(division));
  const perTurn = Math.round(pitch / Number(division));
  const inTurn = ((steps % perTurn) + perTurn) % perTurn;
  return {
    sleeve: Number((((steps - inTurn) / perTurn) * pitch).toPrecision(8)),
    thimble: vernier ? Math.floor(inTurn / 10) : inTurn,
    vernier: vernier ? inTurn % 10 : 0,
  };
}

const modelFor = ({ model }: MicrometerSetting): MicrometerModel => micrometerModel(model);
const value = ({ sleeve, thimble, vernier }: ScrewParts): number => sleeve + thimble * 0.01 + vernier * 0.001;

const count = countFaults((setting: MicrometerSetting, seen) => {
  const model = modelFor(setting);
  return [model, screwParts(model, seen), seen] as const;
});

export const micrometer: Instrument<MicrometerSetting> = {
  kind: 'micrometer',
  name: 'micrometer',
  quantity: 'length',
  unitChoices: ['cm', 'mm', 'µm', 'g'],
  models: micrometers,

  sample: ({ id }, random, indicates) => {
    const setting = between(micrometerModel(id), random);
    return indicates === undefined ? setting : { ...setting, size: indicates, at: indicates, zeroError: 0 };
  },
  start: ({ id }, random) => {
    const setting = between(micrometerModel(id), random);
    return { ...setting, at: Math.min(25, setting.at + random.between(1, 3)) };
  },
  leave: (model, random) => {
    const setting = micrometer.sample(model, random);
    return { ...setting, at: setting.at - (random.chance(0.5) ? forcedMm : 0) };
  },
  handle: (setting, hands) => {
    const touchesAt = setting.size + setting.zeroError;
    const at = handNumber(hands, 'at', -1, 26);
    if (at > touchesAt + 0.0005)
      throw new NotReady(
        'The spindle does not touch the object yet. Turn on with the ratchet until it slips.',
      );
    return { ...setting, at: Math.max(at, touchesAt - forcedMm) };
  },

  parts: (setting) => {
    const model = modelFor(setting);
    const { sleeve, thimble, vernier } = screwParts(model, setting.size + setting.zeroError);
    const part = (key: string, heading: string, value: number, step: string, look: string, unit = 'mm') => ({
      key,
      heading,
      unit,
      value: Number(value.toPrecision(10)),
      step,
      look,
    });
    return [
      part(
        'sleeve',
        'Sleeve',
        sleeve,
        String(model.pitch),
        'The last mark uncovered, half-millimetre marks included.',
      ),
      part('thimble', 'Thimble', thimble, '1', 'The thimble line at or below the datum.', ''),
      ...(model.vernier
        ? [
            part(
              'vernier',
              'Vernier',
              vernier,
              '1',
              'The line along the sleeve that runs into a thimble line.',
              '',
            ),
          ]
        : []),
      part(
        'observed',
        'Observed',
        setting.size + setting.zeroError,
        model.division,
        'Sleeve, thimble and vernier together.',
      ),
      part(
        'zero',
        'Zero error',
        setting.zeroError,
        model.division,
        'What it shows closed on nothing, with its sign.',
      ),
      part('corrected', 'Corrected', setting.size, model.division, 'Observed minus zero error, signs kept.'),
    ];
  },
  indication: ({ size }) => size,
  observed: ({ size, zeroError }) => size + zeroError,
  correct: lessZeroError,
  picture: ({ kind, model, at, size, zeroError }) => ({
    kind,
    model,
    at,
    closedAt: zeroError,
    touchesAt: size + zeroError,
  }),

  ask: () => 'How thick is the brass bolt pin? Correct for the zero error.',

  buildUp: (setting, written) => {
    const model = modelFor(setting);
    const parts = screwParts(model, setting.size + setting.zeroError);
    return [
      `The last mark uncovered on the sleeve: ${parts.sleeve.toFixed(1)} mm${model.pitch === 0.5 ? ' (the half-millimetre marks count when they show)' : ''}.`,
      `The thimble: ${parts.thimble} × 0.01 mm = ${(parts.thimble * 0.01).toFixed(2)} mm.`,
      ...(model.vernier ? [`The vernier on the sleeve: line ${parts.vernier} × 0.001 mm.`] : []),
      `Observed: ${value(parts).toFixed(model.vernier ? 3 : 2)} mm. Closed on nothing it shows ${shown(setting.zeroError)} mm; observed minus that: ${written} mm.`,
    ];
  },

  lookFirst: () =>
    'First the sleeve: the last mark that the thimble has uncovered, half-millimetre marks included. Then the thimble line at the datum.',

  misreadings: [
    {
      code: 'over-tightened',
      stage: 'place',
      point: 'edge',
      title: 'The screw was forced past the slip of the ratchet.',
      predict: ({ at, size, zeroError }) => (at < size + zeroError - slack ? [at] : []),
      look: () =>
        'Forcing bends the frame and reads too small. Turn back, and close with the ratchet until it slips.',
    },
    count({
      code: 'half-line-missed',
      point: 'other-side',
      title: 'You missed the half-millimetre mark.',
      predict: ({ pitch }, { sleeve }, read) => (pitch === 0.5 && sleeve % 1 !== 0 ? [read - 0.5] : []),
      look: 'Look at the other side of the datum: a half-millimetre mark shows after the last whole one. It counts.',
    }),
    count({
      code: 'half-line-invented',
      point: 'zero-line',
      title: 'You counted a mark that has not been passed yet.',
      predict: ({ pitch, thimble }, parts, read) => (parts.thimble >= 0.9 * thimble ? [read + pitch] : []),
      look: 'A mark begins to show just before the thimble completes its turn. It counts only once the thimble has passed its zero.',
    }),
    count({
      code: 'half-line-overlooked-when-hidden',
      point: 'zero-line',
      title: 'You left out a mark that the thimble still touches.',
      predict: ({ pitch, thimble }, parts, read) =>
        parts.thimble < 0.1 * thimble && parts.sleeve > 0 ? [read - pitch] : [],
      look: 'Just after a turn the edge of the thimble still lies on the mark. The thimble has passed its zero, so the mark counts.',
    }),
    count({
      code: 'thimble-as-tenths',
      point: 'level',
      title: 'You took the thimble’s divisions for tenths.',
      predict: (_, parts) => [parts.sleeve + parts.thimble * 0.1],
      look: 'One turn of the thimble moves the spindle by one pitch. Divide that by its divisions: each is a hundredth of a millimetre.',
    }),
    count({
      code: 'vernier-counted-backwards',
      point: 'tip',
      title: 'You counted the vernier from the wrong end.',
      predict: ({ vernier }, parts) => (vernier ? [value({ ...parts, vernier: 10 - parts.vernier })] : []),
      look: 'The vernier’s lines are numbered from the datum upward. Which of them runs straight into a thimble line?',
    }),
    count({
      code: 'vernier-ignored',
      point: 'tip',
      title: 'You left the vernier out.',
      predict: ({ vernier }, parts) => (vernier ? [value({ ...parts, vernier: 0 })] : []),
      look: 'The datum lies between two thimble lines. The lines along the sleeve say how far: find the one that runs into a thimble line.',
    }),
    count({
      code: 'thimble-rounded-up',
      point: 'level',
      title: 'You took the thimble line above the datum.',
      predict: ({ vernier }, _, read) => (vernier ? [read + 0.01] : []),
      look: 'With a vernier the thimble is read at or below the datum; the vernier gives the rest.',
    }),
    ...zeroErrorMisreadings,
  ] satisfies Misreading<MicrometerSetting>[],
};

/**
 * A spindle on an object: awkward spots (the thimble just before and just after a full turn) as often as plain ones,
 * a quarter of a least count at most off a whole one.
 */
function between(model: MicrometerModel, random: Random): MicrometerSetting {
  const step = Number(model.division);
  const perTurn = Math.round(model.pitch / step);
  const turns = random.whole(2, Math.round(24 / model.pitch) - 1);
  const inTurn = random.pick([
    random.whole(0, perTurn - 1),
    random.whole(0, perTurn - 1),
    random.whole(Math.round(0.91 * perTurn), perTurn - 1),
    random.whole(0, Math.round(0.08 * perTurn)),
  ]);
  const tidy = (millimetres: number) => Number(millimetres.toFixed(5));
  const at = tidy((turns * perTurn + inTurn + random.between(-0.25, 0.25)) * step);
  const zeroError = random.chance(0.4)
    ? 0
    : tidy((random.chance(0.5) ? 1 : -1) * random.whole(3, model.vernier ? 24 : 5) * step);
  return { kind: 'micrometer', model: model.id, size: tidy(at - zeroError), at, zeroError };
}
