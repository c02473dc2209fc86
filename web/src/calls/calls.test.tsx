import type { CallsAnswer } from '@green-beam/contract';
import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { open, refusal, serve, student, teacher } from '../../test/page';
import { Calls } from './Calls';
import { CallTeacher } from './CallTeacher';

const call = {
  id: 'c',
  reason: 'check' as const,
  at: '2026-11-03T09:12:00Z',
  logbookId: 'book',
  by: 'Ada Lind',
};

describe('a bench that calls', () => {
  const header = (address: string, answers: object) => {
    const server = serve({ 'GET /api/call': { call: null }, ...answers });
    return { ...server, ...open([{ path: '*', Component: CallTeacher }], address, student) };
  };

  it('asks for help anywhere, and for a check where a logbook is open', async () => {
    const { user, sent } = header('/bench', { 'POST /api/call': { call: { ...call, reason: 'help' } } });
    await user.click(await screen.findByRole('button', { name: 'Call your teacher' }));
    expect(screen.getByRole('button', { name: 'Check our data' })).toBeDisabled();
    await user.click(screen.getByRole('button', { name: 'We need help' }));
    expect(await screen.findByRole('button', { name: /^Called at .*: we need help$/ })).toBeVisible();
    expect(sent('POST /api/call')[0]?.body).toMatchObject({ reason: 'help', logbookId: null });
  });

  it('has the open logbook checked, and takes it back', async () => {
    const { user, sent } = header('/logbook/book/report', {
      'POST /api/call': { call },
      'DELETE /api/call': { call: null },
    });
    await user.click(await screen.findByRole('button', { name: 'Call your teacher' }));
    await user.click(screen.getByRole('button', { name: 'Check our data' }));
    expect(sent('POST /api/call')[0]?.body).toMatchObject({ reason: 'check', logbookId: 'book' });
    await user.click(await screen.findByRole('button', { name: /check our data$/ }));
    await user.click(await screen.findByRole('button', { name: 'Take it back' }));
    expect(await screen.findByRole('button', { name: 'Call your teacher' })).toBeVisible();
  });

  it('is told what hinders', async () => {
    const { user } = header('/bench', {
      'POST /api/call': () => refusal(403, 'not-allowed', 'This is not yours to open or change.'),
    });
    await user.click(await screen.findByRole('button', { name: 'Call your teacher' }));
    await user.click(screen.getByRole('button', { name: 'We need help' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('This is not yours to open or change.');
  });
});

it('the teacher sees who calls for what, goes to the logbook, and was there', async () => {
  const answer: CallsAnswer = {
    calls: [
      { ...call, bench: 'Bench 2' },
      { ...call, id: 'd', reason: 'help', logbookId: null, bench: null, by: 'Bo Quill' },
    ],
  };
  const { sent } = serve({
    'GET /api/classes/*/calls': answer,
    'DELETE /api/classes/*/calls/*': { calls: [] },
  });
  const { user } = open([{ path: '*', Component: () => <Calls classId="tern" /> }], '/', teacher);
  const list = await screen.findByRole('list', { name: 'Benches that call' });
  expect(list).toHaveTextContent(/Bench 2: check our data, Ada Lind.*Bo Quill: we need help/);
  expect(screen.getByRole('link', { name: 'Look it through' })).toHaveAttribute(
    'href',
    '/logbook/book/check',
  );
  await user.click(screen.getByRole('button', { name: /^Been there.*Bo Quill/ }));
  await waitFor(() => expect(screen.queryByRole('list')).toBeNull());
  expect(sent('DELETE /api/classes/*/calls/*')[0]?.path).toMatch(/\/d$/);
});
