import { at, paths } from '@green-beam/contract';
import { useEffect, useState } from 'react';
import { addressFor } from '../api';
import { useParcels } from '../outbox/OutboxContext';

/** A photograph of a trial: as it was taken while it waits to be sent, from the server once it is there. */
export function Photograph({
  logbookId,
  id,
  words,
}: {
  readonly logbookId: string;
  readonly id: string;
  readonly words: string;
}) {
  const body = useParcels().find((parcel) => parcel.id === id)?.body;
  const waiting = useAddressOf(body instanceof Blob ? body : null);
  const stored = addressFor(at(paths.photo, { logbookId, photoId: id }));
  const picture = (
    <img
      // Another picture altogether: what could not be fetched before it was sent is fetched now.
      key={waiting ?? stored}
      src={waiting ?? stored}
      alt={words}
      className="mt-1 size-16 border border-rule object-cover"
    />
  );
  if (body)
    return (
      <span className="block">
        {picture}
        <span className="text-xs text-brass">waits</span>
      </span>
    );
  return (
    <a href={stored} target="_blank" rel="noreferrer">
      {picture}
    </a>
  );
}

/** An address of this page's own for a file, as long as it is shown. */
function useAddressOf(file: Blob | null): string | null {
  const [address, setAddress] = useState<string | null>(null);
  useEffect(() => {
    if (!file) return;
    const own = URL.createObjectURL(file);
    // The file is outside of React: its address is known only once it has one.
    queueMicrotask(() => setAddress(own));
    return () => {
      setAddress(null);
      URL.revokeObjectURL(own);
    };
  }, [file]);
  return file ? address : null;
}
