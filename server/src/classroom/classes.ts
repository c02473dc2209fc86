import type { ClassChange, ClassName, NewClass } from '@green-beam/contract';
import { presets, type Conventions } from '@green-beam/core';
import { randomInt, randomUUID } from 'node:crypto';
import type { Caller } from '../access/caller';
import type { Database } from '../database/models';
import { Problem } from '../http/problem';
import { setAtFirst } from '../logbook/investigations';
import type { Services } from '../services';
import { className } from '../session/service';

/** A new class with the caller as its owner, the standard conventions and a first investigation. */
export async function createClass(
  { database, publish }: Services,
  who: Caller,
  { name, preset }: NewClass,
): Promise<ClassName> {
  const body = presetOrStandard(preset);
  const { models, sequelize } = database;
  const made = await sequelize.transaction(async (transaction) => {
    const row = await models.classes.create(
      { id: randomUUID(), code: await freeCode(database), name },
      { transaction },
    );
    await models.classStaff.create({ classId: row.id, personId: who.id, role: 'owner' }, { transaction });
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
  await publish.people([who.id]);
  return made;
}

/** Has something of a class be another: its name, what its students may do, whether it is put away. */
export async function changeClass(
  { database, publish, now }: Services,
  classId: string,
  { freeLogbooks, name, putAway }: ClassChange,
): Promise<object> {
  await database.models.classes.update(
    {
      ...(freeLogbooks === undefined ? {} : { freeLogbooks }),
      ...(name === undefined ? {} : { name }),
      ...(putAway === undefined ? {} : { putAwayAt: putAway ? now() : null }),
    },
    { where: { id: classId } },
  );
  // Whose class it is, and whether they are still in.
  if (name !== undefined || putAway !== undefined) await publish.people(await everybodyIn(database, classId));
  return {};
}

/** Ids of the staff and the students of a class. */
export async function everybodyIn({ models }: Database, classId: string): Promise<string[]> {
  const [staff, students] = await Promise.all([
    models.classStaff.findAll({ attributes: ['personId'], where: { classId } }),
    models.classStudents.findAll({ attributes: ['personId'], where: { classId } }),
  ]);
  return [...staff, ...students].map(({ personId }) => personId);
}

/** @throws Problem for one that there is not. */
function presetOrStandard(name: string | undefined): Conventions {
  const found = presets.find(({ preset }) => preset === (name ?? 'Chemistry bench'));
  if (!found) throw new Problem('not-valid', `There are no house rules called “${name ?? ''}”.`);
  return found;
}

/** Letters and digits that cannot be mistaken for one another. */
const codeCharacters = 'ACDEFHJKLMNPRTUVWXY3479';

async function freeCode({ models }: Database): Promise<string> {
  for (;;) {
    const code = Array.from({ length: 6 }, () => codeCharacters[randomInt(codeCharacters.length)]).join('');
    if (!(await models.classes.findOne({ where: { code } }))) return code;
  }
}
