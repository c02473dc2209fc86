import { largestPhoto, mostPhotoBytes, mostPhotos, photoTypes } from '@green-beam/contract';
import type { Request, Response } from 'express';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { QueryTypes, UniqueConstraintError } from 'sequelize';
import { moreTime } from '../http/deadline';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import type { Caller } from '../access/caller';
import type { OpenBook } from '../kept/keptRows';
import { withoutMetadata } from './withoutMetadata';

/**
 * Keeps a photograph as it comes in, and stops reading where it is too large. The same id again is harmless. A logbook holds
 * so many of them. @throws Problem
 */
export async function addPhoto(
  { database }: Services,
  who: Caller,
  book: OpenBook,
  id: string,
  request: Request,
  response: Response,
): Promise<{ readonly id: string }> {
  const mediaType = photoTypes.find((type) => request.is(type));
  if (!mediaType) throw new Problem('not-valid', 'A photograph is a JPEG or a PNG.');
  if (Number(request.get('content-length') ?? 0) > largestPhoto) throw tooLarge();
  const bytes = withoutMetadata(await readAll(request, response), mediaType);
  if (!bytes) throw new Problem('not-valid', 'The photograph could not be read.');
  const { models, sequelize } = database;
  const logbookId = book.id;
  try {
    await sequelize.transaction(async (transaction) => {
      await sequelize.query('select pg_advisory_xact_lock(hashtextextended($1, 1))', {
        bind: [logbookId],
        transaction,
      });
      const [held] = await sequelize.query<{ count: string; bytes: string }>(
        `select count(*), coalesce(sum(octet_length(bytes)), 0) as bytes from logbook_photos where logbook_id = $1 and id <> $2`,
        { type: QueryTypes.SELECT, bind: [logbookId, id], transaction },
      );
      if (Number(held?.count) >= mostPhotos || Number(held?.bytes) + bytes.length > mostPhotoBytes)
        throw new Problem('photos-full');
      await models.logbookPhotos.create(
        { id, logbookId, personId: who.id, mediaType, bytes },
        { transaction },
      );
    });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    const twin = await models.logbookPhotos.findByPk(id, { attributes: ['logbookId', 'personId'] });
    if (twin?.logbookId !== logbookId || twin.personId !== who.id) throw new Problem('already-used');
  }
  return { id };
}

const tooLarge = () =>
  new Problem(
    'too-large',
    `A photograph has at most ${largestPhoto / 1e6} MB. Take it again with fewer pixels.`,
  );

async function readAll(request: Request, response: Response): Promise<Buffer> {
  const parts: Buffer[] = [];
  let length = 0;
  for await (const part of request as AsyncIterable<Buffer>) {
    moreTime(response);
    length += part.length;
    if (length > largestPhoto) throw tooLarge();
    parts.push(part);
  }
  return Buffer.concat(parts);
}

const slice = 262_144;

/** Sends a photograph slice by slice; a browser asks each time whether it still may show it. @throws Problem */
export async function sendPhoto(
  { database }: Services,
  book: OpenBook,
  id: string,
  request: Request,
  response: Response,
): Promise<void> {
  const { sequelize } = database;
  const [photo] = await sequelize.query<{ mediaType: string; length: number }>(
    `select media_type as "mediaType", octet_length(bytes) as length from logbook_photos where id = $1 and logbook_id = $2`,
    { type: QueryTypes.SELECT, bind: [id, book.id] },
  );
  if (!photo) throw new Problem('not-found');
  response.set({ 'cache-control': 'private, no-cache', etag: `"${id}"` });
  if (request.get('if-none-match') === `"${id}"`) return void response.status(304).end();
  response.type(photo.mediaType).set('content-length', String(photo.length));
  const slices = async function* () {
    for (let at = 0; at < photo.length; at += slice) {
      const [part] = await sequelize.query<{ bytes: Buffer }>(
        `select substring(bytes from $2 for ${slice}) as bytes from logbook_photos where id = $1`,
        { type: QueryTypes.SELECT, bind: [id, at + 1] },
      );
      moreTime(response);
      yield part?.bytes ?? Buffer.alloc(0);
    }
  };
  await pipeline(Readable.from(slices()), response);
}
