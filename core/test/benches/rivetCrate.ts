import { rivetCrate } from '../../src/record/readyMade';
import { type Rows } from '../../src/world';
import { mean, moved } from '../byRule';
import { along, at, byLine, byRows, each, get, same, type Case, whole, worstOfTolerance } from './case';
import { tenths } from './pieces';

const rivets = {
  n: [10, 20, 30, 40, 50],
  tray: same(85.2, 5),
  M: [10, 20, 30, 40, 50].map((n) => 85.2 + 2.25 * n),
};
const eachRivet = (rows: Rows) =>
  each(rows, 'M', (M, row) => (M - get(rows, 'tray', row)) / get(rows, 'n', row));
/** The rivets of a tray are as heavy as they are: what scatters is the mass of one, whole trays of them. */
const trays = { M: rivets.n };
const onBalance = { 'E-01': tenths };
const rivetPieces = { pieces: onBalance, readOn: { tray: 'E-01', M: 'E-01' }, truth: () => rivets };
export const rivetCrateCases: readonly Case[] = [
  {
    ...rivetPieces,
    name: 'Rivets, a crate by the line',
    investigation: rivetCrate,
    plan: 'crate',
    value: 270,
    tolerances: along('E-01', 'M'),
    ...byLine(
      (rows) => ({ x: at(rows, 'n'), y: each(rows, 'M', (mass, row) => mass - get(rows, 'tray', row)) }),
      (b) => 120 * b,
      { throughOrigin: true },
    ),
    asks: 'height',
    why: worstOfTolerance,
  },
  {
    ...rivetPieces,
    name: 'Rivets, 120 times one',
    investigation: rivetCrate,
    plan: 'times',
    value: 270,
    tolerances: whole('E-01', 'M'),
    scatters: trays,
    classroomScatter: 0.01,
    ...byRows(eachRivet),
    way: 'means',
    each: (rows) => eachRivet(rows).map((one) => 120 * one),
    result: (rows) => 120 * mean(eachRivet(rows)) + moved(rows),
  },
  {
    ...rivetPieces,
    name: 'Rivets, one',
    investigation: rivetCrate,
    plan: 'each',
    value: 2.25,
    tolerances: whole('E-01', 'M'),
    scatters: trays,
    classroomScatter: 0.01,
    ...byRows(eachRivet),
  },
];
