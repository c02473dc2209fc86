import type { StudentAnswer } from '@green-beam/contract';
import { practisedKinds } from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import { Problem } from '../http/problem';
import { marksOf, reviewsOf } from '../review/service';
import type { Services } from '../services';

/** Weeks that are shown. */
const weeksShown = 40;

/** One student of a class over time: readings by week, how sure they are of what, logbooks with marks and remarks. @throws Problem */
export async function studentFor(
  services: Services,
  who: Caller,
  classId: string,
  personId: string,
): Promise<StudentAnswer> {
  const { database, kept } = services;
  const marks = await marksOf(services, who, classId);
  const student = marks.students.find(({ id }) => id === personId);
  if (!student) throw new Problem('not-found');
  const [practice, weeks, reviews] = await Promise.all([
    kept.practices.ofOne(personId),
    database.sequelize.query<{ monday: string; tries: number; right: number }>(
      `select to_char(date_trunc('week', t.created_at), 'YYYY-MM-DD') as monday, count(*)::int as tries,
              count(*) filter (where t.verdict->>'outcome' = 'right')::int as right
         from tries t where t.person_id = $1 and t.ordinal = 1 and not t.late
        group by 1 order by 1 desc limit ${weeksShown}`,
      { type: QueryTypes.SELECT, bind: [personId] },
    ),
    Promise.all(student.cells.map(({ logbookId }) => reviewsOf(services, { id: logbookId }))),
  ]);
  return {
    class: marks.class,
    name: student.name,
    bench: student.bench,
    weeks: weeks.reverse(),
    practised: practisedKinds.flatMap(({ kind, name }) => {
      const of = practice.marks.get(kind);
      return of && of.skill.tries > 0 ? [{ kind, name, ...of }] : [];
    }),
    misread: [...practice.faults]
      .sort((a, b) => b.at - a.at)
      .map(({ kind, title, at }) => ({ kind, title, at: new Date(at).toISOString() })),
    logbooks: student.cells.map((cell, at) => ({
      ...cell,
      title: marks.tasks.find(({ id }) => id === cell.task)?.title ?? '',
      remarks:
        reviews[at]?.reviews[0]?.remarks.map(({ about, text }) => (about ? `${about}: ${text}` : text)) ?? [],
    })),
    work: student.work.flatMap((cell) => {
      const task = marks.work.find(({ id }) => id === cell.task);
      return task ? [{ ...cell, title: task.title, counts: task.counts }] : [];
    }),
  };
}
