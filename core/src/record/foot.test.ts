import { describe, expect, it } from 'vitest';
import { about, metrology } from '../../test/aCase';
import { rows } from '../../test/entry';
import { presetNamed } from '../conventions';
import { footOf, footText } from './foot';
import { footKinds, type FootKind, type Table } from './investigation';
import { outcomeOf } from './outcome';
import { derived, measured } from './readyMade/plain';
import { tableOf } from './table';

const columns = [
  measured('m', 'Mass', 'm', 'g', 'E-01'),
  derived('twice', 'Twice', 'm_2', 'g', 'm + m'),
] as const;

function under(texts: readonly string[], conventions = metrology, table: Partial<Table> = {}) {
  const investigation = about(columns, null, { foot: footKinds, ...table });
  const cells = tableOf(rows(investigation, 'm', ...texts));
  const look = { investigation, conventions, outcome: outcomeOf(investigation, cells, conventions) };
  const [own] = investigation.tables;
  return (key: string) =>
    Object.fromEntries(
      footKinds.map((kind) => [
        kind,
        footText(
          kind,
          own!.columns.find((one) => one.key === key)!,
          own!,
          look,
        ),
      ]),
    ) as Record<FootKind, string>;
}

describe('under a column', () => {
  it('stands what was chosen, as worked out by hand', () => {
    // 10.00, 10.20, 10.40: s = 0.2, s/√3 = 0.115, mean deviation 0.4/3 = 0.133.
    expect(under(['10.00', '10.20', '10.40'])('m')).toMatchObject({
      n: '3',
      mean: '10.20',
      s: '0.20',
      's of the mean': '0.12',
      'mean deviation': '0.13',
      range: '0.40',
      'plus minus': expect.stringMatching(/^10\.20? ± 0\.12?$/),
    });
    expect(under(['10.00', '10.20', '10.40'])('twice')).toMatchObject({ n: '3', s: '0.40', range: '0.80' });
  });

  it('has no spread of one value, and none of equal ones', () => {
    expect(under(['10.00'])('m')).toMatchObject({ n: '1', s: '', 's of the mean': '', 'mean deviation': '' });
    expect(under(['10.00', '10.00'])('m')).toMatchObject({ s: '0', range: '0.00', 'mean deviation': '0' });
    expect(under([])('m')).toMatchObject({ n: '', mean: '', range: '' });
  });

  it('has no ± where the class states none', () => {
    expect(under(['10.00', '10.20'], presetNamed('First course'))('m')['plus minus']).toBe('');
  });

  it('is the mean alone where nothing was chosen, and nothing where rows have names or values differ by plan', () => {
    const [table] = about(columns, null).tables;
    expect(footOf(table!)).toEqual(['mean']);
    expect(footOf({ ...table!, foot: ['n', 's'], rows: [{ key: 'a', name: 'A' }] })).toEqual([]);
    const differs = { columns: [{ ...columns[0], differs: true }, columns[1]] };
    expect(under(['10.00', '10.20'], metrology, differs)('m')).toMatchObject({ n: '', s: '' });
  });

  it('is covered while a student has it to work in some trial', () => {
    const own = { columns: [columns[0], { ...columns[1], by: 'student' as const }] };
    expect(under(['10.00', '10.20'], metrology, own)('twice')).toMatchObject({ n: '2', s: '', range: '' });
  });
});
