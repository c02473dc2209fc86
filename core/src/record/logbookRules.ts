import { claimBeyond } from './claims';
import { digitRules } from './digitRules';
import { doublingRule } from './doublingRule';
import { contradictsFloating } from './floatingRule';
import type { LogbookRule } from './logbookLook';
import { looksCopied, notACount, otherBalance, plannedOnce, suppliedNumber } from './readingRules';
import { outlier, refusedColumn } from './resultRules';
import { meanContradicted, workedWrong } from './workedRules';

/** Everything a second look looks for in a whole logbook; a new rule is a row. */
export const logbookRules: readonly LogbookRule[] = [
  otherBalance,
  looksCopied,
  plannedOnce,
  outlier,
  refusedColumn,
  workedWrong,
  meanContradicted,
  contradictsFloating,
  claimBeyond,
  suppliedNumber,
  notACount,
  ...digitRules,
  doublingRule,
];
