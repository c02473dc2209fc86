import clsx from 'clsx';
import { lazy, Suspense, useState } from 'react';
import { Link, NavLink } from 'react-router';
import type { Parcel } from '../browser/parcel';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';
import { KeyList } from './KeyList';
import { useSections } from './sections';
import { SignOut } from './SignOut';
import { useSectionKeys } from './useSectionKeys';

const CallTeacher = lazy(async () => ({ default: (await import('../calls/CallTeacher')).CallTeacher }));
const NotStored = lazy(async () => ({ default: (await import('./NotStored')).NotStored }));

export type BeamState = { readonly tipped: false } | { readonly tipped: true; readonly sentence: string };

/** A balance beam across the page. It lies level while everything is stored, and tips when something waits. */
export function BeamHeader({
  state,
  refused,
}: {
  readonly state: BeamState;
  /** What the server did not take. */
  readonly refused: readonly Parcel[];
}) {
  const sections = useSections();
  useSectionKeys(sections);
  const [looking, setLooking] = useState(false);
  return (
    <header className="no-print relative bg-page">
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-20 focus:bg-white focus:p-3"
      >
        Go to the page
      </a>
      <div className="flex flex-wrap items-center justify-between gap-x-6 px-4 pt-2.5 sm:px-7 md:pointer-events-none md:absolute md:inset-x-0 md:z-10">
        <p className="text-lg font-bold">Green Beam</p>
        <SignedIn />
      </div>
      <nav
        aria-label="Sections"
        className={clsx(
          'origin-center pt-3.5 transition-transform duration-500 motion-reduce:transition-none',
          state.tipped && 'rotate-[0.7deg]',
        )}
      >
        <ul className="flex gap-1 pl-2 sm:gap-3 md:pl-48">
          {sections.map(({ to, name }) => (
            <li key={to} className="relative">
              <NavLink to={to} end={to === '/'} className="group block">
                {({ isActive }) => (
                  <span
                    className={clsx(
                      'relative block px-2 py-1.5 font-bold sm:px-4',
                      isActive ? 'bg-beam text-white' : 'text-ink group-hover:bg-rule/50',
                    )}
                  >
                    {name}
                    <Notch filled={isActive} />
                  </span>
                )}
              </NavLink>
            </li>
          ))}
        </ul>
        <div className="h-[3px] bg-beam" />
      </nav>
      <svg aria-hidden="true" viewBox="0 0 40 12" className="mx-auto block h-3 w-10" fill="var(--color-beam)">
        <path d="M20 0 L34 12 H6 Z" />
      </svg>
      <p
        role="status"
        className={clsx(
          'z-10 bg-page px-4 text-right text-sm font-bold text-vermilion md:absolute md:right-7 md:bottom-[-22px] md:max-w-[70vw] md:px-2',
          !state.tipped && 'sr-only',
        )}
      >
        {state.tipped ? state.sentence : ''}{' '}
        {refused.length > 0 && (
          <Button look="quiet" className="text-sm" onClick={() => setLooking(true)}>
            See what and why
          </Button>
        )}
      </p>
      {looking && (
        <Suspense>
          <NotStored refused={refused} onClose={() => setLooking(false)} />
        </Suspense>
      )}
    </header>
  );
}

/** The tip by which a section hangs in its notch; pushed down for the current one. */
function Notch({ filled }: { readonly filled: boolean }) {
  return (
    <svg
      aria-hidden="true"
      viewBox="0 0 16 8"
      className={clsx('absolute left-1/2 h-2 w-4 -translate-x-1/2', filled ? '-bottom-2 z-10' : '-bottom-1')}
    >
      <path
        d="M0 0 L8 8 L16 0 Z"
        fill={filled ? 'var(--color-beam)' : 'var(--color-page)'}
        stroke="var(--color-beam)"
        strokeWidth={filled ? 0 : 1.5}
      />
    </svg>
  );
}

function SignedIn() {
  const { name, role, classes } = useWho();
  return (
    <div className="pointer-events-auto ml-auto flex items-center gap-3 text-sm">
      <Link
        to="/account"
        className="whitespace-nowrap underline decoration-rule underline-offset-4 hover:decoration-ink"
      >
        {name}
        <span className="sr-only">, signing in and devices</span>
      </Link>
      {classes[0] && (
        <span className="hidden max-w-56 truncate sm:inline">
          {classNames(classes.filter(({ putAway }) => !putAway))}
        </span>
      )}
      {role === 'student' && (
        <Suspense>
          <CallTeacher />
        </Suspense>
      )}
      <span className="hidden sm:inline">
        <KeyList />
      </span>
      <SignOut />
    </div>
  );
}

/** A teacher may have many classes: the sections beside them keep their room. */
function classNames(classes: readonly { readonly name: string }[]): string {
  const names = classes.map(({ name }) => name);
  return names.length > 3 ? `${names.slice(0, 2).join(', ')} and ${names.length - 2} more` : names.join(', ');
}
