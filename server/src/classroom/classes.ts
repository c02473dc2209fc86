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

/** Changes what its students may do in a class. */
export async function changeClass(
  { database }: Services,
  classId: string,
  { freeLogbooks }: ClassChange,
): Promise<object> {
  await database.models.classes.update({ freeLogbooks }, { where: { id: classId } });
  return {};
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
