import { describe, expect, it } from 'vitest';
import { conversionFactor, findUnit, units } from './units';

const unit = (text: string) => findUnit(text)!.unit;

describe('units', () => {
  it.each([
    ['mL', 'cm³', '1'],
    ['L', 'mL', '1000'],
    ['kg', 'g', '1000'],
    ['in', 'cm', '2.54'],
    ['g/cm³', 'kg/m³', '1000'],
    ['g/mL', 'g/cm³', '1'],
    ['mm³', 'cm³', '0.001'],
    ['µm', 'mm', '0.001'],
  ])('1 %s is %s × %s', (from, to, factor) => {
    expect(conversionFactor(unit(from), unit(to)).toFixed()).toBe(factor);
  });

  it('knows usual spellings from standard symbols', () => {
    expect(findUnit('ml')).toMatchObject({ standardSpelling: false, unit: { symbol: 'mL' } });
    expect(findUnit('mL')).toMatchObject({ standardSpelling: true });
    expect(findUnit('furlong')).toBeUndefined();
  });

  it('refuses to convert one quantity into another', () => {
    expect(() => conversionFactor(unit('g'), unit('mL'))).toThrow(/g measures mass, mL measures volume/);
  });

  it('never spells two units alike', () => {
    const all = units.flatMap(({ symbol, spellings }) => [symbol, ...spellings]);
    expect(new Set(all).size).toBe(all.length);
  });
});
