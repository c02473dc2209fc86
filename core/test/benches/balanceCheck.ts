import { balanceCheck } from '../../src/record/readyMade';
import { along, at, byLine, byRows, each, get, same, type Case, whole } from './case';
import { tenths } from './pieces';

const references = [5, 10, 20, 50, 100].flatMap((mass) => same(mass, 3));
const balance: Pick<Case, 'investigation' | 'pieces' | 'readOn' | 'truth'> = {
  investigation: balanceCheck,
  pieces: { 'E-01': tenths },
  readOn: { shown: 'E-01' },
  truth: (random) => {
    const off = [0, 1, 2, 3, 4].map(() => random.between(-0.005, 0.005));
    return {
      mass: references,
      shown: references.map((mass, at_) => 0.23 + 1.002 * (mass + (off[Math.floor(at_ / 3)] ?? 0))),
    };
  },
};
const referenceAt = (nth: number) => ({
  column: 'mass',
  rows: [3 * nth, 3 * nth + 1, 3 * nth + 2],
  bound: 0.005,
});
const offOf = (nth: number): Case => {
  const mass = references[3 * nth] ?? NaN;
  return {
    ...balance,
    name: `Balance, off at ${mass} g`,
    plan: `off.m${mass}`,
    value: 0.23 + 0.002 * mass,
    given: [referenceAt(nth)],
    tolerances: whole('E-01', 'shown'),
    scatters: { shown: same(1, 15) },
    classroomScatter: 0.03,
    ...byRows((rows) =>
      each(rows, 'shown', (shown, at_) => shown - get(rows, 'mass', at_)).slice(3 * nth, 3 * nth + 3),
    ),
  };
};
export const balanceCheckCases: readonly Case[] = [
  {
    ...balance,
    name: 'Balance, shown for each gram',
    plan: 'scale',
    value: 1.002,
    given: [0, 1, 2, 3, 4].map(referenceAt),
    tolerances: along('E-01', 'shown'),
    ...byLine(
      (rows) => ({ x: at(rows, 'mass'), y: at(rows, 'shown') }),
      (b) => b,
    ),
  },
  ...[0, 1, 2, 3, 4].map(offOf),
];
