import {
  claimIn,
  claimSubject,
  claimText,
  claimWords,
  comparisonOf,
  compared,
  groupingsOf,
  judgeClaim,
  questionsOfClaims,
  type Compared,
  type Comparison,
  type ComparisonClaim,
  type MeanPlan,
} from '@green-beam/core';
import { useMemo, type FormEvent } from 'react';
import type { Book } from './book';
import { useDraft } from '../outbox/useDraft';
import { useKeeping } from '../outbox/useKeeping';
import { Button } from '../ui/Button';
import { FieldTrouble } from '../ui/FieldTrouble';
import { TextField } from '../ui/fields';

type Question = ComparisonClaim['question'];

/** The trials of one logbook behind a mean, in groups. */
export const useOwnComparison = (
  { answer: { id, investigation, readers }, table, outcome }: Book,
  key: string,
  by: Parameters<typeof comparisonOf>[2],
  row: string | null = null,
): Comparison =>
  useMemo(
    () =>
      comparisonOf([{ id, bench: readers.join(', '), investigation, cells: table, outcome }], key, by, row),
    [id, readers, investigation, table, outcome, key, by, row],
  );

/** A question that the trials can be asked at all. */
export const canBeAsked = (question: Question, { shown }: Compared): boolean =>
  shown.filter(({ error, sd }) => (question === 'more accurate' ? error !== null : sd !== null)).length > 1;

const questionWords: Readonly<Record<Question, string>> = {
  'more accurate': 'Which is most accurate?',
  'more precise': 'Which is most precise?',
};

/** Every claim that can be made of a mean, each written before it is judged. */
export function Claims({
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
  return (
    <section aria-label="Claims" className="mb-6 grid gap-x-10 gap-y-5 md:grid-cols-2">
      {questionsOfClaims
        .filter((question) => canBeAsked(question, all))
        .map((question) => (
          <div key={question}>
            <h2 className="mb-1">{questionWords[question]}</h2>
            <Claim {...{ book, plan, question, comparison, all }} label={questionWords[question]} />
          </div>
        ))}
    </section>
  );
}

/** A question of the investigation that is answered by a claim. */
export function ClaimAsked({
  book,
  plan,
  question,
  label,
}: {
  readonly book: Book;
  readonly plan: MeanPlan;
  readonly question: Question;
  readonly label: string;
}) {
  const comparison = useOwnComparison(book, plan.key, groupingsOf(plan)[0] ?? 'row');
  const all = useMemo(() => compared(comparison), [comparison]);
  return (
    <div className="max-w-[70ch]">
      <p>{label}</p>
      {canBeAsked(question, all) ? (
        <Claim {...{ book, plan, question, comparison, all, label }} />
      ) : (
        <p className="text-soft">It is asked once two of them have trials.</p>
      )}
    </div>
  );
}

/** A claim with what it is judged as, or the form to make it. */
function Claim({
  book,
  plan,
  question,
  comparison,
  all,
  label,
}: {
  readonly book: Book;
  readonly plan: MeanPlan;
  readonly question: Question;
  readonly comparison: Comparison;
  readonly all: Compared;
  readonly label: string;
}) {
  const claim = claimIn(book.table, plan.key, question);
  const name = comparison.groups.find(({ key }) => key === claim?.of)?.name ?? claim?.of;
  if (!claim)
    return book.answer.mayWrite ? (
      <ClaimForm {...{ book, plan, question, comparison, label }} />
    ) : (
      <p className="text-soft">No claim is written.</p>
    );
  const verdict = judgeClaim(claim, all, book.answer.conventions.howCompare);
  return (
    <>
      <p>
        <strong>{name ?? 'It cannot be told.'}</strong> {claim.reason}
      </p>
      <p className="border-l-4 border-beam pl-3">{claimWords(verdict, claim, name ?? '')}</p>
    </>
  );
}

const cannotTell = 'cannot tell';

function ClaimForm({
  book,
  plan,
  question,
  comparison,
  label,
}: {
  readonly book: Book;
  readonly plan: MeanPlan;
  readonly question: Question;
  readonly comparison: Comparison;
  readonly label: string;
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
        claimSubject(plan.key, question),
        claimText({ of: of === cannotTell ? null : of, reason: reason.trim() }),
      ),
    );
    if (!kept) return;
    letGo();
    letGoOf();
  };
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-2">
      <fieldset className="flex flex-wrap gap-x-5">
        <legend className="sr-only">{label}</legend>
        {[...comparison.groups, { key: cannotTell, name: 'It cannot be told' }].map(({ key, name }) => (
          <label key={key} className="flex items-center gap-2 py-1">
            <input type="radio" name={place} checked={of === key} onChange={() => setOf(key)} />
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
