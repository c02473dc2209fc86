import { expect, type Page } from '@playwright/test';
import { hold, keyFrom, opened } from '../../web/src/browser/keys';

type Hands = Readonly<Record<string, number | undefined>>;

/** How the hands have left the apparatus of the open setting, as the page has stored it. */
export async function handsNow(page: Page): Promise<Hands> {
  const { person, kept, sealKey } = await page.evaluate(async () => {
    const setting = location.pathname.split('/').at(-1) ?? '';
    const name = Object.keys(localStorage).find((own) => own.includes('/hands/') && own.endsWith(setting));
    const session = (await (await fetch('/api/session')).json()) as { sealKey?: string };
    return {
      person: name?.split('/')[2] ?? '',
      kept: localStorage.getItem(name ?? ''),
      sealKey: session.sealKey ?? '',
    };
  });
  // It stands there sealed with its reader's key.
  hold(person, await keyFrom(sealKey));
  return JSON.parse(opened(person, kept?.replace('sealed:', '') ?? '') ?? '{}') as Hands;
}

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
