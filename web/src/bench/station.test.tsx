import { presetNamed } from '@green-beam/core';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { ownTexts } from '../browser/storage';
import { atTheBench } from '../../test/bench';
import { open, refusal, serve } from '../../test/page';
import { Station } from './Station';

const reading = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Your reading' });
const button = (name: RegExp | string) => screen.getByRole('button', { name });
const cylinder = { kind: 'graduated-cylinder', mode: 'read' } as const;

describe('a setting to read', () => {
  it('says a right reading is right, and how it is built up', async () => {
    const bench = await atTheBench(cylinder);
    expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent(bench.instrument.ask(bench.setting));
    expect(reading()).toHaveFocus();
    const { text, unit } = bench.right();
    await bench.write(text, unit);
    expect(await screen.findByText('Level: rightly read.')).toBeVisible();
    expect(screen.getByText('How it is built up:')).toBeVisible();
    expect(button('Next setting')).toBeEnabled();
    expect(reading()).toHaveAttribute('readonly');
  });

  it('asks for a unit where none was written, in the text or beside it', async () => {
    const bench = await atTheBench(cylinder);
    const asked = () => document.body.textContent?.includes('Choose the unit.');
    expect(asked()).toBe(false);
    await bench.user.type(reading(), '43.6');
    expect(asked()).toBe(true);
    await bench.user.type(reading(), ' mL');
    expect(asked()).toBe(false);
  });

  it('leads from a cause to another try, and tells the answer after the third', async () => {
    const bench = await atTheBench(cylinder);
    const { text, unit } = bench.right();
    const off = (Number(text) + 3).toFixed(1);
    await bench.write(off, unit);
    expect(await screen.findByText('2 tries left.')).toBeVisible();
    expect(document.body).not.toHaveTextContent('How it is built up');
    await bench.write(off, unit);
    expect(await screen.findByText('One more try; then the answer is shown.')).toBeVisible();
    await bench.write(off, unit);
    expect(await screen.findByText(/The reading is/)).toHaveTextContent(`${text} ${unit}`);
  });

  it('costs no try where the text is no number, and says what was not understood', async () => {
    const bench = await atTheBench(cylinder);
    await bench.write('4l.2', 'mL');
    expect(await screen.findByText(/This cost no try/)).toBeVisible();
    expect(button('Check reading')).toBeEnabled();
  });

  it('describes what is written while it is written, and asks for the unit', async () => {
    const { user } = await atTheBench(cylinder);
    expect(reading()).toHaveAccessibleDescription(/Write every digit that you can see/);
    await user.type(reading(), '43.60');
    expect(reading()).toHaveAccessibleDescription(/Four figures, two decimals. Choose the unit./);
    await user.click(screen.getByRole('radio', { name: 'mL' }));
    expect(reading()).toHaveAccessibleDescription('Four figures, two decimals.');
  });

  it.each([
    ['electronic-balance', /nothing is estimated here/],
    ['vernier-caliper', /nothing is estimated here/],
    // Its smallest lines are read, not between them.
    ['three-beam-balance', /nothing is estimated here/],
    ['volumetric-pipette', /nothing is estimated here/],
    ['graduated-cylinder', /and the one that you estimate/],
  ] as const)('asks for what a %s gives, and no more', async (kind, words) => {
    await atTheBench({ kind, mode: 'read' });
    expect(reading()).toHaveAccessibleDescription(words);
  });

  it('sends nothing while nothing is written', async () => {
    const { user, sent } = await atTheBench(cylinder);
    await user.click(button('Check reading'));
    expect(sent('POST /api/bench/settings/*/attempts')).toEqual([]);
    expect(reading()).toHaveFocus();
  });

  it('keeps a reading that was written while the line was down, over a reload, and has it checked', async () => {
    const first = await atTheBench(cylinder);
    const { text, unit } = first.right();
    first.net.up = false;
    await first.user.type(reading(), text);
    await first.user.click(screen.getByRole('radio', { name: unit }));
    await first.user.click(button('Check reading'));
    expect(await screen.findByText(/Your reading is kept, and checked as soon as/)).toBeVisible();
    first.unmount();
    const second = await atTheBench(cylinder);
    expect(await screen.findByText('Level: rightly read.')).toBeVisible();
    expect(second.sent('POST /api/bench/settings/*/attempts')).toHaveLength(1);
  });

  it('shows what the server refuses, and lets it be put aside', async () => {
    const bench = await atTheBench({
      ...cylinder,
      answers: {
        'POST /api/bench/settings/s/attempts': () =>
          refusal(409, 'setting-closed', 'This setting is finished. Take the next one.'),
      },
    });
    await bench.write('43.6', 'mL');
    const alert = await screen.findByRole('alert');
    expect(alert).toHaveTextContent('This setting is finished.');
    await bench.user.click(within(alert).getByRole('button', { name: 'Put it aside' }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });

  it('is fetched again where it could not be fetched', async () => {
    const { calls } = serve({
      'GET /api/bench/settings/s': () => refusal(404, 'not-found', 'There is nothing at this address.'),
    });
    const { user } = open([{ path: 'bench/:settingId', Component: Station }], '/bench/s');
    expect(await screen.findByRole('alert')).toHaveTextContent('There is nothing at this address.');
    await user.click(button('Try again'));
    await waitFor(() => expect(calls).toHaveLength(2));
  });

  it('takes a right reading along to the logbook', async () => {
    const bench = await atTheBench(cylinder);
    const { text, unit } = bench.right();
    await bench.write(text, unit);
    await bench.user.click(await screen.findByRole('button', { name: 'Take it along to the logbook' }));
    expect(screen.getByText(/It is offered in your logbook/)).toBeVisible();
    expect(JSON.parse(ownTexts('ada').getItem('green-beam/carried/ada') ?? '')).toMatchObject({
      kind: 'graduated-cylinder',
      text,
      unit,
    });
  });

  it('tells at the end what other house rules would accept', async () => {
    const bench = await atTheBench(cylinder);
    const { text, unit } = bench.right();
    await bench.write(text, unit);
    await bench.user.click(
      await screen.findByRole('button', { name: 'What would other house rules accept?' }),
    );
    const table = await screen.findByRole('table');
    expect(within(table).getAllByRole('row').length).toBeGreaterThan(3);
  });

  it('lays out another of the same kind', async () => {
    let wanted: unknown = null;
    const bench = await atTheBench({
      ...cylinder,
      answers: {
        'POST /api/bench/settings': ({ body }: { body: object }) => {
          wanted = body;
          return refusal(422, 'not-valid', 'There is no such instrument.');
        },
      },
    });
    const { text, unit } = bench.right();
    await bench.write(text, unit);
    await bench.user.click(await screen.findByRole('button', { name: 'Next setting' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('There is no such instrument.');
    expect(wanted).toMatchObject({ kind: 'graduated-cylinder', mode: 'read' });
  });

  it('goes back to the bench after what the teacher shows', async () => {
    const bench = await atTheBench({ ...cylinder, over: { shown: true } });
    const { text, unit } = bench.right();
    await bench.write(text, unit);
    await bench.user.click(await screen.findByRole('button', { name: 'To the bench' }));
    expect(await screen.findByRole('heading', { level: 1, name: 'Bench' })).toBeVisible();
  });

  it('says of an answer that is held back only that it is kept', async () => {
    const held = { id: 'a', text: '12.3', unit: 'mL', parts: [], triesLeft: 0, solution: null };
    await atTheBench({
      ...cylinder,
      over: {
        shown: true,
        held: true,
        triesLeft: 0,
        attempts: [{ ...held, verdict: { outcome: 'held' } }],
      },
    });
    expect(await screen.findByText(/Your answer is kept\. What is right appears here/)).toBeVisible();
    expect(screen.queryByText(/Level: rightly read|other house rules/i)).toBeNull();
    expect(screen.getByRole('button', { name: 'To the bench' })).toBeVisible();
  });

  it('describes the scale in words where the teacher allows it', async () => {
    const { user, sent } = await atTheBench({
      ...cylinder,
      over: { mayHear: true },
      answers: { 'POST /api/bench/settings/s/words': { words: ['The surface lies between two lines.'] } },
    });
    await user.click(button(/words/i));
    expect(await screen.findByText('The surface lies between two lines.')).toBeVisible();
    expect(sent('POST /api/bench/settings/s/words')).toHaveLength(1);
  });

  it('shows a real station by its tag', async () => {
    await atTheBench({
      kind: 'graduated-cylinder',
      mode: 'read',
      over: { picture: { kind: 'graduated-cylinder', model: 'cylinder-100-1', tag: 'C-07' } as never },
    });
    expect(document.body).toHaveTextContent('C-07');
  });
});

describe('a reading in its parts', () => {
  it('checks each column by itself, and says where to look in the first that is wrong', async () => {
    const bench = await atTheBench({
      kind: 'vernier-caliper',
      mode: 'read',
      conventions: presetNamed('First course'),
    });
    const group = screen.getByRole('group', { name: 'Its parts' });
    const [main, ...others] = within(group).getAllByRole('textbox');
    const part = bench.instrument.parts?.(bench.setting)[0];
    await bench.user.type(main!, String(part?.value));
    for (const other of others) await bench.user.type(other, '99');
    const { text, unit } = bench.right();
    await bench.write(text, unit);
    expect(await within(group).findAllByText('right')).toHaveLength(1);
    expect(within(group).getAllByText('look again')).toHaveLength(others.length);
    expect(within(group).getByRole('status')).toHaveTextContent(
      bench.instrument.parts!(bench.setting)[1]!.hint,
    );
  });
});

describe('the lens and the keys of a stage', () => {
  it('takes the lens up and moves it with the arrow keys; letters do nothing while one types', async () => {
    const { user } = await atTheBench(cylinder);
    await user.type(reading(), 'l');
    expect(button(/^Lens/)).toHaveAttribute('aria-pressed', 'false');
    (document.activeElement as HTMLElement).blur();
    await user.keyboard('l');
    expect(button(/^Lens/)).toHaveAttribute('aria-pressed', 'true');
    button(/^Lens/).focus();
    const before = document.querySelector('svg[role=group]')?.innerHTML;
    await user.keyboard('{ArrowRight}{ArrowDown}');
    expect(document.querySelector('svg[role=group]')?.innerHTML).not.toBe(before);
    await user.keyboard('l');
    expect(button(/^Lens/)).toHaveAttribute('aria-pressed', 'false');
  });
});
