import { boltPin, presetNamed, revise } from '@green-beam/core';
import { clean } from '../support/axe';
import { baseUrl, expect, signInTeacher, test } from '../support/people';
import { readRightly, settingShown, take } from '../support/reading';
import { makeRoom, openBook } from '../support/room';

test('a class goes over to half divisions: new work is judged so, an old logbook by the rules that it began with', async ({
  page,
  browser,
}) => {
  const room = await makeRoom('7 Knot', ['Iben Skerry'], { ...boltPin, title: 'Bolt pin, by halves' });
  const student = await (await browser.newContext()).newPage();
  await room.signIn(student, 'Iben Skerry');
  await openBook(student, 'Bolt pin, by halves');
  const before = student.getByLabel(/^Trial 1, .*before.* in mL$/i);
  await before.fill('50.2');
  await before.press('Enter');
  await expect(student.getByText('50.2').first()).toBeVisible();

  await signInTeacher(page);
  await page.goto(`${baseUrl()}/class/${room.classId}`);
  await page.getByRole('link', { name: 'House rules' }).click();
  await expect(page.getByRole('heading', { name: 'House rules of 7 Knot' })).toBeVisible();
  await clean(page);
  await page.getByLabel('Begin from').selectOption('Half-division');
  await page
    .getByRole('group', { name: /Which way does a tie round/ })
    .getByLabel('to the even digit')
    .check();
  await page
    .getByRole('group', { name: /ends in a zero at the ones place/ })
    .getByLabel('bare is accepted, with a remark')
    .check();
  // What it comes to stands beside it before it is saved, and what was chosen survives a reload.
  await expect(page.getByText('56.5 mL; accepted from 56.0 to 56.5')).toBeVisible();
  await page.reload();
  await expect(page.getByText(/One logbook and no reading on the bench stays? with version 1/)).toBeVisible();
  await page.getByRole('button', { name: 'Use these rules from now on' }).click();
  await expect(page.getByText(/^Version 2/)).toBeVisible();
  await page.getByRole('link', { name: 'A page to print for the class' }).click();
  await expect(page.getByRole('heading', { name: 'How we read and write in this class' })).toBeVisible();
  await expect(page.getByText('to half a division')).toBeVisible();
  await expect(page.getByText('bare is accepted, with a remark')).toBeVisible();
  await clean(page);

  // The student reads by the new rules: the same digits that were right before are too many now.
  const rules = revise(presetNamed('Half-division'), { rounding: 'half-even', onesZero: 'remarked' });
  const setting = await settingShown(student, () => take(student, 'Read', 'graduated cylinder'));
  const text = readRightly(setting.picture, rules);
  const field = student.getByLabel('Your reading', { exact: true });
  await field.fill(`${text} mL`);
  await field.press('Enter');
  await expect(student.getByText('Level: rightly read.')).toBeVisible();

  // The old logbook stays with version 1: 50.2 is well written there, though halves would not have it.
  await student.goto(`${baseUrl()}/logbook`);
  await openBook(student, 'Bolt pin, by halves');
  await expect(student.getByText('50.2').first()).toBeVisible();
  await expect(student.getByText(/falls between the steps/)).toHaveCount(0);
  await student.goto(`${baseUrl()}/rules`);
  await expect(student.getByRole('heading', { name: 'How we read and write in this class' })).toBeVisible();
  await expect(student.getByText('to half a division')).toBeVisible();
  await student.context().close();
});
