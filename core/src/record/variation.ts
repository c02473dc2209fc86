import type { Column, Investigation } from './investigation';

/** An investigation as one bench does it; the same object each time for the plain one. */
export function variedBy(investigation: Investigation, at: number | null): Investigation {
  const variation = at === null ? undefined : investigation.variations?.[at];
  if (!variation) return investigation;
  const { object = investigation.object, words, planned = {}, worked } = variation;
  const column = (own: Column): Column => {
    if (own.kind === 'measured' && planned[own.key] !== undefined)
      return { ...own, planned: planned[own.key] };
    if (own.kind === 'derived' && worked) return { ...own, by: worked.includes(own.key) ? 'student' : 'app' };
    return own;
  };
  return {
    ...investigation,
    object,
    steps: words ? [{ text: `This bench: ${words}` }, ...investigation.steps] : investigation.steps,
    tables: investigation.tables.map((table) => ({ ...table, columns: table.columns.map(column) })),
  };
}

/** Which variation a bench does: the one of its name, else they go round. @param before how many logbooks there are already. */
export function variationFor(
  { variations = [] }: Investigation,
  bench: string | null,
  before: number,
): number | null {
  if (variations.length === 0) return null;
  const own = variations.findIndex(({ name }) => name.trim().toLowerCase() === bench?.trim().toLowerCase());
  return own >= 0 ? own : before % variations.length;
}
