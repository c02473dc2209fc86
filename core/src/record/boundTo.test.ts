import { describe, expect, it } from 'vitest';
import { boundTo } from './boundTo';
import { checkInvestigation } from './checkInvestigation';
import { glasswareThreeWays } from './readyMade';

const balance = { tag: 'E-17', kind: 'electronic-balance', model: 'electronic-0_01' } as const;

describe('a role that is bound to a piece', () => {
  it('has its tag in the kit, its columns and its steps', () => {
    const bound = { ...glasswareThreeWays, ...boundTo(glasswareThreeWays, 'E-03', balance) };
    expect(bound.kit[0]).toEqual(balance);
    expect(bound.tables[1]?.columns.slice(0, 2)).toMatchObject([{ tag: 'E-17' }, { tag: 'E-17' }]);
    expect(bound.steps[1]?.text).toBe('Weigh twelve dry jars with their caps on E-17.');
    expect(JSON.stringify(bound)).not.toContain('E-03');
    expect(checkInvestigation(bound)).toEqual([]);
  });

  it('is said as it stands, whatever signs are in it', () => {
    const odd = boundTo(glasswareThreeWays, 'U-01', {
      tag: '$&-1',
      kind: 'burette',
      model: 'burette-50-0_1',
    });
    expect(odd.steps[2]?.text).toContain('four from $&-1,');
    expect(odd.steps[2]?.text).toContain('four from C-04');
  });

  it('is no piece that another role is', () => {
    expect(boundTo(glasswareThreeWays, 'U-01', { ...balance, tag: 'C-04' })).toMatchObject({
      kit: glasswareThreeWays.kit,
    });
  });
});
