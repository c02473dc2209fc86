import { ownBench, ownLogbooks, ownTasks, shownNow } from '../answers/own';
import { useAnswered } from '../answers/useAnswered';
import { useBench } from '../bench/useBench';
import { useLayOut } from '../bench/setting';
import { QuestionLine } from '../bench/QuestionLine';
import { sentenceFor } from '../api';
import { LogbookSummary, useLogbooks } from '../logbook/LogbookIndex';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';
import { Loading, Page, Trouble } from '../ui/Notice';
import { ReadersMark } from '@green-beam/drawing';
import { SetPractice } from './SetPractice';

/** What is set, one suggestion to practise and why, and what one's own readings say. */
export function StudentToday() {
  const { name } = useWho();
  const [bench, books] = [useBench(), useLogbooks()];
  const answered = useAnswered([ownBench, ownLogbooks, shownNow, ownTasks]);
  const failed = [bench, books].find(({ isError, data }) => isError && data === undefined);
  if (failed) return <Trouble error={failed.error} again={() => void failed.refetch()} />;
  if (!answered || !bench.data || !books.data) return <Loading what="your day" />;
  const read = bench.data.instruments.filter(({ skill }) => skill.tries > 0);
  return (
    <Page title="Today" aside={name}>
      <QuestionLine />
      <SetPractice />
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[3fr_2fr]">
        <section aria-label="Set for you">
          <h2 className="mb-2">Set for you</h2>
          {books.data.logbooks.length === 0 && (
            <p className="text-soft">Nothing is set. Practise on the bench.</p>
          )}
          <ul className="divide-y divide-rule border-y border-rule">
            {books.data.logbooks.map((line) => (
              <li key={line.investigationId} className="py-4">
                <LogbookSummary line={line} />
              </li>
            ))}
          </ul>
        </section>
        <div className="flex flex-col gap-8">
          <Suggestion bench={bench.data} />
          <section aria-label="Your readings">
            <h2 className="mb-2">Your readings</h2>
            <ul className="flex flex-col gap-3">
              {read.map(({ kind, name: instrument, skill, mark }) => (
                <li key={kind} className="flex flex-wrap items-center justify-between gap-3">
                  <span>
                    <span className="block first-letter:uppercase">{instrument}</span>
                    <span className="text-sm text-soft">
                      {skill.state}
                      {skill.tries > 0 && `, ${skill.reason}`}
                    </span>
                  </span>
                  {mark && <ReadersMark mark={mark} shaky={skill.state === 'shaky'} />}
                </li>
              ))}
            </ul>
            {read.length === 0 && (
              <p className="text-soft">Nothing yet. Take a setting; your marks appear here.</p>
            )}
            <p className="mt-3 text-sm text-soft">
              A mark’s offset from the green line is how far your readings lean; its width is how far they
              scatter.
            </p>
          </section>
        </div>
      </div>
    </Page>
  );
}

function Suggestion({ bench }: { readonly bench: NonNullable<ReturnType<typeof useBench>['data']> }) {
  const layOut = useLayOut();
  const suggested = bench.instruments.find(({ kind }) => kind === bench.suggestion?.kind);
  if (!suggested || !bench.suggestion) return null;
  return (
    <section aria-label="Practise now" className="border-l-4 border-brass-line pl-4">
      <h2>Practise the {suggested.name}</h2>
      <p className="mb-3">
        {suggested.skill.state}
        {suggested.skill.tries > 0 && <>: {bench.suggestion.reason}</>}.
      </p>
      <Button
        look="main"
        disabled={layOut.isPending}
        onClick={() => layOut.mutate({ kind: suggested.kind, mode: 'read' })}
      >
        Take a setting
      </Button>
      {layOut.isError && <p role="alert">{sentenceFor(layOut.error)}</p>}
    </section>
  );
}
