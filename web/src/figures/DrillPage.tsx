import { at, endpoints, paths, type DrillAnswer, type DrillAttemptAnswer } from '@green-beam/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { Link, useParams } from 'react-router';
import { answerTo, call, sentenceFor } from '../api';
import { useOutbox, useParcels } from '../outbox/OutboxContext';
import { useDraft } from '../outbox/useDraft';
import { useKeeping } from '../outbox/useKeeping';
import { FieldTrouble } from '../ui/FieldTrouble';
import { Button } from '../ui/Button';
import { Elsewhere } from '../ui/Elsewhere';
import { Stated } from '../ui/Figure';
import { KeptAnswer } from '../ui/KeptAnswer';
import { Loading, Trouble } from '../ui/Notice';
import { ReadingField } from '../ui/ReadingField';
import { useWriting } from '../ui/useWriting';
import { UnitChoice } from '../ui/UnitChoice';
import { useDrill } from './Drills';
import { ClaimChoice } from './ClaimChoice';
import { FiguresPage } from './Figures';
import { Given } from './Given';
import { OtherDrills } from './OtherDrills';

/** One item: what is given, where the answer is written, and what is said of it. */
export function DrillPage() {
  const { itemId = '' } = useParams();
  const drill = useQuery({
    queryKey: ['drill', itemId],
    queryFn: () => call(endpoints.drillItem, { params: { itemId } }),
    staleTime: Infinity,
  });
  if (drill.data === undefined)
    return drill.isError ? (
      <Trouble error={drill.error} again={() => void drill.refetch()} />
    ) : (
      <Loading what="the item" />
    );
  return <OpenDrill key={itemId} drill={drill.data} />;
}

function OpenDrill({ drill }: { readonly drill: DrillAnswer }) {
  const writing = useWriting();
  const [text, setText, , unkept] = useDraft(`${drill.id}/text`);
  const [keep, trouble] = useKeeping();
  const [unit, setUnit] = useDraft(`${drill.id}/unit`);
  const field = useRef<HTMLInputElement>(null);
  const next = useDrill();
  const tries = useDrillTries(drill.id);
  const finished = drill.triesLeft === 0;
  const latest = tries.unread ?? drill.attempts.at(-1);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (finished) return next.mutate({ kind: drill.kind, ...(drill.task ? { task: drill.task } : {}) });
    if (text.trim() === '' || tries.waiting) return field.current?.focus();
    void keep(tries.check(text, unit));
    field.current?.select();
  };
  return (
    <FiguresPage title={drill.name}>
      <div className="grid gap-10 md:grid-cols-2">
        <section aria-label="Given" className="bg-white p-6">
          <h2 className="mb-4 text-xl">{drill.prompt}</h2>
          <Given lines={drill.given} unmarked={drill.unmarked} />
        </section>
        <form onSubmit={submit} className="flex flex-col gap-4">
          <FieldTrouble says={trouble ?? unkept} />
          {drill.choices ? (
            <ClaimChoice
              claims={drill.choices}
              chosen={text}
              disabled={finished}
              onChoose={setText}
              fieldRef={field}
            />
          ) : (
            <div className="flex flex-wrap items-end gap-4">
              <ReadingField
                ref={field}
                size="large"
                className="min-w-52 flex-1"
                aria-label="Your answer"
                autoFocus
                readOnly={finished}
                value={text}
                onChange={(event) => setText(event.target.value)}
              />
              {drill.unitChoices.length > 0 && (
                <UnitChoice choices={drill.unitChoices} unit={unit} disabled={finished} onChoose={setUnit} />
              )}
            </div>
          )}
          <p className="-mt-2 text-sm text-soft">
            {drill.choices
              ? 'Each bar is what a writing claims, on one scale.'
              : text.trim() === ''
                ? 'Write the number as your class writes it.'
                : writing?.described(text)}
          </p>
          {latest && !tries.waiting && <Said attempt={latest} />}
          {tries.waiting && (
            <p role="status">Your answer is kept, and checked as soon as the server answers.</p>
          )}
          {next.isError && (
            <p role="alert" className="border-l-4 border-vermilion pl-3">
              {sentenceFor(next.error)}
            </p>
          )}
          <div className="flex flex-wrap items-center gap-4">
            <Button look="main" type="submit" disabled={tries.waiting || next.isPending}>
              {finished ? 'Next item' : drill.held ? 'Give the answer' : 'Check answer'}
            </Button>
            {!finished && drill.attempts.length > 0 && (
              <span className="text-sm text-soft">
                {drill.triesLeft === 1
                  ? 'One more try; then the answer is shown.'
                  : `${drill.triesLeft} tries left.`}
              </span>
            )}
            <Link to="/figures/drills" className="ml-auto text-sm underline underline-offset-4">
              Another drill
            </Link>
          </div>
        </form>
      </div>
      <OtherDrills current={drill.kind} onTake={(kind) => next.mutate({ kind })} />
    </FiguresPage>
  );
}

const written = ({ text, unit }: { readonly text: string; readonly unit: string }): string =>
  [text, unit].filter((part) => part !== '').join(' ');

function Said({ attempt: { verdict, solution, text, unit } }: { readonly attempt: DrillAttemptAnswer }) {
  if (verdict.outcome === 'unreadable')
    return (
      <p role="status" className="border-l-4 border-brass-line pl-3">
        {verdict.problem.message} This cost no try.
      </p>
    );
  if (verdict.outcome === 'held') return <KeptAnswer text={text} unit={unit} />;
  return (
    <div role="status" className="flex flex-col gap-3">
      <p className={verdict.outcome === 'right' ? 'font-bold text-beam' : 'font-bold text-vermilion'}>
        <Stated text={`${text.trim()} ${unit}`} className="mr-3 font-normal text-ink" />
        {verdict.outcome === 'right' ? 'Level: right.' : 'Not yet.'}
      </p>
      {verdict.outcome === 'wrong' && verdict.causes.length === 0 && (
        <p>None of the known mistakes gives this number. Work it out again, one step at a time.</p>
      )}
      {verdict.outcome === 'wrong' && verdict.causes.length > 1 && (
        <p>More than one thing may be behind it.</p>
      )}
      {verdict.outcome === 'wrong' &&
        verdict.causes.map(({ code, title, hint }) => (
          <p key={code}>
            <strong>{title}</strong> {hint}
          </p>
        ))}
      {verdict.remarks.map((remark) => (
        <p key={remark}>{remark}</p>
      ))}
      {solution && (
        <ol className="ml-5 list-decimal border-t border-rule pt-3" aria-label="How it is worked out">
          {solution.working.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
      )}
      {solution?.elsewhere.some((row) => row.text !== written(solution)) && (
        <Elsewhere
          question="What would other house rules write?"
          own={written(solution)}
          rows={() => solution.elsewhere}
        />
      )}
    </div>
  );
}

/** Answers go through the outbox, so that none is lost. */
function useDrillTries(itemId: string) {
  const outbox = useOutbox();
  const queries = useQueryClient();
  const path = at(paths.drillAttempts, { itemId });
  const [unread, setUnread] = useState<DrillAttemptAnswer | null>(null);
  const mine = useParcels().filter((parcel) => parcel.path === path);
  useEffect(
    () =>
      outbox.onSent(({ parcel, answer }) => {
        if (parcel.path !== path) return;
        const attempt = answerTo(endpoints.drillAttempt, parcel.path, answer)?.answer;
        if (!attempt) return;
        if (attempt.verdict.outcome === 'unreadable') return setUnread(attempt);
        setUnread(null);
        queries.setQueryData<DrillAnswer>(
          ['drill', itemId],
          (drill) =>
            drill && {
              ...drill,
              triesLeft: attempt.triesLeft,
              attempts: [...drill.attempts.filter(({ id }) => id !== attempt.id), attempt],
            },
        );
      }),
    [outbox, path, queries, itemId],
  );
  return {
    unread,
    waiting: mine.some(({ refused }) => refused === undefined),
    check: (text: string, unit: string) => {
      const id = crypto.randomUUID();
      return outbox.add({ id, path, body: { id, text, unit } });
    },
  };
}
