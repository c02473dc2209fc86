import {
  isId,
  personHeader,
  personParameter,
  type AnswerOf,
  type Endpoint,
  type Method,
} from '@green-beam/contract';
import type { Request, Response, Router } from 'express';
import { ValidationError, type InferType, type Schema } from 'yup';
import type { Caller } from './caller';
import { Problem } from '../http/problem';

/** Who may use a route, before ownership is looked at. */
export type Allowed = 'anyone' | 'signed-in' | 'student' | 'teacher';

/** Who calls, and what the address names. */
export interface Named {
  readonly who: Caller;
  readonly params: Readonly<Record<string, string>>;
}

export interface Call<Body, Owned> extends Named {
  readonly body: Body;
  /** What the address names, as `owns` found it. */
  readonly owned: Owned;
  readonly request: Request;
  readonly response: Response;
}

interface Route<E extends Endpoint<string, never>, S extends Schema, Owned> {
  readonly allow: Allowed;
  /**
   * Gives what the address names, and refuses by throwing when it is not the caller's. Every address with a name states one.
   */
  readonly owns?: (named: Named) => Promise<Owned> | Owned;
  readonly body?: S;
  /** True where it may be used before the printed password is changed. */
  readonly beforeChange?: boolean;
  readonly run: (call: Call<InferType<S>, Owned>) => Promise<AnswerOf<E>>;
}

/** A route as a list of them shows it. */
export interface RouteLine {
  readonly method: Method;
  readonly path: string;
  readonly allow: Allowed;
}

const lines = new WeakMap<Router, RouteLine[]>();

/** Every route that was put on a router. */
export const routesOn = (router: Router): readonly RouteLine[] => lines.get(router) ?? [];

/** Puts a route on the router: access first, then ownership, then the body; the answer is sent as JSON. */
export function route<E extends Endpoint<string, never>, S extends Schema, Owned = undefined>(
  router: Router,
  { method, path }: Pick<E, 'method' | 'path'>,
  { allow, owns, body, beforeChange = false, run }: Route<E, S, Owned>,
): void {
  if (path.includes(':') && !owns) throw new Error(`The route ${method} ${path} does not say whose it is.`);
  lines.set(router, [...routesOn(router), { method, path, allow }]);
  router[method](path, async (request, response) => {
    // Whoever waited too long was told so already.
    if (response.headersSent) return;
    const who = request.session.callerOf?.();
    if (allow !== 'anyone') {
      if (!who) throw new Problem('not-signed-in');
      if (askedFor(request) !== who.id) throw new Problem('other-person');
      if (who.mustChange && !beforeChange) throw new Problem('password-first');
      if (allow !== 'signed-in' && who.role !== allow) throw new Problem('not-allowed');
    }
    const params = request.params as Readonly<Record<string, string>>;
    if (!Object.values(params).every(isId)) throw new Problem('not-found');
    // Routes open to anyone never look at who is calling.
    const named = { who: who as Caller, params };
    // Without `owns` there is nothing named, and nothing is looked at.
    const owned = (await owns?.(named)) as Owned;
    const answer = await run({
      ...named,
      owned,
      request,
      response,
      body: body ? await validated(body, request.body) : undefined,
    });
    if (!response.headersSent) response.json(answer ?? {});
  });
}

/** For whom a request says that it is made. */
const askedFor = (request: Request): unknown => request.get(personHeader) ?? request.query[personParameter];

/** @throws Problem */
export async function validated<S extends Schema>(schema: S, body: unknown): Promise<InferType<S>> {
  try {
    return await schema.validate(body, { abortEarly: true });
  } catch (error) {
    // Whatever a schema stumbles over is the fault of what was sent.
    throw new Problem('not-valid', error instanceof ValidationError ? error.message : undefined);
  }
}
