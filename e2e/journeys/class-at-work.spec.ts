import { clean } from '../support/axe';
import { glasswareThreeWays } from '@green-beam/core';
import { expect, signInStudent, signInTeacher, test } from '../support/people';
import { makeRoom, openBook, writeRows } from '../support/room';

const names = Array.from(
  { length: 24 },
  (_, at) => `Kit ${String.fromCharCode(65 + at)}. Sorrel;Bench ${1 + Math.floor(at / 3)}`,
);

test('a new class of 24 with its benches and house rules, in eight presses and fields at most', async ({
  page,
}, { retry }) => {
  await signInTeacher(page);
  let used = 0;
  const counted = async (act: Promise<unknown>) => {
    used += 1;
    await act;
  };
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
  expect(used).toBeLessThanOrEqual(8);

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
  let presses = 0;
  const press = async (act: Promise<unknown>) => {
    presses += 1;
    await act;
  };
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
  expect(presses).toBeLessThanOrEqual(6);
  await clean(teacher);

  await teacher.getByRole('link', { name: 'Today', exact: true }).click();
  await own.getByRole('link', { name: 'Marks' }).click();
  const file = teacher.waitForEvent('download');
  await teacher.getByRole('button', { name: 'Save as CSV' }).click();
  expect((await file).suggestedFilename()).toMatch(/marks\.csv$/);
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
  let presses = 0;
  const press = async (act: Promise<unknown>) => {
    presses += 1;
    await act;
  };
  await press(page.getByRole('region', { name }).getByRole('link', { name: 'Set practice' }).click());
  await press(page.getByLabel('ruler', { exact: true }).check());
  await press(page.getByLabel('How long').selectOption('3'));
  await press(page.getByRole('button', { name: 'Set it' }).click());
  await expect(page.getByText('0 of 1 done')).toBeVisible();
  expect(presses).toBeLessThanOrEqual(6);
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
