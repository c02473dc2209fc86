import { personHeader, personParameter, type ProblemCode, type ProblemDocument } from '@green-beam/contract';

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

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** Whose page this is: every request says so, and the server refuses it where somebody else has signed in meanwhile. */
let person: string | null = null;
const ended = new Set<() => void>();

export const speakFor = (id: string | null): void => void (person = id);

/** Told when the server says that the session of this page's person has ended. */
export function onSessionEnded(tell: () => void): () => void {
  ended.add(tell);
  return () => ended.delete(tell);
}

/** An address that a picture or a stream is fetched from: it says for whom. */
export const addressFor = (path: string): string =>
  `${path}${path.includes('?') ? '&' : '?'}${personParameter}=${person ?? ''}`;

/**
 * @param body plain data, or a file.
 * @param of for whom the request is made; the person of this page unless it says otherwise.
 * @throws ApiProblem or NoConnection
 */
export async function call<T>(
  method: Method,
  path: string,
  body?: unknown,
  of: string | null = person,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: {
        ...(of === null ? {} : { [personHeader]: of }),
        ...(body === undefined
          ? {}
          : { 'content-type': body instanceof Blob ? body.type : 'application/json' }),
      },
      ...(body === undefined ? {} : { body: body instanceof Blob ? body : JSON.stringify(body) }),
    });
  } catch {
    throw new NoConnection();
  }
  const answer: unknown = await response.json().catch(() => undefined);
  if (response.ok && answer !== undefined) return answer as T;
  if (!isProblem(answer)) throw new NoConnection();
  if (['not-signed-in', 'other-person', 'password-first'].includes(answer.code))
    ended.forEach((tell) => tell());
  throw new ApiProblem(answer.code, answer.status, answer.detail);
}

const isProblem = (answer: unknown): answer is ProblemDocument =>
  typeof answer === 'object' && answer !== null && 'code' in answer && 'detail' in answer;

/** What to tell a person of any error. */
export const sentenceFor = (error: unknown): string =>
  error instanceof ApiProblem || error instanceof NoConnection
    ? error.message
    : 'Something went wrong on this page. Reload it; what you wrote is kept.';
