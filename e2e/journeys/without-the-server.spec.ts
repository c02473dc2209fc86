import type { EntriesAnswer } from '@green-beam/contract';
import type { Page } from '@playwright/test';
import { expect, test } from '../support/people';
import { ask, makeRoom, openBook } from '../support/room';
import { freePort, ServerProcess, startCluster } from '../support/stack';

// The pages are there without the server, as the service worker kept them.
test.use({ serviceWorkers: 'allow' });

const cell = (page: Page, trial: number, name: string) => page.getByLabel(`Trial ${trial}, ${name}`);
const written = (page: Page, trial: number, text: string) =>
  page.getByRole('button', { name: new RegExp(`of trial ${trial}, ${text}$`) });

/** The pages are kept in the browser a moment after they were first opened. */
const keptPages = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    const names = await caches.keys();
    return names.length;
  });

test('with the server gone a reload opens bench and logbook with everything typed; it arrives once it is back', async ({
  page,
}) => {
  const server = new ServerProcess(process.env['DATABASE_URL'] ?? '', await freePort());
  await server.start();
  const room = await makeRoom('Offline', ['Una Fane'], undefined, server.address);
  await room.signIn(page, 'Una Fane', server.address);
  await expect.poll(() => keptPages(page), { timeout: 20_000 }).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Take a setting' }).click();
  await expect(page.getByLabel('Your reading', { exact: true })).toBeVisible();
  await page.getByLabel('Your reading', { exact: true }).fill('12.');
  const bench = page.url();
  await openBook(page, 'Bolt pin');
  await cell(page, 1, 'Mass of the pin in g').fill('211.4');
  await page.keyboard.press('Enter');
  await expect(written(page, 1, '211.4')).toBeVisible();
  await expect(page.getByText('waits', { exact: true })).toHaveCount(0);
  const book = page.url();
  await server.kill();
  await cell(page, 1, 'Volume before in mL').fill('50.3');
  await page.keyboard.press('Enter');
  await page.keyboard.type('74.');
  await expect(page.getByText('waits', { exact: true })).toBeVisible();

  await page.reload();
  await expect(written(page, 1, '211.4')).toBeVisible();
  await expect(written(page, 1, '50.3')).toBeVisible();
  await expect(cell(page, 1, 'Volume after in mL')).toHaveValue('74.');
  await page.goto(bench);
  await expect(page.getByLabel('Your reading', { exact: true })).toHaveValue('12.');
  await page.goto(book);
  await expect(cell(page, 1, 'Volume after in mL')).toHaveValue('74.');
  await cell(page, 1, 'Volume after in mL').press('End');
  await page.keyboard.type('5');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/2 things wait to be sent; nothing is lost/)).toBeVisible();

  await server.start();
  await expect(page.getByText('waits', { exact: true })).toHaveCount(0, { timeout: 30_000 });
  const path = new URL(book).pathname.replace('/logbook/', '/api/logbooks/');
  const { entries } = await ask<EntriesAnswer>(page, 'GET', `${path}/entries`);
  expect(entries.map(({ text }) => text)).toEqual(['211.4', '50.3', '74.5']);
  await server.kill();
});

test('a database that stands still is told in words, and everything recovers by itself', async ({ page }) => {
  test.setTimeout(180_000);
  const cluster = await startCluster();
  const server = new ServerProcess(cluster.urlFor('green_beam_away'), await freePort());
  await server.start();
  const room = await makeRoom('Away', ['Una Fane'], undefined, server.address);
  await room.signIn(page, 'Una Fane', server.address);
  await openBook(page, 'Bolt pin');
  const processes = await cluster.pids();
  const freeze = (signal: 'SIGSTOP' | 'SIGCONT') => processes.forEach((pid) => process.kill(pid, signal));
  freeze('SIGSTOP');
  const began = Date.now();
  const health = await fetch(`${server.address}/health`);
  expect(health.status).toBe(503);
  await cell(page, 1, 'Mass of the pin in g').fill('211.4');
  const refused = page.waitForResponse(
    (answer) => answer.url().endsWith('/entries') && answer.status() === 503,
  );
  await page.keyboard.press('Enter');
  await refused;
  expect(Date.now() - began).toBeLessThan(9_000);
  await expect(page.getByText(/One thing waits to be sent; nothing is lost/)).toBeVisible();
  freeze('SIGCONT');
  await expect(page.getByText('waits', { exact: true })).toHaveCount(0, { timeout: 30_000 });
  await expect(written(page, 1, '211.4')).toHaveCount(1);
  expect((await fetch(`${server.address}/ready`)).status).toBe(200);
  await server.kill();
  await cluster.stop();
});

test('storage that is full is told in the field, with the text still in it', async ({ page, context }) => {
  const room = await makeRoom('Full', ['Una Fane']);
  await room.signIn(page, 'Una Fane');
  await openBook(page, 'Bolt pin');
  // The browser takes nothing more, neither what is typed nor what is to be sent.
  await page.evaluate(() => {
    const full = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    Storage.prototype.setItem = full;
    IDBObjectStore.prototype.add = full;
    IDBObjectStore.prototype.put = full;
  });
  const mass = cell(page, 1, 'Mass of the pin in g');
  await mass.fill('211.4');
  await expect(page.getByRole('alert').filter({ hasText: 'storage is full' })).toBeVisible();
  await context.setOffline(true);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'it is not stored yet' })).toBeVisible();
  await expect(mass).toHaveValue('211.4');
  // With the server there, nothing has to be kept here.
  await context.setOffline(false);
  await mass.focus();
  await page.keyboard.press('Enter');
  await expect(written(page, 1, '211.4')).toBeVisible();
});
