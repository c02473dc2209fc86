import clsx from 'clsx';
import type { ReactNode } from 'react';

/** A balance beam across the page, from which its sections hang. It lies level, and tips when something waits. */
export function Beam({
  tipped = false,
  aside,
  sections,
}: {
  readonly tipped?: boolean;
  readonly aside?: ReactNode;
  /** Nothing while it is not known who is there: the beam stands where it will stand. */
  readonly sections?: ReactNode;
}) {
  return (
    <>
      <div className="flex min-h-[2.375rem] flex-wrap items-center justify-between gap-x-6 px-4 pt-2.5 sm:px-7 md:pointer-events-none md:absolute md:inset-x-0 md:z-10">
        <p className="text-lg font-bold">Green Beam</p>
        {aside}
      </div>
      <nav
        aria-label="Sections"
        className={clsx(
          'origin-center pt-3.5 transition-transform duration-500 motion-reduce:transition-none',
          tipped && 'rotate-[0.7deg]',
        )}
      >
        <ul className="flex min-h-9 gap-1 pl-2 sm:gap-3 md:pl-48">{sections}</ul>
        <div className="h-[3px] bg-beam" />
      </nav>
      <svg aria-hidden="true" viewBox="0 0 40 12" className="mx-auto block h-3 w-10" fill="var(--color-beam)">
        <path d="M20 0 L34 12 H6 Z" />
      </svg>
    </>
  );
}

/** What every page begins with, before it is known whose it is. It stands in the HTML itself. */
export const FirstSight = () => (
  <>
    <header className="relative bg-page">
      <Beam />
    </header>
    <p role="status" className="min-h-64 p-8 text-soft">
      Fetching your work …
    </p>
  </>
);
