import clsx from 'clsx';
import { lazy, Suspense, useState } from 'react';
import { Link, NavLink } from 'react-router';
import type { Parcel } from '../browser/parcel';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';
import { Beam } from './Beam';
import { KeyList } from './KeyList';
import { useSections } from './sections';
import { SignOut } from './SignOut';
import { useSectionKeys } from './useSectionKeys';

const CallTeacher = lazy(async () => ({ default: (await import('../calls/CallTeacher')).CallTeacher }));
const NotStored = lazy(async () => ({ default: (await import('./NotStored')).NotStored }));

export type BeamState = { readonly tipped: false } | { readonly tipped: true; readonly sentence: string };

/** The beam of who is signed in: it lies level while everything is stored. */
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
      <Beam
        tipped={state.tipped}
        aside={<SignedIn />}
        sections={sections.map(({ to, name }) => (
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
      />
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
      {/* It comes later, and has nothing before it that would move. */}
      {role === 'student' && (
        <Suspense>
          <CallTeacher />
        </Suspense>
      )}
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
