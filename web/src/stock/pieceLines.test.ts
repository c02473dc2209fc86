import { describe, expect, it } from 'vitest';
import { checkFrom, checkLine, pointFrom, pointLine } from './pieceLines';

describe('what is kept of a piece, a line each', () => {
  it.each([
    ['2026-11-02, Mr Teal, 100.0, 99.9', { on: '2026-11-02', by: 'Mr Teal', known: '100.0', shown: '99.9' }],
    [
      '2026-11-02, Odile Kern, Zoë Ångström, 0.00, −0.4',
      { on: '2026-11-02', by: 'Odile Kern, Zoë Ångström', known: '0.00', shown: '-0.4' },
    ],
    ['2026-11-02', { on: '2026-11-02', by: '', known: '', shown: '' }],
  ])('a check: %s', (line, check) => {
    expect(checkFrom(line)).toEqual(check);
    expect(checkFrom(checkLine(check))).toEqual(check);
  });

  it.each([
    ['0.4: -0.4', { at: '0.4', add: '-0.4' }],
    ['98.9 −0.7', { at: '98.9', add: '-0.7' }],
  ])('a point: %s', (line, point) => {
    expect(pointFrom(line)).toEqual(point);
    expect(pointFrom(pointLine(point))).toEqual(point);
  });
});
