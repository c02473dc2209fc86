import type { PoolAnswer } from '@green-beam/contract';
import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import { classFor } from '../access/membership';
import { Problem } from '../http/problem';
import { asEntry, entryColumns, type EntryRow } from '../kept/entryRow';
import type { Services } from '../services';

/** Every logbook of a class for an investigation, with its entries in their order: two queries, however many there are. @throws Problem */
export async function poolOf(
  { database, kept }: Services,
  who: Caller,
  classId: string,
  investigationId: string,
): Promise<PoolAnswer> {
  const investigation = await kept.investigation(investigationId);
  if (investigation.classId !== classId) throw new Problem('not-found');
  const { sequelize } = database;
  const [books, rows, conventions] = await Promise.all([
    sequelize.query<{ id: string; readers: string[] }>(
      `select l.id, (select coalesce(json_agg(p.name order by p.name), '[]'::json)
          from logbook_members m join people p on p.id = m.person_id where m.logbook_id = l.id) as readers
         from logbooks l where l.investigation_id = $1 order by l.created_at, l.id`,
      { type: QueryTypes.SELECT, bind: [investigationId] },
    ),
    sequelize.query<EntryRow & { logbookId: string }>(
      `select ${entryColumns}, e.logbook_id as "logbookId" from logbook_entries e
         join people p on p.id = e.reader_id join logbooks l on l.id = e.logbook_id
        where l.investigation_id = $1 order by e.seq`,
      { type: QueryTypes.SELECT, bind: [investigationId] },
    ),
    kept.conventionsInForce(classId),
  ]);
  return {
    class: classFor(who, classId),
    conventions: conventions.body,
    investigation: investigation.body,
    books: books.map(({ id, readers }) => ({
      id,
      readers,
      entries: rows.flatMap((row) => (row.logbookId === id ? asEntry(row) : [])),
    })),
  };
}
