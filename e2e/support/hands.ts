import { expect, type Page } from '@playwright/test';

type Hands = Readonly<Record<string, number | undefined>>;

/** How the hands have left the apparatus of the open setting, as the page has stored it. */
export const handsNow = (page: Page): Promise<Hands> =>
  page.evaluate(() => {
    const setting = location.pathname.split('/').at(-1) ?? '';
    const key = Object.keys(localStorage).find((name) => name.includes('/hands/') && name.endsWith(setting));
    return JSON.parse(localStorage.getItem(key ?? '') ?? '{}') as Record<string, number>;
  });

/** The same once nothing moves any more: the page stores the hands when they rest. */
export async function handsAtRest(page: Page): Promise<Hands> {
  let before = '';
  await expect
    .poll(
      async () => {
        const now = JSON.stringify(await handsNow(page));
        const still = now === before && now !== '{}';
        before = now;
        return still;
      },
      { intervals: [400], timeout: 20_000 },
    )
    .toBe(true);
  return JSON.parse(before) as Hands;
}
