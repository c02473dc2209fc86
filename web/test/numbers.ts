import { screen, within } from '@testing-library/react';

/** What the table of a comparison says of each group. */
export const numbersOfGroups = async (): Promise<readonly (string | null)[]> =>
  within(await screen.findByRole('region', { name: 'Numbers of each group' }))
    .getAllByRole('row')
    .slice(1)
    .map((row) => row.textContent);
