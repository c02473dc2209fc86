import { at, paths } from '@green-beam/contract';
import { useState } from 'react';
import { useLogbooks } from '../logbook/LogbookIndex';
import { useOutbox } from '../outbox/OutboxContext';
import { useKeeping } from '../outbox/useKeeping';
import { FieldTrouble } from '../ui/FieldTrouble';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';

/** Keeps a calculation in one of one's own logbooks. */
export function KeepInLogbook({ expression }: { readonly expression: string }) {
  const { role } = useWho();
  return role === 'student' ? <Keep key={expression} expression={expression} /> : null;
}

function Keep({ expression }: { readonly expression: string }) {
  const outbox = useOutbox();
  const books = (useLogbooks().data?.logbooks ?? []).filter(({ logbookId }) => logbookId !== null);
  const [kept, setKept] = useState('');
  const [keeping, trouble] = useKeeping();
  if (books.length === 0) return null;
  const keep = async (logbookId: string, title: string) => {
    const id = crypto.randomUUID();
    const body = { id, expression };
    if (await keeping(outbox.add({ id, path: at(paths.calculations, { logbookId }), body }))) setKept(title);
  };
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <FieldTrouble says={trouble} />
      {kept ? (
        <p role="status">Kept in “{kept}”.</p>
      ) : (
        books.map(({ logbookId, title }) => (
          <Button key={logbookId} look="quiet" onClick={() => logbookId && void keep(logbookId, title)}>
            Keep in “{title}”
          </Button>
        ))
      )}
    </div>
  );
}
