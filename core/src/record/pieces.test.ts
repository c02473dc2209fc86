import { describe, expect, it } from 'vitest';
import { mean, metrology, resultOf } from '../../test/aCase';
import { entry, rows } from '../../test/entry';
import { presetNamed } from '../conventions';
import { checkPiece, type Piece } from '../stock';
import type { Investigation, MeasuredColumn } from './investigation';
import { secondLookAt } from './look';
import { outcomeOf } from './outcome';
import { asCorrection, changedBy, correctedText, piecesFound } from './pieceFound';
import { pieceFrom, pieceText, withPieces } from './pieces';
import { glasswareThreeWays, thermometerCheck } from './readyMade';
import { measured, plain } from './readyMade/plain';
import { tableOf, type Entry } from './table';

const bench = presetNamed('Chemistry bench');

// Every ± here is worked out by hand, in standard uncertainties: half-widths over √3.
const root3 = Math.sqrt(3);

const found = { plusMinus: '0.05', on: '2026-10-12', by: 'Mr Teal' };
type Stocked = Pick<Piece, 'tag' | 'kind' | 'model' | 'certified' | 'correction'>;
const caliper = (tag: string, error: string): Stocked => ({
  tag,
  kind: 'vernier-caliper',
  model: 'vernier-20-39',
  certified: null,
  correction: { kind: 'zero', error, ...found },
});
const pin: Investigation = {
  ...plain,
  title: 'A pin',
  aim: '',
  object: '',
  kit: [
    { tag: 'V-01', kind: 'vernier-caliper', model: 'vernier-20-39', offset: '0.05' },
    { tag: 'T-01', kind: 'thermometer', model: 'thermometer-1' },
  ],
  steps: [],
  tables: [
    {
      key: 'pin',
      title: 'Pin',
      trials: 2,
      columns: [
        measured('d', 'Diameter', 'd', 'mm', 'V-01'),
        measured('t', 'Temperature', 't', '°C', 'T-01'),
      ],
    },
  ],
  results: [mean('d', 'mm')],
};

const taken = (role: string, piece: Stocked, corrected: boolean) =>
  entry(0, `@piece ${piece.tag}`, pieceText({ role, piece, corrected }));

const reading = (trial: number, text: string, tag: string) => entry(trial, 'd', text, { tag });

describe('a piece of the stockroom in a logbook', () => {
  it('has its own zero taken away: two of one kind give one right result', () => {
    // 20.10 on a caliper that shows 0.10 too much, 19.85 on one that shows 0.15 too little: 20.00 both.
    const result = resultOf(pin, [
      taken('V-01', caliper('V-11', '0.10'), true),
      taken('V-01', caliper('V-12', '-0.15'), true),
      reading(1, '20.10', 'V-11'),
      reading(2, '19.85', 'V-12'),
    ]);
    expect(result.value.value.toNumber()).toBe(20);
    // Each weighs half: reading 0.05, correction 0.05 and tolerance 0.05 of either, all independent: √6 · 0.05/√3 / 2.
    expect(result.typeB).toBeCloseTo((Math.sqrt(6) * 0.05) / root3 / 2, 12);
    expect(result.contributions.map(({ source }) => source)).toEqual(
      expect.arrayContaining([
        'correction of V-11',
        'correction of V-12',
        'tolerance of V-11, diameter',
        'tolerance of V-12, diameter',
      ]),
    );
  });

  it('stays as it was shown until its correction is taken, and may be off by so much', () => {
    const result = resultOf(pin, [
      taken('V-01', caliper('V-11', '0.10'), false),
      reading(1, '20.10', 'V-11'),
      reading(2, '20.10', 'V-11'),
    ]);
    expect(result.value.value.toNumber()).toBe(20.1);
    // Its zero may be off by 0.10 + 0.05; reading and tolerance 0.05 each.
    expect(result.typeB).toBeCloseTo(Math.hypot(0.15, 0.05, 0.05) / root3, 12);
  });

  it('stands beside the plan’s own, each with its own ±', () => {
    const result = resultOf(pin, [
      taken('V-01', caliper('V-11', '0.10'), true),
      reading(1, '20.00', 'V-01'),
      reading(2, '20.10', 'V-11'),
    ]);
    expect(result.value.value.toNumber()).toBe(20);
    expect(result.typeB).toBeCloseTo((Math.sqrt(6) * 0.05) / root3 / 2, 12);
  });

  it('is read as finely and as far as its own make', () => {
    const micrometer: Stocked = {
      tag: 'V-30',
      kind: 'vernier-caliper',
      model: 'vernier-50-49',
      certified: { plusMinus: '0.01', source: 'certificate 7' },
      correction: null,
    };
    const result = resultOf(pin, [
      taken('V-01', micrometer, false),
      reading(1, '20.02', 'V-30'),
      reading(2, '20.04', 'V-30'),
    ]);
    expect(result.value.lastPlace).toBe(-2);
    // d = 0.02: reading ±0.02; the certificate’s ±0.01; the plan’s word on a zero that was not checked, 0.05.
    expect(result.typeB).toBeCloseTo(Math.hypot(0.02, 0.01, 0.05) / root3, 12);
  });

  it('is put right along its scale, for which its maker’s tolerance does not count any more', () => {
    const thermometer: Stocked = {
      tag: 'T-11',
      kind: 'thermometer',
      model: 'thermometer-1',
      certified: null,
      correction: {
        kind: 'points',
        points: [
          { at: '0.4', add: '-0.4' },
          { at: '98.9', add: '0.7' },
        ],
        ...found,
        plusMinus: '0.3',
      },
    };
    const result = resultOf({ ...pin, results: [mean('t', '°C')] }, [
      taken('T-01', thermometer, true),
      ...['49.6', '49.7'].map((text, at) => entry(at + 1, 't', text, { tag: 'T-11' })),
    ]);
    // Half-way between the points 0.15 is added.
    expect(result.value.value.toNumber()).toBeCloseTo(49.65 + 0.15, 12);
    const others = result.contributions.filter(({ kind }) => kind !== 'repeat' && kind !== 'reading');
    expect(others.filter(({ contribution }) => contribution > 0)).toEqual([
      expect.objectContaining({ source: 'correction of T-11' }),
    ]);
    expect(others[0]?.contribution).toBeCloseTo(0.3 / root3, 12);
  });

  it('leaves a logbook without any as it was', () => {
    const cells = tableOf(rows(pin, 'd', '20.00', '20.05'));
    expect(withPieces(pin, cells)).toBe(pin);
  });

  it('gives the same kit as long as nothing changes', () => {
    const first = tableOf([taken('V-01', caliper('V-11', '0.10'), true)]);
    const then = tableOf([taken('V-01', caliper('V-11', '0.10'), true), reading(1, '20.10', 'V-11')]);
    expect(withPieces(pin, then)).toBe(withPieces(pin, first));
    const changed = tableOf([taken('V-01', caliper('V-11', '0.10'), false)]);
    expect(withPieces(pin, changed)).not.toBe(withPieces(pin, first));
  });

  it('comes back from its text, and is nothing where that cannot be read', () => {
    const own = { role: 'V-01', piece: caliper('V-11', '0.10'), corrected: true };
    expect(pieceFrom(pieceText(own))).toEqual(own);
    for (const text of ['', '{', 'null', '3', '{"role":1}', '{"role":"a"}'])
      expect(pieceFrom(text)).toBeNull();
  });
});

describe('the second look at pieces', () => {
  const findings = (entries: readonly Entry[]) => {
    const cells = tableOf(entries);
    const own = withPieces(difference, cells);
    return secondLookAt(own, cells, outcomeOf(own, cells, metrology), metrology)
      .filter(({ code }) => code === 'other-balance')
      .map(({ sentence }) => sentence);
  };
  const difference: Investigation = {
    ...pin,
    tables: [
      {
        key: 'pin',
        title: 'Pin',
        trials: 1,
        columns: [
          measured('near', 'Near end', 'x_1', 'mm', 'V-01'),
          measured('far', 'Far end', 'x_2', 'mm', 'V-01'),
        ],
      },
    ],
    results: [],
  };
  const piece = taken('V-01', caliper('V-11', '0.10'), true);

  it('has nothing to say of a row that is wholly on another piece', () => {
    expect(
      findings([piece, entry(1, 'near', '1.00', { tag: 'V-11' }), entry(1, 'far', '9.00', { tag: 'V-11' })]),
    ).toEqual([]);
  });

  it('tells of two pieces in one row', () => {
    expect(
      findings([piece, entry(1, 'near', '1.00', { tag: 'V-01' }), entry(1, 'far', '9.00', { tag: 'V-11' })]),
    ).toEqual(['It was read on V-11, the others on V-01: an offset no longer cancels.']);
  });
});

describe('a reading on another piece than the plan’s', () => {
  const poured: Investigation = {
    ...pin,
    kit: [
      { tag: 'C-05', kind: 'graduated-cylinder', model: 'cylinder-50-1' },
      { tag: 'C-10', kind: 'graduated-cylinder', model: 'cylinder-100-1' },
      { tag: 'C-02', kind: 'graduated-cylinder', model: 'cylinder-25-0_5' },
    ],
    tables: [
      {
        key: 'pour',
        title: 'Pour',
        trials: 3,
        columns: [
          { ...(measured('v', 'Volume', 'V', 'mL', 'C-05') as MeasuredColumn), planned: '20.0' },
          measured('w', 'More', 'W', 'mL', 'C-05'),
        ],
      },
    ],
    results: [],
  };
  const look = (...entries: Entry[]) => {
    const cells = tableOf(entries);
    return secondLookAt(poured, cells, outcomeOf(poured, cells, bench), bench).map(
      ({ code, place }) => `${place.trial} ${place.column} ${code}`,
    );
  };
  const v = (trial: number, text: string, tag: string) => entry(trial, 'v', text, { tag });

  it('is held against the range and the step of that one', () => {
    expect(look(v(1, '58.0', 'C-10'))).toEqual([]);
    expect(look(v(1, '58.0', 'C-05'))).toEqual(['1 v off-the-scale']);
    // By halves it is read to 0.1 too; past its 25 mL it cannot be.
    expect(look(v(1, '23.4', 'C-02'), v(2, '33.4', 'C-02'))).toEqual(['2 v off-the-scale']);
  });

  it('has nothing to ask of a column that nobody planned, or that nobody wrote', () => {
    expect(look(v(1, '19.8', 'C-05'))).toEqual([]);
    expect(look(v(1, '20.0', 'C-05'))).toEqual(['1 v planned-amount']);
  });
});

describe('what a logbook finds of a piece', () => {
  const chemistry = presetNamed('Chemistry bench');
  const six = (...texts: readonly string[]) =>
    texts.map((text, at) => entry(at + 1, 'shown', text, { tag: 'T-01' }));

  it('is its correction at each known temperature, with the largest ±', () => {
    // Three times each: 0.4 where it is 0.00, and 98.9, 98.9, 99.0 where it is 99.6.
    const cells = tableOf(six('0.4', '0.4', '0.4', '98.9', '98.9', '99.0'));
    const [own, ...others] = piecesFound(
      thermometerCheck,
      outcomeOf(thermometerCheck, cells, chemistry),
      chemistry,
    );
    expect(others).toEqual([]);
    expect(own).toMatchObject({
      tag: 'T-01',
      checks: [
        { known: '0.00', shown: '0.4' },
        { known: '99.6', shown: '98.93' },
      ],
      correction: {
        points: [
          { at: '0.4', add: '-0.4' },
          { at: '98.93', add: '0.67' },
        ],
      },
    });
    // 98.9, 98.9, 99.0: s/√3 = 0.0333; reading 0.5 and the boiling point 0.1; not the maker’s tolerance. 0.511, rounded up.
    expect(own!.correction.plusMinus).toBe('0.52');
    const bare = { place: '', count: 1, checks: [], faults: '', outOfUse: false };
    const piece: Piece = {
      ...bare,
      tag: 'T-01',
      kind: 'thermometer',
      model: 'thermometer-1',
      certified: null,
      correction: null,
    };
    expect(checkPiece({ ...piece, correction: asCorrection(own!, '2026-11-26', 'bench 2') })).toEqual([]);
  });

  it('is what a vessel gave in place of its mark, once all its trials are there', () => {
    const jars = ['14.33 34.29', '14.44 34.41', '14.55 34.50', '14.66 34.63'];
    const cells = tableOf([
      ...rows(glasswareThreeWays, 't', '20.0', '20.0'),
      ...rows(glasswareThreeWays, 'dry full', ...jars, '9.71 29.28'),
    ]);
    const outcome = outcomeOf(glasswareThreeWays, cells, metrology);
    // 19.9625 g · (1 − 0.0012/8.0) over (0.9982067 − 0.0012) g/mL is 20.0194 mL. The cylinder has one trial of four.
    const [burette, ...others] = piecesFound(glasswareThreeWays, outcome, metrology);
    expect(others).toEqual([]);
    expect(burette).toMatchObject({
      tag: 'U-01',
      checks: [{ known: expect.stringMatching(/^20\.019/), shown: '20.00' }],
      correction: { points: [{ at: '20.00', add: expect.stringMatching(/^0\.019/) }] },
    });
    const state = outcome.results.find(({ plan }) => plan.key === 'V.burette');
    const stated = state?.state === 'reckoned' ? (state.result.expanded?.size ?? 0) : 0;
    expect(Number(burette?.correction.plusMinus)).toBeGreaterThanOrEqual(stated * 0.999);
    expect(Number(burette?.correction.plusMinus)).toBeLessThan(stated * 1.11);
  });

  it('is nothing while a row is open', () => {
    const cells = tableOf(six('0.4', '0.4', '0.4'));
    expect(piecesFound(thermometerCheck, outcomeOf(thermometerCheck, cells, chemistry), chemistry)).toEqual(
      [],
    );
  });

  it('changes the results that it is taken for, and says how', () => {
    const cells = tableOf([reading(1, '20.10', 'V-01'), reading(2, '20.10', 'V-01')]);
    const own = { role: 'V-01', piece: caliper('V-01', '0.10'), corrected: true };
    expect(changedBy(own, pin, cells, metrology)).toEqual([
      { name: 'Result', before: expect.stringContaining('20.10'), after: expect.stringContaining('20.00') },
    ]);
    expect(
      correctedText(
        '20.10',
        measured('d', 'D', 'd', 'mm', 'V-01') as MeasuredColumn,
        withPieces(pin, tableOf([taken('V-01', caliper('V-01', '0.10'), true)])),
        metrology,
      ),
    ).toBe('20.00');
  });
});
