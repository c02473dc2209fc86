import { lazy, Suspense, useState } from 'react';
import { useKeys } from '../ui/useKeys';
import { keyTrigger } from './keyTrigger';

const Keys = lazy(async () => ({ default: (await import('./Keys')).Keys }));

/** The list of keys, opened with `?`. Until it is first opened it is a button and no more. */
export function KeyList() {
  const [open, setOpen] = useState<boolean | null>(null);
  useKeys((event) => {
    if (event.key === '?') setOpen(true);
  });
  const closed = (
    <button
      type="button"
      aria-haspopup="dialog"
      aria-expanded={false}
      onClick={() => setOpen(true)}
      {...keyTrigger}
    />
  );
  if (open === null) return closed;
  return (
    <Suspense fallback={closed}>
      <Keys open={open} onOpen={setOpen} />
    </Suspense>
  );
}
