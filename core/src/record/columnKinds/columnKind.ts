import type { Conventions } from '../../conventions';
import type { Quantity } from '../../figures';
import type { AuditColumn } from '../auditTable';
import type { ColumnRule } from '../columnRule';
import type { Column, Investigation } from '../investigation';

/** What a text in a cell is looked at with. */
export interface CellContext {
  readonly conventions: Conventions;
  /** The time from which the clocks of its row count. */
  readonly firstClock: string | undefined;
  /** How a measured column is read. */
  readonly rule: ColumnRule | undefined;
}

/** What a kind of column makes of what is written in it; every kind is one object of this shape. */
export interface ColumnKind<C extends Column> {
  /** A text as a quantity in the column's unit; null where it cannot be read. */
  quantity(text: string, column: C, context: CellContext): Quantity | null;
  /** What to say of a text at once; null when nothing is amiss. */
  advise(text: string, column: C, investigation: Investigation, conventions: Conventions): string | null;
  /** The half-width of a reading, in the column's unit. */
  halfWidth(column: C, investigation: Investigation, conventions: Conventions): number;
  /** What a careful reader knows of the column besides its heading. */
  audit(
    column: C,
    investigation: Investigation,
    conventions: Conventions,
  ): Partial<Pick<AuditColumn, 'read' | 'difference' | 'carried' | 'planned'>>;
}
