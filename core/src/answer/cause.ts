/**
 * What reading and writing a number takes; each is looked at by itself. `d`: what a division is worth. `place`: where the
 * pointer stands. `working`: arithmetic and its rules.
 */
export const skills = ['d', 'digits', 'place', 'zero error', 'unit', 'handling', 'working'] as const;
export type Skill = (typeof skills)[number];

/**
 * Parts of a drawing that a reader can be pointed to. `level`: where the pointer or the surface stands. `spaces`: the
 * spaces between two numbered lines, counted out. The others name their part.
 */
export const points = [
  'level',
  'edge',
  'label',
  'spaces',
  'zero-line',
  'other-side',
  'tip',
  'display',
] as const;
export type Point = (typeof points)[number];

/** A fault as it is told to whoever made it. */
export interface Cause {
  readonly code: string;
  readonly title: string;
  /** What to look at, or what to do about it; never the answer. */
  readonly hint: string;
  /** What it shows to be missing; absent in what was stored before causes said so. */
  readonly skill?: Skill;
  /** Which part of the drawing to look at; absent where no part shows it. */
  readonly point?: Point;
}

/** Faults of the writing, whatever the value, with the skill that each shows to be missing. */
export const writingFaults = {
  'dropped-final-digit': 'digits',
  'dropped-trailing-zero': 'digits',
  'bare-zero': 'digits',
  'extra-digit': 'digits',
  'off-step': 'digits',
  'point-missing': 'digits',
  'unit-missing': 'unit',
  'unit-wrong': 'unit',
  'unit-misspelt': 'unit',
} as const satisfies Readonly<Record<string, Skill>>;
export type WritingFault = keyof typeof writingFaults;

export const skillOfWriting = (code: string): Skill | undefined =>
  Object.hasOwn(writingFaults, code) ? writingFaults[code as WritingFault] : undefined;

/** A fault of the writing as it is told. */
export const writingCause = (code: WritingFault, title: string, hint: string): Cause => ({
  code,
  title,
  hint,
  skill: writingFaults[code],
});
