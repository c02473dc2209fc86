import {
  boltPin,
  drills,
  exerciseFormat,
  faultyTable,
  instruments,
  judgeExercise,
  makeItem,
  makeSetting,
  presetNamed,
  readyMade,
  rearrangings,
  type Exercise,
} from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { houseRules } from './houseRules';
import {
  readStored,
  storedExercise,
  storedExplanations,
  storedInvestigation,
  storedSetting,
  storedTry,
} from './stored';

const rules = presetNamed('Chemistry bench');
/** As PostgreSQL gives it back. */
const kept = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
const format = exerciseFormat;

describe('what is stored', () => {
  const settings = instruments.flatMap((instrument) =>
    instrument.models.flatMap((model) =>
      (['read', 'handle'] as const).map((mode): Exercise => ({
        format,
        of: 'setting',
        mode,
        setting: makeSetting(instrument, model, rules, mode, 5),
      })),
    ),
  );
  const items = drills.flatMap((drill) =>
    [0, 1, 2].map((level): Exercise => ({
      format,
      of: 'drill',
      kind: drill.kind,
      level,
      item: makeItem(drill, rules, level, 11),
    })),
  );
  const formulas = rearrangings.map((item): Exercise => ({ format, of: 'rearranging', item }));
  const tables = [1, 2, 3].map((seed): Exercise => ({ format, of: 'table', table: faultyTable(seed) }));

  it.each([
    ['setting', settings],
    ['drill', items],
    ['formula', formulas],
    ['table', tables],
  ] as const)('every %s is the same once it has been kept', (_, exercises) => {
    for (const exercise of exercises)
      expect(readStored(storedExercise, kept(exercise), 'exercise')).toEqual(exercise);
  });

  it('a drill that was kept is judged as the one that was made', () => {
    for (const exercise of items) {
      if (exercise.of !== 'drill') continue;
      const again = readStored(storedExercise, kept(exercise), 'exercise');
      const { text, unit } = exercise.item;
      expect(
        again.of === 'drill' && judgeExercise<'drill'>(again, { text, unit }, rules).verdict,
      ).toMatchObject({
        outcome: 'right',
      });
    }
  });

  it('investigations and house rules are the same once they have been kept', () => {
    for (const investigation of readyMade)
      expect(readStored(storedInvestigation, kept(investigation), 'investigation')).toEqual(investigation);
    expect(readStored(houseRules, kept(rules), 'house rules')).toEqual(rules);
  });

  it('a verdict of an earlier day is read: its hint was called a look, its lean was not kept', () => {
    const { verdict } = storedTry('setting');
    const cause = { code: 'top-of-meniscus', title: 'The top was read.', look: 'Its lowest point counts.' };
    expect(
      readStored(
        verdict,
        { outcome: 'wrong', explanations: [[cause]], lookFirst: 'The level.', remarks: [] },
        '',
      ),
    ).toEqual({
      outcome: 'wrong',
      deviation: { direction: 'level', distance: 'level' },
      explanations: [[{ code: cause.code, title: cause.title, hint: cause.look }]],
      lookFirst: 'The level.',
      remarks: [],
    });
    const lean = { direction: 'low', distance: 'far off' };
    expect(readStored(verdict, { outcome: 'right', lean, remarks: [] }, '')).toEqual({
      outcome: 'right',
      deviation: lean,
      remarks: [],
    });
  });

  it.each([
    ['an exercise of no kind', storedExercise, { format, of: 'juggling' }],
    ['one of another format', storedExercise, { ...(kept(tables[0]) as object), format: 9 }],
    ['a setting of no instrument', storedSetting, { kind: 'astrolabe', model: 'x' }],
    ['a setting that is no plain data', storedSetting, { kind: 'ruler', model: 'ruler-mm', tipMm: NaN }],
    ['a verdict without its causes', storedTry('drill').verdict, { outcome: 'wrong', remarks: [] }],
    ['a cause without a title', storedExplanations, [[{ code: 'x', hint: 'y' }]]],
    ['an answer that is none', storedTry('table').answer, { text: '12' }],
    ['an investigation without a title', storedInvestigation, { ...boltPin, title: undefined }],
    ['house rules with an answer that is none', houseRules, { ...rules, rounding: 'up' }],
  ] as const)('%s is refused with what is wrong', (_, schema, value) => {
    expect(() => readStored(schema as never, value, 'thing')).toThrow(
      /^The thing that is kept cannot be read: ./,
    );
  });
});
