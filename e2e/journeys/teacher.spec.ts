import { baseUrl, expect, press, signInStudent, signInTeacher, test, type } from '../support/people';
import { settingShown, take } from '../support/reading';

/** The teacher's whole way, by keyboard alone. */
test('a teacher signs in, sees a reading arrive with its cause, and opens the working of a result', async ({
  page,
  browser,
}) => {
  await page.goto(baseUrl());
  await page.getByRole('tab', { name: 'Student' }).focus();
  await page.keyboard.press('ArrowRight');
  await type(page, page.getByLabel('Name or address'), 'Ms Marrow');
  await type(page, page.getByLabel('Password'), 'level beam 9');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: '9 Tern' })).toContainText('At work today');
  await press(
    page,
    page.getByRole('region', { name: '9 Tern' }).getByRole('link', { name: 'Open the class' }),
  );
  await expect(page.getByRole('heading', { name: '9 Tern, today' })).toBeVisible();
  await type(page, page.getByLabel('Find'), 'rhoswen');
  const row = page.getByRole('row', { name: /Rhoswen Kite/ });
  await expect(row).toBeVisible();

  const studentPage = await (await browser.newContext()).newPage();
  await signInStudent(studentPage, 'Rhoswen Kite');
  await settingShown(studentPage, () => take(studentPage, 'Read', 'three-beam balance'));
  await studentPage.getByLabel('Your reading', { exact: true }).fill('0.123 g');
  const sent = studentPage.waitForResponse(/attempts/);
  await studentPage.keyboard.press('Enter');
  await sent;
  // The board has it within two seconds, without a hand on it.
  await expect(row).toContainText('0.123 g wrong', { timeout: 2_000 });

  await page.getByLabel('Find').fill('adaline');
  await press(page, page.getByRole('link', { name: /Bolt pin/ }));
  await expect(page.getByRole('region', { name: 'Result' })).toContainText('g/cm³');
  await expect(page.getByRole('button', { name: /^Correct/ })).toHaveCount(0);
  await press(page, page.getByRole('button', { name: 'Working of the result' }));
  await expect(page.getByRole('heading', { name: 'Part of the instruments' })).toBeVisible();
  await studentPage.context().close();
});

test('a teacher makes a class, adds students and prints slips that open the door', async ({
  page,
  browser,
}) => {
  await signInTeacher(page, 'Mr Teal', 'level beam 10');
  await page.getByLabel('Another class').fill('9 Plover');
  await page.getByRole('button', { name: 'Make the class' }).click();
  await page.getByLabel('Add students').fill('Yorick Lane\nZelda Pym');
  await page.getByRole('button', { name: 'Add 2 students' }).click();
  const slip = page.getByRole('listitem').filter({ hasText: 'passphrase' }).filter({ hasText: 'Zelda Pym' });
  await expect(slip).toBeVisible();
  const [code, passphrase] = await slip.locator('span').allTextContents();
  const student = await (await browser.newContext()).newPage();
  await student.goto(baseUrl());
  await student.getByLabel('Class code').fill(code ?? '');
  await student.getByLabel('Your name').fill('zelda pym');
  await student.getByLabel('Passphrase').fill(passphrase ?? '');
  await student.getByRole('button', { name: 'Sign in' }).click();
  // The new class has its first investigation; the student opens a logbook of their own.
  await student.getByRole('button', { name: 'Open the logbook' }).first().click();
  await expect(student.getByRole('heading', { name: 'Method' })).toBeVisible();
  await expect(student.getByLabel('Trial 1, Mass of the pin in g')).toBeEditable();
  await student.context().close();
});
