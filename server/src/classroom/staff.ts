import type { NewStaff, StaffAnswer } from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { Op, UniqueConstraintError } from 'sequelize';
import type { Caller } from '../access/caller';
import { classFor, staffRoleIn } from '../access/membership';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import { hashSecret, makePassphrase } from '../session/passphrase';

const rank = { owner: 0, 'co-teacher': 1, assistant: 2 } as const;

/** Who teaches a class: its owner first. */
export async function staffOf({ database }: Services, who: Caller, classId: string): Promise<StaffAnswer> {
  const { models } = database;
  const [row, rows] = await Promise.all([
    models.classes.findByPk(classId, { attributes: ['putAwayAt'] }),
    models.classStaff.findAll({ where: { classId } }),
  ]);
  const people = await models.people.findAll({
    attributes: ['id', 'name'],
    where: { id: rows.map(({ personId }) => personId) },
  });
  const names = new Map(people.map(({ id, name }) => [id, name]));
  return {
    class: classFor(who, classId),
    staffRole: staffRoleIn(classId, who),
    putAway: Boolean(row?.putAwayAt),
    staff: rows
      .map(({ personId, role }) => ({ id: personId, name: names.get(personId) ?? '', role }))
      .sort((a, b) => rank[a.role] - rank[b.role] || a.name.localeCompare(b.name)),
  };
}

/**
 * Has somebody teach a class too, or in another part than before. Who has no account yet gets one, with a first password that they change
 * when they sign in. @throws Problem for its owner
 */
export async function addStaff(
  services: Services,
  who: Caller,
  classId: string,
  { name, role }: NewStaff,
): Promise<StaffAnswer> {
  const { models, sequelize } = services.database;
  const known = await models.people.findOne({
    where: {
      [Op.and]: [
        { role: 'teacher' },
        sequelize.where(sequelize.fn('lower', sequelize.col('name')), name.toLowerCase()),
      ],
    },
  });
  const firstPassword = known ? null : makePassphrase();
  const personId = known?.id ?? randomUUID();
  const before = await models.classStaff.findOne({ where: { classId, personId } });
  if (before?.role === 'owner') throw new Problem('not-valid', `The class is ${name}’s own.`);
  try {
    await sequelize.transaction(async (transaction) => {
      if (firstPassword !== null)
        await models.people.create(
          {
            id: personId,
            role: 'teacher',
            name,
            address: null,
            secretHash: await hashSecret(firstPassword),
            mustChange: true,
          },
          { transaction },
        );
      await models.classStaff.upsert({ classId, personId, role }, { transaction });
    });
  } catch (error) {
    // Somebody invites the same one at the same moment.
    if (error instanceof UniqueConstraintError)
      throw new Problem('not-valid', `There is a “${name}” now. Try it again.`);
    throw error;
  }
  await services.publish.people([personId]);
  const answer = await staffOf(services, who, classId);
  return firstPassword === null ? answer : { ...answer, firstPassword };
}

/** Somebody teaches a class no more; its owner stays. @throws Problem */
export async function removeStaff(
  services: Services,
  who: Caller,
  classId: string,
  personId: string,
): Promise<StaffAnswer> {
  const row = await services.database.models.classStaff.findOne({ where: { classId, personId } });
  if (!row) throw new Problem('not-found');
  if (row.role === 'owner')
    throw new Problem('not-valid', 'The class is theirs: it cannot be without its owner.');
  await row.destroy();
  await services.publish.people([personId]);
  return staffOf(services, who, classId);
}
