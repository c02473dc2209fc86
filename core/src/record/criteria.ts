import type { Entry } from './table';
import type { TableFinding } from './look';

/** What a logbook is marked by. */
export const criteria = ['readings', 'records', 'working', 'uncertainty', 'judgement'] as const;
export type Criterion = (typeof criteria)[number];
/** Full marks of one criterion. */
export const fullMarks = 4;
export type Marks = Readonly<Record<Criterion, number>>;

export const criterionWords: Readonly<Record<Criterion, string>> = {
  readings: 'Readings and digits',
  records: 'Records',
  working: 'Working',
  uncertainty: 'Uncertainty',
  judgement: 'Judgement',
};

/** Findings that speak of something else than of readings and their digits. */
const criterionOf: Readonly<Record<string, Criterion>> = {
  'heading-without-unit': 'records',
  'carried-over-changed': 'records',
  'other-balance': 'records',
  'looks-copied': 'records',
  'planned-amount': 'records',
  'supplied-number': 'records',
  doubling: 'records',
  'difference-reversed': 'working',
  'added-for-subtracted': 'working',
  'difference-contradicted': 'working',
  'quotient-upside-down': 'working',
  'multiplied-for-divided': 'working',
  'percent-from-rounded': 'working',
  'worked-wrong': 'working',
  'mean-contradicted': 'working',
  'mean-holds-excluded': 'uncertainty',
  outlier: 'uncertainty',
  'wrong-direction': 'working',
  'not-workable': 'working',
  'clock-as-decimals': 'working',
  'contradicts-floating': 'judgement',
  'claim-beyond': 'judgement',
};

/** How heavily a finding weighs: certain ones first. */
export const findingWeight = ({ sure }: Pick<TableFinding, 'sure'>): number =>
  sure === 'certain' ? 3 : sure === 'likely' ? 2 : 1;

/**
 * Marks to begin with: full ones, less one for each kind of finding that is certain, and less one of judgement for each question
 * without an answer; never below nothing. A person decides.
 */
export function suggestedMarks(findings: readonly TableFinding[], unanswered: number): Marks {
  const kinds = new Set(findings.filter(({ sure }) => sure === 'certain').map(({ code }) => code));
  const lost = (criterion: Criterion) =>
    [...kinds].filter((code) => (criterionOf[code] ?? 'readings') === criterion).length +
    (criterion === 'judgement' ? unanswered : 0);
  return Object.fromEntries(
    criteria.map((criterion) => [criterion, Math.max(0, fullMarks - lost(criterion))]),
  ) as unknown as Marks;
}

export const sumOfMarks = (marks: Marks): number =>
  criteria.reduce((sum, criterion) => sum + marks[criterion], 0);
export const mostMarks = criteria.length * fullMarks;

/** Where a logbook stands between its writers and its teacher. */
export type BookState = 'begun' | 'handed in' | 'handed back';

/** @param handedBack the newest time at which it was handed back; null for never. */
export function bookState(
  entries: readonly Pick<Entry, 'kind' | 'receivedAt' | 'writtenAt'>[],
  handedBack: string | null,
): BookState {
  const handedIn = entries
    .flatMap(({ kind, receivedAt, writtenAt }) =>
      kind === 'hand-in' ? [Date.parse(receivedAt ?? writtenAt)] : [],
    )
    .at(-1);
  if (handedIn === undefined) return handedBack === null ? 'begun' : 'handed back';
  return handedBack !== null && Date.parse(handedBack) >= handedIn ? 'handed back' : 'handed in';
}
