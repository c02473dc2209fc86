import { render, screen, waitFor, within } from '@testing-library/react';
import { act } from 'react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { describe, expect, it } from 'vitest';
import { refusal, serve, student, teacher, type Answers } from '../../test/page';
import { Stream } from '../../test/stream';
import { Lost } from './Lost';
import { Shell } from './Shell';

/** The whole app with pages that only say their names. */
function start(answers: Answers, up = true) {
  const server = serve(answers);
  server.net.up = up;
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const page = (path: string) => ({ path, element: <main id="main">{path}</main> });
  const router = createMemoryRouter([
    {
      Component: Shell,
      errorElement: <Lost />,
      children: [
        { index: true, element: <main id="main">today</main> },
        ...['bench', 'figures', 'logbook', 'class/:classId'].map(page),
        { path: 'broken', element: <Broken /> },
        { path: '*', Component: Lost },
      ],
    },
  ]);
  render(
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return { ...server, queries, router, user: userEvent.setup({ delay: null }) };
}
const Broken = (): never => {
  throw new Error('a fault of the page');
};
const signedIn = (who: object | null): Answers => ({ 'GET /api/session': { who } });

describe('the door', () => {
  it('lets a student in with class code, name and passphrase, and remembers the class', async () => {
    const { user, sent } = start({
      ...signedIn(null),
      'POST /api/session/student': { who: student },
    });
    await user.type(await screen.findByLabelText('Class code'), 'TERN9');
    await user.type(screen.getByLabelText('Your name'), 'Ada Lind');
    await user.type(screen.getByLabelText('Passphrase'), 'ada lantern quay');
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByText('Ada Lind · 9 Tern')).toBeVisible();
    expect(sent('POST /api/session/student')[0]?.body).toEqual({
      classCode: 'TERN9',
      name: 'Ada Lind',
      passphrase: 'ada lantern quay',
    });
    expect(localStorage.getItem('green-beam/last-class')).toBe('TERN9');
  });

  it('has the class code of last time', async () => {
    localStorage.setItem('green-beam/last-class', 'TERN9');
    start(signedIn(null));
    expect(await screen.findByLabelText('Class code')).toHaveValue('TERN9');
  });

  it('lets a teacher in by another way, and says a refusal in the server’s sentence', async () => {
    const { user } = start({
      ...signedIn(null),
      'POST /api/session/teacher': () =>
        refusal(401, 'sign-in-refused', 'The name or the passphrase is not right.'),
    });
    await user.click(await screen.findByRole('tab', { name: 'teacher' }));
    await user.type(screen.getByLabelText('Name or address'), 'Ms Marrow');
    await user.type(screen.getByLabelText('Password'), 'wrong');
    await user.keyboard('{Enter}');
    expect(await screen.findByRole('alert')).toHaveTextContent('The name or the passphrase is not right.');
    expect(screen.getByLabelText('Password')).toHaveValue('wrong');
  });

  it('says that there is no connection, and tries again', async () => {
    const { user, net } = start(signedIn(student), false);
    expect(await screen.findByRole('alert')).toHaveTextContent('There is no connection to Green Beam.');
    net.up = true;
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText(/Ada Lind/)).toBeVisible();
  });
});

describe('the beam', () => {
  const sections = () =>
    within(screen.getByRole('navigation', { name: 'Sections' }))
      .getAllByRole('link')
      .map(({ textContent }) => textContent);

  it('carries a student’s sections, and a teacher’s', async () => {
    start(signedIn(student));
    await screen.findByText('today');
    expect(sections()).toEqual(['Today', 'Bench', 'Figures', 'Logbook']);
  });
  it('carries a teacher’s sections', async () => {
    start(signedIn(teacher));
    await screen.findByText('today');
    expect(sections()).toEqual(['Today', 'Class', 'Bench', 'Figures']);
  });

  it('goes to a section with g and its letter, but not while one types', async () => {
    const { user, router } = start(signedIn(student));
    await screen.findByText('today');
    await user.keyboard('gb');
    await waitFor(() => expect(router.state.location.pathname).toBe('/bench'));
    await user.keyboard('gx');
    await user.keyboard('l');
    expect(router.state.location.pathname).toBe('/bench');
    await user.keyboard('{Control>}g{/Control}l');
    expect(router.state.location.pathname).toBe('/bench');
    await user.keyboard('gl');
    await waitFor(() => expect(router.state.location.pathname).toBe('/logbook'));
  });

  it('lists the keys with a question mark', async () => {
    const { user } = start(signedIn(student));
    await screen.findByText('today');
    await user.keyboard('?');
    const list = await screen.findByRole('dialog', { name: 'Keys' });
    expect(list).toHaveTextContent('g b');
    expect(list).toHaveTextContent('go to Bench');
  });

  it('tips while the line is down, and fetches everything anew once it is back', async () => {
    const { queries } = start(signedIn(student));
    await screen.findByText('today');
    const status = () => screen.getByRole('status');
    act(() => Stream.latest().onerror?.());
    expect(status()).toHaveTextContent('No connection. What you write is kept here.');
    queries.setQueryData(['bench'], {});
    act(() => Stream.latest().onopen?.());
    expect(status()).toHaveTextContent('');
    await waitFor(() => expect(queries.getQueryState(['bench'])?.isInvalidated).toBe(true));
  });

  it('hears what changed: the board, what is shown, a logbook', async () => {
    const { queries } = start(signedIn(teacher));
    await screen.findByText('today');
    const stale = (key: readonly string[]) => queries.getQueryState(key)?.isInvalidated;
    for (const key of [['board', 'tern'], ['classShow', 'tern'], ['logbooks']]) queries.setQueryData(key, {});
    act(() => Stream.latest().say({ changed: 'board', classId: 'tern' }));
    await waitFor(() => expect(stale(['board', 'tern'])).toBe(true));
    expect(stale(['classShow', 'tern'])).toBe(false);
    act(() => Stream.latest().say({ changed: 'show', classId: 'tern' }));
    await waitFor(() => expect(stale(['classShow', 'tern'])).toBe(true));
    act(() => Stream.latest().say({ changed: 'logbook', logbookId: 'book', classId: 'tern' }));
    await waitFor(() => expect(stale(['logbooks'])).toBe(true));
  });

  const parcel = { id: 'p', path: '/api/bench/settings/s/attempts', body: {} };
  it('tips while something waits, and says how much', async () => {
    localStorage.setItem('green-beam/outbox/ada', JSON.stringify([parcel, { ...parcel, id: 'q' }]));
    start({
      ...signedIn(student),
      'POST /api/bench/settings/s/attempts': () => refusal(500, 'unexpected', 'x'),
    });
    expect(await screen.findByText('2 things wait to be sent; nothing is lost.')).toBeVisible();
    act(() => Stream.latest().onerror?.());
    expect(screen.getByText('No connection. 2 things wait to be sent; nothing is lost.')).toBeVisible();
  });

  it('lets what was refused be put aside on any page', async () => {
    localStorage.setItem(
      'green-beam/outbox/ada',
      JSON.stringify([{ ...parcel, refused: 'This setting is finished.' }]),
    );
    const { user } = start(signedIn(student));
    expect(await screen.findByText(/Not stored: This setting is finished\./)).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Put it aside' }));
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Put it aside' })).toBeNull());
    expect(localStorage.getItem('green-beam/outbox/ada')).toBe('[]');
  });

  it('signs out', async () => {
    let here = true;
    const { user } = start({
      'GET /api/session': () => ({ who: here ? student : null }),
      'DELETE /api/session': () => {
        here = false;
        return {};
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Sign out' }));
    expect(await screen.findByLabelText('Class code')).toBeVisible();
  });
});

describe('an address that leads nowhere', () => {
  it('says so, with a way back', async () => {
    const { router } = start(signedIn(student));
    await screen.findByText('today');
    await act(() => router.navigate('/nowhere'));
    expect(await screen.findByRole('heading', { name: 'There is nothing at this address.' })).toBeVisible();
    expect(screen.getByRole('link', { name: 'Go to Today' })).toHaveAttribute('href', '/');
  });

  it('says that a screen could not be shown, and that what was written is kept', async () => {
    const { router } = start(signedIn(student));
    await screen.findByText('today');
    await act(() => router.navigate('/broken'));
    expect(await screen.findByRole('heading', { name: 'This screen could not be shown.' })).toBeVisible();
    expect(screen.getByText(/What you wrote is kept/)).toBeVisible();
  });
});
