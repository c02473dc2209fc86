import { zxcvbn, zxcvbnOptions } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { Problem } from '../http/problem';

zxcvbnOptions.setOptions({ dictionary, graphs: adjacencyGraphs });

/** From this on a password is not among the first million that anybody would try. */
const leastScore = 2;
/** What comes after it adds nothing that matters, and looking at it takes time. */
const looked = 64;

/** @param own names that say whose it is. @throws Problem with a sentence for one that is guessed at once */
export function refuseWeak(password: string, own: readonly string[]): void {
  if (zxcvbn(password.slice(0, looked), [...own]).score >= leastScore) return;
  throw new Problem(
    'not-valid',
    'This password is among the first that people try. Choose one that is harder to guess: four words that do not belong together are enough.',
  );
}
