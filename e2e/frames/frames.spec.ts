import type { CDPSession, Page } from '@playwright/test';
import { signInStudent, test } from '../support/people';
import { settingShown, take } from '../support/reading';
import { quantile, scriptOf, workWhile } from './mainThread';

/** What is dragged on each instrument, and along which way of the screen. */
const drags: readonly (readonly [instrument: string, handle: RegExp, along: 'x' | 'y'])[] = [
  ['ruler', /eye/, 'x'],
  ['thermometer', /eye/, 'y'],
  ['three-beam balance', /0 to 10/, 'x'],
  ['four-beam balance', /0 to 1 g/, 'x'],
  ['vernier caliper', /jaw/, 'x'],
  ['digital caliper', /jaw/, 'x'],
  ['micrometer', /Thimble/, 'x'],
  ['graduated cylinder', /eye/, 'y'],
  ['burette', /Tap/, 'y'],
  ['burette', /eye/, 'y'],
  ['graduated pipette', /eye/, 'y'],
  ['volumetric pipette', /eye/, 'y'],
  ['beaker or conical flask', /eye/, 'y'],
  ['volumetric flask', /eye/, 'y'],
];

const circle = `<svg viewBox="0 0 770 640" width="770">
  <circle role="slider" tabindex="0" aria-label="The circle" cx="385" cy="320" r="30" />
</svg>`;

test('main-thread work of a frame while dragging, at a quarter of the speed', async ({ page }) => {
  await signInStudent(page, 'Verity Moss');
  const session = await page.context().newCDPSession(page);
  const rows: Record<string, string | number>[] = [];
  const record = async (instrument: string, handle: RegExp, along: 'x' | 'y') => {
    const work = await dragged(page, session, handle, along);
    rows.push({
      instrument,
      handle: handle.source,
      frames: work.length,
      'median, ms': quantile(work, 0.5).toFixed(1),
      'p95, ms': quantile(work, 0.95).toFixed(1),
    });
  };
  // What the browser itself takes for a page that has one circle, moved without any of our code.
  await page.setContent(circle);
  await page.getByRole('slider').evaluate((drawn) => {
    drawn.addEventListener('pointermove', (event) =>
      drawn.setAttribute('cx', String((event as PointerEvent).clientX)),
    );
  });
  await record('(a bare circle)', /circle/, 'x');
  // And what React takes with it, when all there is to draw is that circle.
  await page.goto('about:blank');
  await page.setContent('<div id="root"></div>');
  await page.addScriptTag({ content: await scriptOf('circle.tsx') });
  await record('(a circle by React)', /circle/, 'x');
  for (const [instrument, handle, along] of drags) {
    await settingShown(page, () => take(page, 'Handle', instrument));
    await record(instrument, handle, along);
  }
  console.table(rows);
});

/** Drags to and fro, and gives the milliseconds of main-thread work in each frame. */
async function dragged(page: Page, session: CDPSession, handle: RegExp, along: 'x' | 'y'): Promise<number[]> {
  const slider = page.getByRole('slider', { name: handle }).first();
  await slider.waitFor();
  const [x, y] = await slider.evaluate(grip);
  // Straight to the browser: what Playwright would run in the page at every move is not the page's work.
  const mouse = (type: 'mousePressed' | 'mouseMoved' | 'mouseReleased', off = 0) =>
    session.send('Input.dispatchMouseEvent', {
      type,
      x: along === 'x' ? x + off : x,
      y: along === 'y' ? y + off : y,
      button: 'left',
      buttons: type === 'mouseReleased' ? 0 : 1,
      clickCount: 1,
    });
  return workWhile(session, async () => {
    await mouse('mousePressed');
    for (let step = 0; step < 60; step += 1) await mouse('mouseMoved', 70 * Math.sin(step / 5));
    await mouse('mouseReleased');
  });
}

/** A place of a handle that a pointer meets: its middle, or where else it is solid. */
function grip(handle: Element): [number, number] {
  const { left, top, width, height } = handle.getBoundingClientRect();
  for (const across of [0.5, 0.8, 0.2, 0.9, 0.65])
    for (const down of [0.5, 0.3, 0.7, 0.1]) {
      const [x, y] = [left + across * width, top + down * height];
      if (handle.contains(document.elementFromPoint(x, y))) return [x, y];
    }
  throw new Error('The handle cannot be met.');
}
