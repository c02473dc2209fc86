import {
  at,
  namesOf,
  personHeader,
  personParameter,
  type AnswerOf,
  type BodyOf,
  type Endpoint,
  type Method,
  type NamesIn,
  type PathOf,
  type ProblemCode,
  type ProblemDocument,
} from '@green-beam/contract';

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

/** What a call to an endpoint needs besides: the names in its address, what is asked for behind it, and what is sent. */
type Options<E extends AnyEndpoint> = ([NamesIn<PathOf<E>>] extends [never]
  ? { readonly params?: undefined }
  : { readonly params: Readonly<Record<NamesIn<PathOf<E>>, string>> }) &
  (BodyOf<E> extends undefined ? { readonly body?: undefined } : { readonly body: BodyOf<E> }) & {
    readonly query?: string;
    /** For whom it is made; the person of this page unless it says otherwise. */
    readonly of?: string | null;
  };
type AnyEndpoint = Endpoint<string, never>;

/** Calls an endpoint. @throws ApiProblem or NoConnection */
export function call<E extends AnyEndpoint>(
  endpoint: E,
  ...[options]: Record<never, never> extends Options<E> ? [Options<E>?] : [Options<E>]
): Promise<AnswerOf<E>> {
  const { params = {}, query = '', body, of = person } = options ?? {};
  return fetched(endpoint.method, `${at(endpoint.path, params)}${query}`, body, of);
}

/** Sends a body to an endpoint whose address has no names. @throws ApiProblem or NoConnection */
export const sendTo = <E extends AnyEndpoint>(
  endpoint: E,
  body: BodyOf<E>,
  of: string | null,
): Promise<AnswerOf<E>> => fetched(endpoint.method, endpoint.path, body, of);

/** What waited to be sent: its address and its body are as they were kept. @throws ApiProblem or NoConnection */
export const sendKept = (path: string, body: unknown, of: string): Promise<unknown> =>
  fetched(body instanceof Blob ? 'put' : 'post', path, body, of);

/**
 * What came back for something that was kept, where it went to this endpoint; null for any other.
 * @param sent its address, with its names filled in.
 */
export function answerTo<E extends AnyEndpoint>(
  { path }: E,
  sent: string,
  answer: unknown,
): { readonly params: Readonly<Record<string, string>>; readonly answer: AnswerOf<E> } | null {
  const params = namesOf(path, sent);
  return params && isAnswer<AnswerOf<E>>(answer) ? { params, answer } : null;
}

/** Which of the two ends of a row an answer belongs to is known by its address; that it is one at all is looked at. */
const isAnswer = <T>(answer: unknown): answer is T => typeof answer === 'object' && answer !== null;

/**
 * @param body plain data, or a file.
 * @throws ApiProblem or NoConnection
 */
async function fetched<T>(method: Method, path: string, body: unknown, of: string | null): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method: method.toUpperCase(),
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
  if (response.ok && isAnswer<T>(answer)) return answer;
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
