import { namesIn } from '../../figures';
import type { AuditColumn } from '../auditTable';
import { parsedFormula } from '../formula';
import { columnOf, type DerivedColumn, type Investigation } from '../investigation';
import type { ColumnKind } from './columnKind';
import { writtenNumber } from './writtenNumber';

/** A formula over the columns before it; what is written in it was worked by a student. */
export const derivedKind: ColumnKind<DerivedColumn> = {
  quantity: writtenNumber,
  // What is worked is checked by itself, against its readings.
  advise: () => null,
  halfWidth: () => 0,
  audit: ({ by, formula }, investigation) =>
    by === 'student' ? { difference: differenceOf(formula, investigation) } : {},
};

/** `after - before`: a plain difference of two columns. */
function differenceOf(formula: string, investigation: Investigation): AuditColumn['difference'] {
  const tree = parsedFormula(formula);
  if (tree.kind !== 'operation' || tree.operator !== '−') return null;
  const [to, from] = [namesIn(tree.left), namesIn(tree.right)];
  return tree.left.kind === 'name' && tree.right.kind === 'name' && to[0] && from[0]
    ? {
        from: from[0],
        to: to[0],
        clock: [from[0], to[0]].every((key) => columnOf(investigation, key)?.column.kind === 'clock'),
      }
    : null;
}
