import type { FoundIn, LogbookLine } from '@green-beam/contract';
import { variedBy, type Conventions, type Entry, type Investigation } from '@green-beam/core';
import { LRUCache } from 'lru-cache';
import { QueryTypes } from 'sequelize';
import type { Database } from '../database/models';
import { Problem } from '../http/problem';
import { inTurn } from '../inTurn';
import type { Workers } from '../threads/workers';
import { asEntry, type EntryRow } from './entryRow';
import type { KeptInvestigation } from './keptRows';
import { BookLook, nothingFound, nothingYet } from '../threads/lookAtBook';

/** A logbook, who writes in it and how far it has come, as a list of them shows it. */
export interface BookLine {
  readonly line: LogbookLine;
  readonly members: readonly string[];
  /** What a second look finds in it, as of a few seconds ago: for the staff. */
  readonly found: () => FoundIn;
}

/** Which logbooks are wanted. */
export type Wanted =
  { readonly inClass: string; readonly members?: readonly string[] } | { readonly ofPerson: string };

interface Row {
  readonly id: string;
  readonly investigationId: string;
  readonly conventionsId: string;
  readonly variation: number | null;
  readonly members: readonly { readonly id: string; readonly name: string }[];
  readonly last: string | null;
}

interface Source {
  conventions(id: string): Promise<Conventions>;
  investigation(id: string): Promise<KeptInvestigation>;
}

/** A second look takes as long as all the rest: it is taken again after so long, and when a logbook is handed in. */
const lookedEveryMs = 8_000;
/** What took longer than this, or has more entries than this, is looked at in a thread from then on. */
const longMs = 20;
const longEntries = 400;

/** One logbook's entries so far, and what they amount to. */
class Fold {
  readonly #entries: Entry[] = [];
  readonly #here: BookLook;
  #long = false;
  /** What is worked out at the moment, in a thread. */
  #atWork: Promise<void> = Promise.resolve();
  #look: (() => FoundIn) | null = null;
  #lookedAt = 0;
  #found = nothingFound;
  last = 0;
  howFar = nothingYet;

  constructor(
    private readonly id: string,
    private readonly body: Investigation,
    private readonly conventions: Conventions,
    private readonly workers: Workers,
  ) {
    this.#here = new BookLook(body, conventions);
  }

  /** Takes rows in, and resolves once they are worked out. */
  add(rows: readonly EntryRow[]): Promise<void> {
    for (const row of rows) {
      this.#entries.push(asEntry(row));
      this.last = Math.max(this.last, Number(row.seq));
    }
    if (this.#long || this.#entries.length > longEntries) this.#atWork = this.#lookThere();
    else this.#lookHere();
    return this.#atWork;
  }

  /** Resolves once what was taken in is worked out. */
  get settled(): Promise<void> {
    return this.#atWork;
  }

  #lookHere(): void {
    const wasHandedIn = this.howFar.handedIn;
    const began = performance.now();
    const { howFar, look } = this.#here.at(this.#entries);
    this.#long = performance.now() - began > longMs;
    this.howFar = howFar;
    this.#look = look;
    if (howFar.handedIn && !wasHandedIn) this.#lookedAt = 0;
  }

  async #lookThere(): Promise<void> {
    const { id, body, conventions } = this;
    const entries = [...this.#entries];
    try {
      const { howFar, found } = await this.workers.run('lookAtBook', { body, conventions, entries }, id);
      if (entries.length < this.#entries.length) return;
      this.howFar = howFar;
      this.#found = found;
      this.#look = null;
    } catch (error) {
      // A line that is behind is better than a list without it; it is worked out again with the next entry.
      if (!(error instanceof Problem)) throw error;
    }
  }

  /** What a second look finds, as of a few seconds ago. @param now in milliseconds */
  found(now: number): FoundIn {
    if (this.#look && now - this.#lookedAt >= lookedEveryMs) {
      this.#found = this.#look();
      this.#look = null;
      this.#lookedAt = now;
    }
    return this.#found;
  }
}

/** Logbooks in a line each. What was reckoned of one is kept and added to; whether something is new is asked each time. */
export class Books {
  readonly #kept = new LRUCache<string, Fold>({ max: 1_500 });
  readonly #database: Database;
  readonly #source: Source;
  readonly #workers: Workers;

  constructor(database: Database, workers: Workers, source: Source) {
    this.#database = database;
    this.#workers = workers;
    this.#source = source;
  }

  async lines(wanted: Wanted): Promise<BookLine[]> {
    const rows = await this.#rows(wanted);
    const folds = new Map(
      await Promise.all(
        rows.map(async ({ id, investigationId, conventionsId, variation }) => {
          const fold =
            this.#kept.get(id) ??
            new Fold(
              id,
              variedBy((await this.#source.investigation(investigationId)).body, variation),
              await this.#source.conventions(conventionsId),
              this.#workers,
            );
          return [id, fold] as const;
        }),
      ),
    );
    const stale = rows.filter(({ id, last }) => Number(last ?? 0) > (folds.get(id)?.last ?? 0));
    const fresh = await this.#entries(stale.map(({ id }) => [id, folds.get(id)?.last ?? 0] as const));
    for (const [id, fold] of folds) this.#kept.set(id, fold);
    await inTurn(fresh, ([id, added]) => {
      const fold = folds.get(id);
      // Somebody else may have read the same meanwhile.
      const news = added.filter(({ seq }) => Number(seq) > (fold?.last ?? 0));
      return news.length > 0 ? fold?.add(news) : undefined;
    });
    await Promise.all([...folds.values()].map(({ settled }) => settled));
    return Promise.all(
      rows.map(async (row) => {
        const { id, body } = await this.#source.investigation(row.investigationId);
        return {
          members: row.members.map((member) => member.id),
          found: () => folds.get(row.id)?.found(Date.now()) ?? nothingFound,
          line: {
            ...headOf(id, variedBy(body, row.variation)),
            logbookId: row.id,
            readers: row.members.map(({ name }) => name),
            ...(folds.get(row.id)?.howFar ?? nothingYet),
          },
        };
      }),
    );
  }

  #rows(wanted: Wanted): Promise<Row[]> {
    const [where, bind] =
      'ofPerson' in wanted
        ? ['l.id in (select logbook_id from logbook_members where person_id = $1)', [wanted.ofPerson]]
        : wanted.members
          ? [
              'i.class_id = $1 and l.id in (select logbook_id from logbook_members where person_id = any($2))',
              [wanted.inClass, [...wanted.members]],
            ]
          : ['i.class_id = $1', [wanted.inClass]];
    return this.#database.sequelize.query<Row>(
      `select l.id, l.investigation_id as "investigationId", l.conventions_id as "conventionsId", l.variation,
              (select coalesce(json_agg(json_build_object('id', p.id, 'name', p.name) order by p.name), '[]'::json)
                 from logbook_members m join people p on p.id = m.person_id where m.logbook_id = l.id) as members,
              (select max(seq) from logbook_entries e where e.logbook_id = l.id) as last
         from logbooks l join investigations i on i.id = l.investigation_id
        where ${where}
        order by l.created_at, l.id`,
      { type: QueryTypes.SELECT, bind },
    );
  }

  /** Entries after a number, by logbook. */
  async #entries(
    after: readonly (readonly [id: string, seq: number])[],
  ): Promise<ReadonlyMap<string, EntryRow[]>> {
    const byBook = new Map<string, EntryRow[]>();
    if (after.length === 0) return byBook;
    const rows = await this.#database.sequelize.query<EntryRow & { logbookId: string }>(
      `select e.id, e.seq, e.logbook_id as "logbookId", e.kind, e.trial, e."of", e.text, e.tag, e.origin, e.replaces, e.reason,
              e.written_at as "writtenAt", e.created_at as "createdAt", e.timed_by as "timedBy"
         from unnest($1::uuid[], $2::bigint[]) as a(book, after)
         join logbook_entries e on e.logbook_id = a.book and e.seq > a.after
        order by e.seq`,
      { type: QueryTypes.SELECT, bind: [after.map(([id]) => id), after.map(([, seq]) => seq)] },
    );
    for (const row of rows) {
      const own = byBook.get(row.logbookId) ?? [];
      own.push(row);
      byBook.set(row.logbookId, own);
    }
    return byBook;
  }
}

/** The same lines with what a second look finds in each. */
export const lookedThrough = (lines: readonly BookLine[]) =>
  inTurn(lines, ({ line, members, found }) => ({ line, members, found: found() }));

/** What a line says of its investigation. */
export const headOf = (id: string, { title, object, tables, results }: KeptInvestigation['body']) => ({
  investigationId: id,
  title,
  object,
  trialsWanted: tables.reduce((sum, { trials }) => sum + trials, 0),
  resultSymbol: results[0]?.symbol ?? '',
});
