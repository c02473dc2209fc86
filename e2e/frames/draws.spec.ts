import type { Page } from '@playwright/test';
import { expect, signInStudent, test } from '../support/people';

test('frames of the page while a million draws are made beside it', async ({ page }) => {
  await signInStudent(page, 'Adaline Moor');
  await page.getByRole('link', { name: 'Logbook' }).click();
  await page.getByRole('listitem').filter({ hasText: 'Lamp oil' }).getByRole('link').click();
  await page.getByRole('link', { name: 'Uncertainty and plots' }).click();
  await page.getByRole('button', { name: 'Draw', exact: true }).waitFor();
  const idle = await gaps(page, async () => {
    await page.getByRole('button', { name: 'Draw', exact: true }).hover();
    await expect(page.getByRole('button', { name: 'Stop' })).toHaveCount(0);
    await page.evaluate(() => new Promise((resolve) => setTimeout(resolve, 1500)));
  });
  const drawing = await gaps(page, async () => {
    await page.getByRole('button', { name: 'Draw', exact: true }).click();
    await page.getByText(/95 of 100 lie between/).waitFor();
  });
  console.table([row('nothing is drawn', idle), row('a million draws', drawing)]);
});

/** Milliseconds between the frames of the page while something is done. */
async function gaps(page: Page, work: () => Promise<void>): Promise<number[]> {
  await page.evaluate(() => {
    const times: number[] = [];
    const note = (now: number) => {
      times.push(now);
      if (watching.on) requestAnimationFrame(note);
    };
    const watching = { on: true, times };
    Object.assign(window, { watching });
    requestAnimationFrame(note);
  });
  await work();
  const times = await page.evaluate(() => {
    const { watching } = window as unknown as { watching: { on: boolean; times: number[] } };
    watching.on = false;
    return watching.times;
  });
  return times.slice(1).map((time, at) => time - (times[at] ?? time));
}

const row = (what: string, own: readonly number[]) => ({
  what,
  frames: own.length,
  'median gap, ms': [...own].sort((a, b) => a - b)[own.length >> 1]?.toFixed(1),
  'longest gap, ms': Math.max(...own).toFixed(1),
  'gaps of two frames or more': own.filter((gap) => gap > 34).length,
});
