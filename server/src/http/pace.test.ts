import { expect, it } from 'vitest';
import { Paces } from './pace';

it('lets each person do so much in so long, and says when they may go on', () => {
  const paces = new Paces();
  const pace = { most: 3, inMs: 10_000, says: 'Slowly.' };
  const act = (who: string, at: number) => () => paces.count('setting', who, at, pace);
  for (const at of [0, 1_000, 2_000]) expect(act('ada', at)).not.toThrow();
  expect(act('ada', 3_000)).toThrow('Slowly.');
  expect(act('bo', 3_000)).not.toThrow();
  try {
    act('ada', 3_000)();
  } catch (error) {
    expect(error).toMatchObject({ status: 429, headers: { 'retry-after': '7' } });
  }
  expect(act('ada', 10_001)).not.toThrow();
});
