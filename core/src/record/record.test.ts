import { describe, expect, it } from 'vitest';
import { presetNamed } from '../conventions';
import { adviseOn } from './advice';
import type { Investigation } from './investigation';
import { outcomeOf } from './outcome';
import { cellKey, initials, tableOf, type Entry } from './table';

const investigation: Investigation = {
  title: 'A bolt pin',
  aim: 'Find its density.',
  object: 'bolt pin',
  method: 'displacement',
  kit: [
    { tag: 'B-01', kind: 'three-beam-balance', model: 'three-beam-600' },
    { tag: 'C-07', kind: 'graduated-cylinder', model: 'cylinder-100-1' },
  ],
  steps: [],
  columns: [
    { key: 'mass', heading: 'Mass', symbol: 'm', unit: 'g', tag: 'B-01' },
    { key: 'before', heading: 'Volume before', symbol: 'V_1', unit: 'mL', tag: 'C-07' },
    { key: 'after', heading: 'Volume after', symbol: 'V_2', unit: 'mL', tag: 'C-07' },
  ],
  trials: 3,
  accepted: { value: '8.8', unit: 'g/cm³', source: 'reference piece' },
};
const bench = presetNamed('Chemistry bench');

let made = 0;
const entry = (trial: number, column: string, text: string, rest: Partial<Entry> = {}): Entry => ({
  id: `e${(made += 1)}`,
  trial,
  column,
  text,
  tag: 'C-07',
  reader: 'Ada Lind',
  writtenAt: '2026-03-02T09:10:00Z',
  replaces: null,
  reason: null,
  ...rest,
});
const row = (trial: number, mass: string, before: string, after: string) => [
  entry(trial, 'mass', mass),
  entry(trial, 'before', before),
  entry(trial, 'after', after),
];

describe('tableOf', () => {
  it('strikes a corrected entry and keeps it', () => {
    const first = entry(1, 'before', '53.2');
    const second = entry(1, 'before', '52.3', { replaces: first.id, reason: 'digits swapped' });
    const cell = tableOf([first, second]).get(cellKey(1, 'before'));
    expect(cell).toMatchObject({ current: second, collided: false, struck: [{ entry: first, by: second }] });
  });

  it('keeps both when two readers wrote without seeing each other, and says so until one corrects', () => {
    const [a, b] = [entry(1, 'mass', '84.0'), entry(1, 'mass', '84.2', { reader: 'Bo Aasen' })];
    const key = cellKey(1, 'mass');
    expect(tableOf([a, b]).get(key)).toMatchObject({ current: b, collided: true, struck: [{ entry: a }] });
    const settled = entry(1, 'mass', '84.0', { replaces: b.id, reason: 'read again together' });
    expect(tableOf([a, b, settled]).get(key)).toMatchObject({ collided: false, current: settled });
    expect(tableOf([a, b, settled]).get(key)?.struck).toHaveLength(2);
  });
});

describe('outcomeOf', () => {
  const of = (...entries: Entry[]) => outcomeOf(investigation, tableOf(entries), bench);

  it('is empty for an empty book', () => {
    expect(of()).toEqual({ trials: [], result: null, trialsWanted: 3 });
  });

  it('says what a trial still misses, and what it refuses', () => {
    const outcome = of(
      entry(1, 'mass', '84.0'),
      ...row(2, '84.0', '60.0', '50.0'),
      ...row(3, '84..0', '50.0', '60.0'),
    );
    expect(outcome.trials).toMatchObject([
      { state: 'open', missing: ['before', 'after'] },
      { state: 'refused' },
      { state: 'open', missing: ['mass'] },
    ]);
    expect(outcome.result).toBeNull();
  });

  it('reaches a result with its uncertainty, percent error and working', () => {
    const { result, trialsWanted } = of(
      ...row(1, '84.0', '50.0', '60.0'),
      ...row(2, '84.0', '50.0', '60.2'),
      ...row(3, '84.0', '50.0', '59.8'),
    );
    expect(trialsWanted).toBe(0);
    expect(result).toMatchObject({ n: 3, meanText: '8.4', text: '(8.4 ± 0.7) g/cm³', spreadText: '0.17' });
    expect(result?.percentError?.text).toBe('−5 %');
    expect(result?.working.map(({ title }) => title)).toEqual([
      'Mean of the trials',
      'Spread of the trials',
      'Part of the instruments',
      'Both parts together',
      'Rounded',
      'Percent error',
    ]);
  });

  it('states figures only where the class does', () => {
    const table = tableOf(row(1, '84.0', '50.0', '60.0'));
    expect(outcomeOf(investigation, table, presetNamed('First course')).result).toMatchObject({
      text: '8.40 g/cm³',
      plusMinus: null,
    });
  });
});

describe('adviseOn', () => {
  it.each([
    [0, '84.0', null],
    [0, '84', /stops short: B-01 is read to 0.1 g/],
    [0, '84.00', /a digit too many/],
    [0, '700.0', /off the scale: B-01 goes from 0 to 600 g/],
    [1, '50.2', null],
    [1, '50.2 mL', null],
    [1, '50.2 g', /in mL/],
    [1, '5..2', /second point/],
    [1, '', null],
  ] as const)('column %i: “%s”', (at, text, expected) => {
    const advice = adviseOn(text, investigation.columns[at]!, investigation, bench);
    if (expected === null) expect(advice).toBeNull();
    else expect(advice).toMatch(expected);
  });
});

it('makes initials', () => {
  expect(initials('Ada Lind')).toBe('AL');
  expect(initials(' åse ')).toBe('Å');
});
