import type { HouseRulesAnswer } from '@green-beam/contract';
import { glasswareThreeWays } from '@green-beam/core';
import type { Page } from '@playwright/test';
import { clean, laptopAndPhone } from '../support/axe';
import { baseUrl, expect, signInTeacher, test } from '../support/people';
import { makeRoom, openBook, writeRows, type Room } from '../support/room';

const { title } = glasswareThreeWays;
/** What each jar weighs with water, in the order of burette, cylinder and beaker; empty, each weighs 30.00 g. */
const benches = {
  'Odile Kern': '49.96 49.97 49.95 49.97 49.70 49.85 49.60 49.79 48.90 50.30 49.40 48.10',
  'Perrin Vale': '49.97 49.95 49.96 49.94 49.75 49.66 49.81 49.72 49.20 48.40 50.00 48.70',
  'Quilla Reef': '49.96 49.98 49.96 49.95 49.68 49.77 49.74 49.63 48.60 49.70 47.90 49.10',
} as const;

async function measure(page: Page, room: Room, name: keyof typeof benches): Promise<void> {
  await room.signIn(page, name);
  await openBook(page, title);
  await writeRows(page, 'Trial 1, Temperature of the water in °C', '20.0', '20.0');
  await writeRows(
    page,
    '1 Burette U-01, Mass of the dry jar in g',
    ...benches[name].split(' ').map((full) => `30.00 ${full}`),
  );
}

const region = (page: Page, name: string) => page.getByRole('region', { name, exact: true });

test('three kinds of glass: claimed first, judged by the data, ranked by the class', async ({
  page,
  browser,
}) => {
  const room = await makeRoom('Which vessel?', Object.keys(benches), glasswareThreeWays);

  await measure(page, room, 'Odile Kern');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  const claims = region(page, 'Claims');
  await expect(region(page, 'What they can carry')).toHaveCount(0);
  // Four of each: the burette lies nearest and closest, and a spread needs five.
  for (const nth of [0, 1]) {
    const form = claims.locator('form').first();
    await form.getByLabel('Burette U-01').check();
    await form
      .getByLabel('How do you know?')
      .fill(nth === 0 ? 'Its mean is nearest to 20.00 mL.' : 'Its four lie together.');
    await form.getByRole('button', { name: 'Claim it' }).click();
    await expect(claims.locator('form')).toHaveCount(1 - nth);
  }
  await expect(claims).toContainText(
    'A claim beyond what the data carry: Burette U-01 lies closest together',
  );
  await expect(region(page, 'What these trials show')).toContainText(
    'Burette U-01 comes nearest to what it should be',
  );
  await expect(region(page, 'What they can carry')).toContainText(
    'Burette U-01 more precise than Cylinder C-04: cannot tell yet; a spread needs five trials of each.',
  );
  await clean(page);

  // The class together: twelve of each carry what four did not.
  for (const name of ['Perrin Vale', 'Quilla Reef'] as const) {
    const own = await (await browser.newContext()).newPage();
    await measure(own, room, name);
    await own.context().close();
  }
  const teacher = await (await browser.newContext()).newPage();
  await signInTeacher(teacher);
  await teacher.goto(new URL(`/class/${room.classId}/investigations`, page.url()).href);
  await teacher
    .getByRole('listitem')
    .filter({ hasText: title })
    .getByRole('link', { name: 'Compare' })
    .click();
  await expect(
    region(teacher, 'Numbers of each group').getByRole('row', { name: /Beaker K-01/ }),
  ).toContainText('12');
  const carry = region(teacher, 'What they can carry');
  await expect(carry).toContainText('Burette U-01 is more precise than Cylinder C-04: its trials scatter');
  await expect(carry).toContainText('Cylinder C-04 leans one way: it is 0.2');
  await expect(region(teacher, 'What these trials show')).toContainText(
    'By precision: Burette U-01, Cylinder C-04, Beaker K-01',
  );
  await expect(teacher.getByRole('img', { name: /3 groups on one scale/ })).toBeVisible();
  await teacher.getByRole('button', { name: 'Rings' }).click();
  await expect(teacher.getByRole('img', { name: /3 groups in rings/ })).toBeVisible();
  await clean(teacher, laptopAndPhone);

  // A trial is left out with a reason, and stays in sight.
  await teacher.getByRole('button', { name: /^Trials/ }).click();
  await teacher.getByRole('button', { name: /^Leave out Beaker K-01, trial 11, Quilla Reef/ }).click();
  await teacher.getByLabel('Why is it left out?').fill('spilt beside');
  await teacher.getByRole('button', { name: 'Leave it out' }).click();
  await expect(
    region(teacher, 'Numbers of each group').getByRole('row', { name: /Beaker K-01/ }),
  ).toContainText('11 of 12');
  await teacher.reload();
  await expect(
    region(teacher, 'Numbers of each group').getByRole('row', { name: /Beaker K-01/ }),
  ).toContainText('11 of 12');

  // Beside groups from elsewhere, and without what was left out.
  const compared = teacher.url();
  await teacher.getByRole('button', { name: /^Compare with groups from elsewhere/ }).click();
  await teacher.getByRole('button', { name: 'Put all 3 aside' }).click();
  await teacher.getByLabel('Between').selectOption('readers');
  await teacher.getByLabel('In the row').selectOption('Cylinder C-04');
  await teacher.getByRole('button', { name: 'Put Odile Kern aside' }).click();
  await teacher.getByLabel('In the row').selectOption('Beaker K-01');
  await teacher.getByRole('button', { name: 'Put Odile Kern aside' }).click();
  await teacher.getByRole('link', { name: 'Compare the 5 that are put aside' }).click();
  await expect(
    region(teacher, 'Numbers of each group').getByRole('row', { name: /Beaker K-01/ }),
  ).toContainText('11 of 12');
  await expect(region(teacher, `${title}, Cylinder C-04`)).toContainText(
    'Not compared: 4 of its trials are in Cylinder C-04 already.',
  );
  await clean(teacher, laptopAndPhone);
  // One reader on two vessels: each is called by its vessel.
  for (const vessel of ['Burette U-01', 'Cylinder C-04', 'Beaker K-01'])
    await teacher.getByRole('button', { name: `Take it out ${vessel}` }).click();
  for (const vessel of ['Cylinder C-04', 'Beaker K-01'])
    await expect(
      region(teacher, 'Numbers of each group').getByRole('row', { name: `${title}, ${vessel}, Odile Kern` }),
    ).toContainText('4');
  await teacher.goto(compared);

  // Two readers of one vessel, at an address of its own.
  await teacher.getByLabel('Between').selectOption('readers');
  await teacher.getByLabel('In the row').selectOption('Burette U-01');
  await expect(
    region(teacher, 'Numbers of each group').getByRole('row', { name: /Odile Kern/ }),
  ).toContainText('4');
  await expect(teacher).toHaveURL(/by=reader.*row=burette|row=burette.*by=reader/);
  const [file] = await Promise.all([
    teacher.waitForEvent('download'),
    teacher.getByRole('button', { name: 'Save as SVG' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/\.svg$/);
});

test('a class that goes by the numbers as they stand is judged so', async ({ page }) => {
  const room = await makeRoom('As they stand', ['Odile Kern'], glasswareThreeWays);
  const path = `/api/classes/${room.classId}/rules`;
  const { versions } = await room.asTeacher<HouseRulesAnswer>('GET', path);
  const [now] = versions;
  await room.asTeacher('POST', path, {
    rules: { ...now?.rules, howCompare: 'as-they-stand' },
    from: now?.rules.version,
  });
  await measure(page, room, 'Odile Kern');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  const claims = region(page, 'Claims');
  const form = claims.locator('form').last();
  await form.getByLabel('Burette U-01').check();
  await form.getByLabel('How do you know?').fill('Its four lie together.');
  await form.getByRole('button', { name: 'Claim it' }).click();
  await expect(claims).toContainText('That is what these trials say.');
});

test('two pretended vessels are guessed at, and the truth is looked at', async ({ page }) => {
  await signInTeacher(page);
  await page.goto(`${baseUrl()}/compare/try`);
  await page.getByRole('button', { name: 'Hide other vessels' }).click();
  await expect(region(page, 'What they can carry')).toHaveCount(0);
  await page.getByLabel('It cannot be told yet').check();
  await expect(region(page, 'What they can carry')).toContainText('Vessel');
  await page.getByRole('button', { name: 'Look at the truth' }).click();
  await expect(page.getByText(/^In truth Vessel [AB] is the more accurate/)).toBeVisible();
  await page.getByLabel('Trials of each').fill('30');
  await expect(region(page, 'Numbers of each group').getByRole('row', { name: /Vessel A/ })).toContainText(
    '30',
  );
  await clean(page, laptopAndPhone);
});
