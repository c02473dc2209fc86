import type { Page } from '@playwright/test';
import { baseUrl, expect, signInStudent, signInTeacher, test } from '../support/people';
import { take } from '../support/reading';

/** Watches from the first paint on where everything stands that can be pressed or written in, and keeps what moved. */
const watchPlaces = (page: Page) =>
  page.addInitScript(() => {
    const first = new Map<string, { readonly x: number; readonly y: number }>();
    const moved = new Map<string, string>();
    let framesAlike = 0;
    let before = '';
    const names = (element: Element) =>
      `${element.tagName.toLowerCase()} ${element.getAttribute('aria-label') ?? element.textContent ?? ''} ${element.getAttribute('href') ?? element.id}`.trim();
    const look = () => {
      const seen = new Map<string, DOMRect>();
      const twice = new Set<string>();
      for (const element of document.querySelectorAll('a[href], button, input, select, textarea, summary')) {
        const box = element.getBoundingClientRect();
        if (box.width < 2 || box.height < 2 || !element.checkVisibility()) continue;
        const name = names(element);
        if (seen.has(name)) twice.add(name);
        seen.set(name, box);
      }
      for (const [name, { x, y }] of seen) {
        if (twice.has(name)) continue;
        const began = first.get(name);
        if (!began) first.set(name, { x, y });
        else if (Math.abs(began.x - x) > 1 || Math.abs(began.y - y) > 1)
          moved.set(name, `${name}: from ${began.x}, ${began.y} to ${x}, ${y}`);
      }
      const now = JSON.stringify([...seen]);
      framesAlike = now === before ? framesAlike + 1 : 0;
      before = now;
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
    Object.assign(window, {
      placesSeen: () => first.size,
      placesMoved: () => [...moved.values()],
      placesRest: () => framesAlike > 20,
    });
  });

/** Opens a page with answers that come one after the other, and tells what moved until nothing comes any more. */
async function movedOn(page: Page, address: string): Promise<readonly string[]> {
  await page.goto(baseUrl() + address);
  await page.waitForLoadState('networkidle');
  await page.waitForFunction(() => (window as unknown as { placesRest(): boolean }).placesRest());
  const { seen, moved } = await page.evaluate(() => {
    const own = window as unknown as { placesSeen(): number; placesMoved(): string[] };
    return { seen: own.placesSeen(), moved: own.placesMoved() };
  });
  expect(seen).toBeGreaterThan(5);
  return moved;
}

/** Each answer is late in its own way, as over a tired network. */
const tiredNetwork = (page: Page) =>
  page.route('**/api/**', async (route) => {
    const path = new URL(route.request().url()).pathname;
    const late = [...path].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 300, 7);
    if (!/live/.test(path)) await new Promise((later) => setTimeout(later, late));
    await route.continue();
  });

const pathOf = (page: Page) => new URL(page.url()).pathname;

test('a student’s pages: what can be pressed stays where it first stood', async ({ page }) => {
  await signInStudent(page, 'Linnea Cray');
  await take(page, 'Read', 'graduated cylinder');
  await expect(page.getByLabel('Your reading', { exact: true })).toBeVisible();
  const station = pathOf(page);
  await page.getByRole('link', { name: 'Logbook', exact: true }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Bolt pin' })
    .getByText(/Open|Go on|Look/)
    .click();
  await expect(page.getByRole('heading', { name: 'Method' })).toBeVisible();
  const book = pathOf(page);
  await watchPlaces(page);
  await tiredNetwork(page);
  const moved = [];
  for (const path of ['/', '/bench', station, '/logbook', book, `${book}/review`])
    moved.push(...(await movedOn(page, path)).map((line) => `${path} ${line}`));
  expect(moved).toEqual([]);
});

test('a teacher’s pages: what can be pressed stays where it first stood', async ({ page }) => {
  await signInTeacher(page);
  await page.getByRole('region', { name: '9 Tern' }).getByRole('link', { name: 'Open the class' }).click();
  await expect(page.getByRole('heading', { name: '9 Tern, today' })).toBeVisible();
  const board = pathOf(page);
  const book = await page
    .getByRole('link', { name: /Bolt pin/ })
    .first()
    .getAttribute('href');
  await watchPlaces(page);
  await tiredNetwork(page);
  const moved = [];
  for (const path of ['/', board, `${book}/review`])
    moved.push(...(await movedOn(page, path)).map((line) => `${path} ${line}`));
  expect(moved).toEqual([]);
});
