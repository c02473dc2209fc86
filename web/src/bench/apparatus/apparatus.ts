import type { Picture } from '@green-beam/core';

/** The state of an apparatus as the server takes it. */
export type Hands = Readonly<Record<string, number | boolean>>;

export interface ApparatusProps {
  readonly picture: Picture;
  /** True when it may be handled, false when it is only read. */
  readonly handled: boolean;
  /** How the hands left it before, after a reload. */
  readonly left: Hands | null;
  /** Told of every movement. It must not draw the page again. */
  readonly onHands: (hands: Hands) => void;
}
