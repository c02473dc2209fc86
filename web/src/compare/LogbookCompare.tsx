import { claimIn, comparable, compared, questionsOfClaims } from '@green-beam/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useOpenBook } from '../logbook/book';
import { canBeAsked, Claims, useOwnComparison } from '../logbook/Claims';
import { Choice, useChoice } from './Choice';
import { Comparing } from './Comparing';

/** One logbook's groups: first what its writers claim, then what the trials show and carry. */
export function LogbookCompare() {
  const book = useOpenBook();
  const { investigation, conventions } = book.answer;
  const plans = comparable(investigation);
  const choice = useChoice(plans, investigation.tables, 'row');
  const key = choice.plan?.key ?? '';
  const comparison = useOwnComparison(book, key, choice.by, choice.row);
  const all = useMemo(() => compared(comparison), [comparison]);
  if (!choice.plan) return <p>Nothing here is a mean of trials: there is nothing to compare.</p>;
  const claims = choice.by === 'row' && comparison.groups.length > 1;
  const open = claims
    ? questionsOfClaims.filter((question) => canBeAsked(question, all) && !claimIn(book.table, key, question))
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
