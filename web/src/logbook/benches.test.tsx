import { about, mean } from '@green-beam/core/test/aCase';
import { entry } from '@green-beam/core/test/entry';
import type { Column, Investigation } from '@green-beam/core';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { openLogbook } from '../../test/logbook';

const kit: Investigation['kit'] = [
  { tag: 'V-01', kind: 'vernier-caliper', model: 'vernier-20-39' },
  { tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_01' },
];
const caliper = (key: string, heading: string, rest: object = {}): Column => ({
  ...{ key, heading, symbol: key, kind: 'measured', unit: 'mm', tag: 'V-01' },
  ...rest,
});
const columns: readonly Column[] = [
  caliper('d', 'Across', { manner: 'turned' }),
  caliper('d2', 'Across again', { secondOf: 'd' }),
  caliper('h', 'Height', { manner: 'parts' }),
  { key: 'A', heading: 'Area', symbol: 'A', kind: 'derived', unit: 'mm²', formula: 'd * h', by: 'student' },
];
const pins = about(
  columns,
  mean('A', 'mm²'),
  {
    foot: ['n', 'mean', 's'],
    supplied: [
      { reader: 'Ms Marrow', on: '2026-10-12', cells: { d: '14.05; 14.15', d2: '14.10', h: '50 + 3' } },
    ],
  },
  { kit, workedApart: true },
);
const bo = { reader: 'Bo Frost', tag: 'V-01' };
const row = (name: RegExp) => screen.getByRole('row', { name });

describe('what benches need', () => {
  it('shows rows that the teacher measured, what each cell comes to, and lets nobody change them', async () => {
    await openLogbook(pins);
    expect(row(/^1/)).toHaveTextContent('14.05; 14.15');
    expect(row(/^1/)).toHaveTextContent('is 14.10');
    expect(row(/^1/)).toHaveTextContent('is 50.15');
    expect(within(row(/^1/)).getAllByText('supplied')).toHaveLength(3);
    expect(screen.queryByRole('button', { name: /Correct Across of trial 1/ })).toBeNull();
    expect(screen.getByRole('textbox', { name: /Trial 1, Area/ })).toBeVisible();
  });

  it('covers the first reading until the second is written', async () => {
    const { user } = await openLogbook(pins, [entry(2, 'd', '14.00; 14.05', bo)]);
    expect(row(/^2/)).not.toHaveTextContent('14.00');
    expect(row(/^2/)).toHaveTextContent('Bo Frost has read it. It opens when across again is written.');
    await user.type(screen.getByRole('textbox', { name: /Trial 2, Across again/ }), '14.10{Enter}');
    await waitFor(() => expect(row(/^2/)).toHaveTextContent('14.00; 14.05'));
  });

  it('covers what a partner worked until one has worked it too; alike, they agree', async () => {
    const { user, lines } = await openLogbook(pins, [entry(1, 'A', '707', { reader: 'Bo Frost' })]);
    expect(row(/^1/)).toHaveTextContent('Bo Frost has worked it. Work it too: then both are open.');
    expect(row(/^1/)).not.toHaveTextContent('707');
    await user.type(screen.getByRole('textbox', { name: /Trial 1, Area/ }), '707{Enter}');
    await waitFor(() => expect(lines()).toEqual(['1 A 707']));
    await waitFor(() => expect(row(/^1/)).toHaveTextContent('BF AL'));
    expect(row(/^1/)).not.toHaveTextContent('Two of you wrote this cell');
  });

  it('has the lines under it that the teacher chose', async () => {
    await openLogbook(pins, [entry(2, 'd', '14.00; 14.10', { tag: 'V-01' })]);
    expect(row(/^How many/)).toHaveTextContent('2');
    // 14.10 and 14.05: s = 0.05/√2.
    expect(row(/^Standard deviation/)).toHaveTextContent('0.035');
  });
});
