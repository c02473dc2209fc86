import { endpoints, type Arrangement, type BenchesAnswer } from '@green-beam/contract';
import {
  DndContext,
  KeyboardSensor,
  pointerWithin,
  PointerSensor,
  rectIntersection,
  type CollisionDetection,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { drawBenches } from '@green-beam/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import clsx from 'clsx';
import { GripVertical } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { ChoiceField, TextField } from '../ui/fields';
import { Loading, Page, Trouble } from '../ui/Notice';
import { KeptApart } from './KeptApart';

type Seats = Pick<Arrangement, 'benches' | 'apart'>;
type Student = BenchesAnswer['students'][number];

const benchesKey = (classId: string) => ['benches', classId] as const;

/** Who sits at which bench: by dragging, by a choice at each name, or drawn. Every change is kept at once, and can be undone. */
export function Benches() {
  const { classId = '' } = useParams();
  const queries = useQueryClient();
  const answer = useQuery({
    queryKey: benchesKey(classId),
    queryFn: () => call(endpoints.benches, { params: { classId } }),
  });
  const [before, setBefore] = useState<Seats | null>(null);
  const arrange = useMutation({
    // One after the other, in the order in which they were made.
    scope: { id: `benches ${classId}` },
    mutationFn: (body: Seats) => call(endpoints.arrange, { params: { classId }, body }),
    onSuccess: (now) => queries.setQueryData(benchesKey(classId), now),
  });
  if (answer.data === undefined)
    return answer.isError ? <Trouble error={answer.error} /> : <Loading what="the benches" />;
  const { class: own, students } = answer.data;
  // What was asked for is seen at once; what is refused goes back.
  const { benches, apart } = arrange.isPending ? arrange.variables : seatsOf(answer.data);
  const put = (seats: Partial<Seats>) => {
    setBefore({ benches, apart });
    arrange.mutate({ benches, apart, ...seats });
  };
  const move = (student: string, bench: string) =>
    put({
      benches: benches.map(({ members, ...rest }) => ({
        ...rest,
        members: [...members.filter((id) => id !== student), ...(rest.id === bench ? [student] : [])],
      })),
    });
  const free = students.filter(({ id }) => !benches.some(({ members }) => members.includes(id)));
  const seat = { benches, onMove: move };
  return (
    <Page title={`${own.name}, benches`} aside={`${students.length} students, ${benches.length} benches`}>
      <p className="mb-5 flex flex-wrap gap-x-6">
        <Link to={`/class/${classId}/roster`} className="underline underline-offset-4">
          Roster and slips
        </Link>
        <Link to={`/class/${classId}`} className="underline underline-offset-4">
          Back to the class
        </Link>
      </p>
      <Draw
        students={students}
        apart={apart}
        benches={benches}
        onDrawn={(drawn) => put({ benches: drawn })}
      />
      <Button
        look="quiet"
        disabled={before === null}
        onClick={() => {
          if (before) arrange.mutate(before);
          setBefore(null);
        }}
      >
        Undo
      </Button>
      {arrange.isError && (
        <p role="alert" className="my-2 border-l-4 border-vermilion pl-3">
          {sentenceFor(arrange.error)}
        </p>
      )}
      <Dragged onMove={move}>
        <div className="mt-3 grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
          {benches.map((bench) => (
            <Bench
              key={bench.id}
              id={bench.id}
              name={
                <BenchName
                  key={bench.name}
                  name={bench.name}
                  onRename={(name) =>
                    put({ benches: benches.map((one) => (one.id === bench.id ? { ...one, name } : one)) })
                  }
                />
              }
              foot={
                bench.members.length === 0 && (
                  <Button
                    look="quiet"
                    className="text-sm"
                    onClick={() => put({ benches: benches.filter(({ id }) => id !== bench.id) })}
                  >
                    Take away {bench.name}
                  </Button>
                )
              }
            >
              {bench.members.flatMap((id) => {
                const student = students.find((one) => one.id === id);
                return student ? [<Seat key={id} student={student} bench={bench.id} {...seat} />] : [];
              })}
            </Bench>
          ))}
          <Bench id="" name={<h2 className="text-base">At no bench</h2>} foot={null}>
            {free.map((student) => (
              <Seat key={student.id} student={student} bench="" {...seat} />
            ))}
          </Bench>
        </div>
      </Dragged>
      <Button
        className="mt-4"
        onClick={() =>
          put({ benches: [...benches, { id: crypto.randomUUID(), name: nextName(benches), members: [] }] })
        }
      >
        Add a bench
      </Button>
      <KeptApart students={students} apart={apart} onChange={(pairs) => put({ apart: pairs })} />
    </Page>
  );
}

const seatsOf = ({ benches, apart }: BenchesAnswer): Seats => ({
  benches: benches.map(({ id, name, members }) => ({ id, name, members: [...members] })),
  apart: apart.map((pair) => [...pair]),
});

/** The first `Bench 1`, `Bench 2` … that is free. */
function nextName(benches: Seats['benches']): string {
  const taken = new Set(benches.map(({ name }) => name.toLowerCase()));
  for (let nth = 1; ; nth += 1) if (!taken.has(`bench ${nth}`)) return `Bench ${nth}`;
}

function Draw({
  students,
  apart,
  benches,
  onDrawn,
}: {
  readonly students: readonly Student[];
  readonly apart: Seats['apart'];
  readonly benches: Seats['benches'];
  readonly onDrawn: (benches: Seats['benches']) => void;
}) {
  const [size, setSize] = useState('3');
  const [by, setBy] = useState<'chance' | 'explaining'>('chance');
  const [refused, setRefused] = useState(false);
  const draw = () => {
    const here = students.filter(({ absent }) => !absent);
    const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;
    const drawn = drawBenches(here, { size: Number(size), apart, by }, seed);
    setRefused(drawn === null);
    if (!drawn) return;
    const names: Seats['benches'] = [];
    for (const [at, members] of drawn.entries()) {
      const old = benches[at];
      names.push({
        id: old?.id ?? crypto.randomUUID(),
        name: old?.name ?? nextName([...benches, ...names]),
        members,
      });
    }
    onDrawn(names);
  };
  return (
    <div className="mb-3 flex flex-wrap items-end gap-4">
      <ChoiceField
        label="At a bench"
        value={size}
        choices={['2', '3', '4', '5', '6'].map((own) => [own, `${own} students`] as const)}
        onChange={setSize}
        className="w-36"
      />
      <ChoiceField
        label="Together"
        value={by}
        choices={[
          ['chance', 'by chance'],
          ['explaining', 'who can explain what another misreads'],
        ]}
        onChange={(own) => setBy(own === 'explaining' ? 'explaining' : 'chance')}
        className="w-80 max-w-full"
      />
      <Button look="main" disabled={students.length === 0} onClick={draw}>
        Draw the benches
      </Button>
      {refused && (
        <p role="alert" className="basis-full border-l-4 border-vermilion pl-3">
          With so many at a bench these pairs cannot be kept apart. Try fewer at a bench.
        </p>
      )}
    </div>
  );
}

/** The bench under the pointer; by keys, the one that what is dragged covers most of. */
const underThePointer: CollisionDetection = (dragged) => {
  const within = pointerWithin(dragged);
  return within.length > 0 ? within : rectIntersection(dragged);
};

function Dragged({
  onMove,
  children,
}: {
  readonly onMove: (student: string, bench: string) => void;
  readonly children: ReactNode;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor),
  );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={underThePointer}
      onDragEnd={({ active, over }) =>
        over && onMove(String(active.id), String(over.id).replace(/^bench /, ''))
      }
    >
      {children}
    </DndContext>
  );
}

function Bench({
  id,
  name,
  foot,
  children,
}: {
  readonly id: string;
  readonly name: ReactNode;
  readonly foot: ReactNode;
  readonly children: readonly ReactNode[];
}) {
  const { setNodeRef, isOver } = useDroppable({ id: `bench ${id}` });
  return (
    <section
      ref={setNodeRef}
      className={clsx('min-h-32 border bg-white p-3', isOver ? 'border-beam' : 'border-rule')}
    >
      {name}
      <ul className="my-2 flex flex-col gap-1">{children}</ul>
      {foot}
    </section>
  );
}

/** Renamed when the field is left. */
function BenchName({ name, onRename }: { readonly name: string; readonly onRename: (name: string) => void }) {
  const [text, setText] = useState(name);
  return (
    <div onBlur={() => (text.trim() === '' ? setText(name) : text.trim() !== name && onRename(text.trim()))}>
      <TextField label="Bench" longest={40} value={text} onChange={setText} />
    </div>
  );
}

function Seat({
  student,
  bench,
  benches,
  onMove,
}: {
  readonly student: Student;
  readonly bench: string;
  readonly benches: Seats['benches'];
  readonly onMove: (student: string, bench: string) => void;
}) {
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id: student.id });
  return (
    <li
      ref={setNodeRef}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      className="flex items-center gap-1"
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Drag ${student.name}`}
        className="cursor-grab touch-none p-1"
      >
        <GripVertical aria-hidden="true" className="size-4" />
      </button>
      <span className="flex-1">
        {student.name}
        {student.absent && <span className="text-sm text-soft"> absent</span>}
      </span>
      <select
        aria-label={`Bench of ${student.name}`}
        value={bench}
        onChange={(event) => onMove(student.id, event.target.value)}
        className="max-w-28 rounded-sm border border-edge bg-white py-1 text-sm"
      >
        <option value="">no bench</option>
        {benches.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </li>
  );
}
