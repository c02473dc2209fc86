import {
  claimWords,
  comparable,
  compared,
  comparisonOf,
  judgeClaim,
  questionsOfClaims,
  type Compared,
  type Comparison,
  type ComparisonClaim,
  type MeanPlan,
} from '@green-beam/core';
import { useMemo, type FormEvent } from 'react';
import { Link } from 'react-router';
import { said, useOpenBook, type Book } from '../logbook/book';
import { useDraft } from '../outbox/useDraft';
import { useKeeping } from '../outbox/useKeeping';
import { Button } from '../ui/Button';
import { FieldTrouble } from '../ui/FieldTrouble';
import { TextField } from '../ui/fields';
import { Choice, useChoice } from './Choice';
import { Comparing } from './Comparing';

/** One logbook's groups: first what its writers claim, then what the trials show and carry. */
export function LogbookCompare() {
  const book = useOpenBook();
  const { id, investigation, conventions, readers } = book.answer;
  const plans = comparable(investigation);
  const choice = useChoice(plans, investigation.tables, 'row');
  const { table, outcome } = book;
  const key = choice.plan?.key ?? '';
  const comparison = useMemo(
    () =>
      comparisonOf(
        [{ id, bench: readers.join(', '), investigation, cells: table, outcome }],
        key,
        choice.by,
        choice.row,
      ),
    [id, readers, investigation, table, outcome, key, choice.by, choice.row],
  );
  const all = useMemo(() => compared(comparison), [comparison]);
  if (!choice.plan) return <p>Nothing here is a mean of trials: there is nothing to compare.</p>;
  const claims = choice.by === 'row' && comparison.groups.length > 1;
  const open = claims
    ? questionsOfClaims.filter((question) => asked(question, all) && !claimIn(book, choice.plan, question))
    : [];
  return (
    <>
      <Choice choice={choice} plans={plans} />
      <p className="no-print mb-4">
        <Link to="/compare/try" className="underline underline-offset-4">
          Try it with pretended vessels
        </Link>
      </p>
      {claims && <Claims book={book} plan={choice.plan} comparison={comparison} all={all} />}
      <Comparing
        name={choice.plan.name}
        comparison={comparison}
        conventions={conventions}
        causes={investigation.causes}
        covered={
          open.length > 0 && book.answer.mayWrite ? (
            <p className="text-soft">
              What these trials show and can carry appears here once your claims are written.
            </p>
          ) : null
        }
      />
    </>
  );
}

/** A question that the trials can be asked at all. */
const asked = (question: ComparisonClaim['question'], { shown }: Compared): boolean =>
  shown.filter(({ error, sd }) => (question === 'more accurate' ? error !== null : sd !== null)).length > 1;

interface Written extends ComparisonClaim {
  readonly reason: string;
}

function claimIn(
  { table }: Book,
  plan: MeanPlan | undefined,
  question: ComparisonClaim['question'],
): Written | null {
  const text = said(table, { kind: 'claim', question: `${plan?.key ?? ''}/${question}` });
  if (text === '') return null;
  try {
    const { of, reason } = JSON.parse(text) as { of?: unknown; reason?: unknown };
    return { question, of: typeof of === 'string' ? of : null, reason: String(reason ?? '') };
  } catch {
    return null;
  }
}

const questionWords = {
  'more accurate': 'Which is most accurate?',
  'more precise': 'Which is most precise?',
} as const;

function Claims({
  book,
  plan,
  comparison,
  all,
}: {
  readonly book: Book;
  readonly plan: MeanPlan;
  readonly comparison: Comparison;
  readonly all: Compared;
}) {
  const nameOf = (key: string | null) =>
    key === null ? null : (comparison.groups.find((group) => group.key === key)?.name ?? key);
  return (
    <section aria-label="Claims" className="mb-6 grid gap-x-10 gap-y-5 md:grid-cols-2">
      {questionsOfClaims
        .filter((question) => asked(question, all))
        .map((question) => {
          const claim = claimIn(book, plan, question);
          const rule = book.answer.conventions.howCompare;
          return (
            <div key={question}>
              <h2 className="mb-1">{questionWords[question]}</h2>
              {claim ? (
                <>
                  <p>
                    <strong>{nameOf(claim.of) ?? 'It cannot be told.'}</strong> {claim.reason}
                  </p>
                  <p className="border-l-4 border-beam pl-3">
                    {claimWords(judgeClaim(claim, all, rule), claim, nameOf(claim.of) ?? '')}
                  </p>
                </>
              ) : book.answer.mayWrite ? (
                <ClaimForm book={book} plan={plan} question={question} comparison={comparison} />
              ) : (
                <p className="text-soft">No claim is written.</p>
              )}
            </div>
          );
        })}
    </section>
  );
}

const cannotTell = 'cannot tell';

function ClaimForm({
  book,
  plan,
  question,
  comparison,
}: {
  readonly book: Book;
  readonly plan: MeanPlan;
  readonly question: ComparisonClaim['question'];
  readonly comparison: Comparison;
}) {
  const place = `${book.answer.id}/claim/${plan.key}/${question}`;
  const [of, setOf, letGoOf] = useDraft(`${place}/of`);
  const [reason, setReason, letGo] = useDraft(place);
  const [keep, trouble] = useKeeping();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (of === '' || reason.trim() === '') return;
    const kept = await keep(
      book.say(
        { kind: 'claim', question: `${plan.key}/${question}` },
        JSON.stringify({ of: of === cannotTell ? null : of, reason: reason.trim() }),
      ),
    );
    if (!kept) return;
    letGo();
    letGoOf();
  };
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-2">
      <fieldset className="flex flex-wrap gap-x-5">
        <legend className="sr-only">{questionWords[question]}</legend>
        {[...comparison.groups, { key: cannotTell, name: 'It cannot be told' }].map(({ key, name }) => (
          <label key={key} className="flex items-center gap-2 py-1">
            <input type="radio" name={question} checked={of === key} onChange={() => setOf(key)} />
            {name}
          </label>
        ))}
      </fieldset>
      <TextField label="How do you know?" long longest={600} value={reason} onChange={setReason} />
      <FieldTrouble says={trouble} />
      <Button type="submit" className="self-start" disabled={of === '' || reason.trim() === ''}>
        Claim it
      </Button>
    </form>
  );
}
