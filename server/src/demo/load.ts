import { presetNamed, seeded, seedFrom, type Random } from '@green-beam/core';
import type { Transaction } from 'sequelize';
import type { AttemptRow, Models, PracticeSettingRow } from '../database/models';
import type { Services } from '../services';
import { boltPin, shackleRing } from '../logbook/readyMade';
import { hashSecret, nameKey } from '../session/passphrase';
import {
  benchProgress,
  coTeacher,
  demoClass,
  readers,
  studentsPerBench,
  teacher,
  type Progress,
  type Reader,
} from './scenario';
import { readOnce } from './simulatedReader';

const conventions = presetNamed('Chemistry bench');
const days = [4, 3, 1, 0] as const;
const readingsPerDay = 4;

/** A UUID that always belongs to the same name. */
function idFor(name: string): string {
  const random = seeded(seedFrom(name));
  const hex = (length: number) => Array.from({ length }, () => random.whole(0, 15).toString(16)).join('');
  return `${hex(8)}-${hex(4)}-4${hex(3)}-a${hex(3)}-${hex(12)}`;
}

/** A demo student's passphrase: easy to type from a slip, and the same each time. */
export const demoPassphrase = (name: string): string => `${nameKey(name).split(' ')[0] ?? ''} lantern quay`;

/** Loads the demo class, once: a database that holds it already is left as it is. */
export async function loadDemo({ database, now }: Services): Promise<void> {
  const { models, sequelize } = database;
  if (await models.classes.findOne({ where: { code: demoClass.code } })) return;
  const secrets = await Promise.all([
    ...[teacher, coTeacher].map(({ password }) => hashSecret(password)),
    ...readers.map(({ name }) => hashSecret(demoPassphrase(name))),
  ]);
  // All of it or nothing: a start that is cut short leaves no half of a class behind.
  await sequelize.transaction(async (transaction) => {
    await makeClass(models, secrets, { transaction });
    await makeReadings(models, now(), { transaction });
    await makeLogbooks(models, now(), { transaction });
  });
}

interface Within {
  readonly transaction: Transaction;
}

const classId = idFor('class');
const conventionsId = idFor('conventions');
const investigationId = idFor('investigation');
const studentId = ({ name }: Reader): string => idFor(`student ${name}`);
const groupOf = (at: number): number => Math.floor(at / studentsPerBench);

async function makeClass(
  models: Models,
  [teacherHash = '', coTeacherHash = '', ...hashes]: readonly string[],
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
  await models.classes.create({ id: classId, ...demoClass }, within);
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
  await models.investigations.create({ id: investigationId, classId, body: boltPin }, within);
  await models.investigations.create(
    { id: idFor('second investigation'), classId, body: shackleRing },
    within,
  );
}

/** A few lessons of practice: each reader a few settings a day, with their own habits. */
async function makeReadings(models: Models, now: Date, within: Within): Promise<void> {
  const settings: PracticeSettingRow[] = [];
  const attempts: AttemptRow[] = [];
  for (const [at, reader] of readers.entries()) {
    const random = seeded(seedFrom(reader.name));
    for (const daysAgo of days) {
      // Somebody is always absent; today the lesson has only begun.
      if (random.chance(0.08)) continue;
      for (let nth = 0; nth < (daysAgo === 0 ? 2 : readingsPerDay); nth += 1) {
        const personId = studentId(reader);
        const id = idFor(`setting ${reader.name} ${daysAgo} ${nth}`);
        const { kind, model, seed, setting, tries } = readOnce(reader, conventions, random);
        const createdAt = lessonTime(now, daysAgo, nth * 95 + at * 3);
        settings.push({ id, personId, conventionsId, kind, model, mode: 'read', seed, setting, createdAt });
        tries.forEach((attempt, back) =>
          attempts.push({
            id: idFor(`attempt ${id} ${back}`),
            settingId: id,
            personId,
            ordinal: back + 1,
            hands: null,
            createdAt: new Date(createdAt.getTime() + back * 30_000),
            ...attempt,
          }),
        );
      }
    }
  }
  await models.practiceSettings.bulkCreate(settings, within);
  await models.attempts.bulkCreate(attempts, within);
}

/** Seconds into a lesson that began at nine on a day, or a few minutes ago today. */
function lessonTime(now: Date, daysAgo: number, seconds: number): Date {
  if (daysAgo === 0) {
    // Just after midnight the lesson has begun at midnight: it is today's all the same.
    const midnight = new Date(now).setHours(0, 0, 0, 0);
    const began = Math.max(midnight, now.getTime() - 12 * 60_000);
    return new Date(Math.min(now.getTime(), began + seconds * 1000));
  }
  const start = new Date(now);
  start.setDate(start.getDate() - daysAgo);
  start.setHours(9, 4, 0, 0);
  return new Date(start.getTime() + seconds * 1000);
}

async function makeLogbooks(models: Models, now: Date, within: Within): Promise<void> {
  for (const [group, progress] of benchProgress.entries()) {
    const members = readers.filter((_, at) => groupOf(at) === group);
    const logbookId = idFor(`logbook ${group}`);
    await models.logbooks.create({ id: logbookId, investigationId, conventionsId }, within);
    await models.logbookMembers.bulkCreate(
      members.map((reader) => ({ logbookId, personId: studentId(reader) })),
      within,
    );
    const random = seeded(seedFrom(`logbook ${group}`));
    let seconds = 0;
    for (const line of linesFor(progress, random)) {
      const writtenAt = lessonTime(now, 1, 900 + (seconds += 40));
      const reader = members[line.trial % members.length] ?? members[0];
      if (!reader) continue;
      const { key, tag } = boltPin.columns[line.column] ?? { key: 'mass', tag: 'B-02' };
      await models.logbookEntries.create(
        {
          id: idFor(`entry ${group} ${line.trial} ${key} ${line.reason ?? ''}`),
          logbookId,
          trial: line.trial,
          column: key,
          text: line.text,
          tag,
          readerId: studentId(reader),
          origin: 'own',
          replaces: line.reason ? idFor(`entry ${group} ${line.trial} ${key} `) : null,
          reason: line.reason ?? null,
          writtenAt,
          createdAt: writtenAt,
        },
        within,
      );
    }
  }
}

interface Line {
  readonly trial: number;
  readonly column: 0 | 1 | 2;
  readonly text: string;
  readonly reason?: string;
}

/** What a bench has written: readings of one bronze pin, scattered as hands and eyes do. */
function linesFor(progress: Progress, random: Random): Line[] {
  const massGrams = random.between(205, 225);
  const volumeMl = massGrams / 8.78;
  const trial = (number: number): Line[] => {
    const before = random.between(46, 56);
    const after = before + volumeMl + random.normal() * 0.25;
    return [
      { trial: number, column: 0, text: (massGrams + random.normal() * 0.06).toFixed(1) },
      { trial: number, column: 1, text: before.toFixed(1) },
      { trial: number, column: 2, text: after.toFixed(1) },
    ];
  };
  const all: Record<Progress, () => Line[]> = {
    complete: () => [1, 2, 3].flatMap(trial),
    corrected: () => {
      const lines = [1, 2, 3].flatMap(trial);
      const slip = lines[4];
      if (!slip) return lines;
      const swapped = [...slip.text].map((_, at, all) => all[at === 0 ? 1 : at === 1 ? 0 : at]).join('');
      const wrong: Line = { ...slip, text: swapped };
      return [...lines.slice(0, 4), wrong, { ...slip, reason: 'two digits swapped' }, ...lines.slice(5)];
    },
    'two trials': () => [1, 2].flatMap(trial),
    'one reading': () => trial(1).slice(0, 1),
    empty: () => [],
  };
  return all[progress]();
}
