import { pieceSchema, readStored, type NewPieces, type StockAnswer } from '@green-beam/contract';
import { mostPieces } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { Problem } from '../http/problem';
import type { Services } from '../services';

/** Everything that the school has, by tag. */
export async function stockOf({ database }: Services): Promise<StockAnswer> {
  const rows = await database.models.stockPieces.findAll({ order: [['tag', 'asc']] });
  return {
    pieces: rows.map(({ id, body, revision }) => ({
      ...readStored(pieceSchema, body, 'piece'),
      id,
      revision,
    })),
  };
}

/** Keeps pieces, each in place of the one with its tag; all of them or none. @throws Problem */
export async function keepPieces(services: Services, { pieces, revision }: NewPieces): Promise<StockAnswer> {
  const { database, now } = services;
  const tags = pieces.map(({ tag }) => tag.toLowerCase());
  if (new Set(tags).size < tags.length) throw new Problem('not-valid', 'Two of the pieces have one tag.');
  await database.sequelize.transaction(async (transaction) => {
    const kept = await database.sequelize.query<{ revision: number }>(
      `insert into stock_pieces (id, tag, body, revision, created_at)
       select id, body ->> 'tag', body, 1, $3 from unnest($1::uuid[], $2::jsonb[]) as n(id, body)
       on conflict (lower(tag)) do update
         set tag = excluded.tag, body = excluded.body, revision = stock_pieces.revision + 1
         where $4::int is null or stock_pieces.revision = $4
       returning revision`,
      {
        type: QueryTypes.SELECT,
        transaction,
        bind: [pieces.map(() => randomUUID()), pieces.map((piece) => JSON.stringify(piece)), now(), revision],
      },
    );
    // A new piece is its first revision; one that somebody changed since is left as it is.
    if (kept.length < pieces.length || (revision === 0 && kept.some((row) => row.revision > 1)))
      throw new Problem('changed-meanwhile');
    const count = await database.models.stockPieces.count({ transaction });
    if (count > mostPieces) throw new Problem('not-valid', `The stockroom holds ${mostPieces} pieces.`);
  });
  return stockOf(services);
}

/** Takes a piece out. Logbooks in which it was used keep what they say of it. */
export async function removePiece(services: Services, id: string): Promise<StockAnswer> {
  await services.database.models.stockPieces.destroy({ where: { id } });
  return stockOf(services);
}
