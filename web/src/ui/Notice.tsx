import type { ReactNode } from 'react';
import { sentenceFor } from '../api';
import { Button } from './Button';

/** Something is on its way: the place is held so that nothing jumps. */
export function Loading({ what }: { readonly what: string }) {
  return (
    <p role="status" className="min-h-64 p-8 text-soft">
      Fetching {what} …
    </p>
  );
}

/** Something went wrong, with a way out. */
export function Trouble({ error, again }: { readonly error: unknown; readonly again?: () => void }) {
  return (
    <div role="alert" className="m-8 max-w-xl border-l-4 border-vermilion pl-4">
      <p className="mb-3">{sentenceFor(error)}</p>
      {again && <Button onClick={again}>Try again</Button>}
    </div>
  );
}

/** A page with its heading, for screens without a bench. */
export function Page({
  title,
  aside,
  children,
}: {
  readonly title: string;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <main id="main" className="mx-auto max-w-[1240px] px-4 py-6 sm:px-7">
      <title>{`${title} · Green Beam`}</title>
      <div className="mb-5 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1>{title}</h1>
        {aside && <p className="text-soft">{aside}</p>}
      </div>
      {children}
    </main>
  );
}
