import type { Random } from '../chance/random';
import { leastCount, type CaliperModel } from './verniers';
import type { WithZeroError } from './zeroError';

export interface CaliperSetting extends WithZeroError {
  readonly kind: 'vernier-caliper';
  /** True size of the object, in the model's unit. */
  readonly size: number;
  /** Where the vernier's zero line stands on the main scale, in the model's unit. */
  readonly at: number;
  /** How far the object yields when it is squeezed, in the model's unit; 0 for a hard one. */
  readonly yields: number;
  /** Most readers measure; the first task with a new caliper is to find what its lines are worth. */
  readonly task: 'size' | 'least count';
  /** Which of its three parts is used. */
  readonly jaws: Jaws;
  /** What it shows each time its jaws are closed; a class takes the mean of as many as it has set. */
  readonly closings: readonly number[];
  /** By how much an object that is not round is smaller across its narrowest turn, in the model's unit. */
  readonly outOfRound: number;
  /** How it is turned from its widest place, in degrees. */
  readonly turn: number;
}

export type Jaws = 'outside' | 'inside' | 'depth';

/** How much less than its widest an object measures when it is turned so many degrees from there. */
export const turnedBy = (outOfRound: number, turn: number): number =>
  outOfRound * Math.sin((turn * Math.PI) / 180) ** 2;

/** Where it touches the object, turned as it is. */
export function contact({ size, zeroError, outOfRound, turn }: CaliperSetting): number {
  return size + zeroError - turnedBy(outOfRound, turn);
}

/**
 * The jaws on an object. The zero line stands within a quarter of a least count of a whole one, so that two
 * neighbouring lines never tie; both ends of the vernier are as frequent as its middle.
 */
export function gripped(model: CaliperModel, random: Random, indicates?: number): CaliperSetting {
  const count = leastCount(model);
  const perMain = Math.round(model.mainDivision / count);
  const line = random.pick([
    random.whole(0, perMain - 1),
    random.whole(0, perMain - 1),
    random.whole(0, perMain - 1),
    0,
    1,
    perMain - 1,
  ]);
  const mains = random.whole(model.inches ? 12 : 8, model.inches ? 110 : 64);
  const tidy = (value: number) => Number(value.toPrecision(10));
  const at = indicates ?? tidy((mains * perMain + line + random.between(-0.25, 0.25)) * count);
  const zeroError =
    indicates !== undefined || random.chance(0.5)
      ? 0
      : tidy((random.chance(0.5) ? 1 : -1) * random.whole(3, 7) * count);
  // The first closing shows it; later ones scatter by a line.
  const later = Array.from({ length: 4 }, () =>
    zeroError === 0 ? 0 : tidy(zeroError + random.whole(-1, 1) * count),
  );
  return {
    kind: 'vernier-caliper',
    model: model.id,
    size: tidy(at - zeroError),
    at,
    zeroError,
    yields: 0,
    task: 'size',
    jaws: random.pick(['outside', 'outside', 'inside', 'depth'] as const),
    closings: [zeroError, ...later],
    outOfRound: 0,
    turn: 0,
  };
}
