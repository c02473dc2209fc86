import type { CaliperSetting } from './caliperGrip';
import type { Misreading } from './instrument';
import { caliperModel, type CaliperModel } from './verniers';

const whenFinding = (
  code: string,
  title: string,
  hint: string,
  predict: (model: CaliperModel) => readonly number[],
): Misreading<CaliperSetting> => ({
  code,
  stage: 'count',
  skill: 'd',
  point: 'spaces',
  title,
  hint: () => hint,
  predict: (setting) => (setting.task === 'least count' ? predict(caliperModel(setting.model)) : []),
});

/** Slips in finding the least count. */
export const findingTheCount: readonly Misreading<CaliperSetting>[] = [
  whenFinding(
    'main-division-taken',
    'You gave the main scale’s division.',
    'The vernier divides that once more: count its lines, and see how many main divisions they span.',
    ({ mainDivision }) => [mainDivision],
  ),
  whenFinding(
    'printed-number-as-count',
    'You divided by the numbers printed on the vernier.',
    'The printed numbers do not count the lines. Count the lines themselves.',
    ({ mainDivision, lines, numberedEvery }) => [(mainDivision * numberedEvery) / lines, mainDivision / 10],
  ),
  whenFinding(
    'line-not-division',
    'You gave the distance of two vernier lines.',
    'Compare one vernier line with the nearest whole number of main divisions: the least count is the difference.',
    ({ mainDivision, lines, spans }) => [(mainDivision * spans) / lines],
  ),
];
