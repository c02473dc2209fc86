import { boltPin, exerciseFormat, lampOil, presetNamed, seeded, seedFrom } from '@green-beam/core';
import type { ExerciseRow, Models, TryRow } from '../database/models';
import type { Services } from '../services';
import { firstLock } from '../database/migrate';
import { hashSecret, nameKey } from '../session/passphrase';
import { makeAsked } from './asked';
import { classId, conventionsId, groupOf, idFor, lessonTime, studentId, type Within } from './ids';
import { makeFirstBench, makeLogbooks, setId, workSet } from './logbooks';
import { benchProgress, coTeacher, demoClass, furtherClasses, readers, teacher } from './scenario';
import { makeStock } from './stock';
import { readOnce } from './simulatedReader';

const conventions = presetNamed('Chemistry bench');

const days = [4, 3, 1, 0] as const;

const readingsPerDay = 4;

/** A demo student's passphrase: easy to type from a slip, and the same each time. */
export const demoPassphrase = (name: string): string => `${nameKey(name).split(' ')[0] ?? ''} lantern quay`;

/** Loads the demo class, once: a database that holds it already is left as it is. */
export async function loadDemo({ database, now }: Pick<Services, 'database' | 'now'>): Promise<void> {
  const { models, sequelize } = database;
  if (await models.classes.findOne({ where: { code: demoClass.code } })) return;
  const secrets = await Promise.all([
    ...[teacher, coTeacher].map(({ password }) => hashSecret(password)),
    ...readers.map(({ name }) => hashSecret(demoPassphrase(name))),
  ]);
  const furtherSecrets = new Map(
    await Promise.all(
      furtherClasses
        .flatMap(({ students }) => [...students])
        .map(async (name) => [name, await hashSecret(demoPassphrase(name))] as const),
    ),
  );
  // All of it or nothing: a start that is cut short leaves no half of a class behind.
  await sequelize.transaction(async (transaction) => {
    // Another process may be at it.
    await sequelize.query(firstLock, { transaction });
    if (await models.classes.findOne({ where: { code: demoClass.code }, transaction })) return;
    await makeClass(models, secrets, now(), { transaction });
    await makeFurtherClasses(models, furtherSecrets, now(), { transaction });
    await makeReadings(models, now(), { transaction });
    await makeAsked(models, conventions, now(), { transaction });
    await makeLogbooks(models, now(), { transaction });
    await makeFirstBench(models, now(), { transaction });
    await makeStock(models, now(), { transaction });
  });
}

async function makeClass(
  models: Models,
  [teacherHash = '', coTeacherHash = '', ...hashes]: readonly string[],
  now: Date,
  within: Within,
): Promise<void> {
  const staff = [
    { ...teacher, id: idFor('teacher'), secretHash: teacherHash, part: 'owner' as const },
    { ...coTeacher, id: idFor('co-teacher'), secretHash: coTeacherHash, part: 'co-teacher' as const },
  ];
  await models.people.bulkCreate(
    staff.map(({ id, name, address, secretHash }) => ({
      id,
      role: 'teacher' as const,
      name,
      address,
      secretHash,
    })),
    within,
  );
  await models.people.bulkCreate(
    readers.map((reader, at) => ({
      id: studentId(reader),
      role: 'student' as const,
      name: reader.name,
      address: null,
      secretHash: hashes[at] ?? '',
    })),
    within,
  );
  await models.classes.create({ id: classId, ...demoClass, createdAt: now }, within);
  await models.classStaff.bulkCreate(
    staff.map(({ id, part }) => ({ classId, personId: id, role: part })),
    within,
  );
  await models.classStudents.bulkCreate(
    readers.map((reader) => ({ classId, personId: studentId(reader), nameKey: nameKey(reader.name) })),
    within,
  );
  await models.classConventions.create(
    {
      id: conventionsId,
      classId,
      version: conventions.version,
      body: conventions,
    },
    within,
  );
  await models.benchGroups.bulkCreate(
    benchProgress.map((_, group) => ({ id: idFor(`group ${group}`), classId, name: `Bench ${group + 1}` })),
    within,
  );
  await models.benchGroupMembers.bulkCreate(
    readers.map((reader, at) => ({ groupId: idFor(`group ${groupOf(at)}`), personId: studentId(reader) })),
    within,
  );
  for (const [at, body] of workSet.entries()) {
    const id = setId(at);
    // A second apart, so that they keep their order.
    const createdAt = new Date(now.getTime() + at * 1000 - workSet.length * 1000);
    await models.investigations.create(
      { id, classId, body, familyId: id, version: 1, retired: false, createdAt },
      within,
    );
  }
}

/** Classes of the same teacher that have only begun, each on other house rules. */
async function makeFurtherClasses(
  models: Models,
  hashes: ReadonlyMap<string, string>,
  now: Date,
  within: Within,
): Promise<void> {
  for (const [nth, { name, code, preset, students }] of furtherClasses.entries()) {
    const id = idFor(`class ${code}`);
    const body = presetNamed(preset);
    await models.classes.create(
      { id, name, code, createdAt: new Date(now.getTime() + (nth + 1) * 1000) },
      within,
    );
    await models.classStaff.create({ classId: id, personId: idFor('teacher'), role: 'owner' }, within);
    const conventionsOf = { id: idFor(`conventions ${code}`), classId: id, version: body.version, body };
    await models.classConventions.create(conventionsOf, within);
    for (const student of students) {
      const personId = idFor(`student ${student}`);
      const secretHash = hashes.get(student) ?? '';
      await models.people.create(
        { id: personId, role: 'student', name: student, address: null, secretHash },
        within,
      );
      await models.classStudents.create({ classId: id, personId, nameKey: nameKey(student) }, within);
    }
    for (const [at, investigation] of [boltPin, lampOil].entries()) {
      const own = idFor(`investigation ${code} ${at}`);
      await models.investigations.create(
        {
          id: own,
          classId: id,
          body: investigation,
          familyId: own,
          version: 1,
          retired: false,
          createdAt: new Date(now.getTime() + at * 1000),
        },
        within,
      );
    }
  }
}

/** A few lessons of practice: each reader a few settings a day, with their own habits. */
async function makeReadings(models: Models, now: Date, within: Within): Promise<void> {
  const exercises: ExerciseRow[] = [];
  const tries: TryRow[] = [];
  for (const [at, reader] of readers.entries()) {
    const random = seeded(seedFrom(reader.name));
    for (const daysAgo of days) {
      // Somebody is always absent; today the lesson has only begun.
      if (random.chance(0.08)) continue;
      for (let nth = 0; nth < (daysAgo === 0 ? 2 : readingsPerDay); nth += 1) {
        const personId = studentId(reader);
        const id = idFor(`setting ${reader.name} ${daysAgo} ${nth}`);
        const { seed, setting, tried } = readOnce(reader, conventions, random);
        const createdAt = lessonTime(now, daysAgo, nth * 95 + at * 3);
        const item = { format: exerciseFormat, of: 'setting', mode: 'read', setting };
        exercises.push({ id, personId, conventionsId, kind: setting.kind, seed, item, createdAt });
        tried.forEach((attempt, back) =>
          tries.push({
            id: idFor(`attempt ${id} ${back}`),
            exerciseId: id,
            personId,
            ordinal: back + 1,
            createdAt: new Date(createdAt.getTime() + back * 30_000),
            ...attempt,
          }),
        );
      }
    }
  }
  await models.exercises.bulkCreate(exercises, within);
  await models.tries.bulkCreate(tries, within);
}
