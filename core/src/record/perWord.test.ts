import { describe, expect, it } from 'vitest';
import { about, mean, metrology, resultOf } from '../../test/aCase';
import { rows } from '../../test/entry';
import { checkInvestigation } from './checkInvestigation';
import type { Column } from './investigation';
import { outcomeOf } from './outcome';
import { comparisonOf, groupingsOf } from './pool';
import { measured } from './readyMade/plain';
import { tableOf } from './table';

const metal: Column = {
  key: 'metal',
  heading: 'Metal',
  symbol: '',
  kind: 'choice',
  options: ['brass', 'Steel'],
};
const plan = mean('m', 'g', { perWord: 'metal' });
const bolts = about([metal, measured('m', 'Mass', 'm', 'g', 'E-01')], plan, { trials: 4 });
const written = rows(bolts, 'metal m', 'brass 8.40', 'steel 7.80', 'brass 8.60', 'Steel 7.90', 'tin 7.30');

describe('a result for each word of a column', () => {
  it('takes the trials in which it was written, whatever the size of its letters', () => {
    expect(resultOf(bolts, written, 'result.brass').value.value.toNumber()).toBeCloseTo(8.5, 12);
    expect(resultOf(bolts, written, 'result.Steel').value.value.toNumber()).toBeCloseTo(7.85, 12);
    expect(resultOf(bolts, written, 'result.brass').plan.name).toBe('Result: brass');
  });

  it('wants as many of each', () => {
    const { results } = outcomeOf(bolts, tableOf(written.slice(0, 4)), metrology);
    expect(results.map(({ plan: own, trialsWanted }) => [own.key, trialsWanted])).toEqual([
      ['result.brass', 1],
      ['result.Steel', 1],
    ]);
  });

  it('is compared between them', () => {
    expect(groupingsOf(plan)).toEqual(['word', 'bench', 'reader', 'piece', 'day']);
    const cells = tableOf(written);
    const book = {
      id: 'a',
      bench: 'Ada',
      investigation: bolts,
      cells,
      outcome: outcomeOf(bolts, cells, metrology),
    };
    expect(
      comparisonOf([book], 'result', 'word').groups.map(({ name, observations }) => [
        name,
        observations.length,
      ]),
    ).toEqual([
      ['brass', 2],
      ['Steel', 2],
    ]);
  });

  it('needs a column of words', () => {
    expect(checkInvestigation(about(bolts.tables[0]!.columns, mean('m', 'g', { perWord: 'm' })))).toEqual([
      { place: 'results[0].perWord', sentence: '“m” is no column of words to choose from.' },
    ]);
  });
});
