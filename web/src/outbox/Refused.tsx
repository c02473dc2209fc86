import { Button } from '../ui/Button';
import { useOutbox } from './OutboxContext';
import { wordsOf, type Parcel } from '../browser/parcel';

/** One thing that the server refused, as its writer wrote it, with the reason and what can be done. */
export function Refused({ parcel }: { readonly parcel: Parcel }) {
  const outbox = useOutbox();
  const words = wordsOf(parcel);
  return (
    <>
      <p className="break-words">
        <span className="font-mono">“{words}”</span> was not stored: {parcel.refused}
      </p>
      <div className="flex gap-4">
        <Button look="quiet" className="text-sm" onClick={() => void outbox.again(parcel.id)}>
          Send again<span className="sr-only"> {words}</span>
        </Button>
        <Button look="quiet" className="text-sm" onClick={() => void outbox.discard(parcel.id)}>
          Put aside<span className="sr-only"> {words}</span>
        </Button>
      </div>
    </>
  );
}
