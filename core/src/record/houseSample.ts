import { seeded } from '../chance/random';
import { questionGroups, type Conventions, type QuestionGroup } from '../conventions';
import { percentError } from '../density';
import { convert, evaluate, measured, parseNumber, writeQuantity } from '../figures';
import { instrumentOf, modelOf, type Picture, type Setting } from '../instruments';
import { presetViewOf } from '../reading';
import { outcomeOf } from './outcome';
import { boltPin } from './readyMade';
import { tableOf, type Entry } from './table';

/** One line of what house rules come to: something given, and what this class makes of it. */
export interface SampleLine {
  readonly given: string;
  readonly shows: string;
}

/** Instruments that stand for the others, each set to show something that tells classes apart. */
const stands: readonly (readonly [kind: string, model: string, indicates: number])[] = [
  ['graduated-cylinder', 'cylinder-100-1', 56.3],
  ['burette', 'burette-50-0_1', 23.47],
  ['ruler', 'ruler-mm', 74.3],
  ['thermometer', 'thermometer-1', 21.4],
  ['beaker', 'beaker-100', 60],
];

const settingOf = ([kind, model, indicates]: (typeof stands)[number]): Setting =>
  instrumentOf(kind).sampleSetting(modelOf(instrumentOf(kind), model), seeded(3), indicates);

/** The drawn scale of the sample: the cylinder. */
export const samplePicture = (): Picture => {
  const [stand] = stands;
  if (!stand) throw new RangeError('There is nothing to draw.');
  return { ...instrumentOf(stand[0]).picture(settingOf(stand)), ...{ eyeMm: 0 } };
};

/** Three weighings of one bolt pin in water. */
const trials: readonly Entry[] = [
  ['214.6', '50.0', '74.5'],
  ['214.5', '48.0', '72.4'],
  ['214.7', '51.0', '75.9'],
].flatMap((row, trial) =>
  row.map((text, at) => ({
    id: `${trial}/${at}`,
    kind: 'reading' as const,
    trial: trial + 1,
    column: ['mass', 'before', 'after'][at] ?? '',
    text,
    tag: boltPin.kit[at === 0 ? 0 : 1]?.tag ?? '',
    reader: '',
    writtenAt: '2026-01-01T00:00:00Z',
    replaces: null,
    reason: null,
  })),
);

/** What a class's house rules come to on the same few readings and numbers, group by group. */
export function houseSample(
  conventions: Conventions,
): Readonly<Record<QuestionGroup, readonly SampleLine[]>> {
  const reckon = (text: string): SampleLine => ({
    given: text,
    shows: writeQuantity(evaluate(text, conventions).result, conventions.rounding),
  });
  const kelvin = convert(evaluate('20.12 °C', conventions).result, 'K', conventions.kelvin);
  const [state] = outcomeOf(boltPin, tableOf(trials), conventions).results;
  const result = state?.state === 'reckoned' && state.result.kind === 'mean' ? state.result : null;
  const [found, accepted] = ['8.41', '8.80'].map((text) => parseNumber(text));
  return {
    reading: stands.map((stand) => {
      const instrument = instrumentOf(stand[0]);
      const { text, unit, from, to } = presetViewOf(instrument, settingOf(stand), conventions);
      return {
        given: modelOf(instrument, stand[1]).name,
        shows: `${text} ${unit}; accepted from ${from} to ${to}`,
      };
    }),
    writing: [
      reckon('1200 + 34'),
      reckon('2.5 − 0.05'),
      reckon('1.5 × 1.5 × 1.5'),
      { given: '20.12 °C in kelvin', shows: writeQuantity(kelvin, conventions.rounding) },
    ],
    uncertainty: result
      ? [
          { given: 'Three trials of the bolt pin', shows: result.text },
          { given: result.spreadName, shows: `${result.spreadText ?? '–'} ${result.plan.unit}` },
          ...(result.expanded ? [{ given: 'For 95 of 100', shows: result.expanded.text }] : []),
        ]
      : [],
    judging:
      found?.ok && accepted?.ok
        ? [
            {
              given: '8.41 g/cm³ where 8.80 g/cm³ is accepted',
              shows: (({ text, word }) => `${text}${word ? `, ${word}` : ''}`)(
                percentError(measured(found.number), accepted.number, conventions),
              ),
            },
          ]
        : [],
    glass: [reckon('water(24.0 °C)'), reckon('24.93 g / water(24.0 °C)')],
  };
}

export const sampleGroups = Object.keys(questionGroups) as readonly QuestionGroup[];
