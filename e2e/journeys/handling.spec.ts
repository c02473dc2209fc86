import {
  flaws,
  threeBeamModels,
  type BalancePicture,
  type CaliperPicture,
  type CylinderPicture,
  type ElectronicBalancePicture,
  type RulerPicture,
  type ThermometerPicture,
} from '@green-beam/core';
import { eyeY, riderX, rulerEyeX, thermometerEyeY } from '@green-beam/drawing';
import type { Page } from '@playwright/test';
import { handsAtRest, handsNow } from '../support/hands';
import { expect, signInStudent, test } from '../support/people';
import { instrumentNames, readRightly, settingShown, take } from '../support/reading';

const beam = (key: string) => threeBeamModels[0]!.beams.find((one) => one.key === key)!;

const handle = (page: Page, name: string) => settingShown(page, () => take(page, 'Handle', name));

/** Drags a handle to a place given in the drawing's own units. */
async function drag(page: Page, label: string, to: { x?: number; y?: number }): Promise<void> {
  const rider = page.getByRole('slider', { name: label });
  const box = await rider.boundingBox();
  if (!box) throw new Error(`${label} is not drawn.`);
  const place = await page.locator('svg[role="group"]').evaluate((svg, { x, y }) => {
    const matrix = (svg as SVGSVGElement).getScreenCTM();
    const point = new DOMPoint(x ?? 0, y ?? 0).matrixTransform(matrix ?? undefined);
    return { x: x === undefined ? null : point.x, y: y === undefined ? null : point.y };
  }, to);
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(place.x ?? from.x, place.y ?? from.y, { steps: 8 });
  await page.mouse.up();
}

test('a balance is brought level by hand: dragging, snapping, finer by keys', async ({ page }) => {
  await signInStudent(page, 'Verity Moss');
  let setting = await handle(page, 'three-beam balance');
  while ((setting.picture as BalancePicture).zeroMoment !== 0)
    setting = await handle(page, 'three-beam balance');
  const { loadMoment } = setting.picture as BalancePicture;
  await page.getByRole('button', { name: 'Put the tin on the pan' }).click();
  await expect(page.getByText('The pointer rests high, at its stop.')).toBeVisible({ timeout: 15_000 });

  const hundreds = Math.floor(loadMoment / 100) * 100;
  const tens = Math.floor((loadMoment - hundreds) / 10) * 10;
  const ones = loadMoment - hundreds - tens;
  // Let go a little beside the notch: it drops in.
  await drag(page, 'Rider on the beam of hundreds', { x: riderX(beam('hundreds'), hundreds) + 9 });
  await drag(page, 'Rider on the beam of tens', { x: riderX(beam('tens'), tens) - 6 });
  await expect(page.getByRole('slider', { name: /hundreds/ })).toHaveAttribute(
    'aria-valuetext',
    `in notch ${hundreds / 100}`,
  );
  await expect(page.getByRole('slider', { name: /tens/ })).toHaveAttribute(
    'aria-valuetext',
    `in notch ${tens / 10}`,
  );

  const sliding = page.getByRole('slider', { name: /0 to 10/ });
  await sliding.focus();
  for (let step = 0; step < Math.floor(ones * 10); step += 1) await page.keyboard.press('ArrowRight');
  for (let step = 0; step < Math.round((ones * 10 - Math.floor(ones * 10)) * 10); step += 1)
    await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByText('The pointer rests on its mark.')).toBeVisible({ timeout: 15_000 });

  await page.getByLabel('Your reading', { exact: true }).fill(loadMoment.toFixed(1));
  await page.getByRole('radio', { name: 'g', exact: true }).click();
  await page.getByRole('button', { name: 'Check reading' }).click();
  await expect(page.getByText('Level: rightly read.')).toBeVisible();
});

test('a cylinder is filled to a mark, the last part by drops, and what is there is written', async ({
  page,
}) => {
  await signInStudent(page, 'Verity Moss');
  let setting = await handle(page, 'graduated cylinder');
  while (!(setting.picture as CylinderPicture).filling) setting = await handle(page, 'graduated cylinder');
  await page.getByLabel('Your reading', { exact: true }).fill('10.0 mL');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/not filled to the mark yet/)).toBeVisible();
  const { targetMl } = setting.picture as CylinderPicture;
  await page.getByRole('button', { name: 'Pour', exact: true }).click();
  await expect
    .poll(async () => (await handsNow(page)).level, { intervals: [30], timeout: 30_000 })
    .toBeGreaterThan((targetMl ?? 0) * 0.985);
  // Drop after drop falls, though nothing else moves.
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  const { level: poured = NaN } = await handsAtRest(page);
  await page.getByRole('button', { name: 'By drops' }).click();
  await expect.poll(async () => (await handsNow(page)).level, { timeout: 20_000 }).toBeGreaterThan(poured);
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await page.getByRole('button', { name: 'Pour it out' }).click();
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('a balance that is not level is told as such, and its state survives a reload', async ({ page }) => {
  await signInStudent(page, 'Verity Moss');
  await handle(page, 'three-beam balance');
  await page.getByRole('button', { name: 'Put the tin on the pan' }).click();
  await page.getByRole('slider', { name: /0 to 10/ }).focus();
  for (let step = 0; step < 5; step += 1) await page.keyboard.press('ArrowRight');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Take the tin off' })).toBeVisible();
  await page.getByLabel('Your reading', { exact: true }).fill('0.5 g');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The balance was not level when you read it.')).toBeVisible();
});

test('a cylinder is read with the eye brought level', async ({ page }) => {
  await signInStudent(page, 'Verity Moss');
  let setting = await handle(page, 'graduated cylinder');
  while ((setting.picture as CylinderPicture).filling) setting = await handle(page, 'graduated cylinder');
  const eye = page.getByRole('slider', { name: 'Your eye' });
  await expect(eye).toHaveAttribute('aria-valuetext', /from (above|below)/);
  await drag(page, 'Your eye', { y: eyeY(0) });
  await expect(eye).toHaveAttribute('aria-valuetext', 'the ring of the surface is closed to a line');
  await page.keyboard.press('c');
  await page.keyboard.press('l');
  await expect(page.getByRole('button', { name: 'Lens' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('button', { name: 'Card' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByLabel('Your reading', { exact: true }).fill(`${readRightly(setting.picture)} mL`);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Level: rightly read.')).toBeVisible();
});

/** Writes what is right, with its unit, and is told so. */
async function writeRightly(page: Page, text: string): Promise<void> {
  await page.getByLabel('Your reading', { exact: true }).fill(text);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Level: rightly read.')).toBeVisible();
}

test('a vernier caliper is closed until it touches, by keys alone, and corrected for its zero error', async ({
  page,
}) => {
  await signInStudent(page, 'Verity Moss');
  let setting = await handle(page, 'vernier caliper');
  const plain = ({ outOfRound, jaws }: CaliperPicture) => outOfRound === 0 && jaws !== 'inside';
  while (!plain(setting.picture as CaliperPicture)) setting = await handle(page, 'vernier caliper');
  await page.getByLabel('Your reading', { exact: true }).fill('1 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText('It does not touch the object yet. Close it until it does.')).toBeVisible();
  const jaw = page.getByRole('slider', { name: 'Sliding jaw' });
  await jaw.focus();
  for (
    let step = 0;
    step < 40 && (await jaw.getAttribute('aria-valuetext')) !== 'The jaws touch the object.';
    step += 1
  ) {
    await page.keyboard.press('ArrowLeft');
  }
  await page.getByRole('button', { name: 'Close the jaws (check zero)' }).click();
  await expect(page.getByText('The jaws are closed, with nothing between.')).toBeVisible();
  await page.getByRole('button', { name: 'Close the jaws (check zero)' }).click();
  const inches = (setting.picture.model.endsWith('inch') && 'in') || 'mm';
  await writeRightly(page, `${readRightly(setting.picture)} ${inches}`);
});

test('a micrometer is closed with its ratchet; forced, it is told as such', async ({ page }) => {
  await signInStudent(page, 'Verity Moss');
  const setting = await handle(page, 'micrometer');
  await page.getByRole('button', { name: 'Ratchet' }).click();
  await expect(page.getByText('The ratchet slips: it touches.')).toBeVisible();
  const right = readRightly(setting.picture);
  await page.getByRole('slider', { name: 'Thimble' }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('The screw is forced.')).toBeVisible();
  const decimals = right.split('.')[1]?.length ?? 2;
  await page
    .getByLabel('Your reading', { exact: true })
    .fill(`${(Number(right) - 0.03).toFixed(decimals)} mm`);
  await page.keyboard.press('Enter');
  await expect(page.getByText('The screw was forced past the slip of the ratchet.')).toBeVisible();
  await page.getByRole('button', { name: 'Ratchet' }).click();
  await writeRightly(page, `${right} mm`);
});

test('an electronic balance is zeroed, shut and waited for', async ({ page }) => {
  await signInStudent(page, 'Verity Moss');
  const setting = await handle(page, 'electronic balance');
  const { doorOpen, flaw } = setting.picture as ElectronicBalancePicture;
  // What is wet, warm or beside the middle is put right first.
  if (flaw !== 'none') await page.getByRole('button', { name: flaws[flaw].mend }).click();
  if (doorOpen) await page.getByRole('button', { name: 'Shut the door' }).click();
  await page.getByRole('button', { name: 'Zero' }).click();
  await page.getByRole('button', { name: /The ring|Vessel with oil/ }).click();
  await expect(page.getByText(/The display stands/)).toBeVisible({ timeout: 20_000 });
  await writeRightly(page, `${readRightly(setting.picture)} g`);
});

test('a thermometer and a ruler are read with the eye brought square', async ({ page }) => {
  await signInStudent(page, 'Verity Moss');
  const warm = await handle(page, 'thermometer');
  const { bath, bulbOnBase } = warm.picture as ThermometerPicture;
  if (bulbOnBase) await page.getByRole('button', { name: 'Raise the clamp' }).click();
  await drag(page, 'Your eye', { y: thermometerEyeY(0) });
  await expect(page.getByText('The column rests.')).toBeVisible({ timeout: 30_000 });
  // Every thermometer of the demo class is read to 0.1 °C.
  await writeRightly(page, `${bath.toFixed(1)} °C`);

  const laid = await handle(page, 'ruler');
  const { from, to } = laid.picture as RulerPicture;
  await drag(page, 'Your eye', { x: rulerEyeX(0) });
  await expect(page.getByRole('slider', { name: 'Your eye' })).toHaveAttribute(
    'aria-valuetext',
    'square above the end',
  );
  const { unit, step } = rulerSteps[laid.picture.model] ?? { unit: 'mm', step: 1 };
  const steps = Math.round((to - from) / step) * step;
  await writeRightly(page, `${steps.toFixed(Math.max(0, Math.round(-Math.log10(step))))} ${unit}`);
});

/** To what the demo class reads each ruler: d 1 → 0.1, d 5 → 1, in every decade. */
const rulerSteps: Readonly<Record<string, { readonly unit: string; readonly step: number }>> = {
  'ruler-mm': { unit: 'mm', step: 0.1 },
  'metre-stick-mm': { unit: 'mm', step: 0.1 },
  'stick-half-cm': { unit: 'mm', step: 1 },
  'stick-cm': { unit: 'mm', step: 1 },
  'stick-dm': { unit: 'mm', step: 10 },
  'ruler-tenths': { unit: 'in', step: 0.01 },
  'ruler-sixteenths': { unit: 'in', step: 0.01 },
};

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('the page slides under the bench, and nothing runs off the side', async ({ page }) => {
    await signInStudent(page, 'Verity Moss');
    for (const name of instrumentNames) {
      await handle(page, name);
      await expect(page.getByLabel('Your reading', { exact: true })).toBeVisible();
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    }
    await page.getByRole('radio').first().tap();
    await expect(page.getByRole('radio').first()).toBeChecked();
  });
});
