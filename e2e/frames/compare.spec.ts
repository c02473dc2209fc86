import { test } from '../support/people';
import { quantile, scriptOf, workWhile } from './mainThread';

test('forty groups of twenty-five, turned and sorted anew, at a quarter of the speed', async ({ page }) => {
  const session = await page.context().newCDPSession(page);
  const rows: Record<string, string | number>[] = [];
  const record = (what: string, work: readonly number[]) =>
    rows.push({
      what,
      frames: work.length,
      'median, ms': quantile(work, 0.5).toFixed(1),
      'p95, ms': quantile(work, 0.95).toFixed(1),
    });
  const show = async (entry: string) => {
    await page.goto('about:blank');
    await page.setContent('<div id="root"></div>');
    await page.addScriptTag({ content: await scriptOf(entry) });
  };
  await show('circle.tsx');
  const box = await page.getByRole('slider').boundingBox();
  const [x, y] = [(box?.x ?? 0) + 30, (box?.y ?? 0) + 30];
  await page.mouse.move(x, y);
  const circle = await workWhile(session, async () => {
    for (let step = 0; step < 60; step += 1) await page.mouse.move(x + 20 * Math.sin(step / 5), y);
  });
  record('(a circle by React)', circle);
  await show('turned.tsx');
  /** What is pressed, and what the page says once that has come to rest. */
  const presses = [
    ['Turn', ['rings', 'dots', 'rings', 'dots']],
    ['Sort', ['sorted back', 'in order', 'sorted back', 'in order']],
  ] as const;
  for (const [name, ends] of presses) {
    const work = await workWhile(session, async () => {
      for (const end of ends) {
        await page.getByRole('button', { name }).click();
        await page.getByText(end).waitFor();
        await page.locator('svg[role=img]:not([data-turning])').waitFor();
      }
    });
    record(name, work);
    console.log(
      `${name} against the circle: median ${(quantile(work, 0.5) / quantile(circle, 0.5)).toFixed(2)} (2 at most), ` +
        `p95 ${(quantile(work, 0.95) / quantile(circle, 0.95)).toFixed(2)} (2.5 at most)`,
    );
  }
  console.table(rows);
});
