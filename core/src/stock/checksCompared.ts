import type { Comparison, Group } from '../compare';
import { Decimal } from '../decimal/decimal';
import { instrumentOf, modelOf } from '../instruments';
import type { Piece } from './piece';
import { promisedPlusMinus } from './promised';

/** What pieces of one unit were found to show, less what was known: a group each, held against 0 and against what is promised of it. */
export function checksCompared(
  pieces: readonly Pick<Piece, 'tag' | 'kind' | 'model' | 'certified' | 'checks'>[],
): Comparison {
  const unitOf = ({ kind, model }: Pick<Piece, 'kind' | 'model'>) => modelOf(instrumentOf(kind), model).unit;
  const checked = pieces.filter(({ checks }) => checks.length > 0);
  const unit = checked[0] ? unitOf(checked[0]) : '';
  return {
    unit,
    groups: checked
      .filter((piece) => unitOf(piece) === unit)
      .map((piece): Group => {
        const errors = piece.checks.map(({ known, shown }) => new Decimal(shown).minus(known));
        return {
          key: piece.tag,
          name: piece.tag,
          reference: { value: '0', tolerance: promisedPlusMinus(piece) },
          step:
            10 **
            -Math.max(
              ...errors.map((error) => error.decimalPlaces()),
              ...piece.checks.map(({ shown }) => new Decimal(shown).decimalPlaces()),
            ),
          observations: errors.map((error, at) => ({
            value: error.toString(),
            who: piece.checks[at]?.by ?? '',
            piece: piece.tag,
            trial: at + 1,
            book: piece.tag,
          })),
        };
      }),
  };
}
