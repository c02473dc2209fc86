import type { RequestHandler, Response } from 'express';
import { timeouts } from '../database/models';
import { Problem } from './problem';

const timers = new WeakMap<Response, NodeJS.Timeout>();

/** Tells whoever waits that the records cannot be reached, in good time; what comes of the work later is not sent. */
export const deadline: RequestHandler = (_request, response, next) => {
  const timer = setTimeout(() => {
    if (!response.headersSent) next(new Problem('unavailable'));
  }, timeouts.requestMs);
  timers.set(response, timer);
  response.once('close', () => clearTimeout(timer));
  next();
};

/** Something is still coming in: the time counts anew. */
export const moreTime = (response: Response): void => void timers.get(response)?.refresh();
