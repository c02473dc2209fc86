import { describe, expect, it } from 'vitest';
import { presetNamed, type Conventions } from '../conventions';
import { adviseOn } from './columnKinds';
import { checkInvestigation } from './checkInvestigation';
import type { Column, DerivedColumn, Investigation, KitItem } from './investigation';
import { secondLookAt } from './look';
import { outcomeOf } from './outcome';
import { derived, measured, plain } from './readyMade/plain';
import { tableOf, type Entry } from './table';
import { resultWorking } from './resultWorking';
import { besideOf, checkWorked } from './worked';

const bench = presetNamed('Chemistry bench');

const book = (
  kit: readonly KitItem[],
  columns: readonly Column[],
  rest: Partial<Investigation> = {},
): Investigation => ({
  ...plain,
  title: 'By hand',
  aim: '',
  object: '',
  kit,
  steps: [],
  tables: [{ key: 't', title: 'T', trials: 1, columns }],
  results: [],
  ...rest,
});

const written = (columns: readonly Column[], ...rows: readonly (readonly (string | null)[])[]): Entry[] =>
  rows.flatMap((row, trial) =>
    row.flatMap((text, at): Entry[] =>
      text === null
        ? []
        : [
            {
              id: `${trial}/${at}`,
              kind: 'reading' as const,
              trial: trial + 1,
              column: columns[at]!.key,
              text,
              tag: columns[at]!.kind === 'measured' ? columns[at]!.tag : '',
              reader: 'Ada Lind',
              writtenAt: '2026-01-01T00:00:00Z',
              replaces: null,
              reason: null,
            },
          ],
    ),
  );

const derivedText = (investigation: Investigation, entries: readonly Entry[], key: string, rules = bench) => {
  const cell = outcomeOf(investigation, tableOf(entries), rules).trials['t']?.[0]?.derived[key];
  return cell?.state === 'reckoned' ? cell.text : cell?.state;
};
const findings = (investigation: Investigation, entries: readonly Entry[], rules: Conventions = bench) => {
  const cells = tableOf(entries);
  return secondLookAt(investigation, cells, outcomeOf(investigation, cells, rules), rules).map(
    ({ code }) => code,
  );
};

const thermometer: KitItem = { tag: 'T-1', kind: 'thermometer', model: 'thermometer-1' };
const beaker: KitItem = { tag: 'K-1', kind: 'beaker', model: 'beaker-250' };
const micrometer: KitItem = { tag: 'M-1', kind: 'micrometer', model: 'micrometer-plain' };
const ruler: KitItem = { tag: 'R-1', kind: 'ruler', model: 'ruler-mm' };

describe('a temperature column in another unit', () => {
  const columns = (unit: string) => [
    measured('t', 'Temperature', 't', '°C', 'T-1'),
    derived('T', 'Temperature', 'T', unit, 't', { by: 'student' }),
  ];
  it.each([
    // 23.4 + 273.15 = 296.55: tenths stay, the tie goes up.
    ['K', '296.6'],
    // 23.4 · 1.8 + 32 = 74.12.
    ['°F', '74.1'],
    ['°C', '23.4'],
  ])('in %s: %s', (unit, right) => {
    const made = columns(unit);
    const investigation = book([thermometer], made);
    expect(derivedText(investigation, written(made, ['23.4', null]), 'T')).toBe(right);
    const entries = written(made, ['23.4', right]);
    expect(findings(investigation, entries)).toEqual([]);
    expect(findings(investigation, written(made, ['23.4', '23.5']))).toContain('worked-wrong');
  });

  it('is 296.4 K where the course takes 273', () => {
    const made = columns('K');
    expect(
      derivedText(book([thermometer], made), written(made, ['23.4', null]), 'T', {
        ...bench,
        kelvin: 'rounded',
      }),
    ).toBe('296.4');
  });
});

describe('a whole number where the instrument is known', () => {
  const columns = [
    measured('before', 'Before', 'V₁', 'mL', 'K-1'),
    measured('after', 'After', 'V₂', 'mL', 'K-1'),
    derived('V', 'Rise', 'V', 'mL', 'after - before'),
  ];
  it('goes to the step: 240 − 200 on a scale read to 10 mL is 4 tens', () => {
    const investigation = book([beaker], columns);
    expect(derivedText(investigation, written(columns, ['200', '240', null]), 'V')).toBe('4×10¹');
    expect(derivedText(investigation, written(columns, ['200.', '240', null]), 'V')).toBe('4×10¹');
    expect(derivedText(investigation, written(columns, ['200', '200', null]), 'V')).toBe('0');
  });

  it('is good to the ones where ones are read: 60 has two figures', () => {
    const hundred: KitItem = { tag: 'K-1', kind: 'beaker', model: 'beaker-100' };
    expect(derivedText(book([hundred], columns), written(columns, ['20', '60', null]), 'V')).toBe('40.');
  });
});

describe('a reading below zero', () => {
  const columns = [measured('z', 'Zero reading', 'z', 'mm', 'M-1')];
  const investigation = book([micrometer], columns);
  it.each([
    ['-0.02', null],
    ['−0.02', null],
    ['-0.60', /off the scale: M-1 goes from −0.5 to 25 mm/],
    ['25.50', /off the scale/],
  ])('%s of a micrometer with its jaws closed', (text, advice) => {
    const said = adviseOn(text, columns[0]!, investigation, bench);
    if (advice === null) expect(said).toBeNull();
    else expect(said).toMatch(advice);
    expect(findings(investigation, written(columns, [text]))).toEqual(
      advice === null ? [] : ['off-the-scale'],
    );
  });
});

it('reads a cell that names another unit of its quantity', () => {
  const columns = [
    measured('L', 'Length', 'L', 'mm', 'R-1'),
    derived('D', 'Twice', 'D', 'mm', 'L * 2 exact'),
  ];
  const investigation = book([ruler], columns);
  // 7.40 cm is 74.0 mm, and twice that has its three figures.
  expect(derivedText(investigation, written(columns, ['7.40 cm', null]), 'D')).toBe('148');
  expect(adviseOn('7.4 cm', columns[0]!, investigation, bench)).toBe(
    '7.4 cm stops short: R-1 is read to 0.01 cm.',
  );
  expect(findings(investigation, written(columns, ['74.0 mm', null]))).toEqual([]);
  expect(findings(investigation, written(columns, ['12.40 g', null]))).toContain('other-unit');
  expect(derivedText(investigation, written(columns, ['74.0 g', null]), 'D')).toBe('open');
});

describe('a percentage', () => {
  const columns = (formula: string) => [
    measured('a', 'First', 'a', 'mm', 'R-1'),
    measured('b', 'Second', 'b', 'mm', 'R-1'),
    derived('p', 'Difference', 'p', '%', formula),
  ];
  it('is a unit of a column', () => {
    const made = columns('(b - a) / a');
    const investigation = book([ruler], made);
    expect(checkInvestigation(investigation)).toEqual([]);
    // (52.0 − 50.0)/50.0 = 0.040: two figures.
    expect(derivedText(investigation, written(made, ['50.0', '52.0', null]), 'p')).toBe('4.0');
    expect(findings(investigation, written(made, ['50.0', '52.0', null]))).toEqual([]);
  });

  it('is not multiplied by a hundred twice', () => {
    expect(checkInvestigation(book([ruler], columns('(b - a) / a * 100')))).toMatchObject([
      { place: 'tables[0].columns[2].formula', sentence: expect.stringContaining('leave out “× 100”') },
    ]);
    expect(checkInvestigation(book([ruler], columns('(b - a) / a * 100 %')))).toEqual([]);
  });
});

describe('what is said of a worked value', () => {
  const verdictOn = (columns: readonly Column[], row: readonly string[], key: string) => {
    const investigation = book([ruler, beaker], columns);
    const cells = tableOf(written(columns, row));
    const trial = outcomeOf(investigation, cells, bench).trials['t']![0]!;
    const column = columns.find((one) => one.key === key) as DerivedColumn;
    const verdict = checkWorked(
      cells.get(`1/${key}`)!.current.text,
      column,
      besideOf(investigation.tables[0]!, column, trial, (key) => cells.get(`1/${key}`)?.current.text),
      bench,
    );
    return verdict?.outcome === 'wrong' ? verdict.causes.map(({ code }) => code) : verdict?.outcome;
  };
  const student = { by: 'student' } as const;

  it('a diameter for a radius only where a radius is', () => {
    // A radius of 12.0 mm: r² is 144 mm²; with the diameter it would be 576.
    const round = [
      measured('r', 'Radius', 'r', 'mm', 'R-1'),
      derived('A', 'Square on it', 'A', 'mm²', 'r * r', student),
    ];
    expect(verdictOn(round, ['12.0', '576'], 'A')).toEqual(['diameter-for-radius']);
    // Rows that are called r are no radii: four times too much is four times too much.
    const rows = [
      measured('r1', 'Row', 'r', 'mm', 'R-1'),
      derived('A', 'Square on it', 'A', 'mm²', 'r1 * r1', student),
    ];
    expect(verdictOn(rows, ['12.0', '576'], 'A')).toEqual([]);
  });

  it('a quotient upside down is a density only where it is one', () => {
    const ratio = [
      measured('a', 'Long', 'a', 'mm', 'R-1'),
      measured('b', 'Short', 'b', 'mm', 'R-1'),
      derived('q', 'Long to short', 'q', '', 'a / b', student),
    ];
    expect(verdictOn(ratio, ['80.0', '20.0', '0.250'], 'q')).toEqual(['quotient-upside-down']);
  });

  it('a value that follows from an earlier slip', () => {
    const steps = [
      measured('a', 'First', 'a', 'mm', 'R-1'),
      measured('b', 'Second', 'b', 'mm', 'R-1'),
      derived('d', 'Rise', 'd', 'mm', 'b - a', student),
      derived('e', 'Half of it', 'e', 'mm', 'd / 2 exact', student),
    ];
    // 30.0 − 20.0 is 10.0; who wrote 12.0 and then 6.0 has made one slip, not two.
    expect(verdictOn(steps, ['20.0', '30.0', '12.0', '6.00'], 'e')).toEqual(['follows-from-a-slip']);
    expect(verdictOn(steps, ['20.0', '30.0', '12.0', '6.10'], 'e')).not.toEqual(['follows-from-a-slip']);
    expect(verdictOn(steps, ['20.0', '30.0', '10.0', '5.00'], 'e')).toBe('right');
  });
});

it('sets symbols with an index, and words of its sources, as TeX can', () => {
  const columns = [measured('x_', 'x', 'x', 'mm', 'R-1')].map((one) => ({ ...one, key: 'x' }));
  const investigation = book([ruler], columns, {
    results: [
      { kind: 'mean', key: 'm', name: 'Mean', symbol: 'e_b', unit: 'mm', column: 'x', accepted: null },
    ],
  });
  const outcome = outcomeOf(investigation, tableOf(written(columns, ['20.0'], ['21.0'], ['22.0'])), bench);
  const [state] = outcome.results;
  const tex =
    state?.state === 'reckoned' ? resultWorking(state.result, bench).flatMap((step) => step.tex) : [];
  expect(tex.join('\n')).toContain('{e}_{b,i}');
  expect(tex.join('\n')).not.toMatch(/_\w+_|_b_i/);
});
