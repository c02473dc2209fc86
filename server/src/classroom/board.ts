import type { BoardAnswer, BoardReading, BoardStudent, LogbookLine, Who } from '@green-beam/contract';
import { instruments, readersMark, skillOf, type Verdict } from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import { firstTriesOf } from '../bench/tries';
import { lineFor } from '../logbook/service';
import type { Database } from '../database/models';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import { className } from '../session/service';
import { staffRoleIn } from './membership';

const latestShown = 4;

interface RecentRow {
  readonly personId: string;
  readonly kind: string;
  readonly text: string;
  readonly unit: string;
  readonly verdict: Verdict;
  readonly at: Date;
}

/** Everything a teacher sees of a class at one glance. @throws Problem */
export async function boardFor({ database, now }: Services, who: Who, classId: string): Promise<BoardAnswer> {
  const { models } = database;
  const itsClass = await models.classes.findByPk(classId);
  if (!itsClass) throw new Problem('not-found');
  const staffRole = await staffRoleIn(database, classId, who);
  const enrolments = await models.classStudents.findAll({ where: { classId } });
  const ids = enrolments.map(({ personId }) => personId);
  const [people, groups, tries, recent, books] = await Promise.all([
    models.people.findAll({ where: { id: ids }, order: [['name', 'asc']] }),
    groupNames(database, classId),
    firstTriesOf(database, ids),
    recentAttempts(database, ids),
    logbooksByStudent(database, classId),
  ]);
  const students = people.map(({ id, name }): BoardStudent => {
    const own = tries.filter(({ personId }) => personId === id);
    return {
      id,
      name,
      group: groups.get(id) ?? null,
      spoken: enrolments.find(({ personId }) => personId === id)?.spoken === true,
      latest: recent
        .filter(({ personId }) => personId === id)
        .slice(0, latestShown)
        .map(asBoardReading),
      marks: instruments.map(({ kind }) => ({
        kind,
        mark: readersMark(kind, own),
        skill: skillOf(kind, own),
      })),
      logbooks: books.get(id) ?? [],
    };
  });
  const midnight = new Date(now());
  midnight.setHours(0, 0, 0, 0);
  const today = recent.filter(({ at }) => at >= midnight);
  return {
    class: className(itsClass),
    staffRole,
    instruments: instruments.map(({ kind, name }) => ({ kind, name })),
    students,
    readingsToday: today.length,
    atWorkToday: new Set(today.map(({ personId }) => personId)).size,
    worthFiveMinutes: worthFiveMinutes(recent, new Map(people.map(({ id, name }) => [id, name]))),
  };
}

/** Attempts of the last week, newest first. */
function recentAttempts({ sequelize }: Database, personIds: readonly string[]): Promise<RecentRow[]> {
  if (personIds.length === 0) return Promise.resolve([]);
  return sequelize.query<RecentRow>(
    `select a.person_id as "personId", s.kind, a.text, a.unit, a.verdict, a.created_at as at
       from attempts a join practice_settings s on s.id = a.setting_id
      where a.person_id in (:personIds) and a.created_at > now() - interval '7 days'
      order by a.created_at desc`,
    { type: QueryTypes.SELECT, replacements: { personIds: [...personIds] } },
  );
}

const asBoardReading = ({ kind, text, unit, verdict, at }: RecentRow): BoardReading => ({
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

/** The fault, told by its name alone, that most students of the week share; at least three of them. */
function worthFiveMinutes(
  recent: readonly RecentRow[],
  names: ReadonlyMap<string, string>,
): BoardAnswer['worthFiveMinutes'] {
  const byFault = new Map<
    string,
    { code: string; kind: string; title: string; look: string; who: Set<string> }
  >();
  for (const { personId, kind, verdict } of recent) {
    if (verdict.outcome !== 'wrong' || verdict.explanations.length !== 1) continue;
    for (const { code, title, look } of verdict.explanations[0] ?? []) {
      const fault = byFault.get(`${kind}/${code}`) ?? { code, kind, title, look, who: new Set<string>() };
      fault.who.add(personId);
      byFault.set(`${kind}/${code}`, fault);
    }
  }
  const [top] = [...byFault.values()].sort((a, b) => b.who.size - a.who.size);
  if (!top || top.who.size < 3) return null;
  const { who, ...fault } = top;
  return { ...fault, students: [...who].map((id) => names.get(id) ?? '').sort() };
}

async function groupNames({ models }: Database, classId: string): Promise<Map<string, string>> {
  const groups = await models.benchGroups.findAll({ where: { classId } });
  const members = await models.benchGroupMembers.findAll({ where: { groupId: groups.map(({ id }) => id) } });
  const names = new Map(groups.map(({ id, name }) => [id, name]));
  return new Map(members.map(({ personId, groupId }) => [personId, names.get(groupId) ?? '']));
}

async function logbooksByStudent(database: Database, classId: string): Promise<Map<string, LogbookLine[]>> {
  const { models } = database;
  const investigations = await models.investigations.findAll({ where: { classId } });
  const books = await models.logbooks.findAll({
    where: { investigationId: investigations.map(({ id }) => id) },
  });
  const members = await models.logbookMembers.findAll({ where: { logbookId: books.map(({ id }) => id) } });
  const lines = await Promise.all(
    books.flatMap((book) => {
      const investigation = investigations.find(({ id }) => id === book.investigationId);
      return investigation ? [lineFor(database, investigation, book)] : [];
    }),
  );
  const byStudent = new Map<string, LogbookLine[]>();
  for (const { personId, logbookId } of members) {
    const line = lines.find((candidate) => candidate.logbookId === logbookId);
    if (line) byStudent.set(personId, [...(byStudent.get(personId) ?? []), line]);
  }
  return byStudent;
}
