import type { BoardReading } from '@green-beam/contract';
import {
  instruments,
  masteryOf,
  missingSkill,
  readersMark,
  type Cause,
  type FirstTry,
  type Verdict,
} from '@green-beam/core';
import { LRUCache } from 'lru-cache';
import { QueryTypes } from 'sequelize';
import type { Database } from '../database/models';

/** A fault that somebody made, told by its name alone. */
export interface Fault {
  readonly code: string;
  readonly kind: string;
  readonly title: string;
  readonly look: string;
  /** When it was made last, in milliseconds. */
  at: number;
}

type Marks = ReadonlyMap<
  string,
  { readonly skill: ReturnType<typeof masteryOf>; readonly mark: ReturnType<typeof readersMark> }
>;

/** What one person's readings on the bench amount to. */
export interface Practice {
  /** First tries, newest first, as many of each kind as count for anything. */
  readonly tries: readonly FirstTry[];
  /** Mastery and mark with every instrument. */
  readonly marks: Marks;
  readonly latest: readonly BoardReading[];
  readonly faults: readonly Fault[];
  /** When something was read, in milliseconds, over the last two days; oldest first. */
  readonly times: readonly number[];
}

interface Row {
  readonly id: string;
  readonly personId: string;
  readonly kind: string;
  readonly ordinal: number;
  readonly text: string;
  readonly unit: string;
  readonly verdict: Verdict;
  readonly divisionsOff: number | null;
  readonly at: Date;
}

const triesPerKind = 60;
const latestShown = 4;
const twoDaysMs = 2 * 86_400_000;
/** As far back as anything is looked at, when somebody is looked at for the first time. */
const attemptsRead = 1_500;
/** Two that come at once may be stored the other way round; so much is read again. */
const overlapMs = 60_000;
const rememberedMs = 10 * overlapMs;

const unseen: Marks = new Map(
  instruments.map(({ kind }) => [kind, { skill: masteryOf(kind, []), mark: null }]),
);

class Fold implements Practice {
  readonly #byKind = new Map<string, FirstTry[]>();
  readonly #faults = new Map<string, Fault>();
  /** What was folded in lately, with its time: it may be read again. */
  readonly #folded = new Map<string, number>();
  readonly #marks = new Map(unseen);
  #tries: readonly FirstTry[] | undefined;
  latest: readonly BoardReading[] = [];
  times: number[] = [];
  lastId: string | null = null;
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
    const { kind, ordinal, verdict, divisionsOff, text, unit } = row;
    const at = row.at.getTime();
    if (at >= this.lastAt) [this.lastAt, this.lastId] = [at, row.id];
    this.times.push(at);
    this.latest = [boardReading({ kind, text, unit, verdict, at: row.at }), ...this.latest].slice(
      0,
      latestShown,
    );
    if (ordinal === 1) {
      const own = this.#byKind.get(kind) ?? [];
      const causes = onlyCauses(verdict);
      own.unshift({
        kind,
        right: verdict.outcome === 'right',
        codes: causes.map(({ code }) => code),
        missing: causes.map((cause) => missingSkill(kind, cause)),
        divisionsOff,
      });
      if (own.length > triesPerKind) own.pop();
      this.#byKind.set(kind, own);
    }
    if (verdict.outcome !== 'wrong' || verdict.explanations.length !== 1) return;
    for (const { code, title, look } of verdict.explanations[0] ?? [])
      this.#faults.set(`${kind}/${code}`, { code, kind, title, look, at });
  }
}

/** The causes of a verdict's only explanation; none where several could not be told apart. */
function onlyCauses(verdict: Verdict): readonly Cause[] {
  if (verdict.outcome !== 'wrong') return [];
  return verdict.explanations.length === 1 ? (verdict.explanations[0] ?? []) : [];
}

const boardReading = ({
  kind,
  text,
  unit,
  verdict,
  at,
}: Pick<Row, 'kind' | 'text' | 'unit' | 'verdict' | 'at'>): BoardReading => ({
  kind,
  text,
  unit,
  right: verdict.outcome === 'right',
  causes:
    verdict.outcome === 'wrong'
      ? verdict.explanations.map((faults) => faults.map(({ code }) => code).join(' and '))
      : [],
  at: at.toISOString(),
});

/** Everybody's practice, gathered once and added to. Whether something is new is asked of the database each time. */
export class Practices {
  readonly #kept = new LRUCache<string, Fold>({ max: 4_000 });
  readonly #database: Database;

  constructor(database: Database) {
    this.#database = database;
  }

  /** @param people with the newest attempt of each, as it stands in the database now; null without one. */
  async of(
    people: readonly { readonly id: string; readonly newest: string | null }[],
  ): Promise<ReadonlyMap<string, Practice>> {
    const folds = new Map(people.map(({ id }) => [id, this.#kept.get(id) ?? new Fold()]));
    const stale = people.filter(({ id, newest }) => newest !== null && folds.get(id)?.lastId !== newest);
    for (const row of await this.#read(stale.map(({ id }) => [id, folds.get(id)?.lastAt ?? 0] as const)))
      folds.get(row[0])?.add(row[1]);
    for (const [id, fold] of folds) this.#kept.set(id, fold);
    return folds;
  }

  /** One person's practice. */
  async ofOne(id: string): Promise<Practice> {
    const [row] = await this.#database.sequelize.query<{ id: string }>(
      'select id from attempts where person_id = $1 order by created_at desc limit 1',
      { type: QueryTypes.SELECT, bind: [id] },
    );
    return (await this.of([{ id, newest: row?.id ?? null }])).get(id) ?? new Fold();
  }

  /** Attempts since a time, by person. */
  async #read(since: readonly (readonly [id: string, at: number])[]): Promise<ReadonlyMap<string, Row[]>> {
    const byPerson = new Map<string, Row[]>();
    if (since.length === 0) return byPerson;
    const rows = await this.#database.sequelize.query<Row>(
      `select a.id, a.person_id as "personId", s.kind, a.ordinal, a.text, a.unit, a.verdict,
              a.divisions_off as "divisionsOff", a.created_at as at
         from unnest($1::uuid[], $2::timestamptz[]) as c(person, since)
         cross join lateral (
           select * from attempts where person_id = c.person and created_at > c.since
            order by created_at desc limit ${attemptsRead}
         ) a
         join practice_settings s on s.id = a.setting_id
        order by a.created_at, a.ordinal`,
      {
        type: QueryTypes.SELECT,
        bind: [since.map(([id]) => id), since.map(([, at]) => new Date(Math.max(0, at - overlapMs)))],
      },
    );
    for (const row of rows) byPerson.set(row.personId, [...(byPerson.get(row.personId) ?? []), row]);
    return byPerson;
  }
}
