import type { NewSlips, NewStudents, Slip, SlipsAnswer, StudentChange } from '@green-beam/contract';
import { isoDay } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { UniqueConstraintError, type Transaction } from 'sequelize';
import type { Database } from '../database/models';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import { inTurn } from '../inTurn';
import type { Hashes } from '../session/hashes';
import { hashSecret, makePassphrase, nameKey } from '../session/passphrase';
import { seatByName } from './benches';
import { className, endSessions, studentAccount } from '../session/service';

/** Adds students, each with a slip to hand out. All or none are added. @throws Problem for a name taken twice. */
export async function addStudents(
  { database, publish, hashes }: Services,
  classId: string,
  { names, benches = [] }: NewStudents,
): Promise<SlipsAnswer> {
  const keys = names.map(nameKey);
  const taken = await database.models.classStudents.findAll({ where: { classId, nameKey: keys } });
  const double = names.find(
    (_, at) => keys.indexOf(keys[at] ?? '') !== at || taken.some((row) => row.nameKey === keys[at]),
  );
  if (double !== undefined) throw twice(double);
  const made = await inTurn(names, async (name) => ({
    name,
    studentId: randomUUID(),
    ...(await newSecret(hashes, classId)),
  }));
  try {
    await database.sequelize.transaction(async (transaction) => {
      await enrol(database, classId, made, transaction);
      await seatByName(
        database,
        classId,
        made.map(({ studentId }, at) => ({ studentId, bench: benches[at]?.trim() ?? '' })),
        transaction,
      );
    });
  } catch (error) {
    // Somebody adds the same name at the same moment.
    if (error instanceof UniqueConstraintError) throw twice(names[0] ?? '');
    throw error;
  }
  publish.board(
    classId,
    made.map(({ studentId }) => studentId),
  );
  return slipsAnswer(
    database,
    classId,
    made.map(({ studentId, name, passphrase }) => ({ studentId, name, passphrase })),
  );
}

const twice = (name: string): Problem =>
  new Problem(
    'not-valid',
    `There is already a “${name}” in this class. Add a letter or a second name to tell them apart.`,
  );

/**
 * New passphrases for some students or for everyone. The old ones stop working, sessions that were begun with them end, and
 * tries that failed are forgotten. @throws Problem
 */
export async function makeSlips(
  services: Services,
  classId: string,
  { studentIds, everyone }: NewSlips,
  onEach: () => void,
): Promise<SlipsAnswer> {
  const { database, limits, hashes } = services;
  const enrolled = await database.models.classStudents.findAll({ where: { classId } });
  const ids = enrolled.map(({ personId }) => personId);
  const wanted = everyone ? ids : (studentIds ?? []);
  if (wanted.length === 0) throw new Problem('not-valid', 'Say for whom to make slips.');
  if (!wanted.every((id) => ids.includes(id))) throw new Problem('not-allowed');
  const people = await database.models.people.findAll({ where: { id: wanted }, order: [['name', 'asc']] });
  const slips = await inTurn(people, async (person): Promise<Slip> => {
    const { passphrase, secretHash } = await newSecret(hashes, classId);
    await person.update({ secretHash });
    onEach();
    return { studentId: person.id, name: person.name, passphrase };
  });
  await endSessions(services, wanted);
  const answer = await slipsAnswer(database, classId, slips);
  await Promise.all(people.map(({ name }) => limits.forgive(studentAccount(answer.class.code, name))));
  return answer;
}

/** Takes a student out of a class. Their record stays; their access ends at once. @throws Problem */
export async function removeStudent(services: Services, classId: string, personId: string): Promise<void> {
  const { sequelize, models } = services.database;
  const row = await models.classStudents.findOne({ where: { classId, personId } });
  if (!row) throw new Problem('not-found');
  const groups = await models.benchGroups.findAll({ where: { classId } });
  await sequelize.transaction(async (transaction) => {
    await models.benchGroupMembers.destroy({
      where: { personId, groupId: groups.map(({ id }) => id) },
      transaction,
    });
    await row.destroy({ transaction });
  });
  await endSessions(services, [personId]);
  services.publish.board(classId, [personId]);
}

/** One at a time of a class, before those who sign in from somewhere new. */
async function newSecret(
  hashes: Hashes,
  classId: string,
): Promise<{ passphrase: string; secretHash: string }> {
  const passphrase = makePassphrase();
  return { passphrase, secretHash: await hashes.run(classId, true, () => hashSecret(passphrase)) };
}

async function enrol(
  { models }: Database,
  classId: string,
  made: readonly { readonly name: string; readonly studentId: string; readonly secretHash: string }[],
  transaction: Transaction,
): Promise<void> {
  await models.people.bulkCreate(
    made.map(({ studentId, name, secretHash }) => ({
      id: studentId,
      role: 'student' as const,
      name,
      address: null,
      secretHash,
    })),
    { transaction },
  );
  await models.classStudents.bulkCreate(
    made.map(({ studentId, name }) => ({ classId, personId: studentId, nameKey: nameKey(name) })),
    { transaction },
  );
}

async function slipsAnswer(
  { models }: Database,
  classId: string,
  slips: readonly Slip[],
): Promise<SlipsAnswer> {
  const row = await models.classes.findByPk(classId);
  if (!row) throw new Problem('not-found');
  return { class: className(row), slips };
}

/** Has something of a student be another: the name, whether the scale may be described, whether they are missing today. @throws Problem */
export async function changeStudent(
  { database, publish, now }: Services,
  classId: string,
  personId: string,
  { spoken, name, absent }: StudentChange,
): Promise<void> {
  const { models, sequelize } = database;
  const row = await models.classStudents.findOne({ where: { classId, personId } });
  if (!row) throw new Problem('not-found');
  try {
    await sequelize.transaction(async (transaction) => {
      await row.update(
        {
          ...(spoken === undefined ? {} : { spoken }),
          ...(name === undefined ? {} : { nameKey: nameKey(name) }),
          ...(absent === undefined ? {} : { absentOn: absent ? isoDay(now()) : null }),
        },
        { transaction },
      );
      if (name !== undefined) await models.people.update({ name }, { where: { id: personId }, transaction });
    });
  } catch (error) {
    if (error instanceof UniqueConstraintError && name !== undefined) throw twice(name);
    throw error;
  }
  await publish.people([personId]);
  publish.board(classId, [personId]);
}
