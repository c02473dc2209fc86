import { marksCsv, rowsCsv } from '@green-beam/core';
import type { Response } from 'express';
import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { once } from 'node:events';
import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import { classFor } from '../access/membership';
import { moreTime } from '../http/deadline';
import { entryColumns, asEntry, type EntryRow } from '../kept/entryRow';
import { studentsIn } from '../kept/studentsIn';
import { marksOf, reviewsOf } from '../review/service';
import type { Services } from '../services';

/** What an exported class is; docs/formats.md says what is in it. */
const format = { format: 'green-beam/class', version: 1 } as const;

interface Book {
  readonly id: string;
  readonly title: string;
  readonly investigationId: string;
  readonly conventionsId: string;
  readonly readers: readonly string[];
}

/** Sends everything that is kept of a class as one ZIP, a part at a time: a class may hold many photographs. */
export async function sendWholeClass(
  services: Services,
  who: Caller,
  classId: string,
  response: Response,
): Promise<void> {
  const { sequelize } = services.database;
  const select = <R extends object>(sql: string, bind: readonly unknown[] = [classId]) =>
    sequelize.query<R>(sql, { type: QueryTypes.SELECT, bind: [...bind] });
  const its = classFor(who, classId);
  response.type('application/zip').set('content-disposition', `attachment; filename="class-${its.code}.zip"`);
  const zip = zipInto(response);
  const students = await studentsIn(sequelize, classId);
  const [rules, investigations, tasks, questions] = await Promise.all([
    select(
      `select id, version, body, created_at as at from class_conventions where class_id = $1 order by version`,
    ),
    select(
      `select id, family_id as family, version, retired, body from investigations where class_id = $1 order by created_at, version`,
    ),
    select(`select id, body, withdrawn, created_at as at from tasks where class_id = $1 order by created_at`),
    select(
      `select id, setting, created_at as at from class_questions where class_id = $1 order by created_at`,
    ),
  ]);
  await zip.json('class.json', {
    ...format,
    class: its,
    students: students.map(({ id, name, bench }) => ({ id, name, bench })),
    houseRules: rules,
    investigations,
    tasks,
    questions,
  });
  await zip.text('marks.csv', marksCsv(await marksOf(services, who, classId)));
  await zip.text('readings.csv', await readingsCsv(select));
  const books = await select<Book>(
    `select l.id, i.body->>'title' as title, i.id as "investigationId", l.conventions_id as "conventionsId",
            (select coalesce(json_agg(p.name order by p.name), '[]'::json)
               from logbook_members m join people p on p.id = m.person_id where m.logbook_id = l.id) as readers
       from logbooks l join investigations i on i.id = l.investigation_id
      where i.class_id = $1 order by l.created_at, l.id`,
  );
  for (const [at, book] of books.entries()) {
    const folder = `logbooks/${String(at + 1).padStart(3, '0')} ${inFileName(`${book.title}, ${book.readers.join(', ')}`)}`;
    const entries = await select<EntryRow>(
      `select ${entryColumns} from logbook_entries e join people p on p.id = e.reader_id
        where e.logbook_id = $1 order by e.seq`,
      [book.id],
    );
    const calculations = await select(
      'select expression, result, created_at as at from kept_calculations where logbook_id = $1 order by created_at',
      [book.id],
    );
    await zip.json(`${folder}/logbook.json`, {
      ...book,
      entries: entries.map(asEntry),
      calculations,
      ...(await reviewsOf(services, book)),
    });
    const photographs = await select<{ id: string; mediaType: string }>(
      `select id, media_type as "mediaType" from logbook_photos where logbook_id = $1 order by created_at`,
      [book.id],
    );
    for (const { id, mediaType } of photographs) {
      const [photo] = await select<{ bytes: Buffer }>('select bytes from logbook_photos where id = $1', [id]);
      if (photo) await zip.bytes(`${folder}/${id}.${mediaType === 'image/png' ? 'png' : 'jpg'}`, photo.bytes);
    }
  }
  await zip.end();
}

/** Every try of the class’s students on the bench and in drills, as a table. */
async function readingsCsv(select: <R extends object>(sql: string) => Promise<R[]>): Promise<string> {
  const rows = await select<
    Record<'name' | 'kind' | 'text' | 'unit' | 'outcome' | 'at', string> & { ordinal: number; late: boolean }
  >(
    `select p.name, e.kind, t.ordinal, t.late, coalesce(t.answer->>'text', '') as text, coalesce(t.answer->>'unit', '') as unit,
            t.verdict->>'outcome' as outcome, to_char(t.created_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at
       from class_students s join people p on p.id = s.person_id join tries t on t.person_id = p.id
       join exercises e on e.id = t.exercise_id
      where s.class_id = $1 order by p.name, t.created_at`,
  );
  return rowsCsv([
    ['Student', 'What', 'Try', 'Written', 'Unit', 'Verdict', 'When', 'Late'],
    ...rows.map(({ name, kind, ordinal, text, unit, outcome, at, late }) => [
      name,
      kind,
      String(ordinal),
      text,
      unit,
      outcome,
      at,
      late ? 'late' : '',
    ]),
  ]);
}

const inFileName = (text: string): string =>
  text
    .replace(/[^\p{L}\p{N} ,.-]/gu, ' ')
    .replace(/\s+/g, ' ')
    .replaceAll(' ,', ',')
    .trim()
    .slice(0, 80);

/** A ZIP that goes out as it is made; each part waits until the one before it has gone. */
function zipInto(response: Response) {
  const zip = new Zip((error, chunk, last) => {
    if (error) response.destroy(error);
    else if (!response.destroyed) response.write(chunk);
    if (last) response.end();
  });
  const sent = async (event: 'drain' | 'finish'): Promise<void> => {
    moreTime(response);
    const waits = event === 'drain' ? response.writableNeedDrain : !response.writableFinished;
    if (waits && !response.destroyed) await Promise.race([once(response, event), once(response, 'close')]);
  };
  const add = (file: ZipDeflate | ZipPassThrough, bytes: Uint8Array): Promise<void> => {
    zip.add(file);
    file.push(bytes, true);
    return sent('drain');
  };
  const text = (name: string, content: string) => add(new ZipDeflate(name), strToU8(content));
  return {
    text,
    json: (name: string, content: object) => text(name, JSON.stringify(content, null, 1)),
    /** Pictures are packed already. */
    bytes: (name: string, content: Uint8Array) => add(new ZipPassThrough(name), content),
    end: (): Promise<void> => {
      zip.end();
      return sent('finish');
    },
  };
}
