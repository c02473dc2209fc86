import {
  pieceOf,
  presetNamed,
  stockIn,
  thermometerCheck,
  type Investigation,
  type Piece,
} from '@green-beam/core';
import { readFile } from 'node:fs/promises';
import { clean, laptopAndPhone } from '../support/axe';
import { expect, signInTeacher, test } from '../support/people';
import { makeRoom, openBook, writeRows } from '../support/room';

/** A piece of the stockroom that no other journey uses. */
const piece = (tag: string, rest: Partial<Piece> = {}) =>
  pieceOf({ tag, kind: 'thermometer', model: 'thermometer-1', place: 'Drawer 7', ...rest });
const onPiece = (of: Investigation, tag: string): Investigation =>
  JSON.parse(JSON.stringify(of).replaceAll('T-01', tag)) as Investigation;

test('a thermometer’s correction is found, kept with it, offered elsewhere and taken', async ({
  page,
  browser,
}) => {
  const check = onPiece(thermometerCheck, 'T-71');
  const room = await makeRoom('Corrections', ['Odile Kern', 'Perrin Vale'], check);
  await room.asTeacher('POST', '/api/stock', { pieces: [piece('T-71'), piece('T-72')], revision: null });

  // Ice at 0.00 °C, boiling water at 99.6 °C: shown 0.4 too much, and 0.7 too little.
  await room.signIn(page, 'Odile Kern');
  await openBook(page, check.title);
  await writeRows(page, '1 Melting ice, Thermometer T-71 in °C', '0.4', '0.4', '0.4', '98.9', '98.9', '98.9');
  await expect(page.getByRole('region', { name: 'Shown less true: Melting ice' })).toContainText('0.4');
  const book = page.url();

  const teacher = await (await browser.newContext()).newPage();
  await signInTeacher(teacher);
  await teacher.goto(book);
  const kit = teacher.getByRole('region', { name: 'Kit' });
  await expect(kit).toContainText('−0.4 at 0.4, +0.7 at 98.9 °C, by a straight line between');
  await kit.getByRole('button', { name: 'Keep it as the correction of T-71' }).click();
  await expect(kit.getByRole('status')).toHaveText('Kept with T-71 in the stockroom.');
  await clean(teacher);
  await teacher.goto(new URL('/stock/T-71', book).href);
  await expect(teacher.getByLabel('A line each: shown, what is added, in °C')).toHaveValue(
    '0.4: -0.4\n98.9: 0.7',
  );
  await expect(teacher.getByRole('img', { name: /2 checks against/ })).toBeVisible();
  await clean(teacher);

  // In the room it says 24.6: on the line −0.4 + 1.1·24.2/98.5 = −0.130 is added, which makes 24.47.
  const air: Investigation = {
    ...check,
    title: 'The air of the room',
    tables: check.tables.slice(1).map((table) => ({ ...table, trials: 3 })),
    results: [
      { kind: 'mean', key: 'air', name: 'Air', symbol: 't', unit: '°C', column: 'here', accepted: null },
    ],
    questions: [],
  };
  await room.asTeacher('POST', `/api/classes/${room.classId}/investigations`, {
    id: crypto.randomUUID(),
    body: air,
  });
  const second = await (await browser.newContext()).newPage();
  await room.signIn(second, 'Perrin Vale');
  await openBook(second, air.title);
  await writeRows(second, 'Trial 1, Thermometer T-71 in °C', '24.6', '24.6');
  const own = second.getByRole('region', { name: 'Kit' });
  await expect(own).toContainText('Known of T-71: −0.4 at 0.4, +0.7 at 98.9 °C');
  await expect(own).toContainText(/Air would be \(24\.5 ± \d\.\d\) °C in place of \(24\.6 ± \d\.\d\) °C/);
  await expect(second.getByText('corrected 24.47')).toHaveCount(0);
  await own.getByRole('button', { name: 'Correct the readings on T-71' }).click();
  await expect(second.getByText('corrected 24.47')).toHaveCount(2);
  await expect(second.getByRole('region', { name: 'Result' })).toContainText('(24.5 ±');

  // The next reading is made on another piece of the kind, which says so.
  await own.getByLabel('Read T-71 on').selectOption('T-72');
  await expect(own.getByLabel('Read T-71 on')).toHaveValue('T-72');
  await second.getByLabel('Trial 3, Thermometer T-71 in °C').fill('24.4');
  await second.keyboard.press('Enter');
  await expect(second.getByRole('row', { name: /24\.4 PV/ })).toContainText('T-72');
  await second.getByRole('link', { name: 'History' }).click();
  await expect(second.getByRole('table')).toContainText('T-71 for T-71, corrected');
  await second.getByRole('link', { name: 'Measure' }).click();
  await clean(second, laptopAndPhone);
});

test('the stockroom goes out as a file and comes in from one, bad lines named', async ({ page }) => {
  await signInTeacher(page);
  await page.getByRole('link', { name: 'Stockroom' }).click();
  await page.getByLabel('Read a CSV file').setInputFiles({
    name: 'pieces.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      [
        'tag,kind,make,place,correction,correction ±,found on,found by',
        'V-81,vernier caliper,vernier-20-39,Drawer 8,zero 0.10,0.05,2026-10-12,Mr Teal',
        'V-82,vernier caliper,vernier-9,Drawer 8,,,,',
        'V-83,vernier caliper,vernier-20-39,Drawer 8,zero much,0.05,2026-10-12,',
      ].join('\n'),
    ),
  });
  const held = page.getByRole('region', { name: 'What the file holds' });
  await expect(held).toContainText('1 piece can be kept. 2 lines cannot:');
  await expect(held).toContainText('Line 3, V-82: There is no make “vernier-9” of vernier caliper.');
  await expect(held).toContainText('Line 4, V-83: In the correction, “much” is no number.');
  await held.getByRole('button', { name: 'Keep 1 piece' }).click();
  await expect(page.getByRole('row', { name: /V-81/ })).toContainText('zero error +0.10 mm');
  await clean(page, laptopAndPhone);

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take it out as CSV' }).click(),
  ]);
  const rows = stockIn(await readFile(await file.path(), 'utf8'));
  expect(rows.flatMap(({ problems }) => problems)).toEqual([]);
  expect(rows.find(({ tag }) => tag === 'V-81')?.piece?.correction).toMatchObject({
    kind: 'zero',
    error: '0.10',
  });

  // A piece by hand: every problem at its field, at once.
  await page.getByRole('link', { name: 'Add a piece' }).click();
  await page.getByLabel('How many').fill('some');
  await page.getByRole('button', { name: 'Keep the piece' }).click();
  await expect(page.getByRole('alert')).toHaveText([
    'The tag is missing.',
    'How many: a whole number from 1.',
  ]);
  await page.getByLabel('Tag').fill('V-84');
  await page.getByLabel('How many').fill('2');
  await page.getByRole('button', { name: 'Keep V-84' }).click();
  await expect(page.getByRole('heading', { name: 'V-84' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the stockroom' }).click();
  await page.getByRole('link', { name: 'Labels to print' }).click();
  await page.getByLabel('Only with this tag or place').fill('V-84');
  await page.getByLabel('One for each of several').check();
  await expect(page.getByRole('img', { name: 'Code that opens V-84' })).toHaveCount(2);
  await clean(page, laptopAndPhone);
});

// The rules by which the ± above are.
test.beforeAll(() => expect(presetNamed('Chemistry bench').halfWidth).toBe('half-division'));
