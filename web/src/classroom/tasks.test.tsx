import type { TasksAnswer } from '@green-beam/contract';
import { endOfDay, makesOf } from '@green-beam/core';
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
      inOrder: true,
      ...{ shown: false, tries: 3, answers: 'at once', makes: [] },
      done: ['Ada Lind'],
      open: ['Bo Quill'],
    },
  ],
  benches: [{ id: 'one', name: 'Bench 1' }],
  students: [{ id: 'ada', name: 'Ada Lind' }],
  investigations: [{ id: 'pin', title: 'Bolt pin' }],
};

function tasks(rest: Partial<TasksAnswer['tasks'][number]> = {}) {
  const now = { ...answer, tasks: answer.tasks.map((own) => ({ ...own, ...rest })) };
  const server = serve({
    'GET /api/classes/*/tasks': now,
    'POST /api/classes/*/tasks': now,
    'POST /api/classes/*/tasks/*': now,
  });
  return {
    ...server,
    ...open([{ path: '/class/:classId/tasks', Component: Tasks }], '/class/tern/tasks', teacher),
  };
}

describe('what is set', () => {
  it('may ask something else while it runs', async () => {
    const { user, sent } = tasks();
    const set = await screen.findByRole('region', { name: 'Set' });
    await user.click(within(set).getByRole('button', { name: 'Change what it asks' }));
    const form = screen.getByRole('form', { name: 'Change work' });
    expect(within(form).getByRole('heading', { name: 'Change what is set' })).toHaveFocus();
    expect(within(form).getByLabelText('ruler')).toBeChecked();
    expect(within(form).getByLabelText('Due, at the end of')).toHaveValue('2026-11-20');
    await user.type(within(form).getByLabelText('A word to them'), ' And the parallax.');
    expect(within(form).getByLabelText('A word to them')).toHaveFocus();
    await user.click(within(form).getByLabelText('burette'));
    await user.selectOptions(within(form).getByLabelText('How it is answered'), '1 try each; told at once');
    await user.click(within(form).getByRole('button', { name: 'Change it' }));
    await waitFor(() => expect(sent('POST /api/classes/*/tasks/*')).toHaveLength(1));
    const {
      id: _,
      setAt: __,
      withdrawn: ___,
      shown: ____,
      done: _____,
      open: ______,
      inOrder: _______,
      ...work
    } = answer.tasks[0]!;
    expect(sent('POST /api/classes/*/tasks/*')[0]?.body).toEqual({
      work: {
        ...work,
        kinds: ['ruler', 'counting', 'burette'],
        tries: 1,
        note: 'Mind the zero. And the parallax.',
      },
    });
    expect(await screen.findByRole('form', { name: 'Set work' })).toBeVisible();
    // Or it is left as it is.
    await user.click(within(set).getByRole('button', { name: 'Change what it asks' }));
    await user.click(screen.getByRole('button', { name: 'Leave it as it is' }));
    expect(screen.getByRole('form', { name: 'Set work' })).toBeVisible();
  });

  it('holds its answers back for so many settings, until they are shown', async () => {
    const { user, sent } = tasks({ answers: 'held' });
    const form = await screen.findByRole('form', { name: 'Set work' });
    await user.click(within(form).getByLabelText('burette'));
    await user.selectOptions(
      within(form).getByLabelText('How it is answered'),
      '1 answer each; told when you show it',
    );
    // Until steady is no choice where nothing is told.
    expect(within(form).getByLabelText('How long')).toHaveValue('3');
    await user.click(within(form).getByRole('button', { name: 'Set it' }));
    await waitFor(() => expect(sent('POST /api/classes/*/tasks')).toHaveLength(1));
    expect(sent('POST /api/classes/*/tasks')[0]?.body).toMatchObject({
      settings: 3,
      answers: 'held',
      tries: 3,
    });
    const set = screen.getByRole('region', { name: 'Set' });
    expect(set).toHaveTextContent('one answer each, not told yet');
    await user.click(within(set).getByRole('button', { name: 'Show the answers' }));
    await waitFor(() => expect(sent('POST /api/classes/*/tasks/*')[0]?.body).toEqual({ shown: true }));
  });
});

describe('practice', () => {
  it('is set for benches until a day, whole, by the clock on the wall', async () => {
    const { user, sent } = tasks();
    const form = await screen.findByRole('form', { name: 'Set work' });
    expect(within(form).getByRole('button', { name: 'Set it' })).toBeDisabled();
    expect(within(form).queryByRole('button', { name: /^Makes/ })).toBeNull();
    await user.click(within(form).getByLabelText('micrometer'));
    await user.click(within(form).getByRole('button', { name: /^Makes/ }));
    const [make] = makesOf(['micrometer']);
    await user.click(within(form).getByLabelText(make!.name));
    // Without its instrument a make is no longer asked for.
    await user.click(within(form).getByLabelText('burette'));
    await user.click(within(form).getByLabelText('micrometer'));
    const [burette] = makesOf(['burette']);
    await user.click(within(form).getByLabelText(burette!.name));
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
      makes: [burette!.id],
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
