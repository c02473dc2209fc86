import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { Page } from '../ui/Notice';

const benches = [
  { to: '/figures', name: 'Workbench' },
  { to: '/figures/drills', name: 'Drills' },
  { to: '/figures/rearrange', name: 'Rearrange' },
  { to: '/figures/spot', name: 'Spot the fault' },
  { to: '/figures/cards', name: 'Cards' },
] as const;

/** The written-number workshop: its benches side by side. */
export function FiguresPage({
  title,
  aside,
  children,
}: {
  readonly title: string;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <Page title={title} aside={aside}>
      <nav
        aria-label="Figures"
        className="no-print mb-6 flex flex-wrap gap-x-6 gap-y-1 border-b border-rule pb-2"
      >
        {benches.map(({ to, name }) => (
          <NavLink
            key={to}
            to={to}
            end={to === '/figures'}
            className={({ isActive }) =>
              isActive ? 'border-b-4 border-beam font-bold' : 'underline underline-offset-4'
            }
          >
            {name}
          </NavLink>
        ))}
      </nav>
      {children}
    </Page>
  );
}
