import type {
  ClassName,
  NewClass,
  NewSlips,
  NewStudents,
  Slip,
  SlipsAnswer,
  Who,
} from '@green-beam/contract';
import { presetNamed } from '@green-beam/core';
import { randomInt, randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import type { Database } from '../database/models';
import { Problem } from '../http/problem';
import { setAtFirst } from '../logbook/investigations';
import type { Services } from '../services';
import { hashSecret, makePassphrase, nameKey } from '../session/passphrase';
import { className } from '../session/service';

/** A new class with the caller as its owner, the standard conventions and a first investigation. */
export async function createClass({ database }: Services, who: Who, { name }: NewClass): Promise<ClassName> {
  const { models, sequelize } = database;
  return sequelize.transaction(async (transaction) => {
    const row = await models.classes.create(
      { id: randomUUID(), code: await freeCode(database), name },
      { transaction },
    );
    await models.classStaff.create({ classId: row.id, personId: who.id, role: 'owner' }, { transaction });
    const body = presetNamed('Chemistry bench');
    await models.classConventions.create(
      { id: randomUUID(), classId: row.id, version: body.version, body },
      { transaction },
    );
    for (const body of setAtFirst) {
      const id = randomUUID();
      await models.investigations.create(
        { id, classId: row.id, body, familyId: id, version: 1, retired: false },
        { transaction },
      );
    }
    return className(row);
  });
}

/** Letters and digits that cannot be mistaken for one another. */
const codeCharacters = 'ACDEFHJKLMNPRTUVWXY3479';

async function freeCode({ models }: Database): Promise<string> {
  for (;;) {
    const code = Array.from({ length: 6 }, () => codeCharacters[randomInt(codeCharacters.length)]).join('');
    if (!(await models.classes.findOne({ where: { code } }))) return code;
  }
}

/** Adds students, each with a slip to hand out. All or none are added. @throws Problem for a name taken twice. */
export async function addStudents(
  { database, live }: Services,
  classId: string,
  { names }: NewStudents,
): Promise<SlipsAnswer> {
  const keys = names.map(nameKey);
  const taken = await database.models.classStudents.findAll({ where: { classId, nameKey: keys } });
  const double = names.find(
    (_, at) => keys.indexOf(keys[at] ?? '') !== at || taken.some((row) => row.nameKey === keys[at]),
  );
  if (double !== undefined) {
    throw new Problem(
      'not-valid',
      `There is already a “${double}” in this class. Add a letter or a second name to tell them apart.`,
    );
  }
  const made = await Promise.all(
    names.map(async (name) => ({ name, studentId: randomUUID(), ...(await newSecret()) })),
  );
  await database.sequelize.transaction((transaction) => enrol(database, classId, made, transaction));
  live.tell({ changed: 'board', classId, readers: [] });
  return slipsAnswer(
    database,
    classId,
    made.map(({ studentId, name, passphrase }) => ({ studentId, name, passphrase })),
  );
}

/** New passphrases for some students or for everyone; the old ones stop working. @throws Problem */
export async function makeSlips(
  { database }: Services,
  classId: string,
  { studentIds, everyone }: NewSlips,
): Promise<SlipsAnswer> {
  const enrolled = await database.models.classStudents.findAll({ where: { classId } });
  const ids = enrolled.map(({ personId }) => personId);
  const wanted = everyone ? ids : (studentIds ?? []);
  if (wanted.length === 0) throw new Problem('not-valid', 'Say for whom to make slips.');
  if (!wanted.every((id) => ids.includes(id))) throw new Problem('not-allowed');
  const people = await database.models.people.findAll({ where: { id: wanted }, order: [['name', 'asc']] });
  const slips = await Promise.all(
    people.map(async (person): Promise<Slip> => {
      const { passphrase, secretHash } = await newSecret();
      await person.update({ secretHash });
      return { studentId: person.id, name: person.name, passphrase };
    }),
  );
  return slipsAnswer(database, classId, slips);
}

async function newSecret(): Promise<{ passphrase: string; secretHash: string }> {
  const passphrase = makePassphrase();
  return { passphrase, secretHash: await hashSecret(passphrase) };
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

/** Allows a student to have the scale described in words, or no longer. @throws Problem */
export async function allowSpoken(
  { database, live }: Services,
  classId: string,
  personId: string,
  spoken: boolean,
): Promise<void> {
  const row = await database.models.classStudents.findOne({ where: { classId, personId } });
  if (!row) throw new Problem('not-found');
  await row.update({ spoken });
  live.tell({ changed: 'board', classId, readers: [] });
}
