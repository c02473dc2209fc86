import { problems, type ProblemCode } from '@green-beam/contract';

/** A refusal that a person can meet. Routes and services throw it; `app.ts` answers with a problem document. */
export class Problem extends Error {
  readonly status: number;

  constructor(
    readonly code: ProblemCode,
    detail?: string,
    readonly headers: Readonly<Record<string, string>> = {},
  ) {
    super(detail ?? problems[code][1]);
    this.status = problems[code][0];
  }
}

/** What core refuses with a RangeError is the request’s fault. @throws Problem */
export function rejectRangeErrors<T>(act: () => T): T {
  try {
    return act();
  } catch (error) {
    if (error instanceof RangeError) throw new Problem('not-valid', error.message);
    throw error;
  }
}
