import type { ClassName, NewPassword, StudentSignIn, TeacherSignIn } from '@green-beam/contract';
import { Op } from 'sequelize';
import type { ClassRow, PersonRow } from '../database/models';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import type { Caller } from '../access/caller';
import { refuseWeak } from './goodPassword';
import { hashSecret, nameKey, plainPassphrase, verifySecret } from './passphrase';

/** Signs a teacher in by name or address and password; gives who it is. @param gone whether nobody waits any more @throws Problem */
export async function signInTeacher(
  services: Services,
  device: string,
  { name, password }: TeacherSignIn,
  gone: () => boolean,
): Promise<PersonRow> {
  const { sequelize, models } = services.database;
  const lower = (column: string) =>
    sequelize.where(sequelize.fn('lower', sequelize.col(column)), name.trim().toLowerCase());
  const teacher = await models.people.findOne({
    where: { role: 'teacher', [Op.or]: [lower('name'), lower('address')] },
  });
  return admit(services, teacher, password, {
    account: teacherAccount(teacher?.name ?? name),
    device,
    gone,
    help: 'ask whoever runs Green Beam at your school for a new password.',
  });
}

/** The same for a student, by class code, name and the passphrase on the slip. @throws Problem */
export async function signInStudent(
  services: Services,
  device: string,
  { classCode, name, passphrase }: StudentSignIn,
  gone: () => boolean,
): Promise<PersonRow> {
  const { classes, classStudents, people } = services.database.models;
  const code = classCode.trim().toUpperCase();
  const itsClass = await classes.findOne({ where: { code } });
  if (itsClass?.putAwayAt) throw new Problem('sign-in-refused', 'This class is put away. Ask your teacher.');
  const enrolment =
    itsClass && (await classStudents.findOne({ where: { classId: itsClass.id, nameKey: nameKey(name) } }));
  const student = enrolment && (await people.findByPk(enrolment.personId));
  return admit(services, student, plainPassphrase(passphrase), {
    account: studentAccount(code, name),
    device,
    gone,
    help: 'ask your teacher for a new slip: it works at once.',
  });
}

/** How a name is counted; longer ones than any account has share what they begin with. */
const counted = (name: string): string => nameKey(name).slice(0, 120);
export const studentAccount = (code: string, name: string): string => `student:${code}:${counted(name)}`;
export const teacherAccount = (name: string): string => `teacher:${counted(name)}`;

async function admit(
  { database, limits, hashes }: Services,
  person: PersonRow | null,
  secret: string,
  guess: {
    readonly account: string;
    readonly device: string;
    readonly help: string;
    readonly gone: () => boolean;
  },
): Promise<PersonRow> {
  const { knownDevices } = database.models;
  const device = { personId: person?.id ?? '', deviceId: guess.device };
  const known = person !== null && (await knownDevices.count({ where: { ...device } })) > 0;
  await limits.count({ ...guess, known });
  const right = await hashes.run(
    guess.device,
    known,
    () => verifySecret(person?.secretHash, secret),
    guess.gone,
  );
  if (!right || !person) throw new Problem('sign-in-refused');
  await limits.right({ ...guess, known });
  if (!known) await knownDevices.bulkCreate([device], { ignoreDuplicates: true });
  return person;
}

/** A teacher chooses another password; every other session of theirs ends. @throws Problem */
export async function changePassword(
  { database, publish, hashes }: Services,
  who: Caller,
  { current, next }: NewPassword,
): Promise<void> {
  const person = await database.models.people.findByPk(who.id);
  const right = await hashes.run(who.id, true, () => verifySecret(person?.secretHash, current));
  if (!right || !person) throw new Problem('not-valid', 'The password that you have now is not right.');
  if (next === current) throw new Problem('not-valid', 'The new password is the one that you have already.');
  if (nameKey(next) === nameKey(person.name))
    throw new Problem('not-valid', 'Your own name is no password: anybody would try it first.');
  refuseWeak(next, [person.name, person.address ?? '']);
  const secretHash = await hashes.run(who.id, true, () => hashSecret(next));
  await person.update({ secretHash, mustChange: false });
  await endSessions({ database, publish }, [who.id], who.sessionId);
}

/** Ends the sessions of some people, but one of them where it is named. */
export async function endSessions(
  { database, publish }: Pick<Services, 'database' | 'publish'>,
  personIds: readonly string[],
  except = '',
): Promise<void> {
  await database.models.sessions.destroy({
    where: { personId: [...personIds], id: { [Op.ne]: except } },
  });
  await publish.people(personIds);
}

export const className = ({ id, code, name }: ClassRow): ClassName => ({ id, code, name });
