import type { BoardAnswer, BoardStudent, StaffQuestion } from '@green-beam/contract';
import { instrumentOf, presetComparison, seeded } from '@green-beam/core';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { skill } from '../../test/bench';
import { open, refusal, serve, teacher, tern, type Answers } from '../../test/page';
import { Board } from './Board';
import { Roster } from './Roster';
import { ClassQuestion } from './ClassQuestion';

const mark = { bias: 1.4, spread: 0.3, n: 6 };
const reading = (right: boolean, at: string, causes: string[] = []) => ({
  kind: 'graduated-cylinder',
  text: '43.6',
  unit: 'mL',
  right,
  causes,
  at,
});
const pupil = (id: string, name: string, rest: Partial<BoardStudent> = {}): BoardStudent => ({
  id,
  name,
  group: null,
  spoken: false,
  absent: false,
  latest: [],
  marks: [
    { kind: 'graduated-cylinder', mark: null, skill: { kind: 'graduated-cylinder', ...skill } },
  ] as unknown as BoardStudent['marks'],
  logbooks: [],
  ...rest,
});
const board = (rest: Partial<BoardAnswer> = {}): BoardAnswer => ({
  class: tern,
  staffRole: 'owner',
  instruments: [
    { kind: 'graduated-cylinder', name: 'graduated cylinder' },
    { kind: 'ruler', name: 'ruler' },
  ],
  students: [
    pupil('ada', 'Ada Lind', {
      group: 'bench 10',
      latest: [
        reading(false, '2026-03-02T09:20:00Z', ['top-of-curve', 'eye-high']),
        reading(true, '2026-03-02T09:10:00Z'),
      ],
      logbooks: [
        {
          investigationId: 'i',
          title: 'Bolt pin',
          object: 'bolt pin',
          logbookId: 'book',
          readers: ['Ada Lind'],
          completeTrials: 2,
          trialsWanted: 3,
          resultText: null,
          resultSymbol: 'ρ',
          handedIn: false,
          found: { count: 2, weight: 3, sentence: 'A digit too many.' },
        },
      ],
    }),
    pupil('bo', 'Bo Aasen', { group: 'bench 2', latest: [reading(true, '2026-03-02T09:30:00Z')] }),
    pupil('cy', 'Cy Wren'),
  ],
  size: 2,
  readingsToday: 3,
  atWorkToday: 2,
  worthFiveMinutes: null,
  helped: [],
  ...rest,
});

function classroom(address: string, answers: Answers = {}) {
  const server = serve({
    'GET /api/classes/tern/board': board(),
    'GET /api/bench': {
      instruments: ['graduated-cylinder', 'ruler'].map((kind) => {
        const { name, models } = instrumentOf(kind);
        return { kind, name, models, skill: { kind, ...skill }, parts: [], mark: null };
      }),
      suggestion: null,
    },
    ...answers,
  });
  const view = open(
    [
      { path: 'class/:classId', Component: Board },
      { path: 'class/:classId/roster', Component: Roster },
      { path: 'class/:classId/question', Component: ClassQuestion },
    ],
    `/class/tern${address}`,
    teacher,
  );
  return { ...view, ...server };
}

describe('the class at a glance', () => {
  const names = () =>
    screen.getAllByRole('rowheader').map(({ textContent }) => textContent?.replace(/ ?bench \d+/, '').trim());

  it('has each student’s last reading, its cause, and the logbook', async () => {
    const { user } = classroom('');
    expect(await screen.findByRole('heading', { level: 1 })).toHaveTextContent('9 Tern, today');
    expect(screen.getByText(/2 of 3 at work · readings today: 3 · class code TERN9/)).toBeVisible();
    const ada = screen.getByRole('row', { name: /Ada Lind/ });
    expect(ada).toHaveTextContent('43.6 mL wrong');
    expect(ada).toHaveTextContent(/top.of.curve or eye.high/);
    expect(within(ada).getByRole('link', { name: /trials/ })).toHaveTextContent('2 of 3 trials, Bolt pin');
    expect(within(ada).getByText('2 found')).toHaveAttribute('title', 'A digit too many.');
    expect(screen.getByRole('row', { name: /Cy Wren/ })).toHaveTextContent('no reading this week');
    await user.click(within(ada).getByRole('button'));
    expect(ada).toHaveTextContent('43.6 mL right');
  });

  it('has what lies before a student at this moment', async () => {
    const since = new Date(2026, 10, 3, 10, 4).toISOString();
    const ada = board().students.find(({ name }) => name === 'Ada Lind')!;
    classroom('', {
      'GET /api/classes/tern/now': {
        atHand: [{ studentId: ada.id, kind: 'micrometer', since, tries: 2 }],
      },
    });
    expect(await screen.findByText('micrometer')).toBeVisible();
    expect(screen.getByRole('row', { name: /Ada Lind/ })).toHaveTextContent(
      /micrometer since 10:04.*, 2 tries/,
    );
    expect(screen.getByRole('row', { name: /Bo Aasen/ })).not.toHaveTextContent('since');
  });

  it('finds by name or bench, and orders', async () => {
    const { user } = classroom('');
    await screen.findByRole('heading', { level: 1 });
    expect(names()).toEqual(['Ada Lind', 'Bo Aasen', 'Cy Wren']);
    for (const [order, wanted] of [
      ['by bench', ['Cy Wren', 'Bo Aasen', 'Ada Lind']],
      ['newest reading first', ['Bo Aasen', 'Ada Lind', 'Cy Wren']],
      ['who is stuck first', ['Ada Lind', 'Bo Aasen', 'Cy Wren']],
    ] as const) {
      await user.selectOptions(screen.getByLabelText('Order'), order);
      expect(names()).toEqual(wanted);
    }
    await user.type(screen.getByLabelText('Find'), 'BENCH 2');
    expect(names()).toEqual(['Bo Aasen']);
    await user.type(screen.getByLabelText('Find'), 'x');
    expect(screen.getByText('Nobody matches. Clear the field to see everyone.')).toBeVisible();
  });

  it('shows what is worth five minutes, and asks the class in one press', async () => {
    const { user, sent } = classroom('', {
      'POST /api/classes/tern/question': { question: null },
      'GET /api/classes/tern/question': { question: null },
      'GET /api/classes/tern/board': board({
        worthFiveMinutes: {
          code: 'top-of-curve',
          kind: 'graduated-cylinder',
          title: 'You read the top of the curve.',
          hint: 'Read the bottom.',
          students: ['Ada Lind', 'Bo Aasen'],
        },
      }),
    });
    const section = await screen.findByRole('region', { name: 'Worth five minutes' });
    expect(section).toHaveTextContent('Worth five minutes: they read the top of the curve');
    expect(section).toHaveTextContent('2 students this week, with the graduated cylinder. Read the bottom.');
    await user.click(within(section).getByRole('button', { name: 'Ask the class' }));
    await waitFor(() => expect(sent('POST /api/classes/tern/question')).toHaveLength(1));
    expect(sent('POST /api/classes/tern/question')[0]?.body).toMatchObject({
      kind: 'graduated-cylinder',
      aim: 'top-of-curve',
      model: null,
    });
  });

  it('leads to the roster where nobody is in the class', async () => {
    classroom('', { 'GET /api/classes/tern/board': board({ students: [] }) });
    expect(await screen.findByRole('link', { name: 'Add your students' })).toHaveAttribute(
      'href',
      '/class/tern/roster',
    );
  });

  it('says what the server says, and tries again', async () => {
    const { user, sent } = classroom('', {
      'GET /api/classes/tern/board': () =>
        refusal(403, 'not-allowed', 'This is not yours to open or change.'),
    });
    expect(await screen.findByRole('alert')).toHaveTextContent('This is not yours to open or change.');
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(sent('GET /api/classes/tern/board')).toHaveLength(2));
  });
});

describe('roster and slips', () => {
  const slips = {
    class: tern,
    slips: [{ studentId: 'dee', name: 'Dee Moss', passphrase: 'amber lantern quay' }],
  };

  it('adds students, a name a line, and shows their slips once, to print', async () => {
    const print = vi.fn();
    vi.stubGlobal('print', print);
    const { user, sent } = classroom('/roster', { 'POST /api/classes/tern/students': slips });
    await user.type(await screen.findByLabelText('Add students'), '  Dee Moss {Enter}{Enter}');
    await user.click(screen.getByRole('button', { name: 'Add one student' }));
    const section = await screen.findByRole('region', { name: 'New slips' });
    expect(sent('POST /api/classes/tern/students')[0]?.body).toEqual({ names: ['Dee Moss'], benches: [''] });
    expect(section).toHaveTextContent('One new slip. Print them now');
    expect(section).toHaveTextContent('amber lantern quay');
    await user.click(screen.getByRole('button', { name: 'Print the slips' }));
    expect(print).toHaveBeenCalled();
  });

  it('asks once before every slip is replaced', async () => {
    const { user, sent } = classroom('/roster', { 'POST /api/classes/tern/slips': slips });
    await user.click(await screen.findByRole('button', { name: 'Make new slips for everyone' }));
    await user.click(screen.getByRole('button', { name: 'Keep the old ones' }));
    expect(sent('POST /api/classes/tern/slips')).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Make new slips for everyone' }));
    await user.click(screen.getByRole('button', { name: 'Replace all 3' }));
    await waitFor(() => expect(sent('POST /api/classes/tern/slips')[0]?.body).toEqual({ everyone: true }));
  });

  it('makes one slip anew, and says a refusal', async () => {
    const { user, sent } = classroom('/roster', {
      'POST /api/classes/tern/slips': () => refusal(404, 'not-found', 'There is nothing at this address.'),
    });
    await user.click(await screen.findByRole('button', { name: 'New slip for Bo Aasen' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('There is nothing at this address.');
    expect(sent('POST /api/classes/tern/slips')[0]?.body).toEqual({ studentIds: ['bo'] });
  });

  it('allows the scale in words for one student', async () => {
    const { user, sent } = classroom('/roster', { 'POST /api/classes/tern/students/cy': {} });
    await user.click(await screen.findByRole('checkbox', { name: /scale in words for Cy Wren/ }));
    await waitFor(() =>
      expect(sent('POST /api/classes/tern/students/cy')[0]?.body).toEqual({ spoken: true }),
    );
  });

  it('is only to look at for an assistant', async () => {
    classroom('/roster', { 'GET /api/classes/tern/board': board({ staffRole: 'assistant' }) });
    await screen.findByRole('list', { name: 'Students' });
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.queryByRole('checkbox')).toBeNull();
  });
});

describe('a setting shown to the class', () => {
  const cylinder = instrumentOf('graduated-cylinder');
  const setting = cylinder.sampleSetting(cylinder.models[0]!, seeded(2), 43.6);
  const shown = (rest: Partial<StaffQuestion> = {}): StaffQuestion => ({
    id: 'w',
    kind: 'graduated-cylinder',
    instrumentName: 'graduated cylinder',
    modelName: cylinder.models[0]!.name,
    tag: null,
    question: 'How much liquid is in the cylinder?',
    picture: cylinder.picture(setting),
    text: '43.6',
    unit: 'mL',
    accepted: [43.4, 43.8],
    division: 1,
    buildUp: ['The curve hangs between 43 and 44.', 'Six tenths on: 43.6 mL.'],
    presets: presetComparison(cylinder, setting),
    revealed: false,
    answers: [],
    ...rest,
  });
  const answer = (name: string, value: number | null, right: boolean, causes: string[] = []) => ({
    name,
    text: String(value ?? 'x'),
    unit: 'mL',
    value,
    right,
    causes,
  });
  const withShow = (question: StaffQuestion | null, answers: Answers = {}) =>
    classroom('/question', { 'GET /api/classes/tern/question': { question }, ...answers });

  it('is one of a warm-up: put together, asked one after the other, kept over a reload, and what came of each', async () => {
    let now: StaffQuestion | null = null;
    const served = {
      'GET /api/classes/tern/question': () => ({ question: now }),
      'POST /api/classes/tern/question': ({ body: { id } }: { body: { id: string } }) => {
        now = shown({ id, answers: [answer('Ada Lind', 43.6, true), answer('Bo Aasen', 44.6, false)] });
        return { question: now };
      },
      'DELETE /api/classes/tern/question': () => {
        now = null;
        return {};
      },
    };
    const { user, unmount } = withShow(null, served as Answers);
    await user.click(await screen.findByRole('button', { name: 'Put it into the warm-up' }));
    await user.click(screen.getByRole('button', { name: 'Put it into the warm-up' }));
    await user.click(screen.getByRole('button', { name: 'Put it into the warm-up' }));
    await user.click(screen.getByRole('button', { name: /^Take it out.*number 3$/ }));
    await user.click(screen.getByRole('button', { name: 'Begin the warm-up, 2 to come' }));
    const run = await screen.findByRole('region', { name: 'Warm-up' });
    await waitFor(() => expect(run).toHaveTextContent('the one that is shown'));
    unmount();
    withShow(null, served as Answers);
    await user.click(await screen.findByRole('button', { name: 'Next question, 1 to come' }));
    await waitFor(() =>
      expect(screen.getByRole('region', { name: 'Warm-up' })).toHaveTextContent('1 of 2 right'),
    );
    await user.click(await screen.findByRole('button', { name: 'End the question' }));
    await user.click(await screen.findByRole('button', { name: 'Clear the warm-up' }));
    expect(screen.queryByRole('region', { name: 'Warm-up' })).toBeNull();
  });

  it('is chosen by hand or by chance, and the number that was set does not stay in sight', async () => {
    const { user, sent } = withShow(null, { 'POST /api/classes/tern/question': { question: shown() } });
    expect(await screen.findByText(/Nothing is shown/)).toBeVisible();
    const setTo = screen.getByLabelText(/^Set it to, in .*\(empty: by chance\)$/);
    await user.type(setTo, '43.6');
    await user.click(screen.getByRole('button', { name: 'Show it to the class' }));
    expect(await screen.findByRole('heading', { level: 1 })).toHaveTextContent('How much liquid');
    expect(sent('POST /api/classes/tern/question')[0]?.body).toMatchObject({
      kind: 'graduated-cylinder',
      model: cylinder.models[0]!.id,
      indicates: '43.6',
    });
    await waitFor(() => expect(setTo).toHaveValue(''));
    await user.selectOptions(screen.getByLabelText('Instrument'), 'ruler');
    await user.click(screen.getByRole('button', { name: 'Show it to the class' }));
    await waitFor(() => expect(sent('POST /api/classes/tern/question')).toHaveLength(2));
    expect(sent('POST /api/classes/tern/question')[1]?.body).toMatchObject({
      kind: 'ruler',
      indicates: null,
    });
  });

  it('that is refused stays in its fields', async () => {
    const { user } = withShow(null, {
      'POST /api/classes/tern/question': () => refusal(422, 'not-valid', '999 is off the scale.'),
    });
    await screen.findByText(/Nothing is shown/);
    const setTo = screen.getByLabelText(/^Set it to, in/);
    await user.type(setTo, '999');
    await user.click(screen.getByRole('button', { name: 'Show it to the class' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('999 is off the scale.');
    expect(setTo).toHaveValue('999');
  });

  it('steps through the build-up without the answer, reveals and hides it', async () => {
    const question = shown({
      answers: [
        answer('Ada Lind', 43.6, true),
        answer('Bo Aasen', 44.1, false, ['You read the top of the curve.']),
        answer('Cy Wren', null, false),
      ],
    });
    const { user, sent } = withShow(question, {
      'POST /api/classes/tern/question/answer': { question: { ...question, revealed: true } },
    });
    expect(await screen.findByText('3 answers.')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Next step of the reading' }));
    const steps = screen.getByRole('list', { name: 'How the reading is built up' });
    expect(within(steps).getAllByRole('listitem')).toHaveLength(1);
    expect(screen.getByRole('button', { name: 'Next step of the reading' })).toBeDisabled();
    await user.click(screen.getByRole('button', { name: 'Other house rules' }));
    expect(screen.getByText('Reveal the answer to see what other house rules accept.')).toBeVisible();
    expect(screen.queryByText(/43.6 mL/)).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Reveal the answer' }));
    expect(await screen.findByText('3 answers, 1 right.')).toBeVisible();
    expect(screen.getByText('You read the top of the curve.')).toBeVisible();
    expect(screen.getByText('No known slip leads to it.')).toBeVisible();
    expect(screen.getByRole('table')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Hide the answer' }));
    expect(screen.queryByText('3 answers, 1 right.')).toBeNull();
    // The class was told once; covering it again tells nobody anything.
    await user.click(screen.getByRole('button', { name: 'Reveal the answer' }));
    expect(sent('POST /api/classes/tern/question/answer')).toHaveLength(1);
  });

  it('goes to the projector and back, without the form', async () => {
    const full = vi.fn(async () => undefined);
    document.documentElement.requestFullscreen = full;
    const { user } = withShow(shown());
    await user.click(await screen.findByRole('button', { name: 'Projector' }));
    expect(full).toHaveBeenCalled();
    expect(screen.queryByText('Show another')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Leave the projector' }));
    expect(screen.getByText('Show another')).toBeVisible();
  });

  it('can be a real station in the room', async () => {
    const { user, sent } = withShow(null, {
      'POST /api/classes/tern/station': { question: shown({ tag: 'C-07' }) },
    });
    await user.click(await screen.findByText('A real station in the room'));
    await user.type(screen.getByLabelText('Its label'), 'C-07');
    await user.type(screen.getByLabelText('Your reading'), '43.6');
    await user.type(screen.getByLabelText('May be off by ±'), '0.2');
    await user.click(screen.getByRole('button', { name: 'Have everyone read it' }));
    expect(await screen.findByText('C-07')).toBeVisible();
    expect(sent('POST /api/classes/tern/station')[0]?.body).toMatchObject({
      tag: 'C-07',
      reading: '43.6',
      tolerance: '0.2',
    });
  });

  it('ends, and tells what the server refuses', async () => {
    const { user } = withShow(shown(), {
      'DELETE /api/classes/tern/question': {},
      'POST /api/classes/tern/question': () => refusal(422, 'not-valid', '43.60 is off the scale.'),
    });
    await user.click(await screen.findByRole('button', { name: 'Show it to the class' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('43.60 is off the scale.');
    await user.click(screen.getByRole('button', { name: 'End the question' }));
    expect(await screen.findByText(/Nothing is shown/)).toBeVisible();
  });
});

it('the mark of a reader is drawn where there is one', async () => {
  classroom('', {
    'GET /api/classes/tern/board': board({
      students: [
        pupil('ada', 'Ada Lind', {
          marks: [
            { kind: 'graduated-cylinder', mark, skill: { kind: 'graduated-cylinder', ...skill } },
          ] as unknown as BoardStudent['marks'],
        }),
      ],
    }),
  });
  expect(await screen.findByRole('img')).toBeVisible();
});
