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

/** How high a drawing is, and where each trial stands in it. */
export interface Layout {
  readonly height: number;
  at(group: DrawnGroup, row: number, value: number, nth: number): Place;
}

/** What both ways of drawing are of. */
export interface Ground {
  readonly groups: readonly DrawnGroup[];
  readonly unit: string;
  readonly width: number;
}

/** Room above the groups. */
export const top = 30;

export const shortened = (name: string, most: number): string =>
  name.length > most ? `${name.slice(0, most - 1)}…` : name;

export const short = (value: number): string => String(Number(value.toPrecision(6))).replace('-', '−');
