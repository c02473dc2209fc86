import { modelIn, type Make } from './instrument';
import type { WithZeroError } from './zeroError';

export interface MicrometerModel extends Make {
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
  belowZero: '0.5',
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

/** What the parts come to, in millimetres. */
export const screwValue = ({ sleeve, thimble, vernier }: ScrewParts): number =>
  sleeve + thimble * 0.01 + vernier * 0.001;
