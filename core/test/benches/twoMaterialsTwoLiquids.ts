import { twoMaterialsTwoLiquids } from '../../src/record/readyMade';
import { byRows, each, get, same, type Case, whole } from './case';
import { hundredths } from './pieces';

const liquids = [0.9982, 1.197, 0.9982, 1.197];
const hangingRows = ['pinWater', 'pinBrine', 'slateWater', 'slateBrine'];
const hangingRho = [8.8, 8.8, 2.8, 2.8];
const hanging = (nth: number): Case => {
  const of = (row: number) => Math.floor(row / 3);
  const m = Array.from({ length: 12 }, (_, row) => (of(row) < 2 ? 88 : 42));
  const bound = [0.0005, 0.003, 0.0005, 0.003];
  return {
    name: `Hanging in a liquid, ${hangingRows[nth] ?? ''}`,
    investigation: twoMaterialsTwoLiquids,
    plan: `rho.${hangingRows[nth] ?? ''}`,
    value: hangingRho[nth] ?? NaN,
    pieces: { 'E-03': hundredths },
    readOn: { m: 'E-03', hung: 'E-03' },
    tolerances: whole('E-03', 'hung'),
    // The mass stands by itself too, where its tolerance acts by itself.
    given: [
      { column: 'liquid', rows: [3 * nth, 3 * nth + 1, 3 * nth + 2], bound: bound[nth] ?? NaN },
      { column: 'alone', rows: [3 * nth, 3 * nth + 1, 3 * nth + 2], bound: 0.01 },
    ],
    truth: (random) => {
      const off = bound.map((own) => random.between(-own, own));
      return {
        m,
        hung: m.map(
          (mass, row) =>
            mass * (1 - ((liquids[of(row)] ?? NaN) + (off[of(row)] ?? 0)) / (hangingRho[of(row)] ?? NaN)),
        ),
        liquid: m.map((_, row) => liquids[of(row)] ?? NaN),
        alone: same(0, 12),
      };
    },
    scatters: { hung: same(1, 12) },
    classroomScatter: 0.02,
    ...byRows((rows) =>
      each(
        rows,
        'm',
        (mass, row) =>
          (get(rows, 'liquid', row) * (mass + get(rows, 'alone', row))) / (mass - get(rows, 'hung', row)),
      ).slice(3 * nth, 3 * nth + 3),
    ),
  };
};
export const twoMaterialsTwoLiquidsCases: readonly Case[] = [...[0, 1, 2, 3].map(hanging)];
