import {
  besides,
  boltPin,
  columnOf,
  evaporatingPan,
  lampOil,
  oneDrop,
  presetNamed,
  seeded,
  seedFrom,
  shackleRing,
  type Random,
} from '@green-beam/core';
import type { Transaction } from 'sequelize';
import type { AttemptRow, Models, PracticeSettingRow } from '../database/models';
import type { Services } from '../services';
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
    await makeClass(models, secrets, now(), { transaction });
    await makeReadings(models, now(), { transaction });
    await makeLogbooks(models, now(), { transaction });
    await makeFirstBench(models, now(), { transaction });
  });
}

interface Within {
  readonly transaction: Transaction;
}

const classId = idFor('class');
const conventionsId = idFor('conventions');
/** What is set for the class, in this order. */
const set = [boltPin, shackleRing, lampOil, evaporatingPan, oneDrop] as const;
const setId = (at: number): string => idFor(`investigation ${at}`);
const investigationId = setId(0);
const studentId = ({ name }: Reader): string => idFor(`student ${name}`);
const groupOf = (at: number): number => Math.floor(at / studentsPerBench);

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
  for (const [at, body] of set.entries()) {
    const id = setId(at);
    // A second apart, so that they keep their order.
    const createdAt = new Date(now.getTime() + at * 1000 - set.length * 1000);
    await models.investigations.create(
      { id, classId, body, familyId: id, version: 1, retired: false, createdAt },
      within,
    );
  }
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
      const key = ['mass', 'before', 'after'][line.column] ?? 'mass';
      await models.logbookEntries.create(
        {
          id: idFor(`entry ${group} ${line.trial} ${key} ${line.reason ?? ''}`),
          logbookId,
          trial: line.trial,
          column: key,
          text: line.text,
          tag: tagOf(boltPin, key),
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

function tagOf(what: (typeof set)[number], key: string): string {
  const column = columnOf(what, key)?.column;
  return column?.kind === 'measured' ? column.tag : '';
}

/** The first bench is further than the others: a liquid with one trial that went wrong, and the pan, still drying. */
async function makeFirstBench(models: Models, now: Date, within: Within): Promise<void> {
  const oil = [
    ['empty', '61.24', '61.22', '61.23'],
    ['V', '18.6', '35.2', '52.4', '70.1', '86.3', '97.0'],
    ['M', '76.24', '89.61', '103.38', '115.02', '130.40', '139.02'],
  ] as const;
  await writeBook(models, 2, oil, now, within, [
    { trial: 4, column: besides.standing('fill'), text: 'excluded', reason: 'oil ran down the outside' },
    { trial: 4, column: besides.remark('fill'), text: 'Oil ran down the outside of the cylinder.' },
    { trial: 0, column: besides.answer('float'), text: 'Yes, it floats, and 0.80 is less than 1.00.' },
  ]);
  const pan = [
    ['t', '10:52', '11:02', '11:12', '11:22', '11:32', '11:42'],
    ['depth', '24.0', '23.6', '23.0', '22.7', '22.1', '21.8'],
    ['mass', '412.6', '408.3', '404.5', '400.1', '396.2', '392.0'],
  ] as const;
  await writeBook(models, 3, pan, now, within, [
    { trial: 0, column: besides.prediction('guess'), text: '200' },
  ]);
}

interface Beside {
  readonly trial: number;
  readonly column: string;
  readonly text: string;
  readonly reason?: string;
}

async function writeBook(
  models: Models,
  which: number,
  columns: readonly (readonly [key: string, ...texts: string[]])[],
  now: Date,
  within: Within,
  beside: readonly Beside[],
): Promise<void> {
  const what = set[which] ?? boltPin;
  const logbookId = idFor(`logbook of ${what.title}`);
  const members = readers.filter((_, at) => groupOf(at) === 0).map(studentId);
  await models.logbooks.create({ id: logbookId, investigationId: setId(which), conventionsId }, within);
  await models.logbookMembers.bulkCreate(
    members.map((personId) => ({ logbookId, personId })),
    within,
  );
  const lines: Beside[] = columns.flatMap(([column, ...texts]) =>
    texts.map((text, at) => ({ trial: at + 1, column, text })),
  );
  const byTrial = [...lines].sort((a, b) => a.trial - b.trial);
  for (const [at, { trial, column, text, reason }] of [...byTrial, ...beside].entries()) {
    const writtenAt = lessonTime(now, 1, 1500 + at * 45);
    await models.logbookEntries.create(
      {
        id: idFor(`entry ${what.title} ${trial} ${column} ${text}`),
        logbookId,
        trial,
        column,
        text,
        tag: tagOf(what, column),
        readerId: members[at % members.length] ?? members[0] ?? '',
        origin: 'own',
        replaces: null,
        reason: reason ?? null,
        writtenAt,
        createdAt: writtenAt,
      },
      within,
    );
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
