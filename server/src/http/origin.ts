import type { RequestHandler } from 'express';
import { Problem } from './problem';

/** Refuses a request that changes something unless it comes from our own pages. */
export const sameOriginOnly: RequestHandler = (request, _response, next) => {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return next();
  const origin = request.get('origin');
  const site = request.get('sec-fetch-site');
  const ours = origin ? hostOf(origin) === request.get('host') : site === 'same-origin';
  next(ours ? undefined : new Problem('other-origin'));
};

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
