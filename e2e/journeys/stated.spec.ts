import { evaporatingPan, panBrine, rivetCrate, tallyToken, type Investigation } from '@green-beam/core';
import type { Page } from '@playwright/test';
import { clean } from '../support/axe';
import { expect, test } from '../support/people';
import { makeRoom, openBook, writeRows } from '../support/room';

// Each ± is worked by hand beside it, by the rules of a chemistry bench: half a division, half-widths as they stand, combined in
// quadrature.

/** A student of a class of its own, with the logbook of an investigation open. */
async function begin(page: Page, investigation: Investigation): Promise<void> {
  const room = await makeRoom(`Stated: ${investigation.title}`, ['Odile Kern'], investigation);
  await room.signIn(page, 'Odile Kern');
  await openBook(page, investigation.title);
}

const result = (page: Page, name: string) => page.getByRole('region', { name, exact: true });

test('rivets: what was planned to differ is no scatter', async ({ page }) => {
  await begin(page, rivetCrate);
  await writeRows(
    page,
    'Trial 1, Rivets',
    '10 85.2 107.7',
    '20 85.2 130.2',
    '30 85.2 152.8',
    '40 85.2 175.2',
    '50 85.2 197.7',
  );
  // Through the origin b = Σnm/Σn² = 12378/5500; 120·b = 270.066. Residuals make s = 0.0457, 120·s/√5500 = 0.074. Habits of both
  // weighings 0.05·120·150/5500 = 0.164 each, the balance 0.1·3.273 = 0.327: together 0.408.
  await expect(result(page, 'Mass of a crate of 120, by the line')).toContainText('(270.1 ± 0.4) g');
  // One is 2.25067 in the mean, s/√5 of 120 of them 0.08. With Σ1/n = 0.22833, 120/5·Σ1/n = 5.48: habits 0.274 twice, the
  // balance 0.548: together 0.676.
  await expect(result(page, '120 times the mean of one')).toContainText('(270.1 ± 0.7) g');
  await expect(result(page, 'Mass of one rivet')).toContainText('(2.251 ± 0.006) g');
  await clean(page);
});

test('brine into one receiver: neighbouring portions share a reading', async ({ page }) => {
  await begin(page, panBrine);
  await writeRows(
    page,
    'Trial 1, Burette in mL',
    '0.50 60.11',
    '8.50 69.71',
    '16.50 79.35',
    '24.50 88.91',
    '32.50 98.53',
    '40.50 108.11',
  );
  // 1.200, 1.205, 1.195, 1.2025, 1.1975: s = 0.00395, s/√5 = 0.00177. By themselves the burette's first and last readings do
  // 0.05·√2·9.6/320 = 0.00212, the weighings 0.005·√2/40 = 0.00018: that is more, and counts. The burette's tolerance acts
  // once, 1.2/8·0.05/5 = 0.0015, the balance's 0.00025: together 0.0026.
  const density = result(page, 'Result');
  await expect(density).toContainText('(1.200 ± 0.003) g/cm³');
  await expect(density).toContainText('readings that the portions share');
});

test('a pan that dries: a clock read to the minute, and to the second', async ({ page, browser }) => {
  const other = await (await browser.newContext()).newPage();
  const look = (second: string) =>
    ['24.4 612.4', '22.4 603.4', '20.4 594.4', '18.4 585.4', '16.4 576.4', '14.4 567.4'].map(
      (row, at) => `14:${at}0${second} ${row}`,
    );
  await begin(page, evaporatingPan);
  await begin(other, evaporatingPan);
  await writeRows(page, 'Trial 1, Clock time', ...look(''));
  await writeRows(other, 'Trial 1, Clock time', ...look(':00'));
  // Sxx = 1750 min². Each look at the clock by itself: 0.9·0.5/√1750 = 0.01076; each weighing 0.05/√1750 = 0.0012; the balance
  // 0.1·½Σ|c| = 0.0026: together 0.0111. To the second the clock does 0.0002, and all together 0.0028.
  await expect(result(page, 'Change of mass per minute')).toContainText('(−0.900 ± 0.011) g/min');
  await expect(result(other, 'Change of mass per minute')).toContainText('(−0.900 ± 0.003) g/min');
  // The ruler by itself 0.5/√1750 = 0.0120, the clock 0.0024, its tolerance 0.5·0.0257 = 0.0129: together 0.0177.
  await expect(result(page, 'Change of depth per minute')).toContainText('(−0.200 ± 0.018) mm/min');
  // 62 min after the first look, 37 min from the middle: Σw⁺ = 1.512. The ruler by itself 0.5·0.974/0.2 = 2.44, the clock, whose
  // first look is the zero of all, 0.5·1.635 = 0.82; tolerance 0.5·1.512/0.2 = 3.78: together 4.57.
  await expect(result(page, 'Minutes until it stands at 12 mm')).toContainText('(62 ± 5) min');
  await other.context().close();
});

test('a tally token: two routes share the mass, and are compared without it', async ({ page }) => {
  await begin(page, tallyToken);
  await writeRows(
    page,
    'Trial 1, Mass of the token in g',
    '45.36 60.00 45.00 6.00',
    '45.36 60.00 45.00 6.05',
    '45.36 60.00 45.00 6.00',
    '45.36 60.00 45.00 5.95',
  );
  await writeRows(page, 'Trial 1, Volume before in mL', '20.3 35.5', '20.3 35.5', '20.3 35.5');
  // 2.8, 2.7769, 2.8, 2.8235: s/√4 = 0.0095. ρ/L 0.0467, ρ/W 0.0622, ρ/H 0.4667: habit and tolerance of 0.05 each, the zero on
  // all at once 0.0288: together 0.0452.
  await expect(result(page, 'Density from its dimensions')).toContainText('(2.80 ± 0.05) g/cm³');
  // 45.36/15.2 = 2.984; 0.5·2.984/15.2 = 0.0982 for each reading and for the glass: together 0.1700.
  await expect(result(page, 'Density by displacement')).toContainText('(2.98 ± 0.17) g/cm³');
  await page.getByRole('link', { name: 'Uncertainty and plots' }).click();
  // They differ by 0.1841; the mass is in both and hardly enters: √(0.0452² + 0.1700²) = 0.1759, 1.05 times.
  await expect(page.getByRole('region', { name: 'Do the routes agree?' })).toContainText(
    'differ by 1.0 times their combined uncertainty',
  );
  await clean(page);
});
