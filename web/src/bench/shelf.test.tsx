import { chooseInstrument, instruments, presetNamed } from '@green-beam/core';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { skill } from '../../test/bench';
import { open, refusal, serve, type Answers } from '../../test/page';
import { BenchIndex } from './BenchIndex';
import { ConnectedBalance } from './ConnectedBalance';
import { feedWords } from './feed';
import { WhichInstrument } from './WhichInstrument';

const shelf = (rest: object = {}) => ({
  instruments: instruments.map(({ kind, name, models }) => ({
    kind,
    name,
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
      { path: 'bench/:id', element: <p>laid out</p> },
    ],
    `/bench${address}`,
  );
  return { ...view, ...server };
}
const button = (name: RegExp | string) => screen.getByRole('button', { name });

describe('the shelf', () => {
  it('has every instrument, to read or to handle, any make or a chosen one', async () => {
    const { user, sent } = bench('', { 'POST /api/bench/settings': { id: 'new' } });
    await screen.findByRole('heading', { level: 1, name: 'Bench' });
    expect(screen.getAllByRole('heading', { level: 2 })).toHaveLength(16);
    await user.selectOptions(screen.getByLabelText('Which burette'), 'Any of them');
    await user.click(button('Handle the burette'));
    expect(await screen.findByText('laid out')).toBeVisible();
    expect(sent('POST /api/bench/settings')[0]?.body).toMatchObject({ kind: 'burette', mode: 'handle' });
    expect(sent('POST /api/bench/settings')[0]?.body).not.toHaveProperty('model');
  });

  it('lays out the make that was chosen', async () => {
    const { user, sent } = bench('', { 'POST /api/bench/settings': { id: 'new' } });
    const choice = await screen.findByLabelText('Which ruler');
    const [, second] = instruments.find(({ kind }) => kind === 'ruler')!.models;
    await user.selectOptions(choice, second!.id);
    await user.click(button('Read the ruler'));
    await screen.findByText('laid out');
    expect(sent('POST /api/bench/settings')[0]?.body).toMatchObject({ model: second!.id, mode: 'read' });
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
    expect(await screen.findByText('Look at: how many digits.')).toBeVisible();
    expect(screen.getByText('Worth practising now.')).toBeVisible();
    await user.click(button(name));
    await screen.findByText('laid out');
    expect(sent('POST /api/bench/settings')[0]?.body).toMatchObject({ kind: 'ruler', mode: 'read' });
  });

  it('says a refusal beside its instrument', async () => {
    const { user } = bench('', {
      'POST /api/bench/settings': () => refusal(422, 'not-valid', 'There is no such instrument.'),
    });
    await screen.findByRole('heading', { level: 1, name: 'Bench' });
    await user.click(button('Read the beaker or conical flask'));
    const alert = await screen.findByRole('alert');
    expect(alert.closest('li')).toHaveTextContent(/beaker or conical flask/i);
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
