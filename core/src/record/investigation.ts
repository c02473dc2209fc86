import type { InstrumentKind } from '../instruments/kinds';

/** One piece of the kit of an investigation. */
export interface KitItem {
  readonly tag: string;
  readonly kind: InstrumentKind;
  readonly model: string;
}

export interface MethodStep {
  readonly text: string;
  /** Protects the number; says which error it prevents. */
  readonly precaution?: string;
  /** Protects people. */
  readonly caution?: string;
}

export const columnKeys = ['mass', 'before', 'after'] as const;
export type ColumnKey = (typeof columnKeys)[number];

export interface Column {
  readonly key: ColumnKey;
  readonly heading: string;
  readonly symbol: string;
  readonly unit: string;
  /** Tag of the kit item that it is read from. */
  readonly tag: string;
}

/** What a class sets out to measure, as plain data. */
export interface Investigation {
  readonly title: string;
  readonly aim: string;
  readonly object: string;
  readonly method: 'displacement';
  readonly kit: readonly KitItem[];
  readonly steps: readonly MethodStep[];
  readonly columns: readonly Column[];
  readonly trials: number;
  readonly accepted: { readonly value: string; readonly unit: string; readonly source: string } | null;
}

/** The kit item behind a column. @throws RangeError when the kit does not hold its tag. */
export function kitOf({ kit }: Investigation, tag: string): KitItem {
  const item = kit.find((candidate) => candidate.tag === tag);
  if (!item) throw new RangeError(`The kit holds nothing tagged “${tag}”.`);
  return item;
}
