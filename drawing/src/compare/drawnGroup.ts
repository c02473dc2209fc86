/** A group as it is drawn; numbers in the unit of the comparison. */
export interface DrawnGroup {
  readonly key: string;
  readonly name: string;
  readonly mean: number;
  /** Half the 95 % interval of the mean. */
  readonly interval: number | null;
  readonly sd: number | null;
  readonly reference: number | null;
  readonly tolerance: number | null;
  readonly values: readonly {
    readonly value: number;
    readonly trial: number | null;
    readonly excluded: boolean;
  }[];
}

export interface Place {
  readonly x: number;
  readonly y: number;
}

/** How high a drawing is, from where each row is drawn, and where each trial of a group stands from there. */
export interface Layout {
  /** The same for layouts in which a group’s trials stand alike about its row. */
  readonly name: string;
  readonly height: number;
  from(row: number): Place;
  at(group: DrawnGroup, value: number, nth: number): Place;
}

/** What both ways of drawing are of. */
export interface Ground {
  readonly groups: readonly DrawnGroup[];
  readonly unit: string;
  readonly width: number;
}

/** Where a row is drawn from, as an attribute. */
export const shiftTo = ({ x, y }: Place): string => `translate(${x} ${y})`;

const known = new WeakMap<DrawnGroup, Extent>();

interface Extent {
  readonly least: number;
  readonly most: number;
  /** How far its farthest value lies from what it should be, or from its mean. */
  readonly off: number;
}

/** Between what a group’s values lie. Looked at once: groups are sorted and turned more often than they change. */
export function extentOf(group: DrawnGroup): Extent {
  const before = known.get(group);
  if (before) return before;
  const values = group.values.map(({ value }) => value);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const middle = group.reference ?? group.mean;
  const found = { least, most, off: Math.max(Math.abs(least - middle), Math.abs(most - middle)) };
  known.set(group, found);
  return found;
}

/** The groups with their rows, in an order that sorting leaves alone: nothing is drawn anew where only its place is another. */
export const inFixedOrder = (
  groups: readonly DrawnGroup[],
): { readonly group: DrawnGroup; readonly row: number }[] =>
  groups.map((group, row) => ({ group, row })).sort((a, b) => (a.group.key < b.group.key ? -1 : 1));

/** Room above the groups. */
export const top = 30;

export const shortened = (name: string, most: number): string =>
  name.length > most ? `${name.slice(0, most - 1)}…` : name;

export const short = (value: number): string => String(Number(value.toPrecision(6))).replace('-', '−');
