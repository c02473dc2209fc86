import { describe, expect, it } from 'vitest';
import { entry } from '../../test/entry';
import { presetNamed } from '../conventions';
import { csvIn, csvOf, jsonOf, pastedBlock } from './exchange';
import { outcomeOf } from './outcome';
import { boltPin } from './readyMade';
import { tableOf } from './table';

const bench = presetNamed('Chemistry bench');
const [table] = boltPin.tables;
const entries = [
  entry(1, 'mass', '214.6'),
  entry(1, 'before', '50.0'),
  entry(1, 'after', '74.5'),
  entry(2, 'mass', '214,5'),
  { ...entry(2, '@standing pin', 'excluded'), reason: 'a splash, “large”' },
  entry(2, '@remark pin', 'It ran,\nover'),
];
const cells = tableOf(entries);
const outcome = outcomeOf(boltPin, cells, bench);
const none = tableOf([]);

describe('a table as CSV', () => {
  it('has headings, units, texts as written, and why a trial does not count', () => {
    const lines = csvOf(table!, cells, outcome).split('\n');
    expect(lines[0]).toBe(
      'Trial,Mass of the pin,Volume before,Volume after,Volume,Density,Standing,Reason,Remark',
    );
    expect(lines[1]).toBe(',g,mL,mL,mL,g/cm³,,,');
    expect(lines[2]).toBe('1,214.6,50.0,74.5,24.5,8.76,counts,,');
    expect(csvOf(table!, cells, outcome)).toContain(
      '2,"214,5",,,,,excluded,"a splash, “large”","It ran,\nover"',
    );
  });

  it('is read back to the cells that it came from', () => {
    const { cells: read, problems } = csvIn(csvOf(table!, cells, outcome), table!, boltPin, none, bench);
    expect(problems).toEqual([]);
    expect(read.map(({ trial, column, text }) => `${trial} ${column.key} ${text}`)).toEqual([
      '1 mass 214.6',
      '1 before 50.0',
      '1 after 74.5',
      '2 mass 214,5',
    ]);
    expect(read.every(({ refused }) => refused === null)).toBe(true);
  });

  it.each([
    ['an empty file', '', 1, /empty/],
    ['other headings', 'a,b\n1,2', 1, /None of its headings/],
    ['a trial that is none', 'Trial,Mass of the pin\nx,214.6', 2, /“x” is not the number/],
    ['another unit', 'Trial,Mass of the pin\n,kg\n1,0.2146', 2, /in kg there and in g here/],
    ['a line that is too long', 'Trial,Mass of the pin\n1,214.6,7', 2, /more cells/],
  ])('tells %s with its line', (_, text, line, sentence) => {
    const problem = csvIn(text, table!, boltPin, none, bench).problems.find((own) => own.line === line);
    expect(problem?.sentence).toMatch(sentence);
  });
});

describe('a pasted block', () => {
  it('is laid from the cell on, advised on, and never over what is written', () => {
    const block = pastedBlock(
      '214.60\t50.0\t74.5\t9\n214.5\t\t\n',
      { trial: 1, column: 'mass' },
      table!,
      boltPin,
      cells,
      bench,
    );
    expect(block.map(({ trial, column, text }) => [trial, column.key, text])).toEqual([
      [1, 'mass', '214.60'],
      [1, 'before', '50.0'],
      [1, 'after', '74.5'],
      [2, 'mass', '214.5'],
    ]);
    expect(block[0]?.refused).toMatch(/stands here already/);
    expect(block[1]?.refused).toMatch(/there already/);
    const [free] = pastedBlock('214.60', { trial: 7, column: 'mass' }, table!, boltPin, cells, bench);
    expect(free).toMatchObject({ refused: null, advice: expect.stringMatching(/a digit too many/) });
    expect(
      pastedBlock('1\n2', { trial: 200, column: 'mass' }, table!, boltPin, none, bench)[1]?.refused,
    ).toMatch(/200 trials/);
  });
});

it('a logbook as JSON keeps history and uncertainties', () => {
  const data = JSON.parse(JSON.stringify(jsonOf(boltPin, bench, entries, outcome)));
  expect(data).toMatchObject({
    format: 1,
    entries: { length: 6 },
    results: [{ text: expect.stringContaining('±'), unit: 'g/cm³' }],
  });
});
