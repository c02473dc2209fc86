import { afterEach, describe, expect, it } from 'vitest';
import { endOfDay, isFor, progressOf } from './task';

const now = new Date('2026-11-03T10:00:00Z');
const read = (counts: Record<string, number>) => (kind: string) => counts[kind] ?? 0;
const task = { kinds: ['ruler', 'burette'] as const, due: null };

describe('practice that is set', () => {
  it('is done after so many settings of each, whatever came of them', () => {
    const progress = (counts: Record<string, number>) =>
      progressOf({ ...task, settings: 3 }, read(counts), () => 'shaky', now);
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
      progressOf({ ...task, settings: null }, read({}), (kind) => (kind === 'ruler' ? 'steady' : state), now);
    expect([progress('begun').done, progress('steady').done]).toEqual([false, true]);
  });

  it('is late after its last instant, unless it is done', () => {
    const late = (due: string, counts: Record<string, number>) =>
      progressOf({ kinds: ['ruler'], settings: 1, due }, read(counts), () => 'begun', now).late;
    expect(late('2026-11-03T10:00:00.000Z', {})).toBe(false);
    expect(late('2026-11-03T09:59:59.999Z', {})).toBe(true);
    expect(late('2026-11-03T09:59:59.999Z', { ruler: 1 })).toBe(false);
  });

  it('is for the class, or for a bench as it sits now', () => {
    expect(isFor({ benches: [] }, null)).toBe(true);
    expect(isFor({ benches: ['b'] }, 'b')).toBe(true);
    expect(isFor({ benches: ['b'] }, 'c')).toBe(false);
    expect(isFor({ benches: ['b'] }, null)).toBe(false);
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
