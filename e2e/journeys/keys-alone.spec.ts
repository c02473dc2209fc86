import { randomUUID } from 'node:crypto';
import { instruments } from '@green-beam/core';
import { baseUrl, expect, signInStudent, test } from '../support/people';
import { ask } from '../support/room';

test.describe.configure({ timeout: 180_000 });

test('each of the sixteen is taken in hand, looked at and read by keys alone', async ({ page }) => {
  await signInStudent(page, 'Verity Moss');
  for (const { kind, name } of instruments)
    await test.step(name, async () => {
      const id = randomUUID();
      await ask(page, 'POST', '/api/bench/settings', { id, kind, mode: 'handle' });
      await page.goto(`${baseUrl()}/bench/${id}`);
      const field = page.getByLabel('Your reading', { exact: true });
      await field.waitFor();
      // The hands have the keyboard first: nothing is typed where nobody went.
      await expect(field).not.toBeFocused();
      const slider = page.getByRole('group', { name: /./ }).getByRole('slider').first();
      if (await slider.count()) {
        await expect(slider).toBeFocused();
        const at = () => slider.getAttribute('aria-valuenow');
        await page.keyboard.press('Home');
        const low = Number(await at());
        await page.keyboard.press('End');
        expect(Number(await at())).toBeGreaterThan(low);
        // Arrow keys of either direction move it, and Shift moves it less.
        for (const [forth, back] of [
          ['ArrowUp', 'ArrowDown'],
          ['ArrowRight', 'ArrowLeft'],
        ] as const) {
          const words = await slider.getAttribute('aria-valuetext');
          for (let step = 0; step < 3; step += 1) await page.keyboard.press(back);
          const moved = `${await at()} ${await slider.getAttribute('aria-valuetext')}`;
          for (let step = 0; step < 3; step += 1) await page.keyboard.press(forth);
          expect(`${await at()} ${words}`).not.toBe(moved);
        }
      } else {
        // What has no part to be moved has buttons: the first after the lens is reached by Tab.
        await page.getByRole('button', { name: 'Lens' }).focus();
        await page.keyboard.press('Tab');
        await page.keyboard.press('Enter');
      }
      await page.keyboard.press('l');
      await expect(page.getByRole('button', { name: 'Lens' })).toHaveAttribute('aria-pressed', 'true');
      await page.keyboard.press('r');
      await expect(field).toBeFocused();
      await expect(field).toHaveValue('');
      // In the field letters are text.
      await page.keyboard.type('12.3 l');
      await expect(field).toHaveValue('12.3 l');
      await page.keyboard.press('ControlOrMeta+a');
      await page.keyboard.type('12.3 g');
      await page.keyboard.press('Enter');
      await page
        .getByText(/tries left|cost no try|Level: rightly read/)
        .first()
        .waitFor();
    });
});
