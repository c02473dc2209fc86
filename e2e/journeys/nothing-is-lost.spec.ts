import type { Page } from '@playwright/test';
import { expect, signInStudent, test } from '../support/people';
import { freePort, ServerProcess } from '../support/stack';

// The pages are there without the server, as the service worker kept them.
test.use({ serviceWorkers: 'allow' });

const open = async (page: Page) => {
  await page.getByRole('link', { name: 'Logbook' }).click();
  const line = page.getByRole('listitem').filter({ hasText: 'Bolt pin' });
  await line.getByRole('link', { name: /Go on|Look at it/ }).click();
  await expect(page.getByRole('heading', { name: 'Method' })).toBeVisible();
};

test('a server killed between key presses loses nothing that was typed or acknowledged', async ({ page }) => {
  const server = new ServerProcess(process.env['DATABASE_URL'] ?? '', await freePort());
  await server.start();
  await signInStudent(page, 'Wilfred Sand', server.address);
  await open(page);
  const cell = (trial: number, name: string) => page.getByLabel(`Trial ${trial}, ${name}`);
  await cell(1, 'Mass of the pin in g').fill('211.4');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /Correct Mass of the pin of trial 1, 211.4/ })).toBeVisible();
  await expect(page.getByText('waits')).toHaveCount(0);

  await cell(1, 'Volume before in mL').focus();
  await page.keyboard.type('50');
  await server.kill();
  await page.keyboard.type('.3');
  await page.keyboard.press('Enter');
  await page.keyboard.type('74.');
  // The beam tells, and what was typed is there.
  await expect(page.getByText(/One thing waits to be sent/)).toBeVisible();
  await expect(page.getByText('waits', { exact: true })).toBeVisible();

  await server.start();
  await expect(page.getByText('waits', { exact: true })).toBeHidden({ timeout: 20_000 });
  await page.reload();
  await expect(page.getByRole('button', { name: /of trial 1, 211.4/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /of trial 1, 50.3/ })).toHaveCount(1);
  await expect(cell(1, 'Volume after in mL')).toHaveValue('74.');
  await server.kill();
});

test('what is written without a connection arrives once, when it is back', async ({ page, context }) => {
  await signInStudent(page, 'Magnus Dell');
  await open(page);
  await context.setOffline(true);
  await page.getByLabel('Trial 1, Volume before in mL').fill('51.0');
  await page.keyboard.press('Enter');
  await page.keyboard.type('75.4');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/2 things wait to be sent; nothing is lost/)).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('waits', { exact: true })).toHaveCount(0, { timeout: 20_000 });
  await page.reload();
  await expect(page.getByRole('button', { name: /of trial 1, 51.0/ })).toHaveCount(1);
  await expect(page.getByRole('button', { name: /of trial 1, 75.4/ })).toHaveCount(1);
});

test('two devices that write one cell at once keep both, and say so', async ({ page, browser }) => {
  const mate = await (await browser.newContext()).newPage();
  await signInStudent(page, 'Silas Burr');
  await signInStudent(mate, 'Thora Gale');
  await open(page);
  await open(mate);
  await page.context().setOffline(true);
  await page.getByLabel('Trial 3, Mass of the pin in g').fill('214.4');
  await page.keyboard.press('Enter');
  await mate.getByLabel('Trial 3, Mass of the pin in g').fill('214.6');
  // Stored, not only shown: it has to be the first of the two.
  const stored = mate.waitForResponse(
    (answer) => answer.request().method() === 'POST' && answer.url().endsWith('/entries'),
  );
  await mate.keyboard.press('Enter');
  expect((await stored).ok()).toBe(true);
  await expect(mate.getByRole('button', { name: /of trial 3, 214.6/ })).toBeVisible();
  await page.context().setOffline(false);
  for (const device of [page, mate]) {
    await expect(device.getByText('Two of you wrote this cell.')).toBeVisible({ timeout: 20_000 });
    await expect(device.locator('s', { hasText: '214.6' })).toBeVisible();
    await expect(device.getByRole('button', { name: /of trial 3, 214.4/ })).toBeVisible();
  }
  await mate.context().close();
});

test('a reading that is being typed survives a reload', async ({ page }) => {
  await signInStudent(page, 'Junia Fell');
  await page.getByRole('button', { name: 'Take a setting' }).click();
  await page.getByLabel('Your reading', { exact: true }).fill('12.');
  await page.getByRole('radio').first().click();
  await page.reload();
  await expect(page.getByLabel('Your reading', { exact: true })).toHaveValue('12.');
  await expect(page.getByRole('radio').first()).toBeChecked();
});
