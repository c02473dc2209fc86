import type { Case } from './case';
import { boltPinCases } from './boltPin';
import { shackleRingCases } from './shackleRing';
import { tallyTokenCases } from './tallyToken';
import { deckSleeveCases } from './deckSleeve';
import { lampOilCases } from './lampOil';
import { panBrineCases } from './panBrine';
import { jarInsideCases } from './jarInside';
import { evaporatingPanCases } from './evaporatingPan';
import { rivetCrateCases } from './rivetCrate';
import { oneDropCases } from './oneDrop';
import { glasswareThreeWaysCases } from './glasswareThreeWays';
import { portionsThreeVesselsCases } from './portionsThreeVessels';
import { markToMarkCases } from './markToMark';
import { thermometerCheckCases } from './thermometerCheck';
import { balanceCheckCases } from './balanceCheck';
import { twoMaterialsTwoLiquidsCases } from './twoMaterialsTwoLiquids';
import { corkWithSinkerCases } from './corkWithSinker';
import { sheathingCases } from './sheathing';
import { slatePiecesCases } from './slatePieces';
import { tallyBoardCases } from './tallyBoard';
import { sleeveInPartsCases } from './sleeveInParts';
import { firstDayCases } from './firstDay';

export type { Case } from './case';
export { ownCases } from './sharing';

/** Every result that comes with the app, as it is worked by hand; a new one is a file beside this one and a line here. */
export const readyMadeCases: readonly Case[] = [
  ...boltPinCases,
  ...shackleRingCases,
  ...tallyTokenCases,
  ...deckSleeveCases,
  ...lampOilCases,
  ...panBrineCases,
  ...jarInsideCases,
  ...evaporatingPanCases,
  ...rivetCrateCases,
  ...oneDropCases,
  ...glasswareThreeWaysCases,
  ...portionsThreeVesselsCases,
  ...markToMarkCases,
  ...thermometerCheckCases,
  ...balanceCheckCases,
  ...twoMaterialsTwoLiquidsCases,
  ...corkWithSinkerCases,
  ...sheathingCases,
  ...slatePiecesCases,
  ...tallyBoardCases,
  ...sleeveInPartsCases,
  ...firstDayCases,
];
