import type { ProblemCode, ProblemDocument } from '@green-beam/contract';

/** A refusal by the server, in its own plain sentence. */
export class ApiProblem extends Error {
  constructor(
    readonly code: ProblemCode,
    readonly status: number,
    detail: string,
  ) {
    super(detail);
  }
}

/** The server could not be reached, or answered with something that is not ours. */
export class NoConnection extends Error {
  constructor() {
    super('There is no connection to Green Beam. What you wrote is kept here.');
  }
}

/** @throws ApiProblem or NoConnection */
export async function call<T>(method: 'GET' | 'POST' | 'DELETE', path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      ...(body === undefined
        ? {}
        : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
  } catch {
    throw new NoConnection();
  }
  const answer: unknown = await response.json().catch(() => undefined);
  if (response.ok && answer !== undefined) return answer as T;
  if (isProblem(answer)) throw new ApiProblem(answer.code, answer.status, answer.detail);
  throw new NoConnection();
}

const isProblem = (answer: unknown): answer is ProblemDocument =>
  typeof answer === 'object' && answer !== null && 'code' in answer && 'detail' in answer;

/** What to tell a person of any error. */
export const sentenceFor = (error: unknown): string =>
  error instanceof ApiProblem || error instanceof NoConnection
    ? error.message
    : 'Something went wrong on this page. Reload it; what you wrote is kept.';
