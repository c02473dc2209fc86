import { describe, expect, it } from 'vitest';
import { entry as written } from '../../test/entry';
import { presetNamed, presets, revise } from '../conventions';
import { adviseOn } from './columnKinds';
import { resultElsewhere } from './elsewhere';
import { type Column, type Investigation } from './investigation';
import { outcomeOf, OutcomeEvaluator } from './outcome';
import { boltPin } from './readyMade';
import { cellKey } from './subject';
import { initials, tableOf, type Entry } from './table';
import { resultWorking } from './resultWorking';

const column = (key: string, heading: string, unit: string, tag: string): Column => ({
  kind: 'measured',
  key,
  heading,
  symbol: key,
  unit,
  tag,
});
const investigation: Investigation = {
  ...boltPin,
  kit: [
    { tag: 'B-01', kind: 'three-beam-balance', model: 'three-beam-600' },
    { tag: 'C-07', kind: 'graduated-cylinder', model: 'cylinder-100-1' },
  ],
  tables: [
    {
      key: 'pin',
      title: 'Trials',
      trials: 3,
      columns: [
        column('mass', 'Mass', 'g', 'B-01'),
        column('before', 'Volume before', 'mL', 'C-07'),
        column('after', 'Volume after', 'mL', 'C-07'),
        {
          kind: 'derived',
          key: 'V',
          heading: 'Volume',
          symbol: 'V',
          unit: 'mL',
          formula: 'after - before',
          by: 'app',
          rises: true,
        },
        {
          kind: 'derived',
          key: 'rho',
          heading: 'Density',
          symbol: 'ρ',
          unit: 'g/cm³',
          formula: 'mass / V',
          by: 'app',
        },
      ],
    },
  ],
  results: [{ ...boltPin.results[0]!, accepted: { value: '8.8', unit: 'g/cm³', source: 'reference piece' } }],
};
const bench = presetNamed('Chemistry bench');
/** What the density of three trials of 84.0 g and 10.0, 10.2 and 9.8 mL moves with mass and volume, row by row. */
const byMass = (1 / 10 + 1 / 10.2 + 1 / 9.8) / 3;
const byVolume = (84 / 10 ** 2 + 84 / 10.2 ** 2 + 84 / 9.8 ** 2) / 3;

const entry = (trial: number, column: string, text: string, rest: Partial<Entry> = {}) =>
  written(trial, column, text, { tag: 'C-07', ...rest });
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

  it('has nobody decide between two who wrote the same', () => {
    const [a, b] = [entry(1, 'mass', '84.0'), entry(1, 'mass', '84.0 ', { reader: 'Bo Aasen' })];
    expect(tableOf([a, b]).get(cellKey(1, 'mass'))).toMatchObject({
      current: a,
      agreed: [b],
      collided: false,
      struck: [],
    });
    // 84.0 and 84.00 are not the same: they claim different digits.
    const c = entry(1, 'mass', '84.00', { reader: 'Cy Oduya' });
    expect(tableOf([a, b, c]).get(cellKey(1, 'mass'))?.collided).toBe(true);
  });
});

const three = [
  // 84.0/10.0, 84.0/10.2, 84.0/9.8 = 8.4, 8.2353, 8.5714: worked by hand below.
  ...row(1, '84.0', '50.0', '60.0'),
  ...row(2, '84.0', '50.0', '60.2'),
  ...row(3, '84.0', '50.0', '59.8'),
];

describe('outcomeOf', () => {
  const of = (entries: readonly Entry[], conventions = bench, what = investigation) =>
    outcomeOf(what, tableOf(entries), conventions);
  const result = (entries: readonly Entry[], conventions = bench, what = investigation) => {
    const [state] = of(entries, conventions, what).results;
    if (state?.state !== 'reckoned') throw new Error(`${state?.state}: ${state?.why}`);
    return state.result;
  };

  it('is empty for an empty book', () => {
    expect(of([])).toMatchObject({ trials: { pin: [] }, results: [{ state: 'open' }], trialsWanted: 3 });
  });

  it('says what a trial still misses, and what it refuses', () => {
    const { trials, results } = of([
      entry(1, 'mass', '84.0'),
      ...row(2, '84.0', '60.0', '50.0'),
      ...row(3, '84..0', '50.0', '60.0'),
    ]);
    expect(trials['pin']?.map(({ derived }) => derived)).toMatchObject([
      { V: { state: 'open', missing: ['Volume after', 'Volume before'] } },
      { V: { state: 'refused', reason: expect.stringContaining('−10') } },
      { V: { state: 'reckoned', text: '10.0' }, rho: { state: 'open', missing: ['Mass'] } },
    ]);
    expect(results).toMatchObject([{ state: 'open' }]);
  });

  it('reaches a result with its uncertainty, percent error and working', () => {
    expect(of(three).trialsWanted).toBe(0);
    const reached = result(three);
    expect(reached).toMatchObject({ n: 3, valueText: '8.4', text: '(8.4 ± 0.7) g/cm³', spreadText: '0.17' });
    expect(of(three).trials['pin']?.map(({ derived }) => derived['rho'])).toMatchObject(
      ['8.40', '8.24', '8.6'].map((text) => ({ text })),
    );
    // Mean 8.402241; deviations −0.002241, −0.166947, 0.169188; s = 0.168079; s/√3 = 0.097040.
    expect(reached.kind === 'mean' && reached.summary.mean.toFixed(6)).toBe('8.402241');
    expect(reached.typeA).toBeCloseTo(0.09704, 5);
    expect(reached.percentError?.text).toBe('−5 %');
    expect(resultWorking(reached, bench).map(({ title }) => title)).toEqual([
      'Mean of the trials',
      'Spread of the trials',
      'Part of the instruments',
      'Both parts together',
      'Rounded',
      'Percent error',
    ]);
  });

  it('carries the instruments once, the glass as a tolerance of the difference', () => {
    // Row by row: c_m the mean of 1/10, 1/10.2 and 1/9.8, c_V that of 84/10², 84/10.2² and 84/9.8²: for the readings 0.05·c_m
    // and 0.5·c_V twice, for balance and glass 0.1·c_m and 0.5·c_V.
    const reached = result(three);
    const sizes = reached.contributions
      .filter(({ kind }) => kind !== 'repeat')
      .map(({ contribution: amount }) => Math.abs(amount));
    expect(sizes.sort().map((size) => size.toFixed(4))).toEqual([
      '0.0050',
      '0.0100',
      '0.4203',
      '0.4203',
      '0.4203',
    ]);
    expect(reached.typeB).toBeCloseTo(Math.sqrt(0.0125 * byMass ** 2 + 0.75 * byVolume ** 2), 10);
  });

  it('lets a zero that stands off vanish from the difference, and stay in the mass', () => {
    const off = (tag: string) => ({
      ...investigation,
      kit: investigation.kit.map((item) =>
        item.tag === tag ? { ...item, offset: '0.4', scalePercent: '1' } : item,
      ),
    });
    const amount = (of: Investigation, source: string) =>
      result(three, bench, of).contributions.find((part) => part.source === source)?.contribution;
    expect(amount(off('C-07'), 'zero of C-07')).toBeCloseTo(0, 12);
    expect(amount(off('B-01'), 'zero of B-01')).toBeCloseTo(0.4 * byMass, 12);
    // A scale that is 1 % too long makes every difference 1 % too large: ρ goes down by 1 %.
    const mean = result(three).value.value.toNumber();
    expect(amount(off('C-07'), 'scale of C-07')).toBeCloseTo(-0.01 * mean, 12);
  });

  it('joins both parts as the class does', () => {
    const { typeB } = result(three);
    const joined = (repeatAndInstrument: 'larger' | 'sum' | 'root-sum-square') =>
      result(three, revise(bench, { repeatAndInstrument })).uncertainty;
    expect(joined('root-sum-square')).toBeCloseTo(Math.hypot(0.09704, typeB), 5);
    expect(joined('sum')).toBeCloseTo(0.09704 + typeB, 5);
    expect(joined('larger')).toBeCloseTo(typeB, 10);
  });

  it('combines by every way: worst case by hand, standard as a rectangle, chance near it', () => {
    // Tenths of a division: (0.01 + 0.1)·c_m and (2·0.1 + 0.5)·c_V.
    expect(result(three, presetNamed('Physics bench')).typeB).toBeCloseTo(0.11 * byMass + 0.7 * byVolume, 10);
    const metrology = result(three, presetNamed('Metrology'));
    expect(metrology.typeB).toBeCloseTo(result(three).typeB / Math.sqrt(3), 10);
    expect(metrology.expanded?.k).toBeGreaterThan(1.95);
    const drawn = result(three, revise(presetNamed('Metrology'), { combining: 'monte-carlo' })).typeB;
    expect(drawn / metrology.typeB).toBeGreaterThan(0.95);
    expect(drawn / metrology.typeB).toBeLessThan(1.1);
    // Corners: the largest is the mean of (84 + 0.15)/(V − 1.5), the smallest that of (84 − 0.15)/(V + 1.5).
    const [largest, smallest] = [
      (84.15 / 8.5 + 84.15 / 8.7 + 84.15 / 8.3) / 3,
      (83.85 / 11.5 + 83.85 / 11.7 + 83.85 / 11.3) / 3,
    ];
    expect(result(three, revise(bench, { combining: 'largest-smallest' })).typeB).toBeCloseTo(
      (largest - smallest) / 2,
      10,
    );
  });

  it('states figures only where the class does', () => {
    expect(result(row(1, '84.0', '50.0', '60.0'), presetNamed('First course'))).toMatchObject({
      text: '8.40 g/cm³',
      plusMinus: null,
    });
  });

  it('leaves an abandoned or excluded trial out, with its reason', () => {
    const entries = [...three, entry(2, '@standing pin', 'excluded', { reason: 'splashed' })];
    const { trials, trialsWanted } = of(entries);
    expect(trials['pin']?.[1]).toMatchObject({ standing: 'excluded', reason: 'splashed' });
    expect(trialsWanted).toBe(1);
    expect(result(entries)).toMatchObject({ n: 2, values: [{ trial: 1 }, { trial: 3 }] });
  });

  it('reckons again only the row that changed', () => {
    const reckoner = new OutcomeEvaluator(investigation, bench);
    const first = reckoner.outcomeOf(tableOf(three)).trials['pin'] ?? [];
    const second =
      reckoner.outcomeOf(tableOf([...three, ...row(4, '84.0', '50.0', '60.1')])).trials['pin'] ?? [];
    expect(second.slice(0, 3).every((trial, at) => trial === first[at])).toBe(true);
    expect(second).toHaveLength(4);
  });

  it('gives the same again for what only a remark was added to, and another for a corrected reading', () => {
    const reckoner = new OutcomeEvaluator(investigation, bench);
    const first = reckoner.outcomeOf(tableOf(three));
    const remark = entry(2, '@remark pin', 'A bubble clung to it.');
    expect(reckoner.outcomeOf(tableOf([...three, remark]))).toBe(first);
    const corrected = [...three, entry(2, 'mass', '85.00', { replaces: three[3]!.id, reason: 'misread' })];
    const second = reckoner.outcomeOf(tableOf(corrected));
    expect(second).toEqual(outcomeOf(investigation, tableOf(corrected), bench));
    expect(second.means['mass']!.value.eq(first.means['mass']!.value)).toBe(false);
  });

  it('suggests an outlier, and never leaves it out by itself', () => {
    const far = [...three, ...row(4, '84.0', '50.0', '60.1'), ...row(5, '84.0', '50.0', '55.0')];
    expect(result(far)).toMatchObject({ n: 5, suspect: { trial: 5 } });
  });

  it('is stated by every ready-made set of house rules from the same readings', () => {
    const [plan] = investigation.results;
    const rows = resultElsewhere(investigation, tableOf(three), plan!.key);
    expect(rows.map(({ preset }) => preset)).toEqual(presets.map(({ preset }) => preset));
    expect(rows).toContainEqual({ preset: 'Chemistry bench', text: '(8.4 ± 0.7) g/cm³' });
    // Figures alone: 8.402 to the tenths of its trials.
    expect(rows).toContainEqual({ preset: 'First course', text: '8.4 g/cm³' });
    expect(resultElsewhere(investigation, tableOf([]), plan!.key)).toEqual([]);
  });

  it('says where the mean of the results and the result of the means part', () => {
    const unlike = [
      ...row(1, '84.00', '50.0', '60.0'),
      ...row(2, '20.00', '50.0', '53.0'),
      ...row(3, '84.00', '50.0', '60.0'),
    ];
    expect(result(unlike)).toMatchObject({ otherAverage: expect.stringMatching(/g\/cm³/) });
    expect(result(three)).toMatchObject({ otherAverage: null });
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
    const advice = adviseOn(text, investigation.tables[0]!.columns[at]!, investigation, bench);
    if (expected === null) expect(advice).toBeNull();
    else expect(advice).toMatch(expected);
  });
});

it('makes initials', () => {
  expect(initials('Ada Lind')).toBe('AL');
  expect(initials(' åse ')).toBe('Å');
});
