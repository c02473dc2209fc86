import type { EntriesAnswer } from '@green-beam/contract';
import { boltPin, type Column } from '@green-beam/core';
import type { Page } from '@playwright/test';
import { expect, test } from '../support/people';
import { ask, makeRoom, openBook } from '../support/room';

const measured = (key: string, heading: string, unit: string, tag: string): Column => ({
  kind: 'measured',
  key,
  heading,
  symbol: key,
  unit,
  tag,
});
const worked = (key: string, heading: string, formula: string): Column => ({
  kind: 'derived',
  key,
  heading,
  symbol: key,
  unit: 'g',
  formula,
  by: 'student',
});

/** Twelve columns of all kinds: balances with something to take a reading from, clocks, counts, drops, worked values. */
const columns: readonly Column[] = [
  measured('a', 'Beam mass', 'g', 'B-01'),
  measured('b', 'Display mass', 'g', 'E-01'),
  measured('c', 'Level', 'mL', 'C-01'),
  { kind: 'clock', key: 'd', heading: 'Time', symbol: 'd' },
  { kind: 'count', key: 'e', heading: 'Pieces', symbol: 'e', unit: '' },
  { kind: 'count', key: 'f', heading: 'Drops', symbol: 'f', unit: 'drops' },
  measured('g', 'Second display', 'g', 'E-01'),
  worked('h', 'Difference', 'b - a'),
  measured('i', 'Second level', 'mL', 'C-01'),
  measured('j', 'Third display', 'g', 'E-01'),
  worked('k', 'Other difference', 'g - a'),
  measured('l', 'Last level', 'mL', 'C-01'),
];
/** Some of it here; `ROWS=20` for all of it. */
const rows = Number(process.env['ROWS'] ?? 7);
const investigation = {
  ...boltPin,
  title: 'Twelve columns',
  kit: [
    { tag: 'B-01', kind: 'three-beam-balance', model: boltPin.kit[0]?.model ?? '' },
    { tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_01' },
    { tag: 'C-01', kind: 'graduated-cylinder', model: 'cylinder-10-0_1' },
  ],
  tables: [{ key: 'all', title: 'All', trials: rows, columns }],
  results: [
    { kind: 'mean', key: 'h', name: 'Difference', symbol: 'h', unit: 'g', column: 'h', accepted: null },
  ],
  predictions: [],
  questions: [],
  model: null,
};
const textFor = (row: number, at: number): string =>
  columns[at]?.kind === 'clock'
    ? `${String(9 + Math.floor(row / 6)).padStart(2, '0')}:${String((row * 7 + at) % 60).padStart(2, '0')}`
    : columns[at]?.kind === 'count'
      ? String(row * 3 + at + 1)
      : `${row + 1}${at}.${(row * 7 + at) % 10}${row % 10}`;

/** What is stored, cell by cell: `row column text`. */
async function stored(page: Page): Promise<string[]> {
  const path = new URL(page.url()).pathname.replace('/logbook/', '/api/logbooks/');
  const { entries } = await ask<EntriesAnswer>(page, 'GET', `${path}/entries`);
  return entries
    .map((entry) => (entry.kind === 'reading' ? `${entry.trial} ${entry.column} ${entry.text}` : entry.kind))
    .sort();
}
const all = Array.from({ length: rows }, (_, row) =>
  columns.map(({ key }, at) => `${row + 1} ${key} ${textFor(row, at)}`),
)
  .flat()
  .sort();

test.describe.configure({ timeout: 480_000 });

for (const key of ['Tab', 'Enter'] as const)
  test(`twelve columns of ${rows} rows typed at machine speed by ${key} land each in its cell`, async ({
    page,
  }) => {
    const room = await makeRoom(`Typing by ${key}`, ['Una Fane'], investigation);
    await room.signIn(page, 'Una Fane');
    await openBook(page, 'Twelve columns');
    await page.getByLabel('Trial 1, Beam mass in g').focus();
    for (let row = 0; row < rows; row += 1)
      for (let at = 0; at < columns.length; at += 1) {
        await page.keyboard.type(textFor(row, at));
        await page.keyboard.press(key);
      }
    await expect(page.getByText('waits', { exact: true })).toHaveCount(0, { timeout: 60_000 });
    await expect.poll(() => stored(page), { timeout: 30_000 }).toEqual(all);
  });

test(`a pasted block of twelve columns and ${rows} rows lands each in its cell`, async ({ page }) => {
  const room = await makeRoom('Pasting', ['Una Fane'], investigation);
  await room.signIn(page, 'Una Fane');
  await openBook(page, 'Twelve columns');
  await page.getByLabel('Trial 1, Beam mass in g').focus();
  const text = Array.from({ length: rows }, (_, row) =>
    columns.map((_column, at) => textFor(row, at)).join('\t'),
  );
  await page.evaluate((pasted) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', pasted);
    document.activeElement?.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
    );
  }, text.join('\n'));
  await page.getByRole('button', { name: `Write ${rows * columns.length} cells` }).click();
  await expect.poll(() => stored(page), { timeout: 30_000 }).toEqual(all);
});
