import type { TasksAnswer } from '@green-beam/contract';
import { endOfDay, isoDay, makesOf, practisedKinds, startOfDay, type SetWork } from '@green-beam/core';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { Button } from '../ui/Button';
import { CheckField, ChoiceField, TextField } from '../ui/fields';
import { Fold } from '../ui/Fold';
import { DayField } from './DayField';

const untils = [
  ['steady', 'until each is steady'],
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
const wayOf = ({ answers, tries }: Pick<SetWork, 'answers' | 'tries'>): string =>
  answers === 'held' ? 'held' : String(tries);

const dayOf = (instant: string | null): string => (instant === null ? '' : isoDay(instant));

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
  const [kinds, setKinds] = useState<readonly string[]>(of?.kinds ?? []);
  const [makes, setMakes] = useState<readonly string[]>(of?.makes ?? []);
  const [families, setFamilies] = useState<readonly string[]>(of?.investigations ?? []);
  const [onlyBenches, setOnlyBenches] = useState<readonly string[]>(of?.benches ?? []);
  const [onlyStudents, setOnlyStudents] = useState<readonly string[]>(of?.students ?? []);
  const [until, setUntil] = useState(of ? String(of.settings ?? 'steady') : 'steady');
  const [place, setPlace] = useState<SetWork['place']>(of?.place ?? 'lesson');
  const [from, setFrom] = useState(dayOf(of?.from ?? null));
  const [due, setDue] = useState(dayOf(of?.due ?? null));
  const [counts, setCounts] = useState(String(of?.counts ?? 0));
  const [way, setWay] = useState(of ? wayOf(of) : '3');
  const [note, setNote] = useState(of?.note ?? '');
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const only = onlyBenches.length + onlyStudents.length;
  const several = makesOf(kinds);
  const onlyMakes = makes.filter((id) => several.some((make) => make.id === id));
  // What is not told cannot become steady.
  const countsSettings = way === 'held' && until === 'steady';
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSet(
      {
        kinds,
        makes: onlyMakes,
        settings: countsSettings ? 3 : until === 'steady' ? null : Number(until),
        investigations: families,
        benches: onlyBenches,
        students: onlyStudents,
        from: from === '' ? null : startOfDay(from).toISOString(),
        due: due === '' ? null : endOfDay(due).toISOString(),
        place,
        note: note.trim(),
        counts: Number(counts),
        tries: way === 'held' ? 3 : Number(way),
        answers: way === 'held' ? 'held' : 'at once',
      },
      () => {
        setKinds([]);
        setMakes([]);
        setFamilies([]);
        setNote('');
      },
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
        <Choices of={practised('reading')} chosen={kinds} onChange={setKinds} />
      </fieldset>
      {several.length > 0 && (
        <Fold
          startsOpen={false}
          title="Makes"
          aside={onlyMakes.length === 0 ? 'any make' : `${onlyMakes.length} chosen`}
        >
          <p className="text-sm text-soft">
            These alone; any make of an instrument of which none is marked. What is taken from this work
            counts.
          </p>
          <Choices
            of={several.map(({ id, name }) => [id, name] as const)}
            chosen={makes}
            onChange={setMakes}
          />
        </Fold>
      )}
      <Fold
        startsOpen={false}
        title="Drills"
        aside={`${practised('drill').filter(([kind]) => kinds.includes(kind)).length} chosen`}
      >
        <Choices of={practised('drill')} chosen={kinds} onChange={setKinds} />
      </Fold>
      <Fold startsOpen={false} title="Investigations to hand in" aside={`${families.length} chosen`}>
        <Choices
          of={investigations.map(({ id, title }) => [id, title] as const)}
          chosen={families}
          onChange={setFamilies}
        />
      </Fold>
      <Fold startsOpen={false} title="For whom" aside={only === 0 ? 'the class' : `${only} chosen`}>
        <p className="text-sm text-soft">For these alone; for all where none is marked.</p>
        <Choices
          of={benches.map(({ id, name }) => [id, name] as const)}
          chosen={onlyBenches}
          onChange={setOnlyBenches}
        />
        <Choices
          of={students.map(({ id, name }) => [id, name] as const)}
          chosen={onlyStudents}
          onChange={setOnlyStudents}
        />
      </Fold>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
        <ChoiceField
          label="How long"
          value={countsSettings ? '3' : until}
          choices={way === 'held' ? untils.slice(1) : untils}
          onChange={setUntil}
        />
        <ChoiceField
          label="How it is answered"
          value={way}
          choices={ways}
          onChange={setWay}
          className="sm:col-span-2"
        />
        <ChoiceField
          label="Where"
          value={place}
          choices={[
            ['lesson', 'in the lesson'],
            ['home', 'at home'],
          ]}
          onChange={(own) => setPlace(own === 'home' ? 'home' : 'lesson')}
        />
        <DayField label="Shown from" day={from} onChange={setFrom} />
        <DayField label="Due, at the end of" day={due} onChange={setDue} />
        <ChoiceField label="It counts" value={counts} choices={worths} onChange={setCounts} />
        <TextField label="A word to them" longest={500} value={note} onChange={setNote} />
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

function Choices({
  of,
  chosen,
  onChange,
}: {
  readonly of: readonly (readonly [key: string, name: string])[];
  readonly chosen: readonly string[];
  readonly onChange: (chosen: readonly string[]) => void;
}) {
  return (
    <div className="grid grid-cols-2 gap-x-4 sm:grid-cols-3">
      {of.map(([key, name]) => (
        <CheckField
          key={key}
          label={name}
          checked={chosen.includes(key)}
          onChange={(on) => onChange(on ? [...chosen, key] : chosen.filter((own) => own !== key))}
        />
      ))}
    </div>
  );
}
