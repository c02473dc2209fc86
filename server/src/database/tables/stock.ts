import { DataTypes } from 'sequelize';
import { id, needed, type Define, type Row } from './table';

/** A piece that the school has. */
export interface StockPieceRow extends Row {
  id: string;
  /** As it is written on it; no two differ by case alone. */
  tag: string;
  /** Read through `pieceSchema`. */
  body: unknown;
  /** Counts up at every change. */
  revision: number;
}

/** A material of the school’s own. */
export interface SchoolMaterialRow extends Row {
  id: string;
  /** No two differ by case alone. */
  name: string;
  /** Read through `materialSchema`. */
  body: unknown;
}

/** The school’s stockroom. */
export const stockTables = (table: Define) => ({
  stockPieces: table<StockPieceRow>('stock_pieces', {
    id: id(),
    tag: needed(DataTypes.TEXT),
    body: needed(DataTypes.JSONB),
    revision: needed(DataTypes.INTEGER),
  }),
  schoolMaterials: table<SchoolMaterialRow>('school_materials', {
    id: id(),
    name: needed(DataTypes.TEXT),
    body: needed(DataTypes.JSONB),
  }),
});
