import type { Investigation } from '../investigation';
import { boltPin } from './boltPin';
import { deckSleeve } from './deckSleeve';
import { evaporatingPan } from './evaporatingPan';
import { jarInside } from './jarInside';
import { lampOil } from './lampOil';
import { oneDrop } from './oneDrop';
import { panBrine } from './panBrine';
import { rivetCrate } from './rivetCrate';
import { shackleRing } from './shackleRing';
import { tallyToken } from './tallyToken';

export {
  boltPin,
  deckSleeve,
  evaporatingPan,
  jarInside,
  lampOil,
  oneDrop,
  panBrine,
  rivetCrate,
  shackleRing,
  tallyToken,
};

/** Investigations that come with the app. A new one is a file beside this one and a line here. */
export const readyMade: readonly Investigation[] = [
  boltPin,
  shackleRing,
  tallyToken,
  deckSleeve,
  lampOil,
  panBrine,
  jarInside,
  evaporatingPan,
  rivetCrate,
  oneDrop,
];
