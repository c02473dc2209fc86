import { boltPin, evaporatingPan, oneDrop, type Investigation } from '@green-beam/core';
import { entry, rows } from '@green-beam/core/test/entry';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { parcelsOf } from '../browser/database';
import { NodeBlob } from '../../test/files';
import { openLogbook } from '../../test/logbook';
import { refusal } from '../../test/page';

const field = (name: RegExp | string) => screen.getByRole<HTMLInputElement>('textbox', { name });
const button = (name: RegExp | string) => screen.getByRole('button', { name });
const one = rows(boltPin, 'mass before after', '214.6 50.0 74.5');

/** The stand-in for the browser's database keeps files of Node's make. */
const takesPictures = () => {
  vi.stubGlobal('Blob', NodeBlob);
  Object.assign(URL, { createObjectURL: () => 'blob:own', revokeObjectURL: () => undefined });
  HTMLCanvasElement.prototype.toBlob = (done) =>
    done(new NodeBlob(['ABC'], { type: 'image/jpeg' }) as unknown as Blob);
};

afterEach(() => vi.useRealTimers());

describe('what is said of a trial besides its readings', () => {
  it('leaves a trial out only with a reason, and counts it again with another', async () => {
    const { user, stored } = await openLogbook(boltPin, one);
    await user.click(button('More about trial 1'));
    expect(button('Exclude it')).toBeDisabled();
    await user.type(field('Leave it out, because'), 'a drop splashed out');
    await user.click(button('Exclude it'));
    await waitFor(() =>
      expect(stored.at(-1)).toMatchObject({ text: 'excluded', reason: 'a drop splashed out' }),
    );
    await waitFor(() =>
      expect(screen.getByRole('row', { name: /^1/ })).toHaveTextContent('excluded: a drop splashed out'),
    );
    await user.click(button('More about trial 1'));
    await user.type(field('Count it again, because'), 'it was another trial');
    await user.click(button('Count it again'));
    await waitFor(() => expect(stored.at(-1)).toMatchObject({ text: 'counts', trial: 1 }));
    expect(stored.at(-1)?.replaces).toBe(stored.at(-2)?.id);
  });

  it('abandons a trial', async () => {
    const { user, lines } = await openLogbook(boltPin, one);
    await user.click(button('More about trial 1'));
    await user.type(field('Leave it out, because'), 'the cylinder fell');
    await user.click(button('Abandon it'));
    await waitFor(() => expect(lines().at(-1)).toBe('1 standing pin abandoned'));
  });

  it('keeps a remark, and shows the one before when another is written', async () => {
    const { user, lines } = await openLogbook(boltPin, one);
    await user.click(button('More about trial 1'));
    await user.type(field('Remark'), '  a bubble under the pin ');
    await user.click(button('Keep the remark'));
    await waitFor(() => expect(lines().at(-1)).toBe('1 remark pin a bubble under the pin'));
    await user.click(button('More about trial 1'));
    expect(screen.getByText('So far: a bubble under the pin')).toBeVisible();
  });

  it('marks what the teacher supplied, where the investigation allows it', async () => {
    const { user, stored } = await openLogbook(boltPin);
    await user.click(button('More about trial 1'));
    await user.click(screen.getByRole('checkbox', { name: /supplied by the teacher/ }));
    await user.keyboard('{Escape}');
    await user.type(field(/Trial 1, Mass/), '214.6{Enter}');
    await waitFor(() => expect(stored[0]).toMatchObject({ origin: 'teacher' }));
    expect(await screen.findByText('supplied')).toBeVisible();
  });

  it('does not offer supplied numbers elsewhere', async () => {
    const { user } = await openLogbook({ ...boltPin, supplied: false }, one);
    await user.click(button('More about trial 1'));
    expect(screen.queryByRole('checkbox')).toBeNull();
  });

  it('stores a photograph made smaller, and shows it', async () => {
    vi.stubGlobal('createImageBitmap', async () => ({ width: 4000, height: 3000, close: () => undefined }));
    const drawn: number[] = [];
    HTMLCanvasElement.prototype.getContext = (() => ({
      drawImage: (_: unknown, x: number, y: number, width: number, height: number) =>
        drawn.push(x, y, width, height),
    })) as never;
    takesPictures();
    const { user, sent, stored } = await openLogbook(boltPin, one, {
      answers: { 'PUT /api/logbooks/book/photos/*': {} },
    });
    await user.click(button('More about trial 1'));
    await user.upload(
      screen.getByLabelText('Photograph'),
      new File(['x'], 'pin.jpg', { type: 'image/jpeg' }),
    );
    await waitFor(() => expect(stored.at(-1)).toMatchObject({ kind: 'photo', table: 'pin' }));
    expect(drawn).toEqual([0, 0, 1600, 1200]);
    // First the photograph, then the entry that names it.
    expect(sent('PUT /api/logbooks/book/photos/*')[0]?.path).toBe(
      `/api/logbooks/book/photos/${stored.at(-1)?.text}`,
    );
    expect(await screen.findByRole('img', { name: 'Photograph 1 of trial 1', hidden: true })).toBeVisible();
  });

  it('fetches a picture anew once the line is back', async () => {
    const shown = [...one, entry(1, '@photo pin', 'a-photo')];
    await openLogbook(boltPin, shown);
    const before = screen.getByAltText('Photograph 1 of trial 1');
    fireEvent.error(before);
    await waitFor(() => {
      dispatchEvent(new Event('online'));
      expect(before.isConnected).toBe(false);
    });
    expect(screen.getByAltText('Photograph 1 of trial 1')).toHaveAttribute(
      'src',
      expect.stringContaining('/api/logbooks/book/photos/a-photo'),
    );
  });

  it('says so of what is no picture', async () => {
    vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error()));
    const { user, lines } = await openLogbook(boltPin, one);
    await user.click(button('More about trial 1'));
    await user.upload(
      screen.getByLabelText('Photograph'),
      new File(['x'], 'pin.txt', { type: 'image/jpeg' }),
    );
    expect(await screen.findByRole('alert')).toHaveTextContent('This file could not be read as a picture.');
    expect(lines()).toHaveLength(3);
  });

  it('names no photograph in the book that the server refused', async () => {
    vi.stubGlobal('createImageBitmap', async () => ({ width: 10, height: 10, close: () => undefined }));
    HTMLCanvasElement.prototype.getContext = (() => ({ drawImage: () => undefined })) as never;
    takesPictures();
    const { user, lines, sent } = await openLogbook(boltPin, one, {
      answers: {
        'PUT /api/logbooks/book/photos/*': () => refusal(409, 'photos-full', 'This logbook is full.'),
      },
    });
    await user.click(button('More about trial 1'));
    await user.upload(
      screen.getByLabelText('Photograph'),
      new File(['x'], 'pin.jpg', { type: 'image/jpeg' }),
    );
    await waitFor(async () =>
      expect((await parcelsOf('ada').all()).map(({ refused }) => refused)).toEqual([
        'This logbook is full.',
        undefined,
      ]),
    );
    expect(sent('POST /api/logbooks/book/entries')).toEqual([]);
    expect(lines()).toHaveLength(3);
    // While it is here alone, it is shown as it was taken.

    await waitFor(() =>
      expect(screen.getByAltText('Photograph 1 of trial 1')).toHaveAttribute('src', 'blob:own'),
    );
  });
});

describe('the drop counter', () => {
  const openCounter = async () => {
    const view = await openLogbook(oneDrop);
    await view.user.click(screen.getAllByRole('button', { name: /Count drops/ })[0]!);
    return { ...view, dialog: screen.getByRole('dialog', { name: 'Drops of trial 1' }) };
  };

  it('is reached from its cell with F2, and passed by with Tab', async () => {
    const { user } = await openLogbook(oneDrop);
    const cell = screen.getByRole('textbox', { name: 'Trial 1, Drops in drops' });
    await user.click(cell);
    await user.keyboard('{F2}');
    expect(screen.getAllByRole('button', { name: /Count drops/ })[0]).toHaveFocus();
    await user.click(cell);
    await user.tab();
    expect(screen.getByRole('textbox', { name: /Trial 1, Level after/ })).toHaveFocus();
  });

  it('counts one a key, undoes, pauses, and writes the count', async () => {
    const { user, dialog, lines } = await openCounter();
    await user.keyboard('   d');
    expect(within(dialog).getByRole('status')).toHaveTextContent('4');
    await user.keyboard('{Backspace}');
    await user.click(within(dialog).getByRole('button', { name: 'Pause' }));
    await user.keyboard('  ');
    expect(within(dialog).getByRole('status')).toHaveTextContent('3');
    await user.keyboard('p ');
    await user.click(within(dialog).getByRole('button', { name: 'Write 4 drops' }));
    await waitFor(() => expect(lines()).toEqual(['1 n 4']));
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('counts a key that is held down once', async () => {
    const { dialog } = await openCounter();
    fireEvent.keyDown(window, { key: ' ' });
    fireEvent.keyDown(window, { key: ' ', repeat: true });
    expect(within(dialog).getByRole('status')).toHaveTextContent('1');
  });

  it('keeps the count when it is closed, and over a reload', async () => {
    const { user, dialog, unmount } = await openCounter();
    await user.keyboard('dd');
    await user.click(within(dialog).getByRole('button', { name: 'Close, keep the count' }));
    expect(button('Count drops (2 so far)')).toBeVisible();
    unmount();
    await openLogbook(oneDrop);
    expect(button('Count drops (2 so far)')).toBeVisible();
  });

  it('begins again when the count is lost; the abandoned run stays written', async () => {
    const { user, dialog, lines } = await openCounter();
    await user.keyboard('dddd');
    await user.click(within(dialog).getByRole('button', { name: 'Count lost: begin again' }));
    expect(within(dialog).getByRole('status')).toHaveTextContent('0');
    await waitFor(() => expect(lines()).toEqual(['1 run runs 4 drops']));
    await user.keyboard('{Escape}');
    expect(screen.getByText('abandoned: 4 drops')).toBeVisible();
  });
});

describe('the clock beside a table', () => {
  it('tells the time, how long since the last reading, and when the next is due', async () => {
    vi.useFakeTimers({
      now: new Date(2026, 2, 2, 9, 20, 5),
      toFake: ['Date', 'setInterval', 'clearInterval'],
    });
    const wait = Math.max(...evaporatingPan.steps.map(({ waitMinutes = 0 }) => waitMinutes));
    const key = evaporatingPan.tables[0]!.columns.find(({ kind }) => kind === 'clock')!.key;
    await openLogbook(evaporatingPan, [entry(1, key, '9:18:00')]);
    const timer = screen.getByRole('timer', { name: 'Clock' });
    expect(timer).toHaveTextContent('09:20:05');
    expect(timer).toHaveTextContent(`2 min 05 s since the last reading; next in ${wait - 2} min`);
    vi.setSystemTime(new Date(2026, 2, 2, 9, 18 + wait, 1));
    vi.advanceTimersByTime(1000);
    await waitFor(() => expect(timer).toHaveTextContent('the next is due'));
  });

  it('writes the time that it is with one press', async () => {
    vi.useFakeTimers({ now: new Date(2026, 2, 2, 9, 20, 5), toFake: ['Date'] });
    const { user, lines } = await openLogbook(evaporatingPan);
    await user.click(button('Now'));
    await waitFor(() => expect(lines()[0]).toMatch(/^1 \w+ 09:20:05$/));
  });

  it('is not there where no time is read', async () => {
    await openLogbook(boltPin);
    expect(screen.queryByRole('timer')).toBeNull();
  });
});

describe('readings from elsewhere', () => {
  const weighed: Investigation = {
    ...boltPin,
    kit: boltPin.kit.map((item) =>
      item.tag === 'B-02' ? { tag: 'B-02', kind: 'electronic-balance', model: 'electronic-0_01' } : item,
    ),
  };

  it('takes what a connected balance shows, with its origin', async () => {
    const { user, stored } = await openLogbook(weighed, [], {
      answers: {
        'GET /api/balance': { state: 'steady', text: '214.63', unit: 'g' },
        'POST /api/balance/readings': { id: 'taken', text: '214.63', unit: 'g' },
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Take reading (214.63 g)' }));
    await waitFor(() => expect(stored[0]).toMatchObject({ text: '214.63', origin: 'balance' }));
  });

  it('takes nothing from a balance that moves, and says why', async () => {
    const { user, lines } = await openLogbook(weighed, [], {
      answers: {
        'GET /api/balance': { state: 'moving', text: '214.10', unit: 'g' },
        'POST /api/balance/readings': () =>
          refusal(409, 'feed-unsteady', 'The balance has not come to rest. Wait until it stands.'),
      },
    });
    await user.click(await screen.findByRole('button', { name: /Take reading/ }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Wait until it stands.');
    expect(lines()).toEqual([]);
  });

  it('offers nothing from a balance that shows fewer digits than the one of the plan', async () => {
    const { sent } = await openLogbook(weighed, [], {
      answers: { 'GET /api/balance': { state: 'steady', text: '214.6', unit: 'g' } },
    });
    await waitFor(() => expect(sent('GET /api/balance')).not.toHaveLength(0));
    expect(screen.queryByRole('button', { name: /Take reading/ })).toBeNull();
  });

  it('offers nothing from another make of the same kind of instrument', async () => {
    carry('three-beam-610');
    await openLogbook(boltPin);
    expect(screen.queryByRole('button', { name: /From the bench/ })).toBeNull();
  });

  const carry = (model: string) =>
    localStorage.setItem(
      'green-beam/carried/ada',
      JSON.stringify({ attemptId: 'a1', kind: 'three-beam-balance', model, text: '214.6', unit: 'g' }),
    );

  it('takes a reading that was carried here from the bench, once', async () => {
    carry('three-beam-600');
    const { user, stored } = await openLogbook(boltPin);
    await user.click(button('From the bench (214.6 g)'));
    await waitFor(() => expect(stored[0]).toMatchObject({ column: 'mass', origin: 'simulated' }));
    expect(localStorage.getItem('green-beam/carried/ada')).toBeNull();
    expect(screen.queryByRole('button', { name: /From the bench/ })).toBeNull();
  });
});
