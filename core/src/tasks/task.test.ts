import { afterEach, describe, expect, it } from 'vitest';
import {
  answeredWords,
  endOfDay,
  hasBegun,
  hasOwnRules,
  isFor,
  makeNames,
  makesOf,
  practisedKinds,
  practisedNamed,
  progressOf,
} from './task';

const now = new Date('2026-11-03T10:00:00Z');
const read = (counts: Record<string, number>) => (kind: string) => counts[kind] ?? 0;
const task = { kinds: ['ruler', 'burette'], investigations: [], due: null };
const work = (
  counts: Record<string, number>,
  stateOf: (kind: string) => 'steady' | 'begun' | 'shaky' = () => 'shaky',
  handed: readonly string[] = [],
) => ({ readOf: read(counts), stateOf, handedIn: (family: string) => handed.includes(family) });

describe('practice that is set', () => {
  it('is done after so many settings of each, whatever came of them', () => {
    const progress = (counts: Record<string, number>) =>
      progressOf({ ...task, settings: 3 }, work(counts), now);
    expect(progress({ ruler: 3, burette: 2 })).toMatchObject({
      done: false,
      kinds: [
        { read: 3, done: true },
        { read: 2, done: false },
      ],
    });
    expect(progress({ ruler: 4, burette: 3 }).done).toBe(true);
  });

  it('is done once each is steady, also for who was so before', () => {
    const progress = (state: 'steady' | 'begun') =>
      progressOf(
        { ...task, settings: null },
        work({}, (kind) => (kind === 'ruler' ? 'steady' : state)),
        now,
      );
    expect([progress('begun').done, progress('steady').done]).toEqual([false, true]);
  });

  it('is late after its last instant, unless it is done', () => {
    const late = (due: string, counts: Record<string, number>) =>
      progressOf({ ...task, kinds: ['ruler'], settings: 1, due }, work(counts), now).late;
    expect(late('2026-11-03T10:00:00.000Z', {})).toBe(false);
    expect(late('2026-11-03T09:59:59.999Z', {})).toBe(true);
    expect(late('2026-11-03T09:59:59.999Z', { ruler: 1 })).toBe(false);
  });

  it('is done when every investigation in it was handed in, too', () => {
    const books = { ...task, kinds: [], settings: null, investigations: ['pin', 'oil'] };
    expect(progressOf(books, work({}, undefined, ['pin']), now)).toMatchObject({
      done: false,
      books: [
        { family: 'pin', done: true },
        { family: 'oil', done: false },
      ],
    });
    expect(progressOf(books, work({}, undefined, ['pin', 'oil']), now).done).toBe(true);
  });

  it.each([
    ['the class', [], [], null, true],
    ['a bench as it sits now', ['b'], [], 'b', true],
    ['another bench', ['b'], [], 'c', false],
    ['a bench, for who sits at none', ['b'], [], null, false],
    ['by themselves', [], ['me'], null, true],
    ['another by themselves', [], ['you'], 'b', false],
    ['another, or their bench', ['b'], ['you'], 'b', true],
  ])('is for %s', (_, benches, students, bench, whether) => {
    expect(isFor({ benches, students }, { id: 'me', bench })).toBe(whether);
  });

  it.each([
    [3, 'at once', [], false, false],
    [2, 'at once', [], false, true],
    [3, 'held', [], false, true],
    [3, 'at once', ['cylinder-50-1'], false, true],
    [3, 'at once', [], true, true],
  ] as const)(
    'with %i tries, told %s, of %j, in order %s, has rules of its own: %s',
    (tries, answers, makes, inOrder, whether) => {
      expect(hasOwnRules({ tries, answers, makes, inOrder })).toBe(whether);
    },
  );

  it.each([
    [['ruler'], 3, 'at once', ''],
    [['ruler'], 2, 'at once', '2 tries each'],
    [['ruler'], 1, 'at once', 'one try each'],
    [['ruler'], 3, 'held', 'one answer each'],
    [[], 1, 'held', ''],
  ] as const)('of %j, with %i tries, told %s, is answered “%s”', (kinds, tries, answers, words) => {
    expect(answeredWords({ kinds, tries, answers })).toBe(words);
  });

  it('is called by its names, also by one that is gone', () => {
    expect(practisedNamed('counting')).toMatchObject({ name: 'Count the figures', of: 'drill' });
    expect(practisedNamed('astrolabe').name).toBe('astrolabe');
    const [first, second] = makesOf(['micrometer']);
    expect(makeNames({ makes: [second!.id, first!.id] }, ['micrometer'])).toBe(
      `${first!.name}, ${second!.name}`,
    );
    expect(makeNames({ makes: [first!.id] }, ['ruler'])).toBe('');
  });

  it('may be of one make, where there are several', () => {
    const ids = makesOf(['graduated-cylinder', 'counting']).map(({ id }) => id);
    expect(ids).toContain('cylinder-50-1');
    expect(new Set(ids).size).toBe(ids.length);
    const all = makesOf(practisedKinds.map(({ kind }) => kind)).map(({ id }) => id);
    expect(new Set(all).size).toBe(all.length);
  });

  it('is shown from its first instant', () => {
    const begun = (from: string | null) => hasBegun({ from }, now);
    expect([null, '2026-11-03T10:00:00.000Z', '2026-11-03T10:00:00.001Z'].map(begun)).toEqual([
      true,
      true,
      false,
    ]);
  });
});

describe('the end of a day', () => {
  const zone = process.env['TZ'];
  afterEach(() => {
    if (zone === undefined) delete process.env['TZ'];
    else process.env['TZ'] = zone;
  });

  it.each([
    // The clock goes forward at one in the morning (UTC), so that the day has 23 hours; back, so that it has 25.
    ['Europe/Vienna', '2026-03-29', '2026-03-29T21:59:59.999Z'],
    ['Europe/Vienna', '2026-03-28', '2026-03-28T22:59:59.999Z'],
    ['Europe/Vienna', '2026-10-25', '2026-10-25T22:59:59.999Z'],
    ['America/Los_Angeles', '2026-12-31', '2027-01-01T07:59:59.999Z'],
  ])('in %s, %s', (place, day, instant) => {
    process.env['TZ'] = place;
    expect(endOfDay(day).toISOString()).toBe(instant);
  });
});
