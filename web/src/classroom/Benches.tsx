import { endpoints } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { Loading, Page, Trouble } from '../ui/Notice';
import { DrawBenches } from './DrawBenches';
import { KeptApart } from './KeptApart';
import { BenchName, Dragged, Seat, SeatedBench } from './SeatedBench';
import { nextName, seatsOf, type Seats } from './seats';

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
      <DrawBenches
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
            <SeatedBench
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
            </SeatedBench>
          ))}
          <SeatedBench id="" name={<h2 className="text-base">At no bench</h2>} foot={null}>
            {free.map((student) => (
              <Seat key={student.id} student={student} bench="" {...seat} />
            ))}
          </SeatedBench>
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
