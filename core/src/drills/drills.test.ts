import { describe, expect, it } from 'vitest';
import { presetNamed, presets, revise } from '../conventions';
import { judgeWorked, commonMistakes } from '../answer';
import { drillOf, drills, itemElsewhere, makeItem, type DrillItem } from '.';

const bench = presetNamed('Chemistry bench');
const items = drills.flatMap((drill) =>
  presets.flatMap((conventions, at) =>
    Array.from({ length: 40 }, (_, seed) => ({
      drill,
      conventions,
      item: makeItem(drill, conventions, seed % 3, 1000 * at + seed),
    })),
  ),
);
const codes = (item: DrillItem, text: string, conventions = bench): string[] => {
  const verdict = judgeWorked(item, text, item.unit, conventions, item.headed);
  return verdict.outcome === 'wrong' ? verdict.causes.map(({ code }) => code) : [verdict.outcome];
};

describe('the same item elsewhere', () => {
  it('is written by its own rules as it is here, and never for another item', () => {
    for (const drill of drills)
      for (const [at, conventions] of presets.entries())
        for (let seed = 0; seed < 20; seed += 1) {
          const from = { kind: drill.kind, level: seed % 3, seed: 1000 * at + seed };
          const item = makeItem(drill, conventions, from.level, from.seed);
          const own = [item.text, item.unit].filter((part) => part !== '').join(' ');
          expect(itemElsewhere(item, from)).toContainEqual({ preset: conventions.preset, text: own });
        }
  });

  it('is read to the half where a class reads so, and has a sign where one is written', () => {
    const rows = (kind: string) =>
      Array.from({ length: 60 }, (_, seed) => {
        const from = { kind, level: 0, seed };
        return itemElsewhere(makeItem(drillOf(kind), bench, 0, seed), from);
      });
    const text = (preset: string) => (of: ReturnType<typeof itemElsewhere>) =>
      of.find((row) => row.preset === preset)?.text ?? '';
    for (const of of rows('claims').filter((one) => one.some((row) => row.text.endsWith('°C'))))
      expect([text('Chemistry bench')(of), text('Half-division')(of)]).toEqual([
        expect.stringMatching(/^\d\d\.\d °C$/),
        expect.stringMatching(/^\d\d\.[05] °C$/),
      ]);
    for (const of of rows('percent-error'))
      expect([text('Chemistry bench')(of), text('First course')(of)]).toEqual([
        expect.stringMatching(/^[+-]/),
        expect.stringMatching(/^[\d.]/),
      ]);
  });
});

describe('every drill', () => {
  it('never refuses a right answer, in any accepted writing', () => {
    for (const { item, conventions } of items) {
      const { text } = item;
      const comma = /^[+-]?[1-9]\d{0,2}\.\d{3}(?!\d)/.test(text) ? text : text.replace('.', ',');
      for (const writing of [
        text,
        ` ${text} `,
        comma,
        `${text}${item.unit === '' ? '' : ` ${item.unit}`}`,
        text.replace('-', '−'),
      ])
        expect([item.given, writing, codes(item, writing, conventions)]).toEqual([
          item.given,
          writing,
          ['right'],
        ]);
      if (item.form === 'any' && item.lastPlace !== null && !text.includes('×') && !text.endsWith('.'))
        expect([text, codes(item, `${text}e0`, conventions)]).toEqual([text, ['right']]);
    }
  });

  it.each(drills.map((drill) => [drill.name, drill.kind] as const))(
    '%s: names each mistake that applies, alone in at least 95 of 100',
    (_, kind) => {
      let [applied, alone] = [0, 0];
      for (const { item, conventions } of items.filter(({ drill }) => drill.kind === kind)) {
        for (const { code, text } of item.mistakes) {
          const named = codes(item, text, conventions);
          expect([item.given, text, named]).toEqual([item.given, text, expect.arrayContaining([code])]);
          applied += 1;
          alone += Number(named.filter((name) => name !== 'sign-missing').length === 1);
        }
      }
      expect(applied).toBeGreaterThan(100);
      expect(alone / applied).toBeGreaterThanOrEqual(0.95);
    },
  );

  it('names the common mistakes where no other account comes first', () => {
    let [applied, named] = [0, 0];
    for (const { item, conventions } of items.filter((_, at) => at % 9 === 0)) {
      if (item.lastPlace === null || item.form !== 'any') continue;
      for (const code of [
        'truncated',
        'whole-display',
        'factor-of-ten',
        'digits-swapped',
        'slip-of-a-digit',
        'trailing-zeros-dropped',
      ]) {
        const mistake = commonMistakes(item).find((candidate) => candidate.code === code);
        if (!mistake) continue;
        applied += 1;
        named += Number(codes(item, mistake.text, conventions).includes(code));
      }
    }
    expect(named / applied).toBeGreaterThan(0.9);
  });

  it('gives the same item for the same seed, and others otherwise', () => {
    for (const drill of drills) {
      expect(makeItem(drill, bench, 1, 5)).toEqual(makeItem(drill, bench, 1, 5));
      const given = [1, 2, 3, 4, 5, 6].map((seed) => JSON.stringify(makeItem(drill, bench, 1, seed).given));
      expect(new Set(given).size).toBeGreaterThan(3);
    }
  });

  it('has words for each mistake, and a working that ends in the answer', () => {
    for (const { item } of items) {
      expect(item.working.at(-1)).toContain(item.text.replace('+', ''));
      for (const { code, title, hint } of item.mistakes) {
        expect(code).toMatch(/^[a-z0-9.]+(-[a-z0-9.]+)*$/);
        expect(title).toMatch(/^[A-Z0-9].*\.$/);
        expect(hint.length).toBeGreaterThan(20);
      }
    }
  });
});

describe('what is said besides the value', () => {
  const item = items.find(
    ({ drill, conventions }) => drill.kind === 'sums' && conventions === presets[0],
  )!.item;

  it.each([
    ['', ['unit-missing']],
    ['mL', ['unit-wrong']],
    ['gr', ['right']],
  ])('unit “%s”', (unit, expected) => {
    const verdict = judgeWorked(item, item.text, unit, bench);
    expect(verdict.outcome === 'wrong' ? verdict.causes.map(({ code }) => code) : [verdict.outcome]).toEqual(
      expected,
    );
  });

  it('takes another unit of ten', () => {
    const kilograms = (Number(item.text) / 1000).toFixed((item.text.split('.')[1]?.length ?? 0) + 3);
    expect(judgeWorked(item, kilograms, 'kg', bench).outcome).toBe('right');
  });

  it('refuses a spelling where the class does', () => {
    expect(judgeWorked(item, item.text, 'gr', revise(bench, { symbolSpelling: 'refuse' }))).toMatchObject({
      causes: [{ code: 'unit-misspelt' }],
    });
  });

  it.each(['12..3', '', '<b>', '1,234'])('cannot read “%s”, and says so', (text) => {
    expect(judgeWorked(item, text, 'g', bench).outcome).toBe('unreadable');
  });
});
