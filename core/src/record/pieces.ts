import { Decimal } from '../decimal/decimal';
import { isCalibration, uncorrectedOffset, type Correction, type Piece } from '../stock';
import type { Investigation, KitItem, MeasuredColumn } from './investigation';
import { subjectKey } from './subject';
import type { Cell } from './table';

/** A piece of the stockroom as a logbook keeps it: as it was when it was taken to the bench. */
export interface PieceInUse {
  /** The piece of the plan’s kit that it stands in for, by its tag. */
  readonly role: string;
  readonly piece: Pick<Piece, 'tag' | 'kind' | 'model' | 'certified' | 'correction'>;
  /** Whether what was found of it is put right in every reading on it. */
  readonly corrected: boolean;
}

/** The text of the entry that says so. */
export const pieceText = ({ role, piece, corrected }: PieceInUse): string => {
  const { tag, kind, model, certified, correction } = piece;
  return JSON.stringify({ role, corrected, piece: { tag, kind, model, certified, correction } });
};

/** The piece that such an entry tells of; null where it cannot be read. */
export function pieceFrom(text: string): PieceInUse | null {
  try {
    const read = JSON.parse(text) as PieceInUse | null;
    return typeof read?.role === 'string' && typeof read.piece?.tag === 'string' ? read : null;
  } catch {
    return null;
  }
}

/** The pieces of the stockroom that are used in a logbook, by their tags. */
export function piecesIn(cells: ReadonlyMap<string, Cell>): ReadonlyMap<string, PieceInUse> {
  const found = new Map<string, PieceInUse>();
  for (const { current } of cells.values()) {
    if (current.kind !== 'piece') continue;
    const own = pieceFrom(current.text);
    if (own) found.set(own.piece.tag, own);
  }
  return found;
}

/** The tag on which a role of the kit is read from now on. */
export const tagInUse = (cells: ReadonlyMap<string, Cell>, role: string): string =>
  cells.get(subjectKey({ kind: 'kit', role }))?.current.text ?? role;

const withKit = new WeakMap<Investigation, { readonly signature: string; readonly made: Investigation }>();

/**
 * An investigation whose kit holds the pieces that a logbook uses: each with its certificate in place of the maker’s tolerance, and
 * with its correction, or with what it may be off without it. The same object as long as the pieces are the same.
 */
export function withPieces(investigation: Investigation, cells: ReadonlyMap<string, Cell>): Investigation {
  const pieces = [...piecesIn(cells).values()].filter(({ role }) =>
    investigation.kit.some(({ tag }) => tag === role),
  );
  if (pieces.length === 0) return investigation;
  const signature = JSON.stringify(pieces);
  const known = withKit.get(investigation);
  if (known?.signature === signature) return known.made;
  const items = new Map(investigation.kit.map((item) => [item.tag, item] as const));
  for (const own of pieces) {
    const role = investigation.kit.find(({ tag }) => tag === own.role);
    if (role) items.set(own.piece.tag, asKit(own, role));
  }
  const made = { ...investigation, kit: [...items.values()] };
  withKit.set(investigation, { signature, made });
  return made;
}

/** @param role what the plan says of the piece that it stands in for. */
function asKit({ piece, corrected }: PieceInUse, { offset, scalePercent }: KitItem): KitItem {
  const { tag, kind, model, certified, correction } = piece;
  const taken: Correction | null = corrected ? correction : null;
  return {
    tag,
    kind,
    model,
    offset: taken
      ? taken.plusMinus
      : correction
        ? Decimal.max(uncorrectedOffset(correction), offset ?? 0).toString()
        : offset,
    scalePercent: taken && isCalibration(taken) ? undefined : scalePercent,
    // What was found over a stretch of the scale says more than what its maker promises.
    tolerance: taken && isCalibration(taken) ? '0' : certified?.plusMinus,
    correction: taken ?? undefined,
  };
}

/** A column as it was read on another piece of the kit; the same object where it was not. */
export const columnOn = (column: MeasuredColumn, tag: string | undefined): MeasuredColumn =>
  tag === undefined || tag === column.tag ? column : { ...column, tag };
