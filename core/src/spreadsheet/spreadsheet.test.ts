import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { forSpreadsheet, fromSpreadsheet } from './spreadsheet';

describe('a text for a spreadsheet', () => {
  it.each([
    ['=1+1', "'=1+1"],
    ['+cmd', "'+cmd"],
    ['-2+3', "'-2+3"],
    ['@sum(a1)', "'@sum(a1)"],
    ['\t=1', "'\t=1"],
    ['  =1', "'  =1"],
    ["'=1", "''=1"],
    // Numbers with a sign are no formulas, and words are words.
    ['-0.02', '-0.02'],
    ['+1.5', '+1.5'],
    ['−0.02', '−0.02'],
    ['-1.2e-3', '-1.2e-3'],
    ['12.40', '12.40'],
    ["'tis wet", "'tis wet"],
    ['', ''],
  ])('%j', (text, written) => {
    expect(forSpreadsheet(text)).toBe(written);
    expect(fromSpreadsheet(written)).toBe(text);
  });

  it('is read back unchanged, whatever it is', () => {
    const text = fc.oneof(fc.string(), fc.stringMatching(/^'*[ \t]?[=+\-@]?[a-z0-9.]*$/));
    fc.assert(
      fc.property(text, (own) => fromSpreadsheet(forSpreadsheet(own)) === own),
      { numRuns: 2000 },
    );
  });
});
