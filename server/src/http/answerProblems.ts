import type { ProblemDocument } from '@green-beam/contract';
import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import {
  ConnectionAcquireTimeoutError,
  ConnectionError,
  DatabaseError,
  TimeoutError,
  ValidationError,
} from 'sequelize';
import { Problem } from './problem';

/**
 * Every error becomes a problem document (RFC 9457); what was not foreseen is logged and not told.
 * @param hurryMs about so long whoever is refused for haste waits for the answer: a program that tries again at once is slowed by it
 */
export const answerProblems =
  (log: Logger, hurryMs: number): ErrorRequestHandler =>
  (error, request, response, next) => {
    // Whoever waited too long was told so already.
    if (response.writableEnded) return;
    if (response.headersSent) return next(error);
    const problem = asProblem(error);
    const requestId = String(request.id);
    if (problem.status >= 500) log.error({ error: withoutTexts(error), requestId }, problem.code);
    const document: ProblemDocument = {
      type: `/problems/${problem.code}`,
      title: problem.code.replaceAll('-', ' '),
      status: problem.status,
      code: problem.code,
      detail: problem.message,
      requestId,
    };
    const answer = () => {
      if (response.headersSent || response.destroyed) return;
      response
        .status(problem.status)
        .set(problem.headers)
        .type('application/problem+json')
        .send(JSON.stringify(document));
    };
    // Some longer, some shorter: else all who were refused at once come again at once.
    if (problem.status === 429) setTimeout(answer, hurryMs * (0.5 + Math.random()));
    else answer();
  };

/** What any error is to whoever asked. Malformed input of every kind ends here. */
function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (isUnreachable(error)) return new Problem('unavailable');
  const state = sqlState(error);
  // Data that PostgreSQL cannot hold, names of what is not there, and what was there already.
  if (state?.startsWith('22')) return new Problem('not-valid');
  if (state === '23505') return new Problem('already-used');
  if (state === '23503') return new Problem('not-found');
  const { type, status } = fieldsOf(error);
  if (type === 'entity.too.large') return new Problem('too-large');
  if (typeof type === 'string' && (type.startsWith('entity.') || type.endsWith('.unsupported')))
    return new Problem('not-json');
  if (type === 'request.aborted' || type === 'request.size.invalid') return new Problem('not-json');
  if (error instanceof URIError) return new Problem('not-found');
  if (typeof status === 'number' && status >= 400 && status < 500) return new Problem('not-found');
  return new Problem('unexpected');
}

/** True where the database is away, frozen or starting. */
export function isUnreachable(error: unknown): boolean {
  if (
    error instanceof ConnectionError ||
    error instanceof ConnectionAcquireTimeoutError ||
    error instanceof TimeoutError
  )
    return true;
  const state = sqlState(error) ?? '';
  if (state.startsWith('08') || state.startsWith('57')) return true;
  const cause = error instanceof DatabaseError ? error.parent : error;
  return (
    cause instanceof Error &&
    /Connection terminated|ECONNREFUSED|ECONNRESET|EPIPE|timeout|not queryable|Client has encountered a connection error|starting up/i.test(
      cause.message,
    )
  );
}

/** The SQLSTATE of an error of the database. */
export function sqlState(error: unknown): string | undefined {
  const cause =
    error instanceof DatabaseError || error instanceof ValidationError
      ? (error as { parent?: unknown }).parent
      : error;
  const { code } = fieldsOf(cause);
  return typeof code === 'string' && /^[0-9A-Z]{5}$/.test(code) ? code : undefined;
}

const fieldsOf = (error: unknown) =>
  (typeof error === 'object' && error !== null ? error : {}) as {
    readonly type?: unknown;
    readonly status?: unknown;
    readonly code?: unknown;
    readonly constraint?: unknown;
  };

/** An error as it may be logged: its kind and where it happened. Its message may quote what a student wrote. */
export function withoutTexts(error: unknown): object {
  if (!(error instanceof Error)) return { kind: typeof error };
  return {
    kind: error.name,
    ...(error instanceof TypeError || error instanceof ReferenceError ? { message: error.message } : {}),
    sqlState: sqlState(error),
    at: error.stack
      ?.split('\n')
      .filter((line) => /^\s+at /.test(line))
      .slice(0, 12)
      .map((line) => line.trim()),
  };
}
