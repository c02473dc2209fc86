import { Outlet, useParams } from 'react-router';
import { useWho } from '../session/who';
import { Refused } from '../outbox/Refused';
import { Loading, Page, Trouble } from '../ui/Notice';
import { clock } from '../ui/clock';
import { PageNav } from '../ui/PageNav';
import { useBook, useLogbook } from './book';
import { isHandedIn } from './said';
import type { KeptLogbook } from '../answers/logbook';

/** One investigation: what to do, what was read, what it amounts to. Its pages share the open book. */
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
  return <OpenBook key={logbookId} answer={logbook.data} />;
}

const pages = [
  { to: '.', name: 'Measure' },
  { to: 'uncertainty', name: 'Uncertainty and plots' },
  { to: 'compare', name: 'Compare' },
  { to: 'second-look', name: 'Second look' },
  { to: 'history', name: 'History' },
  { to: 'report', name: 'Report' },
  { to: 'review', name: 'Review' },
] as const;
/** The staff's own, for beside a bench. */
const staffPages = [...pages, { to: 'check', name: 'Check' }] as const;

function OpenBook({ answer }: { readonly answer: KeptLogbook }) {
  const book = useBook(answer);
  const { investigation, conventions, readers } = answer;
  const aside = `${readers.join(', ')} · ${conventions.preset}${isHandedIn(book.table) ? ' · handed in' : ''}${book.initialled ? ` · data looked through by ${book.initialled.by}, ${clock(book.initialled.at)}` : ''}`;
  return (
    <Page title={investigation.title} aside={aside}>
      <PageNav label="Pages of this logbook" pages={useWho().role === 'teacher' ? staffPages : pages} />
      {book.refused.map((parcel) => (
        <div key={parcel.id} role="alert" className="mb-4 border-l-4 border-vermilion pl-3">
          <Refused parcel={parcel} />
        </div>
      ))}
      <Outlet context={book} />
    </Page>
  );
}
