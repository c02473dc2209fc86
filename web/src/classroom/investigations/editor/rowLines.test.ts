import { glasswareThreeWays } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { rowLine, rowsFrom } from './rowLines';

describe('rows as lines', () => {
  it('are what they were', () => {
    const rows = glasswareThreeWays.tables[1]!.rows!;
    expect(rows.map(rowLine)[0]).toBe('Burette U-01 = 20.00 ± 0.05 mL, the mark of the burette');
    expect(rowsFrom(rows.map(rowLine), rows)).toEqual(rows);
  });

  it.each([
    ['Brass', { key: 'row1', name: 'Brass' }],
    ['Ä-01 blau ', { key: 'row1', name: 'Ä-01 blau' }],
    ['Ice = 0 °C', { key: 'row1', name: 'Ice', accepted: { value: '0', unit: '°C', source: '' } }],
    [
      'Jar = 20±0.5 mL',
      { key: 'row1', name: 'Jar', accepted: { value: '20', tolerance: '0.5', unit: 'mL', source: '' } },
    ],
  ])('%s', (line, row) => expect(rowsFrom([line], [])).toEqual([row]));

  it('are none where there is no line', () =>
    expect(rowsFrom([], [{ key: 'a', name: 'A' }])).toBeUndefined());
});
