import { readStored, storedApart, type Arrangement, type BenchesAnswer } from '@green-beam/contract';
import { instruments, isoDay } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import type { Database } from '../database/models';
import { Problem } from '../http/problem';
import type { Practice } from '../kept/practice';
import { studentsIn } from '../kept/studentsIn';
import type { Services } from '../services';

/** The benches of a class with who sits there, and of each student what they read steadily and what they misread. @throws Problem */
export async function benchesOf({ database, kept, now }: Services, classId: string): Promise<BenchesAnswer> {
  const { models, sequelize } = database;
  const [own, groups, rows] = await Promise.all([
    models.classes.findByPk(classId),
    models.benchGroups.findAll({ where: { classId } }),
    studentsIn(sequelize, classId),
  ]);
  if (!own) throw new Problem('not-found');
  const practices = await kept.practices.of(rows);
  const today = isoDay(now());
  const kindsOf = (practice: Practice | undefined, state: string) =>
    instruments.flatMap(({ kind }) => (practice?.marks.get(kind)?.skill.state === state ? [kind] : []));
  return {
    class: { id: own.id, code: own.code, name: own.name },
    apart: readStored(storedApart, own.apart ?? [], 'list'),
    benches: groups
      .map(({ id, name }) => ({
        id,
        name,
        members: rows.flatMap((row) => (row.benchId === id ? [row.id] : [])),
      }))
      .sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true })),
    students: rows.map(({ id, name, absentOn }) => ({
      id,
      name,
      absent: absentOn === today,
      steady: kindsOf(practices.get(id), 'steady'),
      shaky: kindsOf(practices.get(id), 'shaky'),
    })),
  };
}

/**
 * Seats a class anew: the benches that are given, and no others. Logbooks that are open keep who writes in them. @throws Problem for who
 * sits twice, or is in another class
 */
export async function arrange(
  services: Services,
  classId: string,
  { benches, apart }: Arrangement,
): Promise<BenchesAnswer> {
  const { models, sequelize } = services.database;
  const enrolled = await models.classStudents.findAll({ where: { classId } });
  const ids = new Set(enrolled.map(({ personId }) => personId));
  const seated = benches.flatMap(({ members }) => members);
  if (![...seated, ...apart.flat()].every((id) => ids.has(id))) throw new Problem('not-allowed');
  if (new Set(seated).size < seated.length)
    throw new Problem('not-valid', 'A student sits at one bench alone.');
  const elsewhere = await models.benchGroups.findAll({ where: { id: benches.map(({ id }) => id) } });
  if (elsewhere.some((row) => row.classId !== classId)) throw new Problem('already-used');
  await sequelize.transaction(async (transaction) => {
    // Two who seat at once: one after the other.
    await models.classes.findByPk(classId, { lock: true, transaction });
    const before = await models.benchGroups.findAll({ where: { classId }, transaction });
    const old = before.map(({ id }) => id);
    await models.benchGroupMembers.destroy({ where: { groupId: old }, transaction });
    const kept = benches.map(({ id }) => id);
    await models.benchGroups.destroy({ where: { id: old.filter((id) => !kept.includes(id)) }, transaction });
    await models.benchGroups.bulkCreate(
      benches.map(({ id, name }) => ({ id, classId, name })),
      { updateOnDuplicate: ['name'], transaction },
    );
    await models.benchGroupMembers.bulkCreate(
      benches.flatMap(({ id, members }) => members.map((personId) => ({ groupId: id, personId }))),
      { transaction },
    );
    await models.classes.update({ apart }, { where: { id: classId }, transaction });
  });
  services.publish.board(classId, [...ids]);
  return benchesOf(services, classId);
}

/** Sits students at benches by their names; those that there are not yet are made. */
export async function seatByName(
  { models }: Database,
  classId: string,
  students: readonly { readonly studentId: string; readonly bench: string }[],
  transaction: Transaction,
): Promise<void> {
  const seated = students.filter(({ bench }) => bench !== '');
  if (seated.length === 0) return;
  const there = await models.benchGroups.findAll({ where: { classId }, transaction });
  const ids = new Map(there.map(({ id, name }) => [name.toLowerCase(), id]));
  for (const { bench } of seated) {
    if (ids.has(bench.toLowerCase())) continue;
    const { id } = await models.benchGroups.create(
      { id: randomUUID(), classId, name: bench },
      { transaction },
    );
    ids.set(bench.toLowerCase(), id);
  }
  await models.benchGroupMembers.bulkCreate(
    seated.map(({ studentId, bench }) => ({
      groupId: ids.get(bench.toLowerCase()) ?? '',
      personId: studentId,
    })),
    { transaction },
  );
}
