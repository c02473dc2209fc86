/** A part of an instrument, by the name that its drawing labels it with, and what it is for. */
export interface CardPart {
  readonly name: string;
  readonly does: string;
}

/** What protects a number: what to do, and the error that it prevents. */
export interface Precaution {
  readonly do: string;
  readonly prevents: string;
}

/** What a practitioner knows of an instrument, on one card. Range, division and tolerance stand with its makes. */
export interface InstrumentCard {
  readonly parts: readonly CardPart[];
  /** How it is read, in order. */
  readonly order: readonly string[];
  readonly precautions: readonly Precaution[];
  /** What protects people; it never replaces local rules. */
  readonly cautions: readonly string[];
  readonly can: string;
  readonly cannot: string;
  /** Why it looks as it does: its curve, its numbers, its lines. */
  readonly why: string;
}

export const part = (name: string, does: string): CardPart => ({ name, does });
export const precaution = (what: string, prevents: string): Precaution => ({ do: what, prevents });

/** The order of reading any scale. */
export const scaleOrder = [
  'Bracket the place: which two numbers does it lie between?',
  'Find what one space is worth: count the spaces between two numbers.',
  'Count the lines from the number that came before.',
  'Estimate within the space, as your class does: on the line 0, just past it 1 or 2, in the middle 5, nearly the next 8 or 9.',
  'Write the unit.',
] as const;
