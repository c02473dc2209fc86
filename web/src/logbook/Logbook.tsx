import type { LogbookAnswer } from '@green-beam/contract';
import { useParams } from 'react-router';
import { Button } from '../ui/Button';
import { Loading, Page, Trouble } from '../ui/Notice';
import { useBook, useLogbook } from './book';
import { KeptCalculations } from './KeptCalculations';
import { Method } from './Method';
import { ResultCard } from './ResultCard';
import { TrialTable } from './TrialTable';

/** One investigation: what to do, what was read, what it amounts to. */
export function Logbook() {
  const { logbookId = '' } = useParams();
  const logbook = useLogbook(logbookId);
  if (logbook.data === undefined) {
    return logbook.isError ? (
      <Trouble error={logbook.error} again={() => void logbook.refetch()} />
    ) : (
      <Loading what="the logbook" />
    );
  }
  return <OpenBook answer={logbook.data} />;
}

function OpenBook({ answer }: { readonly answer: LogbookAnswer }) {
  const book = useBook(answer);
  const { investigation, conventions, readers } = answer;
  return (
    <Page title={investigation.title} aside={`${readers.join(', ')} · ${conventions.preset}`}>
      <p className="mb-6 max-w-[70ch]">{investigation.aim}</p>
      <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <div className="flex min-w-0 flex-col gap-8">
          {book.refused.map(({ id, text, sentence }) => (
            <p key={id} role="alert" className="border-l-4 border-vermilion pl-3">
              “{text}” was not stored: {sentence}{' '}
              <Button look="quiet" onClick={() => book.discard(id)}>
                Put it aside
              </Button>
            </p>
          ))}
          <TrialTable book={book} />
          <ResultCard book={book} />
          <KeptCalculations calculations={answer.calculations} />
        </div>
        <Method investigation={investigation} />
      </div>
    </Page>
  );
}
