import { QueryTypes, type Sequelize } from 'sequelize';
import { recordOf } from './practices';

/** A student of a class, with where they sit there. */
export interface SeatedStudent {
  readonly id: string;
  readonly name: string;
  readonly spoken: boolean;
  /** The day on which they were last marked absent, as `2026-11-03`. */
  readonly absentOn: string | null;
  readonly benchId: string | null;
  readonly bench: string | null;
  /** What their record is called now. */
  readonly record: string | null;
}

/** Where a person sits in the class that a query is of, as SQL: `seat.id` and `seat.name`, null for nowhere. */
export const joinSeat = (person: string, classId: string): string =>
  `left join lateral (
     select g.id, g.name from bench_group_members b join bench_groups g on g.id = b.group_id
      where b.person_id = ${person} and g.class_id = ${classId} limit 1) seat on true`;

/** The students of a class by name: one query. */
export const studentsIn = (sequelize: Sequelize, classId: string): Promise<SeatedStudent[]> =>
  sequelize.query<SeatedStudent>(
    `select p.id, p.name, m.spoken, m.absent_on as "absentOn", seat.id as "benchId", seat.name as bench,
            ${recordOf('p.id')} as record
       from class_students m join people p on p.id = m.person_id ${joinSeat('p.id', '$1')}
      where m.class_id = $1 order by p.name, p.id`,
    { type: QueryTypes.SELECT, bind: [classId] },
  );
