import { baseUrl, expect, press, signInStudent, tabTo, test } from '../support/people';

test('the workbench reckons with units, marks what limits, and keeps a calculation, by keyboard alone', async ({
  page,
}) => {
  await signInStudent(page, 'Garrick Sloe');
  await press(page, page.getByRole('link', { name: 'Figures' }));
  const field = page.getByLabel('Write a calculation with its units');
  await tabTo(page, field);
  await page.keyboard.type('5.0 g + 3 mL');
  await expect(page.getByText('mL cannot be added to g: they do not measure the same.')).toBeVisible();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('(46 g − 41.18 g) / 2.50 mL');
  const result = page.getByRole('region', { name: 'Result' });
  await expect(result).toContainText('2 g/mL');
  await expect(page.getByText(/1 figure is lost/)).toBeVisible();
  await expect(page.locator('.katex').first()).toBeVisible();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('105.8 g − 0.45 g');
  await tabTo(page, page.getByLabel('A tie goes'));
  await page.keyboard.press('ArrowDown');
  await expect(result).toContainText('105.4 g');
  await page.reload();
  await expect(field).toHaveValue('105.8 g − 0.45 g');
  await press(page, page.getByRole('button', { name: /Keep in “Bolt pin/ }));
  await expect(page.getByText(/Kept in “Bolt pin/)).toBeVisible();
  await page.getByRole('link', { name: 'Logbook' }).click();
  await page
    .getByRole('link', { name: 'Look at it' })
    .or(page.getByRole('link', { name: 'Go on' }))
    .first()
    .click();
  await expect(page.getByRole('region', { name: 'Kept calculations' })).toContainText('105.4 g');
});

test('a drill is worked by keyboard alone: a slip, a try that cannot be read, three tries and the working', async ({
  page,
}) => {
  await signInStudent(page, 'Garrick Sloe');
  await page.goto(`${baseUrl()}/figures/drills`);
  await press(page, page.getByRole('button', { name: 'Practise Clock times' }));
  const field = page.getByLabel('Your answer');
  await expect(field).toBeFocused();
  await page.keyboard.type('12..3 min');
  await page.keyboard.press('Enter');
  await expect(page.getByText('This cost no try.')).toBeVisible();
  for (const left of ['2 tries left.', 'One more try; then the answer is shown.']) {
    await field.fill('999.9 min');
    await page.keyboard.press('Enter');
    await expect(page.getByText(left)).toBeVisible();
  }
  await page.keyboard.type('999.9 min');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'How it is worked out' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('list', { name: 'How it is worked out' })).toBeVisible();
  await page.getByRole('button', { name: 'Next item' }).click();
  await expect(field).toHaveValue('');
});

test('a formula is rearranged; a fault is spotted; the rules are printed in the class’s conventions', async ({
  page,
}) => {
  await signInStudent(page, 'Garrick Sloe');
  await page.goto(`${baseUrl()}/figures/rearrange`);
  await page.getByLabel(/^m =/).fill('ρ / V');
  await page.keyboard.press('Enter');
  await expect(page.getByText('It was divided where it has to be multiplied.')).toBeVisible();
  await page.getByRole('button', { name: 'Show a step' }).click();
  await expect(page.getByText('Both sides times V.')).toBeVisible();
  await page.getByLabel(/^m =/).fill('V × ρ');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Level: right.')).toBeVisible();

  await page.goto(`${baseUrl()}/figures/spot`);
  await page
    .getByRole('button', { name: /of trial 1/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'The difference goes the wrong way' }).click();
  await page.reload();
  await page.getByRole('button', { name: 'Judge my marks' }).click();
  await expect(page.getByText(/^Missed/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Next table' }).click();
  await expect(page.getByText('0 marks')).toBeVisible();

  await page.goto(`${baseUrl()}/figures/cards`);
  await expect(page.getByRole('region', { name: 'Round' })).toContainText('away from zero');
});
