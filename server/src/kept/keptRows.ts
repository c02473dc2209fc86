import type { Investigation } from '@green-beam/core';

/** An investigation of a class, one version of it. */
export interface KeptInvestigation {
  readonly id: string;
  readonly classId: string;
  /** Whose own it is; null for one that is set for the class. */
  readonly personId: string | null;
  readonly familyId: string;
  readonly version: number;
  readonly body: Investigation;
}

/** A logbook that the caller may read: where it belongs and who writes in it. */
export interface OpenBook {
  readonly id: string;
  readonly conventionsId: string;
  readonly investigation: KeptInvestigation;
  /** By name. */
  readonly members: readonly { readonly id: string; readonly name: string }[];
  readonly reckonedAnew: boolean;
}
