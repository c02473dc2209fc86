import { readStored, storedExplanations, type BoardReading } from '@green-beam/contract';
import {
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
import { LRUCache } from 'lru-cache';
import { QueryTypes } from 'sequelize';
import type { Database } from '../database/models';

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

interface Row {
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
/** As far back as anything is looked at, when somebody is looked at for the first time. */
const triesRead = 1_500;
/** Two that come at once may be stored the other way round; so much is read again. */
const overlapMs = 60_000;
const rememberedMs = 10 * overlapMs;

const unseen: Marks = new Map(
  instruments.map(({ kind }) => [kind, { skill: masteryOf(kind, []), mark: null }]),
);

/**
 * What the record of a person is called, as SQL: another as soon as something was added to it, or told of. Answers to a question that is
 * held back are in no practice until it is revealed.
 */
export const recordOf = (person: string): string =>
  `(select concat(
      (select id from tries where person_id = ${person} order by created_at desc limit 1), ' ',
      (select max(r.created_at) from class_question_reveals r join exercises x on x.question_id = r.question_id
        where x.person_id = ${person})))`;

class Fold implements Practice {
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
    for (const known of this.#aims.values()) {
      if (known.kind !== kind) continue;
      const again = causes.some(({ code }) => code === known.code);
      if (again || aim === known.code)
        known.outcomes.push({ at, outcome: right ? 'right' : again ? 'again' : 'otherwise' });
    }
    if (questionId === null || right) return;
    for (const { code, title } of causes) {
      const key = `${kind}/${code}`;
      // Made anew, it is the newest.
      this.#aims.delete(key);
      this.#aims.set(key, { kind, code, title, questionId, at, outcomes: [] });
    }
  }
}

/** The misreading at which somebody's next setting of a kind should aim, the newest; null for none. */
export const aimFor = ({ aims }: Practice, kind: string, now: Date): string | null =>
  aims.findLast((aim) => aim.kind === kind && isOpenAim(aim, now.getTime()))?.code ?? null;

/** Everybody's practice, gathered once and added to. Whether something is new is asked of the database each time. */
export class Practices {
  readonly #kept = new LRUCache<string, Fold>({ max: 4_000 });
  readonly #database: Database;

  constructor(database: Database) {
    this.#database = database;
  }

  /** @param people with what the record of each is called now, by `recordOf`; null without any. */
  async of(
    people: readonly { readonly id: string; readonly record: string | null }[],
  ): Promise<ReadonlyMap<string, Practice>> {
    const folds = new Map(people.map(({ id }) => [id, this.#kept.get(id) ?? new Fold()]));
    const stale = people.filter(({ id, record }) => record !== null && folds.get(id)?.readAt !== record);
    for (const row of await this.#read(stale.map(({ id }) => [id, folds.get(id)?.lastAt ?? 0] as const)))
      folds.get(row[0])?.add(row[1]);
    for (const { id, record } of stale) {
      const fold = folds.get(id);
      if (fold) fold.readAt = record;
    }
    for (const [id, fold] of folds) this.#kept.set(id, fold);
    return folds;
  }

  /** One person's practice. */
  async ofOne(id: string): Promise<Practice> {
    const [row] = await this.#database.sequelize.query<{ record: string | null }>(
      `select ${recordOf('$1')} as record`,
      { type: QueryTypes.SELECT, bind: [id] },
    );
    return (await this.of([{ id, record: row?.record ?? null }])).get(id) ?? new Fold();
  }

  /** Tries since a time, by person. */
  async #read(since: readonly (readonly [id: string, at: number])[]): Promise<ReadonlyMap<string, Row[]>> {
    const byPerson = new Map<string, Row[]>();
    if (since.length === 0) return byPerson;
    const rows = await this.#database.sequelize.query<Row>(
      `select t.id, t.person_id as "personId", e.kind, e.item->>'of' as of, t.ordinal,
              t.answer->>'text' as text, t.answer->>'unit' as unit, t.verdict->>'outcome' as outcome,
              coalesce(t.verdict->'explanations', (
                select jsonb_agg(jsonb_build_array(cause)) from jsonb_array_elements(t.verdict->'causes') as cause
              ), '[]') as explanations,
              t.divisions_off as "divisionsOff", e.question_id as "questionId", e.item->>'aim' as aim, t.seen as at
         from unnest($1::uuid[], $2::timestamptz[]) as c(person, since)
         cross join lateral (
           (select own.*, own.created_at as seen from tries own
             where own.person_id = c.person and own.created_at > c.since
             order by own.created_at desc limit ${triesRead})
           union all
           (select own.*, r.created_at as seen from class_question_reveals r
              join exercises x on x.question_id = r.question_id and x.person_id = c.person
              join tries own on own.exercise_id = x.id
             where r.created_at > c.since and own.created_at <= c.since)
         ) t
         join exercises e on e.id = t.exercise_id
         left join class_question_reveals told on told.question_id = e.question_id
        where e.question_id is null or told.question_id is not null
        order by t.seen, t.ordinal`,
      {
        type: QueryTypes.SELECT,
        bind: [since.map(([id]) => id), since.map(([, at]) => new Date(Math.max(0, at - overlapMs)))],
      },
    );
    for (const row of rows) byPerson.set(row.personId, [...(byPerson.get(row.personId) ?? []), row]);
    return byPerson;
  }
}
