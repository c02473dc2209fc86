import {
  endpoints,
  type BenchInstrument,
  type StaffQuestion,
  type StaffQuestionAnswer,
  type NewClassQuestion,
  type NewStationQuestion,
} from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Suspense } from 'react';
import { useParams } from 'react-router';
import { call, sentenceFor } from '../api';
import { apparatuses } from '../bench/apparatus/apparatuses';
import { useBench } from '../bench/useBench';
import { RealStation } from '../bench/RealStation';
import { Button } from '../ui/Button';
import { useProjector } from '../ui/useProjector';
import { Loading, Trouble } from '../ui/Notice';
import { NewQuestionForm } from './NewQuestionForm';
import { QuestionPanel } from './QuestionPanel';
import { useWarmUp } from './useWarmUp';
import { WarmUp } from './WarmUp';

/** What the class is shown: a setting large on the bench, beside it the class's answers and, when wanted, the answer. */
export function ClassQuestion() {
  const { classId = '' } = useParams();
  const question = useQuery({
    queryKey: ['classShow', classId],
    queryFn: () => call(endpoints.classQuestion, { params: { classId } }),
  });
  const bench = useBench();
  const failed = [question, bench].find(({ isError, data }) => isError && data === undefined);
  if (failed) return <Trouble error={failed.error} again={() => void failed.refetch()} />;
  if (!question.data || !bench.data) return <Loading what="what is shown" />;
  return (
    <OpenShow classId={classId} question={question.data.question} instruments={bench.data.instruments} />
  );
}

function OpenShow({
  classId,
  question,
  instruments,
}: {
  readonly classId: string;
  readonly question: StaffQuestion | null;
  readonly instruments: readonly BenchInstrument[];
}) {
  const queries = useQueryClient();
  const [projector, project] = useProjector();
  const keep = (answer: StaffQuestionAnswer) => queries.setQueryData(['classShow', classId], answer);
  const put = useMutation({
    mutationFn: (body: NewClassQuestion) => call(endpoints.newClassQuestion, { params: { classId }, body }),
    onSuccess: keep,
  });
  const warmUp = useWarmUp(classId);
  const [next] = warmUp.planned;
  const inRun = question !== null && question.id === warmUp.current;
  const goOn = () => {
    if (!next) return;
    const id = crypto.randomUUID();
    put.mutate({ id, ...next }, { onSuccess: () => warmUp.goOn(question, id) });
  };
  const station = useMutation({
    mutationFn: (body: Omit<NewStationQuestion, 'id'>) =>
      call(endpoints.newStation, { params: { classId }, body: { id: crypto.randomUUID(), ...body } }),
    onSuccess: keep,
  });
  const reveal = useMutation({
    mutationFn: () => call(endpoints.revealQuestion, { params: { classId }, body: {} }),
    onSuccess: keep,
  });
  const end = useMutation({
    mutationFn: () => call(endpoints.endQuestion, { params: { classId } }),
    onSuccess: () => {
      warmUp.goOn(question, null);
      keep({ question: null });
    },
  });
  return (
    <main
      id="main"
      className={`grid md:min-h-[560px] md:grid-cols-[3fr_2fr] ${projector ? 'projector fixed inset-0 z-40 md:h-screen' : 'md:h-[calc(100vh-65px)]'}`}
    >
      <title>Show · Green Beam</title>
      <Shown question={question} />
      <section aria-label="Your page" className="flex flex-col gap-5 overflow-y-auto bg-page p-6 sm:p-8">
        <div className="flex flex-wrap items-center gap-3">
          <h1 className="mr-auto">{question ? question.question : 'Show something to the class'}</h1>
          {question && (
            <Button aria-pressed={projector} onClick={project}>
              {projector ? 'Leave the projector' : 'Projector'}
            </Button>
          )}
        </div>
        {question && (
          <QuestionPanel
            key={question.id}
            question={question}
            named={!projector}
            onReveal={() => reveal.mutate()}
            onEnd={() => end.mutate()}
          />
        )}
        {next && (
          <Button className="self-start" disabled={put.isPending} onClick={goOn}>
            {inRun || warmUp.asked.length > 0
              ? `Next question, ${warmUp.planned.length} to come`
              : `Begin the warm-up, ${warmUp.planned.length} to come`}
          </Button>
        )}
        {!projector && (
          <WarmUp
            planned={warmUp.planned}
            asked={warmUp.asked}
            running={inRun}
            instruments={instruments}
            onRemove={warmUp.remove}
            onClear={warmUp.clear}
          />
        )}
        {!projector && (
          <NewQuestionForm
            instruments={instruments}
            busy={put.isPending || station.isPending}
            onShow={(body, shown) => put.mutate({ id: crypto.randomUUID(), ...body }, { onSuccess: shown })}
            onLater={warmUp.add}
            onStation={(body, shown) => station.mutate(body, { onSuccess: shown })}
          />
        )}
        {(put.isError || station.isError || reveal.isError || end.isError) && (
          <p role="alert" className="border-l-4 border-vermilion pl-3">
            {sentenceFor(put.error ?? station.error ?? reveal.error ?? end.error)}
          </p>
        )}
      </section>
    </main>
  );
}

const nothing = () => undefined;

function Shown({ question }: { readonly question: StaffQuestion | null }) {
  if (!question)
    return (
      <div className="on-bench grid place-items-center bg-bench p-8 text-chalk">
        <p>Nothing is shown. Choose an instrument beside this.</p>
      </div>
    );
  if (question.tag) return <RealStation tag={question.tag} modelName={question.modelName} />;
  const Apparatus = apparatuses[question.kind];
  return (
    <Suspense fallback={<div className="bg-bench" />}>
      {Apparatus && (
        <Apparatus
          key={question.id}
          picture={question.picture}
          handled={false}
          left={null}
          onHands={nothing}
        />
      )}
    </Suspense>
  );
}
