import { type BoardAnswer, endpoints } from '@green-beam/contract';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import { act } from 'react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { describe, expect, it } from 'vitest';
import { refusal, serve, student, teacher, type Answers } from '../../test/page';
import { Stream } from '../../test/stream';
import { call } from '../api';
import { database, parcelsOf } from '../browser/database';
import { forget, forgetWord, hold, isHeld, keyFrom } from '../browser/keys';
import { ownTexts } from '../browser/storage';
import { Guarded } from './Guarded';
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
      element: (
        <Guarded>
          <Shell />
        </Guarded>
      ),
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
/** What the session's own cookie would carry. */
const word = 'green-beam-seal=a-word-that-nobody-guesses-at-all';
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
    expect(await screen.findByRole('link', { name: /^Ada Lind/ })).toBeVisible();
    expect(sent('POST /api/session/student')[0]?.body).toEqual({
      classCode: 'TERN9',
      name: 'Ada Lind',
      passphrase: 'ada lantern quay',
      ownDevice: false,
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
    const { net } = start(signedIn(student), false);
    expect(await screen.findByText(/There is no connection\. Sign in when you have one\./)).toBeVisible();
    net.up = true;
    expect(await screen.findByRole('link', { name: /^Ada Lind/ }, { timeout: 10_000 })).toBeVisible();
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
    expect(sections()).toEqual(['Today', 'Class', 'Bench', 'Figures', 'Stockroom']);
  });

  it('goes to a section with g and its letter, but not while one types', async () => {
    const { user, router } = start(signedIn(student));
    await screen.findByText('today');
    // On a machine that is slow the second key may come too late to belong to the first: it is pressed again.
    await waitFor(async () => {
      await user.keyboard('gb');
      expect(router.state.location.pathname).toBe('/bench');
    });
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
    const stream = await Stream.opened();
    act(() => stream.onerror?.());
    expect(status()).toHaveTextContent('No connection. What you write is kept here.');
    queries.setQueryData(['bench'], {});
    act(() => Stream.latest().onopen?.());
    expect(status()).toHaveTextContent('');
    await waitFor(() => expect(queries.getQueryState(['bench'])?.isInvalidated).toBe(true));
  });

  it('hears what changed: the board, what is shown, a logbook', async () => {
    const board = { class: teacher.classes[0], size: 2, readingsToday: 0, students: [] };
    const { queries, sent } = start({
      ...signedIn(teacher),
      'GET /api/classes/tern/board': {
        ...board,
        readingsToday: 7,
        students: [{ id: 'bo', name: 'Bo Aasen', group: 'Bench 2' }],
      },
    });
    await screen.findByText('today');
    const stale = (key: readonly string[]) => queries.getQueryState(key)?.isInvalidated;
    for (const key of [['classShow', 'tern'], ['logbooks']]) queries.setQueryData(key, {});
    queries.setQueryData(['board', 'tern'], {
      ...board,
      students: [
        { id: 'ada', name: 'Ada Lind' },
        { id: 'bo', name: 'Bo Aasen' },
      ],
    });
    const stream = await Stream.opened();
    act(() => stream.say({ changed: 'board', classId: 'tern', students: ['bo'], logbooks: [] }));
    // Only what is new is fetched, and the rest of the board stays.
    await waitFor(() =>
      expect(queries.getQueryData<BoardAnswer>(['board', 'tern'])).toMatchObject({
        readingsToday: 7,
        students: [{ id: 'ada' }, { id: 'bo', group: 'Bench 2' }],
      }),
    );
    expect(sent('GET /api/classes/tern/board')[0]?.query.get('students')).toBe('bo');
    act(() => Stream.latest().say({ changed: 'answers', classId: 'tern' }));
    await waitFor(() => expect(stale(['classShow', 'tern'])).toBe(true));
    act(() => Stream.latest().say({ changed: 'logbook', logbookId: 'book', arrived: null }));
    await waitFor(() => expect(stale(['logbooks'])).toBe(true));
  });

  const parcel = (id: string, text: string, rest: object = {}) =>
    parcelsOf('ada').add({ id, path: '/api/bench/settings/s/attempts', body: { text }, ...rest });
  const stumbling: Answers = {
    ...signedIn(student),
    'POST /api/bench/settings/s/attempts': () => refusal(500, 'unexpected', 'x'),
  };
  it('tips while something waits, and says how much', async () => {
    await parcel('p', '1.0');
    await parcel('q', '2.0');
    start(stumbling);
    expect(await screen.findByText('2 things wait to be sent; nothing is lost.')).toBeVisible();
    const stream = await Stream.opened();
    act(() => stream.onerror?.());
    expect(
      await screen.findByText('No connection. 2 things wait to be sent; nothing is lost.'),
    ).toBeVisible();
  });

  it('takes over what an earlier version of the pages kept', async () => {
    const old = [{ id: 'p', path: '/api/bench/settings/s/attempts', body: { text: '1.0' } }];
    localStorage.setItem('green-beam/outbox/ada', JSON.stringify(old));
    const { sent } = start({ ...signedIn(student), 'POST /api/bench/settings/s/attempts': {} });
    await waitFor(() =>
      expect(sent('POST /api/bench/settings/s/attempts')[0]?.body).toEqual({ text: '1.0' }),
    );
    expect(localStorage.getItem('green-beam/outbox/ada')).toBeNull();
  });

  it('shows what was refused, in its writer’s words, before any of it can go', async () => {
    await parcel('p', '12.40', { refused: 'This setting is finished.' });
    const { user } = start(signedIn(student));
    expect(await screen.findByText(/One thing was not stored\./)).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'See what and why' }));
    const list = await screen.findByRole('dialog', { name: 'Not stored' });
    expect(list).toHaveTextContent('12.40');
    expect(list).toHaveTextContent('This setting is finished.');
    await user.click(within(list).getByRole('button', { name: 'Put aside 12.40' }));
    await waitFor(() => expect(screen.queryByText(/was not stored/)).toBeNull());
    expect(await parcelsOf('ada').all()).toEqual([]);
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

describe('a session', () => {
  it('asks before it ends with something unsent, and locks that away from who comes next', async () => {
    hold('ada', await keyFrom('ada’s own key'));
    await parcelsOf('ada').add({ id: 'p', path: '/api/entries', body: { text: '52.40' } });
    // One was written by an earlier version of the pages, which sealed nothing.
    localStorage.setItem('green-beam/draft/ada/book/1/mass', '17.');
    ownTexts('ada').setItem('green-beam/draft/ada/book/2/mass', '18.');
    let who: object | null = student;
    const { user, net } = start({
      'GET /api/session': () => ({ who, sealKey: who ? 'ada’s own key' : undefined }),
      'POST /api/entries': () => refusal(503, 'unavailable', 'x'),
      'DELETE /api/session': () => {
        who = null;
        return {};
      },
      'POST /api/session/student': () => {
        who = student;
        return { who, sealKey: 'ada’s own key' };
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Sign out' }));
    expect(await screen.findByText('One thing is not sent yet.')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Stay signed in' }));
    expect(screen.getByText('today')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Sign out' }));
    await user.click(await screen.findByRole('button', { name: 'Sign out, keep it locked here' }));
    expect(await screen.findByLabelText('Class code')).toBeVisible();
    await waitFor(async () => expect(await parcelsOf('ada').all()).toEqual([]));
    expect(isHeld('ada')).toBe(false);
    const kept = await database();
    await waitFor(async () => expect(await kept.getAllKeys('keys')).toEqual([]));
    // Nothing that the next person could read, here or there.
    const readable = JSON.stringify([await kept.getAll('parcels'), { ...localStorage }]);
    expect(readable).not.toMatch(/52\.40|17\.|18\./);
    expect(readable.match(/sealed/g)).toHaveLength(3);

    net.up = true;
    await user.type(screen.getByLabelText('Class code'), 'TERN9');
    await user.type(screen.getByLabelText('Your name'), 'Ada Lind');
    await user.type(screen.getByLabelText('Passphrase'), 'x');
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByText(/One thing waits to be sent/)).toBeVisible();
    expect((await parcelsOf('ada').all())[0]?.body).toEqual({ text: '52.40' });
    const texts = ['1', '2'].map((trial) =>
      ownTexts('ada').getItem(`green-beam/draft/ada/book/${trial}/mass`),
    );
    expect(texts).toEqual(['17.', '18.']);
  });

  it('that has ended says so where one is, and the same person goes on there', async () => {
    let who: object | null = student;
    const { user, router } = start({
      'GET /api/session': () => ({ who }),
      'POST /api/session/student': () => ({ who: (who = student) }),
    });
    await screen.findByText('today');
    await act(() => router.navigate('/figures'));
    who = null;
    const stream = await Stream.opened();
    act(() => stream.say({ changed: 'session' }));
    const bar = await screen.findByRole('region', { name: 'Your session has ended' });
    expect(screen.getByText('figures')).toBeVisible();
    await user.type(within(bar).getByLabelText('Passphrase'), 'ada lantern quay');
    await user.click(within(bar).getByRole('button', { name: 'Sign in again' }));
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Your session has ended' })).toBeNull());
    expect(router.state.location.pathname).toBe('/figures');
  });

  it('that is somebody else’s now puts the page aside', async () => {
    let who: object = student;
    const { user, sent } = start({
      'GET /api/session': () => ({ who }),
      'GET /api/balance': { state: 'none' },
    });
    await screen.findByText('today');
    who = { ...student, id: 'bo', name: 'Bo Aasen' };
    const stream = await Stream.opened();
    act(() => stream.say({ changed: 'session' }));
    expect(
      await screen.findByRole('heading', { name: 'Bo Aasen has signed in on this browser.' }),
    ).toBeVisible();
    expect(screen.queryByText('today')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Go on as Bo Aasen' }));
    expect(await screen.findByRole('link', { name: /^Bo Aasen/ })).toBeVisible();
    await call(endpoints.feed);
    expect(sent('GET /api/balance')[0]?.person).toBe('bo');
  });

  it('begins with a password of one’s own where the printed one is used', async () => {
    let first = true;
    const { user } = start({
      'GET /api/session': () => ({ who: teacher, mustChange: first }),
      'POST /api/session/password': () => {
        first = false;
        return { who: teacher, mustChange: false };
      },
    });
    await user.type(await screen.findByLabelText('Password that you have now'), 'printed words');
    await user.type(screen.getByLabelText('New password'), 'amber lantern quay');
    await user.click(screen.getByRole('button', { name: 'Change the password' }));
    expect(await screen.findByText('today')).toBeVisible();
  });

  it('starts without the server as it was last known, with what was fetched then', async () => {
    document.cookie = word;
    const { queries, net } = start({ ...signedIn(null), 'GET /api/session': { who: student, sealKey: 'k' } });
    await screen.findByText('today');
    queries.setQueryData(['logbook', 'book'], { id: 'book' });
    await waitFor(async () => expect(await (await database()).get('answers', 'ada')).toBeDefined(), {
      timeout: 5000,
    });
    cleanup();
    net.up = false;
    // The page is gone, and with it the key; the session's own word opens it again.
    forget('ada');
    const again = start(signedIn(student), false);
    expect(await screen.findByText('today')).toBeVisible();
    expect(again.queries.getQueryData(['logbook', 'book'])).toEqual({ id: 'book' });
    cleanup();
    // The browser was closed: the word went with the session.
    forget('ada');
    forgetWord();
    start(signedIn(student), false);
    expect(await screen.findByText(/Sign in when you have one/)).toBeVisible();
    expect(screen.queryByText('today')).toBeNull();
    expect(isHeld('ada')).toBe(false);
  });

  it('that was left without the server is told of before anything else', async () => {
    document.cookie = word;
    const { user, net } = start({ 'GET /api/session': { who: student, sealKey: 'k' } });
    await screen.findByText('today');
    net.up = false;
    await user.click(screen.getByRole('button', { name: 'Sign out' }));
    expect(await screen.findByLabelText('Class code')).toBeVisible();
    expect(document.cookie).not.toContain('green-beam-seal');
    expect(await (await database()).getAllKeys('keys')).toEqual([]);
    cleanup();
    const { calls } = start({ 'GET /api/session': { who: null }, 'DELETE /api/session': {} });
    expect(await screen.findByLabelText('Class code')).toBeVisible();
    expect(calls.map(({ method, path }) => `${method} ${path}`).slice(0, 2)).toEqual([
      'DELETE /api/session',
      'GET /api/session',
    ]);
    expect(await (await database()).get('session', 'leaving')).toBeUndefined();
  });
});

describe('an address that leads nowhere', () => {
  it('says so, with a way back', async () => {
    const { router } = start(signedIn(student));
    await screen.findByText('today');
    await act(() => router.navigate('/nowhere'));
    expect(await screen.findByRole('heading', { name: 'There is no page at this address.' })).toBeVisible();
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
