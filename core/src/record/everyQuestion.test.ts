import { describe, expect, it } from 'vitest';
import { judgeWriting } from '../answer';
import { seeded } from '../chance/random';
import {
  halfWidthFor,
  presetNamed,
  questions,
  revise,
  stepFor,
  type Conventions,
  type QuestionKey,
  type ScaleIdentity,
} from '../conventions';
import { convert, Decimal, evaluate, measured, parseNumber, writeQuantity } from '../figures';
import { instrumentOf, modelOf, type Setting } from '../instruments';
import { percentError } from '../density';
import { checkReading, expectReading, partsAsked, readingOf } from '../reading';
import { boltPin } from './readyMade';
import { outcomeOf } from './outcome';
import { tableOf, type Entry } from './table';
import { writePlusMinus } from '../uncertainty';

const scale: ScaleIdentity = { kind: 'thermometer', model: 'x', division: '2', reads: 'scale' };
const screw: ScaleIdentity = {
  kind: 'micrometer',
  model: 'micrometer-plain',
  division: '0.01',
  reads: 'least count',
};
const settingOf = (kind: string, model: string, more: object = {}): Setting => ({
  ...instrumentOf(kind).sampleSetting(modelOf(instrumentOf(kind), model), seeded(7)),
  ...more,
});

/** Three trials of the bolt pin, the second a little off. */
const readings: readonly Entry[] = [
  ['214.6', '50.0', '74.5'],
  ['214.5', '48.0', '72.9'],
  ['214.9', '51.0', '75.5'],
].flatMap((row, trial) =>
  row.map((text, at) => ({
    id: `${trial}/${at}`,
    kind: 'reading' as const,
    trial: trial + 1,
    column: ['mass', 'before', 'after'][at]!,
    text,
    tag: ['B-01', 'C-100', 'C-100'][at]!,
    reader: 'Ada Lind',
    writtenAt: '2026-01-01T00:00:00Z',
    replaces: null,
    reason: null,
  })),
);
const result = (conventions: Conventions) => {
  const [state] = outcomeOf(boltPin, tableOf(readings), conventions).results;
  if (state?.state !== 'reckoned' || state.result.kind !== 'mean') throw new Error(state?.state);
  return state.result;
};
const reckon = (text: string, conventions: Conventions) =>
  writeQuantity(evaluate(text, conventions).result, conventions.rounding);
const number = (text: string) => {
  const parsed = parseNumber(text);
  if (!parsed.ok) throw new Error(text);
  return parsed.number;
};

/** What one can see of each question's answer. Waiting: for the rooms that will ask it. */
const shows: Readonly<Record<QuestionKey, ((conventions: Conventions) => unknown) | 'waits'>> = {
  analogueStep: (c) => {
    const { size, judged } = stepFor({ ...c, overrides: [] }, { ...scale, division: '5' });
    return `${size.toString()} ${judged}`;
  },
  leastCount: (c) => stepFor(c, screw).size.toString(),
  vernierParts: (c) =>
    partsAsked(instrumentOf('vernier-caliper'), settingOf('vernier-caliper', 'vernier-20-19'), c).length,
  zeroCorrection: (c) => {
    const setting = settingOf('micrometer', 'micrometer-plain', { size: 5, at: 5.04, zeroError: 0.04 });
    return expectReading(instrumentOf('micrometer'), setting, c).text;
  },
  halfWidth: (c) => halfWidthFor(c, scale, new Decimal('0.7')).toString(),
  plusMinus: (c) => result(c).text,
  repeatAndInstrument: (c) => result(c).uncertainty,
  spread: (c) => result(c).spreadText,
  combining: (c) => [result(c).plusMinus?.text ?? null, result(c).typeB],
  uncertaintyDigits: (c) =>
    ['0.0171', '0.0621'].map(
      (u) => writePlusMinus(new Decimal('8.41372'), new Decimal(u), 'g', c.uncertaintyDigits).text,
    ),
  resultDigits: (c) => result({ ...c, combining: 'figures-only', fixedFigures: 2 }).text,
  averaging: (c) => result(c).value.value.toString(),
  percentError: (c) => percentError(measured(number('8.41')), number('8.80'), c).text,
  howCompare: 'waits',
  glasswareReference: 'waits',
  water: (c) => evaluate('water(24.0 °C)', c).result.value.toString(),
  rounding: (c) => reckon('2.5 − 0.05', c),
  roundWhen: (c) => reckon('1.5 × 1.5 × 1.5', c),
  trailingZeros: (c) => reckon('1200 + 34', c),
  onesZero: (c) =>
    JSON.stringify(
      judgeWriting(
        '60',
        'mL',
        {
          unit: 'mL',
          headed: false,
          resolution: { by: 'step', size: new Decimal(1), estimated: true },
          accepts: null,
          reads: 'It is read',
        },
        c,
      ),
    ),
  kelvin: (c) => convert(evaluate('20.12 °C', c).result, 'K', c.kelvin).value.toString(),
  symbolSpelling: (c) => {
    const setting = settingOf('graduated-cylinder', 'cylinder-100-1');
    const { text } = expectReading(instrumentOf('graduated-cylinder'), setting, c);
    const verdict = checkReading(instrumentOf('graduated-cylinder'), setting, c, text, 'ml');
    return [verdict.outcome, 'remarks' in verdict ? verdict.remarks.length : 0];
  },
  buretteStart: (c) => JSON.stringify(readingOf(instrumentOf('burette'), burette, c).setting),
  hydrometerLine: (c) => {
    const setting = settingOf('hydrometer', 'hydrometer-980');
    return expectReading(instrumentOf('hydrometer'), setting, c).indication;
  },
  lastDrop: (c) => JSON.stringify(readingOf(instrumentOf('volumetric-pipette'), pipette, c).setting),
};
const burette = (() => {
  for (let seed = 1; ; seed += 1) {
    const setting = instrumentOf('burette').sampleSetting(
      modelOf(instrumentOf('burette'), 'burette-50-0_1'),
      seeded(seed),
    );
    if (
      'task' in setting &&
      setting.task === 'delivered' &&
      'initialMl' in setting &&
      Number(setting.initialMl) > 1
    )
      return setting;
  }
})();
const pipette = settingOf('volumetric-pipette', 'volumetric-pipette-10');

describe('every question of the house rules decides something that one can see', () => {
  for (const key of Object.keys(questions) as QuestionKey[]) {
    const look = shows[key];
    if (look === 'waits') continue;
    it(questions[key].asks, () => {
      const base = presetNamed('Chemistry bench');
      const answers = Object.keys(questions[key].answers);
      const seen = answers.map((answer) => JSON.stringify(look(revise(base, { [key]: answer }))));
      expect(new Set(seen).size, seen.join('\n')).toBe(answers.length);
    });
  }

  it('waits for no more than the comparison and the glassware trial', () => {
    expect(Object.entries(shows).flatMap(([key, look]) => (look === 'waits' ? [key] : []))).toEqual([
      'howCompare',
      'glasswareReference',
    ]);
  });
});
