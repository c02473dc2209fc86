import {
  readStored,
  storedExercise,
  type AskedLine,
  type ClassReading,
  type ReadingsAnswer,
} from '@green-beam/contract';
import {
  apparatusOf,
  instruments,
  modelOf,
  readingOf,
  type Conventions,
  type InstrumentKind,
} from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { Caller } from '../access/caller';
import { classFor } from '../access/membership';
import { inTurn } from '../inTurn';
import { joinSeat } from '../kept/studentsIn';
import type { Services } from '../services';

/** So many readings are compared at most: the newest. */
const mostReadings = 3000;
const mostQuestions = 60;
/** So many at a time: others are answered in between. */
const sliceLength = 100;

/** What is asked for: a kind of instrument, or a question to the class; neither for what there is. */
export interface Wanted {
  readonly kind: string | null;
  readonly questionId: string | null;
}

/** The first readings of a class's students, beside what was there to be read. */
export async function readingsOf(
  services: Services,
  who: Caller,
  classId: string,
  wanted: Wanted,
): Promise<ReadingsAnswer> {
  const [counts, questions, { body }] = await Promise.all([
    countsOf(services, classId),
    questionsOf(services, classId),
    services.kept.conventionsInForce(classId),
  ]);
  const found =
    wanted.kind === null && wanted.questionId === null ? [] : await rowsOf(services, classId, wanted);
  const slices = Array.from({ length: Math.ceil(found.length / sliceLength) }, (_, nth) =>
    found.slice(nth * sliceLength, (nth + 1) * sliceLength),
  );
  const readings = (
    await inTurn(slices, (slice) => slice.flatMap((row) => asReading(row, body) ?? []))
  ).flat();
  return {
    class: classFor(who, classId),
    conventions: body,
    kinds: instruments.flatMap(({ kind, name }) => {
      const own = counts.get(kind);
      return own ? [{ kind, name, readings: own }] : [];
    }),
    questions,
    readings: readings.map(({ reading }) => reading),
    unit: readings[0]?.unit ?? '',
  };
}

const ofClass = `tries t join exercises e on e.id = t.exercise_id
  join class_students m on m.person_id = t.person_id and m.class_id = $1
  where t.ordinal = 1 and not t.late and t.value is not null and t.divisions_off is not null`;

async function countsOf({ database }: Services, classId: string): Promise<ReadonlyMap<string, number>> {
  const rows = await database.sequelize.query<{ kind: string; count: string }>(
    `select e.kind, count(*) as count from ${ofClass} group by e.kind`,
    { type: QueryTypes.SELECT, bind: [classId] },
  );
  return new Map(rows.map(({ kind, count }) => [kind, Number(count)]));
}

async function questionsOf({ database }: Services, classId: string): Promise<AskedLine[]> {
  const rows = await database.sequelize.query<{
    id: string;
    at: Date;
    kind: InstrumentKind;
    model: string;
    answers: string;
  }>(
    `select q.id, q.created_at as at, q.kind, q.model,
            (select count(*) from exercises e join tries t on t.exercise_id = e.id and t.ordinal = 1 and not t.late
              where e.question_id = q.id) as answers
       from class_questions q where q.class_id = $1 order by q.created_at desc limit ${mostQuestions}`,
    { type: QueryTypes.SELECT, bind: [classId] },
  );
  return rows.flatMap(({ id, at, kind, model, answers }): AskedLine[] => {
    const instrument = instruments.find((own) => own.kind === kind);
    return instrument && Number(answers) > 0
      ? [
          {
            id,
            at: at.toISOString(),
            kind,
            instrumentName: instrument.name,
            makeName: modelOf(instrument, model).name,
            answers: Number(answers),
          },
        ]
      : [];
  });
}

interface Row {
  readonly id: string;
  readonly who: string;
  readonly bench: string | null;
  readonly at: Date;
  readonly item: unknown;
  readonly value: number;
  readonly divisionsOff: number;
}

const rowsOf = ({ database }: Services, classId: string, { kind, questionId }: Wanted): Promise<Row[]> =>
  database.sequelize.query<Row>(
    `select t.id, p.name as who, t.at, t.item, t.value, t.off as "divisionsOff", seat.name as bench
       from (select t.id, t.person_id, t.created_at as at, t.value, t.divisions_off as off, e.item
               from ${ofClass} and ($2::text is null or e.kind = $2) and ($3::uuid is null or e.question_id = $3)
              order by t.created_at desc limit ${mostReadings}) t
       join people p on p.id = t.person_id ${joinSeat('p.id', '$1')}
      order by t.at, t.id`,
    { type: QueryTypes.SELECT, bind: [classId, kind, questionId] },
  );

function asReading(
  { id, who, bench, at, item, value, divisionsOff }: Row,
  conventions: Conventions,
): { readonly reading: ClassReading; readonly unit: string } | null {
  const exercise = readStored(storedExercise, item, 'exercise');
  if (exercise.of !== 'setting') return null;
  const { instrument, setting } = apparatusOf(exercise, conventions);
  const { unit, step, rule } = readingOf(instrument, setting, conventions);
  return {
    unit,
    reading: {
      id,
      who,
      bench: bench ?? '',
      at: at.toISOString(),
      make: modelOf(instrument, setting.model).name,
      value,
      truth: value - divisionsOff * rule.d,
      division: rule.d,
      step: step.size.toNumber(),
    },
  };
}
