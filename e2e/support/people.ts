import { expect, test as base, type Locator, type Page } from '@playwright/test';

/** Pages whose console stays clean: no error, and nothing that the content-security policy had to stop. */
export const test = base.extend<{ quietConsole: void }>({
  quietConsole: [
    async ({ page }, use) => {
      const said: string[] = [];
      page.on('console', (message) => {
        // A server that was killed on purpose is not a fault of the page.
        if (message.type() === 'error' && !/ERR_|Failed to load resource/.test(message.text()))
          said.push(message.text());
      });
      page.on('pageerror', (error) => said.push(error.message));
      await use();
      expect(said).toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

export const baseUrl = (): string => process.env['BASE_URL'] ?? '';

export async function signInStudent(page: Page, name: string, address = baseUrl()): Promise<void> {
  await page.goto(address);
  await page.getByLabel('Class code').fill('TERN9');
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('Passphrase').fill(`${name.split(' ')[0]?.toLowerCase()} lantern quay`);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
}

export async function signInTeacher(
  page: Page,
  name = 'Ms Marrow',
  password = 'level beam 9',
): Promise<void> {
  await page.goto(baseUrl());
  await page.getByRole('tab', { name: 'Teacher' }).click();
  await page.getByLabel('Name or address').fill(name);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
}

/** Goes to something with the Tab key alone. */
export async function tabTo(page: Page, target: Locator): Promise<void> {
  await target.waitFor();
  for (let pressed = 0; pressed < 150; pressed += 1) {
    if (await target.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`${String(target)} cannot be reached with the Tab key.`);
}

export async function press(page: Page, target: Locator, key = 'Enter'): Promise<void> {
  await tabTo(page, target);
  await page.keyboard.press(key);
}

export async function type(page: Page, target: Locator, text: string): Promise<void> {
  await tabTo(page, target);
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type(text);
}
