import { describe, expect, it } from 'vitest';
import { judgeWorked, judgeWriting, placeOfStep } from '../answer';
import { seeded } from '../chance/random';
import { presets, revise, stepFor, type Conventions, type InstrumentKind } from '../conventions';
import { Decimal } from '../figures';
import { instrumentOf, instruments, modelOf, type Instrument, type Make } from '../instruments';
import { answerRuleOf } from '../reading';
import { adviseOn } from './columnKinds';
import type { Investigation } from './investigation';
import { secondLookAt } from './look';
import { outcomeOf } from './outcome';
import { plain } from './readyMade/plain';
import { secondLook } from './secondLook';
import { tableOf } from './table';

/** What is said of the digits of a text, whichever room says it. */
type Digits = 'right' | 'short' | 'long' | 'off';

const byCode: Readonly<Record<string, Digits>> = {
  'dropped-final-digit': 'short',
  'dropped-trailing-zero': 'short',
  'bare-zero': 'short',
  'extra-digit': 'long',
  'off-step': 'off',
  'uneven-decimals': 'short',
  'finer-than-instrument': 'long',
  'finer-than-glass': 'off',
  'too-few-figures': 'short',
  'trailing-zeros-dropped': 'short',
  'too-many-figures': 'long',
  'whole-display': 'long',
};
const digitsIn = (codes: readonly string[]): Digits =>
  codes.flatMap((code) => byCode[code] ?? []).at(0) ?? 'right';

const ruleFor = (instrument: Instrument, model: Make, conventions: Conventions) => {
  const step = stepFor(conventions, { kind: instrument.kind, model: model.id, ...model, tag: 'X-1' });
  return { step, rule: answerRuleOf({ instrument, unit: model.unit, step }, null) };
};

/** On the bench. */
function onBench(instrument: Instrument, model: Make, conventions: Conventions, text: string, unit: string) {
  const writing = judgeWriting(text, unit, ruleFor(instrument, model, conventions).rule, conventions);
  if (!writing.readable) return null;
  return {
    digits: digitsIn(writing.digits.faults.map(({ code }) => code)),
    unit: writing.unit.faults.some(({ code }) => code === 'unit-wrong') ? 'wrong' : 'right',
  };
}

/** In a logbook of one column. */
const bookFor = ({ kind }: Instrument, model: Make): Investigation => ({
  ...plain,
  title: 'One column',
  aim: '',
  object: '',
  route: '',
  kit: [{ tag: 'X-1', kind, model: model.id }],
  steps: [],
  tables: [
    {
      key: 't',
      title: 'T',
      trials: 1,
      columns: [{ kind: 'measured', key: 'a', heading: 'A', symbol: 'A', unit: model.unit, tag: 'X-1' }],
    },
  ],
  results: [],
  causes: [],
});

function inLogbook(instrument: Instrument, model: Make, conventions: Conventions, text: string) {
  const book = bookFor(instrument, model);
  const [column] = book.tables[0]!.columns;
  const advice = adviseOn(text, column!, book, conventions) ?? '';
  const cells = tableOf([
    {
      id: '1',
      kind: 'reading' as const,
      trial: 1,
      column: 'a',
      text,
      tag: 'X-1',
      reader: 'A',
      writtenAt: '2026-01-01T00:00:00Z',
      replaces: null,
      reason: null,
    },
  ]);
  const codes = secondLookAt(book, cells, outcomeOf(book, cells, conventions), conventions).map(
    ({ code }) => code,
  );
  return {
    advised: /stops short/.test(advice)
      ? 'short'
      : /digit too many/.test(advice)
        ? 'long'
        : /between the steps/.test(advice)
          ? 'off'
          : 'right',
    adviseUnit: /This column is in/.test(advice),
    found: digitsIn(codes),
    foundUnit: codes.includes('other-unit'),
  };
}

/** In a table in which faults are to be spotted. */
function inTable(model: Make, conventions: Conventions, step: Decimal, text: string) {
  const read = {
    by: 'X-1',
    unit: model.unit,
    step: step.toString(),
    estimated: false,
    glass: true,
    lowest: '-1e9',
    highest: '1e9',
  };
  const column = {
    key: 'a',
    heading: 'A',
    unit: model.unit,
    read,
    difference: null,
    carried: false,
    planned: null,
  };
  const table = {
    title: 'T',
    columns: [column],
    rows: [{ trial: 1, excluded: null, cells: { a: text } }],
    mean: null,
  };
  return digitsIn(secondLook(table, conventions).map(({ code }) => code));
}

/** One make of each kind; its step where written place holds and where halves are read, derived by hand from the rules. */
const table: readonly (readonly [
  kind: InstrumentKind,
  model: string,
  usual: string,
  half: string,
  right: string,
  rightByHalves: string,
  unit: string,
  alsoIn: string | null,
  wrongUnit: string,
])[] = [
  // d 1 mm: tenths by a rule of its own; halves: 0.5 mm. 74.0 mm is 7.40 cm.
  ['ruler', 'ruler-mm', '0.1', '0.5', '74.0', '74.5', 'mm', '7.40 cm', '2.91 in'],
  // d 1 °C: tenths. A kelvin reading is another scale's.
  ['thermometer', 'thermometer-1', '0.1', '0.5', '21.4', '21.5', '°C', null, '21.4 K'],
  // d 0.1 g: tenths by a rule of its own; halves: 0.05 g.
  ['three-beam-balance', 'three-beam-600', '0.1', '0.05', '214.6', '214.65', 'g', '0.2146 kg', '214.6 mL'],
  ['four-beam-balance', 'four-beam-310', '0.01', '0.005', '84.30', '84.305', 'g', '84300 mg', '84.30 cm'],
  ['electronic-balance', 'electronic-0_01', '0.01', '0.01', '12.40', '12.40', 'g', '0.01240 kg', '12.40 mm'],
  ['vernier-caliper', 'vernier-20-19', '0.05', '0.05', '12.35', '12.35', 'mm', '1.235 cm', '12.35 g'],
  ['digital-caliper', 'digital-mm', '0.01', '0.01', '12.30', '12.30', 'mm', '1.230 cm', '0.4840 in'],
  ['micrometer', 'micrometer-plain', '0.01', '0.01', '5.47', '5.47', 'mm', '0.547 cm', '5.47 s'],
  ['graduated-cylinder', 'cylinder-100-1', '0.1', '0.5', '50.2', '50.5', 'mL', '50.2 cm³', '50.2 g'],
  // d 0.1 mL: hundredths by a rule of its own; Half-division reads it to 0.05.
  ['burette', 'burette-50-0_1', '0.01', '0.05', '23.45', '23.45', 'mL', '0.02345 L', '23.45 mm'],
  ['graduated-pipette', 'graduated-pipette-10', '0.01', '0.05', '4.55', '4.55', 'mL', '4.55 cm³', '4.55 K'],
  [
    'volumetric-pipette',
    'volumetric-pipette-10',
    '0.01',
    '0.01',
    '10.00',
    '10.00',
    'mL',
    '10.00 cm³',
    '10.00 g',
  ],
  // d 0.5 mL: 5 in its decade, so tenths; halves: 0.25.
  ['squeeze-pipette', 'squeeze-3', '0.1', '0.25', '1.3', '1.25', 'mL', '1.3 cm³', '1.3 g'],
  // d 10 mL: ones; halves: 5.
  ['beaker', 'beaker-100', '1', '5', '47', '45', 'mL', '47 cm³', '47 g'],
  ['volumetric-flask', 'volumetric-flask-100', '0.1', '0.1', '100.0', '100.0', 'mL', '0.1000 L', '100.0 g'],
  ['hydrometer', 'hydrometer-830', '0.001', '0.0025', '0.912', '0.9125', 'g/cm³', '912 kg/m³', '0.912 g'],
];

describe('every room says the same of a written reading, under every preset', () => {
  for (const [kind, id, usual, half, right, rightByHalves, unit, alsoIn, wrongUnit] of table)
    for (const conventions of presets)
      it(`${id}, ${conventions.preset}`, () => {
        const instrument = instrumentOf(kind);
        const model = modelOf(instrument, id);
        const halves = conventions.preset === 'Half-division';
        const { step } = ruleFor(instrument, model, conventions);
        expect(step.size.toString()).toBe(halves ? half : usual);
        const written = halves ? rightByHalves : right;
        const decimals = written.split('.')[1]?.length ?? 0;
        const rows: readonly (readonly [text: string, Digits])[] = [
          [written, 'right'],
          [`${written}${decimals === 0 ? '.' : ''}0`, 'long'],
          ...(decimals > 0 ? [[written.slice(0, -1).replace(/\.$/, ''), 'short'] as const] : []),
        ];
        for (const [text, digits] of rows) {
          expect([text, onBench(instrument, model, conventions, text, unit)]).toEqual([
            text,
            { digits, unit: 'right' },
          ]);
          expect([text, inLogbook(instrument, model, conventions, text)]).toEqual([
            text,
            { advised: digits, adviseUnit: false, found: digits, foundUnit: false },
          ]);
          // The unit behind it is no digit.
          expect(inLogbook(instrument, model, conventions, `${text} ${unit}`)).toMatchObject({
            advised: digits,
            found: digits,
            foundUnit: false,
          });
          expect(inTable(model, conventions, step.size, text)).toBe(digits);
        }
        if (alsoIn !== null && !halves)
          expect(onBench(instrument, model, conventions, alsoIn, '')).toEqual({
            digits: 'right',
            unit: 'right',
          });
        expect(onBench(instrument, model, conventions, wrongUnit, '')).toMatchObject({ unit: 'wrong' });
        expect(inLogbook(instrument, model, conventions, wrongUnit)).toMatchObject({ foundUnit: true });
      });
});

it('says the same of ten thousand random texts on the bench, in a logbook, in a table and in a drill', () => {
  const random = seeded(20261126);
  const units = ['mm', 'cm', 'in', 'mL', 'ml', 'cm³', 'L', 'g', 'kg', '°C', 'K', 'g/cm³', 'drops', 's'];
  const makes = instruments.flatMap((instrument) =>
    instrument.models.map((model) => ({ instrument, model })),
  );
  const changed = (conventions: Conventions): Conventions =>
    revise(conventions, {
      analogueStep: random.pick(['written-place', 'strict-tenth', 'next-place', 'half', 'nearest', 'lower']),
      trailingZeros: random.pick(['written-point', 'all-count']),
      symbolSpelling: random.pick(['accept', 'remark', 'refuse']),
    });
  let short = 0;
  let drilled = 0;
  for (let time = 0; time < 10_000; time += 1) {
    const { instrument, model } = random.pick(makes);
    const conventions = random.chance(0.5) ? random.pick(presets) : changed(random.pick(presets));
    const value = random.between(Number(model.lowest), Number(model.highest));
    const number = value.toFixed(random.whole(0, 4));
    const unit = random.chance(0.5) ? model.unit : random.pick(units);
    const text = `${random.chance(0.2) ? number.replace('.', ',') : number} ${unit}`;
    const bench = onBench(instrument, model, conventions, text, '');
    const said = [text, model.id, conventions.preset, conventions.analogueStep];
    // One comma and three digits: everybody asks.
    if (!bench) {
      expect(
        adviseOn(
          text,
          bookFor(instrument, model).tables[0]!.columns[0]!,
          bookFor(instrument, model),
          conventions,
        ),
      ).toMatch(/decimal or thousands/);
      continue;
    }
    const book = inLogbook(instrument, model, conventions, text);
    const { step } = ruleFor(instrument, model, conventions);
    expect([...said, book.found]).toEqual([...said, bench.digits]);
    if (bench.unit === 'right' && !book.adviseUnit)
      expect([...said, book.advised]).toEqual([...said, bench.digits]);
    if (bench.unit === 'wrong')
      expect([...said, book.adviseUnit, book.foundUnit]).toEqual([...said, true, true]);
    expect([...said, inTable(model, conventions, step.size, text)]).toEqual([...said, bench.digits]);
    short += Number(bench.digits === 'short');
    // As a worked number whose data go as far: only where the step is a one in its place, and zeros say nothing else.
    const place = placeOfStep(step.size);
    const whole = new Decimal(number).isInteger();
    if (unit === model.unit && place < 0 && step.size.eq(new Decimal(10).pow(place)) && !whole) {
      const right = new Decimal(number);
      const key = right.toFixed(-place);
      const verdict = judgeWorked(
        { value: right, lastPlace: place, text: key, unit, form: 'any', mistakes: [] },
        text,
        '',
        conventions,
      );
      const codes = verdict.outcome === 'wrong' ? verdict.causes.map(({ code }) => code) : [];
      if (new Decimal(key).eq(right) || bench.digits === 'short') {
        drilled += 1;
        if (new Decimal(key).eq(right)) expect([...said, digitsIn(codes)]).toEqual([...said, bench.digits]);
      }
    }
  }
  expect(short).toBeGreaterThan(1000);
  expect(drilled).toBeGreaterThan(500);
}, 240_000);
