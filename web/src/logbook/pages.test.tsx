import { boltPin, lampOil, panBrine, presets, type Investigation } from '@green-beam/core';
import { entry, rows } from '@green-beam/core/test/entry';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { handedOver } from '../../test/files';
import { openLogbook } from '../../test/logbook';
import { teacher } from '../../test/page';

const region = (name: string) => screen.getByRole('region', { name });
const full = rows(boltPin, 'mass before after', '214.6 50.0 74.5', '214.5 50.2 74.6', '214.7 49.8 74.3');

const files = handedOver();

describe('before and after measuring', () => {
  it('asks for predictions and folds them away once there are readings', async () => {
    const { user, lines } = await openLogbook(boltPin);
    const before = region('Before you measure');
    expect(before).toHaveTextContent('2 to write');
    await user.type(within(before).getByLabelText('How dense do you expect the pin to be?'), '8.8');
    await user.click(within(before).getAllByRole('button', { name: 'Write' })[0]!);
    await waitFor(() => expect(lines()).toEqual(['0 prediction guess 8.8']));
    await waitFor(() => expect(before).toHaveTextContent('1 to write'));
    expect(await within(before).findByRole('button', { name: 'Rewrite' })).toBeVisible();
  });

  it('is folded where trials are complete', async () => {
    await openLogbook(boltPin, full);
    expect(within(region('Before you measure')).queryByRole('textbox')).toBeNull();
  });

  it('shows a trial that the teacher worked, and the kit with its divisions', async () => {
    await openLogbook({
      ...boltPin,
      model: { cells: { mass: '200.0', before: '40.0', after: '62.7' }, words: 'An older pin.' },
    });
    expect(region('A worked trial')).toHaveTextContent('200.0 g');
    expect(region('A worked trial')).toHaveTextContent('An older pin.');
    expect(region('Method')).toHaveTextContent('C-07');
    expect(region('Method')).toHaveTextContent('Caution. Wear eye protection.');
  });

  it('lists calculations that were kept with it', async () => {
    await openLogbook(boltPin, [], {
      calculations: [{ id: 'c', expression: '214.6 g / 24.5 cm3', result: '8.76 g/cm³', keeper: 'Bo Aasen' }],
    });
    expect(region('Kept calculations')).toHaveTextContent('214.6 g / 24.5 cm3= 8.76 g/cm³BA');
  });
});

describe('the result card', () => {
  it('says what is missing, then value, level and working', async () => {
    const { user, unmount } = await openLogbook(boltPin, full.slice(0, 3));
    expect(region('Result')).toHaveTextContent('2 more trials before it counts.');
    unmount();
    await openLogbook(boltPin, full);
    // 8.7592, 8.7910, 8.7633: mean 8.771, so (8.771 − 8.80)/8.80 = −0.33 %.
    expect(region('Result')).toHaveTextContent('Percent error −0.3 % against 8.80 g/cm³');
    expect(screen.getByRole('img', { name: /gauge|level|tube/i })).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'What would other house rules state?' }));
    const elsewhere = screen.getByRole('table', { name: 'What would other house rules state?' });
    expect(within(elsewhere).getAllByRole('row')).toHaveLength(presets.length);
    expect(within(elsewhere).getByRole('row', { name: /^Chemistry bench/ })).toHaveTextContent(
      'the same as here',
    );
    await user.click(screen.getByRole('button', { name: /Working of the result/ }));
    expect(await screen.findAllByRole('group', { name: 'Formula' })).not.toHaveLength(0);
  });

  it('gives further results in brief', async () => {
    const entries = rows(lampOil, 'V M', '10.0 69.20', '20.0 77.20', '30.0 85.20', '40.0 93.20');
    await openLogbook(lampOil, entries);
    for (const { name } of lampOil.results) expect(region(name)).toBeVisible();
  });
});

describe('data out and in', () => {
  it('gives a table as CSV and everything as JSON', async () => {
    const { user } = await openLogbook(boltPin, full);
    await user.click(screen.getByRole('button', { name: '“Trials” as CSV' }));
    await user.click(screen.getByRole('button', { name: 'Everything as JSON' }));
    expect(files.map(({ name }) => name)).toEqual([
      'bolt-pin-bronze-or-brass-pin.csv',
      'bolt-pin-bronze-or-brass.json',
    ]);
    expect(await files[0]!.text).toContain('1,214.6,50.0,74.5,24.5,8.76,counts');
    expect(JSON.parse(await files[1]!.text)).toMatchObject({
      format: 1,
      conventions: { preset: 'Chemistry bench' },
    });
  });

  it('reads a CSV in after a preview, with its errors by line', async () => {
    const { user, lines } = await openLogbook(boltPin);
    const csv = 'Trial,Mass of the pin,Volume before\n,g,mL\n1,214.6,50.0\nx,214.5,50.2\n';
    await user.upload(
      screen.getByLabelText('Read a CSV into “Trials”'),
      new File([csv], 'pins.csv', { type: 'text/csv' }),
    );
    const dialog = await screen.findByRole('dialog', { name: 'pins.csv into “Trials”' });
    expect(within(dialog).getByRole('alert')).toHaveTextContent('Line 4:');
    await user.click(within(dialog).getByRole('button', { name: 'Write nothing' }));
    expect(lines()).toEqual([]);
    await user.upload(
      screen.getByLabelText('Read a CSV into “Trials”'),
      new File([csv], 'pins.csv', { type: 'text/csv' }),
    );
    await user.click(await screen.findByRole('button', { name: 'Write 2 cells' }));
    await waitFor(() => expect(lines()).toEqual(['1 mass 214.6', '1 before 50.0']));
  });
});

describe('uncertainty and plots', () => {
  it('says so where there is nothing to plot', async () => {
    await openLogbook(boltPin, [], { page: 'uncertainty' });
    expect(screen.getByText(/There is nothing to plot yet/)).toBeVisible();
  });

  it('sets budget, ways of combining and improvements side by side', async () => {
    await openLogbook(boltPin, full, { page: 'uncertainty' });
    const density = region('Density');
    expect(within(density).getByText('Budget: shares of the variance')).toBeVisible();
    const ways = within(density).getByRole('table');
    expect(within(ways).getAllByRole('row')).toHaveLength(5);
    expect(ways).toHaveTextContent('your class’s way');
    expect(density).toHaveTextContent(/Reckoned anew for each|would change anything that is written/);
  });

  it('draws a line with its points, and holds two routes against each other', async () => {
    const empty = rows(lampOil, 'empty', '61.20', '61.20', '61.20');
    const entries = rows(lampOil, 'V M', '10.0 69.20', '20.0 77.20', '30.0 85.20', '40.0 93.20');
    await openLogbook(lampOil, [...empty, ...entries], { page: 'uncertainty' });
    // Each 10.0 mL weigh 8.00 g.
    const plot = within(region('Density as a slope')).getByRole('img', { name: /against/ });
    expect(plot).toHaveAccessibleName(/4 points and a line of slope 0\.8000$/);
    expect(region('Do the routes agree?')).toHaveTextContent(/agree: they differ by 0\.0 times/);
  });

  it('draws a million times in a worker that can be stopped, and shows what came of it', async () => {
    const workers: Hand[] = [];
    class Hand {
      onmessage: ((event: { data: unknown }) => void) | null = null;
      asked: unknown = null;
      ended = false;
      constructor() {
        workers.push(this);
      }
      postMessage(request: unknown) {
        this.asked = request;
      }
      terminate() {
        this.ended = true;
      }
    }
    vi.stubGlobal('Worker', Hand);
    const { user } = await openLogbook(boltPin, full, { page: 'uncertainty' });
    await user.click(screen.getByRole('button', { name: 'Draw' }));
    expect(workers[0]!.asked).toMatchObject({ draws: 1_000_000, seed: 1 });
    workers[0]!.onmessage?.({ data: { drawn: 250_000 } });
    expect(await screen.findByRole('progressbar', { name: 'Draws made' })).toHaveAttribute('value', '250000');
    await user.click(screen.getByRole('button', { name: 'Stop' }));
    expect(workers[0]!.ended).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Draw' }));
    workers[1]!.onmessage?.({
      data: {
        result: {
          mean: 8.7712,
          standardDeviation: 0.0421,
          low: 8.69,
          high: 8.853,
          draws: 1_000_000,
          bins: [1, 4, 1],
          from: 8.6,
          to: 8.9,
        },
      },
    });
    expect(await screen.findByText(/Mean 8.7712, standard deviation 0.0421/)).toBeVisible();
  });

  it('gives a plot away as SVG', async () => {
    const { user } = await openLogbook(boltPin, full, { page: 'uncertainty' });
    await user.click(screen.getAllByRole('button', { name: 'Save as SVG' })[0]!);
    expect(files[0]?.name).toBe('density.svg');
    expect(await files[0]!.text).toMatch(/^<svg .*width="\d+"/);
  });
});

describe('the second look', () => {
  const withSlip = [...full, entry(1, 'after', '45.7', { replaces: full[2]!.id, reason: 'x' })];

  it('names the cell, the sentence and how sure, and counts it before the hand-in', async () => {
    const { user, lines } = await openLogbook(boltPin, withSlip, { page: 'second-look' });
    const look = region('Second look');
    expect(within(look).getAllByRole('listitem').length).toBeGreaterThan(0);
    expect(look).toHaveTextContent('Trial 1, Volume');
    expect(region('Hand in')).toHaveTextContent(/Before you do: .*questions have no answer/);
    await user.click(screen.getByRole('button', { name: 'Hand in' }));
    await waitFor(() => expect(lines().at(-1)).toBe('0 hand-in  handed in'));
    await waitFor(() => expect(region('Hand in')).toHaveTextContent('Handed in by Ada Lind'));
    expect(await screen.findByRole('button', { name: 'Hand in again' })).toBeVisible();
  });

  it.each([
    [1, '1 trial is still wanted'],
    [4, '2 trials are still wanted'],
  ])('counts what is missing before the hand-in, without the last %i cells', async (missing, says) => {
    await openLogbook(boltPin, full.slice(0, -missing), { page: 'second-look' });
    expect(region('Hand in')).toHaveTextContent(`Before you do: ${says};`);
  });

  it('says that nothing was found', async () => {
    await openLogbook(boltPin, full, { page: 'second-look' });
    expect(region('Second look')).toHaveTextContent('Nothing found: units, digits');
  });

  const forTeacher: Investigation = { ...boltPin, secondLook: 'teacher' };
  it('is the teacher’s alone where the teacher chose so', async () => {
    const own = await openLogbook(forTeacher, withSlip, { page: 'second-look' });
    expect(screen.getByText(/Your teacher takes the second look here/)).toBeVisible();
    own.unmount();
    await openLogbook(forTeacher, withSlip, { page: 'second-look', who: teacher, mayWrite: false });
    expect(within(region('Second look')).getAllByRole('listitem').length).toBeGreaterThan(0);
    expect(screen.getByText('It has not been handed in yet.')).toBeVisible();
  });

  it('ties causes of error to findings and to the side on which the result lies', async () => {
    await openLogbook(boltPin, full, { page: 'second-look' });
    expect(region('Causes of error')).toHaveTextContent(/\((systematic|random|slip|mistake)/);
  });

  it('takes an answer to a question', async () => {
    const { user, lines } = await openLogbook(boltPin, full, { page: 'second-look' });
    const questions = region('Questions');
    await user.type(within(questions).getByRole('textbox'), 'Bronze: 8.8 lies within the ±.');
    await user.click(within(questions).getByRole('button', { name: 'Write' }));
    await waitFor(() => expect(lines().at(-1)).toBe('0 answer alloy Bronze: 8.8 lies within the ±.'));
  });
});

describe('whether a thing floats', () => {
  const oil = rows(lampOil, 'empty', '61.20');
  const three = rows(lampOil, 'V M', '20.0 77.20', '40.0 93.20', '60.0 109.20');

  it('is answered in one press, marked at once, and held against the density', async () => {
    const { user, lines } = await openLogbook(lampOil, [...oil, ...three], { page: 'second-look' });
    await user.click(screen.getByRole('radio', { name: 'It sinks' }));
    expect(screen.getByRole('radio', { name: 'It sinks' })).toBeChecked();
    await waitFor(() => expect(lines().at(-1)).toBe('0 answer float It sinks'));
    // 16.00 g in each 20 mL: 0.80 g/cm³.
    // Both routes to the density say so.
    expect(await screen.findAllByText(/You wrote that it sinks in water/)).not.toHaveLength(0);
    await user.click(screen.getByRole('radio', { name: 'It floats' }));
    await waitFor(() => expect(screen.queryAllByText(/You wrote that it sinks in water/)).toHaveLength(0));
    expect(screen.getByRole('radio', { name: 'It floats' })).toBeChecked();
  });
});

describe('the history', () => {
  it('lists everything in order of arrival, and finds by reader, column, text or reason', async () => {
    const { user } = await openLogbook(
      boltPin,
      [
        full[0]!,
        entry(1, 'mass', '214.8', {
          replaces: full[0]!.id,
          reason: 'rider not in its notch',
          reader: 'Bo Aasen',
        }),
        entry(1, '@remark pin', 'wet hands'),
        entry(0, '@hand-in', 'handed in'),
      ],
      { page: 'history' },
    );
    const table = screen.getByRole('table');
    const lines = () => within(table).getAllByRole('row').slice(1);
    expect(lines()).toHaveLength(4);
    expect(lines()[1]).toHaveTextContent('trial 1, mass of the pin, strikes what stood there');
    expect(lines()[2]).toHaveTextContent('trial 1, remark');
    expect(lines()[3]).toHaveTextContent('handed in');
    for (const [words, found] of [
      ['bo aasen', 1],
      ['NOTCH', 1],
      ['214', 2],
      ['nobody', 0],
    ] as const) {
      await user.clear(screen.getByLabelText(/Find/));
      await user.type(screen.getByLabelText(/Find/), words);
      expect(lines()).toHaveLength(found);
    }
    expect(screen.getByText('0 of 4')).toBeVisible();
  });
});

describe('the report', () => {
  it('has every part on one page, struck entries and reasons included', async () => {
    const print = vi.fn();
    vi.stubGlobal('print', print);
    const { user } = await openLogbook(
      boltPin,
      [
        ...full,
        entry(1, 'mass', '214.8', { replaces: full[0]!.id, reason: 'rider not in its notch' }),
        entry(3, '@standing pin', 'excluded', { reason: 'a splash' }),
        entry(3, '@remark pin', 'it splashed'),
        entry(2, '@run pin', 'fell over'),
        entry(0, '@prediction guess', '8.5'),
        entry(0, '@answer alloy', 'Bronze.'),
      ],
      { page: 'report' },
    );
    for (const part of [
      'Aim',
      'Kit',
      'Method, cautions and precautions',
      'Predicted beforehand',
      'Readings',
      'Density',
      'Second look',
      'Causes of error',
      'Questions and answers',
    ])
      expect(region(part)).toBeVisible();
    const readings = region('Readings');
    expect(within(readings).getByText('214.6').tagName).toBe('S');
    expect(readings).toHaveTextContent('rider not in its notch');
    expect(readings).toHaveTextContent('excluded: a splash');
    expect(readings).toHaveTextContent('it splashed');
    expect(readings).toHaveTextContent('abandoned: fell over');
    expect(region('Predicted beforehand')).toHaveTextContent('8.5 g/cm³; found:');
    expect(region('Questions and answers')).toHaveTextContent('Bronze.');
    await user.click(screen.getByRole('button', { name: 'Print, or save as PDF' }));
    expect(print).toHaveBeenCalled();
  });

  it('says what is missing where there is no result yet', async () => {
    await openLogbook(panBrine, [], { page: 'report' });
    for (const { name } of panBrine.results) expect(region(name)).toBeVisible();
  });
});
