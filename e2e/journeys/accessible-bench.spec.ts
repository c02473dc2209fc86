import { randomUUID } from 'node:crypto';
import { instruments } from '@green-beam/core';
import { clean, laptopAndPhone } from '../support/axe';
import { baseUrl, signInStudent, test } from '../support/people';
import { ask } from '../support/room';

/** One of each family is looked at on a phone too. */
const onAPhone = ['three-beam-balance', 'vernier-caliper', 'burette', 'volumetric-pipette', 'hydrometer'];

test.describe.configure({ timeout: 300_000 });

test('axe finds nothing at any instrument in hand', async ({ page }) => {
  await signInStudent(page, 'Adaline Moor');
  for (const { kind } of instruments) {
    const id = randomUUID();
    await ask(page, 'POST', '/api/bench/settings', { id, kind, mode: 'handle' });
    await page.goto(`${baseUrl()}/bench/${id}`);
    await page.getByLabel('Your reading', { exact: true }).fill('1 g');
    await page.keyboard.press('Enter');
    // Told what is wrong, or that the apparatus is not ready to be read.
    await page.getByText(/tries left|cost no try/).waitFor();
    await clean(page, onAPhone.includes(kind) ? laptopAndPhone : undefined);
  }
});
