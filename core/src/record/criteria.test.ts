import { describe, expect, it } from 'vitest';
import { bookState, mostMarks, suggestedMarks, sumOfMarks } from './criteria';
import type { TableFinding } from './look';
import { marksCsv } from './marksCsv';

const finding = (code: string, sure: TableFinding['sure']): TableFinding => ({
  code,
  sure,
  table: 't',
  place: { trial: 1, column: 'a' },
  sentence: '',
});

describe('marks to begin with', () => {
  it('are full where nothing was found and all is answered', () => {
    expect(sumOfMarks(suggestedMarks([], 0))).toBe(mostMarks);
  });

  it('lose one for each kind of finding that is certain, under what it speaks of', () => {
    const found = [
      finding('heading-without-unit', 'certain'),
      finding('worked-wrong', 'certain'),
      finding('worked-wrong', 'certain'),
      finding('off-the-scale', 'certain'),
      finding('looks-copied', 'worth a look'),
      finding('claim-beyond', 'likely'),
    ];
    expect(suggestedMarks(found, 2)).toEqual({
      readings: 3,
      records: 3,
      working: 3,
      uncertainty: 4,
      judgement: 2,
    });
    expect(suggestedMarks([], 9).judgement).toBe(0);
  });
});

describe('a logbook', () => {
  const at = (kind: 'hand-in' | 'remark', time: string) => ({ kind, receivedAt: time, writtenAt: time });
  it.each([
    ['begun', [], null],
    ['begun', [at('remark', '2026-11-03T10:00:00Z')], null],
    ['handed in', [at('hand-in', '2026-11-03T10:00:00Z')], null],
    ['handed back', [at('hand-in', '2026-11-03T10:00:00Z')], '2026-11-03T11:00:00Z'],
    [
      'handed in',
      [at('hand-in', '2026-11-03T10:00:00Z'), at('hand-in', '2026-11-03T12:00:00Z')],
      '2026-11-03T11:00:00Z',
    ],
    ['handed back', [], '2026-11-03T11:00:00Z'],
  ] as const)('is %s', (state, entries, handedBack) => {
    expect(bookState(entries, handedBack)).toBe(state);
  });
});

it('a book of marks goes out as a table that runs nothing', () => {
  const tasks = [
    { id: 'pin', title: 'Bolt pin' },
    { id: 'oil', title: 'Lamp oil' },
  ];
  const cell = (task: string, mark: number | null, state: 'begun' | 'handed back') => ({ task, mark, state });
  expect(
    marksCsv({
      tasks,
      work: [
        { id: 'w', title: 'ruler', counts: 2 },
        { id: 'v', title: 'burette', counts: 0 },
      ],
      students: [
        {
          name: 'Ada Lind',
          bench: 'Bench 1',
          cells: [cell('pin', 17, 'handed back'), cell('oil', null, 'begun')],
          work: [
            { task: 'w', state: 'done' },
            { task: 'v', state: 'done' },
          ],
        },
        { name: '=Bo', bench: null, cells: [], work: [{ task: 'w', state: 'late' }] },
      ],
    }).split('\n'),
  ).toEqual([
    'Student,Bench,"Bolt pin, of 20","Bolt pin, state","Lamp oil, of 20","Lamp oil, state","ruler, of 2","burette, of 0"',
    'Ada Lind,Bench 1,17,handed back,,begun,2,done',
    "'=Bo,,,not begun,,not begun,late,",
  ]);
});
