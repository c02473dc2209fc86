import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './people';

/** axe finds nothing on the page as it stands. */
export async function clean(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join('; ')}`),
  ).toEqual([]);
}
