import type { ReactNode } from 'react';
import { Page } from '../ui/Notice';
import { PageNav } from '../ui/PageNav';

const benches = [
  { to: '/figures', name: 'Workbench' },
  { to: '/figures/drills', name: 'Drills' },
  { to: '/figures/rearrange', name: 'Rearrange' },
  { to: '/figures/spot', name: 'Spot the fault' },
  { to: '/figures/identify', name: 'Identify' },
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
      <PageNav label="Figures" pages={benches} />
      {children}
    </Page>
  );
}
