import type { RequestHandler, Response } from 'express';
import { timeouts } from '../database/models';
import { Problem } from './problem';

interface Waiting {
  deadline?: NodeJS.Timeout;
}

/** Tells whoever waits that the records cannot be reached, in good time; what comes of the work later is not sent. */
export const deadline: RequestHandler = (_request, response: Response<unknown, Waiting>, next) => {
  const timer = setTimeout(() => {
    if (!response.headersSent) next(new Problem('unavailable'));
  }, timeouts.requestMs);
  response.locals.deadline = timer;
  response.once('close', () => clearTimeout(timer));
  next();
};

/** Something is still coming in: the time counts anew. */
export const moreTime = ({ locals }: Response<unknown, Waiting>): void => void locals.deadline?.refresh();
