import { markToMark } from '../../src/record/readyMade';
import { along, byRows, each, get, readersDoBetter, rising, same, type Case, whole } from './case';
import { cylinder100, hundredths, piece } from './pieces';

export const markToMarkCases: readonly Case[] = [
  {
    name: 'Ten millilitres from mark to mark',
    investigation: markToMark,
    plan: 'ten',
    value: 9.9,
    pieces: { 'E-03': hundredths },
    readOn: { M: 'E-03' },
    tolerances: along('E-03', 'M'),
    truth: () => ({ M: rising(80, 9.9 * 0.9982, 5) }),
    scatters: { M: same(1, 5) },
    classroomScatter: 0.1,
    ...byRows((rows) => each(rows, 'M', (mass, at_) => (mass - get(rows, 'M', at_ - 1)) / 0.9982).slice(1)),
    way: 'marks',
  },
  {
    name: 'Lost from vessel to vessel',
    investigation: markToMark,
    plan: 'lost',
    value: 0.6,
    pieces: { 'C-08': cylinder100, 'K-02': piece('marks', 1, 5, 5) },
    readOn: { first: 'C-08', beaker: 'K-02', back: 'C-08' },
    tolerances: whole('C-08', 'back'),
    truth: () => ({ first: same(40.3, 3), beaker: same(40, 3), back: same(39.7, 3) }),
    scatters: { back: same(1, 3) },
    classroomScatter: 0.2,
    ...byRows((rows) => each(rows, 'first', (first, at_) => first - get(rows, 'back', at_))),
    why: readersDoBetter,
  },
];
