import { QueryTypes, type Sequelize } from 'sequelize';

/** An investigation of a class in all its versions. */
export interface Family {
  readonly id: string;
  /** As its newest version is called, and the id of that. */
  readonly title: string;
  readonly newest: string;
}

/** Investigations that are set in a class, by title: one query. */
export async function familiesIn(sequelize: Sequelize, classId: string): Promise<Family[]> {
  const rows = await sequelize.query<Family>(
    `select distinct on (family_id) family_id as id, body->>'title' as title, id as newest
       from investigations where class_id = $1 and person_id is null order by family_id, version desc`,
    { type: QueryTypes.SELECT, bind: [classId] },
  );
  return rows.sort((a, b) => a.title.localeCompare(b.title));
}
