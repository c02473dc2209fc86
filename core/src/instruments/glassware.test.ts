import { describe, expect, it } from 'vitest';
import { seeded } from '../chance/random';
import { presetNamed, revise } from '../conventions';
import {
  chooseInstrument,
  presetComparison,
  plainestEnough,
  realStation,
  checkParts,
  checkReading,
  describeScale,
  expectReading,
  partsAsked,
} from '../reading';
import {
  beaker,
  burette,
  digitalCaliper,
  fourBeamBalance,
  graduatedCylinder,
  hydrometer,
  instrumentOf,
  micrometer,
  NotReady,
  spindles,
  squeezePipette,
  threeBeamBalance,
  vernierCaliper,
  volumetricFlask,
  volumetricPipette,
  flotation,
  type BuretteSetting,
  type Instrument,
  type Setting,
} from '.';

const bench = presetNamed('Chemistry bench');
const codes = <S extends Setting>(
  instrument: Instrument<S>,
  setting: S,
  text: string,
  unit: string,
  conventions = bench,
): string[] => {
  const verdict = checkReading(instrument as unknown as Instrument, setting, conventions, text, unit);
  return verdict.outcome === 'wrong'
    ? verdict.explanations.map((causes) => causes.map(({ code }) => code).join(' + '))
    : [verdict.outcome];
};
const made = <S extends Setting>(instrument: Instrument<S>, model: string, indicates?: number): S =>
  instrument.sampleSetting(
    instrument.models.find(({ id }) => id === model)!,
    seeded(5),
    indicates,
  );

describe('a burette of 50 mL at 23.45 mL', () => {
  const at = (rest: Partial<BuretteSetting> = {}): BuretteSetting => ({
    ...made(burette, 'burette-50-0_1', 23.45),
    ...rest,
  });
  const delivered = at({ task: 'delivered', initialMl: 1.2, levelMl: 21.65 });

  // The bore is 11 mm: 1 mL is 10.52 mm high; the edge stands 2.255 mm up, which is 0.21 mL, read low.
  it.each([
    ['on the dot', at(), '23.45', ['right']],
    ['within a fifth of a division', at(), '23.47', ['right']],
    ['one digit short', at(), '23.4', ['dropped-final-digit']],
    ['counted up from the number below', at(), '24.55', ['read-upward']],
    ['the top of the curve', at(), '23.24', ['top-of-meniscus']],
    // 100 mm above: 100·5.5/305.5 = 1.80 mm, 0.17 mL, read low.
    ['the eye above', at({ eyeMm: 100 }), '23.28', ['eye-too-high']],
    ['a bare zero', at({ levelMl: 0 }), '0', ['bare-zero', 'dropped-final-digit']],
    ['a zero with its decimals', at({ levelMl: 0 }), '0.00', ['right']],
    ['delivered', delivered, '20.45', ['right']],
    ['delivered, both readings a little off', delivered, '20.49', ['right']],
    ['the beginning left in', delivered, '21.65', ['initial-not-subtracted']],
    ['first less last', delivered, '-20.45', ['difference-reversed']],
    [
      'a hanging drop',
      at({ task: 'delivered', initialMl: 1.2, levelMl: 21.8, dropMl: 0.15 }),
      '20.60',
      ['hanging-drop'],
    ],
    [
      'air in the tip',
      at({ task: 'delivered', initialMl: 1.2, levelMl: 21.95, bubbleMl: 0.3 }),
      '20.75',
      ['tip-bubble'],
    ],
  ] as const)('%s', (_, setting, text, expected) => {
    expect(codes(burette, setting, text, 'mL')).toEqual(expected);
  });

  it('follows the class: steps of 0.05, or a start at zero', () => {
    const half = presetNamed('Half-division');
    expect(codes(burette, at(), '23.45', 'mL', half)).toEqual(['right']);
    expect(codes(burette, at(), '23.46', 'mL', half)).toEqual(['off-step']);
    const zero = revise(bench, { buretteStart: 'zero' });
    expect(expectReading(burette as unknown as Instrument, delivered, zero).text).toBe('20.45');
  });

  it('is not ready before its start is noted on the scale and something has run out', () => {
    const hands = {
      noted: true,
      initial: 0.5,
      level: 20,
      eyeMm: 0,
      bubbleLeft: false,
      dropHangs: false,
      wallWet: false,
    };
    const start = burette.initial(burette.models[0]!, seeded(2));
    expect(burette.handle(start, hands)).toMatchObject({ initialMl: 0.5, levelMl: 20, dropMl: 0 });
    for (const part of [{ noted: false }, { initial: -0.4 }, { level: 1 }, { level: 51 }])
      expect(() => burette.handle(start, { ...hands, ...part })).toThrow(NotReady);
    expect(() => burette.handle(start, { ...hands, level: 'low' })).toThrow(RangeError);
  });
});

describe('other glass', () => {
  it('a cylinder marked “to contain” keeps its film', () => {
    const setting = { ...made(graduatedCylinder, 'cylinder-100-1', 40.3), filmMl: 0.8 };
    expect(codes(graduatedCylinder, setting, '39.5', 'mL')).toEqual(['right']);
    expect(codes(graduatedCylinder, setting, '40.3', 'mL')).toEqual(['film-ignored']);
  });

  it('filling stops at what is there, not at what was planned', () => {
    const setting = {
      ...made(graduatedCylinder, 'cylinder-100-1', 0),
      targetMl: 40,
      filling: true,
      eyeMm: 90,
    };
    const hands = { card: true, eyeMm: 0, level: 41.3 };
    const filled = graduatedCylinder.handle(setting, hands);
    expect(codes(graduatedCylinder, filled, '41.3', 'mL')).toEqual(['right']);
    expect(codes(graduatedCylinder, filled, '40.0', 'mL')).toEqual(['target-written']);
    expect(() => graduatedCylinder.handle(setting, { ...hands, level: 30 })).toThrow(NotReady);
    expect(() => graduatedCylinder.handle(setting, { ...hands, level: 104 })).toThrow(NotReady);
  });

  it('a beaker is read to the place that its marks deserve', () => {
    // d 10: written place gives 1 mL; d 50 gives 10 mL.
    expect(codes(beaker, made(beaker, 'beaker-100', 63), '63', 'mL')).toEqual(['right']);
    expect(codes(beaker, made(beaker, 'beaker-100', 63), '63.0', 'mL')).toEqual(['extra-digit']);
    expect(codes(beaker, made(beaker, 'beaker-250', 130), '130', 'mL')).toEqual(['right']);
    expect(beaker.buildUp(made(beaker, 'beaker-250', 130), '130').join(' ')).toContain('±12.5 mL');
  });

  it('one ring is one volume, with the decimals that its tolerance has', () => {
    const flask = made(volumetricFlask, 'volumetric-flask-250');
    expect(codes(volumetricFlask, flask, '250.0', 'mL')).toEqual(['right']);
    expect(codes(volumetricFlask, flask, '250', 'mL')).toEqual(['dropped-trailing-zero']);
    const pipette = made(volumetricPipette, 'volumetric-pipette-10');
    expect(codes(volumetricPipette, pipette, '10.00', 'mL')).toEqual(['right']);
    expect(codes(volumetricPipette, pipette, '10.0', 'mL')).toEqual(['dropped-trailing-zero']);
  });

  it.each([
    ['run past the ring', { aboveMm: -6 }, 'overshot-mark'],
    // In a bore of 5 mm the edge stands 2.5·3.818/6.318 = 1.511 mm up.
    ['set by the top of the curve', { aboveMm: -1.51 }, 'top-of-meniscus'],
    ['not touched off', { touched: false }, 'drop-left-behind'],
    ['blown, though marked to keep', { blown: true }, 'blown-out'],
    ['not yet at the ring', { aboveMm: 3 }, 'short-of-mark'],
  ])('a pipette %s', (_, part, code) => {
    const setting = {
      ...made(volumetricPipette, 'volumetric-pipette-10'),
      markedExpel: false,
      blown: false,
      handled: true,
      ...part,
    };
    expect(codes(volumetricPipette, setting, '10.00', 'mL')).toEqual([code]);
  });

  it('the last drop follows the class where it does not follow the marking', () => {
    const setting = {
      ...made(volumetricPipette, 'volumetric-pipette-10'),
      markedExpel: false,
      blown: true,
      handled: true,
    };
    expect(codes(volumetricPipette, setting, '10.00', 'mL')).toEqual(['blown-out']);
    expect(codes(volumetricPipette, setting, '10.00', 'mL', revise(bench, { lastDrop: 'expel' }))).toEqual([
      'right',
    ]);
  });

  it('drops are counted exactly', () => {
    const drops = made(squeezePipette, 'squeeze-drops', 23);
    expect(codes(squeezePipette, drops, '23', 'drops')).toEqual(['right']);
    expect(codes(squeezePipette, drops, '24', 'drops')).toEqual(['count-lost']);
    expect(codes(squeezePipette, drops, '23', 'mL')).toEqual(['unit-wrong']);
  });
});

describe('a hydrometer', () => {
  const at = (density: number) => made(hydrometer, 'hydrometer-980', density);

  it.each([
    ['1.034', 'g/cm³', ['right']],
    ['1034', 'kg/m³', ['right']],
    // The numbers grow downward: from 1.05 up by 0.016 instead of down from 1.00.
    ['1.066', 'g/cm³', ['read-upward']],
    ['1034', 'g/cm³', ['unit-slip']],
    ['1.03', 'g/cm³', ['dropped-final-digit']],
  ])('at 1.034: %s %s', (text, unit, expected) =>
    expect(codes(hydrometer, at(1.034), text, unit)).toEqual(expected),
  );

  it('is read where the class reads it', () => {
    const rise = expectReading(
      hydrometer as unknown as Instrument,
      at(1.034),
      revise(bench, { hydrometerLine: 'rise' }),
    );
    // 2.2 mm of 90 mm over 1/0.98 − 1/1.15: 1/(1/1.034 + 2.2/90·0.15085) = 1.0301.
    expect(rise.indication).toBeCloseTo(1.0301, 3);
    expect(codes(hydrometer, at(1.034), rise.text, 'g/cm³')).toEqual(['top-of-meniscus']);
  });

  it('floats on one spindle or two, and is refused on the others', () => {
    for (const density of [0.79, 0.84, 0.99, 1.025, 1.14, 1.25]) {
      const floating = spindles.filter((spindle) => flotation(spindle, density) === 'floats');
      expect(floating.length).toBeGreaterThan(0);
      expect(floating.length).toBeLessThan(3);
    }
    const liquid = { ...at(1.034), density: 0.8 };
    expect(() => hydrometer.handle(liquid, { spindle: 3, released: true })).toThrow(/like a stone/);
    expect(() => hydrometer.handle({ ...liquid, density: 1.2 }, { spindle: 0, released: true })).toThrow(
      /stands out/,
    );
    expect(() => hydrometer.handle(liquid, { spindle: -1, released: true })).toThrow(/begin with/);
    expect(() => hydrometer.handle(liquid, { spindle: 0, released: false })).toThrow(/hold it still/);
  });
});

describe('balances and calipers', () => {
  it('four beams are read to a hundredth; another maker’s order changes nothing', () => {
    expect(codes(fourBeamBalance, made(fourBeamBalance, 'four-beam-310', 207.43), '207.43', 'g')).toEqual([
      'right',
    ]);
    expect(codes(fourBeamBalance, made(fourBeamBalance, 'four-beam-310', 207.43), '27.43', 'g')).toEqual([
      'empty-place-dropped',
    ]);
    expect(
      codes(threeBeamBalance, made(threeBeamBalance, 'three-beam-600-tens-first', 237.4), '327.4', 'g'),
    ).toEqual(['riders-swapped']);
  });

  it('a digital caliper tells its zero, a squeeze and the other unit', () => {
    const setting = made(digitalCaliper, 'digital-mm', 31.2);
    expect(codes(digitalCaliper, setting, '31.20', 'mm')).toEqual(['right']);
    expect(codes(digitalCaliper, setting, '31.2', 'mm')).toEqual(['dropped-trailing-zero']);
    expect(codes(digitalCaliper, { ...setting, zeroed: false, closedShowsMm: 0.12 }, '31.32', 'mm')).toEqual([
      'zero-not-set',
    ]);
    expect(codes(digitalCaliper, { ...setting, atMm: 31, yieldsMm: 0.3 }, '31.00', 'mm')).toEqual([
      'squeezed',
    ]);
    expect(codes(digitalCaliper, setting, '1.23', 'mm')).toEqual(['inch-mm-slip']);
  });

  it('the least count comes first, and its slips are told', () => {
    const first = vernierCaliper.first!(vernierCaliper.models[3]!, seeded(1));
    expect(codes(vernierCaliper, first, '0.02', 'mm')).toEqual(['right']);
    expect(codes(vernierCaliper, first, '1.00', 'mm')).toEqual(['main-division-taken']);
    expect(codes(vernierCaliper, first, '0.10', 'mm')).toEqual(['printed-number-as-count']);
    expect(codes(vernierCaliper, first, '0.98', 'mm')).toEqual(['line-not-division']);
  });

  it('the mean of the closings is taken off, as many as the class has set', () => {
    const setting = {
      ...made(vernierCaliper, 'vernier-50-49', 23.48),
      zeroError: 0.06,
      size: 23.42,
      closings: [0.06, 0.08, 0.1, 0, 0],
    };
    expect(expectReading(vernierCaliper as unknown as Instrument, setting, bench).text).toBe('23.42');
    expect(
      expectReading(vernierCaliper as unknown as Instrument, setting, revise(bench, { zeroClosings: 3 }))
        .text,
    ).toBe('23.40');
  });

  it('what is not round is turned', () => {
    const setting = { ...made(vernierCaliper, 'vernier-50-49', 23.48), outOfRound: 0.2, turn: 90, at: 23.28 };
    expect(codes(vernierCaliper, setting, '23.28', 'mm')).toEqual(['one-place-only']);
    expect(codes(vernierCaliper, { ...setting, turn: 180, at: 23.48 }, '23.48', 'mm')).toEqual(['right']);
  });

  it('parts are checked one by one where the class writes them', () => {
    const columns = revise(bench, { vernierParts: 'columns' });
    const setting = {
      ...made(vernierCaliper, 'vernier-50-49', 23.48),
      zeroError: -0.06,
      size: 23.54,
      closings: [-0.06],
    };
    const parts = partsAsked(vernierCaliper as unknown as Instrument, setting, columns);
    expect(partsAsked(vernierCaliper as unknown as Instrument, setting, bench)).toEqual([]);
    expect(parts.map(({ key, value }) => [key, value])).toEqual([
      ['main', 23],
      ['line', 24],
      ['fraction', 0.48],
      ['observed', 23.48],
      ['zero', -0.06],
      ['corrected', 23.54],
    ]);
    const verdicts = checkParts(parts, {
      main: '24',
      line: '25',
      fraction: '0,50',
      zero: '0.06',
      corrected: 'x',
    });
    expect(verdicts.map(({ key, right }) => [key, right])).toEqual([
      ['main', false],
      ['line', true],
      ['fraction', true],
      ['zero', false],
      ['corrected', false],
    ]);
    const screw = { ...made(micrometer, 'micrometer-vernier', 7.683) };
    expect(
      partsAsked(micrometer as unknown as Instrument, screw, columns)
        .slice(0, 3)
        .map(({ value }) => value),
    ).toEqual([7.5, 18, 3]);
  });
});

describe('a real station', () => {
  const station = {
    kind: 'burette',
    model: 'burette-50-0_1',
    tag: 'U-02',
    reading: '12.35',
    tolerance: '0.04',
  } as const;
  const real = realStation(instrumentOf('burette'));

  it.each([
    ['12.39', ['right']],
    ['12.40', []],
    ['12.4', ['dropped-final-digit']],
  ])('%s', (text, expected) => expect(codes(real, station, text, 'mL')).toEqual(expected));

  it('is never made up', () =>
    expect(() => real.sampleSetting(real.models[0]!, seeded(1))).toThrow(RangeError));
});

describe('beside the reading', () => {
  it('says what other schools accept, and why', () => {
    const views = presetComparison(
      graduatedCylinder as unknown as Instrument,
      made(graduatedCylinder, 'cylinder-100-1', 37.2),
    );
    expect(views.map(({ preset, text, from, to }) => [preset, text, from, to])).toEqual([
      ['Chemistry bench', '37.2', '37.0', '37.4'],
      ['First course', '37.2', '37.0', '37.4'],
      ['Half-division', '37.0', '37.0', '37.5'],
      ['Physics bench', '37.2', '37.0', '37.4'],
      ['Metrology', '37.2', '37.0', '37.4'],
    ]);
    expect(views[2]!.why).toContain('half a division');
  });

  it('tells the scale in words without the sum', () => {
    const words = describeScale(
      graduatedCylinder as unknown as Instrument,
      made(graduatedCylinder, 'cylinder-100-1', 37.2),
      bench,
    ).join(' ');
    expect(words).toContain('30 mL');
    expect(words).not.toContain('37.2');
  });

  it('chooses the plainest instrument that is good enough', () => {
    const choices = chooseInstrument(18, 'mm', 1, bench);
    // Verniers in tenths: half-width 0.1, tolerance 0.05 on 18 mm: 0.62 %.
    expect(plainestEnough(choices)).toMatchObject({ model: 'vernier-10-19' });
    expect(plainestEnough(choices)!.relativePercent).toBeCloseTo((100 * Math.hypot(0.1, 0.05)) / 18, 9);
    expect(plainestEnough(chooseInstrument(18, 'mm', 0.001, bench))).toBeUndefined();
    expect(chooseInstrument(1.8, 'cm', 1, bench)[0]!.model).toBe(choices[0]!.model);
    expect(() => chooseInstrument(0, 'mm', 1, bench)).toThrow(RangeError);
  });
});
