import type { Random } from '../chance/random';
import { handNumber, NotReady, type Instrument, type Picture } from './instrument';
import { shown } from './scale';
import { screwColumns } from './screwColumns';
import { screwMisreadings } from './screwFaults';
import {
  micrometerModel,
  micrometers,
  screwParts,
  screwValue,
  type MicrometerModel,
  type MicrometerSetting,
} from './screws';
import { lessZeroError, zeroErrorWords, zeroErrorOption } from './zeroError';

export interface MicrometerPicture extends Picture {
  readonly kind: 'micrometer';
  readonly at: number;
  readonly closedAt: number;
  readonly touchesAt: number;
}

/** How far a screw can be forced past the ratchet's slip, in millimetres: it bends the frame, not the object. */
export const forcedMm = 0.03;

export const micrometer: Instrument<MicrometerSetting> = {
  kind: 'micrometer',
  name: 'micrometer',
  quantity: 'length',
  unitChoices: ['cm', 'mm', 'µm', 'g'],
  models: micrometers,
  options: [zeroErrorOption((setting, zeroError, size) => ({ ...setting, zeroError, size }))],

  sampleSetting: ({ id }, random, indicates) => {
    const setting = between(micrometerModel(id), random);
    return indicates === undefined ? setting : { ...setting, size: indicates, at: indicates, zeroError: 0 };
  },
  initial: ({ id }, random) => {
    const setting = between(micrometerModel(id), random);
    return { ...setting, at: Math.min(25, setting.at + random.between(1, 3)) };
  },
  sampleHandled: (model, random) => {
    const setting = micrometer.sampleSetting(model, random);
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

  withConventions: (setting, { zeroCorrection }) => ({ ...setting, asItStands: zeroCorrection === 'mean' }),
  parts: screwColumns,
  highestLine: ({ id }) => micrometerModel(id).thimble - 1,
  indication: (setting) => lessZeroError(setting, setting.size + setting.zeroError),
  observed: ({ size, zeroError }) => size + zeroError,
  correct: lessZeroError,
  picture: ({ kind, model, at, size, zeroError }) => ({
    kind,
    model,
    at,
    closedAt: zeroError,
    touchesAt: size + zeroError,
  }),

  ask: (setting) => `How thick is the brass bolt pin? ${zeroErrorWords(setting)}`,

  buildUp: (setting, written) => {
    const model = micrometerModel(setting.model);
    const parts = screwParts(model, setting.size + setting.zeroError);
    return [
      `The last mark uncovered on the sleeve: ${parts.sleeve.toFixed(1)} mm${model.pitch === 0.5 ? ' (the half-millimetre marks count when they show)' : ''}.`,
      `The thimble: ${parts.thimble} × 0.01 mm = ${(parts.thimble * 0.01).toFixed(2)} mm.`,
      ...(model.vernier ? [`The vernier on the sleeve: line ${parts.vernier} × 0.001 mm.`] : []),
      `Observed: ${screwValue(parts).toFixed(model.vernier ? 3 : 2)} mm. With the jaws closed it shows ${shown(setting.zeroError)} mm; ${setting.asItStands ? 'as it stands' : 'observed minus that'}: ${written} mm.`,
    ];
  },

  lookFirst: () =>
    'First the sleeve: the last mark that the thimble has uncovered, half-millimetre marks included. Then the thimble line at the datum.',

  misreadings: screwMisreadings,
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
