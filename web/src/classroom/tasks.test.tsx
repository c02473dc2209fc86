import type { TasksAnswer } from '@green-beam/contract';
import { endOfDay } from '@green-beam/core';
import { screen, waitFor, within } from '@testing-library/react';
import { fireEvent } from '@testing-library/dom';
import { describe, expect, it } from 'vitest';
import { open, serve, teacher, tern } from '../../test/page';
import { Tasks } from './Tasks';

const answer: TasksAnswer = {
  class: tern,
  tasks: [
    {
      id: 't',
      kinds: ['ruler', 'counting'],
      settings: 3,
      investigations: ['pin'],
      benches: ['one'],
      students: ['ada'],
      from: null,
      counts: 2,
      due: endOfDay('2026-11-20').toISOString(),
      place: 'home',
      note: 'Mind the zero.',
      setAt: '2026-11-03T09:00:00Z',
      withdrawn: false,
      done: ['Ada Lind'],
      open: ['Bo Quill'],
    },
  ],
  benches: [{ id: 'one', name: 'Bench 1' }],
  students: [{ id: 'ada', name: 'Ada Lind' }],
  investigations: [{ id: 'pin', title: 'Bolt pin' }],
};

function tasks() {
  const server = serve({
    'GET /api/classes/*/tasks': answer,
    'POST /api/classes/*/tasks': answer,
    'POST /api/classes/*/tasks/*': answer,
  });
  return {
    ...server,
    ...open([{ path: '/class/:classId/tasks', Component: Tasks }], '/class/tern/tasks', teacher),
  };
}

describe('practice', () => {
  it('is set for benches until a day, whole, by the clock on the wall', async () => {
    const { user, sent } = tasks();
    const form = await screen.findByRole('form', { name: 'Set work' });
    expect(within(form).getByRole('button', { name: 'Set it' })).toBeDisabled();
    await user.click(within(form).getByLabelText('burette'));
    await user.selectOptions(within(form).getByLabelText('How long'), '5 settings of each');
    await user.click(within(form).getByRole('button', { name: /^Drills/ }));
    await user.click(within(form).getByLabelText('Count the figures'));
    await user.click(within(form).getByRole('button', { name: /^Investigations to hand in/ }));
    await user.click(within(form).getByLabelText('Bolt pin'));
    await user.click(within(form).getByRole('button', { name: /^For whom/ }));
    await user.click(within(form).getByLabelText('Bench 1'));
    await user.click(within(form).getByLabelText('Ada Lind'));
    await user.selectOptions(within(form).getByLabelText('It counts'), '5');
    fireEvent.change(within(form).getByLabelText('Due, at the end of'), { target: { value: '2026-11-27' } });
    await user.click(within(form).getByRole('button', { name: 'Set it' }));
    await waitFor(() => expect(sent('POST /api/classes/*/tasks')).toHaveLength(1));
    expect(sent('POST /api/classes/*/tasks')[0]?.body).toMatchObject({
      kinds: ['burette', 'counting'],
      investigations: ['pin'],
      students: ['ada'],
      counts: 5,
      from: null,
      settings: 5,
      benches: ['one'],
      due: new Date(2026, 10, 27, 23, 59, 59, 999).toISOString(),
      place: 'lesson',
    });
  });

  it('shows who has done it, is taken back, and is due another day', async () => {
    const { user, sent } = tasks();
    const set = await screen.findByRole('region', { name: 'Set' });
    expect(set).toHaveTextContent(/ruler, .*: 3 of each; hand in Bolt pin, for Bench 1, Ada Lind/);
    expect(set).toHaveTextContent('1 of 2 done; not yet: Bo Quill');
    await user.click(within(set).getByRole('button', { name: 'Take it back' }));
    await waitFor(() => expect(sent('POST /api/classes/*/tasks/*')[0]?.body).toEqual({ withdrawn: true }));
    fireEvent.change(within(set).getByLabelText('Due another day'), { target: { value: '' } });
    await waitFor(() => expect(sent('POST /api/classes/*/tasks/*')[1]?.body).toEqual({ due: null }));
  });
});
