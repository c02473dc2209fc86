import { describe, expect, it } from 'vitest';
import { helpedByQuestion, helpedOf, isOpenAim, type AimOutcome } from './aims';

const day = 86_400_000;
const told = Date.parse('2026-11-03T09:20:00Z');
const aim = (...outcomes: readonly (readonly [days: number, outcome: AimOutcome])[]) => ({
  at: told,
  outcomes: outcomes.map(([days, outcome]) => ({ at: told + days * day, outcome })),
});

describe('the next setting aims at a misreading', () => {
  it.each([
    ['at once', 0, aim(), true],
    ['after one right', 0.1, aim([0.05, 'right']), true],
    ['no more after two right in a row', 0.1, aim([0.05, 'right'], [0.06, 'right']), false],
    ['after right, wrong, right', 0.1, aim([0.01, 'right'], [0.02, 'again'], [0.03, 'right']), true],
    ['after wrong otherwise', 0.1, aim([0.01, 'right'], [0.02, 'otherwise']), true],
    ['not on the ninth day, where it was past', 9, aim([0.05, 'right'], [0.06, 'right']), false],
    ['once more on the tenth', 10, aim([0.05, 'right'], [0.06, 'right']), true],
    ['once', 14, aim([0.05, 'right'], [12, 'again']), false],
    ['no more after four weeks', 28, aim(), false],
  ])('%s', (_, days, own, open) => expect(isOpenAim(own, told + days * day)).toBe(open));
});

it('says how those who misread read since, and two weeks on', () => {
  const aims = [
    aim([0.01, 'again'], [0.02, 'right'], [12, 'right']),
    aim([0.01, 'right'], [13, 'again']),
    aim([0.01, 'again']),
    aim([0.01, 'otherwise']),
    aim(),
  ];
  expect(helpedOf(aims, told + day)).toEqual({ soon: { right: 2, again: 1, notYet: 2 }, later: null });
  expect(helpedOf(aims, told + 14 * day)).toEqual({
    soon: { right: 2, again: 1, notYet: 2 },
    later: { right: 1, again: 1, notYet: 3 },
  });
});

it('gathers by question what most misread there, the newest first, and forgets what is four weeks old', () => {
  const made = (questionId: string, code: string, days: number) => ({
    ...{ kind: 'ruler', code, title: `You ${code}.`, questionId },
    at: told + days * day,
    outcomes: [],
  });
  const aims = [
    made('old', 'a', -30),
    made('one', 'a', 0),
    made('one', 'b', 0.01),
    made('one', 'b', 0),
    made('two', 'a', 3),
  ];
  expect(helpedByQuestion(aims, told + 4 * day)).toMatchObject([
    { questionId: 'two', misread: 1, at: told + 3 * day, later: null },
    { questionId: 'one', title: 'You b.', misread: 2, at: told, soon: { notYet: 2 } },
  ]);
});
