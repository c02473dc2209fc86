/** What came of a reading at which a misreading would have shown: read right, misread so again, or wrong otherwise. */
export type AimOutcome = 'right' | 'again' | 'otherwise';

/** A misreading that somebody made when the class was asked, and their readings since. Times in milliseconds. */
export interface Aim {
  readonly kind: string;
  /** Of the misreading. */
  readonly code: string;
  readonly title: string;
  /** The class question at which it was made, and when that was told. */
  readonly questionId: string;
  readonly at: number;
  /** Oldest first. */
  readonly outcomes: readonly { readonly at: number; readonly outcome: AimOutcome }[];
}

const day = 86_400_000;
/** So many right ones in a row, and it is past. */
const past = 2;
/** From when it is asked once more, about two weeks on, and for how long. */
const onceMore = { from: 10 * day, until: 28 * day } as const;
/** For how long a misreading is aimed at, and what became of it is looked back at. */
export const aimedForMs = onceMore.until;

/**
 * Whether the next setting should be one at which the misreading shows: until it was read right twice in a row, and once more from the
 * tenth day to the twenty-eighth.
 */
export function isOpenAim({ at, outcomes }: Pick<Aim, 'at' | 'outcomes'>, now: number): boolean {
  const age = now - at;
  if (age >= onceMore.until) return false;
  if (age >= onceMore.from) return !outcomes.some((own) => own.at - at >= onceMore.from);
  const last = outcomes.slice(-past);
  return last.length < past || last.some(({ outcome }) => outcome !== 'right');
}

/** Those who misread, by what they did last since. */
export interface Helped {
  readonly right: number;
  readonly again: number;
  /** Who read nothing yet at which it shows, or wrong otherwise. */
  readonly notYet: number;
}

/** How those who misread read before the tenth day, and from then on; null before then. */
export function helpedOf(
  aims: readonly Pick<Aim, 'at' | 'outcomes'>[],
  now: number,
): { readonly soon: Helped; readonly later: Helped | null } {
  const count = (isIn: (sinceMs: number) => boolean): Helped => {
    const last = aims.map(({ at, outcomes }) => outcomes.findLast((own) => isIn(own.at - at))?.outcome);
    const of = (outcome: AimOutcome) => last.filter((own) => own === outcome).length;
    return { right: of('right'), again: of('again'), notYet: aims.length - of('right') - of('again') };
  };
  const oldest = Math.min(...aims.map(({ at }) => at));
  return {
    soon: count((since) => since < onceMore.from),
    later: now - oldest >= onceMore.from ? count((since) => since >= onceMore.from) : null,
  };
}

/** A question to a class, with the misreading that most made there and what those did since. */
export interface HelpedAt extends ReturnType<typeof helpedOf> {
  readonly questionId: string;
  readonly kind: string;
  readonly title: string;
  /** When it was told. */
  readonly at: number;
  readonly misread: number;
}

/** Questions to a class that are not too long ago, the newest first. @param aims of all of its students */
export function helpedByQuestion(aims: readonly Aim[], now: number): HelpedAt[] {
  const groups = new Map<string, Aim[]>();
  for (const aim of aims)
    if (now - aim.at < aimedForMs) {
      const key = `${aim.questionId} ${aim.code}`;
      groups.set(key, [...(groups.get(key) ?? []), aim]);
    }
  const largest = new Map<string, HelpedAt>();
  for (const made of groups.values()) {
    const [first] = made;
    if (!first || made.length <= (largest.get(first.questionId)?.misread ?? 0)) continue;
    const { questionId, kind, title } = first;
    const at = Math.min(...made.map((aim) => aim.at));
    largest.set(questionId, { questionId, kind, title, at, misread: made.length, ...helpedOf(made, now) });
  }
  return [...largest.values()].sort((a, b) => b.at - a.at);
}
