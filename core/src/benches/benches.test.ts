import { describe, expect, it } from 'vitest';
import { drawBenches, explained, type Seated } from './drawBenches';
import { rosterLines } from './rosterLines';

const students = (count: number): Seated[] =>
  Array.from({ length: count }, (_, at) => ({
    id: `s${at}`,
    steady: at % 2 ? ['ruler'] : ['burette'],
    shaky: at % 2 ? ['burette'] : ['ruler'],
  }));

describe('benches drawn at random', () => {
  it.each([
    [24, 3, [3, 3, 3, 3, 3, 3, 3, 3]],
    [23, 3, [3, 3, 3, 3, 3, 3, 3, 2]],
    [7, 4, [4, 3]],
    [2, 5, [2]],
    [1, 2, [1]],
  ])('seat everybody once and evenly: %i by %i', (count, size, sizes) => {
    for (let seed = 0; seed < 20; seed += 1) {
      const benches = drawBenches(students(count), { size, apart: [], by: 'chance' }, seed)!;
      expect(benches.map((bench) => bench.length)).toEqual(sizes);
      expect(benches.flat().sort()).toEqual(
        students(count)
          .map(({ id }) => id)
          .sort(),
      );
    }
  });

  it('keep apart who is to be kept apart, or say that it cannot be', () => {
    const apart = [
      ['s0', 's1'],
      ['s2', 's3'],
      ['s0', 's2'],
    ];
    for (let seed = 0; seed < 50; seed += 1)
      for (const bench of drawBenches(students(12), { size: 3, apart, by: 'chance' }, seed)!)
        expect(apart.some((pair) => pair.every((id) => bench.includes(id)))).toBe(false);
    expect(drawBenches(students(2), { size: 2, apart: [['s0', 's1']], by: 'chance' }, 1)).toBeNull();
  });

  it('differ from draw to draw, and are the same for the same seed', () => {
    const draw = (seed: number) => drawBenches(students(12), { size: 3, apart: [], by: 'chance' }, seed);
    expect(draw(1)).toEqual(draw(1));
    expect(draw(1)).not.toEqual(draw(2));
  });

  it('bring together who misreads with who can explain', () => {
    const all = students(12);
    const met = (by: 'chance' | 'explaining', seed: number) =>
      drawBenches(all, { size: 2, apart: [], by }, seed)!.reduce(
        (sum, bench) => sum + explained(bench.map((id) => all.find((own) => own.id === id)!)),
        0,
      );
    const seeds = Array.from({ length: 20 }, (_, seed) => seed);
    const mean = (by: 'chance' | 'explaining') =>
      seeds.reduce((sum, seed) => sum + met(by, seed), 0) / seeds.length;
    // Twelve at most; a partner of the other half comes by chance in 6 of 11, which is 6.5.
    expect(mean('chance')).toBeGreaterThan(4.5);
    expect(mean('chance')).toBeLessThan(8.5);
    expect(mean('explaining')).toBeGreaterThan(10);
  });
});

describe('a pasted list', () => {
  it('gives names with their benches, and every trouble by its line', () => {
    expect(
      rosterLines(
        'Name;Bench\nAda Lind; Bench 1\n\nBo Quill\tBench 1\nada  LIND\n;Bench 2\nCy Marl\n' + 'x'.repeat(61),
        ['cy marl'],
      ),
    ).toEqual([
      { line: 2, name: 'Ada Lind', bench: 'Bench 1', problem: null },
      { line: 4, name: 'Bo Quill', bench: 'Bench 1', problem: null },
      {
        line: 5,
        name: 'ada  LIND',
        bench: '',
        problem: '“ada  LIND” stands in line 2 already. Add a letter or a second name to tell them apart.',
      },
      { line: 6, name: '', bench: 'Bench 2', problem: 'There is no name.' },
      {
        line: 7,
        name: 'Cy Marl',
        bench: '',
        problem: '“Cy Marl” is in this class already. Add a letter or a second name to tell them apart.',
      },
      { line: 8, name: 'x'.repeat(61), bench: '', problem: 'A name is at most 60 characters long.' },
    ]);
    expect(rosterLines('', [])).toEqual([]);
  });
});
