import {
  boltPin,
  columnOf,
  evaporatingPan,
  lampOil,
  oneDrop,
  seeded,
  seedFrom,
  shackleRing,
  type FlatSubject,
  type Random,
} from '@green-beam/core';
import type { Models } from '../database/models';
import { conventionsId, groupOf, idFor, lessonTime, studentId, type Within } from './ids';
import { benchProgress, readers, type Progress } from './scenario';

/** What is set for the class, in this order. */
export const workSet = [boltPin, shackleRing, lampOil, evaporatingPan, oneDrop] as const;

export const setId = (at: number): string => idFor(`investigation ${at}`);

const investigationId = setId(0);

export async function makeLogbooks(models: Models, now: Date, within: Within): Promise<void> {
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
          kind: 'reading',
          trial: line.trial,
          of: key,
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

function tagOf(what: (typeof workSet)[number], key: string): string {
  const column = columnOf(what, key)?.column;
  return column?.kind === 'measured' ? column.tag : '';
}

/** The first bench is further than the others: a liquid with one trial that went wrong, and the pan, still drying. */
export async function makeFirstBench(models: Models, now: Date, within: Within): Promise<void> {
  const oil = [
    ['empty', '61.24', '61.22', '61.23'],
    ['V', '18.6', '35.2', '52.4', '70.1', '86.3', '97.0'],
    ['M', '76.24', '89.61', '103.38', '115.02', '130.40', '139.02'],
  ] as const;
  await writeBook(models, 2, oil, now, within, [
    { kind: 'standing', trial: 4, of: 'fill', text: 'excluded', reason: 'oil ran down the outside' },
    { kind: 'remark', trial: 4, of: 'fill', text: 'Oil ran down the outside of the cylinder.' },
    { kind: 'answer', trial: 0, of: 'float', text: 'Yes, it floats, and 0.80 is less than 1.00.' },
  ]);
  const pan = [
    ['t', '10:52', '11:02', '11:12', '11:22', '11:32', '11:42'],
    ['depth', '24.0', '23.6', '23.0', '22.7', '22.1', '21.8'],
    ['mass', '412.6', '408.3', '404.5', '400.1', '396.2', '392.0'],
  ] as const;
  await writeBook(models, 3, pan, now, within, [{ kind: 'prediction', trial: 0, of: 'guess', text: '200' }]);
}

interface Beside extends FlatSubject {
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
  const what = workSet[which] ?? boltPin;
  const logbookId = idFor(`logbook of ${what.title}`);
  const members = readers.filter((_, at) => groupOf(at) === 0).map(studentId);
  await models.logbooks.create({ id: logbookId, investigationId: setId(which), conventionsId }, within);
  await models.logbookMembers.bulkCreate(
    members.map((personId) => ({ logbookId, personId })),
    within,
  );
  const lines: Beside[] = columns.flatMap(([column, ...texts]) =>
    texts.map((text, at) => ({ kind: 'reading' as const, trial: at + 1, of: column, text })),
  );
  const byTrial = [...lines].sort((a, b) => a.trial - b.trial);
  for (const [at, { kind, trial, of, text, reason }] of [...byTrial, ...beside].entries()) {
    const writtenAt = lessonTime(now, 1, 1500 + at * 45);
    await models.logbookEntries.create(
      {
        id: idFor(`entry ${what.title} ${trial} ${of} ${text}`),
        logbookId,
        kind,
        trial,
        of,
        text,
        tag: tagOf(what, of),
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
