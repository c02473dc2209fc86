import { chooseInstrument, instruments, presetNamed } from '@green-beam/core';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { skill } from '../../test/bench';
import { open, refusal, serve, type Answers } from '../../test/page';
import { BenchIndex } from './BenchIndex';
import { ConnectedBalance } from './ConnectedBalance';
import { feedWords } from './feed';
import { InstrumentPage } from './InstrumentPage';
import { WhichInstrument } from './WhichInstrument';

const shelf = (rest: object = {}) => ({
  instruments: instruments.map(({ kind, name, quantity, models }) => ({
    kind,
    name,
    quantity,
    models,
    skill: { kind, ...skill },
    parts: [],
    mark: null,
  })),
  suggestion: null,
  ...rest,
});

function bench(address: string, answers: Answers = {}) {
  const server = serve({ 'GET /api/question': { question: null }, 'GET /api/bench': shelf(), ...answers });
  const view = open(
    [
      { path: 'bench', Component: BenchIndex },
      { path: 'bench/which', Component: WhichInstrument },
      { path: 'bench/balance', Component: ConnectedBalance },
      { path: 'bench/instruments/:kind', Component: InstrumentPage },
      { path: 'bench/:id', element: <p>laid out</p> },
    ],
    `/bench${address}`,
  );
  return { ...view, ...server };
}
const button = (name: RegExp | string) => screen.getByRole('button', { name });

describe('the shelf', () => {
  it('has every instrument drawn, by what it measures', async () => {
    bench('');
    await screen.findByRole('heading', { level: 1, name: 'Bench' });
    expect(screen.getAllByRole('heading', { level: 2 }).map(({ textContent }) => textContent)).toEqual([
      'length',
      'mass',
      'volume',
      'temperature',
      'density',
    ]);
    expect(screen.getAllByRole('listitem')).toHaveLength(16);
    await waitFor(() => expect(document.querySelectorAll('li a > span > svg')).toHaveLength(16));
  });

  it('leads to an instrument, its card, and any make or a chosen one, to read or to handle', async () => {
    const { user, sent } = bench('', { 'POST /api/bench/settings': { id: 'new' } });
    await user.click(await screen.findByRole('link', { name: /^burette/i }));
    expect(await screen.findByRole('heading', { level: 1, name: 'Burette' })).toBeVisible();
    expect(screen.getByRole('img', { name: /^burette: 1 zero, 2 surface/ })).toBeVisible();
    expect(screen.getByText('Drive the air out of the tip first.', { exact: false })).toHaveTextContent(
      'Else: too much: a bubble’s volume that never came.',
    );
    await user.click(button('Handle the burette'));
    expect(await screen.findByText('laid out')).toBeVisible();
    expect(sent('POST /api/bench/settings')[0]?.body).toMatchObject({ kind: 'burette', mode: 'handle' });
    expect(sent('POST /api/bench/settings')[0]?.body).not.toHaveProperty('model');
  });

  it('lays out the make that was chosen', async () => {
    const { user, sent } = bench('/instruments/ruler', { 'POST /api/bench/settings': { id: 'new' } });
    const [, second] = instruments.find(({ kind }) => kind === 'ruler')!.models;
    await user.click(await screen.findByRole('radio', { name: new RegExp(second!.name) }));
    await user.click(button('Read the ruler'));
    await screen.findByText('laid out');
    expect(sent('POST /api/bench/settings')[0]?.body).toMatchObject({ model: second!.id, mode: 'read' });
  });

  it('says that an instrument is not on it', async () => {
    bench('/instruments/abacus');
    expect(await screen.findByRole('link', { name: 'To the shelf' })).toBeVisible();
  });

  it.each([
    ['shaky', 'Take what is shaky: ruler'],
    ['steady', 'Take one again: ruler'],
    ['not seen yet', 'Take something new: ruler'],
  ])('offers what is worth taking now: %s', async (state, name) => {
    const { user, sent } = bench('', {
      'GET /api/bench': {
        instruments: [
          {
            ...shelf().instruments[0],
            skill: { kind: 'ruler', state, reason: '2 of your last 3 wrong', tries: 3 },
            parts: [{ skill: 'digits', state: 'shaky', reason: '', tries: 3 }],
            mark: { bias: 1.2, spread: 0.4, n: 5 },
          },
        ],
        suggestion: { kind: 'ruler', state, reason: '', tries: 3 },
      },
      'POST /api/bench/settings': { id: 'new' },
    });
    expect(await screen.findByText(/, worth practising now/)).toBeVisible();
    await user.click(screen.getByRole('link', { name: /^ruler/i }));
    expect(await screen.findByText('Look at: how many digits.')).toBeVisible();
    await user.click(screen.getByRole('link', { name: 'Another instrument' }));
    await user.click(await screen.findByRole('button', { name }));
    await screen.findByText('laid out');
    expect(sent('POST /api/bench/settings')[0]?.body).toMatchObject({ kind: 'ruler', mode: 'read' });
  });

  it('says a refusal beside its instrument', async () => {
    const { user } = bench('/instruments/beaker', {
      'POST /api/bench/settings': () => refusal(422, 'not-valid', 'There is no such instrument.'),
    });
    await user.click(await screen.findByRole('button', { name: 'Read the beaker or conical flask' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('There is no such instrument.');
  });
});

describe('which instrument?', () => {
  it('computes what each in the stock would give, and names the plainest that is good enough', async () => {
    const choices = chooseInstrument(12, 'mm', 1, presetNamed('Chemistry bench'));
    const plainest = choices.find(({ enough, fits }) => enough && fits)!;
    const { user, sent } = bench('/which', {
      'POST /api/bench/which': { choices, plainest: plainest.model },
    });
    await user.type(await screen.findByLabelText('About how large'), '12');
    await user.click(button('Compute what each would give'));
    expect(await screen.findByText(plainest.name, { selector: 'strong' })).toBeVisible();
    const rows = within(screen.getByRole('table')).getAllByRole('row').slice(1);
    expect(rows).toHaveLength(choices.length);
    expect(sent('POST /api/bench/which')[0]?.body).toEqual({ size: '12', unit: 'mm', percent: '1' });
    for (const { name, fits, enough } of choices) {
      const row = rows.find((one) => one.textContent?.startsWith(name));
      expect(row).toHaveTextContent(!fits ? 'out of its range' : enough ? 'good enough' : 'too coarse');
    }
  });

  it('says that nothing is good enough, or that nothing measures in the unit', async () => {
    let choices: readonly object[] = chooseInstrument(12, 'mm', 0.0001, presetNamed('Chemistry bench'));
    const { user } = bench('/which', { 'POST /api/bench/which': () => ({ choices, plainest: null }) });
    await user.type(await screen.findByLabelText('About how large'), '12');
    await user.click(button('Compute what each would give'));
    expect(await screen.findByText(/Nothing in the stock reaches that with one reading/)).toBeVisible();
    choices = [];
    await user.selectOptions(screen.getByLabelText('Unit'), 'g/cm³');
    await user.click(button('Compute what each would give'));
    expect(await screen.findByText('Nothing in the stock measures in this unit.')).toBeVisible();
  });

  it('says what could not be understood', async () => {
    const { user } = bench('/which', {
      'POST /api/bench/which': () => refusal(422, 'not-valid', '“abc” is not a number.'),
    });
    await user.type(await screen.findByLabelText('About how large'), 'abc');
    await user.click(button('Compute what each would give'));
    expect(await screen.findByRole('alert')).toHaveTextContent('“abc” is not a number.');
  });
});

describe('a connected balance', () => {
  it('shows what it shows, and readings that were taken, the newest first', async () => {
    const shows = ['214.61', '214.63'];
    const { user } = bench('/balance', {
      'GET /api/balance': { state: 'steady', text: '214.63', unit: 'g' },
      'POST /api/balance/readings': () => ({ id: shows[0], text: shows.shift(), unit: 'g' }),
    });
    await waitFor(() => expect(screen.getByLabelText('The display')).toHaveTextContent('214.63 g'));
    await user.click(button('Take reading'));
    await screen.findByText('1', { selector: 'li span span' });
    await user.click(button('Take reading'));
    await waitFor(() =>
      expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
        '214.63 g',
        '214.61 g',
      ]),
    );
  });

  it('takes nothing while it moves, and says so', async () => {
    const { user } = bench('/balance', {
      'GET /api/balance': { state: 'moving', text: '214.1', unit: 'g' },
      'POST /api/balance/readings': () => refusal(409, 'feed-unsteady', 'Wait until it stands.'),
    });
    await user.click(await screen.findByRole('button', { name: 'Take reading' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Wait until it stands.');
  });

  it.each([
    [undefined, 'Looking for a balance …'],
    [{ state: 'none' }, 'No balance is connected to this server.'],
    [{ state: 'silent' }, 'The balance is silent; it is looked for again and again.'],
    [{ state: 'over' }, 'The balance is overloaded.'],
    [{ state: 'steady', text: '1', unit: 'g' }, 'It stands.'],
    [{ state: 'moving', text: '1', unit: 'g' }, 'It moves.'],
  ] as const)('is told in words: %j', (feed, words) => expect(feedWords(feed)).toBe(words));
});
