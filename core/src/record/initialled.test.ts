import { expect, it } from 'vitest';
import { initialledOf } from './initialled';
import { subjectFrom, type SubjectKind } from './subject';
import type { Entry } from './table';

const entry = (id: string, kind: SubjectKind, trial: number, of: string, text = '1'): Entry => ({
  ...subjectFrom({ kind, trial, of }),
  id,
  text,
  tag: '',
  reader: kind === 'initials' ? 'Ms Marrow' : 'Ada Lind',
  writtenAt: '2026-11-03T09:14:00.000Z',
  replaces: null,
  reason: null,
});

const [mass, volume] = [entry('a', 'reading', 1, 'mass'), entry('b', 'reading', 1, 'volume')];

it('knows of no initials where there are none', () => expect(initialledOf([mass, volume])).toBeNull());

it.each<readonly [string, readonly Entry[], readonly string[]]>([
  ['nothing was written since', [mass, volume, entry('i', 'initials', 0, '', 'b')], []],
  [
    'a cell was rewritten and another written, each once',
    [
      mass,
      entry('i', 'initials', 0, '', 'a'),
      entry('c', 'reading', 1, 'mass', '2'),
      volume,
      entry('d', 'reading', 1, 'mass', '3'),
    ],
    ['1/mass', '1/volume'],
  ],
  [
    'one arrived that the writer had not seen',
    [mass, volume, entry('i', 'initials', 0, '', 'a')],
    ['1/volume'],
  ],
  [
    'a trial was left out; remarks are no data',
    [
      mass,
      entry('i', 'initials', 0, '', 'a'),
      entry('r', 'remark', 1, 'table'),
      entry('s', 'standing', 1, 'table', 'excluded'),
    ],
    ['1/standing table'],
  ],
  [
    'it was initialled again',
    [mass, entry('i', 'initials', 0, '', 'a'), volume, entry('j', 'initials', 0, '', 'b')],
    [],
  ],
])('%s', (_, entries, since) =>
  expect(initialledOf(entries)).toEqual({ by: 'Ms Marrow', at: '2026-11-03T09:14:00.000Z', since }),
);
