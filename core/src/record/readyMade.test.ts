import { describe, expect, it } from 'vitest';
import { presetNamed, presets } from '../conventions';
import { checkInvestigation } from './checkInvestigation';
import { type Investigation } from './investigation';
import { secondLookAt } from './look';
import { combineTypeAandB } from './combination';
import { improvements } from './improve';
import { questionAbout, weakLine, writtenFoot } from './doubts';
import { earlierModel } from './modelVersion';
import { likelyCauses } from './causes';
import { outcomeOf } from './outcome';
import { uncertaintyOfDifference } from './routes';
import type { Result } from './result';
import {
  boltPin,
  deckSleeve,
  evaporatingPan,
  jarInside,
  lampOil,
  oneDrop,
  panBrine,
  readyMade,
  withAnswers,
  rivetCrate,
  shackleRing,
  tallyToken,
  thermometerCheck,
} from './readyMade';
import { halfWidthOf } from './columnKinds';
import { measured } from './readyMade/plain';
import { entry, rows } from '../../test/entry';
import { tableOf, type Entry } from './table';
import { checkMean } from './workedMean';
import { resultWorking } from './resultWorking';
import { trialWorking } from './working';

const bench = presetNamed('Chemistry bench');

const outcome = (what: Investigation, entries: readonly Entry[], conventions = bench) =>
  outcomeOf(what, tableOf(entries), conventions);
const result = (what: Investigation, key: string, entries: readonly Entry[], conventions = bench): Result => {
  const state = outcome(what, entries, conventions).results.find(({ plan }) => plan.key === key);
  if (state?.state !== 'reckoned') throw new Error(`${key}: ${state?.state}, ${state?.why}`);
  return state.result;
};

it.each(readyMade.map((what) => [what.title, what] as const))(
  '%s has a question that can be discussed, with what a good answer says',
  (_, what) => {
    const { questions } = withAnswers(what);
    expect(questions.some(({ answer }) => (answer ?? '').length > 60)).toBe(true);
  },
);

describe('investigations that come with the app', () => {
  it.each(readyMade.map((what) => [what.title, what] as const))(
    '%s can be used, and kept as JSON',
    (_, what) => {
      expect(checkInvestigation(what)).toEqual([]);
      expect(JSON.parse(JSON.stringify(what))).toEqual(what);
      expect(what.steps.some(({ caution }) => caution)).toBe(true);
    },
  );

  it('a sleeve: the octagon less its bore', () => {
    // 2(√2 − 1)·30² − π·6² = 745.584 − 113.097 mm²; × 40 mm = 25.2995 cm³; 222.6 g over it: 8.7986.
    const entries = rows(deckSleeve, 'mass w d h', '222.6 30.00 12.00 40.00');
    expect(result(deckSleeve, 'rho', entries).value.value.toFixed(4)).toBe('8.7986');
    expect(outcome(deckSleeve, entries).trials['sleeve']?.[0]?.derived).toMatchObject({
      r: { text: '6.000' },
      V: { state: 'reckoned' },
    });
  });

  it('oil: the slope does not mind the empty vessel, the trials do', () => {
    // M = 61.20 + 0.80·V without any scatter.
    const entries = [
      ...rows(lampOil, 'empty', '61.20', '61.21', '61.19'),
      ...rows(lampOil, 'V M', '20.0 77.20', '40.0 93.20', '60.0 109.20', '80.0 125.20', '100.0 141.20'),
    ];
    const slope = result(lampOil, 'slope', entries);
    expect(slope.value.value.toNumber()).toBeCloseTo(0.8, 12);
    expect(slope.kind === 'line' && slope.line.intercept).toBeCloseTo(61.2, 10);
    const trials = result(lampOil, 'rho', entries);
    expect(trials.value.value.toNumber()).toBeCloseTo(0.8, 12);
    // The levels rise by plan: a reader’s habit in V acts by the mean of ρ/V, 0.8·(1/20 + 1/40 + 1/60 + 1/80 + 1/100)/5 a mL.
    const habit = halfWidthOf(
      lampOil.tables[1]!.columns.find(({ key }) => key === 'V')!,
      lampOil,
      bench,
    );
    expect(
      Math.abs(trials.contributions.find(({ source }) => source === 'reading volume of oil')!.contribution),
    ).toBeCloseTo(((0.8 * (5 + 2.5 + 5 / 3 + 1.25 + 1)) / 500) * habit, 12);
    // The three weighings of the empty vessel scatter by 0.01/√3, and every trial has it.
    expect(
      trials.contributions.find(({ source }) => source.startsWith('scatter of mass of the empty')),
    ).toMatchObject({
      kind: 'repeat',
      degrees: 2,
    });
  });

  it('oil: each result waits for the trials of its own tables', () => {
    const wanted = (entries: readonly Entry[]) =>
      outcome(lampOil, entries).results.map(({ plan, trialsWanted }) => [plan.key, trialsWanted]);
    const fills = rows(lampOil, 'V M', '20.0 77.20', '40.0 93.20', '60.0 109.20', '80.0 125.20');
    const vessel = rows(lampOil, 'empty', '61.20', '61.21', '61.19');
    // Three weighings of the empty vessel and five fills are wanted; the line goes through the fills alone.
    expect(wanted([])).toEqual([
      ['slope', 5],
      ['rho', 8],
    ]);
    expect(wanted(fills)).toEqual([
      ['slope', 1],
      ['rho', 4],
    ]);
    expect(wanted([...vessel, ...fills])).toEqual([
      ['slope', 1],
      ['rho', 1],
    ]);
  });

  it('brine in portions: a weighing in the middle makes one portion too large and the next too small', () => {
    const even = rows(
      panBrine,
      'R M',
      '0.00 50.00',
      '8.00 59.60',
      '16.00 69.20',
      '24.00 78.80',
      '32.00 88.40',
      '40.00 98.00',
    );
    const brine = result(panBrine, 'rho', even);
    expect(brine).toMatchObject({ kind: 'mean', way: 'one receiver', n: 5 });
    expect(brine.value.value.toFixed(6)).toBe('1.200000');
    // Mean of mᵢ/8 over five: (last − first)/40, so 0.005 g at either end counts as 0.000125 and in the middle not at all; a
    // mark at either end by 1.2/8/5 = 0.03 g/mL each mL. Equal portions do not scatter: the readings are what is left.
    const mark = halfWidthOf(panBrine.tables[0]!.columns[0]!, panBrine, bench);
    expect(brine.typeA).toBeCloseTo(Math.SQRT2 * Math.hypot(0.005 / 40, 0.03 * mark), 12);
    expect(brine.budget.map(({ source }) => source)).toContain('readings that the portions share');
    expect(brine.contributions.filter(({ kind }) => kind === 'reading')).toEqual([]);
  });

  it('a jar: its inside by two routes', () => {
    const entries = [
      ...rows(jarInside, 'd h', '50.00 51.00', '50.00 51.00'),
      ...rows(jarInside, 'dry full', '182.4 282.3'),
    ];
    // π·5²/4·5.1 = 100.138 mL; 99.9 g of water at 0.9982 g/mL: 100.080 mL.
    expect(result(jarInside, 'inner', entries).value.value.toFixed(3)).toBe('100.138');
    expect(result(jarInside, 'water', entries).value.value.toFixed(3)).toBe('100.080');
  });

  it('a formula over means takes water to be as dense as the class does', () => {
    const byTemperature: Investigation = {
      ...jarInside,
      kit: [...jarInside.kit, { tag: 'T-01', kind: 'thermometer', model: 'thermometer-1' }],
      tables: [
        {
          ...jarInside.tables[1]!,
          columns: [
            ...jarInside.tables[1]!.columns.filter(({ kind }) => kind === 'measured'),
            measured('t', 'Temperature', 't', '°C', 'T-01'),
          ],
        },
      ],
      results: [
        {
          kind: 'value',
          key: 'held',
          name: 'Volume held',
          symbol: 'V',
          unit: 'mL',
          formula: 'waterVolume(full − dry; t)',
          accepted: null,
        },
      ],
    };
    expect(checkInvestigation(byTemperature)).toEqual([]);
    const entries = rows(byTemperature, 'dry full t', '182.4 282.3 20.0', '182.4 282.3 20.0');
    const held = (preset: string) =>
      result(byTemperature, 'held', entries, presetNamed(preset)).value.value.toFixed(2);
    // 99.9 g over 1 g/mL, and over 0.998203 g/mL.
    expect([held('First course'), held('Chemistry bench')]).toEqual(['99.90', '100.08']);
  });

  it('a pan: clock times across midnight, and when the line is down to the mark', () => {
    const entries = rows(
      evaporatingPan,
      't depth mass',
      '23:40 30.0 410.0',
      '23:50 29.5 405.0',
      '0:00 29.0 400.0',
      '0:10 28.5 395.0',
      '0:20 28.0 390.0',
    );
    // 0.05 mm a minute: from 30 mm to 12 mm in 360 minutes.
    expect(result(evaporatingPan, 'when', entries).value.value.toNumber()).toBeCloseTo(360, 8);
    expect(result(evaporatingPan, 'sinking', entries).value.value.toNumber()).toBeCloseTo(-0.05, 12);
    expect(result(evaporatingPan, 'drying', entries).value.value.toNumber()).toBeCloseTo(-0.5, 12);
  });

  it('rivets and drops', () => {
    const crate = rows(rivetCrate, 'n tray M', '10 40.0 72.0', '20 40.0 104.0', '30 40.0 136.0');
    expect(result(rivetCrate, 'crate', crate).value.value.toNumber()).toBeCloseTo(384, 9);
    expect(result(rivetCrate, 'times', crate).value.value.toNumber()).toBeCloseTo(384, 9);
    const drops = rows(oneDrop, 'before n after', '2.00 80 6.00', '2.00 84 6.00');
    // 4/80 = 0.05, 4/84 = 0.047619: their mean.
    expect(result(oneDrop, 'drop', drops).value.value.toFixed(6)).toBe('0.048810');
  });

  it('a token: a zero error of the caliper shifts all three lengths together', () => {
    const entries = rows(tallyToken, 'mass L W H', '33.60 60.00 40.00 5.00', '33.60 60.00 40.00 5.00');
    const { contributions, value } = result(tallyToken, 'rho', entries);
    expect(value.value.toNumber()).toBeCloseTo(2.8, 12);
    // ρ·0.05·(1/60 + 1/40 + 1/5).
    expect(
      Math.abs(contributions.find(({ source }) => source === 'zero of V-01')?.contribution ?? 0),
    ).toBeCloseTo(2.8 * 0.05 * (1 / 60 + 1 / 40 + 1 / 5), 10);
  });

  it.each(presets.map((preset) => [preset.preset, preset] as const))(
    'has a result and a working under %s',
    (_, preset) => {
      const entries = rows(
        boltPin,
        'mass before after',
        '214.6 50.0 74.5',
        '214.5 48.0 72.4',
        '214.7 51.0 75.5',
      );
      const reached = result(boltPin, 'rho', entries, preset);
      expect(reached.text).toMatch(/8\.\d.* g\/cm³/);
      expect(resultWorking(reached, preset).length).toBeGreaterThan(1);
      const [trial] = outcome(boltPin, entries, preset).trials['pin'] ?? [];
      expect(trialWorking(boltPin, trial!, preset).map(({ title }) => title)).toEqual([
        'Trial 1: volume',
        'Trial 1: density',
      ]);
    },
  );
});

describe('a second look at a logbook', () => {
  const look = (what: Investigation, entries: readonly Entry[]) =>
    secondLookAt(what, tableOf(entries), outcome(what, entries), bench).map(({ code, place }) => [
      code,
      place.trial,
      place.column,
    ]);
  const clean = rows(boltPin, 'mass before after', '214.6 50.0 74.5', '214.5 48.0 72.4', '214.7 51.0 75.5');

  it('finds nothing in a careful one', () => {
    expect(look(boltPin, clean)).toEqual([]);
  });

  it.each([
    ['uneven-decimals', 1, 'before', '50'],
    ['finer-than-instrument', 1, 'mass', '214.61'],
    ['off-the-scale', 1, 'after', '104.0'],
    ['wrong-direction', 1, 'after', '49.0'],
  ])('finds %s', (code, trial, column, text) => {
    const entries = clean.map((own) =>
      own.kind === 'reading' && own.trial === trial && own.column === column ? { ...own, text } : own,
    );
    expect(look(boltPin, entries).map(([found]) => found)).toContain(code);
  });

  it('finds another balance, copied values and an outlier', () => {
    const other = clean.map((own, at) => (at === 0 ? { ...own, tag: 'B-09' } : own));
    expect(look(boltPin, other)).toEqual([['other-balance', 1, 'mass']]);
    const copied = rows(
      boltPin,
      'mass before after',
      '214.6 50.0 74.5',
      '214.5 50.0 74.4',
      '214.7 50.0 74.6',
      '214.6 50.0 74.5',
    );
    expect(look(boltPin, copied)).toEqual([['looks-copied', 4, 'before']]);
    const far = rows(
      boltPin,
      'mass before after',
      '214.6 50.0 74.5',
      '214.5 48.0 72.4',
      '214.7 51.0 75.5',
      '214.6 50.2 70.3',
      '214.6 49.0 73.5',
    );
    expect(look(boltPin, far)).toEqual([['outlier', 4, 'rho']]);
  });

  it('re-does what a student worked', () => {
    const readings = rows(
      shackleRing,
      'mass before after V rho',
      '62.48 21.4 29.3 7.9 7.9',
      '62.48 20.0 28.0 8.0 7.81',
      '62.47 21.0 28.9 7.9 0.13',
    );
    expect(look(shackleRing, readings)).toEqual([
      ['worked-wrong', 2, 'rho'],
      ['worked-wrong', 3, 'rho'],
    ]);
    const sentences = secondLookAt(shackleRing, tableOf(readings), outcome(shackleRing, readings), bench).map(
      ({ sentence }) => sentence,
    );
    expect(sentences[0]).toMatch(/more figures than the data justify/);
    expect(sentences[1]).toMatch(/upside down/);
  });

  it('checks the mean that a student worked, over the trials that count', () => {
    const readings = [
      ...rows(
        shackleRing,
        'mass before after V rho',
        '62.48 21.4 29.3 7.9 7.9',
        '62.48 20.0 28.0 8.0 7.8',
        '62.47 21.0 28.9 7.9 7.9',
        '62.47 21.0 30.9 9.9 6.3',
      ),
      entry(4, '@standing ring', 'excluded', { reason: 'a bubble' }),
    ];
    const table = shackleRing.tables[0]!.key;
    const excluded = readings.map((own) => (own.kind === 'standing' ? { ...own, table } : own));
    const { means, trials } = outcome(shackleRing, excluded);
    const column = shackleRing.tables[0]!.columns.find(({ key }) => key === 'rho')!;
    const check = (text: string) =>
      column.kind === 'derived' ? checkMean(text, column, means['rho'], trials[table] ?? [], bench) : null;
    // 7.90886, 7.81 and 7.90759 make 7.87549; with the fourth, 6.31010, they make 7.48414.
    expect(check('7.9')).toMatchObject({ outcome: 'right' });
    expect(check('7.9 g/cm³')).toMatchObject({ outcome: 'right' });
    for (const [text, code] of [
      ['7.5', 'mean-holds-excluded'],
      ['23.6', 'sum-not-divided'],
    ] as const)
      expect(check(text)).toMatchObject({ outcome: 'wrong', causes: [{ code }] });
    expect(check('6.2')).toMatchObject({ outcome: 'wrong', causes: [] });
    expect(check('seven')).toMatchObject({ outcome: 'unreadable' });
    expect(look(shackleRing, [...excluded, entry(0, '@mean rho', '7.5')])).toEqual([
      ['mean-contradicted', 'mean', 'rho'],
    ]);
    expect(look(shackleRing, [...excluded, entry(0, '@mean rho', '7.9')])).toEqual([]);
  });

  it.each([
    ['No, it sinks.', true],
    ['It does not float.', true],
    ['It doesn’t float', true],
    ['Yes', false],
    ['It floats, and 0.80 says so.', false],
    ['No idea. It floats?', false],
    ['', false],
  ])('holds a density against what floated: “%s”', (answer, contradicts) => {
    const entries = [
      ...rows(lampOil, 'empty', '61.20'),
      ...rows(lampOil, 'V M', '20.0 77.20', '40.0 93.20', '60.0 109.20'),
      ...(answer === '' ? [] : [entry(0, '@answer float', answer)]),
    ];
    expect(look(lampOil, entries).some(([code]) => code === 'contradicts-floating')).toBe(contradicts);
    // Whatever unit the class wants it in.
    const inKilograms: Investigation = {
      ...lampOil,
      results: lampOil.results.map((plan) => ({ ...plan, unit: 'kg/m³', accepted: null })),
    };
    expect(look(inKilograms, entries).some(([code]) => code === 'contradicts-floating')).toBe(contradicts);
  });

  it('holds it against the liquid that is asked about', () => {
    // 0.80 g/cm³: it floats on water, and sinks in spirit of 0.70.
    const inSpirit: Investigation = {
      ...lampOil,
      questions: [
        { key: 'f', when: 'after', kind: 'floats', text: '?', liquid: { name: 'spirit', density: '0.70' } },
      ],
    };
    const entries = [
      ...rows(lampOil, 'empty', '61.20'),
      ...rows(lampOil, 'V M', '20.0 77.20', '40.0 93.20', '60.0 109.20'),
    ];
    const says = (answer: string) =>
      look(inSpirit, [...entries, entry(0, '@answer f', answer)]).map(([code]) => code);
    expect(says('It floats')).toContain('contradicts-floating');
    expect(says('It sinks')).not.toContain('contradicts-floating');
  });
});

describe('a second look at how fine and how rounded', () => {
  it('finds a reading that is finer than the glass deserves, by the step of the class', () => {
    const coarse = { ...bench, overrides: [{ kind: 'burette' as const, step: '0.05' }] };
    const readings = rows(panBrine, 'R M', '0.00 61.20', '10.05 73.26', '20.03 85.30');
    const found = (conventions: typeof bench) =>
      secondLookAt(panBrine, tableOf(readings), outcome(panBrine, readings, conventions), conventions).filter(
        ({ code }) => code === 'finer-than-glass',
      );
    expect(found(coarse)).toMatchObject([{ place: { trial: 3, column: 'R' }, sure: 'likely' }]);
    expect(found(coarse)[0]?.sentence).toContain('20.03 is finer than U-01 deserves: it is read to 0.05 mL');
    expect(found(bench)).toEqual([]);
  });

  it('finds a percent error that was taken from the rounded result, and lets the unrounded stand', () => {
    const clean = rows(boltPin, 'mass before after', '214.6 50.0 74.5', '214.5 48.0 72.4', '214.7 51.0 75.5');
    const told = (answer: string) => {
      const entries = [...clean, entry(0, '@answer alloy', answer)];
      return secondLookAt(boltPin, tableOf(entries), outcome(boltPin, entries), bench).map(
        ({ code, sentence }) => `${code}: ${sentence}`,
      );
    };
    // 8.75918, 8.79098 and 8.76327 make 8.77114: 0.328 % below 8.80. The rounded 8.77 lies 0.341 % below.
    expect(result(boltPin, 'rho', clean).valueText).toBe('8.77');
    expect(told('Bronze: we are only 0.34 % off.')).toEqual([
      'percent-from-rounded: 0.34 % is what the rounded 8.77 gives; with all its digits the percent error is 0.33 %.',
    ]);
    for (const right of ['Bronze, 0.3 % below.', 'Bronze, 0,33% below.', 'Nearly 0 %.', '5 % tin', 'Bronze.'])
      expect(told(right)).toEqual([]);
  });
});

it('a line and a mean of the same readings are compared reading by reading', () => {
  const entries = rows(
    rivetCrate,
    'n tray M',
    '10 85.2 107.7',
    '20 85.2 130.2',
    '30 85.2 152.8',
    '40 85.2 175.2',
    '50 85.2 197.7',
  );
  // c₁ = 120n/5500 of the line, c₂ = 24/n of the mean; s = 0.0457287 about the line: s·√Σ(c₁ − c₂)² = 0.045729·2.410854.
  // Habits of both weighings 0.05·(5.48 − 3.272727), the balance 0.1 times as much.
  const apart = 5.48 - 3.2727272727;
  const by = Math.hypot(0.0457287 * 2.4108543, 0.05 * apart, 0.05 * apart, 0.1 * apart);
  expect(
    uncertaintyOfDifference(result(rivetCrate, 'crate', entries), result(rivetCrate, 'times', entries)),
  ).toBeCloseTo(by, 5);
});

describe('what to improve', () => {
  it('reckons each change anew, best first: more of it and a finer cylinder help, more trials hardly do', () => {
    const entries = rows(boltPin, 'mass before after', '84.0 10.0 20.0', '84.0 10.0 20.2', '84.0 10.0 19.8');
    const told = improvements(boltPin, tableOf(entries), bench, result(boltPin, 'rho', entries));
    expect(told.some(({ what }) => /cylinder/i.test(what))).toBe(true);
    expect(told[0]!.times).toBeGreaterThan(1.05);
    // Twice as much: everything that is read counts half, and the three trials scatter as they do.
    const { typeA, typeB } = result(boltPin, 'rho', entries);
    expect(told.find(({ what }) => what.startsWith('Twice as much'))!.uncertainty).toBeCloseTo(
      combineTypeAandB(typeA ?? 0, typeB / 2, bench),
      12,
    );
    // Three more trials make it hardly more certain: what changes nothing that is written is not told.
    for (const { times } of told) expect(times).toBeGreaterThan(1.05);
    expect([...told].sort((a, b) => a.uncertainty - b.uncertainty)).toEqual(told);
  });
});

describe('what else would improve it', () => {
  const side = 'mass L W H';
  const token = rows(tallyToken, side, ...Array.from({ length: 4 }, () => '45.36 60.00 45.00 6.00'));

  it('checks a zero: without its ± 0.05 mm, which acts on all three lengths at once', () => {
    const now = result(tallyToken, 'rho', token);
    const [checked] = improvements(tallyToken, tableOf(token), bench, now).filter(({ what }) =>
      what.startsWith('The zero of V-01'),
    );
    // ρ moves with all lengths at once by ρ·(1/60 + 1/45 + 1/6)·0.05.
    const zero = 2.8 * (1 / 60 + 1 / 45 + 1 / 6) * 0.05;
    expect(checked!.uncertainty).toBeCloseTo(Math.sqrt(now.uncertainty! ** 2 - zero ** 2), 10);
  });

  it('weighs the vessel: 0.01 mL of the balance in place of 0.5 mL of the maker', () => {
    const water = rows(tallyToken, 'before after', ...Array.from({ length: 3 }, () => '20.3 36.5'));
    const now = result(tallyToken, 'rhoWater', [...token, ...water]);
    const [weighed] = improvements(tallyToken, tableOf([...token, ...water]), bench, now).filter(({ what }) =>
      what.startsWith('What C-04 holds'),
    );
    const by = (2.8 / 16.2) * 0.5;
    expect(weighed!.uncertainty).toBeCloseTo(Math.sqrt(now.uncertainty! ** 2 - by ** 2 + (by / 50) ** 2), 10);
  });

  it('names a narrower cylinder where only the rise has to fit', () => {
    const entries = rows(boltPin, 'mass before after', '84.0 60.0 70.0', '84.0 60.0 70.2', '84.0 60.0 69.8');
    const told = improvements(boltPin, tableOf(entries), bench, result(boltPin, 'rho', entries));
    expect(told.map(({ what }) => what).join()).toMatch(/25 mL.* in place of C-07/);
  });
});

describe('a result that cannot well be', () => {
  const asked = (...texts: string[]) =>
    questionAbout(result(boltPin, 'rho', rows(boltPin, 'mass before after', ...texts)));

  it('is asked about before it is stated', () => {
    // 176 g in 20.0 mL is 8.80; in 2.0 mL 88, denser than any metal; 17.6 g make a tenth, 8 g less than a third.
    expect(asked('176.0 50.0 70.0')).toBeNull();
    expect(asked('176.0 50.0 52.0')).toMatch(/denser than any metal/);
    expect(asked('17.6 50.0 70.0')).toMatch(/1\/10 of what was expected. Is a decimal point misplaced/);
    expect(asked('8.0 50.0 53.0')).toMatch(/1\/3.3 of what was expected. Which unit/);
    expect(asked('8.4 50.0 50.8')).toMatch(/Its ± is as large/);
  });

  it('is not asked about where it is a difference that may be nothing', () => {
    // 0.3 and 0.4 °C too much in ice, read to half a degree: 0.35 ± 1.1.
    const ice = result(thermometerCheck, 'off.ice', rows(thermometerCheck, 'shown', '0.3', '0.4'));
    expect(ice.uncertainty!).toBeGreaterThan(ice.value.value.toNumber());
    expect(questionAbout(ice)).toBeNull();
  });

  it('says of a line through three points that its 95 % is weak', () => {
    const at = (...texts: string[]) => result(lampOil, 'slope', rows(lampOil, 'V M', ...texts));
    expect(weakLine(at('20.0 104.4', '40.0 120.5', '60.0 136.4'))).toMatch(/3 points leave one degree/);
    expect(weakLine(at('20.0 104.4', '40.0 120.5', '60.0 136.4', '80.0 152.4'))).toBeNull();
  });

  it('has the digits of its ± under its column too', () => {
    const entries = rows(boltPin, 'mass before after', '176.0 50.0 70.0', '176.2 50.0 70.2');
    const found = outcome(boltPin, entries);
    const column = boltPin.tables[0]!.columns.find(({ key }) => key === 'rho')!;
    const { plusMinus } = result(boltPin, 'rho', entries);
    expect(writtenFoot(column, found, bench)).toBe(plusMinus!.value);
    expect(writtenFoot(boltPin.tables[0]!.columns[0]!, found, bench)).toBe('176.1');
  });
});

it('a logbook that was begun under an earlier reckoning says so, a new one does not', () => {
  expect(earlierModel([{ writtenAt: '2026-12-02T09:10:00Z' }])).toBeNull();
  expect(
    earlierModel([{ writtenAt: '2026-12-02T09:10:00Z' }, { writtenAt: '2026-03-02T09:10:00Z' }]),
  ).toMatch(/by version 1/);
});

describe('likely causes', () => {
  it('puts first what a finding or the direction speaks for', () => {
    const told = likelyCauses(boltPin.causes, new Set(['outlier']), 'up');
    expect(told[0]?.cause.findings).toContain('outlier');
    expect(told.find(({ cause }) => cause.code === 'wet-when-weighed')?.why).toMatch(/push the result up/);
    expect(told.map(({ cause }) => cause.code).sort()).toEqual([...boltPin.causes].sort());
  });
});

describe('checkInvestigation', () => {
  const [table] = boltPin.tables;
  const withColumn = (at: number, part: object): Investigation => ({
    ...boltPin,
    tables: [
      {
        ...table!,
        columns: table!.columns.map((column, nth) =>
          nth === at ? ({ ...column, ...part } as typeof column) : column,
        ),
      },
    ],
  });
  it.each([
    [
      'an unknown name',
      withColumn(4, { formula: 'mass / volume' }),
      'tables[0].columns[4].formula',
      /“volume” is not the name/,
    ],
    [
      'a formula that is none',
      withColumn(4, { formula: 'mass / ' }),
      'tables[0].columns[4].formula',
      /missing at the end/,
    ],
    [
      'a column that comes later',
      withColumn(3, { formula: 'rho * before' }),
      'tables[0].columns[3].formula',
      /stands after/,
    ],
    ['itself', withColumn(4, { formula: 'rho * 2!' }), 'tables[0].columns[4].formula', /stands after/],
    [
      'a unit that does not come out',
      withColumn(4, { unit: 'g' }),
      'tables[0].columns[4].unit',
      /gives g\/mL, not g/,
    ],
    ['a unit that is none', withColumn(4, { unit: 'furlong' }), 'tables[0].columns[4].unit', /furlong/],
    ['a tag that is not in the kit', withColumn(0, { tag: 'B-99' }), 'tables[0].columns[0].tag', /B-99/],
    [
      'a unit that its instrument has not',
      withColumn(0, { unit: 'mL' }),
      'tables[0].columns[0].unit',
      /read in g/,
    ],
    ['a name with a gap', withColumn(0, { key: 'the mass' }), 'tables[0].columns[0].key', /cannot be a name/],
    ['a name that is taken', withColumn(0, { key: 'before' }), 'tables[0].columns[1].key', /Two columns/],
    [
      'an unknown make',
      { ...boltPin, kit: [{ ...boltPin.kit[0]!, model: 'x' }, boltPin.kit[1]!] },
      'kit[0].model',
      /called “x”/,
    ],
    [
      'a result of no column',
      { ...boltPin, results: [{ ...boltPin.results[0]!, column: 'x' } as never] },
      'results[0].column',
      /no column “x”/,
    ],
    [
      'an accepted value in another unit',
      {
        ...boltPin,
        results: [{ ...boltPin.results[0]!, accepted: { value: '8800', unit: 'kg/m³', source: '' } }],
      },
      'results[0].accepted.unit',
      /kg\/m³/,
    ],
    ['an unknown cause', { ...boltPin, causes: ['ghost'] }, 'causes[0]', /ghost/],
    [
      'a prediction of nothing',
      { ...boltPin, predictions: [{ key: 'p', text: '', unit: '', result: 'x' }] },
      'predictions[0].result',
      /no result/,
    ],
  ] as const)('tells %s with its place', (_, what, place, sentence) => {
    const problems = checkInvestigation(what as Investigation);
    expect(problems.find((problem) => problem.place === place)?.sentence).toMatch(sentence);
  });
  it('takes a formula with water in it, however many names come before', () => {
    const { columns, key } = boltPin.tables[0]!;
    const more = ['p', 'q', 'r', 's'].map((name) => ({ ...columns[0]!, key: name }));
    const warm = { ...columns[0]!, key: 'warm', kind: 'count', unit: '°C' } as (typeof columns)[0];
    const last = {
      ...columns[4]!,
      key: 'last',
      formula: '(p + q + r + s + mass) / water(warm)',
      unit: 'cm³',
    };
    const investigation = {
      ...boltPin,
      tables: [{ ...boltPin.tables[0]!, key, columns: [...columns, ...more, warm, last as typeof warm] }],
    };
    expect(checkInvestigation(investigation)).toEqual([]);
  });
});
