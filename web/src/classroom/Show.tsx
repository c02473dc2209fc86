import {
  endpoints,
  type BenchInstrument,
  type StaffShow,
  type StaffShowAnswer,
  type NewShow,
  type NewStationShow,
} from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Suspense, useState } from 'react';
import { useParams } from 'react-router';
import { call, sentenceFor } from '../api';
import { apparatuses } from '../bench/apparatus/apparatuses';
import { useBench } from '../bench/BenchIndex';
import { RealStation } from '../bench/RealStation';
import { Button } from '../ui/Button';
import { Loading, Trouble } from '../ui/Notice';
import { NewShowForm } from './NewShowForm';
import { ShowPanel } from './ShowPanel';

/** What the class is shown: a setting large on the bench, beside it the class's answers and, when wanted, the answer. */
export function Show() {
  const { classId = '' } = useParams();
  const show = useQuery({
    queryKey: ['classShow', classId],
    queryFn: () => call(endpoints.classShow, { params: { classId } }),
  });
  const bench = useBench();
  const failed = [show, bench].find(({ isError, data }) => isError && data === undefined);
  if (failed) return <Trouble error={failed.error} again={() => void failed.refetch()} />;
  if (!show.data || !bench.data) return <Loading what="what is shown" />;
  return <OpenShow classId={classId} show={show.data.show} instruments={bench.data.instruments} />;
}

function OpenShow({
  classId,
  show,
  instruments,
}: {
  readonly classId: string;
  readonly show: StaffShow | null;
  readonly instruments: readonly BenchInstrument[];
}) {
  const queries = useQueryClient();
  const [projector, setProjector] = useState(false);
  const keep = (answer: StaffShowAnswer) => queries.setQueryData(['classShow', classId], answer);
  const put = useMutation({
    mutationFn: (body: Omit<NewShow, 'id'>) =>
      call(endpoints.newShow, { params: { classId }, body: { id: crypto.randomUUID(), ...body } }),
    onSuccess: keep,
  });
  const station = useMutation({
    mutationFn: (body: Omit<NewStationShow, 'id'>) =>
      call(endpoints.newStation, { params: { classId }, body: { id: crypto.randomUUID(), ...body } }),
    onSuccess: keep,
  });
  const end = useMutation({
    mutationFn: () => call(endpoints.endShow, { params: { classId } }),
    onSuccess: () => keep({ show: null }),
  });
  const project = () => {
    setProjector(!projector);
    if (projector) void document.exitFullscreen?.().catch(() => undefined);
    else void document.documentElement.requestFullscreen?.().catch(() => undefined);
  };
  return (
    <main
      id="main"
      className={`grid md:min-h-[560px] md:grid-cols-[3fr_2fr] ${projector ? 'projector fixed inset-0 z-40 md:h-screen' : 'md:h-[calc(100vh-65px)]'}`}
    >
      <title>Show · Green Beam</title>
      <Shown show={show} />
      <section aria-label="Your page" className="flex flex-col gap-5 overflow-y-auto bg-page p-6 sm:p-8">
        <div className="flex flex-wrap items-center gap-3">
          <h1 className="mr-auto">{show ? show.question : 'Show something to the class'}</h1>
          {show && (
            <Button aria-pressed={projector} onClick={project}>
              {projector ? 'Leave the projector' : 'Projector'}
            </Button>
          )}
        </div>
        {show && <ShowPanel key={show.id} show={show} onEnd={() => end.mutate()} />}
        {!projector && (
          <NewShowForm
            instruments={instruments}
            busy={put.isPending || station.isPending}
            onShow={(body) => put.mutate(body)}
            onStation={(body) => station.mutate(body)}
          />
        )}
        {(put.isError || station.isError || end.isError) && (
          <p role="alert" className="border-l-4 border-vermilion pl-3">
            {sentenceFor(put.error ?? station.error ?? end.error)}
          </p>
        )}
      </section>
    </main>
  );
}

const nothing = () => undefined;

function Shown({ show }: { readonly show: StaffShow | null }) {
  if (!show)
    return (
      <div className="on-bench grid place-items-center bg-bench p-8 text-chalk">
        <p>Nothing is shown. Choose an instrument beside this.</p>
      </div>
    );
  if (show.tag) return <RealStation tag={show.tag} modelName={show.modelName} />;
  const Apparatus = apparatuses[show.kind];
  return (
    <Suspense fallback={<div className="bg-bench" />}>
      {Apparatus && (
        <Apparatus key={show.id} picture={show.picture} handled={false} left={null} onHands={nothing} />
      )}
    </Suspense>
  );
}
