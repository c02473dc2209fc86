import { useWho } from '../session/who';

export interface Section {
  readonly to: string;
  readonly name: string;
  /** The letter after `g`. */
  readonly letter: string;
}

/** The sections that hang on the beam, for a student or for a teacher. */
export function useSections(): readonly Section[] {
  const { role, classes } = useWho();
  const today = { to: '/', name: 'Today', letter: 't' };
  const bench = { to: '/bench', name: 'Bench', letter: 'b' };
  const figures = { to: '/figures', name: 'Figures', letter: 'f' };
  if (role === 'student') return [today, bench, figures, { to: '/logbook', name: 'Logbook', letter: 'l' }];
  return [
    today,
    ...classes
      .filter(({ putAway }) => !putAway)
      .slice(0, 1)
      .map(({ id }) => ({ to: `/class/${id}`, name: 'Class', letter: 'c' })),
    bench,
    figures,
    { to: '/stock', name: 'Stockroom', letter: 's' },
  ];
}
