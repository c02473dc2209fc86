import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { Hanging } from './Hanging';

it('hangs a form from its button, by pointer and by key, and gives the focus back when it is put away', async () => {
  const user = userEvent.setup();
  render(
    <Hanging label="Correct 12.5" called="Correction" button="12.5" buttonLook="" look="">
      {(close) => <button onClick={close}>Done</button>}
    </Hanging>,
  );
  const button = () => screen.getByRole('button', { name: 'Correct 12.5', hidden: true });
  expect(button()).toHaveAttribute('aria-expanded', 'false');
  await user.click(button());
  expect(screen.getByRole('dialog', { name: 'Correction' })).toBeVisible();
  expect(button()).toHaveAttribute('aria-expanded', 'true');
  await user.click(screen.getByRole('button', { name: 'Done' }));
  expect(screen.queryByRole('dialog')).toBeNull();
  await waitFor(() => expect(button()).toHaveFocus());
  await user.keyboard('{Enter}');
  expect(screen.getByRole('dialog', { name: 'Correction' })).toBeVisible();
  await user.keyboard('{Escape}');
  expect(screen.queryByRole('dialog')).toBeNull();
  await waitFor(() => expect(button()).toHaveFocus());
});
