import {
  readStored,
  storedMarks,
  storedRemarks,
  type FoundIn,
  type MarkCell,
  type MarksAnswer,
  type NewReview,
  type Review,
  type ReviewsAnswer,
  type TaskLine,
  type WorkCell,
} from '@green-beam/contract';
import { practisedNamed, sumOfMarks } from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import { classFor } from '../access/membership';
import { Problem } from '../http/problem';
import type { OpenBook } from '../kept/keptRows';
import { lookedThrough } from '../kept/books';
import { nothingFound } from '../threads/lookAtBook';
import { familiesIn, type Family } from '../kept/families';
import { studentsIn } from '../kept/studentsIn';
import type { Services } from '../services';
import { workOf } from '../tasks/work';

interface Row {
  readonly id: string;
  readonly by: string;
  readonly at: Date;
  readonly marks: unknown;
  readonly remarks: unknown;
}

/** What was said of a logbook each time that it was handed back. */
export async function reviewsOf(
  { database }: Services,
  { id }: Pick<OpenBook, 'id'>,
): Promise<ReviewsAnswer> {
  const rows = await database.sequelize.query<Row>(
    `select r.id, p.name as by, r.created_at as at, r.marks, r.remarks
       from reviews r join people p on p.id = r.person_id
      where r.logbook_id = $1 order by r.created_at desc, r.id`,
    { type: QueryTypes.SELECT, bind: [id] },
  );
  return {
    reviews: rows.map(({ at, marks, remarks, ...rest }): Review => ({
      ...rest,
      at: at.toISOString(),
      marks: readStored(storedMarks, marks, 'mark'),
      remarks: readStored(storedRemarks, remarks, 'remark'),
    })),
  };
}

/** The same, for the staff with what the other logbooks of the investigation came to: an outlier says so at a glance. */
export async function reviewsFor(services: Services, who: Caller, book: OpenBook): Promise<ReviewsAnswer> {
  const reviews = await reviewsOf(services, book);
  if (who.role === 'student') return reviews;
  const { id, classId } = book.investigation;
  const lines = await services.kept.books.lines({ inClass: classId });
  return {
    ...reviews,
    others: lines.flatMap(({ line: { logbookId, investigationId, readers, resultText } }) =>
      logbookId && investigationId === id && logbookId !== book.id
        ? [{ logbookId, readers, resultText }]
        : [],
    ),
  };
}

/** Hands a logbook back with marks and remarks; a repeated request with the same id does so once. @throws Problem */
export async function handBack(
  services: Services,
  who: Caller,
  book: OpenBook,
  { id, marks, remarks }: NewReview,
): Promise<ReviewsAnswer> {
  const { models } = services.database;
  const known = await models.reviews.findByPk(id);
  if (known && known.logbookId !== book.id) throw new Problem('already-used');
  if (!known)
    await models.reviews.bulkCreate([{ id, logbookId: book.id, personId: who.id, marks, remarks }], {
      ignoreDuplicates: true,
    });
  services.publish.logbook({
    logbookId: book.id,
    classId: book.investigation.classId,
    members: book.members.map((member) => member.id),
    arrived: null,
    by: '',
  });
  return reviewsFor(services, who, book);
}

interface BookRow {
  readonly personId: string;
  readonly logbookId: string;
  readonly familyId: string;
  readonly handedIn: Date | null;
  readonly handedBack: Date | null;
  readonly marks: unknown;
}

/** Students and what became of each investigation and each task: eight queries, however many there are. */
export async function marksOf(services: Services, who: Caller, classId: string): Promise<MarksAnswer> {
  const { sequelize } = services.database;
  const select = { type: QueryTypes.SELECT as const, bind: [classId] };
  const [tasks, students, books, lines] = await Promise.all([
    familiesIn(sequelize, classId),
    studentsIn(sequelize, classId),
    sequelize.query<BookRow>(
      `select m.person_id as "personId", l.id as "logbookId", i.family_id as "familyId",
              (select max(e.created_at) from logbook_entries e
                where e.logbook_id = l.id and e.kind = 'hand-in') as "handedIn",
              r.created_at as "handedBack", r.marks
         from investigations i join logbooks l on l.investigation_id = i.id
         join logbook_members m on m.logbook_id = l.id
         left join lateral (select created_at, marks from reviews where logbook_id = l.id
                             order by created_at desc limit 1) r on true
        where i.class_id = $1 and i.person_id is null order by l.created_at`,
      select,
    ),
    services.kept.books.lines({ inClass: classId }),
  ]);
  const work = (await workOf(services, classId, students)).filter(({ task }) => !task.withdrawn);
  const found = new Map((await lookedThrough(lines)).map((own) => [own.line.logbookId, own.found] as const));
  return {
    class: classFor(who, classId),
    tasks,
    work: work.map(({ task }) => ({
      id: task.id,
      title: titleOf(task, tasks),
      counts: task.counts,
      due: task.due,
    })),
    students: students.map(({ id, name, bench }) => ({
      id,
      name,
      bench,
      cells: books.flatMap((row) =>
        row.personId === id ? [cellOf(row, found.get(row.logbookId) ?? nothingFound)] : [],
      ),
      work: work.flatMap(({ task, of }): WorkCell[] => {
        const progress = of.get(id);
        return progress
          ? [{ task: task.id, state: progress.done ? 'done' : progress.late ? 'late' : 'open' }]
          : [];
      }),
    })),
  };
}

function cellOf({ familyId, logbookId, handedIn, handedBack, marks }: BookRow, found: FoundIn): MarkCell {
  const back = handedBack !== null && (handedIn === null || handedBack >= handedIn);
  const at = back ? handedBack : handedIn;
  return {
    task: familyId,
    logbookId,
    state: back ? 'handed back' : handedIn ? 'handed in' : 'begun',
    at: at && at.toISOString(),
    found,
    // What was given stays until another is.
    mark: marks === null ? null : sumOfMarks(readStored(storedMarks, marks, 'mark')),
  };
}

/** What is asked in a task, in a line. */
const titleOf = ({ kinds, investigations }: TaskLine, families: readonly Family[]): string =>
  [
    ...kinds.map((kind) => practisedNamed(kind).name),
    ...investigations.map((id) => families.find((own) => own.id === id)?.title ?? 'an investigation'),
  ].join(', ');
