import { instrumentOf, pieceOf, readyMade, type Piece } from '@green-beam/core';
import type { Models } from '../database/models';
import { idFor, type Within } from './ids';

/** Pieces of which more is known than that they are there. */
const known: readonly (Pick<Piece, 'tag' | 'kind' | 'model'> & Partial<Piece>)[] = [
  {
    tag: 'B-02',
    kind: 'three-beam-balance',
    model: 'three-beam-600',
    place: 'Balance table',
    certified: { plusMinus: '0.1', source: 'checked with the reference set' },
    checks: [
      { on: '2026-09-07', by: 'Ms Marrow', known: '100.0', shown: '100.1' },
      { on: '2026-10-05', by: 'Ms Marrow', known: '100.0', shown: '99.9' },
      { on: '2026-11-02', by: 'Mr Teal', known: '100.0', shown: '100.0' },
    ],
  },
  {
    tag: 'V-11',
    kind: 'vernier-caliper',
    model: 'vernier-20-39',
    correction: { kind: 'zero', error: '0.10', plusMinus: '0.05', on: '2026-10-12', by: 'Mr Teal' },
  },
  {
    tag: 'V-12',
    kind: 'vernier-caliper',
    model: 'vernier-20-39',
    faults: 'Slide loose: hold it on the beam.',
  },
  {
    tag: 'T-11',
    kind: 'thermometer',
    model: 'thermometer-1',
    correction: {
      kind: 'points',
      points: [
        { at: '0.4', add: '-0.4' },
        { at: '98.9', add: '0.7' },
      ],
      plusMinus: '0.3',
      on: '2026-10-19',
      by: '9 Tern, bench 2',
    },
  },
  {
    tag: 'T-12',
    kind: 'thermometer',
    model: 'thermometer-1',
    faults: 'Thread of the liquid parted.',
    outOfUse: true,
  },
];

/** What the made-up school has: what its investigations name, spares, and pieces of which something was found. */
export async function makeStock(models: Models, now: Date, within: Within): Promise<void> {
  const pieces = new Map(
    known.map((piece) => [piece.tag, pieceOf({ place: 'Cupboard 2', ...piece })] as const),
  );
  for (const { tag, kind, model } of readyMade.flatMap(({ kit }) => kit)) {
    const own = pieces.get(tag);
    if (!own) pieces.set(tag, pieceOf({ place: placeOf(kind), tag, kind, model }));
  }
  await models.stockPieces.bulkCreate(
    [...pieces.values()].map((body) => ({
      id: idFor(`piece ${body.tag}`),
      tag: body.tag,
      body,
      revision: 1,
      createdAt: now,
    })),
    within,
  );
}

const placeOf = (kind: Piece['kind']): string => {
  const { quantity } = instrumentOf(kind);
  return quantity === 'mass' ? 'Balance table' : quantity === 'volume' ? 'Glass cupboard' : 'Cupboard 2';
};
