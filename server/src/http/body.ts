import express, { type RequestHandler } from 'express';
import { Problem } from './problem';

/** Pasted blocks and investigations are longer than anything else that is sent. */
const isLong = /\/(blocks|investigations)$/;
const short = express.json({ limit: '64kb' });
const long = express.json({ limit: '2500kb' });

/** Reads a JSON body. What is in it is plain data that can be stored, whatever its schema says of it later. */
export const jsonBody: RequestHandler = (request, response, next) => {
  const read = isLong.test(request.path) ? long : short;
  read(request, response, (error?: unknown) => {
    if (error) return next(error);
    next(isPlain(request.body) ? undefined : new Problem('not-valid', notPlain));
  });
};

const notPlain = 'The request holds a character that cannot be stored, or something that is no plain data.';
const deepest = 40;
/** Names that every object has anyway: a key of that name would be taken for the object's own. */
const inherited: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype));
const unstorable = /\0|\p{Surrogate}/u;

function isPlain(value: unknown, depth = 0): boolean {
  if (typeof value === 'string') return !unstorable.test(value);
  if (typeof value !== 'object' || value === null) return true;
  if (depth > deepest) return false;
  if (Array.isArray(value)) return value.every((item) => isPlain(item, depth + 1));
  return Object.entries(value).every(
    ([key, item]) => !inherited.has(key) && !unstorable.test(key) && isPlain(item, depth + 1),
  );
}
