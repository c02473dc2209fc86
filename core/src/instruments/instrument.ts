import type { Conventions } from '../conventions/conventions';
import type { Reads } from '../conventions/steps';
import type { Point, Skill } from '../answer/cause';
import type { Random } from '../chance/random';
import type { InstrumentKind } from '../conventions/kinds';

/** One make of an instrument. Numbers that are written on it are decimal texts, in its unit. */
export interface Make {
  readonly id: string;
  readonly name: string;
  /** The unit its scale is in. */
  readonly unit: string;
  /** Smallest division d; the least count of a vernier or a screw; one last digit of a display. */
  readonly division: string;
  readonly reads: Reads;
  /** Distance between two numbered lines. */
  readonly labelEvery: string;
  readonly lowest: string;
  readonly highest: string;
  /** How far below its scale it may show a number: a zero that is off, a display that was tared. Nothing where absent. */
  readonly belowZero?: string;
  /** True where the scale is divided in halves of halves of an inch, so that a reading may be a fraction. */
  readonly fractions?: boolean;
  /** Maker's tolerance, as ±. */
  readonly tolerance: string;
}

/** Everything about one apparatus at one moment, the truth included. Plain data: it is stored and replayed. */
export interface Setting {
  readonly kind: InstrumentKind;
  readonly model: string;
}

/**
 * Where in the making of a reading a fault sits. A reading is made in this order, so faults of different stages
 * can occur together: where the reader believes the pointer to stand, how they turn that into a number, and how
 * the number is corrected.
 */
export const stages = ['place', 'count', 'correction'] as const;
export type Stage = (typeof stages)[number];

export interface Misreading<S extends Setting = Setting> {
  readonly code: string;
  readonly stage: Stage;
  /** What it shows to be missing. */
  readonly skill: Skill;
  /** The part of the drawing that shows it. */
  readonly point?: Point;
  /** True where the number is a power of ten off: its digits are then where another unit would have them. */
  readonly rescales?: boolean;
  /** What went wrong, one sentence. */
  readonly title: string;
  /**
   * The numbers that a reader with this fault reaches, in the instrument's unit; none where it cannot happen.
   * @param seen where the earlier stages put the pointer.
   */
  predict(setting: S, seen: number): readonly number[];
  /** What to look at, in this setting's own marks, without giving the reading away. */
  hint(setting: S): string;
}

interface Named {
  readonly key: string;
  readonly name: string;
}

/** An option of a few values. */
export interface ChoiceOption<S extends Setting = Setting> extends Named {
  readonly choices: readonly { readonly value: string; readonly name: string }[];
  /** The setting with it. @throws RangeError, in words, for what is none of the choices */
  choose(setting: S, value: string, model: Make): S;
}

/** An option that is a number. */
export interface NumberOption<S extends Setting = Setting> extends Named {
  /** True where it is in the unit of the make, else in millimetres. */
  readonly inItsUnit: boolean;
  /** What can be set, ends included. */
  bounds(setting: S, model: Make): readonly [low: number, high: number];
  /** The setting with a number within its bounds. */
  change(setting: S, number: number, model: Make): S;
}

/** Something else than its reading that a teacher may set by hand before a class is shown it. */
export type SettingOption<S extends Setting = Setting> = ChoiceOption<S> | NumberOption<S>;

/** One kind of instrument: every instrument of the product is one object of this shape. */
export interface Instrument<S extends Setting = Setting> {
  readonly kind: InstrumentKind;
  readonly name: string;
  readonly quantity: string;
  /** Units offered beside the answer, the right one among them. */
  readonly unitChoices: readonly string[];
  readonly models: readonly Make[];
  readonly misreadings: readonly Misreading<S>[];
  /**
   * A setting to be read as it stands.
   * @param indicates what it should indicate, where somebody chose that; else it is drawn.
   */
  sampleSetting(model: Make, random: Random, indicates?: number): S;
  /** What else may be set by hand. */
  readonly options?: readonly SettingOption<S>[];
  /** The first setting of a model that a reader is given, where one comes before all others. */
  first?(model: Make, random: Random): S;
  /** An apparatus as it is before anyone has touched it, to be handled and then read. */
  initial(model: Make, random: Random): S;
  /** An apparatus as some reader has left it, carefully or not: for trials of the engine and for demonstrations. */
  sampleHandled(model: Make, random: Random): S;
  /**
   * The apparatus after it was handled.
   * @throws NotReady where it cannot be read yet; RangeError if the hands report something that cannot be.
   */
  handle(setting: S, hands: unknown): S;
  /** The setting as a class with these conventions takes it, where that differs from class to class. */
  withConventions?(setting: S, conventions: Conventions): S;
  /** How this setting is read, where that is not how its model is. */
  scale?(setting: S): Partial<Pick<Make, 'unit' | 'division' | 'reads'>>;
  /** How many estimated readings make the answer, where it is not one. */
  estimates?(setting: S): number;
  /** The second of two values between which a display hops; null where it stands. */
  flicker?(setting: S): number | null;
  /** How far an answer may be off at least, where somebody set that, in its unit. */
  tolerance?(setting: S): number;
  /** The columns in which a class may have the parts of the reading written. */
  parts?(setting: S): readonly Part[];
  /** The highest line that its second part has: of the vernier, or around the thimble. */
  highestLine?(model: Make): number;
  /** What the instrument indicates when it is handled and read rightly and corrected as asked, in its unit. */
  indication(setting: S): number;
  /** Where the pointer stands for a reader without any fault, before the correction that is asked for. */
  observed(setting: S): number;
  /** What is asked for, from a number that was read: less its zero error, or less where it began. */
  correct(setting: S, number: number): number;
  /** What is needed to draw the setting, and no more. */
  picture(setting: S): Picture;
  /** What the reader is asked. */
  ask(setting: S): string;
  /** How the right reading is put together, a line each. @param written the right reading as text. */
  buildUp(setting: S, written: string): readonly string[];
  /** Where to begin when a number fits no known fault. */
  lookFirst(setting: S): string;
}

/** One column of a reading that is written in its parts. */
export interface Part {
  readonly key: string;
  readonly heading: string;
  readonly unit: string;
  readonly value: number;
  /** Its step, as a decimal text. */
  readonly step: string;
  /** What to look at when it is wrong. */
  readonly hint: string;
}

export interface Picture {
  readonly kind: InstrumentKind;
  readonly model: string;
}

/** @throws RangeError for a model that this kind does not have. */
export const modelOf = <S extends Setting>(instrument: Instrument<S>, id: string): Make =>
  modelIn(instrument.models, instrument.name, id);

/** A model out of one kind's own list. @throws RangeError for one that there is not. */
export function modelIn<M extends Make>(models: readonly M[], name: string, id: string): M {
  const found = models.find((candidate) => candidate.id === id);
  if (!found) throw new RangeError(`There is no ${name} called “${id}”.`);
  return found;
}

/** The apparatus is in order but cannot be read yet: its message says what to do first. It costs no try. */
export class NotReady extends RangeError {}

/** Reads one number out of what the hands report. @throws RangeError outside its range. */
export function handNumber(hands: unknown, key: string, low: number, high: number): number {
  const value = handValue(hands, key);
  if (typeof value !== 'number' || !(value >= low && value <= high)) {
    throw new RangeError(`The apparatus reports no usable “${key}” (a number from ${low} to ${high}).`);
  }
  return value;
}

/** Reads one yes or no out of what the hands report. @throws RangeError for anything else. */
export function handFlag(hands: unknown, key: string): boolean {
  const value = handValue(hands, key);
  if (typeof value !== 'boolean') throw new RangeError(`The apparatus does not report “${key}”.`);
  return value;
}

const handValue = (hands: unknown, key: string): unknown =>
  typeof hands === 'object' && hands !== null && Object.hasOwn(hands, key)
    ? (hands as Record<string, unknown>)[key]
    : undefined;
