import type { EntriesAnswer } from '@green-beam/contract';
import type { Page } from '@playwright/test';
import { clean } from '../support/axe';
import { expect, test } from '../support/people';
import { ask, enter, makeRoom, openBook, type Room } from '../support/room';

const cell = (page: Page, label: string) => page.getByLabel(label);
const mass = (page: Page, trial = 1) => cell(page, `Trial ${trial}, Mass of the pin in g`);
const barOf = (page: Page) => page.getByRole('region', { name: 'Your session has ended' });

/** What a logbook holds, as `reader text`. */
async function held(page: Page): Promise<string[]> {
  const path = new URL(page.url()).pathname.replace('/logbook/', '/api/logbooks/');
  const { entries } = await ask<EntriesAnswer>(page, 'GET', `${path}/entries`);
  return entries.map(({ reader, text }) => `${reader} ${text}`);
}

/** The session ends by itself, as far as the page can tell: the cookie is worth nothing any more. */
const endSession = (room: Room, name: string) =>
  room
    .asTeacher<{ students: { id: string; name: string }[] }>('GET', `/api/classes/${room.classId}/board`)
    .then(({ students }) => students.find((student) => student.name === name)?.id)
    .then((id) =>
      room.asTeacher<{ slips: { passphrase: string }[] }>('POST', `/api/classes/${room.classId}/slips`, {
        studentIds: [id],
      }),
    )
    .then(({ slips }) => slips[0]?.passphrase ?? '');

test('a shared laptop, one tab: what waits is locked away, and goes out when its writer is back', async ({
  page,
  context,
}) => {
  const room = await makeRoom('Shared one', ['Una Fane', 'Vigo Lisle']);
  await room.signIn(page, 'Una Fane');
  await openBook(page, 'Bolt pin');
  await context.setOffline(true);
  await mass(page).fill('211.4');
  await page.keyboard.press('Enter');
  await page.keyboard.type('50.');
  await expect(page.getByText(/One thing waits to be sent/)).toBeVisible();
  // Signing out needs the server, but not the way to the logbook: the parcel stays.
  await page.route('**/api/logbooks/*/entries', (route) => route.abort());
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Sign out' }).click();
  // Going to the button left the cell: what stood in it is written down too.
  const dialog = page.getByRole('dialog', { name: '2 things are not sent yet.' });
  await expect(dialog).toBeVisible();
  await clean(page);
  await dialog.getByRole('button', { name: 'Sign out, keep it locked here' }).click();
  await expect(page.getByLabel('Class code')).toBeVisible();
  const readable = () =>
    page.evaluate(async () => {
      const open = indexedDB.open('green-beam');
      const kept = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)));
      const all = (store: string) =>
        new Promise<unknown[]>((done) => {
          const asked = kept.transaction(store).objectStore(store).getAll();
          asked.onsuccess = () => done(asked.result);
        });
      return JSON.stringify([await all('parcels'), await all('keys'), { ...localStorage }]);
    });
  // The lock falls while the sign-in comes up.
  await expect.poll(readable).not.toMatch(/211|50\./);

  await page.unroute('**/api/logbooks/*/entries');
  await enter(page, room.code, 'Vigo Lisle', room.slip('Vigo Lisle'));
  await expect(page.getByRole('link', { name: /^Vigo Lisle/ })).toBeVisible();
  await openBook(page, 'Bolt pin');
  await mass(page).fill('214.6');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /of trial 1, 214.6/ })).toBeVisible();
  // What is still on its way would be asked about.
  await expect(page.getByText('waits', { exact: true })).toHaveCount(0);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByLabel('Class code')).toBeVisible();

  await enter(page, room.code, 'Una Fane', room.slip('Una Fane'));
  await openBook(page, 'Bolt pin');
  await expect(page.getByRole('button', { name: /of trial 1, 211.4/ })).toBeVisible();
  await expect.poll(() => held(page)).toEqual(['Una Fane 211.4', 'Una Fane 50.']);
});

test('a shared laptop, two tabs: the page of who was there before is put aside, nothing goes out in another’s name', async ({
  page,
  context,
}) => {
  const room = await makeRoom('Shared two', ['Una Fane', 'Vigo Lisle']);
  await room.signIn(page, 'Una Fane');
  await openBook(page, 'Bolt pin');
  await page.route('**/api/logbooks/*/entries', (route) => route.abort());
  await mass(page).fill('211.4');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/One thing waits to be sent/)).toBeVisible();
  await endSession(room, 'Una Fane');
  await expect(barOf(page)).toBeVisible({ timeout: 5000 });

  const second = await context.newPage();
  await second.goto(new URL(page.url()).origin);
  await enter(second, room.code, 'Vigo Lisle', room.slip('Vigo Lisle'));
  await expect(second.getByRole('link', { name: /^Vigo Lisle/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Vigo Lisle has signed in on this browser.' })).toBeVisible({
    timeout: 5000,
  });
  await expect(page.getByText('211.4')).toHaveCount(0);
  await clean(page);
  await page.unroute('**/api/logbooks/*/entries');
  await openBook(second, 'Bolt pin');
  await mass(second).fill('214.6');
  await second.keyboard.press('Enter');
  await expect.poll(() => held(second)).toEqual(['Vigo Lisle 214.6']);
  await page.getByRole('button', { name: 'Go on as Vigo Lisle' }).click();
  await expect(page.getByRole('link', { name: /^Vigo Lisle/ })).toBeVisible();
});

test('two devices: signing out on one leaves the other, signing out everywhere does not', async ({
  page,
  browser,
}) => {
  const room = await makeRoom('Two devices', ['Una Fane']);
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await room.signIn(page, 'Una Fane');
  await room.signIn(phone, 'Una Fane');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByLabel('Class code')).toBeVisible();
  await phone.reload();
  await expect(phone.getByRole('heading', { name: 'Today' })).toBeVisible();
  await enter(page, room.code, 'Una Fane', room.slip('Una Fane'));
  await page.getByRole('link', { name: /^Una Fane/ }).click();
  await expect(page.getByRole('heading', { name: 'Signing in' })).toBeVisible();
  await clean(page);
  await page.getByRole('button', { name: 'Sign out everywhere' }).click();
  await expect(page.getByLabel('Class code')).toBeVisible();
  await expect(barOf(phone)).toBeVisible({ timeout: 5000 });
  await clean(phone);
  await phone.context().close();
});

test('a session that ends while one types says so there; the same person signs in without leaving, and it is sent', async ({
  page,
}) => {
  const room = await makeRoom('Expiry', ['Una Fane']);
  await room.signIn(page, 'Una Fane');
  await openBook(page, 'Bolt pin');
  await mass(page).fill('211.4');
  await page.keyboard.press('Enter');
  await page.keyboard.type('50');
  const passphrase = await endSession(room, 'Una Fane');
  // Where one is, within five seconds, and nothing takes the focus away.
  await expect(barOf(page)).toBeInViewport({ timeout: 5000 });
  await page.keyboard.type('.3');
  await page.keyboard.press('Enter');
  await page.keyboard.type('74.5');
  await page.keyboard.press('Enter');
  await clean(page);
  await expect(page.getByText(/2 things wait to be sent/)).toBeVisible();
  await barOf(page).getByLabel('Passphrase').fill(passphrase);
  await barOf(page).getByRole('button', { name: 'Sign in again' }).click();
  await expect(barOf(page)).toBeHidden();
  await expect(page.getByText('waits', { exact: true })).toHaveCount(0, { timeout: 20_000 });
  await expect.poll(() => held(page)).toEqual(['Una Fane 211.4', 'Una Fane 50.3', 'Una Fane 74.5']);
});

test('eight tabs of one browser share one stream; each hears, and the next takes over', async ({
  page,
  context,
  browser,
}) => {
  const room = await makeRoom('Eight tabs', ['Una Fane']);
  const streams: string[] = [];
  context.on('request', (request) => {
    if (request.url().includes('/api/events')) streams.push(request.url());
  });
  await room.signIn(page, 'Una Fane');
  await openBook(page, 'Bolt pin');
  const tabs = [page];
  for (let nth = 1; nth < 8; nth += 1) {
    const tab = await context.newPage();
    await tab.goto(page.url());
    await expect(tab.getByRole('heading', { name: 'Method' })).toBeVisible();
    tabs.push(tab);
  }
  expect(streams).toHaveLength(1);
  const other = await (await browser.newContext()).newPage();
  await room.signIn(other, 'Una Fane');
  await openBook(other, 'Bolt pin');
  await mass(other).fill('211.4');
  await other.keyboard.press('Enter');
  for (const tab of tabs) await expect(tab.getByRole('button', { name: /of trial 1, 211.4/ })).toBeVisible();
  await page.close();
  await mass(other, 2).fill('212.4');
  await other.keyboard.press('Enter');
  for (const tab of tabs.slice(1))
    await expect(tab.getByRole('button', { name: /of trial 2, 212.4/ })).toBeVisible();
  expect(streams).toHaveLength(2);
  await other.context().close();
});

test('two tabs that write at once lose and double nothing', async ({ page, context }) => {
  const room = await makeRoom('Two writers', ['Una Fane']);
  await room.signIn(page, 'Una Fane');
  await openBook(page, 'Bolt pin');
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByRole('heading', { name: 'Method' })).toBeVisible();
  const write = async (tab: Page, column: string, texts: readonly string[]) => {
    for (const [at, text] of texts.entries()) {
      await cell(tab, `Trial ${at + 1}, ${column}`).fill(text);
      await tab.keyboard.press('Enter');
    }
  };
  const masses = ['211.1', '211.2', '211.3'];
  const levels = ['50.1', '50.2', '50.3'];
  await Promise.all([
    write(page, 'Mass of the pin in g', masses),
    write(second, 'Volume before in mL', levels),
  ]);
  for (const tab of [page, second])
    await expect(tab.getByText('waits', { exact: true })).toHaveCount(0, { timeout: 20_000 });
  await expect.poll(async () => (await held(page)).length).toBe(6);
  const texts = (await held(page)).map((line) => line.replace('Una Fane ', ''));
  expect(texts.filter((text) => text.startsWith('2'))).toEqual(masses);
  expect(texts.filter((text) => text.startsWith('5'))).toEqual(levels);
});

test('a teacher changes a printed password before anything else', async ({ page }) => {
  const room = await makeRoom('Passwords', ['Una Fane']);
  expect(room.code).toMatch(/\w{6}/);
  await page.goto(process.env['BASE_URL'] ?? '');
  await page.getByRole('tab', { name: 'Teacher' }).click();
  await page.getByLabel('Name or address').fill('Ms Printed');
  await page.getByLabel('Password').fill('printed words here');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Choose a password of your own' })).toBeVisible();
  await clean(page);
  await page.getByLabel('Password that you have now').fill('printed words here');
  await page.getByLabel('New password').fill('a beam that lies level');
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
});
