import type { Band } from '../conventions';
import type { InstrumentKind } from '../conventions/kinds';
import type { Correction } from '../stock';
import type { AskedPrediction, AskedQuestion } from './asked';
import type { Column } from './column';
import type { ResultPlan } from './resultPlan';
import type { Table } from './tablePlan';

export * from './asked';
export * from './column';
export * from './resultPlan';
export * from './tablePlan';

/** The version of the open format in which an investigation is kept. */
export const formatVersion = 2;
/** Versions that can be read. What 2 added may be absent, so that a file of 1 is read as it stands. */
export const readableFormats = [1, 2] as const;

/** One piece of the kit of an investigation. */
export interface KitItem {
  readonly tag: string;
  readonly kind: InstrumentKind;
  readonly model: string;
  /** How far its zero may stand off, in its own unit, where it was not checked; it cancels in a difference. */
  readonly offset?: string | undefined;
  /** How far its scale may be too long or too short, in percent; it cancels in a ratio only. */
  readonly scalePercent?: string | undefined;
  /** Of a piece of the stockroom, never of a plan: what is promised of it in place of the maker’s tolerance. */
  readonly tolerance?: string | undefined;
  /** Of a piece of the stockroom, never of a plan: what is done to every reading on it. */
  readonly correction?: Correction | undefined;
}

export interface MethodStep {
  readonly text: string;
  /** Protects the number; says which error it prevents. */
  readonly precaution?: string | undefined;
  /** Protects people. */
  readonly caution?: string | undefined;
  /** Minutes in which nothing is to be done but wait. */
  readonly waitMinutes?: number | undefined;
}

/** What is otherwise at a bench: the one of its name, or each in its turn. */
export interface Variation {
  readonly name: string;
  readonly object?: string | undefined;
  /** What is different, in words. */
  readonly words?: string | undefined;
  /** Planned amounts by the key of their column. */
  readonly planned?: Readonly<Record<string, string>> | undefined;
  /** The derived columns that are worked by hand, by their keys; all others are not. */
  readonly worked?: readonly string[] | undefined;
}

/** How much it asks of who does it. */
export const levels = ['first', 'usual', 'demanding'] as const;
export type Level = (typeof levels)[number];

/** What a class sets out to measure, as plain data. The first result is what it is about; others are other routes. */
export interface Investigation {
  readonly format: (typeof readableFormats)[number];
  readonly title: string;
  readonly aim: string;
  /** What it takes of a lesson. */
  readonly minutes?: number | undefined;
  readonly level?: Level | undefined;
  readonly object: string;
  /** Why this way and not another. */
  readonly route: string;
  readonly kit: readonly KitItem[];
  readonly steps: readonly MethodStep[];
  readonly tables: readonly Table[];
  readonly results: readonly ResultPlan[];
  readonly predictions: readonly AskedPrediction[];
  readonly questions: readonly AskedQuestion[];
  /** Causes of error that belong to the method, by their codes. */
  readonly causes: readonly string[];
  /** Words for a percent error here, in place of the class's own. */
  readonly bands: readonly Band[] | null;
  /** Whether numbers supplied by the teacher may stand in a trial. */
  readonly supplied: boolean;
  /** Whether each reader works the columns for themselves: what a partner worked is covered until then. */
  readonly workedApart?: boolean | undefined;
  readonly variations?: readonly Variation[] | undefined;
  /** Whether students see the second look before they hand in. */
  readonly secondLook: 'students' | 'teacher';
  /** A trial worked by the teacher, as a model: texts by column, and a word on it. */
  readonly model: { readonly cells: Readonly<Record<string, string>>; readonly words: string } | null;
}

/** The kit item behind a tag. @throws RangeError when the kit does not hold it. */
export function kitOf({ kit }: Investigation, tag: string): KitItem {
  const item = kit.find((candidate) => candidate.tag === tag);
  if (!item) throw new RangeError(`The kit holds nothing tagged “${tag}”.`);
  return item;
}

/** As students may have it: without what good answers say. */
export const withoutAnswers = (investigation: Investigation): Investigation => ({
  ...investigation,
  questions: investigation.questions.map(({ answer: _, ...question }) => question),
});

/** A column with its table, by its key; undefined where there is none. */
export function columnOf(
  { tables }: Investigation,
  key: string,
): { readonly table: Table; readonly column: Column } | undefined {
  for (const table of tables) {
    const column = table.columns.find((candidate) => candidate.key === key);
    if (column) return { table, column };
  }
  return undefined;
}
