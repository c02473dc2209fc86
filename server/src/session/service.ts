import type { ClassName, StudentSignIn, TeacherSignIn, Who } from '@green-beam/contract';
import { Op } from 'sequelize';
import type { ClassRow, Database, PersonRow } from '../database/models';
import { Problem } from '../http/problem';
import type { SignInLimits } from './limits';
import { nameKey, plainPassphrase, verifySecret } from './passphrase';

/** Who is signing in, from where. */
interface Door {
  readonly database: Database;
  readonly limits: SignInLimits;
  readonly address: string;
}

/** Signs a teacher in by name or address and password. @throws Problem */
export async function signInTeacher(
  { database, limits, address }: Door,
  { name, password }: TeacherSignIn,
): Promise<Who> {
  const account = `teacher:${nameKey(name)}`;
  const lower = (column: string) =>
    database.sequelize.where(
      database.sequelize.fn('lower', database.sequelize.col(column)),
      name.trim().toLowerCase(),
    );
  await limits.check(account, address);
  const teacher = await database.models.people.findOne({
    where: { role: 'teacher', [Op.or]: [lower('name'), lower('address')] },
  });
  return admit({ database, limits, address }, account, teacher, password);
}

/** Signs a student in by class code, name and the passphrase on the slip. @throws Problem */
export async function signInStudent(
  { database, limits, address }: Door,
  { classCode, name, passphrase }: StudentSignIn,
): Promise<Who> {
  const code = classCode.trim().toUpperCase();
  const account = `student:${code}:${nameKey(name)}`;
  await limits.check(account, address);
  const { classes, classStudents, people } = database.models;
  const itsClass = await classes.findOne({ where: { code } });
  const enrolment =
    itsClass && (await classStudents.findOne({ where: { classId: itsClass.id, nameKey: nameKey(name) } }));
  const student = enrolment && (await people.findByPk(enrolment.personId));
  return admit({ database, limits, address }, account, student, plainPassphrase(passphrase));
}

async function admit(
  { database, limits, address }: Door,
  account: string,
  person: PersonRow | null,
  secret: string,
): Promise<Who> {
  if (!(await verifySecret(person?.secretHash, secret)) || !person) {
    await limits.failed(account, address);
    throw new Problem('sign-in-refused');
  }
  await limits.succeeded(account, address);
  return whoIs(database, person);
}

/** A person with the classes they belong to. */
export async function whoIs({ models }: Database, { id, role, name }: PersonRow): Promise<Who> {
  const memberships =
    role === 'teacher'
      ? await models.classStaff.findAll({ where: { personId: id } })
      : await models.classStudents.findAll({ where: { personId: id } });
  const rows = await models.classes.findAll({
    where: { id: memberships.map(({ classId }) => classId) },
    order: [['createdAt', 'asc']],
  });
  return { id, role, name, classes: rows.map(className) };
}

export const className = ({ id, code, name }: ClassRow): ClassName => ({ id, code, name });
