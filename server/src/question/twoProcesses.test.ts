import type {
  ClassQuestionAnswer,
  SessionAnswer,
  SettingAnswer,
  StaffQuestionAnswer,
} from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { setTimeout } from 'node:timers/promises';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { nextEvent } from '../../test/events';
import { startHarness, type Browser, type Harness } from '../../test/harness';
import { readers } from '../demo/scenario';

let [dying, staying]: Harness[] = [];
beforeAll(async () => {
  dying = await startHarness();
  staying = await startHarness({ url: dying.url });
});
afterAll(async () => {
  await dying!.close();
  await staying!.close();
});

const withinMs = 2_000;

it('24 students answer within two seconds through two processes, one of them killed: each once, seen within two more', async () => {
  const teacher = await staying!.asTeacher();
  const { body } = await teacher.get<SessionAnswer>('/api/session');
  const path = `/api/classes/${body.who!.classes[0]!.id}/question`;
  await teacher.post(path, {
    id: randomUUID(),
    kind: 'graduated-cylinder',
    model: 'cylinder-50-1',
    indicates: '23.7',
  });
  const students = await Promise.all(
    readers.slice(0, 24).map(({ name }, at) => (at % 2 === 0 ? dying! : staying!).asStudent(name)),
  );
  const goes = await Promise.all(
    students.map(async (student) => {
      const { question } = (await student.get<ClassQuestionAnswer>('/api/question')).body;
      return (
        await student.post<SettingAnswer>(`/api/questions/${question!.id}/settings`, { id: randomUUID() })
      ).body.id;
    }),
  );
  const dots = await teacher.stream('/api/events');
  let retried = 0;
  /** As the page does it: sent again with its own id, to whoever answers, until it is acknowledged. */
  const answer = async (student: Browser, settingId: string, at: number) => {
    const attempt = { id: randomUUID(), text: `23.${at % 10}`, unit: 'mL', hands: null };
    await setTimeout((withinMs * at) / students.length);
    for (;;)
      try {
        const { status } = await student.post(`/api/bench/settings/${settingId}/attempts`, attempt);
        if (status === 200) return;
      } catch {
        retried += 1;
        student.goOnAt(staying!.address);
      }
  };
  const answering = students.map((student, at) => answer(student, goes[at]!, at));
  await setTimeout(withinMs / 2);
  dying!.die();
  await Promise.all(answering);
  expect(retried).toBeGreaterThan(0);
  const seen = async () => {
    for (;;) {
      const { question } = (await teacher.get<StaffQuestionAnswer>(path)).body;
      if (question!.answers.length >= students.length) return question!.answers;
      if (!(await nextEvent(dots, 'answers', withinMs))) return question!.answers;
    }
  };
  const answers = await seen();
  expect(answers.map(({ name }) => name).sort()).toEqual(
    readers
      .slice(0, 24)
      .map(({ name }) => name)
      .sort(),
  );
  expect(answers.map(({ text }) => text).sort()).toEqual(students.map((_, at) => `23.${at % 10}`).sort());
  await dots.cancel();
});
