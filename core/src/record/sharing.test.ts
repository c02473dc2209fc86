import { describe, expect, it } from 'vitest';
import { instrumentOf, modelOf, rulers } from '../instruments';
import { about, mean, metrology, resultOf, value } from '../../test/aCase';
import { rows } from '../../test/entry';
import { halfWidthOf } from './columnKinds';
import type { Investigation, ResultPlan, Table } from './investigation';
import { outcomeOf } from './outcome';
import { derived, measured } from './readyMade/plain';
import { rivetCrate, shackleRing } from './readyMade';
import type { Result } from './result';
import { resultWorking } from './resultWorking';
import { againstAccepted, leanOf } from './causes';
import { agreementOfRoutes, uncertaintyOfDifference } from './routes';
import { tableOf, type Entry } from './table';

// Every ± here is worked out by hand, in standard uncertainties: half-widths over √3.
const [half, third] = [Math.sqrt(2), Math.sqrt(3)];

const toleranceOf = (kind: string, model: string) => Number(modelOf(instrumentOf(kind), model).tolerance);
const repeats = ({ contributions }: Result) => contributions.filter(({ kind }) => kind === 'repeat');

describe('scatter of a formula over means', () => {
  const d = measured('d', 'Diameter', 'd', 'mm', 'R-01');
  const r = derived('r', 'Radius', 'r', 'mm', 'd / 2 exact');
  const entries = (what: Investigation) => rows(what, 'd', '20.00', '21.00', '22.00', '23.00');

  it('counts once, at whatever depth: 2·r has the ± of d', () => {
    // s = √(5/3) = 1.29099; s/√4 = 0.645497.
    const [straight, through] = [value('d', 'mm'), value('2 exact * r', 'mm')].map((plan) => {
      const what = about([d, r], plan);
      return resultOf(what, entries(what));
    }) as [Result, Result];
    for (const result of [straight, through]) {
      expect(repeats(result)).toHaveLength(1);
      expect(repeats(result)[0]).toMatchObject({ degrees: 3 });
      expect(repeats(result)[0]!.contribution).toBeCloseTo(Math.sqrt(5 / 3) / 2, 12);
    }
    expect(through.uncertainty).toBeCloseTo(straight.uncertainty!, 12);
  });

  it('is joint for the columns of one table: what varies together cancels', () => {
    const what = about(
      [measured('m', 'Mass', 'm', 'g', 'E-01'), measured('V', 'Volume', 'V', 'mL', 'C-01')],
      value('m / V', 'g/mL'),
    );
    const result = resultOf(what, rows(what, 'm V', '16.00 20.0', '32.00 40.0', '48.00 60.0'));
    // z = m/V̄ − m̄/V̄²·V is 0 in every row of an exact ratio; each by itself would scatter by 0.23.
    expect(Math.abs(repeats(result)[0]?.contribution ?? 0)).toBeLessThan(1e-12);
    const apart = resultOf(what, rows(what, 'm V', '16.00 20.0', '32.00 44.0', '48.00 56.0'));
    // V̄ = 40, m̄ = 32: z = (m − 32)/40 − 0.02·(V − 40) = 0, −0.08, 0.08 → s = 0.08, over √3.
    expect(repeats(apart)[0]!.contribution).toBeCloseTo(0.08 / third, 12);
    expect(repeats(apart)[0]!.source).toBe('scatter of mass and volume, row by row');
  });

  it('leaves out what differs by plan: 120 rivets from 10, 20, 30, 40 and 50', () => {
    const entries = rows(
      rivetCrate,
      'n tray M',
      '10 5.0 27.5',
      '20 5.0 50.1',
      '30 5.0 72.4',
      '40 5.0 95.0',
      '50 5.0 117.6',
    );
    const crate = resultOf(rivetCrate, entries, 'times');
    // One: 2.25, 2.255, 2.246667, 2.25, 2.252; s = 0.00305869, over √5 = 0.00136789; 120 of them 0.164147.
    expect(repeats(crate)).toHaveLength(1);
    expect(repeats(crate)[0]!.contribution).toBeCloseTo(0.164147, 5);
    // Each instrument acts as one habit, through the mean of 1/n: 120·(1/10 + 1/20 + 1/30 + 1/40 + 1/50)/5 = 5.48.
    const reading = (5.48 * 0.05) / third;
    const tolerance = (5.48 * toleranceOf('electronic-balance', 'electronic-0_1')) / third;
    expect(crate.uncertainty).toBeCloseTo(Math.hypot(0.164147, reading, reading, tolerance), 4);
    expect(crate.value.value.toNumber()).toBeCloseTo(270.088, 3);
  });
});

describe('portions that follow each other', () => {
  const columns = [
    measured('M', 'Mass with portion', 'M', 'g', 'E-01'),
    derived('m', 'Portion', 'm', 'g', 'M - M_before', { rises: true }),
  ];
  // 8.40, 11.60, 10.00: mean 10.00, s = 1.6.
  const texts = ['50.00', '58.40', '70.00', '80.00'];
  const tolerance = toleranceOf('electronic-balance', 'electronic-0_01') / third / 3;

  it('into one receiver: their scatter is real, the tolerance acts once over all of it', () => {
    const what = about(columns, mean('m', 'g'));
    const result = resultOf(what, rows(what, 'M', ...texts));
    expect(result.typeA).toBeCloseTo(1.6 / third, 12);
    expect(result.uncertainty).toBeCloseTo(Math.hypot(1.6 / third, tolerance), 9);
    expect(repeats(result)[0]).toMatchObject({ source: 'scatter of the trials', degrees: 2 });
    expect(resultWorking(result, metrology).map(({ why }) => why)).toContainEqual(
      expect.stringContaining('never both'),
    );
  });

  it('that do not scatter: what their weighings do by themselves is left', () => {
    const what = about(columns, mean('m', 'g'));
    const result = resultOf(what, rows(what, 'M', '50.00', '60.00', '70.00', '80.00'));
    // Only the first and the last weighing are left in the mean: √2·u_w/3.
    expect(result.typeA).toBeCloseTo((half * 0.005) / third / 3, 12);
  });

  it('from mark to mark in one vessel: the inner marks cancel', () => {
    const what = about(columns, mean('m', 'g'), { replicates: 'mark to mark' });
    const result = resultOf(what, rows(what, 'M', ...texts));
    // s/√(n(n + 1)) = 1.6/√12.
    expect(result.typeA).toBeCloseTo(1.6 / Math.sqrt(12), 12);
    expect(result.uncertainty).toBeCloseTo(Math.hypot(1.6 / Math.sqrt(12), tolerance), 9);
  });
});

describe('clocks', () => {
  const columns: Table['columns'] = [
    { kind: 'clock', key: 'start', heading: 'Start', symbol: 't_1' },
    { kind: 'clock', key: 'stop', heading: 'Stop', symbol: 't_2' },
    derived('took', 'Took', 't', 'min', 'stop - start', { rises: true }),
  ];

  it.each([
    ['14:05', '14:47', 42, (half * 0.5) / third],
    ['14:05:00', '14:47:30', 42.5, (half * 0.5) / 60 / third],
    ['23:50', '00:20', 30, (half * 0.5) / third],
  ])('%s to %s: both count from one zero, each look has its own error', (start, stop, minutes, u) => {
    const what = about(columns, mean('took', 'min'));
    const result = resultOf(what, rows(what, 'start stop', `${start} ${stop}`));
    expect(result.value.value.toNumber()).toBeCloseTo(minutes, 12);
    expect(result.uncertainty).toBeCloseTo(u, 12);
  });

  it.each([
    // 45, 45.5 and 45 1/6 minutes, whichever run was earlier.
    [['10:12:00 10:57:00', '10:10:00 10:55:30', '10:40:00 11:25:10'], 45.2222222],
    [['10:40:00 11:25:10', '10:12:00 10:57:00', '10:10:00 10:55:30'], 45.2222222],
    // Through noon, and through midnight with the later one first.
    [['11:50 12:20', '11:30 12:00', '12:40 13:10'], 30],
    [['0:10 0:40', '23:30 0:00', '23:50 0:20'], 30],
    // A row that lies across the zero of the others still takes as long as it took.
    [['9:00 9:30', '8:50 8:40'], (30 + 23 * 60 + 50) / 2],
    // Nothing is empty for half a day: each row by itself is sure all the same.
    [['19:30 20:00', '6:00 6:30', '13:00 13:30'], 30],
  ])('%j: a mean of %d min in any order', (texts, minutes) => {
    const what = about(columns, mean('took', 'min'));
    const result = resultOf(what, rows(what, 'start stop', ...texts));
    expect(result.value.value.toNumber()).toBeCloseTo(minutes, 6);
  });

  it('of two tables do not disturb each other, whichever was used first', () => {
    const pan = (key: string, clocks: [string, string]): Table => ({
      key,
      title: key,
      trials: 1,
      columns: [
        { kind: 'clock', key: clocks[0], heading: 'Start', symbol: 't_1' },
        { kind: 'clock', key: clocks[1], heading: 'Stop', symbol: 't_2' },
        derived(`took_${key}`, 'Took', 't', 'min', `${clocks[1]} - ${clocks[0]}`, { rises: true }),
      ],
    });
    const [first, second] = [pan('a', ['a1', 'a2']), pan('b', ['b1', 'b2'])];
    const one = about(first.columns, mean('took_b', 'min'));
    const what: Investigation = { ...one, tables: [first, second] };
    // 204.9 g to 181.7 g in these 16 minutes would be 1.450 g/min.
    const took = (a: string, b: string) =>
      resultOf(what, [...rows(what, 'a1 a2', a), ...rows(what, 'b1 b2', b)]).value.value.toNumber();
    expect(took('10:30:00 11:02:00', '10:10:00 10:26:00')).toBeCloseTo(16, 9);
    expect(took('10:00:00 10:32:00', '10:10:00 10:26:00')).toBeCloseTo(16, 9);
    expect(took('23:30:00 0:30:00', '10:10:00 10:26:00')).toBeCloseTo(16, 9);
    expect(took('19:30 20:00', '12:10 13:26')).toBeCloseTo(76, 9);
  });

  it('of single looks count from the first of the stretch, in whatever order they are written', () => {
    const what = about([{ kind: 'clock', key: 't', heading: 'Time', symbol: 't' }], mean('t', 'min'));
    // 0, 10 and 20 minutes after 23:50.
    for (const texts of [
      ['23:50', '0:00', '0:10'],
      ['0:10', '23:50', '0:00'],
      ['0:00', '0:10', '23:50'],
    ])
      expect(resultOf(what, rows(what, 't', ...texts)).value.value.toNumber()).toBeCloseTo(10, 9);
  });

  it('do not cancel over the trial before', () => {
    const what = about(
      [
        { kind: 'clock', key: 't', heading: 'Time', symbol: 't' },
        derived('dt', 'Interval', 'Δt', 'min', 't - t_before', { rises: true }),
      ],
      mean('dt', 'min'),
    );
    const result = resultOf(what, rows(what, 't', '14:00', '14:10', '14:20', '14:30'));
    expect(result.typeA).toBeCloseTo((half * 0.5) / third / 3, 12);
  });
});

describe('a line is a function of all its readings', () => {
  const V = measured('V', 'Volume', 'V', 'mL', 'C-01');
  const M = measured('M', 'Mass', 'M', 'g', 'E-01');
  const asked = (gives: 'slope' | 'y', y: string, unit: string): ResultPlan => ({
    kind: 'line',
    key: 'result',
    name: 'Result',
    symbol: 'b',
    unit,
    x: 'V',
    y,
    throughOrigin: false,
    gives,
    ...(gives === 'y' ? { at: '0' } : {}),
    accepted: null,
  });
  const [aV, aM] = [0, 1].map((at) => {
    const what = about([V, M], asked('slope', 'M', 'g/mL'));
    return halfWidthOf(what.tables[0]!.columns[at]!, what, metrology) / third;
  }) as [number, number];
  const [tV, tM] = [
    toleranceOf('graduated-cylinder', 'cylinder-100-1') / third,
    toleranceOf('electronic-balance', 'electronic-0_01') / third,
  ];

  it('its slope feels x as well as y', () => {
    // V = 20, 40, 60: Sxx = 800; M = 50 + 0.8·V without scatter. ∂b/∂M = dx/800, ∂b/∂V = −0.8·dx/800: √Σ = 1/√800.
    const what = about([V, M], asked('slope', 'M', 'g/mL'));
    const result = resultOf(what, rows(what, 'V M', '20.0 66.00', '40.0 82.00', '60.0 98.00'));
    expect(result.value.value.toNumber()).toBeCloseTo(0.8, 12);
    const readings = Math.hypot(aM, 0.8 * aV) / Math.sqrt(800);
    // Between the marks: T·½Σ|dx|/800 = T·0.025.
    const marks = 0.025 * Math.hypot(tM, 0.8 * tV);
    expect(result.uncertainty).toBeCloseTo(Math.hypot(readings, marks), 12);
  });

  it('its scatter holds how it was read, and is never added to it', () => {
    const what = about([V, M], asked('slope', 'M', 'g/mL'));
    const result = resultOf(what, rows(what, 'V M', '20.0 67.00', '40.0 80.00', '60.0 99.00'));
    // About M = 50 + 0.8·V the residuals are 1, −2, 1: s = √6, over √800.
    expect(result.typeA).toBeCloseTo(Math.sqrt(6 / 800), 12);
    // ∂b/∂V = (residual − 0.8·dx)/800 = 17/800, −2/800, −15/800: the marks tilt it by T·17/800.
    expect(result.uncertainty).toBeCloseTo(Math.hypot(Math.sqrt(6 / 800), 0.025 * tM, (17 / 800) * tV), 12);
  });

  it('its height at 0 has the habit of who read it, and the tolerance with it', () => {
    const what = about([V, M], asked('y', 'M', 'g'));
    const result = resultOf(what, rows(what, 'V M', '20.0 66.00', '40.0 82.00', '60.0 98.00'));
    expect(result.value.value.toNumber()).toBeCloseTo(50, 12);
    // ∂h/∂M = 1/3 − 40·dx/800 = 4/3, 1/3, −2/3; by V −0.8 times these. √Σ = √(21)/3; Σc⁺ = 5/3.
    const readings = (Math.sqrt(21) / 3) * Math.hypot(aM, 0.8 * aV);
    const marks = (5 / 3) * Math.hypot(tM, 0.8 * tV);
    expect(result.uncertainty).toBeCloseTo(Math.hypot(readings, marks), 9);
  });

  it('of a difference feels both of its readings', () => {
    const what = about(
      [V, measured('tray', 'Tray', 'm_0', 'g', 'E-01'), M, derived('m', 'Mass of it', 'm', 'g', 'M - tray')],
      asked('slope', 'm', 'g/mL'),
    );
    const result = resultOf(
      what,
      rows(what, 'V tray M', '20.0 50.00 66.00', '40.0 50.00 82.00', '60.0 50.00 98.00'),
    );
    const readings = Math.hypot(aM, aM, 0.8 * aV) / Math.sqrt(800);
    const marks = 0.025 * Math.hypot(2 * tM, 0.8 * tV);
    expect(result.uncertainty).toBeCloseTo(Math.hypot(readings, marks), 12);
  });
});

describe('two routes to one quantity', () => {
  const columns = [
    measured('m', 'Mass', 'm', 'g', 'E-02'),
    measured('V1', 'Volume by one way', 'V_1', 'mL', 'C-01'),
    measured('V2', 'Volume by the other', 'V_2', 'mL', 'C-01'),
  ];
  const route = (key: string, formula: string, quantity?: string): ResultPlan => ({
    ...value(formula, 'g/mL'),
    key,
    ...(quantity ? { quantity } : {}),
  });
  const what = (...results: readonly ResultPlan[]): Investigation => {
    const base = about(columns, value('m', 'g'));
    return {
      ...base,
      // A mass that is doubtful by 6 %, in both of them alike.
      kit: [
        ...base.kit,
        { tag: 'E-02', kind: 'electronic-balance', model: 'electronic-0_01', scalePercent: '6' },
      ],
      results,
    };
  };
  const resultsOf = (investigation: Investigation): Result[] =>
    outcomeOf(
      investigation,
      tableOf(rows(investigation, 'm V1 V2', '40.00 20.0 21.0')),
      metrology,
    ).results.flatMap((state) => (state.state === 'reckoned' ? [state.result] : []));

  it('agree or not by the uncertainty of their difference: what they share hardly enters', () => {
    const both = what(route('one', 'm / V1', 'density'), route('other', 'm / V2', 'density'));
    const [first, other] = resultsOf(both) as [Result, Result];
    // ρ₁ = 2, ρ₂ = 40/21; by the mass 1/V₂ − 1/V₁ = −1/420.
    const [rho1, rho2] = [2, 40 / 21];
    const [aM, aV] = [0, 1].map((at) => halfWidthOf(columns[at]!, both, metrology) / third) as [
      number,
      number,
    ];
    const [tM, tV] = [
      toleranceOf('electronic-balance', 'electronic-0_01') / third,
      toleranceOf('graduated-cylinder', 'cylinder-100-1') / third,
    ];
    const u = Math.hypot(
      ((rho2 - rho1) * 0.06) / third,
      aM / 420,
      tM / 420,
      (rho1 / 20) * aV,
      (rho1 / 20) * tV,
      (rho2 / 21) * aV,
      (rho2 / 21) * tV,
    );
    expect(uncertaintyOfDifference(first, other)).toBeCloseTo(u, 12);
    const [pair] = agreementOfRoutes([first, other]);
    expect(pair!.times).toBeCloseTo((rho1 - rho2) / u, 9);
    // As if independent they would be 0.9 times apart.
    expect((rho1 - rho2) / Math.hypot(first.uncertainty!, other.uncertainty!)).toBeLessThan(1.1);
    expect(pair!.times).toBeGreaterThan(1.5);
  });

  it('are every pair of what is declared the same, and nothing else', () => {
    const three = what(
      route('one', 'm / V1', 'density'),
      route('apart', 'm / (V1 + V2)', 'something else'),
      route('other', 'm / V2', 'density'),
      route('third', 'm / V1', 'density'),
    );
    expect(
      agreementOfRoutes(resultsOf(three)).map(({ first, other }) => [first.plan.key, other.plan.key]),
    ).toEqual([
      ['one', 'other'],
      ['one', 'third'],
      ['other', 'third'],
    ]);
    // Where nobody says that they are the same, a common unit does not either.
    const undeclared = what(route('one', 'm / V1'), route('other', 'm / V2'), route('third', 'm / V1'));
    expect(agreementOfRoutes(resultsOf(undeclared))).toEqual([]);
  });

  it('of the same trials scatter row by row: what moves both alike is no difference', () => {
    const table = about(
      [
        measured('a', 'One', 'a', 'g', 'E-01'),
        measured('b', 'Two', 'b', 'g', 'E-01'),
        derived('x', 'First', 'x', 'g', 'a * 1 exact'),
        derived('y', 'Second', 'y', 'g', 'b * 1 exact'),
      ],
      mean('x', 'g'),
    );
    const two: Investigation = {
      ...table,
      results: [
        { ...mean('x', 'g'), key: 'x', quantity: 'mass' },
        { ...mean('y', 'g'), key: 'y', quantity: 'mass' },
      ],
    };
    const [x, y] = outcomeOf(
      two,
      tableOf(rows(two, 'a b', '10.00 10.10', '12.00 12.10', '14.00 14.10')),
      metrology,
    ).results.flatMap((state) => (state.state === 'reckoned' ? [state.result] : [])) as [Result, Result];
    const [u, t] = [0.005 / third, toleranceOf('electronic-balance', 'electronic-0_01') / third];
    expect(uncertaintyOfDifference(x, y)).toBeCloseTo(Math.hypot(u, u, t, t), 9);
  });
});

it('the lines of a coarse stick are placed far better than it can be read', () => {
  for (const { metric, tolerance } of rulers)
    expect(Number(tolerance) * (metric ? 1 : 25.4)).toBeLessThan(0.6);
});

it('a result that rests on a student’s own work is covered until that is written', () => {
  const columns = shackleRing.tables[0]!.columns.map(({ key }) => key);
  const read = rows(shackleRing, 'mass before after', '62.08 20.0 28.0');
  const state = (entries: readonly Entry[]) =>
    outcomeOf(shackleRing, tableOf(entries), metrology).results[0]!;
  expect(columns).toContain('V');
  expect(state(read)).toMatchObject({
    state: 'open',
    why: expect.stringContaining('Work out your own columns first') as string,
  });
  expect(state([...read, ...rows(shackleRing, 'V', '8.0')]).state).toBe('open');
  expect(state([...read, ...rows(shackleRing, 'V rho', '8.0 7.8')]).state).toBe('reckoned');
});

it('where a result agrees, no cause is said to lie its way; how sure its ± is counts', () => {
  const columns = [measured('m', 'Mass', 'm', 'g', 'E-01'), derived('x', 'Mass', 'x', 'g', 'm * 1 exact')];
  const accepted = (text: string): Investigation =>
    about(columns, { ...mean('x', 'g'), accepted: { value: text, unit: 'g', source: 'a table' } });
  const lean = (text: string, ...masses: string[]) => {
    const what = accepted(text);
    return leanOf(outcomeOf(what, tableOf(rows(what, 'm', ...masses)), metrology), metrology);
  };
  // 10.00, 10.10, 10.20: mean 10.10, s/√3 = 0.0577; t for 2 degrees of freedom is 4.3, so that 0.2 off still agrees.
  expect(lean('9.90', '10.00', '10.10', '10.20')).toBeNull();
  expect(lean('9.50', '10.00', '10.10', '10.20')).toBe('up');
  expect(lean('10.80', '10.00', '10.10', '10.20')).toBe('down');
  // Sixteen trials of about the same spread are surer: 0.2 off no longer agrees.
  expect(
    lean('9.90', ...Array.from({ length: 16 }, (_, at) => (10.1 + ((at % 3) - 1) / 10).toFixed(2))),
  ).toBe('up');
});

it('the mark of a vessel is as good as its maker promises: that belongs to the comparison', () => {
  // 20.00 mL delivered weighs what 19.972 mL do: s/√n = 0.0006; the burette promises ± 0.05, by √3 that is 0.0289.
  const columns = [measured('m', 'Mass', 'm', 'g', 'E-03'), derived('x', 'Volume', 'x', 'g', 'm * 1 exact')];
  const verdict = (tolerance?: string) => {
    const base = about(columns, {
      ...mean('x', 'g'),
      accepted: { value: '20.000', unit: 'g', source: 'the mark', ...(tolerance ? { tolerance } : {}) },
    });
    const what: Investigation = {
      ...base,
      kit: [{ tag: 'E-03', kind: 'electronic-balance', model: 'electronic-0_001' }],
    };
    const result = resultOf(what, rows(what, 'm', '19.971', '19.972', '19.973'));
    return againstAccepted(result, result.percentError!, metrology);
  };
  expect(verdict().verdict).toBe('disagree');
  expect(verdict('0.05').verdict).toBe('agree');
  expect(verdict('0.05').times).toBeCloseTo(0.028 / (0.05 / third), 1);
});
