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

/** Groups in an order, as they stand in one way of drawing. */
export interface Stand {
  readonly groups: readonly DrawnGroup[];
  readonly layout: Layout;
  readonly width: number;
}

/** Where the trials of all groups stand in the whole drawing, in an order that sorting leaves alone. */
export const placesIn = ({ groups, layout }: Stand): Place[] =>
  inFixedOrder(groups).flatMap(({ group, row }) => {
    const { x, y } = layout.from(row);
    return group.values.map(({ value }, nth) => {
      const own = layout.at(group, value, nth);
      return { x: x + own.x, y: y + own.y };
    });
  });

/** True where two stands are of the same trials on paper of one width: what they stand in can turn into each other. */
export function sameTrials(a: Stand, b: Stand): boolean {
  const others = new Set(b.groups);
  return (
    a.width === b.width && a.groups.length === b.groups.length && a.groups.every((own) => others.has(own))
  );
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

/** A long name by its beginning and its end. */
function shortened(name: string, most: number): string {
  if (name.length <= most) return name;
  const head = Math.ceil((most - 1) / 2);
  return `${name.slice(0, head).trimEnd()}…${name.slice(head + 1 - most).trimStart()}`;
}

/** What groups are called where there is little room: shortened, and where that is the same for several from where they differ. */
export function labelsOf(groups: readonly DrawnGroup[], most: number): ReadonlyMap<DrawnGroup, string> {
  const names = groups.map(({ name }) => name);
  const plain = names.map((name) => shortened(name, most));
  return new Map(
    groups.map((group, nth) => {
      const alike = names.filter((name, other) => plain[other] === plain[nth] && name !== group.name);
      const differs = Math.min(...alike.map((name) => firstDifference(name, group.name)));
      const word = group.name.lastIndexOf(' ', differs) + 1;
      const label = alike.length === 0 ? plain[nth] : shortened(`…${group.name.slice(word)}`, most);
      return [group, label ?? group.name];
    }),
  );
}

const firstDifference = (a: string, b: string): number => {
  const at = [...a].findIndex((letter, nth) => letter !== b[nth]);
  return at === -1 ? a.length : at;
};

export const short = (value: number): string => String(Number(value.toPrecision(6))).replace('-', '−');
