import { paths, type StudentSignIn, type TeacherSignIn } from '@green-beam/contract';
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

/** Signs somebody in without the form, which has journeys of its own, and opens their first page. */
export async function signIn(
  page: Page,
  as: { readonly student: StudentSignIn } | { readonly teacher: TeacherSignIn },
  address = baseUrl(),
): Promise<void> {
  const [path, data] =
    'student' in as ? [paths.studentSession, as.student] : [paths.teacherSession, as.teacher];
  const answer = await page.request.post(address + path, { data, headers: { origin: address } });
  expect(answer.status(), await answer.text()).toBe(200);
  await page.goto(address);
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
}

export const signInStudent = (page: Page, name: string, address = baseUrl()): Promise<void> =>
  signIn(
    page,
    {
      student: {
        classCode: 'TERN9',
        name,
        passphrase: `${name.split(' ')[0]?.toLowerCase()} lantern quay`,
        ownDevice: false,
      },
    },
    address,
  );

export const signInTeacher = (page: Page, name = 'Ms Marrow', password = 'level beam 9'): Promise<void> =>
  signIn(page, { teacher: { name, password, ownDevice: false } });

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
