import { drawnPicture } from '@green-beam/drawing/drawn';
import { checkInvestigationFile, type ReadInvestigation } from '@green-beam/contract';
import {
  evaluate,
  ExpressionProblem,
  rearrangingFor,
  writeQuantity,
  type Conventions,
  type DrawnPicture,
  type Entry,
  type InstrumentKind,
  type Investigation,
  type Picture,
  type Rearranging,
} from '@green-beam/core';
import { lookAtBook, type LookedAt } from './lookAtBook';

/** A formula and the letter that is wanted. */
export interface ToRearrange {
  readonly formula: string;
  readonly wanted: string;
}

/**
 * Work whose length depends on what somebody sent. Each is a pure function of plain data, and so are its answers: they cross to a
 * thread of their own and back.
 */
export const jobs = {
  /** What a calculation comes to, as it is written. */
  calculate: ({
    expression,
    conventions,
  }: {
    readonly expression: string;
    readonly conventions: Conventions;
  }): string => writeQuantity(evaluate(expression, conventions).result, conventions.rounding),

  /** Null where the formula cannot be solved for that letter. */
  rearrange: ({ formula, wanted }: ToRearrange): Rearranging | null => {
    const [left = '', right = ''] = formula.split(' = ');
    return rearrangingFor(left, right, wanted);
  },

  checkInvestigation: ({ body }: { readonly body: unknown }): ReadInvestigation =>
    checkInvestigationFile(body),

  /** What is seen of an apparatus that is read, as shapes alone. */
  draw: ({
    kind,
    picture,
    label,
    seed,
  }: {
    readonly kind: InstrumentKind;
    readonly picture: Picture;
    readonly label: string;
    readonly seed: number;
  }): DrawnPicture => drawnPicture(kind, picture, label, seed),

  /** A logbook’s line and what a second look finds in it. */
  lookAtBook: (book: {
    readonly body: Investigation;
    readonly conventions: Conventions;
    readonly entries: readonly Entry[];
  }): LookedAt => lookAtBook(book),
};

export type Jobs = typeof jobs;
export type JobName = keyof Jobs;

/** What came of a job: its answer, or why what was sent cannot be worked. */
export type Done<Name extends JobName> =
  | { readonly ok: true; readonly answer: ReturnType<Jobs[Name]> }
  | { readonly ok: false; readonly sentence: string };

/** Does a job. What core says of an expression comes back as its sentence; anything else is a fault and is thrown. */
export function doJob<Name extends JobName>(name: Name, given: Parameters<Jobs[Name]>[0]): Done<Name> {
  try {
    const job = jobs[name] as (given: Parameters<Jobs[Name]>[0]) => ReturnType<Jobs[Name]>;
    return { ok: true, answer: job(given) };
  } catch (error) {
    if (error instanceof ExpressionProblem) return { ok: false, sentence: error.message };
    throw error;
  }
}
