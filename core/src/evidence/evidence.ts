import { skills, skillOfWriting, type Cause, type Skill } from '../answer';
import { instruments } from '../instruments';

/** One first try at a setting, as far as it tells what a student can do. */
export interface FirstTry {
  readonly kind: string;
  readonly right: boolean;
  /** Codes of the named faults; empty when none could be told. */
  readonly codes: readonly string[];
  /** The skills that these show to be missing. */
  readonly missing: readonly Skill[];
  /** Signed error in divisions; null when the number could not be compared. */
  readonly divisionsOff: number | null;
}

/** How sure somebody is of something, by what was seen of it. */
export type MasteryState = 'not seen yet' | 'begun' | 'shaky' | 'steady';

/** What somebody can do with one kind of instrument or drill. */
export interface Mastery {
  readonly kind: string;
  readonly state: MasteryState;
  /** In words that no other state uses. */
  readonly reason: string;
  readonly tries: number;
}

/** A reader's habit with an instrument, in divisions. */
export interface ReadersMark {
  readonly bias: number;
  readonly spread: number;
  readonly n: number;
}

/** What is looked at with an instrument: all skills but that of working things out. */
export const readingSkills = skills.filter((skill) => skill !== 'working');

/** One skill with one instrument, from the last readings of it. */
export interface PartMastery {
  readonly skill: Skill;
  readonly state: MasteryState;
}

/**
 * The skill that a fault shows to be missing: as the fault says, else, for one that was kept before faults said so, as its row
 * of the instrument or of the writing says now.
 */
export function missingSkill(kind: string, { code, skill }: Pick<Cause, 'code' | 'skill'>): Skill {
  if (skill) return skill;
  const instrument = instruments.find((one) => one.kind === kind);
  const row = instrument?.misreadings.find((one) => one.code === code);
  return row?.skill ?? skillOfWriting(code) ?? 'd';
}

/**
 * Each skill with one kind of instrument: shaky when one of the last five readings showed it to be missing, steady after
 * three without, begun before.
 * @param tries newest first.
 */
export function partMastery(kind: string, tries: readonly FirstTry[]): readonly PartMastery[] {
  const recent = tries.filter((attempt) => attempt.kind === kind).slice(0, recentTries);
  const missing = new Set(recent.flatMap(({ missing: skillsMissing }) => skillsMissing));
  return readingSkills.map((skill) => ({
    skill,
    state: missing.has(skill)
      ? 'shaky'
      : recent.length >= 3
        ? 'steady'
        : recent.length > 0
          ? 'begun'
          : 'not seen yet',
  }));
}

const fading = 0.8;
const recentTries = 5;

/**
 * What a student can do with one kind of instrument. The recent past counts more: each try back counts four
 * fifths of the one after it. Steady from three quarters right, with no fault twice among the last five; shaky only where
 * something was seen to go wrong.
 * @param tries newest first.
 */
export function masteryOf(kind: string, tries: readonly FirstTry[]): Mastery {
  const own = tries.filter((attempt) => attempt.kind === kind);
  const state = (name: MasteryState, reason: string): Mastery => ({
    kind,
    state: name,
    reason,
    tries: own.length,
  });
  if (own.length === 0) return state('not seen yet', 'No reading yet.');
  const weights = own.map((_, back) => fading ** back);
  const share =
    own.reduce((sum, { right }, back) => sum + (right ? (weights[back] ?? 0) : 0), 0) /
    weights.reduce((sum, weight) => sum + weight, 0);
  const recent = own.slice(0, recentTries);
  const repeated = mostFrequent(recent.flatMap(({ codes }) => codes.slice(0, 1)));
  const right = recent.filter((attempt) => attempt.right).length;
  if (repeated)
    return state('shaky', `${inWords(repeated.code)} ${times(repeated.count)} in your last ${recent.length}`);
  if (own.length < 3 && right === own.length)
    return state('begun', `${right === 1 ? 'one' : 'two'} right so far; three make it steady`);
  if (own.length >= 3 && share >= 0.75)
    return state('steady', `${right} of your last ${recent.length} right at the first try`);
  return state(
    'shaky',
    right === recent.length
      ? `the last ${recent.length} right, but not those before`
      : recent.length === 1
        ? 'the one so far wrong at the first try'
        : `${recent.length - right} of your last ${recent.length} wrong at the first try`,
  );
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

/** What to practise next: shaky first, then what was begun, then what was never tried, then the one with the fewest tries. */
export function suggest(masteries: readonly Mastery[]): Mastery | undefined {
  const rank = { shaky: 0, begun: 1, 'not seen yet': 2, steady: 3 } as const;
  return [...masteries].sort((a, b) => rank[a.state] - rank[b.state] || a.tries - b.tries)[0];
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
