import { describe, expect, it } from 'vitest';
import { seeded } from '../chance/random';
import { digitHabit, leastForDigits } from './digits';
import { readersCompared, sameTruth, type ReadOnce } from './readers';
import { compared } from './judged';

const read = (value: number, truth: number, other: Partial<ReadOnce> = {}): ReadOnce => ({
  id: `${value} ${truth}`,
  who: 'Ada Lind',
  bench: 'Bench 1',
  day: '2026-11-03',
  make: 'cylinder 50 mL',
  value,
  truth,
  division: 1,
  step: 0.1,
  ...other,
});

describe('readings at the bench, compared', () => {
  it('holds settings that differ against each other in divisions', () => {
    const { unit, groups } = readersCompared(
      [read(20.3, 20.26), read(31.1, 31.06), read(5.25, 5.2, { who: 'Bo Quill', division: 0.1, step: 0.01 })],
      'reader',
    );
    expect(unit).toBe('divisions');
    expect(groups.map(({ name, observations }) => [name, observations.map(({ value }) => value)])).toEqual([
      ['Ada Lind', ['0.04', '0.04']],
      ['Bo Quill', ['0.5']],
    ]);
    expect(groups.map(({ reference }) => reference?.value)).toEqual(['0', '0']);
    expect(groups[1]?.step).toBeCloseTo(0.1, 12);
  });

  it('keeps one setting in its unit, against what it indicated', () => {
    const { unit, groups } = sameTruth([read(20.3, 20.26), read(20.2, 20.26)], 'bench', 'mL');
    expect([unit, groups[0]?.reference?.value]).toEqual(['mL', '20.26']);
    // 20.25 on the mean, 0.01 low.
    expect(compared({ unit, groups }).shown[0]?.error).toBeCloseTo(-0.01, 12);
  });

  it('has a group for each make and each day, and none for who has no bench', () => {
    const readings = [read(1, 1, { bench: '' }), read(2, 2, { day: '2026-11-04' })];
    expect(readersCompared(readings, 'bench').groups.map(({ key }) => key)).toEqual(['Bench 1']);
    expect(readersCompared(readings, 'day').groups.map(({ key }) => key)).toEqual([
      '2026-11-03',
      '2026-11-04',
    ]);
  });
});

describe('a habit of last digits', () => {
  it('is told of whoever writes noughts and fives, with the statistic worked by hand', () => {
    // Each true digit five times; written: 0 for 0 to 2 and 9, 5 for the others. w = 20 and 30 against t = 5 each.
    const readings = Array.from({ length: leastForDigits }, (_, at) => {
      const digit = at % 10;
      return read(10 + ([0, 1, 2, 9].includes(digit) ? 0 : 0.5), 10 + digit / 10);
    });
    const habit = digitHabit(readings);
    // (20 − 5)²/25 + (30 − 5)²/35 + 8 · 5²/5 = 9 + 17.857… + 40.
    expect(habit?.test.statistic).toBeCloseTo(9 + 625 / 35 + 40, 10);
    expect(habit?.test.df).toBe(9);
    expect([habit?.carried, habit?.favoured]).toEqual([true, [5, 0]]);
  });

  it('counts only digits that the step allows', () => {
    const halves = Array.from({ length: 60 }, (_, at) =>
      read(at % 2 ? 0.5 : 0, at % 2 ? 0.5 : 0, { step: 0.5 }),
    );
    expect(digitHabit(halves)?.counts.map(({ digit }) => digit)).toEqual([0, 5]);
    expect(digitHabit(halves)?.carried).toBe(false);
    const fifths = halves.map((own) => ({ ...own, step: 0.02, value: 1.24, truth: 1.24 }));
    expect(
      digitHabit([...fifths, ...fifths.map((own) => ({ ...own, value: 1.26 }))])?.counts.map(
        ({ digit }) => digit,
      ),
    ).toEqual([0, 2, 4, 6, 8]);
    const whole = halves.map((own) => ({ ...own, step: 10, value: 110, truth: 110 }));
    expect(digitHabit(whole)).toBeNull();
  });

  it('says nothing below fifty readings', () => {
    expect(digitHabit(Array.from({ length: 49 }, (_, at) => read(at / 10, at / 10)))).toBeNull();
  });

  it('accuses fewer than one honest reader of a hundred, however coarse their eye, and finds most of the others', () => {
    const random = seeded(7);
    const reader = (sigma: number, habit: number) =>
      digitHabit(
        Array.from({ length: 80 }, () => {
          const truth = random.between(5, 45);
          const seen = Math.round((truth + sigma * random.normal()) * 10) / 10;
          return read(random.chance(habit) ? Math.round(seen * 2) / 2 : seen, truth);
        }),
      )?.carried;
    for (const sigma of [0, 0.1, 0.3, 1]) {
      const accused = Array.from({ length: 1000 }, () => reader(sigma, 0)).filter(Boolean).length;
      // 10 are allowed; twice their standard deviation above them.
      expect(accused, `σ = ${sigma}`).toBeLessThanOrEqual(17);
    }
    expect(Array.from({ length: 200 }, () => reader(0.1, 0.8)).filter(Boolean).length).toBeGreaterThan(180);
  });
});
