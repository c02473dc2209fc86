import { describe, expect, it } from 'vitest';
import type { Schema } from 'yup';
import {
  askedWords,
  investigationChange,
  isId,
  newAttempt,
  newBlock,
  newCalculation,
  newClass,
  newDrill,
  newDrillAttempt,
  newEntry,
  newInvestigation,
  newPassword,
  newSetting,
  newClassQuestion,
  newSlips,
  newStationQuestion,
  newStudents,
  studentChange,
  studentSignIn,
  takeQuestion,
  teacherSignIn,
  whichInstrument,
} from '.';
import { at, paths } from '../paths';
import { problems } from '../problems';

const id = '3f2b8c1e-5d4a-4b6c-8e9f-0a1b2c3d4e5f';
const long = (length: number) => 'x'.repeat(length);
const entry = {
  id,
  trial: 1,
  column: 'mass',
  text: '214.6',
  writtenAt: '2026-03-02T09:10:00.000Z',
};

/** What is good of each request, and changes that make it bad, each with the sentence that is told. */
const requests: readonly (readonly [
  name: string,
  schema: Schema,
  good: object,
  bad: readonly (readonly [change: object, sentence: RegExp])[],
])[] = [
  [
    'teacherSignIn',
    teacherSignIn,
    { name: 'Ms Marrow', password: 'level beam 9' },
    [
      [{ name: undefined }, /^The name or address is missing\.$/],
      [{ password: '' }, /^The password is missing\.$/],
      [{ name: long(121) }, /at most 120 characters/],
      [{ name: 7 }, /./],
    ],
  ],
  [
    'studentSignIn',
    studentSignIn,
    { classCode: 'TERN9', name: 'Ada Lind', passphrase: 'ada lantern quay' },
    [
      [{ classCode: '' }, /^The class code is missing\.$/],
      [{ passphrase: long(101) }, /at most 100/],
      [{ name: 'Ada\0' }, /a character that cannot be stored/],
    ],
  ],
  [
    'newSetting',
    newSetting,
    { id, kind: 'burette', mode: 'read' },
    [
      [{ id: 'x' }, /^The id is not a UUID\.$/],
      [{ id: undefined }, /^The id is missing\.$/],
      [{ mode: 'look' }, /^A setting is to read or to handle\.$/],
      [{ mode: undefined }, /^Say whether to read or to handle\.$/],
      [{ kind: '' }, /^The kind of instrument is missing\.$/],
      [{ model: long(61) }, /at most 60/],
    ],
  ],
  [
    'newAttempt',
    newAttempt,
    { id, text: '43.6', unit: 'mL', hands: { eyeMm: 0, card: true }, parts: { main: '43' } },
    [
      [{ text: undefined }, /^The reading is missing\.$/],
      [{ unit: undefined }, /^The unit is missing\.$/],
      [{ text: long(61) }, /at most 60/],
      [{ hands: 'left' }, /The state of the apparatus could not be read\./],
      [{ hands: [1] }, /The state of the apparatus could not be read\./],
      [{ hands: { eye: 'x' } }, /The state of the apparatus could not be read\./],
      [
        { hands: Object.fromEntries(Array.from({ length: 21 }, (_, nth) => [`h${nth}`, 1])) },
        /The state of the apparatus could not be read\./,
      ],
      [{ parts: { main: 43 } }, /The parts of the reading could not be read\./],
      [{ parts: { main: long(61) } }, /The parts of the reading could not be read\./],
    ],
  ],
  ['newDrill', newDrill, { id, kind: 'count-figures' }, [[{ kind: undefined }, /kind of drill is missing/]]],
  [
    'newDrillAttempt',
    newDrillAttempt,
    { id, text: '3', unit: '' },
    [
      [{ text: undefined }, /^The answer is missing\.$/],
      [{ unit: long(25) }, /at most 24/],
    ],
  ],
  [
    'newCalculation',
    newCalculation,
    { id, expression: '2.0 g / 1.00 mL' },
    [
      [{ expression: '' }, /^The calculation is missing\.$/],
      [{ expression: long(2001) }, /at most 2000/],
    ],
  ],
  ['askedWords', askedWords, { hands: null }, [[{ hands: 3 }, /state of the apparatus/]]],
  [
    'newShow',
    newClassQuestion,
    { id, kind: 'ruler', model: 'ruler-mm', indicates: '43.6' },
    [
      [{ model: '' }, /^The model is missing\.$/],
      [{ indicates: long(61) }, /at most 60/],
    ],
  ],
  [
    'newStationShow',
    newStationQuestion,
    { id, kind: 'ruler', model: 'ruler-mm', tag: ' R-02 ', reading: '43.6', tolerance: '0.2' },
    [
      [{ tag: '   ' }, /^The label is missing\.$/],
      [{ tag: long(41) }, /at most 40/],
      [{ reading: undefined }, /^The reading is missing\.$/],
      [{ tolerance: '' }, /^The tolerance is missing\.$/],
    ],
  ],
  ['takeShow', takeQuestion, { id }, [[{ id: 'x' }, /UUID/]]],
  [
    'whichInstrument',
    whichInstrument,
    { size: '12', unit: 'mm', percent: '1' },
    [
      [{ size: '' }, /^The size is missing\.$/],
      [{ percent: undefined }, /^The relative uncertainty is missing\.$/],
    ],
  ],
  [
    'studentChange',
    studentChange,
    { spoken: true },
    [
      [{ spoken: undefined }, /Say what is to be changed/],
      [{ spoken: 'yes' }, /./],
    ],
  ],
  [
    'newEntry',
    newEntry,
    {
      ...entry,
      tag: 'C-07',
      supplied: true,
      replaces: id,
      reason: 'read again',
      takenId: null,
      attemptId: null,
    },
    [
      [{ trial: 0.5 }, /^A trial has a whole number\.$/],
      [{ trial: -1 }, /^Trials count from 1\.$/],
      [{ trial: 201 }, /^A logbook holds 200 trials\.$/],
      [{ trial: '1' }, /./],
      [{ trial: undefined }, /^The trial is missing\.$/],
      [{ column: '' }, /^The column is missing\.$/],
      [{ text: '  ' }, /^Nothing is written yet\.$/],
      [{ text: long(2001) }, /at most 2000/],
      [{ text: 'a\0b' }, /a character that cannot be stored/],
      [{ reason: long(201) }, /at most 200/],
      [{ replaces: 'x' }, /UUID/],
      [{ writtenAt: 'yesterday' }, /^The time could not be read\.$/],
      [{ writtenAt: undefined }, /^The time is missing\.$/],
      [{ supplied: 'yes' }, /./],
    ],
  ],
  [
    'newBlock',
    newBlock,
    { id, entries: [entry] },
    [
      [{ entries: [] }, /^There is nothing to write\.$/],
      [{ entries: undefined }, /./],
      [{ entries: Array.from({ length: 2401 }, () => entry) }, /^At most 2400 cells at once\.$/],
      [{ entries: [{ ...entry, trial: 900 }] }, /^A logbook holds 200 trials\.$/],
    ],
  ],
  [
    'newPassword',
    newPassword,
    { current: 'amber lantern', next: 'a longer one' },
    [
      [{ current: undefined }, /^The password that you have now is missing\.$/],
      [{ next: 'short' }, /^A password has at least 10 characters\.$/],
    ],
  ],
  [
    'newInvestigation',
    newInvestigation,
    { id, replaces: null, body: { title: 'x' } },
    [
      [{ body: undefined }, /^The investigation is missing\.$/],
      [{ body: 'x' }, /./],
      [{ replaces: 'x' }, /UUID/],
    ],
  ],
  [
    'investigationChange',
    investigationChange,
    { retired: false },
    [[{ retired: undefined }, /Say whether it is still set/]],
  ],
  [
    'newClass',
    newClass,
    { name: ' 9 Tern ' },
    [
      [{ name: '  ' }, /^The name of the class is missing\.$/],
      [{ name: long(61) }, /at most 60/],
    ],
  ],
  [
    'newStudents',
    newStudents,
    { names: ['Ada L', ' Bo '] },
    [
      [{ names: [] }, /^Write at least one name\.$/],
      [{ names: [''] }, /^The name is missing\.$/],
      [{ names: Array.from({ length: 61 }, () => 'x') }, /^At most 60 names at once\.$/],
    ],
  ],
  ['newSlips', newSlips, { studentIds: [id], everyone: false }, [[{ studentIds: ['x'] }, /UUID/]]],
];

describe.each(requests)('%s', (_, schema, good, bad) => {
  it('takes what is good', async () => {
    await expect(schema.validate(good)).resolves.toBeDefined();
  });
  it.each(bad)('refuses %j, kindly and exactly', async (change, sentence) => {
    await expect(
      schema.validate({ ...good, ...change }, { strict: false, abortEarly: true }),
    ).rejects.toThrow(sentence);
  });
});

describe('names', () => {
  it('lose the spaces at their ends', async () => {
    expect(await newClass.validate({ name: ' 9 Tern ' })).toEqual({ name: '9 Tern' });
    expect(await newStudents.validate({ names: [' Bo '] })).toEqual({ names: ['Bo'] });
  });
});

describe('an entry without what may be left out', () => {
  it('is the reader’s own, and strikes nothing', async () => {
    const given = await newEntry.validate(entry);
    expect(
      [given.supplied ?? false, given.tag, given.reason, given.replaces].map((own) => own ?? null),
    ).toEqual([false, null, null, null]);
  });
  it('loses what nobody asked for', async () => {
    expect(
      await newEntry.validate({ ...entry, origin: 'balance' }, { stripUnknown: true }),
    ).not.toHaveProperty('origin');
  });
});

describe('ids', () => {
  it.each([
    [id, true],
    [id.toUpperCase(), false],
    ['3f2b8c1e-5d4a-0b6c-8e9f-0a1b2c3d4e5f', false],
    ['3f2b8c1e5d4a4b6c8e9f0a1b2c3d4e5f', false],
    ['', false],
  ])('%s: %s', (text, is) => expect(isId(text)).toBe(is));
});

describe('addresses', () => {
  it('are filled with names, each made safe', () => {
    expect(at(paths.entries, { logbookId: 'a/b ?' })).toBe('/api/logbooks/a%2Fb%20%3F/entries');
    expect(at(paths.photo, { logbookId: 'l', photoId: 'p' })).toBe('/api/logbooks/l/photos/p');
    expect(() => at(paths.entries, {})).toThrow('needs “logbookId”');
  });
  it('are all under one root, and no two the same', () => {
    const all = Object.values(paths);
    expect(new Set(all).size).toBe(all.length);
    for (const path of all) expect(path).toMatch(/^\/api\/[a-zA-Z/:]+$/);
  });
});

it('every problem has a status of its kind and one sentence that ends', () => {
  for (const [status, sentence] of Object.values(problems)) {
    expect(status).toBeGreaterThanOrEqual(400);
    expect(status).toBeLessThan(600);
    expect(sentence).toMatch(/^[A-Z].*[.?]$/);
  }
});
