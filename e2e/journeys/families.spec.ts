import {
  burette as buretteInstrument,
  expectReading,
  flotation,
  instrumentOf,
  presetNamed,
  spindles,
  type BalancePicture,
  type CaliperPicture,
  type DigitalCaliperPicture,
  type HydrometerPicture,
  type RingPicture,
  type Setting,
} from '@green-beam/core';
import type { SettingAnswer } from '@green-beam/contract';
import type { Page } from '@playwright/test';
import { expect, signInStudent, signInTeacher, test } from '../support/people';
import { handsAtRest, handsNow } from '../support/hands';
import { settingShown, take } from '../support/reading';

const lay = (page: Page, mode: 'Read' | 'Handle', name: string, model?: string): Promise<SettingAnswer> =>
  settingShown(page, () => take(page, mode, name, model));
const answer = async (page: Page, text: string) => {
  await page.getByLabel('Your reading', { exact: true }).fill(text);
  await page.keyboard.press('Enter');
};
const right = (page: Page) => expect(page.getByText('Level: rightly read.')).toBeVisible();
const asRead = (kind: string, setting: object, unit: string): string =>
  `${expectReading(instrumentOf(kind), setting as Setting, presetNamed('Chemistry bench')).text} ${unit}`;

test('the burette: a start that is noted, a tap that is feathered, a drop that is touched off', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await signInStudent(page, 'Verity Moss');
  await lay(page, 'Handle', 'burette', 'burette-10-0_05');
  await answer(page, '4.00 mL');
  await expect(page.getByText(/note the start before you run any out/)).toBeVisible();
  const tap = page.getByRole('slider', { name: 'Tap' });
  const open = async (times: number) => {
    await tap.focus();
    for (let time = 0; time < times; time += 1) await page.keyboard.press('ArrowUp');
  };
  const shut = () => page.getByRole('button', { name: 'Shut' }).click();
  const runsTo = (level: number) =>
    expect.poll(async () => (await handsNow(page))['level'] ?? 0, { timeout: 60_000 }).toBeGreaterThan(level);
  // Down to the scale first, fast enough to clear the tip.
  await open(5);
  await runsTo(0.2);
  await shut();
  await page.getByRole('button', { name: 'Touch off the drop' }).click();
  await expect(page.getByText('The wall drains.')).toBeHidden({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Note the start' }).click();
  await open(3);
  await runsTo(5);
  await shut();
  const hands = () => handsAtRest(page) as Promise<{ level?: number; initial?: number }>;
  const delivered = ({ level = 0, initial = 0 }) =>
    asRead(
      'burette',
      {
        ...buretteInstrument.sampleSetting(buretteInstrument.models[2]!, seededOnce(), 5),
        task: 'delivered',
        initialMl: initial,
        levelMl: level,
      },
      'mL',
    );
  // The hanging drop has left the scale but not reached the flask.
  await answer(page, delivered(await hands()));
  await expect(page.getByText('A drop still hangs at the tip.').first()).toBeVisible();
  await page.getByRole('button', { name: 'Touch off the drop' }).click();
  await expect(page.getByText('The wall drains.')).toBeHidden({ timeout: 20_000 });
  await answer(page, delivered(await hands()));
  await right(page);
});

const seededOnce = () => ({
  next: () => 0.5,
  between: (low: number, high: number) => (low + high) / 2,
  whole: (low: number) => low,
  chance: () => false,
  pick: <T>(list: readonly T[]): T => list[0]!,
  normal: () => 0,
});

test('the hydrometer: a spindle too dense drops, the right one floats and is read', async ({ page }) => {
  await signInStudent(page, 'Verity Moss');
  const setting = await lay(page, 'Handle', 'hydrometer');
  const { density } = setting.picture as HydrometerPicture;
  const name = ({ lowest, highest }: (typeof spindles)[number]) =>
    `${Number(lowest).toFixed(2)}–${Number(highest).toFixed(2)}`;
  const floats = spindles.find((spindle) => flotation(spindle, density) === 'floats')!;
  const wrong = spindles.find((spindle) => flotation(spindle, density) !== 'floats')!;
  const lower = async (spindle: (typeof spindles)[number]) => {
    await page.getByRole('button', { name: name(spindle) }).click();
    await page.getByRole('button', { name: 'Lower it' }).click();
    await page.getByRole('button', { name: 'Let go' }).click();
  };
  await lower(wrong);
  await answer(page, '0.9 g/cm³');
  await expect(page.getByText(/goes down like a stone|whole scale stands out/).first()).toBeVisible();
  await expect(page.getByText('This cost no try.')).toBeVisible();
  await lower(floats);
  await answer(
    page,
    asRead(
      'hydrometer',
      { kind: 'hydrometer', model: floats.id, density, line: 'level', liquid: '' },
      'g/cm³',
    ),
  );
  await right(page);
});

test('the four-beam balance and the digital caliper in hand', async ({ page }) => {
  await signInStudent(page, 'Verity Moss');
  let setting = await lay(page, 'Handle', 'four-beam balance');
  while ((setting.picture as BalancePicture).zeroMoment !== 0)
    setting = await lay(page, 'Handle', 'four-beam balance');
  const { loadMoment } = setting.picture as BalancePicture;
  await page.getByRole('button', { name: 'Put the tin on the pan' }).click();
  const step = async (label: RegExp, times: number, key = 'ArrowRight') => {
    await page.getByRole('slider', { name: label }).focus();
    for (let time = 0; time < times; time += 1) await page.keyboard.press(key);
  };
  const hundreds = Math.min(2, Math.floor(loadMoment / 100));
  const tens = Math.floor((loadMoment - hundreds * 100) / 10 + 1e-9);
  const ones = Math.floor(loadMoment - hundreds * 100 - tens * 10 + 1e-9);
  const rest = loadMoment - hundreds * 100 - tens * 10 - ones;
  await step(/hundreds/, hundreds);
  await step(/tens/, tens);
  await step(/1 g to a notch/, ones);
  await step(/0 to 1 g/, Math.floor(rest / 0.01 + 1e-6));
  await step(/0 to 1 g/, Math.round((rest / 0.01 - Math.floor(rest / 0.01 + 1e-6)) * 10), 'Shift+ArrowRight');
  await expect(page.getByText(/rests on its mark|as far above its mark as below/)).toBeVisible();
  await answer(page, `${loadMoment.toFixed(2)} g`);
  await right(page);

  const caliper = (await lay(page, 'Handle', 'digital caliper', 'digital-mm'))
    .picture as DigitalCaliperPicture;
  await page.getByRole('button', { name: 'Close the jaws (check zero)' }).click();
  await page.getByRole('button', { name: 'Zero', exact: true }).click();
  await page.getByRole('button', { name: 'Close the jaws (check zero)' }).click();
  const jaw = page.getByRole('slider', { name: /jaw/ });
  for (
    let time = 0;
    time < 12 && (await jaw.getAttribute('aria-valuetext')) !== 'The jaws touch the object.';
    time += 1
  )
    await step(/jaw/, 1, 'ArrowLeft');
  await expect(page.getByText('The jaws touch the object.')).toBeVisible();
  await answer(page, `${caliper.sizeMm.toFixed(2)} mm`);
  await right(page);
});

test('a first task with a caliper is its least count; the drawing points after a slip', async ({ page }) => {
  await signInStudent(page, 'Nerys Quill');
  const first = await lay(page, 'Read', 'vernier caliper', 'vernier-50-49');
  expect(first.question).toBe('What is the least count of this caliper?');
  await answer(page, '1 mm');
  await expect(page.getByText('You gave the main scale’s division.')).toBeVisible();
  // The fifty lines are counted out on the drawing.
  await expect(page.locator('svg[role="group"] text', { hasText: /^50$/ })).toBeVisible();
  await answer(page, '0.02 mm');
  await right(page);
  await page.getByRole('button', { name: 'What would other house rules accept?' }).click();
  await expect(page.getByRole('row', { name: /Metrology/ })).toBeVisible();
  const next = await settingShown(page, () => page.getByRole('button', { name: 'Next setting' }).click());
  const { touchesAt, closedAt, task } = next.picture as CaliperPicture;
  if (task === 'size') {
    await answer(page, `${(touchesAt - closedAt).toFixed(2)} mm`);
    await expect(page.getByText(/Level: rightly read|falls between the steps/).first()).toBeVisible();
  }
});

test('pipettes and flasks: run down to the ring, deliver, touch off; never by mouth', async ({ page }) => {
  test.setTimeout(120_000);
  await signInStudent(page, 'Verity Moss');
  await lay(page, 'Handle', 'volumetric pipette', 'volumetric-pipette-10');
  await page.getByRole('button', { name: 'Mouth' }).click();
  await expect(page.getByText(/Never draw up by mouth/)).toBeVisible();
  await answer(page, '10.00 mL');
  await expect(page.getByText(/well above the ring still/)).toBeVisible();

  await lay(page, 'Handle', 'squeeze pipette', 'squeeze-drops');
  for (let drop = 0; drop < 14; drop += 1)
    await page.getByRole('button', { name: /Let a drop fall/ }).click();
  await answer(page, '15 drops');
  await expect(page.getByText('The count is off by a drop or two.')).toBeVisible();
  await answer(page, '14 drops');
  await right(page);

  await lay(page, 'Read', 'volumetric flask', 'volumetric-flask-100');
  await answer(page, '100 mL');
  await expect(page.getByText('A zero at the end is missing.')).toBeVisible();
  await answer(page, '100.0 mL');
  await right(page);
});

/** Brings the eye level with its keys, a centimetre and then a millimetre at a time. */
async function levelEye(page: Page, eyeMm: number): Promise<void> {
  await page.getByRole('slider', { name: 'Your eye' }).focus();
  const key = eyeMm > 0 ? 'ArrowDown' : 'ArrowUp';
  const millimetres = Math.abs(Math.round(eyeMm));
  for (let step = 0; step < Math.floor(millimetres / 10); step += 1) await page.keyboard.press(key);
  for (let step = 0; step < millimetres % 10; step += 1) await page.keyboard.press(`Shift+${key}`);
}

test('a pipette is run down to its ring, delivered and touched off; a flask is filled to its ring', async ({
  page,
}) => {
  await page.clock.install();
  await signInStudent(page, 'Wilfred Sand');
  for (const [name, model, run, drops, stop, towards] of [
    ['volumetric pipette', 'volumetric-pipette-10', 'Lift: run', 'Ease: drops', 'Hold', 1],
    ['volumetric flask', 'volumetric-flask-100', 'Pour', 'By drops', 'Stop', -1],
  ] as const) {
    const { picture } = await lay(page, 'Handle', name, model);
    const { aboveMm, eyeMm, markedExpel } = picture as RingPicture;
    await levelEye(page, eyeMm);
    // It runs on the clock of the journey: no machine is so slow that it runs past the ring.
    await page.clock.pauseAt(await page.evaluate(() => Date.now() + 1000));
    const runFor = async (how: string, ms: number): Promise<number> => {
      await page.getByRole('button', { name: how, exact: true }).click();
      await page.clock.runFor(ms);
      await page.getByRole('button', { name: stop, exact: true }).click();
      await page.clock.runFor(1000);
      return towards * ((await handsNow(page)).aboveMm ?? NaN);
    };
    let left = towards * aboveMm;
    while (left > 6) left = await runFor(run, 200);
    while (left > 0.6) left = await runFor(drops, 400);
    await page.clock.resume();
    expect(Math.abs(left)).toBeLessThanOrEqual(0.6);
    if (name === 'volumetric pipette') {
      await page.getByRole('button', { name: 'Deliver' }).click();
      await expect(page.getByText('It has run out.')).toBeVisible({ timeout: 15_000 });
      await page.getByRole('button', { name: 'Touch the tip to the wall' }).click();
      if (markedExpel) await page.getByRole('button', { name: 'Expel the last drop' }).click();
      await answer(page, '10.00 mL');
    } else await answer(page, '100.0 mL');
    await right(page);
  }
});

test('a teacher shows a setting to the class, sees the answers arrive and reveals the reading', async ({
  page,
  browser,
}) => {
  await signInTeacher(page);
  await page.getByRole('link', { name: 'Class', exact: true }).click();
  await page.getByRole('link', { name: 'Show a setting' }).click();
  await page.getByLabel('Instrument').selectOption('graduated-cylinder');
  await page.getByLabel('Make').selectOption('cylinder-50-1');
  await page.getByLabel(/^Set it to, in/).fill('37.2');
  await page.getByRole('button', { name: 'Show it to the class' }).click();
  await expect(page.getByText('No answer yet.')).toBeVisible();

  const student = await (await browser.newContext()).newPage();
  await signInStudent(student, 'Quentin Ashe');
  await student.getByRole('button', { name: 'Read it' }).click();
  await student.getByLabel('Your reading', { exact: true }).fill('42.2 mL');
  await student.keyboard.press('Enter');
  await expect(student.getByText('Your answer is kept.')).toBeVisible();
  await expect(student.getByText('You counted on from the wrong numbered line.')).toHaveCount(0);
  await expect(page.getByText('1 answer.')).toBeVisible({ timeout: 2_000 });
  await expect(page.getByText('37.2')).toHaveCount(0);

  await page.getByRole('button', { name: 'Next step of the reading' }).click();
  await expect(page.getByText('The numbered line below the level is 35 mL.')).toBeVisible();
  await page.getByRole('button', { name: 'Reveal the answer' }).click();
  await expect(page.getByText('1 answer, 0 right.')).toBeVisible();
  await expect(student.getByText('You counted on from the wrong numbered line.')).toBeVisible({
    timeout: 5_000,
  });
  await page.getByRole('button', { name: 'Other house rules' }).click();
  await expect(page.getByRole('row', { name: /Half-division 37.0/ })).toBeVisible();
  await page.getByRole('button', { name: 'Projector' }).click();
  await expect(page.getByRole('button', { name: 'Leave the projector' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave the projector' }).click();
  await page.getByRole('button', { name: 'End the question' }).click();
  await expect(page.getByText('Nothing is shown.')).toBeVisible();
  await student.context().close();
});
