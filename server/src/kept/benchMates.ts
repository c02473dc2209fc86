import { QueryTypes } from 'sequelize';
import type { Database } from '../database/models';

export interface BenchMates {
  /** What the bench is called; null for who sits at none. */
  readonly name: string | null;
  /** Ids of those who sit there, oneself among them. */
  readonly members: readonly string[];
}

export const alone = (personId: string): BenchMates => ({ name: null, members: [personId] });

/** Who sits at a student's bench in a class. */
export async function benchMatesOf(
  { sequelize }: Database,
  personId: string,
  classId: string,
): Promise<BenchMates> {
  const rows = await sequelize.query<{ id: string; name: string }>(
    `select mate.person_id as id, g.name from bench_group_members own
       join bench_groups g on g.id = own.group_id and g.class_id = $2
       join bench_group_members mate on mate.group_id = g.id
      where own.person_id = $1`,
    { type: QueryTypes.SELECT, bind: [personId, classId] },
  );
  const [first] = rows;
  return first ? { name: first.name, members: rows.map(({ id }) => id) } : alone(personId);
}
