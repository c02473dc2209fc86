import { tallyBoard } from '../../src/record/readyMade';
import { at, byRows, readersDoBetter, same, type Case, whole } from './case';
import { caliper, piece, ruler } from './pieces';

const board = { dm: 104.2, half: 104.2, mm: 104.2, caliper: 104.2, thick: 6.43, fine: 6.43 };
const boardPieces = {
  'S-03': piece('marks', 10, 50, 0.5),
  'S-02': piece('marks', 1, 2.5, 0.5),
  'R-01': ruler,
  'V-01': caliper,
  'M-01': piece('lines', 0.01, 0.01, 0.004),
};
const boardOn = { dm: 'S-03', half: 'S-02', mm: 'R-01', caliper: 'V-01', thick: 'V-01', fine: 'M-01' };
const look = (column: keyof typeof board, scatter: number): Case => ({
  name: `Tally board, ${column}`,
  investigation: tallyBoard,
  plan: column,
  value: board[column],
  pieces: boardPieces,
  readOn: { [column]: boardOn[column] },
  tolerances: whole(boardOn[column], column),
  truth: () => ({ [column]: same(board[column], 5) }),
  scatters: { [column]: same(1, 5) },
  classroomScatter: scatter,
  ...byRows((rows) => [...at(rows, column)]),
  why: readersDoBetter,
});
export const tallyBoardCases: readonly Case[] = [
  look('dm', 3),
  look('half', 0.5),
  look('mm', 0.2),
  look('caliper', 0.05),
  look('thick', 0.03),
  look('fine', 0.01),
];
