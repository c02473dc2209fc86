import { baseUrl, expect, press, tabTo, test, type } from '../support/people';
import { readRightly, settingShown } from '../support/reading';
import { enter } from '../support/room';

/** The student's whole way, by keyboard alone. Linnea Cray's bench has two trials of three. */
test('a student signs in, reads three settings, one wrong at first, and reaches a result', async ({
  page,
}) => {
  await page.goto(baseUrl());
  await type(page, page.getByLabel('Class code'), 'tern9');
  await type(page, page.getByLabel('Your name'), 'linnea cray');
  await type(page, page.getByLabel('Passphrase'), 'Linnea lantern quay');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();

  // A wrong reading first: its cause is named, the answer is not told.
  await press(page, page.getByRole('link', { name: 'Bench' }));
  const field = page.getByLabel('Your reading', { exact: true });
  const chooseUnit = async (unit: string) => {
    await tabTo(page, page.getByRole('radio').first());
    for (
      let at = 0;
      at < 4 &&
      !(await page
        .getByRole('radio', { name: unit, exact: true })
        .evaluate((radio) => radio === document.activeElement));
      at += 1
    ) {
      await page.keyboard.press('ArrowRight');
    }
    await page.keyboard.press('Space');
  };
  await press(page, page.getByRole('link', { name: /^graduated cylinder/i }));
  // Down the makes, to one of 100 mL.
  await tabTo(page, page.getByRole('radio', { name: 'Any of them' }));
  const wanted = page.getByRole('radio', { name: /^Graduated cylinder, 100 mL in 1 mL:/ });
  for (let down = 0; down < 20 && !(await wanted.isChecked()); down += 1)
    await page.keyboard.press('ArrowDown');
  const first = await settingShown(page, () =>
    press(page, page.getByRole('button', { name: 'Read the graduated cylinder' })),
  );
  const right = readRightly(first.picture);
  await expect(field).toBeFocused();
  await page.keyboard.type((Number(right) + 10).toFixed(right.split('.')[1]?.length ?? 0));
  await chooseUnit('mL');
  await press(page, page.getByRole('button', { name: 'Check reading' }));
  await expect(page.getByText('You counted on from the wrong numbered line.')).toBeVisible();
  await expect(page.getByText('2 tries left.')).toBeVisible();
  await expect(page.getByText(right, { exact: true })).toBeHidden();

  await page.keyboard.press('Shift+Tab');
  await tabTo(page, field);
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type(right);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Level: rightly read.')).toBeVisible();
  await expect(page.getByText('How it is built up:')).toBeVisible();

  for (let more = 0; more < 2; more += 1) {
    const next = await settingShown(page, () =>
      press(page, page.getByRole('button', { name: 'Next setting' })),
    );
    await expect(page).toHaveURL(new RegExp(next.id));
    await expect(field).toBeFocused();
    await page.keyboard.type(`${readRightly(next.picture)} mL`);
    await page.keyboard.press('Enter');
    await expect(page.getByText('Level: rightly read.')).toBeVisible();
  }

  // The logbook: the third trial, with one correction.
  await press(page, page.getByRole('link', { name: 'Logbook' }));
  await press(page, page.getByRole('link', { name: 'Go on' }));
  await expect(page.getByText('1 more trial before it counts.')).toBeVisible();
  await tabTo(page, page.getByLabel('Trial 3, Mass of the pin in g'));
  for (const text of ['215.2', '53.0', '71.5']) {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  }
  await press(page, page.getByRole('button', { name: 'Correct Volume after of trial 3, 71.5' }));
  await type(page, page.getByLabel('New Volume after in mL'), '77.5');
  await type(page, page.getByLabel('Why'), 'read the wrong line');
  await page.keyboard.press('Enter');
  await expect(page.getByText('read the wrong line')).toBeVisible();
  await expect(page.locator('s', { hasText: '71.5' })).toBeVisible();
  await expect(page.getByText(/more before it counts/)).toBeHidden();
  await expect(page.getByRole('region', { name: 'Result' })).toContainText(/ρ = \(8\.\d ± 0\.\d\) g\/cm³/);
  await press(page, page.getByRole('button', { name: 'Working of the result' }));
  await expect(page.getByRole('heading', { name: 'Both parts together' })).toBeVisible();
  await expect(page.locator('.katex').first()).toBeVisible();
});

test('a student signs out, and the next one at the same screen finds nothing of theirs', async ({ page }) => {
  await page.goto(baseUrl());
  await enter(page, 'TERN9', 'Verity Moss', 'verity lantern quay');
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await page.goto(`${baseUrl()}/logbook`);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByLabel('Class code')).toHaveValue('TERN9');
  await expect(page).toHaveURL(`${baseUrl()}/`);
  await expect(page.getByText('Verity Moss')).toBeHidden();
  await page.goBack();
  await expect(page.getByLabel('Your name')).toBeVisible();
  await enter(page, 'TERN9', 'Linnea Cray', 'linnea lantern quay');
  await expect(page.getByRole('link', { name: /^Linnea Cray/ })).toBeVisible();
});
