import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './people';

/** As wide as a laptop, and as a phone. */
export const laptopAndPhone = [1280, 390] as const;

/** axe finds nothing on the page as it stands. @param widths in which it is looked at; its own where none is said. */
export async function clean(page: Page, widths?: readonly number[]): Promise<void> {
  const size = page.viewportSize() ?? { width: 1280, height: 800 };
  for (const [nth, width] of (widths ?? [size.width]).entries()) {
    await page.setViewportSize({ ...size, width });
    // What passes is not gathered, and no second page is opened to gather it: most of the time that axe takes.
    const builder = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
    // Colours are the same at every width, and what takes longest.
    if (nth > 0) builder.disableRules(['color-contrast']);
    const { violations } = await builder
      .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
      .analyze();
    expect([
      width,
      ...violations.map(
        ({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join('; ')}`,
      ),
    ]).toEqual([width]);
  }
  await page.setViewportSize(size);
}
