import { endpoints, type NewPieces, type StockedPiece } from '@green-beam/contract';
import { instrumentOf, modelOf, type Make, type Piece } from '@green-beam/core';
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from '../api';

const key = ['stock'] as const;

/** What the school has. */
export const stockQuery = queryOptions({ queryKey: key, queryFn: () => call(endpoints.stock) });
export const useStock = (enabled = true) => useQuery({ ...stockQuery, enabled });

/** Keeps pieces, each in place of the one with its tag. */
export function useKeepPieces() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: NewPieces) => call(endpoints.keepPieces, { body }),
    onSuccess: (stock) => queries.setQueryData(key, stock),
  });
}

export function useRemovePiece() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id }: StockedPiece) => call(endpoints.removePiece, { params: { pieceId: id } }),
    onSuccess: (stock) => queries.setQueryData(key, stock),
  });
}

export const makeOf = ({ kind, model }: Pick<Piece, 'kind' | 'model'>): Make =>
  modelOf(instrumentOf(kind), model);

/** The same tag, however it is written. */
export const sameTag = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

/** What is kept of a piece, without how it is kept. */
export function pieceIn(stocked: StockedPiece): Piece {
  const { id: _id, revision: _revision, ...piece } = stocked;
  return piece;
}
