import type {
  ClassQuestionAnswer,
  ComparisonsAnswer,
  ReadingsAnswer,
  SettingAnswer,
  StaffQuestionAnswer,
} from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Browser, type Harness } from '../../test/harness';

let harness: Harness;
let teacher: Browser;
let classId: string;
let path: string;
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher();
  classId = (await harness.database.models.classes.findOne({ where: { code: 'TERN9' } }))!.id;
  path = `/api/classes/${classId}`;
});
afterAll(() => harness.close());

describe('the readings of a class', () => {
  it('are its first ones, each beside what was there to be read', async () => {
    const { body: asked } = await teacher.post<StaffQuestionAnswer>(`${path}/question`, {
      id: randomUUID(),
      kind: 'graduated-cylinder',
      model: 'cylinder-50-1',
      indicates: '37.2',
    });
    const read = async (name: string, ...texts: string[]) => {
      const student = await harness.asStudent(name);
      const { question } = (await student.get<ClassQuestionAnswer>('/api/question')).body;
      const { body } = await student.post<SettingAnswer>(`/api/questions/${question!.id}/settings`, {
        id: randomUUID(),
      });
      for (const text of texts)
        await student.post(`/api/bench/settings/${body.id}/attempts`, {
          id: randomUUID(),
          text,
          unit: 'mL',
          hands: null,
        });
    };
    await read('Delphi Marsh', '37.3', '37.2');
    await read('Bastian Wren', '36.9');
    const { body } = await teacher.get<ReadingsAnswer>(`${path}/readings?question=${asked.question!.id}`);
    expect(body.unit).toBe('mL');
    expect(
      body.readings.map(({ who, value, truth, division, step }) => [
        who,
        value,
        Number(truth.toFixed(3)),
        division,
        step,
      ]),
    ).toEqual([
      ['Delphi Marsh', 37.3, 37.2, 1, 0.1],
      ['Bastian Wren', 36.9, 37.2, 1, 0.1],
    ]);
    expect(body.readings[0]?.bench).toMatch(/^Bench/);
    expect(body.questions[0]).toMatchObject({ id: asked.question!.id, answers: 2 });

    const { body: all } = await teacher.get<ReadingsAnswer>(`${path}/readings?kind=graduated-cylinder`);
    const own = all.kinds.find(({ kind }) => kind === 'graduated-cylinder');
    expect(all.readings).toHaveLength(own!.readings);
    expect(all.readings.length).toBeGreaterThan(20);
    expect((await teacher.get<ReadingsAnswer>(`${path}/readings`)).body.readings).toEqual([]);
  });

  it.each(['question=seven', `kind=${'x'.repeat(60)}`, 'kind=a&kind=b'])(
    'refuse what is none: %s',
    async (query) => {
      expect(await teacher.get(`${path}/readings?${query}`)).toMatchObject({ status: 422 });
    },
  );
});

describe('a comparison', () => {
  const keep = (address: string, name = 'Three kinds of glass', id = randomUUID()) =>
    teacher.post<ComparisonsAnswer>(`${path}/comparisons`, { id, name, address });

  it('is kept under a name, once, and taken out', async () => {
    const id = randomUUID();
    const address = `/class/${classId}/compare/readings?kind=ruler&only=Ada`;
    await keep(address, ' Rulers ', id);
    const { body } = await keep(address, 'Rulers', id);
    expect(body.comparisons).toEqual([{ id, name: 'Rulers', address }]);
    const { body: none } = await teacher.delete(`${path}/comparisons/${id}`);
    expect(none).toEqual({ comparisons: [] });
  });

  it.each([
    ['/class/x', 'none of a comparison'],
    ['https://elsewhere.test/class/x/compare', 'none of a comparison'],
    ['javascript:alert(1)', 'none of a comparison'],
    ['', 'missing'],
  ])('leads nowhere else: %s', async (address, words) => {
    expect(await keep(address)).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining(words) },
    });
  });
});
