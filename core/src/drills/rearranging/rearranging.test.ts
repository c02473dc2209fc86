import { describe, expect, it } from 'vitest';
import { lineTex, substitute } from '../../figures';
import { readyMade } from '../../record/readyMade';
import { checkRearranged, mostRearranged, rearrangingFor, rearrangings, rearrangingsOf } from '.';

describe('rearranging', () => {
  const solve = (left: string, formula: string, wanted: string) =>
    rearrangingsOf(left, formula).find((item) => item.wanted === wanted)!;
  it.each([
    ['ρ', 'm / V', 'V', 'm / ρ', 'right'],
    ['ρ', 'm / V', 'V', 'V = m/ρ', 'right'],
    ['ρ', 'm / V', 'V', '1 / (ρ / m)', 'right'],
    ['ρ', 'm / V', 'V', 'ρ / m', 'upside-down'],
    ['ρ', 'm / V', 'V', 'm × ρ', 'multiplied-for-divided'],
    ['ρ', 'm / V', 'm', 'ρ / V', 'divided-for-multiplied'],
    ['V', 'L × W × h', 'h', 'V / L / W', 'right'],
    ['V', 'L × W × h', 'h', 'V / (W·L)', 'right'],
    ['V', 'L × W × h', 'L', 'V / W', 'part-left-behind'],
    ['V', 'π × d^2 × h / 4 exact', 'h', '4 × V / (π × d^2)', 'right'],
    ['V', 'π × d^2 × h / 4 exact', 'h', '4 × V / π / d / d', 'right'],
    ['V', 'π × d^2 × h / 4 exact', 'd', 'sqrt(4 × V / (π × h))', 'right'],
    ['V', 'π × d^2 × h / 4 exact', 'd', '4 × V / (π × h)', 'square-lost'],
    ['V', 'π × d^2 × h / 4 exact', 'd', '2 × V / (π × h)', 'root-for-half'],
    ['ρ', 'm / (L × W × h)', 'h', 'm / (ρ × L × W)', 'right'],
    ['V', 'V₂ − V₁', 'V₂', 'V + V₁', 'right'],
    ['V', 'V₂ − V₁', 'V₂', 'V − V₁', 'sign-not-turned'],
    ['V', 'V₂ − V₁', 'V₁', 'V₂ − V', 'right'],
    ['V', 'V₂ − V₁', 'V₁', 'V − V₂', 'difference-reversed'],
    ['V', 'm / water(t)', 'm', 'V × water(t)', 'right'],
    ['V', 'm / water(t)', 'm', 'V / water(t)', 'divided-for-multiplied'],
    ['M', 'm × (1 − ρ / water(t))', 'ρ', 'water(t) × (1 − M / m)', 'right'],
  ])('%s = %s for %s: %s is %s', (left, formula, wanted, text, expected) => {
    const verdict = checkRearranged(solve(left, formula, wanted), text);
    expect([
      verdict.outcome,
      ...(verdict.outcome === 'wrong' ? verdict.causes.map(({ code }) => code) : []),
    ]).toContain(expected);
  });

  it('puts one formula into another', () => {
    expect(substitute('m / V', 'V', 'L × W × h')).toBe('m / (L × W × h)');
    expect(substitute('a − b', 'b', 'c + d')).toBe('a − (c + d)');
    expect(substitute('a^2', 'a', 'b × c')).toBe('(b × c)^2');
  });

  it('solves every formula of every ready-made investigation for every letter that stands there once', () => {
    let solved = 0;
    for (const { tables } of readyMade)
      for (const { columns } of tables)
        for (const column of columns)
          if (column.kind === 'derived')
            for (const item of rearrangingsOf(column.key, column.formula)) {
              solved += 1;
              expect([item.id, checkRearranged(item, item.answer)]).toEqual([
                item.id,
                { outcome: 'right', remarks: [] },
              ]);
            }
    expect(solved).toBeGreaterThan(20);
  });

  it('says what it cannot read, and where', () => {
    expect(checkRearranged(rearrangings[1]!, 'm / q')).toMatchObject({
      outcome: 'unreadable',
      problem: { at: 4 },
    });
    expect(checkRearranged(rearrangings[1]!, '')).toMatchObject({ outcome: 'unreadable' });
  });

  it('accepts its own answers, tells its own mistakes, and can be set', () => {
    for (const item of rearrangings) {
      expect(item.mistakes.length).toBeGreaterThan(0);
      expect(checkRearranged(item, item.answer)).toEqual({ outcome: 'right', remarks: [] });
      for (const { code, expression } of item.mistakes)
        expect(checkRearranged(item, expression)).toMatchObject({
          causes: expect.arrayContaining([expect.objectContaining({ code })]),
        });
      for (const { line } of item.steps) expect(lineTex(line)).toContain('=');
    }
  });

  it('takes formulas up to a stated length, and says so of longer ones, however they are nested', () => {
    const letters = (count: number) => Array.from({ length: count }, (_, at) => `b${at}`);
    const shapes = [
      (count: number) => letters(count).join(' + '),
      (count: number) => `${letters(count).join(' + (')}${')'.repeat(count - 1)}`,
      (count: number) => letters(count).join(' / '),
    ];
    for (const formula of shapes) {
      const item = rearrangingFor('a', formula(mostRearranged), 'b3')!;
      expect(checkRearranged(item, item.answer)).toEqual({ outcome: 'right', remarks: [] });
      expect(() => rearrangingFor('a', formula(mostRearranged + 1), 'b3')).toThrow(
        `A formula to rearrange holds at most ${mostRearranged} numbers and letters.`,
      );
      expect(rearrangingsOf('a', formula(mostRearranged + 1))).toEqual([]);
    }
  });
});
