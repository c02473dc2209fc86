import type { Conventions, InstrumentKind, ReadOnce } from '@green-beam/core';
import type { ClassName } from './session';

/** A first reading of somebody in a class; the day is for whoever looks at it to say. */
export interface ClassReading extends Omit<ReadOnce, 'day'> {
  readonly at: string;
}

/** A question that was put to the class, and is or was read by all. */
export interface AskedLine {
  readonly id: string;
  readonly at: string;
  readonly kind: InstrumentKind;
  readonly instrumentName: string;
  readonly makeName: string;
  readonly answers: number;
}

/** What a class reads on one kind of instrument, or at one question. */
export interface ReadingsAnswer {
  readonly class: ClassName;
  readonly conventions: Conventions;
  /** The kinds of which there are readings, with how many. */
  readonly kinds: readonly {
    readonly kind: InstrumentKind;
    readonly name: string;
    readonly readings: number;
  }[];
  /** The newest questions first. */
  readonly questions: readonly AskedLine[];
  /** Of the kind or question that was asked for; the newest, up to a limit. */
  readonly readings: readonly ClassReading[];
  readonly unit: string;
}

/** A comparison that is kept under a name, by its address. */
export interface KeptComparison {
  readonly id: string;
  readonly name: string;
  readonly address: string;
}

export interface ComparisonsAnswer {
  readonly comparisons: readonly KeptComparison[];
}
