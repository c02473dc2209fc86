import type { ComparisonClaim } from '../compare';

export interface FloatLiquid {
  readonly name: string;
  /** In g/cm³. */
  readonly density: string;
}

export interface AskedQuestion {
  readonly key: string;
  readonly when: 'before' | 'after';
  readonly text: string;
  /** A statement is called true, or put right; whether the thing floats is held against its density, which of several is best against their trials. */
  readonly kind: 'text' | 'statement' | 'floats' | 'compares';
  /** What is compared: a mean for each row or word, and by what. */
  readonly compares?: { readonly of: string; readonly question: ComparisonClaim['question'] } | undefined;
  /** In what it floats or sinks; water at 20 °C where none is said. */
  readonly liquid?: FloatLiquid | undefined;
  /** What a good answer says, or what speaks for either side of one that is open; staff alone see it. */
  readonly answer?: string | undefined;
}

export interface AskedPrediction {
  readonly key: string;
  readonly text: string;
  readonly unit: string;
  /** The result that it is compared with. */
  readonly result: string;
}
