import { readStored, storedExplanations, type BoardReading } from '@green-beam/contract';
import {
  aimedForMs,
  instruments,
  isOpenAim,
  masteryOf,
  missingSkill,
  readersMark,
  type Aim,
  type AimOutcome,
  type Cause,
  type ExerciseOf,
  type FirstTry,
} from '@green-beam/core';

/** A fault that somebody made, told by its name alone. */
export interface Fault {
  readonly code: string;
  readonly kind: string;
  readonly title: string;
  readonly hint: string;
  /** When it was made last, in milliseconds. */
  at: number;
}

type Marks = ReadonlyMap<
  string,
  { readonly skill: ReturnType<typeof masteryOf>; readonly mark: ReturnType<typeof readersMark> }
>;

/** What one person's tries amount to. */
export interface Practice {
  /** First tries, newest first, as many of each kind as count for anything. */
  readonly tries: readonly FirstTry[];
  /** Mastery and mark with every instrument. */
  readonly marks: Marks;
  readonly latest: readonly BoardReading[];
  readonly faults: readonly Fault[];
  /** Misreadings that were made when the class was asked, with what came since. */
  readonly aims: readonly Aim[];
  /** When something was read, in milliseconds, over the last two days; oldest first. */
  readonly times: readonly number[];
}

/** A try with what it was at. */
export interface Row {
  readonly id: string;
  readonly personId: string;
  readonly kind: string;
  readonly of: ExerciseOf;
  readonly ordinal: number;
  /** As they were written; null where the answer was none of one number. */
  readonly text: string | null;
  readonly unit: string | null;
  readonly outcome: string;
  /** What may have led to a wrong one. */
  readonly explanations: unknown;
  readonly divisionsOff: number | null;
  /** The class question that it answers. */
  readonly questionId: string | null;
  /** The misreading at which the setting aimed. */
  readonly aim: string | null;
  readonly at: Date;
}

const triesPerKind = 60;
const latestShown = 4;
const twoDaysMs = 2 * 86_400_000;
/** Two that come at once may be stored the other way round; so much is read again. */
export const overlapMs = 60_000;
const rememberedMs = 10 * overlapMs;

const unseen: Marks = new Map(
  instruments.map(({ kind }) => [kind, { skill: masteryOf(kind, []), mark: null }]),
);

export class Fold implements Practice {
  readonly #byKind = new Map<string, FirstTry[]>();
  readonly #faults = new Map<string, Fault>();
  readonly #aims = new Map<string, Aim & { readonly outcomes: { at: number; outcome: AimOutcome }[] }>();
  /** What was folded in lately, with its time: it may be read again. */
  readonly #folded = new Map<string, number>();
  readonly #marks = new Map(unseen);
  #tries: readonly FirstTry[] | undefined;
  latest: readonly BoardReading[] = [];
  times: number[] = [];
  /** What its person’s record was called when it was last read. */
  readAt: string | null = null;
  lastAt = 0;

  get marks(): Marks {
    return this.#marks;
  }

  get tries(): readonly FirstTry[] {
    return (this.#tries ??= [...this.#byKind.values()].flat());
  }

  get faults(): readonly Fault[] {
    return [...this.#faults.values()];
  }

  get aims(): readonly Aim[] {
    return [...this.#aims.values()];
  }

  /** @param rows oldest first; those that were folded in already are passed over. */
  add(rows: readonly Row[]): void {
    const kinds = new Set<string>();
    const old = this.lastAt - rememberedMs;
    for (const row of rows) {
      if (row.at.getTime() < old || this.#folded.has(row.id)) continue;
      this.#folded.set(row.id, row.at.getTime());
      this.#addOne(row);
      if (row.ordinal === 1) kinds.add(row.kind);
    }
    if (kinds.size > 0) this.#tries = undefined;
    for (const kind of kinds) {
      const own = this.#byKind.get(kind) ?? [];
      this.#marks.set(kind, { skill: masteryOf(kind, own), mark: readersMark(kind, own) });
    }
    for (const [id, at] of this.#folded) if (at < this.lastAt - rememberedMs) this.#folded.delete(id);
    const recent = this.lastAt - twoDaysMs;
    this.times = this.times.filter((at) => at > recent);
  }

  #addOne(row: Row): void {
    const { kind, ordinal, divisionsOff } = row;
    const at = row.at.getTime();
    this.lastAt = Math.max(this.lastAt, at);
    const right = row.outcome === 'right';
    const explanations = right ? [] : readStored(storedExplanations, row.explanations, 'verdict');
    // Where several could not be told apart, none is told of.
    const causes = explanations.length === 1 ? (explanations[0] ?? []) : [];
    if (ordinal === 1) {
      const own = this.#byKind.get(kind) ?? [];
      own.unshift({
        kind,
        right,
        codes: causes.map(({ code }) => code),
        missing: causes.map((cause) => missingSkill(kind, cause)),
        divisionsOff,
      });
      if (own.length > triesPerKind) own.pop();
      this.#byKind.set(kind, own);
    }
    if (row.of !== 'setting') return;
    if (ordinal === 1) this.#aim(row, causes, right);
    this.times.push(at);
    const reading: BoardReading = {
      kind,
      text: row.text ?? '',
      unit: row.unit ?? '',
      right,
      causes: explanations.map((faults) => faults.map(({ code }) => code).join(' and ')),
      at: row.at.toISOString(),
    };
    this.latest = [reading, ...this.latest].slice(0, latestShown);
    for (const { code, title, hint } of causes)
      this.#faults.set(`${kind}/${code}`, { code, kind, title, hint, at });
  }

  /** What a first reading says of misreadings that were made when the class was asked. */
  #aim({ kind, questionId, aim, at: time }: Row, causes: readonly Cause[], right: boolean): void {
    const at = time.getTime();
    for (const [key, known] of this.#aims) {
      if (at - known.at > aimedForMs) this.#aims.delete(key);
      if (known.kind !== kind) continue;
      const again = causes.some(({ code }) => code === known.code);
      if (again || aim === known.code)
        known.outcomes.push({ at, outcome: right ? 'right' : again ? 'again' : 'otherwise' });
    }
    if (questionId === null || right) return;
    for (const { code, title } of causes)
      this.#aims.set(`${questionId}/${code}`, { kind, code, title, questionId, at, outcomes: [] });
  }
}

/** The misreading at which somebody's next setting of a kind should aim, the newest; null for none. */
export const aimFor = ({ aims }: Practice, kind: string, now: Date): string | null =>
  aims.findLast((aim) => aim.kind === kind && isOpenAim(aim, now.getTime()))?.code ?? null;
