import type { Page } from '@playwright/test';
import { resolve } from 'node:path';
import { baseUrl, expect, signInStudent, signInTeacher, test } from '../support/people';
import { readRightly, settingShown } from '../support/reading';

const folder = resolve(import.meta.dirname, '../../docs/screenshots');
const shoot = async (page: Page, name: string) => {
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: resolve(folder, `${name}.png`), animations: 'disabled' });
};

test.use({ reducedMotion: 'reduce' } as object);

test('the student’s screens', async ({ page }) => {
  await page.goto(baseUrl());
  await page.getByLabel('Class code').waitFor();
  await shoot(page, 'sign-in');
  await signInStudent(page, 'Bastian Wren');
  await page.getByRole('heading', { name: 'Your readings' }).waitFor();
  await shoot(page, 'today-student');
  await page.getByRole('link', { name: 'Bench' }).click();
  await page.getByRole('button', { name: 'Read the three-beam balance' }).waitFor();
  await shoot(page, 'bench-shelf');

  // A cylinder whose curve was read at its top.
  await page.getByLabel('Which graduated cylinder').selectOption('cylinder-50-1');
  for (let tries = 0; tries < 20; tries += 1) {
    const setting = await settingShown(page, () =>
      page.getByRole('button', { name: 'Read the graduated cylinder' }).click(),
    );
    if ((setting.picture as { surface?: string }).surface === 'concave') {
      await page
        .getByLabel('Your reading', { exact: true })
        .fill((Number(readRightly(setting.picture)) + 1.1).toFixed(1));
      break;
    }
    await page.goto(`${baseUrl()}/bench`);
    await page.getByLabel('Which graduated cylinder').selectOption('cylinder-50-1');
  }
  await page.getByRole('radio', { name: 'mL' }).click();
  await page.getByRole('button', { name: 'Check reading' }).click();
  await expect(page.getByText('You read the top of the curve.')).toBeVisible();
  await page.keyboard.press('Tab');
  await shoot(page, 'bench-cylinder');

  await page.goto(`${baseUrl()}/bench`);
  await page.getByRole('button', { name: 'Handle the graduated cylinder' }).click();
  await page.getByRole('slider', { name: 'Your eye' }).focus();
  await page.keyboard.press('c');
  await page.keyboard.press('l');
  await shoot(page, 'bench-cylinder-eye');

  await page.goto(`${baseUrl()}/bench`);
  await page.getByRole('button', { name: 'Handle the three-beam balance' }).click();
  await page.getByRole('button', { name: 'Put the tin on the pan' }).click();
  await page.getByRole('slider', { name: /hundreds/ }).focus();
  await page.keyboard.press('ArrowRight');
  await page.getByText(/The pointer rests/).waitFor();
  await shoot(page, 'bench-balance');
});

test('more of the bench', async ({ page }) => {
  await signInStudent(page, 'Rhoswen Kite');
  const lay = async (mode: 'Read' | 'Handle', name: string, model: string) => {
    await page.goto(`${baseUrl()}/bench`);
    await page.getByLabel(`Which ${name}`).selectOption(model);
    await page.getByRole('button', { name: `${mode} the ${name}` }).click();
    await page.getByLabel('Your reading', { exact: true }).waitFor();
  };
  await lay('Read', 'vernier caliper', 'vernier-20-39');
  await page.getByRole('button', { name: 'Lens' }).click();
  await shoot(page, 'bench-caliper');
  await lay('Read', 'micrometer', 'micrometer-vernier');
  await shoot(page, 'bench-micrometer');
  await lay('Handle', 'thermometer', 'thermometer-0_5');
  await page.getByText('The column rests.').waitFor({ timeout: 30_000 });
  await shoot(page, 'bench-thermometer');
  await lay('Read', 'electronic balance', 'electronic-0_01');
  await shoot(page, 'bench-electronic-balance');
  await lay('Handle', 'ruler', 'ruler-mm');
  await shoot(page, 'bench-ruler');
});

test('the logbook', async ({ page }) => {
  await signInStudent(page, 'Delphi Marsh');
  await page.getByRole('link', { name: 'Look at it' }).click();
  await page.getByRole('region', { name: 'Result' }).waitFor();
  await shoot(page, 'logbook');
  await page.getByRole('button', { name: 'Working of the result' }).click();
  await page.locator('.katex').first().waitFor();
  await page.getByRole('region', { name: 'Result' }).scrollIntoViewIfNeeded();
  await page
    .getByRole('heading', { name: 'Result', exact: true })
    .evaluate((heading) => heading.scrollIntoView());
  await shoot(page, 'logbook-working');
});

test('the teacher’s screens', async ({ page }) => {
  await signInTeacher(page);
  await page.getByText('At work today').waitFor();
  await shoot(page, 'today-teacher');
  await page.getByRole('link', { name: 'Class', exact: true }).click();
  await page.getByRole('heading', { name: '9 Tern, today' }).waitFor();
  await shoot(page, 'class');
  await page.getByRole('link', { name: 'Roster and slips' }).click();
  await page.getByRole('button', { name: 'New slip for Adaline Moor' }).click();
  await page.getByText('One new slip.').waitFor();
  await shoot(page, 'roster');
});
