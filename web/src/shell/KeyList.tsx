import { lazy, Suspense, useEffect, useState } from 'react';
import { isTyping } from '../ui/isTyping';
import { keyTrigger } from './keyTrigger';

const Keys = lazy(async () => ({ default: (await import('./Keys')).Keys }));

/** The list of keys, opened with `?`. Until it is first opened it is a button and no more. */
export function KeyList() {
  const [open, setOpen] = useState<boolean | null>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === '?' && !isTyping(event.target)) setOpen(true);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
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
