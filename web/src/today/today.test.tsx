import type { BenchAnswer, LogbookLine } from '@green-beam/contract';
import { instrumentOf } from '@green-beam/core';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { open, refusal, serve, student, teacher, tern, type Answers } from '../../test/page';
import { Today } from './Today';

const instrument = (kind: string, tries: number, state = 'steady') => {
  const { name, models } = instrumentOf(kind);
  return {
    kind,
    name,
    models,
    skill: { kind, state, reason: '2 of your last 3 wrong', tries },
    parts: [],
    mark: null,
  };
};
const bench = (suggested: string | null, ...instruments: object[]) =>
  ({
    instruments,
    suggestion: suggested && { kind: suggested, state: 'shaky', reason: '2 of your last 3 wrong', tries: 3 },
  }) as unknown as BenchAnswer;
const line = (rest: Partial<LogbookLine> = {}): LogbookLine => ({
  investigationId: 'i',
  title: 'Bolt pin',
  object: 'bolt pin',
  logbookId: null,
  readers: [],
  completeTrials: 0,
  trialsWanted: 3,
  resultText: null,
  resultSymbol: 'ρ',
  handedIn: false,
  ...rest,
});

function today(who: typeof student, answers: Answers) {
  const server = serve({
    'GET /api/question': { question: null },
    'GET /api/bench': bench(null, instrument('ruler', 0)),
    'GET /api/logbooks': { logbooks: [] },
    'GET /api/tasks': { tasks: [] },
    ...answers,
  });
  const view = open(
    [
      { index: true, Component: Today },
      { path: 'logbook/:id', element: <p>the logbook</p> },
      { path: 'bench/:id', element: <p>the bench</p> },
      { path: 'class/:id/roster', element: <p>the roster</p> },
    ],
    '/',
    who,
  );
  return { ...view, ...server };
}

describe('practice that is set', () => {
  const task = (rest: object) => ({
    id: 't',
    kinds: ['ruler', 'burette'],
    settings: 3,
    benches: [],
    due: '2026-11-20T22:59:59.999Z',
    place: 'home',
    note: 'Mind the zero.',
    setAt: '2026-11-03T09:00:00Z',
    ...{ withdrawn: false, tries: 3, answers: 'at once', shown: false, taken: [], makes: [] },
    done: false,
    late: true,
    progress: [
      { kind: 'ruler', read: 4, state: 'begun', done: true },
      { kind: 'burette', read: 1, state: 'begun', done: false },
    ],
    books: [{ family: 'pin', title: 'Bolt pin', logbookId: 'l', done: false }],
    ...rest,
  });

  it('says how far one has come, and lays out what is next', async () => {
    const { user, sent } = today(student, {
      'GET /api/tasks': { tasks: [task({}), task({ id: 'u', progress: [], done: true, late: false })] },
      'POST /api/bench/settings': { id: 's' },
    });
    const section = await screen.findByRole('region', { name: 'Work that is set' });
    expect(section).toHaveTextContent('ruler3 of 3 settings · done');
    expect(section).toHaveTextContent('burette1 of 3 settings');
    expect(section).toHaveTextContent('Bolt pinto be handed in');
    expect(section).toHaveTextContent('late');
    expect(within(section).getByText('Done.')).toBeVisible();
    await user.click(within(section).getByRole('button', { name: 'Read the burette' }));
    await waitFor(() =>
      expect(sent('POST /api/bench/settings')[0]?.body).toMatchObject({ kind: 'burette', mode: 'read' }),
    );
  });
});

describe('a student’s first screen', () => {
  it('says so where nothing is set and nothing was read', async () => {
    today(student, {});
    expect(await screen.findByText('Nothing is set. Practise on the bench.')).toBeVisible();
    expect(screen.getByText(/Nothing yet. Take a setting/)).toBeVisible();
    expect(screen.queryByRole('region', { name: 'Practise now' })).toBeNull();
  });

  it('opens a logbook with one press, and goes on with one that is open', async () => {
    const { user, sent } = today(student, {
      'GET /api/logbooks': {
        logbooks: [
          line(),
          line({
            investigationId: 'j',
            title: 'Lamp oil',
            logbookId: 'oil',
            readers: ['Ada Lind', 'Bo Aasen'],
            completeTrials: 3,
            resultText: '(0.80 ± 0.02) g/cm³',
            handedIn: true,
          }),
        ],
      },
      'POST /api/investigations/i/logbook': { logbookId: 'pin' },
    });
    const set = await screen.findByRole('region', { name: 'Set for you' });
    expect(set).toHaveTextContent('3 of 3 trials · Ada Lind, Bo Aasen');
    expect(set).toHaveTextContent('ρ = (0.80 ± 0.02) g/cm³handed in');
    expect(within(set).getByRole('link', { name: 'Look at it' })).toHaveAttribute('href', '/logbook/oil');
    await user.click(within(set).getByRole('button', { name: 'Open the logbook' }));
    expect(await screen.findByText('the logbook')).toBeVisible();
    expect(sent('POST /api/investigations/i/logbook')).toHaveLength(1);
  });

  it('suggests what is shaky, and lays it out', async () => {
    const { user, sent } = today(student, {
      'GET /api/bench': bench('ruler', instrument('ruler', 3, 'shaky'), instrument('burette', 2)),
      'POST /api/bench/settings': ({ body }) => ({ ...(body as object), id: 'new' }),
    });
    const now = await screen.findByRole('region', { name: 'Practise now' });
    expect(now).toHaveTextContent('Practise the ruler');
    expect(now).toHaveTextContent('2 of your last 3 wrong');
    const readings = screen.getByRole('region', { name: 'Your readings' });
    expect(within(readings).getAllByRole('listitem')).toHaveLength(2);
    await user.click(within(now).getByRole('button', { name: 'Take a setting' }));
    expect(await screen.findByText('the bench')).toBeVisible();
    expect(sent('POST /api/bench/settings')[0]?.body).toMatchObject({ kind: 'ruler', mode: 'read' });
  });

  it('leads to what the teacher shows just now', async () => {
    const { user, sent } = today(student, {
      'GET /api/question': {
        question: { id: 'w', kind: 'ruler', instrumentName: 'ruler', modelName: 'Ruler, mm', tag: 'R-02' },
      },
      'POST /api/questions/w/settings': { id: 'mine' },
    });
    const shows = await screen.findByRole('region', { name: 'Your teacher shows' });
    expect(shows).toHaveTextContent('Station R-02: Ruler, mm. Everyone reads it.');
    await user.click(within(shows).getByRole('button', { name: 'Read it' }));
    expect(await screen.findByText('the bench')).toBeVisible();
    expect(sent('POST /api/questions/w/settings')).toHaveLength(1);
  });

  it('tells what the server refuses', async () => {
    const { user } = today(student, {
      'GET /api/logbooks': { logbooks: [line()] },
      'POST /api/investigations/i/logbook': () =>
        refusal(403, 'not-allowed', 'This is not yours to open or change.'),
    });
    await user.click(await screen.findByRole('button', { name: 'Open the logbook' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('This is not yours');
  });
});

describe('a teacher’s first screen', () => {
  const board = (rest: object = {}) => ({
    class: tern,
    staffRole: 'owner',
    instruments: [],
    students: [],
    readingsToday: 12,
    atWorkToday: 4,
    worthFiveMinutes: null,
    helped: [],
    ...rest,
  });
  const pupil = (name: string, rights: readonly boolean[], books: readonly LogbookLine[] = []) => ({
    id: name,
    name,
    group: null,
    spoken: false,
    latest: rights.map((right, at) => ({
      kind: 'ruler',
      text: '1',
      unit: 'mm',
      right,
      causes: [],
      at: String(at),
    })),
    marks: [],
    logbooks: books,
  });

  it('says who is at work, who is stuck, and how many logbooks have a result', async () => {
    const shared = line({ logbookId: 'pin', resultText: '(8.8 ± 0.3) g/cm³' });
    today(teacher, {
      'GET /api/classes/tern/board': board({
        students: [
          pupil('Ada Lind', [false, false, false], [shared]),
          pupil('Bo Aasen', [false, false], [shared]),
          pupil('Cy Wren', [true, false, false], [line({ logbookId: 'other' })]),
        ],
      }),
    });
    const section = await screen.findByRole('region', { name: '9 Tern' });
    const fact = (name: string) => within(section).getByText(name).nextElementSibling;
    expect(fact('At work today')).toHaveTextContent('4 of 3');
    expect(fact('Readings today')).toHaveTextContent('12');
    expect(fact('Logbooks')).toHaveTextContent('1 of 2 with a result');
    expect(fact('Last three readings wrong')).toHaveTextContent('Ada Lind');
    expect(within(section).getByRole('link', { name: 'Open the class' })).toHaveAttribute(
      'href',
      '/class/tern',
    );
  });

  it('makes a class, and goes to its roster', async () => {
    const { user, sent } = today(
      { ...teacher, classes: [] },
      { 'POST /api/classes': { id: 'auk', code: 'AUK44', name: '8 Auk' } },
    );
    expect(await screen.findByText(/You have no class yet/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Make the class' })).toBeDisabled();
    await user.type(screen.getByLabelText('Another class'), '8 Auk{Enter}');
    expect(await screen.findByText('the roster')).toBeVisible();
    await waitFor(() =>
      expect(sent('POST /api/classes')[0]?.body).toEqual({ name: '8 Auk', preset: 'Chemistry bench' }),
    );
  });
});
