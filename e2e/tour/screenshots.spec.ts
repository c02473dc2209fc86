import type { Browser, Page } from '@playwright/test';
import { resolve } from 'node:path';
import { baseUrl, expect, signInStudent, signInTeacher, test } from '../support/people';
import { readRightly, settingShown, take } from '../support/reading';

const folder = resolve(import.meta.dirname, '../../docs/screenshots');
const shoot = async (page: Page, name: string) => {
  await page.evaluate(() => document.fonts.ready);
  // Everything that was written has arrived.
  await page.getByText(/to be sent; nothing is lost/).waitFor({ state: 'hidden' });
  await page.screenshot({ path: resolve(folder, `${name}.png`), animations: 'disabled' });
};

test.use({ reducedMotion: 'reduce' } as object);

test('the student’s screens', async ({ page }) => {
  await page.goto(baseUrl());
  await page.getByLabel('Class code').waitFor();
  await signInStudent(page, 'Bastian Wren');
  await page.getByRole('heading', { name: 'Your readings' }).waitFor();
  await page.locator('svg[viewBox="0 0 120 100"]').first().waitFor();
  await shoot(page, 'today-student');
  await page.getByRole('link', { name: 'Bench' }).click();
  await page.locator('li a > span > svg').nth(15).waitFor();
  await shoot(page, 'bench-shelf');
  await page.goto(`${baseUrl()}/bench/instruments/vernier-caliper`);
  await page.getByRole('button', { name: 'Read the vernier caliper' }).waitFor();
  await shoot(page, 'bench-card');

  // A cylinder whose curve was read at its top.
  for (let tries = 0; tries < 20; tries += 1) {
    const setting = await settingShown(page, () => take(page, 'Read', 'graduated cylinder', 'cylinder-50-1'));
    if ((setting.picture as { surface?: string }).surface === 'concave') {
      await page
        .getByLabel('Your reading', { exact: true })
        .fill((Number(readRightly(setting.picture)) + 1.1).toFixed(1));
      break;
    }
  }
  await page.getByRole('radio', { name: 'mL' }).click();
  await page.getByRole('button', { name: 'Check reading' }).click();
  await expect(page.getByText('You read the top of the curve.')).toBeVisible();
  await page.keyboard.press('Tab');
  await shoot(page, 'bench-cylinder');

  await take(page, 'Handle', 'three-beam balance');
  await page.getByRole('button', { name: 'Put the tin on the pan' }).click();
  await page.getByRole('slider', { name: /hundreds/ }).focus();
  await page.keyboard.press('ArrowRight');
  await page.getByText(/The pointer rests/).waitFor();
  await shoot(page, 'bench-balance');
});

test('more of the bench', async ({ page }) => {
  await signInStudent(page, 'Rhoswen Kite');
  const lay = async (mode: 'Read' | 'Handle', name: string, model: string) => {
    await take(page, mode, name, model);
    await page.getByLabel('Your reading', { exact: true }).waitFor();
  };
  await lay('Read', 'vernier caliper', 'vernier-20-39');
  await page.getByRole('button', { name: 'Lens' }).click();
  await shoot(page, 'bench-caliper');
});

/** The other instruments on one sheet: each as it stands on the bench, three in a row. */
test('the workshop of figures', async ({ page }) => {
  await signInStudent(page, 'Delphi Marsh');
  await page.getByRole('link', { name: 'Figures' }).click();
  await page.getByLabel('Write a calculation with its units').fill('(46 g − 41.18 g) / 2.50 mL');
  await page.locator('.katex').nth(2).waitFor();
  await shoot(page, 'figures-workbench');
  await page.goto(`${baseUrl()}/figures/spot`);
  await page
    .getByRole('button', { name: /of trial 1/ })
    .first()
    .click();
  await page.getByText('what is wrong?').waitFor();
  await shoot(page, 'figures-spot');
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

  // A ring whose table is not right yet.
  await page.getByRole('link', { name: 'Logbook' }).click();
  const ring = page.getByRole('listitem').filter({ hasText: 'Shackle ring' });
  await ring.getByRole('button', { name: 'Open the logbook' }).click();
  const rows = [
    ['62.48', '21.4', '29.3', '7.9', '0.13'],
    ['62.5', '20.0', '28.0', '8.0', '7.8'],
    ['62.47', '21.00', '28.9', '7.9', '7.91'],
  ];
  await page.getByLabel('Trial 1, Mass of the ring in g').focus();
  for (const text of rows.flat()) {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  }
  await page.getByRole('link', { name: 'Second look' }).click();
  await page.getByText(/findings stand/).waitFor();
  await shoot(page, 'logbook-second-look');
});

test('a liquid: plots, uncertainty, report', async ({ page }) => {
  await signInStudent(page, 'Adaline Moor');
  await page.getByRole('link', { name: 'Logbook' }).click();
  await page.getByRole('listitem').filter({ hasText: 'Lamp oil' }).getByRole('link').click();
  await page.getByRole('link', { name: 'Uncertainty and plots' }).click();
  await page.getByRole('button', { name: 'Draw', exact: true }).click();
  await page.getByText(/95 of 100 lie between/).waitFor();
  await page.setViewportSize({ width: 1280, height: 1180 });
  await page.evaluate(() => scrollTo(0, 560));
  await shoot(page, 'logbook-uncertainty');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('link', { name: 'Report' }).click();
  await page.locator('.katex').first().waitFor();
  await page.emulateMedia({ media: 'print', reducedMotion: 'reduce' });
  await page.setViewportSize({ width: 900, height: 1270 });
  await shoot(page, 'logbook-report');
});

/** Some of the class answer what is shown. */
async function answerAsClass(browser: Browser, texts: readonly string[]): Promise<void> {
  const names = [
    'Adaline Moor',
    'Corin Vale',
    'Eskil Tarn',
    'Fenna Holt',
    'Hesper Lunt',
    'Ivo Brack',
    'Linnea Cray',
    'Nerys Quill',
  ];
  for (const [at, text] of texts.entries()) {
    const student = await (await browser.newContext()).newPage();
    await signInStudent(student, names[at] ?? '');
    await student.getByRole('button', { name: 'Read it' }).click();
    await student.getByLabel('Your reading', { exact: true }).fill(`${text} mL`);
    const sent = student.waitForResponse(/attempts/);
    await student.keyboard.press('Enter');
    await sent;
    await student.context().close();
  }
}

test('the teacher’s screens', async ({ page, browser }) => {
  test.setTimeout(180_000);
  await signInTeacher(page);
  await page.getByText('At work today').first().waitFor();
  await shoot(page, 'today-teacher');
  await page.getByRole('link', { name: 'Class', exact: true }).click();
  await page.getByRole('heading', { name: '9 Tern, today' }).waitFor();
  await shoot(page, 'class');
  await page.getByRole('link', { name: 'Show a setting' }).click();
  await page.getByLabel('Instrument').selectOption('graduated-cylinder');
  await page.getByLabel('Make').selectOption('cylinder-50-1');
  await page.getByLabel(/^Set it to, in/).fill('37.2');
  await page.getByRole('button', { name: 'Show it to the class' }).click();
  await page.getByText('No answer yet.').waitFor();
  await answerAsClass(browser, ['37.2', '37.3', '37.1', '38.6', '37.2', '42.2', '38.5', '37.0']);
  await page.getByText('8 answers.').waitFor();
  await page.getByRole('button', { name: 'Reveal the answer' }).click();
  await shoot(page, 'class-question');
  await page.getByRole('link', { name: 'Class', exact: true }).click();
  await page.getByRole('link', { name: 'Investigations' }).click();
  await page.getByRole('heading', { name: 'Ready-made' }).waitFor();
  await shoot(page, 'class-investigations');
  await page.getByRole('link', { name: 'Compare', exact: true }).first().click();
  await page.getByRole('img', { name: /groups on one scale/ }).waitFor();
  await shoot(page, 'compare');
  await page.getByRole('link', { name: 'Stockroom' }).click();
  await page.getByRole('row', { name: /V-11/ }).waitFor();
  await shoot(page, 'stockroom');
});
