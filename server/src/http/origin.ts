import type { Request, RequestHandler } from 'express';
import { Problem } from './problem';

/**
 * Refuses a request that changes something unless it comes from our own pages: from the very address that it goes to.
 * @param secure true behind HTTPS, whatever the proxy says.
 */
export const sameOriginOnly =
  (secure: boolean): RequestHandler =>
  (request, _response, next) => {
    if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return next();
    const origin = request.get('origin');
    const ours = origin
      ? origin === addressOf(request, secure)
      : request.get('sec-fetch-site') === 'same-origin';
    next(ours ? undefined : new Problem('other-origin'));
  };

const addressOf = (request: Request, secure: boolean): string =>
  `${secure ? 'https' : request.protocol}://${request.get('host')}`;

/** Answers only under the names that were configured; under any where none was. */
export const knownHostsOnly =
  (hosts: readonly string[]): RequestHandler =>
  (request, _response, next) =>
    next(
      hosts.length === 0 || hosts.includes(request.get('host') ?? '') ? undefined : new Problem('other-host'),
    );
