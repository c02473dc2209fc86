import { LRUCache } from 'lru-cache';
import { QueryTypes } from 'sequelize';
import type { Database } from '../database/models';
import { Fold, overlapMs, type Practice, type Row } from './practice';

/** As far back as anything is looked at, when somebody is looked at for the first time. */
const triesRead = 1_500;

/**
 * What the record of a person is called, as SQL: another as soon as something was added to it, or told of. Answers that are held
 * back are in no practice until they are revealed.
 */
export const recordOf = (person: string): string =>
  `(select concat(
      (select id from tries where person_id = ${person} order by created_at desc limit 1), ' ',
      (select max(r.created_at) from reveals r join exercises x on x.held_by = r.of_id
        where x.person_id = ${person})))`;

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
             where own.person_id = c.person and not own.late and own.created_at > c.since
             order by own.created_at desc limit ${triesRead})
           union all
           (select own.*, r.created_at as seen from reveals r
              join exercises x on x.held_by = r.of_id and x.person_id = c.person
              join tries own on own.exercise_id = x.id and not own.late
             where r.created_at > c.since and own.created_at <= c.since)
         ) t
         join exercises e on e.id = t.exercise_id
         left join reveals told on told.of_id = e.held_by
        where e.held_by is null or told.of_id is not null
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
