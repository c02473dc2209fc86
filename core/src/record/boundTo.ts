import type { Piece } from '../stock';
import type { Investigation } from './investigation';

/** What a binding changes of an investigation. */
export type Bound = Pick<Investigation, 'kit' | 'steps' | 'tables'>;

/**
 * An investigation whose role is a piece that the school has: kit, columns and steps speak of its tag. Nothing changes where another
 * role is that piece already.
 * @param role the tag in the kit
 */
export function boundTo(
  { kit, steps, tables }: Bound,
  role: string,
  { tag, kind, model }: Pick<Piece, 'tag' | 'kind' | 'model'>,
): Bound {
  if (role !== tag && kit.some((item) => item.tag === tag)) return { kit, steps, tables };
  const named = new RegExp(`(?<![\\w-])${role.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\w-])`, 'g');
  const said = (text: string) => text.replace(named, () => tag);
  return {
    kit: kit.map((item) => (item.tag === role ? { ...item, tag, kind, model } : item)),
    steps: steps.map((step) => ({
      ...step,
      text: said(step.text),
      ...(step.precaution ? { precaution: said(step.precaution) } : {}),
      ...(step.caution ? { caution: said(step.caution) } : {}),
    })),
    tables: tables.map((table) => ({
      ...table,
      columns: table.columns.map((column) =>
        column.kind === 'measured' && column.tag === role ? { ...column, tag } : column,
      ),
    })),
  };
}
