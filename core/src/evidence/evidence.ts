/** One first try at a setting, as far as it tells what a student can do. */
export interface FirstTry {
  readonly kind: string;
  readonly right: boolean;
  /** Codes of the named faults; empty when none could be told. */
  readonly codes: readonly string[];
  /** Signed error in divisions; null when the number could not be compared. */
  readonly divisionsOff: number | null;
}

export interface Skill {
  readonly kind: string;
  readonly state: 'not seen yet' | 'shaky' | 'steady';
  readonly reason: string;
  readonly tries: number;
}

/** A reader's habit with an instrument, in divisions. */
export interface ReadersMark {
  readonly bias: number;
  readonly spread: number;
  readonly n: number;
}

/** What reading an instrument takes; each is looked at by itself. */
export const readingSkills = ['d', 'digits', 'place', 'zero error', 'unit', 'handling'] as const;
export type ReadingSkill = (typeof readingSkills)[number];

/** One skill with one instrument, from the last readings of it. */
export interface PartSkill {
  readonly skill: ReadingSkill;
  readonly state: Skill['state'];
}

const skillByCode: Readonly<Record<string, ReadingSkill>> = {
  ...table('digits', 'dropped-final-digit dropped-trailing-zero bare-zero extra-digit off-step'),
  ...table('unit', 'unit-missing unit-wrong unit-misspelt unit-slip cm-mm-slip inch-mm-slip'),
  ...table('zero error', 'zero-error-ignored zero-error-reversed initial-not-subtracted difference-reversed'),
  ...table('zero error', 'container-included container-tared-and-subtracted started-at-one film-ignored'),
  ...table('handling', 'not-balanced zero-not-set rider-off-notch read-while-settling bulb-on-base squeezed'),
  ...table('handling', 'over-tightened empty-pan-not-zero tip-bubble hanging-drop read-while-draining'),
  ...table('handling', 'overshot-mark short-of-mark drop-left-behind blown-out eye-not-level one-place-only'),
  ...table('handling', 'weighed-wet weighed-warm weighed-off-centre eye-too-high eye-too-low parallax'),
  ...table('place', 'top-of-meniscus edge-of-convex level-for-rise jaw-edge-as-zero next-main-mark'),
};

function table(skill: ReadingSkill, codes: string): Record<string, ReadingSkill> {
  return Object.fromEntries(codes.split(' ').map((code) => [code, skill]));
}

/** The skill that a fault shows to be missing; what is counted wrongly is a matter of what a division is worth. */
export const skillOfFault = (code: string): ReadingSkill => skillByCode[code] ?? 'd';

/**
 * Each skill with one kind of instrument: shaky when one of the last five readings showed it to be missing, steady after
 * three without.
 * @param tries newest first.
 */
export function partSkills(kind: string, tries: readonly FirstTry[]): readonly PartSkill[] {
  const recent = tries.filter((attempt) => attempt.kind === kind).slice(0, recentTries);
  const missing = new Set(recent.flatMap(({ codes }) => codes.map(skillOfFault)));
  return readingSkills.map((skill) => ({
    skill,
    state: missing.has(skill) ? 'shaky' : recent.length >= 3 ? 'steady' : 'not seen yet',
  }));
}

const fading = 0.8;
const recentTries = 5;

/**
 * What a student can do with one kind of instrument. The recent past counts more: each try back counts four
 * fifths of the one after it. Steady from three quarters right, with no fault twice among the last five.
 * @param tries newest first.
 */
export function skillOf(kind: string, tries: readonly FirstTry[]): Skill {
  const own = tries.filter((attempt) => attempt.kind === kind);
  if (own.length === 0) return { kind, state: 'not seen yet', reason: 'No reading yet.', tries: 0 };
  const weights = own.map((_, back) => fading ** back);
  const share =
    own.reduce((sum, { right }, back) => sum + (right ? (weights[back] ?? 0) : 0), 0) /
    weights.reduce((sum, weight) => sum + weight, 0);
  const recent = own.slice(0, recentTries);
  const repeated = mostFrequent(recent.flatMap(({ codes }) => codes.slice(0, 1)));
  const rightRecently = recent.filter(({ right }) => right).length;
  const tally = `${rightRecently} of your last ${recent.length} right at the first try`;
  if (repeated) {
    return {
      kind,
      state: 'shaky',
      reason: `${inWords(repeated.code)} ${times(repeated.count)} in your last ${recent.length}`,
      tries: own.length,
    };
  }
  if (own.length < 3)
    return { kind, state: 'shaky', reason: `only ${own.length} so far: ${tally}`, tries: own.length };
  return { kind, state: share >= 0.75 ? 'steady' : 'shaky', reason: tally, tries: own.length };
}

/** Bias and spread over the last twenty comparable tries; null below three. Wild numbers count as five divisions. */
export function readersMark(kind: string, tries: readonly FirstTry[]): ReadersMark | null {
  const off = tries
    .filter((attempt) => attempt.kind === kind)
    .flatMap(({ divisionsOff }) => (divisionsOff === null ? [] : [Math.max(-5, Math.min(5, divisionsOff))]))
    .slice(0, 20);
  if (off.length < 3) return null;
  const bias = off.reduce((sum, value) => sum + value, 0) / off.length;
  const spread = Math.sqrt(off.reduce((sum, value) => sum + (value - bias) ** 2, 0) / (off.length - 1));
  return { bias, spread, n: off.length };
}

/** What to practise next: shaky first, then what was never tried, then the one with the fewest tries. */
export function suggest(skills: readonly Skill[]): Skill | undefined {
  const rank = { shaky: 0, 'not seen yet': 1, steady: 2 } as const;
  return [...skills].sort((a, b) => rank[a.state] - rank[b.state] || a.tries - b.tries)[0];
}

/** A code as plain words: `top-of-meniscus` → `top of meniscus`. */
export const inWords = (code: string): string => code.replaceAll('-', ' ');

const times = (count: number): string => (count === 2 ? 'twice' : `${count} times`);

function mostFrequent(
  codes: readonly string[],
): { readonly code: string; readonly count: number } | undefined {
  const counts = new Map<string, number>();
  for (const code of codes) counts.set(code, (counts.get(code) ?? 0) + 1);
  const [top] = [...counts].sort((a, b) => b[1] - a[1]);
  return top && top[1] >= 2 ? { code: top[0], count: top[1] } : undefined;
}
