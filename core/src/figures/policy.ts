import type { WaterRule } from '../reference/water';
import type { KelvinRule } from './convert';
import type { Rounding } from './rounding';
import type { TrailingZeros } from './writtenNumber';

/** What a class decides about a calculation: the conventions of a class are one. */
export interface RoundingPolicy {
  readonly rounding: Rounding;
  /** Whether each step is rounded, or the end alone. */
  readonly roundWhen: 'end' | 'each-step';
  readonly trailingZeros?: TrailingZeros;
  readonly kelvin?: KelvinRule;
  readonly water?: WaterRule;
}
