import type { TasksAnswer } from '@green-beam/contract';
import {
  endOfDay,
  isoDay,
  makesOf,
  practisedKinds,
  startOfDay,
  triesAllowed,
  type SetWork,
} from '@green-beam/core';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { Button } from '../ui/Button';
import { ChoiceField, TextField } from '../ui/fields';
import { Fold } from '../ui/Fold';
import { Choices } from './Choices';
import { DayField } from './DayField';

const steady = 'steady';
const untils = [
  [steady, 'until each is steady'],
  ['3', '3 settings of each'],
  ['5', '5 settings of each'],
  ['10', '10 settings of each'],
] as const;

const worths = [
  ['0', 'nothing: practice'],
  ['1', '1'],
  ['2', '2'],
  ['5', '5'],
  ['10', '10'],
] as const;

/** How it is answered: how often, and when what is right is told. */
const ways = [
  ['3', '3 tries each; told at once'],
  ['2', '2 tries each; told at once'],
  ['1', '1 try each; told at once'],
  ['held', '1 answer each; told when you show it'],
] as const;
const wayOf = ({ answers, tries }: SetWork): string => (answers === 'held' ? 'held' : String(tries));

const dayOf = (instant: string | null): string => (instant === null ? '' : isoDay(instant));
const instantOf = (day: string, of: (day: string) => Date): string | null =>
  day === '' ? null : of(day).toISOString();

const nothing: SetWork = {
  ...{ kinds: [], makes: [], settings: null, investigations: [], benches: [], students: [] },
  ...{ from: null, due: null, place: 'lesson', note: '', counts: 0, tries: triesAllowed, answers: 'at once' },
};

/** What is to be read, drilled and handed in; for whom; from when to when; how it is answered; and what it counts. */
export function NewTaskForm({
  answer: { benches, students, investigations },
  busy,
  of = null,
  onSet,
  onLeave,
}: {
  readonly answer: TasksAnswer;
  readonly busy: boolean;
  /** What is set already and is to ask something else; null for something new. */
  readonly of?: SetWork | null;
  readonly onSet: (work: SetWork, done: () => void) => void;
  /** Leaves what is set as it is. */
  readonly onLeave: () => void;
}) {
  const [work, setWork] = useState<SetWork>(of ?? nothing);
  const change = (part: Partial<SetWork>) => setWork({ ...work, ...part });
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const { kinds, settings, place } = work;
  const [families, held] = [work.investigations, work.answers === 'held'];
  const only = work.benches.length + work.students.length;
  const several = makesOf(kinds);
  const makes = work.makes.filter((id) => several.some((make) => make.id === id));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    // Of what is set already nothing else goes along.
    const { benches: forBenches, students: forStudents, from, due, counts, tries, answers } = work;
    onSet(
      {
        ...{ kinds, makes, settings, investigations: families, benches: forBenches, students: forStudents },
        ...{ from, due, place, note: work.note.trim(), counts, tries, answers },
      },
      () => change({ kinds: [], makes: [], investigations: [], note: '' }),
    );
  };
  const practised = (of: 'reading' | 'drill') =>
    practisedKinds.filter((own) => own.of === of).map(({ kind, name }) => [kind, name] as const);
  return (
    <form onSubmit={submit} aria-label={of ? 'Change work' : 'Set work'} className="flex flex-col gap-4">
      {of && (
        <div className="border-l-4 border-brass-line pl-3">
          <h2 tabIndex={-1} ref={heading}>
            Change what is set
          </h2>
          <p className="text-sm text-soft">
            What was read stays read and counts; what lies on a bench stays as it is.
          </p>
        </div>
      )}
      <fieldset>
        <legend className="mb-1 font-bold">What is to be read</legend>
        <Choices of={practised('reading')} chosen={kinds} onChange={(own) => change({ kinds: own })} />
      </fieldset>
      {several.length > 0 && (
        <Fold
          startsOpen={false}
          title="Makes"
          aside={makes.length === 0 ? 'any make' : `${makes.length} chosen`}
        >
          <p className="text-sm text-soft">
            These alone; any make of an instrument of which none is marked. What is taken from this work
            counts.
          </p>
          <Choices
            of={several.map(({ id, name }) => [id, name] as const)}
            chosen={makes}
            onChange={(own) => change({ makes: own })}
          />
        </Fold>
      )}
      <Fold
        startsOpen={false}
        title="Drills"
        aside={`${practised('drill').filter(([kind]) => kinds.includes(kind)).length} chosen`}
      >
        <Choices of={practised('drill')} chosen={kinds} onChange={(own) => change({ kinds: own })} />
      </Fold>
      <Fold startsOpen={false} title="Investigations to hand in" aside={`${families.length} chosen`}>
        <Choices
          of={investigations.map(({ id, title }) => [id, title] as const)}
          chosen={families}
          onChange={(own) => change({ investigations: own })}
        />
      </Fold>
      <Fold startsOpen={false} title="For whom" aside={only === 0 ? 'the class' : `${only} chosen`}>
        <p className="text-sm text-soft">For these alone; for all where none is marked.</p>
        <Choices
          of={benches.map(({ id, name }) => [id, name] as const)}
          chosen={work.benches}
          onChange={(own) => change({ benches: own })}
        />
        <Choices
          of={students.map(({ id, name }) => [id, name] as const)}
          chosen={work.students}
          onChange={(own) => change({ students: own })}
        />
      </Fold>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
        <ChoiceField
          label="How long"
          value={settings === null ? steady : String(settings)}
          choices={held ? untils.slice(1) : untils}
          onChange={(own) => change({ settings: own === steady ? null : Number(own) })}
        />
        <ChoiceField
          label="How it is answered"
          value={wayOf(work)}
          choices={ways}
          onChange={(own) =>
            change(
              own === 'held'
                ? // What is not told cannot become steady.
                  { answers: 'held', tries: triesAllowed, settings: settings ?? 3 }
                : { answers: 'at once', tries: Number(own) },
            )
          }
          className="sm:col-span-2"
        />
        <ChoiceField
          label="Where"
          value={place}
          choices={[
            ['lesson', 'in the lesson'],
            ['home', 'at home'],
          ]}
          onChange={(own) => change({ place: own === 'home' ? 'home' : 'lesson' })}
        />
        <DayField
          label="Shown from"
          day={dayOf(work.from)}
          onChange={(day) => change({ from: instantOf(day, startOfDay) })}
        />
        <DayField
          label="Due, at the end of"
          day={dayOf(work.due)}
          onChange={(day) => change({ due: instantOf(day, endOfDay) })}
        />
        <ChoiceField
          label="It counts"
          value={String(work.counts)}
          choices={worths}
          onChange={(own) => change({ counts: Number(own) })}
        />
        <TextField
          label="A word to them"
          longest={500}
          value={work.note}
          onChange={(note) => change({ note })}
        />
      </div>
      <div className="flex flex-wrap gap-4">
        <Button type="submit" look="main" disabled={busy || kinds.length + families.length === 0}>
          {of ? 'Change it' : 'Set it'}
        </Button>
        {of && <Button onClick={onLeave}>Leave it as it is</Button>}
      </div>
    </form>
  );
}
