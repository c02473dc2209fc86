import { faultyTable, judgeMarks, lookRules, presetNamed, rearrangings, seedFrom } from '@green-beam/core';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { open, refusal, serve, student, teacher, type Answers } from '../../test/page';
import { SetPractice } from '../today/SetPractice';
import { Cards } from './Cards';
import { DrillPage } from './DrillPage';
import { Drills } from './Drills';
import { Rearrange } from './Rearrange';
import { SpotTheFault } from './SpotTheFault';
import { Workbench } from './Workbench';

function figures(address: string, answers: Answers = {}, who = student) {
  const server = serve({
    'GET /api/conventions': { conventions: presetNamed('Chemistry bench') },
    'GET /api/logbooks': { logbooks: [] },
    ...answers,
  });
  const view = open(
    [
      { path: 'figures', Component: Workbench },
      { path: 'figures/drills', Component: Drills },
      { path: 'figures/drills/:itemId', Component: DrillPage },
      { path: 'figures/rearrange', Component: Rearrange },
      { path: 'figures/spot', Component: SpotTheFault },
      { path: 'figures/cards', Component: Cards },
    ],
    `/figures${address}`,
    who,
  );
  return { ...view, ...server };
}
const button = (name: RegExp | string) => screen.getByRole('button', { name });

describe('the workbench', () => {
  const field = () => screen.findByLabelText('Write a calculation with its units');

  it('reckons with units and figures, step by step, and keeps what was typed', async () => {
    const first = figures('');
    // 21.85 g over 25.0 mL: three figures of 0.874.
    await first.user.click(await screen.findByRole('button', { name: 'An example' }));
    const result = await screen.findByRole('region', { name: 'Result' });
    expect(result).toHaveTextContent('= 0.874 g/mL');
    expect(result).toHaveTextContent('Unrounded: 0.874');
    const steps = screen.getByRole('region', { name: 'Steps' });
    expect(within(steps).getAllByRole('listitem')).toHaveLength(2);
    expect(steps).toHaveTextContent('the coarsest last place governs');
    expect(steps).toHaveTextContent('the fewest figures govern');
    first.unmount();
    figures('');
    expect(await field()).toHaveValue('(84.00 g − 62.15 g) / 25.0 mL');
  });

  it('marks the place of a problem', async () => {
    const { user } = figures('');
    await user.type(await field(), '3.2 cm + 4 g');
    const status = screen.getAllByRole('status').find((one) => one.querySelector('mark'));
    expect(status).toBeDefined();
    expect(status!.querySelector('mark')).toHaveTextContent('4');
  });

  it('puts pieces in where the caret stands', async () => {
    const { user } = figures('');
    const area = (await field()) as HTMLTextAreaElement;
    await user.type(area, '25');
    area.setSelectionRange(0, 0);
    await user.click(button('sqrt('));
    await waitFor(() => expect(area).toHaveValue('sqrt(25'));
    expect(area).toHaveFocus();
  });

  it('says where another rounding or another school would write something else', async () => {
    const { user } = figures('');
    // 2.5 g × 1 exact … a tie in the last kept place: 0.125 g to two decimals through a sum.
    await user.type(await field(), '0.125 g + 1.00 g');
    await waitFor(() => expect(screen.getByRole('region', { name: 'Result' })).toHaveTextContent('= 1.1'));
    expect(screen.getByRole('region', { name: 'Result' })).toHaveTextContent(
      /It ends in a tie: .* writes 1\.12/,
    );
    await user.selectOptions(screen.getByLabelText('A tie goes'), 'to the even digit');
    expect(screen.getByRole('region', { name: 'Result' })).toHaveTextContent(/= 1\.12 g/);
    await user.selectOptions(screen.getByLabelText('Rounded'), 'at each step');
    expect(screen.getByLabelText('Rounded')).toHaveValue('each-step');
  });

  it('copies the result as text and as TeX', async () => {
    const { user } = figures('');
    await user.type(await field(), '2.0 g / 1.00 cm^3');
    await user.click(button('Copy as text'));
    expect(await navigator.clipboard.readText()).toBe('2.0 g / 1.00 cm^3 = 2.0 g/cm³');
    await user.click(button('Copy as TeX'));
    expect(await navigator.clipboard.readText()).toMatch(
      /^\\frac.* = 2\.0\\,\\mathrm\{g\}\/\\mathrm\{cm\}\^\{3\}$/,
    );
  });

  it('keeps a calculation in a logbook of one’s own', async () => {
    const { user, sent } = figures('', {
      'GET /api/logbooks': { logbooks: [{ investigationId: 'i', title: 'Bolt pin', logbookId: 'book' }] },
      'POST /api/logbooks/book/calculations': {},
    });
    await user.type(await field(), '2.0 g / 1.00 mL');
    await user.click(await screen.findByRole('button', { name: 'Keep in “Bolt pin”' }));
    expect(await screen.findByText('Kept in “Bolt pin”.')).toBeVisible();
    await waitFor(() =>
      expect(sent('POST /api/logbooks/book/calculations')[0]?.body).toMatchObject({
        expression: '2.0 g / 1.00 mL',
      }),
    );
  });

  it('asks a teacher for no logbook', async () => {
    const { user, sent } = figures('', {}, teacher);
    await user.type(await field(), '2.0 g');
    expect(screen.queryByRole('button', { name: /Keep in/ })).toBeNull();
    expect(sent('GET /api/logbooks')).toEqual([]);
  });
});

describe('drills', () => {
  const skill = { state: 'shaky', reason: '2 of your last 3 wrong', tries: 3 };
  it('are listed with what one can do, and taken with one press', async () => {
    const { user, sent } = figures('/drills', {
      'GET /api/drills': {
        drills: [
          { kind: 'count-figures', name: 'Count the figures', about: 'How many are significant?', skill },
        ],
      },
      'POST /api/drills/items': ({ body }) => ({ ...(item() as object), id: (body as { id: string }).id }),
    });
    expect(await screen.findByText('2 of your last 3 wrong', { exact: false })).toBeVisible();
    await user.click(button('Practise Count the figures'));
    expect(await screen.findByRole('textbox', { name: 'Your answer' })).toHaveFocus();
    expect(sent('POST /api/drills/items')[0]?.body).toMatchObject({ kind: 'count-figures' });
  });

  const item = (rest: object = {}) => ({
    id: 'd',
    kind: 'count-figures',
    name: 'Count the figures',
    prompt: 'How many significant figures?',
    given: ['0.0450 g'],
    unmarked: false,
    choices: null,
    unitChoices: [],
    attempts: [],
    triesLeft: 3,
    ...rest,
  });
  it('counts for work that is set as soon as it is answered', async () => {
    const task = (read: number) => ({
      ...{ id: 't', kinds: ['counting'], settings: 3, investigations: [], benches: [], students: [] },
      ...{ tries: 3, answers: 'at once', shown: false, taken: [], makes: [] },
      ...{ from: null, due: null, place: 'home', note: '', counts: 0, setAt: '2026-11-03T09:00:00Z' },
      ...{ withdrawn: false, books: [], done: false, late: false },
      progress: [{ kind: 'counting', read, state: 'begun', done: false }],
    });
    let read = 0;
    serve({
      'GET /api/tasks': () => ({ tasks: [task(read)] }),
      'GET /api/drills/items/d': item(),
      'GET /api/drills': { drills: [] },
      'POST /api/drills/items/d/attempts': () => {
        read += 1;
        return {
          id: 'a',
          text: '3',
          unit: '',
          verdict: { outcome: 'right', remarks: [] },
          triesLeft: 0,
          solution: null,
        };
      },
    });
    const both = () => (
      <>
        <SetPractice />
        <DrillPage />
      </>
    );
    const { user } = open(
      [{ path: 'figures/drills/:itemId', Component: both }],
      '/figures/drills/d',
      student,
    );
    expect(await screen.findByText('0 of 3 items')).toBeVisible();
    await user.type(await screen.findByRole('textbox', { name: 'Your answer' }), '3{Enter}');
    expect(await screen.findByText('1 of 3 items')).toBeVisible();
  });

  it('keeps an answer of which nothing is told yet, and goes on within the same work', async () => {
    const attempt = {
      id: 'a',
      text: '3',
      unit: '',
      verdict: { outcome: 'held' },
      triesLeft: 0,
      solution: null,
    };
    const { sent } = serve({
      'GET /api/drills/items/d': item({ held: true, task: 't' }),
      'GET /api/drills': { drills: [] },
      'POST /api/drills/items/d/attempts': attempt,
      'POST /api/drills/items': item({ id: 'd' }),
    });
    const { user } = open(
      [{ path: 'figures/drills/:itemId', Component: DrillPage }],
      '/figures/drills/d',
      student,
    );
    await user.type(await screen.findByRole('textbox', { name: 'Your answer' }), '3');
    await user.click(screen.getByRole('button', { name: 'Give the answer' }));
    expect(await screen.findByText(/^Your answer is kept\. What is right/)).toBeVisible();
    await user.click(await screen.findByRole('button', { name: 'Next item' }));
    await waitFor(() => expect(sent('POST /api/drills/items')[0]?.body).toMatchObject({ task: 't' }));
  });

  it('offers each kind that is set, with the rules of the work, and what was answered once it is shown', async () => {
    const task = {
      ...{
        id: 't',
        kinds: ['counting', 'ruler'],
        settings: 3,
        investigations: [],
        benches: [],
        students: [],
      },
      ...{ from: null, due: null, place: 'home', note: '', counts: 0, setAt: '2026-11-03T09:00:00Z' },
      ...{
        withdrawn: false,
        books: [],
        done: false,
        late: false,
        tries: 3,
        answers: 'held',
        shown: false,
        makes: [],
      },
      progress: ['counting', 'ruler'].map((kind) => ({ kind, read: 1, state: 'begun', done: false })),
      taken: [
        { id: 'one', kind: 'ruler', of: 'setting' },
        { id: 'two', kind: 'counting', of: 'drill' },
      ],
    };
    let shown = false;
    const { sent } = serve({
      'GET /api/tasks': () => ({ tasks: [{ ...task, shown }] }),
      'POST /api/bench/settings': refusal(503, 'unavailable', 'Not now.'),
    });
    const { user, queries } = open([{ path: '/', Component: SetPractice }], '/', student);
    expect(await screen.findByText(/one answer each · what is right is told when/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Work Count the figures' })).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Read the ruler' }));
    await waitFor(() =>
      expect(sent('POST /api/bench/settings')[0]?.body).toMatchObject({ kind: 'ruler', task: 't' }),
    );
    expect(screen.queryByText(/^Look at your answers/)).toBeNull();
    shown = true;
    await queries.invalidateQueries({ queryKey: ['tasks'] });
    expect(await screen.findByRole('link', { name: 'ruler 1' })).toHaveAttribute('href', '/bench/one');
    expect(screen.getByRole('link', { name: 'Count the figures 1' })).toHaveAttribute(
      'href',
      '/figures/drills/two',
    );
  });

  const wrong = {
    outcome: 'wrong',
    causes: [
      { code: 'leading', title: 'You counted zeros in front.', hint: 'They only hold the place.' },
      { code: 'all', title: 'You counted every digit.', hint: 'Begin at the first that is not zero.' },
    ],
    remarks: ['Three is usual here.'],
  };

  it('name the slip, and tell the working at the end', async () => {
    let tries = 3;
    const { user } = figures('/drills/d', {
      'GET /api/drills/items/d': item(),
      'POST /api/drills/items/d/attempts': ({ body }) => {
        const text = String(body['text']);
        if (text === 'x')
          return {
            id: 'u',
            text,
            unit: '',
            verdict: { outcome: 'unreadable', problem: { message: 'No number.' } },
            triesLeft: tries,
            solution: null,
          };
        tries -= 1;
        const right = text === '3';
        return {
          id: String(tries),
          text,
          unit: '',
          verdict: right ? { outcome: 'right', remarks: [] } : wrong,
          triesLeft: right ? 0 : tries,
          solution: right ? { text: '3', unit: '', working: ['4, 5 and the last 0.'], elsewhere: [] } : null,
        };
      },
    });
    const field = await screen.findByRole('textbox', { name: 'Your answer' });
    await user.click(button('Check answer'));
    expect(field).toHaveFocus();
    await user.type(field, 'x{Enter}');
    expect(await screen.findByText('No number. This cost no try.')).toBeVisible();
    await user.clear(field);
    await user.type(field, '5{Enter}');
    expect(await screen.findByText('You counted zeros in front.')).toBeVisible();
    expect(screen.getByText('More than one thing may be behind it.')).toBeVisible();
    expect(screen.getByText('2 tries left.')).toBeVisible();
    expect(screen.queryByRole('list', { name: 'How it is worked out' })).toBeNull();
    await user.clear(field);
    await user.type(field, '3{Enter}');
    expect(await screen.findByText('Level: right.')).toBeVisible();
    expect(screen.getByRole('list', { name: 'How it is worked out' })).toHaveTextContent(
      '4, 5 and the last 0.',
    );
    expect(button('Next item')).toBeVisible();
  });

  it('keep an answer while the line is down', async () => {
    const { user, net, sent } = figures('/drills/d', {
      'GET /api/drills/items/d': item({ unitChoices: ['g', 'mg'] }),
      'POST /api/drills/items/d/attempts': {
        id: 'a',
        text: '3',
        unit: 'g',
        verdict: { outcome: 'wrong', causes: [], remarks: [] },
        triesLeft: 2,
        solution: null,
      },
    });
    const field = await screen.findByRole('textbox', { name: 'Your answer' });
    net.up = false;
    await user.click(screen.getByRole('radio', { name: 'g' }));
    await user.type(field, '3{Enter}');
    expect(await screen.findByText(/Your answer is kept/)).toBeVisible();
    expect(button('Check answer')).toBeDisabled();
    net.up = true;
    dispatchEvent(new Event('online'));
    expect(await screen.findByText(/None of the known mistakes gives this number/)).toBeVisible();
    expect(sent('POST /api/drills/items/d/attempts')[0]?.body).toMatchObject({ text: '3', unit: 'g' });
  });

  it('say a refusal', async () => {
    figures('/drills/d', {
      'GET /api/drills/items/d': () => refusal(404, 'not-found', 'There is nothing at this address.'),
    });
    expect(await screen.findByRole('alert')).toHaveTextContent('There is nothing at this address.');
  });
});

describe('rearranging', () => {
  it('checks a formula, shows steps, and goes on', async () => {
    const { user, sent } = figures('/rearrange', { 'POST /api/rearranged': {} });
    const [first, second] = rearrangings;
    const field = await screen.findByRole('textbox', { name: `${first!.wanted} =` });
    await user.type(field, first!.names[0]!);
    await user.click(button('Check it'));
    expect(screen.getByText('Not yet.')).toBeVisible();
    await user.click(button('Show a step'));
    await user.clear(field);
    await user.type(field, '((');
    await user.click(button('Check it'));
    expect(screen.getAllByRole('status').length).toBeGreaterThan(0);
    await user.clear(field);
    await user.type(field, first!.answer);
    await user.click(button('Check it'));
    expect(await screen.findByText('Level: right.')).toBeVisible();
    // What was written before a step was shown tells something; what was written after it does not.
    await waitFor(() => expect(sent('POST /api/rearranged')).toHaveLength(1));
    expect(sent('POST /api/rearranged')[0]?.body).toMatchObject({
      formula: first!.formula,
      wanted: first!.wanted,
      text: first!.names[0],
    });
    await user.click(button('Next formula'));
    expect(await screen.findByRole('textbox', { name: `${second!.wanted} =` })).toBeVisible();
  });

  it('puts letters in with a press', async () => {
    const { user } = figures('/rearrange');
    const letters = await screen.findByRole('group', { name: 'Letters' });
    const names = within(letters).getAllByRole('button');
    await user.click(names[0]!);
    await user.click(within(letters).getByRole('button', { name: '×' }));
    expect(screen.getByRole('textbox')).toHaveValue(`${rearrangings[0]!.names[0]}×`);
    await user.click(button('Another formula'));
    expect(screen.getByRole('textbox')).toHaveValue('');
  });
});

describe('spot the fault', () => {
  it('is judged right where every planted fault is marked with its reason', async () => {
    const { user, sent } = figures('/spot', { 'POST /api/spotted': {} });
    const table = faultyTable(Math.abs(seedFrom(student.id)) % 1_000_000);
    const faults = judgeMarks(table, []).missed;
    const rule = (code: string) => lookRules.find((one) => one.code === code)!.label;
    await screen.findByRole('heading', { level: 1, name: 'Spot the fault' });
    const place = ({ trial, column }: { trial: number | string; column: string }) => {
      const at = table.columns.findIndex(({ key }) => key === column);
      const row = trial === 'heading' ? 0 : trial === 'mean' ? -1 : Number(trial);
      const rows = screen.getAllByRole('row');
      return within(rows.at(row)!)
        .getAllByRole('button')
        .at(trial === 'mean' ? 0 : at)!;
    };
    for (const { place: where, code } of faults) {
      await user.click(place(where));
      await user.click(
        within(screen.getByRole('region', { name: 'What is wrong' })).getByRole('button', {
          name: rule(code),
        }),
      );
    }
    expect(screen.getByText(`${faults.length} marks`)).toBeVisible();
    await user.click(button('Judge my marks'));
    expect(screen.getByText('Level: you found everything.')).toBeVisible();
    await waitFor(() =>
      expect(sent('POST /api/spotted')[0]?.body).toMatchObject({
        marks: faults.map(({ place: where, code }) => ({ place: where, code })),
      }),
    );
    await user.click(button('Next table'));
    expect(screen.getByText('0 marks')).toBeVisible();
  });

  it('says what was missed, and what was right to leave; a mark can be taken back', async () => {
    const { user } = figures('/spot');
    await screen.findByRole('heading', { level: 1, name: 'Spot the fault' });
    const cell = () => within(screen.getAllByRole('row')[1]!).getAllByRole('button')[0]!;
    await user.click(cell());
    await user.click(button('Nothing after all'));
    expect(screen.getByText('0 marks')).toBeVisible();
    expect(button('Judge my marks')).toBeDisabled();
    await user.click(cell());
    await user.click(screen.getByRole('button', { name: lookRules[0]!.label }));
    expect(cell()).toHaveAttribute('aria-pressed', 'true');
    await user.click(button('Judge my marks'));
    expect(screen.getAllByText('Missed').length).toBeGreaterThan(0);
    expect(cell()).toBeDisabled();
  });
});

it('the cards of rules are those of the class, and can be printed', async () => {
  const print = vi.fn();
  vi.stubGlobal('print', print);
  const { user } = figures('/cards');
  expect(await screen.findByText('as Chemistry bench does it, version 1')).toBeVisible();
  expect(screen.getAllByRole('region').length).toBeGreaterThan(5);
  await user.click(button('Print'));
  expect(print).toHaveBeenCalled();
});
