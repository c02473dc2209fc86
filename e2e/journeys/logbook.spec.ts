import type { LogbookAnswer } from '@green-beam/contract';
import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { expect, signInStudent, signInTeacher, test } from '../support/people';
import { ask, openBook } from '../support/room';

/** Pastes as a spreadsheet does: cells apart by tabs, rows by lines. */
const paste = (page: Page, text: string) =>
  page.evaluate((pasted) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', pasted);
    document.activeElement?.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
    );
  }, text);

test('a pair completes a ready-made investigation on two browsers', async ({ page, browser }) => {
  const mate = await (await browser.newContext()).newPage();
  await signInStudent(page, 'Verity Moss');
  await signInStudent(mate, 'Wilfred Sand');
  await openBook(page, 'One drop');
  await openBook(mate, 'One drop');

  await page.getByLabel('How large is one drop?').fill('0.06');
  await page.getByRole('button', { name: 'Write', exact: true }).click();
  await expect(mate.getByText('0.06 mL/drops')).toBeVisible({ timeout: 2000 });

  // What one writes stands before the other within two seconds, with its reader.
  await page.getByLabel('Trial 1, Level before in mL').fill('2.00');
  await page.keyboard.press('Enter');
  await expect(mate.getByRole('button', { name: 'Correct Level before of trial 1, 2.00' })).toBeVisible({
    timeout: 2000,
  });

  // Drops are counted with one key; a lost count stays as an abandoned run.
  await mate.getByRole('button', { name: 'Count drops' }).first().click();
  for (const key of ['d', 'd', 'd', 'Backspace']) await mate.keyboard.press(key);
  await expect(mate.getByRole('status', { name: '2 drops' })).toBeVisible();
  await mate.getByRole('button', { name: 'Count lost: begin again' }).click();
  for (let drop = 0; drop < 5; drop += 1) await mate.keyboard.press('d');
  await mate.reload();
  await mate.getByRole('button', { name: 'Count drops (5 so far)' }).click();
  for (let drop = 5; drop < 8; drop += 1) await mate.keyboard.press('d');
  await mate.getByRole('button', { name: 'Write 8 drops' }).click();
  await expect(page.getByText('abandoned: 2 drops')).toBeVisible();

  await page.getByLabel('Trial 1, Level after in mL').fill('2.40');
  await page.keyboard.press('Enter');
  // The rest comes from a spreadsheet: it is shown first, then written in one go.
  await page.getByLabel('Trial 2, Level before in mL').focus();
  await paste(page, '2.00\t80\t6.05\n2.10\t80\t6.1\n2.00\t78\t5.95\n');
  await expect(page.getByText('6.1 stops short')).toBeVisible();
  await page.getByRole('button', { name: 'Write 9 cells' }).click();
  await expect(mate.getByRole('button', { name: 'Correct Drops of trial 4, 78' })).toBeVisible();
  for (const device of [page, mate])
    await expect(device.getByRole('region', { name: 'Result' })).toContainText(
      /v = \(0\.05\d? ± 0\.0\d+\) mL\/drops/,
    );

  // The arrow keys go from cell to cell.
  await page.getByRole('button', { name: 'Correct Level before of trial 2, 2.00' }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('button', { name: 'Correct Level before of trial 3, 2.10' })).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: 'Correct Drops of trial 3, 80' })).toBeFocused();

  // A million draws go on beside the page, and can be stopped.
  await page.getByRole('link', { name: 'Uncertainty and plots' }).click();
  await page.getByRole('button', { name: 'Draw', exact: true }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  await page.getByRole('button', { name: 'Draw', exact: true }).click();
  await expect(page.getByText(/95 of 100 lie between/)).toBeVisible({ timeout: 30_000 });
  const [picture] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as PNG' }).first().click(),
  ]);
  expect((await readFile(await picture.path())).subarray(1, 4).toString()).toBe('PNG');

  await page.getByRole('link', { name: 'Second look' }).click();
  await page.getByLabel(/Say it as a sentence/).fill('0.05 mL per one drop; 20 drops per one millilitre.');
  await page.getByRole('button', { name: 'Write', exact: true }).click();
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(mate.getByText(/handed in/)).toBeVisible();
  await mate.context().close();
});

test('a student corrects, is told of what a second look finds, and hands in', async ({ page }) => {
  await signInStudent(page, 'Petra Lowe');
  await openBook(page, 'Shackle ring');
  for (const [trial, ...texts] of [
    [1, '62.48', '21.4', '29.3', '7.9', '0.13'],
    [2, '62.48', '20.0', '28.0', '8.0', '7.8'],
    [3, '62.47', '21.0', '28.9', '7.9', '7.9'],
  ] as const) {
    await page.getByLabel(`Trial ${trial}, Mass of the ring in g`).focus();
    for (const text of texts) {
      await page.keyboard.type(text);
      await page.keyboard.press('Enter');
    }
  }
  await expect(page.getByText('The fraction is upside down.')).toBeVisible();
  await expect(page.getByText('Worked right.')).toHaveCount(5);

  await page.getByRole('link', { name: 'Second look' }).click();
  const look = page.getByRole('region', { name: 'Second look' });
  await expect(look).toContainText('Trial 1, Density · certain');
  await expect(page.getByText(/1 finding stands/)).toBeVisible();
  await look.getByRole('link', { name: 'Back to the tables' }).click();
  await page.getByRole('button', { name: 'Correct Density of trial 1, 0.13' }).click();
  await page.getByLabel('New Density in g/cm³').fill('7.9');
  await page.getByLabel('Why').fill('divided the wrong way');
  await page.getByRole('button', { name: 'Strike and rewrite' }).click();
  await expect(page.locator('s', { hasText: '0.13' })).toBeVisible();

  // One trial went wrong: it is left out with a reason, and stays readable.
  await page.getByRole('button', { name: 'More about trial 2' }).click();
  await page.getByLabel('Leave it out, because').fill('a splash');
  await page.getByRole('button', { name: 'Exclude it' }).click();
  await expect(page.getByText('excluded: a splash')).toBeVisible();
  await expect(page.getByText('1 more trial before it counts.')).toBeVisible();

  await page.getByRole('link', { name: 'Second look' }).click();
  await expect(look).toContainText('Nothing found');
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByText(/Handed in by Petra Lowe/)).toBeVisible();

  await page.getByRole('link', { name: 'Report' }).click();
  await expect(page.getByRole('article')).toContainText('divided the wrong way');
  await expect(page.getByRole('article')).toContainText('excluded: a splash');
});

test('the teacher adapts an investigation, and reads its export in again', async ({ page }) => {
  await signInTeacher(page);
  await page.getByRole('link', { name: 'Class', exact: true }).click();
  await page.getByRole('link', { name: 'Investigations' }).click();
  const ready = page
    .getByRole('region', { name: 'Ready-made' })
    .getByRole('listitem')
    .filter({ hasText: 'Rivets' });
  await ready.getByRole('link', { name: 'Adapt' }).click();
  await page.getByLabel('Title', { exact: true }).first().fill('Rivets of the second crate');
  const formula = page.getByLabel('Formula', { exact: true }).first();
  await formula.fill('M - box');
  await expect(page.getByText('“box” is not the name of a column.')).toHaveCount(2);
  await expect(page.getByRole('button', { name: 'Set this work' })).toBeDisabled();
  await page.reload();
  await expect(formula).toHaveValue('M - box');
  await formula.fill('M - tray');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a file' }).click(),
  ]);
  await page.getByRole('button', { name: 'Set this work' }).click();
  const set = page.getByRole('region', { name: 'Set for this class' });
  await expect(set.getByText('Rivets of the second crate')).toBeVisible();

  // The exported file is taken again; a spoilt one is refused with the place.
  const text = await readFile(await file.path(), 'utf8');
  await page.getByRole('link', { name: 'Write a new one, or read one from a file' }).click();
  const choose = (content: string) =>
    page
      .getByLabel('Read a file')
      .setInputFiles({ name: 'crate.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  await choose(text.replace('"M - tray"', '"M - lid"'));
  await expect(page.getByRole('alert').filter({ hasText: 'The file was not taken' })).toContainText(
    'tables[0].columns[3].formula: “lid” is not the name of a column.',
  );
  await choose(text.slice(0, 200));
  await expect(page.getByText(/This is not valid JSON/)).toBeVisible();
  await choose(text);
  await expect(page.getByLabel('Title', { exact: true }).first()).toHaveValue('Rivets of the second crate');
  await page.getByLabel('Title', { exact: true }).first().fill('Rivets of the third crate');
  await page.getByRole('button', { name: 'Set this work' }).click();
  await expect(set.getByText('Rivets of the third crate')).toBeVisible();
});

test('five minutes without a network: two write on, and every entry arrives once, in order', async ({
  page,
  browser,
}) => {
  const mate = await (await browser.newContext()).newPage();
  for (const device of [page, mate]) await device.clock.install();
  await signInStudent(page, 'Magnus Dell');
  await signInStudent(mate, 'Nerys Quill');
  for (const device of [page, mate]) {
    await device.getByRole('link', { name: 'Logbook' }).click();
    await device
      .getByRole('listitem')
      .filter({ hasText: 'Lamp oil' })
      .getByText(/Open|Go on|Look/)
      .click();
    await expect(device.getByRole('heading', { name: 'Method' })).toBeVisible();
    await device.context().setOffline(true);
  }
  const write = async (device: Page, label: string, texts: readonly string[]) => {
    await device.getByLabel(label).focus();
    for (const text of texts) {
      await device.keyboard.type(text);
      await device.keyboard.press('Enter');
      await device.clock.fastForward(30_000);
    }
  };
  // One fills the table of the vessel, the other that of the oil; both write the first mass of the vessel.
  await write(page, 'Trial 1, Mass of the empty cylinder in g', ['61.24', '61.22', '61.23']);
  await write(mate, 'Trial 1, Mass with oil in g', ['76.24', '18.6', '89.61', '35.2', '103.38', '52.4']);
  await write(mate, 'Trial 1, Mass of the empty cylinder in g', ['61.27']);
  await expect(page.getByText(/3 things wait to be sent/)).toBeVisible();
  await mate.clock.fastForward(90_000);
  await page.context().setOffline(false);
  await expect(page.getByText('waits', { exact: true })).toHaveCount(0, { timeout: 30_000 });
  await mate.context().setOffline(false);
  await expect(mate.getByText('waits', { exact: true })).toHaveCount(0, { timeout: 30_000 });
  for (const device of [page, mate]) {
    await expect(device.getByText('Two of you wrote this cell.')).toBeVisible({ timeout: 30_000 });
    await expect(device.locator('s', { hasText: '61.24' })).toBeVisible();
    for (const text of ['61.27', '61.22', '61.23', '76.24', '18.6', '89.61', '35.2', '103.38', '52.4'])
      await expect(device.getByRole('button', { name: new RegExp(`, ${text}$`) })).toHaveCount(1);
  }
  const { entries } = await ask<LogbookAnswer>(
    page,
    'GET',
    `/api${new URL(page.url()).pathname.replace('/logbook/', '/logbooks/')}`,
  );
  const of = (reader: string) => entries.filter((entry) => entry.reader === reader).map(({ text }) => text);
  expect(of('Magnus Dell')).toEqual(['61.24', '61.22', '61.23']);
  expect(of('Nerys Quill')).toEqual(['76.24', '18.6', '89.61', '35.2', '103.38', '52.4', '61.27']);
  await mate.context().close();
});
