/** What would settle a question that these trials leave open. */
export type Settles =
  /** Nothing more is needed. */
  | { readonly by: 'these' }
  /** About so many more trials in each group that it is of. */
  | { readonly by: 'trials'; readonly more: number }
  /** A spread cannot be told with fewer than five trials in each. */
  | { readonly by: 'five' }
  /** The scale is too coarse: the trials hardly differ. */
  | { readonly by: 'resolution' }
  /** Not with this kit, however often. */
  | { readonly by: 'never' };

export const claimKinds = ['biased', 'more accurate', 'more precise', 'differ'] as const;
export type ClaimKind = (typeof claimKinds)[number];

/** Something that could be claimed of groups, and whether these trials carry it. */
export interface ComparisonVerdict {
  readonly claim: ClaimKind;
  /** The groups by their keys; of two, the one that it is claimed of comes first. */
  readonly of: readonly string[];
  readonly carried: boolean;
  /** How large it is, in the unit of the comparison: the bias; by how much nearer; the ratio of the spreads, a pure number; how far apart. */
  readonly size: number;
  /** Null where there is not enough to test. */
  readonly evidence: {
    readonly test: string;
    readonly statistic: number;
    readonly df: readonly number[];
    /** Corrected for all claims of its kind in the comparison. */
    readonly p: number;
  } | null;
  readonly settles: Settles;
}

/** A claim is carried where chance would bring it about in less than 1 of 20 comparisons. */
export const claimLevel = 0.05;
