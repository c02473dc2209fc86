import { boltPin, shackleRing, type Entry } from '@green-beam/core';
import { entry, rows } from '@green-beam/core/test/entry';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { openLogbook } from '../../test/logbook';

const cell = (name: RegExp) => screen.getByRole<HTMLInputElement>('textbox', { name });
const full = rows(boltPin, 'mass before after', '214.6 50.0 74.5', '214.5 50.2 74.6', '214.7 49.8 74.3');

it('says beside a mean that its ± is worked out otherwise since it was begun, and only there', async () => {
  const first = await openLogbook(boltPin, full, { reckonedAnew: true });
  expect(await screen.findByText(/This logbook is older .*can be larger/)).toBeVisible();
  first.unmount();
  await openLogbook(boltPin, full);
  await screen.findByRole('region', { name: 'Result' });
  expect(screen.queryByText(/This logbook is older/)).toBeNull();
});

describe('a table of trials', () => {
  it('writes a reading down with Enter, goes to the next cell, and stores it', async () => {
    const { user, lines } = await openLogbook(boltPin);
    await user.type(cell(/Trial 1, Mass of the pin in g/), '214.6{Enter}');
    expect(cell(/Trial 1, Volume before in mL/)).toHaveFocus();
    await waitFor(() => expect(lines()).toEqual(['1 mass 214.6']));
    expect(
      await screen.findByRole('button', { name: /Correct Mass of the pin of trial 1, 214.6/ }),
    ).toBeVisible();
  });

  it('shows what was written without a break, while it waits, is stored and comes back', async () => {
    const { user, calls } = await openLogbook(boltPin);
    await user.type(cell(/Trial 1, Mass of the pin in g/), '214.6{Enter}');
    let gone = false;
    const watch = new MutationObserver(() => {
      // In its field still, or in ink already.
      gone ||= screen.queryAllByText(/^214/).length + screen.queryAllByDisplayValue('214.6').length === 0;
    });
    watch.observe(document.body, { childList: true, subtree: true, characterData: true });
    await waitFor(() => expect(calls.some(({ path }) => path.endsWith('/book/entries'))).toBe(true));
    await waitFor(() => expect(screen.queryByRole('button', { name: /Correct Mass.*214.6/ })).not.toBeNull());
    await waitFor(() => expect(screen.queryByText('waits')).toBeNull());
    // It came right after the last one: nothing has to be fetched.
    expect(calls.some(({ query }) => query.has('after'))).toBe(false);
    watch.disconnect();
    expect(gone).toBe(false);
  });

  it('keeps what is typed over a reload, and what is written while the line is down', async () => {
    const first = await openLogbook(boltPin);
    await first.user.type(cell(/Trial 1, Mass/), '214.');
    first.unmount();
    const second = await openLogbook(boltPin);
    expect(cell(/Trial 1, Mass/)).toHaveValue('214.');
    second.net.up = false;
    await second.user.type(cell(/Trial 1, Mass/), '6{Enter}');
    expect(await screen.findByText('waits')).toBeVisible();
    expect(second.lines()).toEqual([]);
    second.net.up = true;
    dispatchEvent(new Event('online'));
    await waitFor(() => expect(second.lines()).toEqual(['1 mass 214.6']));
    await waitFor(() => expect(screen.queryByText('waits')).toBeNull());
  });

  it('advises on the form of a reading without blocking it', async () => {
    const { user, lines } = await openLogbook(boltPin);
    await user.type(cell(/Trial 1, Volume before/), '50');
    const advice = screen.getByText(/50 stops short: C-07 is read to 0.1 mL/);
    expect(cell(/Trial 1, Volume before/)).toHaveAccessibleDescription(advice.textContent);
    await user.keyboard('{Enter}');
    await waitFor(() => expect(lines()).toEqual(['1 before 50']));
  });

  it('derives what follows, and takes the mean over trials that count', async () => {
    await openLogbook(boltPin, full);
    const row = screen.getByRole('row', { name: /^1 / });
    // 214.6 / 24.5 = 8.759.
    expect(row).toHaveTextContent('24.5');
    expect(row).toHaveTextContent('8.76');
    expect(screen.getByRole('row', { name: /^Mean/ })).toHaveTextContent('Mean214.6');
    expect(screen.getByRole('region', { name: 'Result' })).toHaveTextContent(/ρ = \(8\.8\d* ± .*g\/cm³/);
  });

  it('offers a row more than is full, and one more for each trial that does not count', async () => {
    await openLogbook(boltPin, [...full, entry(2, '@standing pin', 'excluded', { reason: 'a splash' })]);
    expect(screen.getByRole('row', { name: /^2/ })).toHaveTextContent('excluded: a splash');
    expect(cell(/Trial 4, Mass/)).toBeVisible();
  });

  it('goes from cell to cell with the arrow keys, sideways only from the end of the text', async () => {
    const { user } = await openLogbook(boltPin);
    await user.click(cell(/Trial 1, Volume before/));
    await user.keyboard('{ArrowDown}');
    expect(cell(/Trial 2, Volume before/)).toHaveFocus();
    await user.keyboard('{ArrowUp}12{ArrowLeft}');
    expect(cell(/Trial 1, Volume before/)).toHaveFocus();
    await user.keyboard('{ArrowRight}{ArrowRight}');
    expect(cell(/Trial 1, Volume after/)).toHaveFocus();
    // What was typed has been written down on leaving; its cell is reached all the same.
    await screen.findByRole('button', { name: /Correct Volume before of trial 1, 12/ });
    await user.keyboard('{ArrowLeft}');
    expect(screen.getByRole('button', { name: /Correct Volume before of trial 1, 12/ })).toHaveFocus();
    await user.keyboard('{Control>}{ArrowDown}{/Control}');
    expect(screen.getByRole('button', { name: /Correct Volume before of trial 1, 12/ })).toHaveFocus();
  });

  it('shows a pasted block before anything is written, and leaves out what is written already', async () => {
    const { user, lines } = await openLogbook(boltPin, [entry(2, 'before', '50.2', { tag: 'C-07' })]);
    fireEvent.paste(cell(/Trial 1, Mass/), {
      clipboardData: { getData: () => '214.6\t50.0\n214.5\t50.1\n' },
    });
    const dialog = await screen.findByRole('dialog', { name: 'Paste into the logbook' });
    expect(within(dialog).getAllByRole('row')).toHaveLength(5);
    expect(dialog).toHaveTextContent('Left out:');
    expect(lines()).toEqual(['2 before 50.2']);
    await user.click(within(dialog).getByRole('button', { name: 'Write 3 cells' }));
    await waitFor(() =>
      expect(lines()).toEqual(['2 before 50.2', '1 mass 214.6', '1 before 50.0', '2 mass 214.5']),
    );
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('takes an ordinary paste into the cell itself', async () => {
    const { user } = await openLogbook(boltPin);
    await user.click(cell(/Trial 1, Mass/));
    await user.paste('214.6');
    expect(cell(/Trial 1, Mass/)).toHaveValue('214.6');
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('draws only the rows in sight of a long table', async () => {
    const many: Entry[] = Array.from({ length: 120 }, (_, at) => entry(at + 1, 'mass', '214.6'));
    await openLogbook(boltPin, many);
    expect(screen.getAllByRole('row').length).toBeLessThan(60);
  });
});

describe('a written reading', () => {
  it('is corrected by pressing it; the old text stays with initials and reason', async () => {
    const { user, lines, stored } = await openLogbook(boltPin, [full[1]!]);
    await user.click(screen.getByRole('button', { name: /Correct Volume before of trial 1, 50.0/ }));
    const strike = screen.getByRole('button', { name: 'Strike and rewrite' });
    expect(strike).toBeDisabled();
    await user.type(screen.getByRole('textbox', { name: 'New Volume before in mL' }), '50.2');
    expect(strike).toBeDisabled();
    await user.type(screen.getByRole('textbox', { name: 'Why' }), 'line below the curve');
    await user.click(strike);
    await waitFor(() => expect(lines()).toEqual(['1 before 50.0', '1 before 50.2']));
    expect(stored[1]).toMatchObject({ replaces: full[1]!.id, reason: 'line below the curve', tag: 'C-07' });
    const row = screen.getByRole('row', { name: /^1/ });
    expect((await within(row).findByText('50.0')).tagName).toBe('S');
    expect(row).toHaveTextContent(/AL \d\d:\d\d, line below the curve/);
  });

  it('may have been read on another instrument, and says so', async () => {
    const { user, stored } = await openLogbook(boltPin, [full[1]!]);
    await user.click(screen.getByRole('button', { name: /Correct Volume before/ }));
    await user.type(screen.getByRole('textbox', { name: 'New Volume before in mL' }), '50.0');
    await user.clear(screen.getByRole('textbox', { name: 'Read on' }));
    await user.type(screen.getByRole('textbox', { name: 'Read on' }), 'C-09');
    await user.type(screen.getByRole('textbox', { name: 'Why' }), 'other cylinder{Enter}');
    await waitFor(() => expect(stored[1]).toMatchObject({ tag: 'C-09' }));
    await waitFor(() => expect(screen.getByRole('row', { name: /^1/ })).toHaveTextContent('C-09'));
  });

  it('says when two wrote the same cell, and where a number came from', async () => {
    await openLogbook(boltPin, [
      entry(1, 'mass', '214.6', { origin: 'balance' }),
      entry(1, 'before', '50.0'),
      entry(1, 'before', '50.2', { reader: 'Bo Aasen' }),
      entry(2, 'mass', '214.0', { origin: 'teacher' }),
    ]);
    expect(screen.getByText(/Two of you wrote this cell/)).toBeVisible();
    expect(screen.getByText('from the balance')).toBeVisible();
    expect(screen.getByText('supplied')).toBeVisible();
    expect(screen.getByText('BA')).toHaveAttribute('title', expect.stringContaining('Bo Aasen'));
  });

  it('can only be looked at by whoever may not write', async () => {
    await openLogbook(boltPin, full, { mayWrite: false });
    expect(screen.queryByRole('textbox')).toBeNull();
    expect(screen.queryByRole('button', { name: /Correct/ })).toBeNull();
    expect(screen.getByRole('group', { name: 'Readings: Trials' })).toHaveAttribute('tabindex', '0');
  });

  it('that the server refuses is shown with its sentence, and can be put aside', async () => {
    const { user } = await openLogbook(boltPin, [], {
      answers: {
        'POST /api/logbooks/book/entries': () =>
          Response.json(
            {
              type: 'about:blank',
              title: '',
              status: 422,
              code: 'not-valid',
              detail: 'A trial has a whole number.',
            },
            { status: 422 },
          ),
      },
    });
    await user.type(cell(/Trial 1, Mass/), '214.6{Enter}');
    const alert = await screen.findByRole('alert');
    expect(alert).toHaveTextContent('“214.6” was not stored: A trial has a whole number.');
    await user.click(within(alert).getByRole('button', { name: 'Put aside 214.6' }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });
});

describe('a column that students work', () => {
  const worked = rows(
    shackleRing,
    'mass before after V rho',
    '62.48 21.4 29.3 7.9 7.9',
    '62.48 20.0 28.0 8.0 0.13',
    '62.47 21.0 28.9 7.9 7.9',
  );

  it('is checked cell by cell, and so is its mean, which can be written anew', async () => {
    const { user, lines, stored } = await openLogbook(shackleRing, worked);
    expect(screen.getByRole('row', { name: /^1/ })).toHaveTextContent('Worked right.');
    expect(screen.getByRole('row', { name: /^2/ })).toHaveTextContent('The fraction is upside down.');
    const mean = () => screen.getByRole('row', { name: /^Mean/ });
    await user.type(screen.getByRole('textbox', { name: 'Mean of Density in g/cm³' }), '23.6{Enter}');
    await waitFor(() => expect(lines().at(-1)).toBe('0 mean rho 23.6'));
    await screen.findByText(/That is the sum/);
    expect(mean()).toHaveTextContent('That is the sum. Divide it by how many trials count.');
    await user.click(screen.getByRole('button', { name: 'Write the mean of Density anew, 23.6' }));
    await user.type(screen.getByRole('textbox', { name: 'Mean of Density in g/cm³' }), '7.9{Enter}');
    await waitFor(() => expect(lines().at(-1)).toBe('0 mean rho 7.9'));
    expect(stored.at(-1)?.replaces).toBe(stored.at(-2)?.id);
    await waitFor(() => expect(mean()).toHaveTextContent(/7\.9Worked right\./));
  });

  it('says why nothing follows from readings that are the wrong way round', async () => {
    const swapped = rows(shackleRing, 'mass before after V', '62.48 29.3 21.4 7.9');
    await openLogbook(shackleRing, swapped);
    expect(screen.getByRole('row', { name: /^1/ })).toHaveTextContent(
      'Volume comes out as −7.9: it should be more than nothing.',
    );
  });

  it('shows its mean to whoever only looks', async () => {
    await openLogbook(shackleRing, [...worked, entry(0, '@mean rho', '7.9')], { mayWrite: false });
    expect(screen.getByRole('row', { name: /^Mean/ })).toHaveTextContent(/7\.9Worked right\./);
    expect(screen.queryByRole('textbox')).toBeNull();
  });
});
