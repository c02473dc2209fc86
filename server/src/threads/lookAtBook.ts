import type { FoundIn, LogbookLine } from '@green-beam/contract';
import {
  OutcomeEvaluator,
  cellsIn,
  findingWeight,
  secondLookAt,
  withPieces,
  type Conventions,
  type Entry,
  type Investigation,
  type TableFinding,
} from '@green-beam/core';

/** How far a logbook has come, as its line tells. */
export type HowFar = Pick<LogbookLine, 'completeTrials' | 'resultText' | 'handedIn'>;

export interface LookedAt {
  readonly howFar: HowFar;
  readonly found: FoundIn;
}

export const nothingFound: FoundIn = { count: 0, weight: 0, sentence: null };
export const nothingYet: HowFar = { completeTrials: 0, resultText: null, handedIn: false };

/** Works out a logbook’s line from its entries, and again when there are more of them. */
export class BookLook {
  #evaluator: { readonly of: Investigation; readonly evaluator: OutcomeEvaluator };

  constructor(
    private readonly body: Investigation,
    private readonly conventions: Conventions,
  ) {
    this.#evaluator = { of: body, evaluator: new OutcomeEvaluator(body, conventions) };
  }

  /** The line, and how to take a second look: that takes as long as all the rest. */
  at(entries: readonly Entry[]): { readonly howFar: HowFar; readonly look: () => FoundIn } {
    const cells = cellsIn(this.body, entries);
    const body = withPieces(this.body, cells);
    // The same evaluator as long as the kit is the same.
    if (this.#evaluator.of !== body)
      this.#evaluator = { of: body, evaluator: new OutcomeEvaluator(body, this.conventions) };
    const outcome = this.#evaluator.evaluator.outcomeOf(cells);
    const [first] = outcome.results;
    return {
      howFar: {
        completeTrials: outcome.complete,
        resultText: first?.state === 'reckoned' && outcome.trialsWanted === 0 ? first.result.text : null,
        handedIn: entries.some(({ kind }) => kind === 'hand-in'),
      },
      look: () => foundIn(secondLookAt(body, cells, outcome, this.conventions)),
    };
  }
}

/** All of a logbook at once. */
export function lookAtBook({
  body,
  conventions,
  entries,
}: {
  readonly body: Investigation;
  readonly conventions: Conventions;
  readonly entries: readonly Entry[];
}): LookedAt {
  const { howFar, look } = new BookLook(body, conventions).at(entries);
  return { howFar, found: look() };
}

/** How many findings, and the weightiest of them. */
function foundIn(findings: readonly TableFinding[]): FoundIn {
  const [first] = [...findings].sort((a, b) => findingWeight(b) - findingWeight(a));
  return first
    ? { count: findings.length, weight: findingWeight(first), sentence: first.sentence }
    : nothingFound;
}
