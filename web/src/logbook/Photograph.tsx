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
  const [attempt, failed] = useAttempts();
  const picture = (
    <img
      // Another picture altogether: what could not be fetched is fetched anew.
      key={`${waiting ?? stored} ${attempt}`}
      onError={failed}
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

const againMs = 10_000;

/** Counts the attempts at something that failed: another when the line is back, or after a while. */
function useAttempts(): readonly [attempt: number, failed: () => void] {
  const [{ attempt, open }, set] = useState({ attempt: 0, open: false });
  useEffect(() => {
    if (!open) return;
    const again = () => set({ attempt: attempt + 1, open: false });
    const timer = setTimeout(again, againMs);
    addEventListener('online', again);
    return () => {
      clearTimeout(timer);
      removeEventListener('online', again);
    };
  }, [attempt, open]);
  return [attempt, () => set({ attempt, open: true })];
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
