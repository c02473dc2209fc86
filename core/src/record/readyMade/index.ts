import { glasswareThreeWays } from './glasswareThreeWays';
import { portionsThreeVessels } from './portionsThreeVessels';
import { markToMark } from './markToMark';
import { thermometerCheck } from './thermometerCheck';
import { balanceCheck } from './balanceCheck';
import { twoMaterialsTwoLiquids } from './twoMaterialsTwoLiquids';
import { corkWithSinker } from './corkWithSinker';
import { sheathing } from './sheathing';
import { slatePieces } from './slatePieces';
import { tallyBoard } from './tallyBoard';
import { sleeveInParts } from './sleeveInParts';
import { firstDay } from './firstDay';
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

export { withAnswers } from './answers';
export {
  glasswareThreeWays,
  portionsThreeVessels,
  markToMark,
  thermometerCheck,
  balanceCheck,
  twoMaterialsTwoLiquids,
  corkWithSinker,
  sheathing,
  slatePieces,
  tallyBoard,
  sleeveInParts,
  firstDay,
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
  glasswareThreeWays,
  portionsThreeVessels,
  markToMark,
  thermometerCheck,
  balanceCheck,
  twoMaterialsTwoLiquids,
  corkWithSinker,
  sheathing,
  slatePieces,
  tallyBoard,
  sleeveInParts,
  firstDay,
];
