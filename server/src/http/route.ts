import { isId, type Who } from '@green-beam/contract';
import type { Request, Response, Router } from 'express';
import { ValidationError, type InferType, type Schema } from 'yup';
import { Problem } from './problem';

/** Who may use a route, before ownership is looked at. */
export type Allowed = 'anyone' | 'signed-in' | 'student' | 'teacher';

export interface Call<Body> {
  readonly who: Who;
  readonly params: Readonly<Record<string, string>>;
  readonly body: Body;
  readonly request: Request;
  readonly response: Response;
}

interface Route<S extends Schema> {
  readonly method: 'get' | 'post' | 'delete';
  readonly path: string;
  readonly allow: Allowed;
  /** Refuses by throwing when what the address names is not the caller's. Every address with a name states one. */
  readonly owns?: (call: Omit<Call<never>, 'body'>) => Promise<void>;
  readonly body?: S;
  readonly run: (call: Call<InferType<S>>) => Promise<unknown>;
}

/** Puts a route on the router: access first, then ownership, then the body; the answer is sent as JSON. */
export function route<S extends Schema>(
  router: Router,
  { method, path, allow, owns, body, run }: Route<S>,
): void {
  if (path.includes(':') && !owns) throw new Error(`The route ${method} ${path} does not say whose it is.`);
  router[method](path, async (request, response) => {
    const who = request.session.who;
    if (allow !== 'anyone') {
      if (!who) throw new Problem('not-signed-in');
      if (allow !== 'signed-in' && who.role !== allow) throw new Problem('not-allowed');
    }
    const params = request.params as Readonly<Record<string, string>>;
    if (!Object.values(params).every(isId)) throw new Problem('not-found');
    // Routes open to anyone never look at who is calling.
    const call = { who: who as Who, params, request, response };
    await owns?.(call);
    const answer = await run({ ...call, body: body ? await validated(body, request.body) : undefined });
    if (!response.headersSent) response.json(answer ?? {});
  });
}

async function validated<S extends Schema>(schema: S, body: unknown): Promise<InferType<S>> {
  try {
    return await schema.validate(body, { abortEarly: true });
  } catch (error) {
    if (error instanceof ValidationError) throw new Problem('not-valid', error.message);
    throw error;
  }
}
