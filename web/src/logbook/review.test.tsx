import type { MarksAnswer, Review } from '@green-beam/contract';
import { boltPin } from '@green-beam/core';
import { entry, rows } from '@green-beam/core/test/entry';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { openLogbook } from '../../test/logbook';
import { open, serve, teacher, tern, type Call } from '../../test/page';
import { BookOfMarks } from '../classroom/BookOfMarks';

const full = { readings: 4, records: 4, working: 4, uncertainty: 4, judgement: 4 };
const review = (rest: Partial<Review> = {}): Review => ({
  id: 'r',
  by: 'Ms Marrow',
  at: '2026-11-05T10:00:00Z',
  marks: full,
  remarks: [{ about: 'Trial 2, Mass of the pin', text: 'Which balance?' }],
  ...rest,
});
/** The third mass has a digit too few. */
const written = [
  ...rows(boltPin, 'mass', '27.45', '27.44', '27.4'),
  entry(0, '@hand-in', 'handed in', { writtenAt: '2026-11-05T09:00:00Z' }),
];

describe('a review', () => {
  it('suggests marks by what was found, and is handed back with remarks on it', async () => {
    const { user, sent } = await openLogbook(boltPin, written, {
      page: 'review',
      who: teacher,
      mayWrite: false,
      answers: {
        'GET /api/logbooks/*/reviews': { reviews: [] },
        'POST /api/logbooks/*/reviews': ({ body }: Call) => ({ reviews: [{ ...review(), ...body }] }),
      },
    });
    const form = await screen.findByRole('region', { name: 'Hand back' });
    expect(within(form).getByText('handed in')).toBeVisible();
    expect(within(form).getByLabelText('Readings and digits')).not.toHaveValue('4');
    await user.selectOptions(within(form).getByLabelText('Uncertainty'), '2 of 4');
    const [first] = within(form).getAllByRole('button', { name: /^Remark on it/ });
    await user.click(first!);
    await user.selectOptions(within(form).getByLabelText('On what'), 'the whole');
    await user.click(within(form).getByRole('button', { name: 'Add a remark' }));
    await user.type(within(form).getByLabelText('Remark on the whole'), 'Clear work.');
    await user.click(within(form).getByRole('button', { name: 'Hand it back' }));
    const back = await screen.findByRole('region', { name: /^Handed back/ });
    expect(within(back).getByText('Clear work.')).toBeVisible();
    expect(sent('POST /api/logbooks/*/reviews')[0]?.body).toMatchObject({
      marks: { uncertainty: 2 },
      remarks: [{ about: expect.stringContaining('Mass of the pin') }, { about: '', text: 'Clear work.' }],
    });
  });

  it('tells its writers what came back, and what to do', async () => {
    await openLogbook(boltPin, written, {
      page: 'review',
      answers: { 'GET /api/logbooks/*/reviews': { reviews: [review()] } },
    });
    expect(await screen.findByText(/It has come back. Strike and rewrite/)).toBeVisible();
    expect(screen.getByText('Which balance?')).toBeVisible();
    expect(screen.getByText('20 of 20')).toBeVisible();
    expect(screen.queryByRole('region', { name: 'Hand back' })).toBeNull();
  });
});

describe('the book of marks', () => {
  const found = { count: 1, weight: 3, sentence: 'A digit too many.' };
  const answer: MarksAnswer = {
    class: tern,
    tasks: [{ id: 'pin', title: 'Bolt pin', newest: 'i' }],
    work: [{ id: 'w', title: 'ruler', counts: 2, due: null }],
    students: [
      {
        id: 'a',
        name: 'Ada Lind',
        bench: 'Bench 2',
        cells: [
          {
            task: 'pin',
            logbookId: 'one',
            state: 'handed back',
            at: '2026-11-05T10:00:00Z',
            mark: 17,
            found,
          },
        ],
        work: [{ task: 'w', state: 'done' }],
      },
      {
        id: 'b',
        name: 'Bo Quill',
        bench: 'Bench 1',
        cells: [
          {
            task: 'pin',
            logbookId: 'two',
            state: 'handed in',
            at: '2026-11-05T10:00:00Z',
            mark: null,
            found,
          },
        ],
        work: [{ task: 'w', state: 'late' }],
      },
    ],
  };

  it('shows what waits, and stands in the order that is asked for', async () => {
    serve({ 'GET /api/classes/*/marks': answer });
    const { user } = open(
      [{ path: '/class/:classId/marks', Component: BookOfMarks }],
      '/class/tern/marks',
      teacher,
    );
    const waiting = await screen.findByRole('region', { name: 'Waiting for review' });
    expect(within(waiting).getByRole('link', { name: 'Bo Quill' })).toHaveAttribute(
      'href',
      '/logbook/two/review',
    );
    const names = () =>
      screen
        .getAllByRole('row')
        .slice(1)
        .map((row) => row.textContent?.slice(0, 3));
    expect(names()).toEqual(['Ada', 'Bo ']);
    await user.selectOptions(screen.getByLabelText('In order'), 'by bench');
    await waitFor(() => expect(names()).toEqual(['Bo ', 'Ada']));
    expect(screen.getByRole('link', { name: /17 handed back/ })).toHaveAttribute(
      'href',
      '/logbook/one/review',
    );
  });
});
