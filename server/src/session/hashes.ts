import { Problem } from '../http/problem';

/** Nobody waits longer than this many others. */
const mostWaiting = 150;

interface Waiting {
  readonly begin: () => void;
}

const never = () => false;

/**
 * Hashing a password is made to cost. A few are worked at once, so that whoever writes is not held up by whoever guesses; the others
 * wait in a fair queue: first those whose account was entered from their device before, then one of each device in turn.
 */
export class Hashes {
  readonly #atOnce: number;
  readonly #known = new Map<string, Waiting[]>();
  readonly #unknown = new Map<string, Waiting[]>();
  #atWork = 0;

  constructor(atOnce = 1) {
    this.#atOnce = atOnce;
  }

  /** How many wait. */
  get waiting(): number {
    return lengthOf(this.#known) + lengthOf(this.#unknown);
  }

  /**
   * @param device whose turn it is
   * @param known true where the account was entered from it before
   * @param gone when its turn comes, whether whoever asked has gone: then it is not worked
   * @throws Problem
   */
  async run<T>(device: string, known: boolean, work: () => Promise<T>, gone = never): Promise<T> {
    if (this.#atWork >= this.#atOnce) {
      const lanes = known ? this.#known : this.#unknown;
      if (lengthOf(lanes) >= mostWaiting)
        throw new Problem('sign-in-busy', undefined, { 'retry-after': '5' });
      await new Promise<void>((begin) => {
        const lane = lanes.get(device) ?? [];
        lane.push({ begin });
        lanes.set(device, lane);
      });
    } else this.#atWork += 1;
    try {
      if (gone()) throw new Problem('sign-in-busy');
      return await work();
    } finally {
      const next = takeFirst(this.#known) ?? takeFirst(this.#unknown);
      if (next) next.begin();
      else this.#atWork -= 1;
    }
  }
}

const lengthOf = (lanes: ReadonlyMap<string, readonly unknown[]>): number =>
  [...lanes.values()].reduce((sum, { length }) => sum + length, 0);

/** The first of the device whose turn it is; then that device is the last. */
function takeFirst(lanes: Map<string, Waiting[]>): Waiting | undefined {
  for (const [device, lane] of lanes) {
    const first = lane.shift();
    lanes.delete(device);
    if (lane.length > 0) lanes.set(device, lane);
    if (first) return first;
  }
  return undefined;
}
