/** One value of what is compared, as it was found. Decimal text, in the unit of the comparison. */
export interface Observation {
  readonly value: string;
  /** Who found it, on what, at which bench, in which trial: as far as that is known. */
  readonly who?: string;
  readonly piece?: string;
  readonly bench?: string;
  /** The logbook that it stands in, by its id. */
  readonly book?: string;
  readonly trial?: number;
  /** Why it does not count, in the words of who left it out; it stays in sight. */
  readonly excluded?: string | null;
}

/** What a group is held against: a mark, an accepted value. In the unit of the comparison. */
export interface Reference {
  readonly value: string;
  /** Its standard uncertainty. */
  readonly u?: number;
  /** How far it may be missed, by the maker’s promise. */
  readonly tolerance?: string;
}

/** Values that belong together: of one vessel, one bench, one reader, one day. */
export interface Group {
  readonly key: string;
  readonly name: string;
  readonly observations: readonly Observation[];
  readonly reference: Reference | null;
  /** To what the values are rounded, in the unit of the comparison; 0 where nothing is known of it. */
  readonly step: number;
  /** Where its trials share readings: the standard uncertainty of their mean, and its degrees of freedom. Nothing is claimed of its spread. */
  readonly shared?: { readonly u: number; readonly df: number };
}

export interface Comparison {
  readonly unit: string;
  readonly groups: readonly Group[];
}
