import { clean, laptopAndPhone } from '../support/axe';
import { baseUrl, signInStudent, signInTeacher, test } from '../support/people';

test.describe.configure({ timeout: 300_000 });

test('axe finds nothing on the student’s screens', async ({ page }) => {
  await page.goto(baseUrl());
  await page.getByRole('heading', { name: 'Green Beam' }).waitFor();
  await clean(page, laptopAndPhone);
  await signInStudent(page, 'Adaline Moor');
  await clean(page, laptopAndPhone);
  await page.getByRole('link', { name: 'Bench' }).click();
  await page.locator('li a > span > svg').nth(15).waitFor();
  await clean(page, laptopAndPhone);
  await page.getByRole('link', { name: /^vernier caliper/i }).click();
  await page.getByRole('button', { name: 'Read the vernier caliper' }).waitFor();
  await clean(page, laptopAndPhone);
  await page.getByRole('button', { name: '? keys' }).click();
  await clean(page, laptopAndPhone);
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Logbook' }).click();
  await page.getByRole('link', { name: 'Look at it' }).first().waitFor();
  await clean(page, laptopAndPhone);
  await page.getByRole('link', { name: 'Look at it' }).first().click();
  await page.getByRole('button', { name: 'Working of the result' }).click();
  await page.locator('.katex').first().waitFor();
  await clean(page, laptopAndPhone);
  await page
    .getByRole('button', { name: /^Correct Mass/ })
    .first()
    .click();
  await clean(page, laptopAndPhone);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'More about trial 1' }).click();
  await clean(page, laptopAndPhone);
  await page.keyboard.press('Escape');
  for (const [name, something] of [
    ['Uncertainty and plots', 'All ways of combining, side by side'],
    ['Second look', 'What may be behind an error here'],
    ['Report', 'Method, cautions and precautions'],
  ] as const) {
    await page.getByRole('link', { name }).click();
    await page.getByText(something).first().waitFor();
    await clean(page, laptopAndPhone);
  }
});

test('axe finds nothing in the workshop of figures', async ({ page }) => {
  await signInStudent(page, 'Adaline Moor');
  for (const [address, something] of [
    ['/figures', 'Write a calculation with its units'],
    ['/figures/drills', 'Count the figures'],
    ['/figures/rearrange', 'Solve a formula before you put numbers in.'],
    ['/figures/spot', 'Judge my marks'],
    ['/figures/cards', 'Which digits count'],
    ['/bench/which', 'Wanted relative uncertainty, %'],
    ['/bench/balance', 'Take reading'],
  ] as const) {
    await page.goto(baseUrl() + address);
    await page.getByText(something).first().waitFor();
    await clean(page, laptopAndPhone);
  }
  await page.goto(`${baseUrl()}/figures`);
  await page.getByLabel('Write a calculation with its units').fill('84.00 g / 25.0 mL');
  await page.locator('.katex').first().waitFor();
  await clean(page, laptopAndPhone);
  await page.goto(`${baseUrl()}/figures/drills`);
  await page.getByRole('button', { name: 'Practise Round' }).click();
  await page.getByLabel('Your answer').fill('1');
  await page.keyboard.press('Enter');
  await page.getByText('tries left').waitFor();
  await clean(page, laptopAndPhone);
});

test('axe finds nothing on the teacher’s screens', async ({ page }) => {
  await signInTeacher(page);
  await page.getByText('At work today').first().waitFor();
  await clean(page, laptopAndPhone);
  await page.getByRole('link', { name: 'Class', exact: true }).click();
  await page
    .getByRole('button', { name: /earlier/ })
    .first()
    .click();
  await clean(page, laptopAndPhone);
  await page.getByRole('link', { name: 'Show a setting' }).click();
  await page.getByRole('heading', { name: 'Show another' }).waitFor();
  await clean(page, laptopAndPhone);
  await page.goBack();
  await page.getByRole('link', { name: 'Investigations' }).click();
  await page.getByRole('heading', { name: 'Ready-made' }).waitFor();
  await clean(page, laptopAndPhone);
  await page.getByRole('link', { name: 'Adapt' }).first().click();
  await page.getByText('Causes of error that belong to it').waitFor();
  await clean(page, laptopAndPhone);
  await page.goBack();
  await page.goBack();
  await page.getByRole('link', { name: 'Roster and slips' }).click();
  await page.getByRole('button', { name: 'Make new slips for everyone' }).click();
  await clean(page, laptopAndPhone);
  await page.goto(`${baseUrl()}/nowhere`);
  await page.getByText('There is no page at this address.').waitFor();
  await clean(page, laptopAndPhone);
});
