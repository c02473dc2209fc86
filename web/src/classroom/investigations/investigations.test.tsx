import { presetNamed, boltPin, lampOil, readyMade, type Investigation } from '@green-beam/core';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { handedOver } from '../../../test/files';
import { open, refusal, serve, teacher, tern, type Answers } from '../../../test/page';
import { bandsText, readBands } from './editor/BandsField';
import { InvestigationEditor } from './InvestigationEditor';
import { Investigations } from './Investigations';

const files = handedOver();
const book = {
  investigationId: 'i',
  title: boltPin.title,
  object: 'bolt pin',
  logbookId: 'book',
  readers: ['Ada Lind', 'Bo Aasen'],
  completeTrials: 3,
  trialsWanted: 3,
  resultText: '(8.8 ± 0.3) g/cm³',
  resultSymbol: 'ρ',
  handedIn: true,
};
const line = (retired = false) => ({ id: 'i', version: 2, retired, body: boltPin, logbooks: [book] });

function desk(address: string, answers: Answers = {}) {
  const server = serve({
    'GET /api/classes/tern/investigations': { class: tern, investigations: [line()], readyMade },
    'POST /api/classes/tern/investigations': {},
    'GET /api/classes/tern/rules': {
      class: tern,
      versions: [{ rules: presetNamed('Chemistry bench') }],
      mayChange: true,
    },
    ...answers,
  });
  const view = open(
    [
      { path: 'class/:classId/investigations', Component: Investigations },
      { path: 'class/:classId/investigations/edit', Component: InvestigationEditor },
      { path: 'logbook/:id', element: <p>the logbook</p> },
    ],
    `/class/tern/investigations${address}`,
    teacher,
  );
  return { ...view, ...server };
}
const region = (name: string) => screen.findByRole('region', { name });
/** The investigation that was sent last. */
const sentBody = (calls: ReturnType<typeof desk>['calls']) =>
  calls.findLast(({ method }) => method === 'POST')?.body as unknown as {
    replaces: string | null;
    body: Investigation;
  };

describe('what is set for a class', () => {
  it('lists versions, logbooks and results', async () => {
    const { user } = desk('');
    const set = await region('Set for this class');
    expect(set).toHaveTextContent('version 2 · 1 logbook, 1 handed in');
    expect(set).toHaveTextContent('ρ = (8.8 ± 0.3) g/cm³ · handed in');
    await user.click(within(set).getByRole('link', { name: 'Ada Lind, Bo Aasen' }));
    expect(await screen.findByText('the logbook')).toBeVisible();
  });

  it('sets a ready-made one, but not one that is there', async () => {
    const { user, calls } = desk('');
    const ready = await region('Ready-made');
    expect(within(ready).getAllByRole('heading')).toHaveLength(1 + readyMade.length);
    expect(within(ready).getByText('Set for this class')).toBeVisible();
    const oil = within(ready).getByRole('heading', { name: lampOil.title }).closest('li')!;
    await user.click(within(oil).getByRole('button', { name: 'Set this work' }));
    await waitFor(() => expect(sentBody(calls).body).toEqual(lampOil));
  });

  it('takes one off the list, and tells what the server says', async () => {
    const { user, sent } = desk('', {
      'POST /api/classes/tern/investigations/i': () =>
        refusal(403, 'not-allowed', 'This is not yours to open or change.'),
    });
    await user.click(await screen.findByRole('button', { name: 'Take it off the list' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('This is not yours to open or change.');
    expect(sent('POST /api/classes/tern/investigations/i')[0]?.body).toEqual({ retired: true });
  });

  it('saves one as a file that is the investigation itself', async () => {
    const { user } = desk('');
    const set = await region('Set for this class');
    await user.click(within(set).getByRole('button', { name: 'Save as a file' }));
    expect(files[0]?.name).toBe('bolt-pin-bronze-or-brass.json');
    expect(JSON.parse(await files[0]!.text)).toEqual(boltPin);
  });
});

describe('what comes with the app', () => {
  it('is found by words and by what it is measured with', async () => {
    const { user } = desk('');
    const ready = await region('Ready-made');
    const titles = () =>
      within(ready)
        .getAllByRole('heading', { level: 3 })
        .map(({ textContent }) => textContent);
    expect(titles()).toHaveLength(readyMade.length);
    await user.type(within(ready).getByLabelText('About'), 'burette jar');
    expect(titles()).toEqual(['Glassware: three ways to 20 mL']);
    await user.selectOptions(within(ready).getByLabelText('Measured with'), 'thermometer');
    expect(titles()).toEqual(['Glassware: three ways to 20 mL']);
    await user.selectOptions(within(ready).getByLabelText('Measured with'), 'micrometer');
    expect(ready).toHaveTextContent(`None of the ${readyMade.length} is like that.`);
    await user.clear(within(ready).getByLabelText('About'));
    await user.selectOptions(within(ready).getByLabelText('Measured with'), '');
    await user.selectOptions(within(ready).getByLabelText('Time'), '30');
    const short = readyMade.filter(({ minutes }) => minutes === 30).map(({ title }) => title);
    expect(titles()).toEqual(short);
    await user.selectOptions(within(ready).getByLabelText('Level'), 'first');
    expect(titles()).toEqual(
      short.filter((title) => readyMade.some((body) => body.title === title && body.level === 'first')),
    );
  });

  it('begins a new one from a shape: name its object and set it', async () => {
    const { user, calls } = desk('');
    const begun = await region('Begin from a shape');
    await user.click(within(begun).getByRole('link', { name: 'Density by displacement' }));
    // The one thing that is missing is said in words, at its field.
    expect(await screen.findByRole('alert')).toHaveTextContent('Object: This is missing.');
    await user.type(screen.getByLabelText('Object'), 'anchor chain link');
    await user.click(screen.getByRole('button', { name: 'Set this work' }));
    await waitFor(() =>
      expect(sentBody(calls).body).toMatchObject({
        title: 'Density by displacement',
        object: 'anchor chain link',
      }),
    );
    expect(sentBody(calls).body.results[0]?.accepted).toBeNull();
  });
});

describe('the editor', () => {
  it('adapts one into its next version, and keeps what was typed over a reload', async () => {
    const first = desk('/edit?from=i');
    expect(await screen.findByRole('heading', { level: 1 })).toHaveTextContent(`Adapt: ${boltPin.title}`);
    expect(screen.getByText('becomes version 3; open logbooks keep theirs')).toBeVisible();
    const title = await screen.findAllByRole('textbox', { name: 'Title' });
    await first.user.clear(title[0]!);
    await first.user.type(title[0]!, 'Bolt pin, once more');
    first.unmount();
    const { user, calls } = desk('/edit?from=i');
    expect((await screen.findAllByRole('textbox', { name: 'Title' }))[0]).toHaveValue('Bolt pin, once more');
    await user.click(screen.getByRole('button', { name: 'Set this work' }));
    expect(await screen.findByRole('heading', { level: 1, name: 'Investigations' })).toBeVisible();
    expect(sentBody(calls)).toMatchObject({ replaces: 'i', body: { title: 'Bolt pin, once more' } });
  });

  it('begins again from what it was', async () => {
    const { user } = desk('/edit?from=i');
    const title = async () => (await screen.findAllByRole('textbox', { name: 'Title' }))[0]!;
    await user.type(await title(), '!');
    await user.click(screen.getByRole('button', { name: 'Begin again from what it was' }));
    expect(await title()).toHaveValue(boltPin.title);
  });

  it('is blank for a new one, and says what it needs only once one has begun', async () => {
    const { user } = desk('/edit');
    expect(await screen.findByRole('button', { name: 'Set this work' })).toBeDisabled();
    expect(screen.queryByRole('alert')).toBeNull();
    await user.type((await screen.findAllByRole('textbox', { name: 'Title' }))[0]!, 'A ring');
    expect(await screen.findByRole('alert')).toHaveTextContent('Before it can be set');
  });

  it('reads a file, and refuses a bad one with the place and the reason', async () => {
    const { user } = desk('/edit');
    const choose = await screen.findByLabelText('Read a file');
    const bad = { ...boltPin, tables: [{ ...boltPin.tables[0], trials: 'three' }] };
    await user.upload(choose, new File([JSON.stringify(bad)], 'pin.json', { type: 'application/json' }));
    const alert = await screen.findByText('The file was not taken');
    expect(alert.parentElement).toHaveTextContent('tables[0].trials');
    await user.upload(choose, new File(['{'], 'pin.json', { type: 'application/json' }));
    await waitFor(() => expect(screen.getByText('The file was not taken')).toBeVisible());
    await user.upload(choose, new File([JSON.stringify(lampOil)], 'oil.json', { type: 'application/json' }));
    await waitFor(() =>
      expect(screen.getAllByRole('textbox', { name: 'Title' })[0]).toHaveValue(lampOil.title),
    );
    expect(screen.queryByText('The file was not taken')).toBeNull();
  });

  it('has a field for everything: kit, steps, columns, results, questions, model', async () => {
    const { user, calls } = desk('/edit?ready=' + encodeURIComponent(boltPin.title));
    const kit = await region('Kit');
    await user.type(within(kit).getAllByRole('textbox', { name: 'Zero may be off by' })[0]!, '0.05');
    await user.type(within(kit).getAllByRole('textbox', { name: 'Scale off by, %' })[1]!, '0.2');
    const method = await region('Method');
    await user.type(within(method).getAllByRole('textbox', { name: 'Minutes of waiting' })[0]!, '5');
    const columns = await region('Columns of trials');
    await user.click(within(columns).getAllByRole('checkbox', { name: 'The same thing in all trials' })[0]!);
    await user.selectOptions(within(columns).getAllByRole('combobox', { name: 'Worked by' })[0]!, 'student');
    const results = await region('Results');
    await user.clear(within(results).getByRole('textbox', { name: 'Accepted value' }));
    await user.type(within(results).getByRole('textbox', { name: 'Accepted value' }), '8.75');
    const model = await region('A worked trial as a model');
    await user.type(within(model).getByRole('textbox', { name: 'Mass of the pin' }), '200.0');
    await user.type(within(model).getByRole('textbox', { name: 'A word on it' }), 'An older pin.');
    await user.type(screen.getByRole('textbox', { name: /Percent errors up to/ }), '5 good, 10 fair');
    const questions = await region('Questions');
    await user.click(within(questions).getByRole('button', { name: 'Add a question' }));
    await user.type(within(questions).getAllByRole('textbox', { name: 'Question' }).at(-1)!, 'And then?');
    await user.click(screen.getByRole('button', { name: 'Set this work' }));
    await screen.findByRole('heading', { level: 1, name: 'Investigations' });
    const { replaces, body } = sentBody(calls);
    expect(replaces).toBeNull();
    expect(body.kit.map(({ offset, scalePercent }) => [offset, scalePercent])).toEqual([
      ['0.05', undefined],
      [undefined, '0.2'],
    ]);
    expect(body.steps[0]?.waitMinutes).toBe(5);
    expect(body.tables[0]?.columns[0]).toMatchObject({ carried: true });
    expect(body.tables[0]?.columns[3]).toMatchObject({ by: 'student' });
    expect(body.results[0]?.accepted?.value).toBe('8.75');
    expect(body.model).toEqual({ cells: { mass: '200.0' }, words: 'An older pin.' });
    expect(body.bands).toEqual([
      { upToPercent: 5, word: 'good' },
      { upToPercent: 10, word: 'fair' },
    ]);
    expect(body.questions.at(-1)?.text).toBe('And then?');
  });

  it('turns a column and a result into another kind, and moves and takes away', async () => {
    const { user } = desk('/edit?ready=' + encodeURIComponent(boltPin.title));
    const columns = () => screen.getByRole('region', { name: 'Columns of trials' });
    await region('Columns of trials');
    const kinds = () => within(columns()).getAllByRole('combobox', { name: 'Kind' });
    await user.selectOptions(kinds()[0]!, 'count');
    await user.selectOptions(kinds()[1]!, 'clock');
    await user.selectOptions(kinds()[2]!, 'derived');
    await user.selectOptions(kinds()[2]!, 'measured');
    expect(kinds().map((kind) => (kind as HTMLSelectElement).value)).toEqual([
      'count',
      'clock',
      'measured',
      'derived',
      'derived',
    ]);
    await user.click(within(columns()).getByRole('button', { name: 'Take away column 2' }));
    expect(kinds()).toHaveLength(4);
    await user.click(within(columns()).getAllByRole('button', { name: 'Down' })[0]!);
    expect((kinds()[1] as HTMLSelectElement).value).toBe('count');
    await user.click(within(columns()).getAllByRole('button', { name: 'Up' })[1]!);
    expect((kinds()[0] as HTMLSelectElement).value).toBe('count');
    const results = screen.getByRole('region', { name: 'Results' });
    for (const kind of ['value', 'line', 'mean']) {
      await user.selectOptions(within(results).getByRole('combobox', { name: 'Kind' }), kind);
      expect(within(results).getByRole('combobox', { name: 'Kind' })).toHaveValue(kind);
    }
  });

  it('copies a table with names of its own, shows the page beside it, and undoes', async () => {
    const { user, calls } = desk('/edit?from=i');
    const tables = await region('Tables');
    await user.click(within(tables).getByRole('button', { name: 'Copy table 1' }));
    expect(within(tables).getAllByRole('textbox', { name: 'Title' })).toHaveLength(2);
    const preview = await region('As a student will see it');
    await waitFor(() => expect(preview).toHaveTextContent(`${boltPin.tables[0]!.title} again`));
    await user.click(screen.getByRole('button', { name: 'Set this work' }));
    await waitFor(() => expect(sentBody(calls).body.tables).toHaveLength(2));
    const [first, second] = sentBody(calls).body.tables;
    expect(second?.columns.map(({ key }) => key)).not.toEqual(first?.columns.map(({ key }) => key));
    expect(second?.columns.find(({ kind }) => kind === 'derived')).toMatchObject({
      formula: expect.stringMatching(/^after2 - before2$/),
    });
  });

  it('tells each problem at its field, all at once', async () => {
    const { user } = desk('/edit?from=i');
    const columns = await region('Columns of trials');
    const [formula] = within(columns).getAllByRole('textbox', { name: 'Formula' });
    await user.clear(formula!);
    await user.type(formula!, 'before - lid');
    const [tag] = within(await region('Kit')).getAllByRole('textbox', { name: 'Tag' });
    await user.type(tag!, 'x');
    const under = (field: HTMLElement) => field.parentElement?.parentElement;
    await waitFor(() => expect(under(formula!)).toHaveTextContent('“lid” is not the name of a column.'));
    // What it was called is still read on elsewhere: told there, not at the tag.
    const [readOn] = within(columns).getAllByRole('combobox', { name: 'Read on' });
    await waitFor(() => expect(under(readOn!)).toHaveTextContent(/kit/));
    await user.type(tag!, '{Backspace}');
    await waitFor(() => expect(under(readOn!)).not.toHaveTextContent(/kit/));
    expect(under(formula!)).toHaveTextContent('“lid”');
  });

  it('undoes the last change, whatever it was', async () => {
    const { user } = desk('/edit?from=i');
    const kit = await region('Kit');
    const pieces = within(kit).getAllByRole('listitem').length;
    await user.click(within(kit).getByRole('button', { name: 'Take away piece 1' }));
    expect(within(await region('Kit')).getAllByRole('listitem')).toHaveLength(pieces - 1);
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    expect(within(await region('Kit')).getAllByRole('listitem')).toHaveLength(pieces);
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
  });

  it('keeps what was typed where the server refuses it', async () => {
    const { user } = desk('/edit?ready=' + encodeURIComponent(lampOil.title), {
      'POST /api/classes/tern/investigations': () =>
        refusal(422, 'not-an-investigation', 'The investigation cannot be used as it is.'),
    });
    await user.type((await screen.findAllByRole('textbox', { name: 'Title' }))[0]!, ' 2');
    await user.click(screen.getByRole('button', { name: 'Set this work' }));
    expect(await screen.findByText('The investigation cannot be used as it is.')).toBeVisible();
    expect(screen.getAllByRole('textbox', { name: 'Title' })[0]).toHaveValue(`${lampOil.title} 2`);
  });
});

describe('bands written as one line', () => {
  it.each([
    ['', null],
    ['  ', null],
    ['5 good', [{ upToPercent: 5, word: 'good' }]],
    [
      '2.5 % very good ,10 fair',
      [
        { upToPercent: 2.5, word: 'very good' },
        { upToPercent: 10, word: 'fair' },
      ],
    ],
    ['5', undefined],
    ['good 5', undefined],
    ['5 good,', undefined],
  ])('%j', (text, bands) => {
    expect(readBands(text)).toEqual(bands);
    if (bands) expect(readBands(bandsText(bands))).toEqual(bands);
  });
  it('of none is empty', () => expect(bandsText(null)).toBe(''));
});
