import {
  type BenchAnswer,
  type ClassName,
  type ConventionsAnswer,
  type HouseRulesAnswer,
  type LogbookAnswer,
  type LogbooksAnswer,
  type SessionAnswer,
  at,
  paths,
} from '@green-beam/contract';
import { presetNamed, revise } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let teacher: Browser;
let student: Browser;
let path: string;
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher();
  student = await harness.asStudent('Delphi Marsh');
  const { body } = await teacher.get<SessionAnswer>(paths.session);
  path = at(paths.houseRules, { classId: body.who?.classes[0]?.id ?? '' });
});
afterAll(() => harness.close());

const rulesNow = async () => (await teacher.get<HouseRulesAnswer>(path)).body;

describe('the house rules of a class', () => {
  it('are kept as versions: old work stays with its own, new work follows the newest', async () => {
    const [before] = (await rulesNow()).versions;
    expect(before).toMatchObject({ rules: { version: 1, preset: 'Chemistry bench' } });
    expect(before?.logbooks).toBeGreaterThan(0);
    const rules = revise(presetNamed('Half-division'), { rounding: 'half-even' });
    const made = await teacher.post<HouseRulesAnswer>(path, { rules, from: 1 });
    expect(made.body.versions.map((version) => version.rules.version)).toEqual([2, 1]);
    expect(made.body.versions[0]).toMatchObject({
      logbooks: 0,
      rules: { analogueStep: 'half', rounding: 'half-even' },
    });
    expect(made.body.versions[1]).toMatchObject({ logbooks: before?.logbooks });
    const own = await student.get<ConventionsAnswer>(paths.conventions);
    expect(own.body.conventions).toMatchObject({ version: 2, analogueStep: 'half' });
    const [book] = (await student.get<LogbooksAnswer>(paths.logbooks)).body.logbooks;
    const opened = await student.get<LogbookAnswer>(at(paths.logbook, { logbookId: book?.logbookId ?? '' }));
    expect(opened.body.conventions).toMatchObject({ version: 1, analogueStep: 'written-place' });
    expect((await student.get<BenchAnswer>(paths.bench)).status).toBe(200);
  });

  it('are changed from what stands, not from what was seen earlier, however many save at once', async () => {
    const [now] = (await rulesNow()).versions;
    const from = now?.rules.version ?? 0;
    const answers = await Promise.all(
      [1, 2, 3].map(() => teacher.post(path, { rules: presetNamed('Physics bench'), from })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
    expect((await rulesNow()).versions[0]?.rules.version).toBe(from + 1);
  });

  it('are refused in words where an answer is none, and changed by nobody else', async () => {
    const [now] = (await rulesNow()).versions;
    const send = (part: object) =>
      teacher.post<{ detail: string }>(path, { rules: { ...now?.rules, ...part }, from: now?.rules.version });
    expect((await send({ rounding: 'up' })).body.detail).toContain('Which way does a tie round?');
    expect((await send({ strictness: 7 })).body.detail).toContain('a twentieth of a division');
    expect((await send({ overrides: [{ kind: 'burette', step: '0' }] })).body.detail).toContain(
      'more than nothing',
    );
    expect((await student.get(path)).status).toBe(403);
  });

  it('answer what was not asked yet when they were made', async () => {
    const row = await harness.database.models.classConventions.findOne({ where: { version: 1 } });
    const older = Object.entries(row!.body as object).filter(
      ([key]) => !['onesZero', 'howCompare'].includes(key),
    );
    await row!.update({ body: Object.fromEntries(older) as never });
    const versions = (await rulesNow()).versions;
    expect(versions.at(-1)?.rules).toMatchObject({ onesZero: 'bare', howCompare: 'tests' });
  });
});

it('a new class begins with the rules that its teacher chose', async () => {
  const made = await teacher.post<ClassName>(paths.classes, { name: '10 Dunlin', preset: 'Metrology' });
  const answer = await teacher.get<HouseRulesAnswer>(at(paths.houseRules, { classId: made.body.id }));
  expect(answer.body.versions[0]?.rules).toMatchObject({ preset: 'Metrology', plusMinus: 'standard' });
  expect((await teacher.post(paths.classes, { name: '10 Dunlin', preset: 'Juggling' })).status).toBe(422);
});
