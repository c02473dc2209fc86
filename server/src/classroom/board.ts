import type { BoardAnswer, BoardStudent } from '@green-beam/contract';
import { helpedByQuestion, instruments, isoDay } from '@green-beam/core';
import { lookedThrough } from '../kept/books';
import type { Fault, Practice } from '../kept/practice';
import { studentsIn, type SeatedStudent } from '../kept/studentsIn';
import type { Services } from '../services';
import type { Caller } from '../access/caller';
import { classFor, staffRoleIn } from '../access/membership';

const instrumentNames = instruments.map(({ kind, name }) => ({ kind, name }));
const weekMs = 7 * 86_400_000;
/** So many questions to the class are looked back at. */
const lookedBackAt = 3;

/**
 * Everything a teacher sees of a class at one glance, or what became new of some of its students: the rest of the board stays
 * as it is. @param some ids of students; null for all. @throws Problem
 */
export async function boardFor(
  { database, kept, now }: Services,
  who: Caller,
  classId: string,
  some: readonly string[] | null,
): Promise<BoardAnswer> {
  const staffRole = staffRoleIn(classId, who);
  const [rows, lines] = await Promise.all([
    studentsIn(database.sequelize, classId),
    kept.books.lines(some ? { inClass: classId, members: some } : { inClass: classId }),
  ]);
  const practices = await kept.practices.of(rows);
  const books = await lookedThrough(lines);
  const at = now();
  const midnight = new Date(at).setHours(0, 0, 0, 0);
  const readToday = [...practices.values()].map(
    ({ times }) => times.filter((time) => time >= midnight).length,
  );
  const students = (some ? rows.filter(({ id }) => some.includes(id)) : rows).flatMap(
    ({ id, name, bench, spoken, absentOn }): BoardStudent[] => {
      const practice = practices.get(id);
      if (!practice) return [];
      return [
        {
          id,
          name,
          group: bench,
          spoken,
          absent: absentOn === isoDay(at),
          latest: practice.latest.filter((reading) => Date.parse(reading.at) > at.getTime() - weekMs),
          marks: instrumentNames.flatMap(({ kind }) => {
            const of = practice.marks.get(kind);
            return of ? [{ kind, ...of }] : [];
          }),
          logbooks: books.flatMap(({ line, members, found }) =>
            members.includes(id) ? [{ ...line, found }] : [],
          ),
        },
      ];
    },
  );
  return {
    class: classFor(who, classId),
    staffRole,
    instruments: instrumentNames,
    students,
    size: rows.length,
    readingsToday: readToday.reduce((sum, count) => sum + count, 0),
    atWorkToday: readToday.filter((count) => count > 0).length,
    helped: helpedByQuestion(
      [...practices.values()].flatMap(({ aims }) => aims),
      at.getTime(),
    )
      .slice(0, lookedBackAt)
      .map((line) => ({ ...line, at: new Date(line.at).toISOString() })),
    worthFiveMinutes: worthFiveMinutes(rows, practices, at.getTime() - weekMs),
  };
}

/** The fault, told by its name alone, that most students of the week share; at least three of them. */
function worthFiveMinutes(
  students: readonly SeatedStudent[],
  practices: ReadonlyMap<string, Practice>,
  since: number,
): BoardAnswer['worthFiveMinutes'] {
  const byFault = new Map<string, { readonly fault: Fault; readonly names: string[] }>();
  for (const { id, name } of students)
    for (const fault of practices.get(id)?.faults ?? []) {
      if (fault.at <= since) continue;
      const key = `${fault.kind}/${fault.code}`;
      const shared = byFault.get(key) ?? { fault, names: [] };
      shared.names.push(name);
      byFault.set(key, shared);
    }
  const [top] = [...byFault.values()].sort((a, b) => b.names.length - a.names.length);
  if (!top || top.names.length < 3) return null;
  const { code, kind, title, hint } = top.fault;
  return { code, kind, title, hint, students: top.names.sort() };
}
