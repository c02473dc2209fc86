import { describe, expect, it } from 'vitest';
import { presetNamed } from '../conventions';
import { entry, rows } from '../../test/entry';
import { checkInvestigation } from './checkInvestigation';
import { csvIn, csvOf, pastedBlock } from './exchange';
import type { Investigation } from './investigation';
import { plannedResults, rowOf, trialName } from './namedRows';
import { outcomeOf } from './outcome';
import { balanceCheck, glasswareThreeWays, markToMark, portionsThreeVessels } from './readyMade';
import { derived, given, measured, plain } from './readyMade/plain';
import { secondLookAt } from './look';
import { tableOf, type Entry } from './table';

const bench = presetNamed('Chemistry bench');
const jars = glasswareThreeWays.tables[1]!;
const results = (what: Investigation, entries: readonly Entry[]) =>
  outcomeOf(what, tableOf(entries), bench).results;
const found = (what: Investigation, entries: readonly Entry[], key: string) => {
  const state = results(what, entries).find(({ plan }) => plan.key === key);
  if (state?.state !== 'reckoned') throw new Error(`${key}: ${state?.why}`);
  return state.result;
};

describe('rows with names', () => {
  it('stand together, and what is measured beyond goes round by round', () => {
    expect([1, 4, 5, 8, 9, 12, 13, 14, 15].map((trial) => rowOf(jars, trial)?.key)).toEqual([
      ...['burette', 'burette', 'cylinder', 'cylinder', 'beaker', 'beaker'],
      ...['burette', 'cylinder', 'beaker'],
    ]);
    expect([1, 6, 13].map((trial) => trialName(jars, trial))).toEqual([
      '1 Burette U-01',
      '6 Cylinder C-04',
      '13 Burette U-01',
    ]);
    expect(trialName(glasswareThreeWays.tables[0]!, 2)).toBe('2');
  });

  it('have a result each, with what is accepted for it, and are wanted each by itself', () => {
    expect(
      plannedResults(glasswareThreeWays).map(({ plan }) => [plan.key, plan.name, plan.accepted?.tolerance]),
    ).toEqual([
      ['V.burette', 'Volume: Burette U-01', '0.05'],
      ['V.cylinder', 'Volume: Cylinder C-04', '0.5'],
      ['V.beaker', 'Volume: Beaker K-01', '2.5'],
    ]);
    const water = rows(glasswareThreeWays, 't', '20.0', '20.0');
    const burette = ['14.33 34.29', '14.44 34.41', '14.55 34.50', '14.66 34.63'];
    const entries = [...water, ...rows(glasswareThreeWays, 'dry full', ...burette, '9.71 29.28')];
    // 19.96, 19.97, 19.95, 19.97 g over 0.9982067 g/mL: their mean 19.9625 g makes 19.99836 mL.
    expect(found(glasswareThreeWays, entries, 'V.burette').value.value.toNumber()).toBeCloseTo(
      19.9625 / 0.9982067,
      5,
    );
    expect(found(glasswareThreeWays, entries, 'V.cylinder').value.value.toNumber()).toBeCloseTo(
      19.57 / 0.9982067,
      5,
    );
    expect(results(glasswareThreeWays, entries).map(({ trialsWanted }) => trialsWanted)).toEqual([0, 3, 4]);
  });

  it('give what is accepted for them to the results that are in its unit, and to no other', () => {
    const [volume] = glasswareThreeWays.results;
    const share = { ...volume!, key: 'share', name: 'Share', unit: '%', accepted: null };
    const both = { ...glasswareThreeWays, results: [volume!, share] };
    const accepted = plannedResults(both).map(({ plan }) => [plan.key, plan.accepted?.unit ?? null]);
    expect(accepted.filter(([key]) => key?.startsWith('share'))).toEqual([
      ['share.burette', null],
      ['share.cylinder', null],
      ['share.beaker', null],
    ]);
    expect(accepted.filter(([key]) => key?.startsWith('V.')).map(([, unit]) => unit)).toEqual([
      'mL',
      'mL',
      'mL',
    ]);
  });

  it('begin afresh: the first portion of a vessel has no trial before', () => {
    const entries = [
      ...rows(portionsThreeVessels, 't', '20.0', '20.0'),
      ...rows(portionsThreeVessels, 'M', '85.00', '95.00', '105.00', '115.00', '125.00', '80.00', '89.98'),
    ];
    const { trials } = outcomeOf(portionsThreeVessels, tableOf(entries), bench);
    const states = trials['portions']?.map(({ derived: cells }) => cells['V']?.state);
    expect(states).toEqual(['open', 'reckoned', 'reckoned', 'reckoned', 'reckoned', 'open', 'reckoned']);
    expect(found(portionsThreeVessels, entries, 'V.cylinder').value.value.toNumber()).toBeCloseTo(
      9.98 / 0.9982067,
      5,
    );
  });

  it('are different things: their readings are no repetition of each other', () => {
    // 5, 10, 20, 50, 100 g three times each, 0.2 g too much: a line of slope 1, and no scatter.
    const shown = ['5', '10', '20', '50', '100'].flatMap((mass) => [1, 2, 3].map(() => `${mass}.2`));
    const entries = rows(balanceCheck, 'shown', ...shown);
    const line = found(balanceCheck, entries, 'scale');
    expect(line.value.value.toNumber()).toBeCloseTo(1, 12);
    const off = found(balanceCheck, entries, 'off.m20');
    expect(off.value.value.toNumber()).toBeCloseTo(0.2, 12);
    // By hand: half a last digit 0.05, the balance 0.1, the certificate 0.005, and nothing scatters.
    expect(off.uncertainty).toBeCloseTo(Math.hypot(0.05, 0.1, 0.005), 12);
    expect(off.contributions.map(({ source }) => source)).toContain('reference mass, from its certificate');
    expect(
      secondLookAt(balanceCheck, tableOf(entries), outcomeOf(balanceCheck, tableOf(entries), bench), bench),
    ).toEqual([]);
  });

  it('go out as CSV with their names, and come back', () => {
    const entries = rows(balanceCheck, 'shown', '5.2', '5.1', '5.2', '10.3');
    const [table] = balanceCheck.tables;
    const csv = csvOf(table!, tableOf(entries), outcomeOf(balanceCheck, tableOf(entries), bench));
    expect(csv.split('\n')[0]).toBe(
      'Trial,Row,Reference mass,Shown,Shown less reference,Standing,Reason,Remark',
    );
    expect(csv.split('\n')[5]).toMatch(/^4,10 g,10\.000,10\.3,0\.3,counts/);
    const read = csvIn(csv, table!, balanceCheck, new Map(), bench);
    expect(read.problems).toEqual([]);
    // What is given is nobody's to write.
    expect(read.cells.map(({ trial, column, text }) => [trial, column.key, text])).toEqual([
      [1, 'shown', '5.2'],
      [2, 'shown', '5.1'],
      [3, 'shown', '5.2'],
      [4, 'shown', '10.3'],
    ]);
    const [pasted] = pastedBlock(
      '5.4',
      { trial: 1, column: 'shown' },
      table!,
      balanceCheck,
      new Map(),
      bench,
    );
    expect(pasted).toMatchObject({ refused: null, advice: null });
  });
});

describe('columns of words', () => {
  const what: Investigation = {
    ...plain,
    title: 'What floats',
    aim: '',
    object: '',
    kit: [{ tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_1' }],
    steps: [],
    tables: [
      {
        key: 'pieces',
        title: 'Pieces',
        trials: 1,
        columns: [
          measured('m', 'Mass', 'm', 'g', 'E-01'),
          { kind: 'choice', key: 'seen', heading: 'In water', symbol: '', options: ['floats', 'sinks'] },
          { kind: 'text', key: 'colour', heading: 'Colour', symbol: '' },
        ],
      },
    ],
    results: [],
  };

  it('belong to a complete trial, and are no numbers', () => {
    const complete = (...entries: Entry[]) => outcomeOf(what, tableOf(entries), bench).complete;
    const all = [
      entry(1, 'm', '7.6', { tag: 'E-01' }),
      entry(1, 'seen', 'floats'),
      entry(1, 'colour', 'brown'),
    ];
    expect(complete(...all.slice(0, 2))).toBe(0);
    expect(complete(...all)).toBe(1);
    expect(outcomeOf(what, tableOf(all), bench).means['seen']).toBeUndefined();
    const [, second] = pastedBlock(
      '7.6\tswims',
      { trial: 1, column: 'm' },
      what.tables[0]!,
      what,
      new Map(),
      bench,
    );
    expect(second?.advice).toBe('One of these is expected: floats, sinks.');
  });

  it('are refused where they make no sense, each at its place', () => {
    const places = (
      table: Partial<Investigation['tables'][number]>,
      results: Investigation['results'] = [],
    ) =>
      checkInvestigation({ ...what, tables: [{ ...what.tables[0]!, ...table }], results }).map(
        ({ place }) => place,
      );
    const named = [
      { key: 'a', name: 'A' },
      { key: 'b', name: 'B' },
    ];
    expect(places({})).toEqual([]);
    expect(places({ rows: named, trials: 3 })).toEqual(['tables[0].trials']);
    expect(places({ rows: [named[0]!, named[0]!], trials: 4 })).toEqual(['tables[0].rows[1].key']);
    const three = ['1', '2', '3'].map((value) => ({ value, source: '' }));
    expect(places({ rows: named, trials: 4, columns: [given('g', 'Given', 'g', 'g', three)] })).toEqual([
      'tables[0].columns[0].values',
    ]);
    expect(places({ columns: [given('g', 'Given', 'g', 'g', [{ value: 'x', source: '' }])] })).toEqual([
      'tables[0].columns[0].values[0].value',
    ]);
    expect(
      places({ columns: [...what.tables[0]!.columns, derived('d', 'D', 'd', 'g', 'm + colour')] }),
    ).toEqual(['tables[0].columns[3].formula']);
    expect(
      places({}, [
        {
          kind: 'mean',
          key: 'm',
          name: 'M',
          symbol: 'm',
          unit: 'g',
          column: 'm',
          accepted: null,
          perRow: 'pieces',
        },
      ]),
    ).toEqual(['results[0].perRow']);
  });
});

it('what a beaker shows is not held against what was weighed: it only shows that water was lost', () => {
  const entries = rows(markToMark, 'first beaker back', '40.3 40 39.7', '40.2 40 39.5', '40.4 41 39.8');
  // 0.6, 0.7, 0.6: 0.6333; both readings 0.5 and the cylinder's 0.5, as they stand.
  const lost = found(markToMark, entries, 'lost');
  expect(lost.value.value.toNumber()).toBeCloseTo(1.9 / 3, 12);
  expect(lost.typeB).toBeCloseTo(Math.sqrt(0.75), 12);
});
