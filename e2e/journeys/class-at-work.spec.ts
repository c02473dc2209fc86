import { glasswareThreeWays } from '@green-beam/core';
import type { Page } from '@playwright/test';
import { clean, laptopAndPhone } from '../support/axe';
import { baseUrl, expect, signInStudent, signInTeacher, test } from '../support/people';
import { readRightly, settingShown, take } from '../support/reading';
import { makeRoom, openBook, writeRows } from '../support/room';

const region = (page: Page, name: string) => page.getByRole('region', { name, exact: true });

const names = Array.from(
  { length: 24 },
  (_, at) => `Kit ${String.fromCharCode(65 + at)}. Sorrel;Bench ${1 + Math.floor(at / 3)}`,
);

/** Does what a person does, and counts how often they pressed or wrote. */
function counter() {
  const press = async (act: Promise<unknown>) => {
    press.count += 1;
    await act;
  };
  press.count = 0;
  return press;
}

test('a new class of 24 with its benches and house rules, in eight presses and fields at most', async ({
  page,
}, { retry }) => {
  await signInTeacher(page);
  const counted = counter();
  await counted(page.getByLabel('Another class').fill(`7 Fulmar ${retry}`));
  await counted(page.getByLabel('House rules to begin with').selectOption('Physics bench'));
  await counted(page.getByRole('button', { name: 'Make the class' }).click());
  // One of them stands twice: it is said before anything is kept.
  await page.getByLabel('Add students', { exact: true }).fill(`${names.join('\n')}\nkit a. sorrel`);
  await expect(page.getByRole('alert')).toContainText('Line 25: “kit a. sorrel” stands in line 1 already.');
  await counted(page.getByLabel('Add students', { exact: true }).fill(names.join('\n')));
  await expect(page.getByText('24 names at 8 benches.')).toBeVisible();
  await counted(page.getByRole('button', { name: 'Add 24 students' }).click());
  await expect(page.getByText(/^24 new slips/)).toBeVisible();
  expect(counted.count).toBeLessThanOrEqual(8);

  await page.getByRole('link', { name: 'Benches', exact: true }).click();
  await expect(page.getByText('24 students, 8 benches')).toBeVisible();
  await clean(page);
  // By keys alone: the choice at the name.
  await page.getByLabel('Bench of Kit A. Sorrel').selectOption('Bench 8');
  await expect(page.getByLabel('Bench of Kit A. Sorrel')).toHaveValue(
    (await page.getByLabel('Bench of Kit X. Sorrel').inputValue()) || 'none',
  );
  // By dragging, to where somebody of Bench 3 sits.
  const there = page.getByLabel('Bench of Kit G. Sorrel');
  const grip = await page.getByRole('button', { name: 'Drag Kit B. Sorrel' }).boundingBox();
  const place = await there.boundingBox();
  await page.mouse.move((grip?.x ?? 0) + 8, (grip?.y ?? 0) + 8);
  await page.mouse.down();
  await page.mouse.move((place?.x ?? 0) + 8, (place?.y ?? 0) + 8, { steps: 12 });
  await page.mouse.up();
  await expect(page.getByLabel('Bench of Kit B. Sorrel')).toHaveValue(await there.inputValue());
  await page.getByLabel('Bench of Kit B. Sorrel').selectOption('no bench');
  await expect(page.getByLabel('Bench of Kit B. Sorrel')).toHaveValue('');
  await page.getByRole('button', { name: 'Draw the benches' }).click();
  await expect(page.getByLabel('Bench of Kit B. Sorrel')).not.toHaveValue('');
});

test('the class is asked from the headline, and answers are held back', async ({ page, browser }) => {
  await signInTeacher(page);
  // One press.
  await page
    .getByRole('region', { name: 'Worth five minutes' })
    .first()
    .getByRole('button', { name: 'Ask the class' })
    .click();
  await expect(page.getByText('No answer yet.')).toBeVisible();
  const student = await (await browser.newContext()).newPage();
  await signInStudent(student, 'Rhoswen Kite');
  await student.getByRole('button', { name: 'Read it' }).click();
  await student.getByLabel('Your reading', { exact: true }).fill('1.0');
  await student.getByRole('radio').first().check();
  await student.getByRole('button', { name: 'Give the answer' }).click();
  await expect(student.getByText('Your answer is kept.')).toBeVisible();
  await clean(student);
  await page.getByRole('button', { name: 'Reveal the answer' }).click();
  await expect(student.getByText('Your answer is kept.')).toHaveCount(0);
  await page.getByRole('button', { name: 'End the question' }).click();
  await student.context().close();
});

test('a logbook is handed in, reviewed with a remark and a mark, handed back, and the marks go out', async ({
  page,
  browser,
}, { retry }) => {
  const name = `Marked ${retry}`;
  const room = await makeRoom(name, ['Odile Kern'], glasswareThreeWays);
  await room.signIn(page, 'Odile Kern');
  await openBook(page, glasswareThreeWays.title);
  await writeRows(page, 'Trial 1, Temperature of the water in °C', '20.0', '20');
  await page.getByRole('link', { name: 'Second look' }).click();
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Hand in again' })).toBeVisible();

  const teacher = await (await browser.newContext()).newPage();
  await signInTeacher(teacher);
  const press = counter();
  const own = teacher.getByRole('region', { name });
  await press(own.getByRole('link', { name: 'Marks' }).click());
  await press(
    teacher
      .getByRole('region', { name: 'Waiting for review' })
      .getByRole('link', { name: 'Odile Kern' })
      .click(),
  );
  await press(
    teacher
      .getByRole('button', { name: /^Remark on it/ })
      .first()
      .click(),
  );
  await press(teacher.getByLabel('Judgement').selectOption('2'));
  await press(teacher.getByRole('button', { name: 'Hand it back' }).click());
  await expect(teacher.getByRole('region', { name: /^Handed back/ })).toBeVisible();
  expect(press.count).toBeLessThanOrEqual(6);
  await clean(teacher);

  await teacher.getByRole('link', { name: 'Today', exact: true }).click();
  await own.getByRole('link', { name: 'Marks' }).click();
  const file = teacher.waitForEvent('download');
  await teacher.getByRole('button', { name: 'Save as CSV' }).click();
  expect((await file).suggestedFilename()).toMatch(/marks\.csv$/);
  await clean(teacher);
  // One student over time, with what was remarked.
  await teacher.getByRole('rowheader', { name: 'Odile Kern' }).getByRole('link').click();
  await expect(teacher.getByRole('region', { name: 'Logbooks' })).toContainText('handed back');
  await clean(teacher);
  await teacher.context().close();

  // It has come back: the student finds it on Today, and hands in again.
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await page.getByRole('link', { name: /^Came back: \d+ of 20$/ }).click();
  await expect(page.getByText(/^It has come back/)).toBeVisible();
  await clean(page);
});

test('practice is set for today in six presses at most, and a student does it', async ({ page, browser }, {
  retry,
}) => {
  const name = `Practised ${retry}`;
  const room = await makeRoom(name, ['Odile Kern'], glasswareThreeWays);
  await signInTeacher(page);
  const press = counter();
  await press(page.getByRole('region', { name }).getByRole('link', { name: 'Set work' }).click());
  await press(page.getByLabel('ruler', { exact: true }).check());
  await press(page.getByLabel('How long').selectOption('3'));
  await press(page.getByRole('button', { name: 'Set it' }).click());
  await expect(page.getByText('0 of 1 done')).toBeVisible();
  expect(press.count).toBeLessThanOrEqual(6);
  await clean(page);

  const student = await (await browser.newContext()).newPage();
  await room.signIn(student, 'Odile Kern');
  await expect(student.getByText('0 of 3 settings')).toBeVisible();
  await clean(student);
  await student.getByRole('button', { name: 'Read the ruler' }).click();
  await student.getByLabel('Your reading', { exact: true }).fill('1.00 cm');
  await student.keyboard.press('Enter');
  await expect(student.getByText(/tries left|To the bench|Next setting/).first()).toBeVisible();
  await student.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(student.getByText('1 of 3 settings')).toBeVisible();
  // Taken back, it is gone from Today; what was read stays read.
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(student.getByText('1 of 3 settings')).toHaveCount(0);
  await student.context().close();
});

test('work holds its answers back until they are shown, and asks something else while it runs', async ({
  page,
  browser,
}, { retry }) => {
  const name = `Held ${retry}`;
  const room = await makeRoom(name, ['Odile Kern']);
  await signInTeacher(page);
  await page.getByRole('region', { name }).getByRole('link', { name: 'Set work' }).click();
  await page.getByLabel('ruler', { exact: true }).check();
  await page.getByLabel('How it is answered').selectOption('held');
  await page.getByRole('button', { name: 'Set it' }).click();

  const student = await (await browser.newContext()).newPage();
  await room.signIn(student, 'Odile Kern');
  await student.getByRole('button', { name: 'Read the ruler' }).click();
  await student.getByLabel('Your reading', { exact: true }).fill('1.00 cm');
  await student.getByRole('button', { name: 'Give the answer' }).click();
  await expect(student.getByText('Your answer is kept.')).toBeVisible();
  await clean(student);
  // The next one is of the same work.
  await student.getByRole('button', { name: 'Next setting' }).click();
  await expect(student.getByRole('button', { name: 'Give the answer' })).toBeVisible();

  await page.getByRole('button', { name: 'Change what it asks' }).click();
  const form = page.getByRole('form', { name: 'Change work' });
  await form.getByLabel('micrometer', { exact: true }).check();
  await clean(page);
  await form.getByRole('button', { name: 'Change it' }).click();
  await page.getByRole('button', { name: 'Show the answers' }).click();
  await student.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(student.getByText('1 of 3 settings')).toBeVisible();
  await expect(student.getByRole('button', { name: 'Read the micrometer' })).toBeVisible();
  await clean(student);
  await student.getByRole('link', { name: 'ruler 1' }).click();
  await expect(student.getByText(/tries left|Next setting/).first()).toBeVisible();
  await expect(student.getByText('Your answer is kept.')).toHaveCount(0);
  await student.context().close();
});

test('a warm-up is asked one after the other; what who misread reads next shows whether it helped', async ({
  page,
  browser,
}, { retry }) => {
  const name = `Warm ${retry}`;
  const room = await makeRoom(name, ['Odile Kern', 'Perrin Vale']);
  await signInTeacher(page);
  await page.goto(`${baseUrl()}/class/${room.classId}/question`);
  await page.getByLabel('Instrument').selectOption('graduated cylinder');
  await page.getByLabel('Make').selectOption('cylinder-50-1');
  for (const level of ['37.2', '23.7']) {
    await page.getByLabel(/^Set it to, in mL/).fill(level);
    await page.getByRole('button', { name: 'Put it into the warm-up' }).click();
  }
  await clean(page);
  await page.getByRole('button', { name: 'Begin the warm-up, 2 to come' }).click();
  // One reads up from the wrong label.
  const readers = [
    ['Odile Kern', '42.2 mL'],
    ['Perrin Vale', '37.2 mL'],
  ] as const;
  const pages: Page[] = [];
  for (const [who, text] of readers) {
    const own = await (await browser.newContext()).newPage();
    pages.push(own);
    await room.signIn(own, who);
    await own.getByRole('button', { name: 'Read it' }).click();
    await own.getByLabel('Your reading', { exact: true }).fill(text);
    await own.getByRole('button', { name: 'Give the answer' }).click();
    await expect(own.getByText('Your answer is kept.')).toBeVisible();
  }
  await page.getByRole('button', { name: 'Reveal the answer' }).click();
  await page.getByRole('button', { name: 'Next question, 1 to come' }).click();
  const run = region(page, 'Warm-up');
  await expect(run).toContainText('graduated cylinder: 1 of 2 right');
  await page.reload();
  await expect(run).toContainText('the one that is shown');
  await page.getByRole('button', { name: 'End the question' }).click();
  await expect(run.getByRole('button', { name: 'Clear the warm-up' })).toBeVisible();

  await page.goto(`${baseUrl()}/class/${room.classId}`);
  const helped = region(page, 'Did it help?');
  await expect(helped).toContainText('1 misread it');
  await expect(helped).toContainText('1 not yet');
  await clean(page, laptopAndPhone);
  const [odile] = pages as [Page, Page];
  const { picture } = await settingShown(odile, () => take(odile, 'Read', 'graduated cylinder'));
  await odile.getByLabel('Your reading', { exact: true }).fill(`${readRightly(picture)} mL`);
  await odile.keyboard.press('Enter');
  await expect(odile.getByText('Level: rightly read.')).toBeVisible();
  await expect(helped).toContainText('1 read it right');
  for (const own of pages) await own.context().close();
});

test('a bench has its data checked: on a phone, in four presses; what changes afterwards stands out', async ({
  page,
  browser,
}, { retry }) => {
  const name = `Checked ${retry}`;
  const room = await makeRoom(name, ['Odile Kern'], glasswareThreeWays);
  await room.signIn(page, 'Odile Kern');
  await openBook(page, glasswareThreeWays.title);
  await writeRows(page, 'Trial 1, Temperature of the water in °C', '20.0', '20');
  await page.getByRole('button', { name: 'Call your teacher' }).click();
  await page.getByRole('button', { name: 'Check our data' }).click();
  await expect(page.getByRole('button', { name: /^Called at .*: check our data$/ })).toBeVisible();

  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await signInTeacher(phone);
  const press = counter();
  await press(phone.getByRole('region', { name }).getByRole('link', { name: 'Look it through' }).click());
  await expect(phone.getByText('Nobody has looked these data through yet.')).toBeVisible();
  await clean(phone);
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await press(phone.getByRole('button', { name: 'Put MM under the data' }).click());
  await expect(phone.getByText(/Nothing was written since/)).toBeVisible();
  expect(press.count).toBeLessThanOrEqual(4);

  // The bench sees it at once; what it rewrites then is marked, there and on the phone.
  await expect(page.getByRole('button', { name: 'Call your teacher' })).toBeVisible();
  await expect(page.getByText(/data looked through by Ms Marrow/)).toBeVisible();
  await page.getByRole('button', { name: 'Correct Temperature of the water of trial 1, 20.0' }).click();
  await page.getByRole('textbox', { name: /^New Temperature/ }).fill('20.5');
  await page.getByLabel('Why', { exact: true }).fill('misread');
  await page.getByRole('button', { name: 'Strike and rewrite' }).click();
  await expect(page.getByText('after it was checked')).toHaveCount(1);
  await expect(phone.getByText('Since then: one thing, marked below.')).toBeVisible();
  await phone.context().close();
});

test('a colleague is invited; the class goes out as one file, is put away, brought back, and deleted for good', async ({
  page,
  browser,
}, { retry }) => {
  const name = `Kept ${retry}`;
  const room = await makeRoom(name, ['Odile Kern'], glasswareThreeWays);
  await signInTeacher(page);
  await page.getByRole('region', { name }).getByRole('link', { name: 'Open the class' }).click();
  await page.getByRole('link', { name: 'Staff and keeping' }).click();
  await page.getByLabel('Name of a colleague').fill(`Mx Sedge ${retry}`);
  await page.getByRole('button', { name: 'Invite' }).click();
  const password = await page.getByRole('status').locator('strong').last().innerText();
  await clean(page);
  const colleague = await (await browser.newContext()).newPage();
  await colleague.goto(baseUrl());
  await colleague.getByRole('tab', { name: 'Teacher' }).click();
  await colleague.getByLabel('Name or address').fill(`Mx Sedge ${retry}`);
  await colleague.getByLabel('Password').fill(password);
  await colleague.getByRole('button', { name: 'Sign in' }).click();
  await expect(colleague.getByRole('heading', { name: 'Choose a password of your own' })).toBeVisible();
  await colleague.context().close();

  const file = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the whole class' }).click();
  expect((await file).suggestedFilename()).toMatch(/^class-[A-Z0-9]+\.zip$/);

  const student = await (await browser.newContext()).newPage();
  await room.signIn(student, 'Odile Kern');
  await page.getByRole('button', { name: 'Put the class away' }).click();
  await expect(student.getByText(/session has ended|signed out/i).first()).toBeVisible();
  await student.context().close();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await page.getByRole('button', { name: 'Put the class away' }).click();
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(page.getByRole('region', { name })).toHaveCount(0);
  await page.getByRole('link', { name, exact: true }).click();
  await page.getByLabel('Write the name of the class').fill('Kept');
  await page.getByRole('button', { name: 'Delete for good' }).click();
  await expect(page.getByRole('alert')).toContainText(`The class is called “${name}”.`);
  await clean(page);
  await page.getByLabel('Write the name of the class').fill(name);
  await page.getByRole('button', { name: 'Delete for good' }).click();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(page.getByRole('link', { name, exact: true })).toHaveCount(0);
});
