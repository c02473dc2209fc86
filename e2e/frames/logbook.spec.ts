import type { Locator, Page } from '@playwright/test';
import type { SessionAnswer } from '@green-beam/contract';
import { pieceOf, readyMade } from '@green-beam/core';
import { expect, signInStudent, signInTeacher, test } from '../support/people';
import { ask } from '../support/room';

const [trials, measuredColumns] = [200, 10] as const;

/** Ten readings and two formulas to a trial. */
const wide = {
  format: 1,
  title: 'Two hundred trials',
  aim: 'To see whether the page stays quick.',
  object: 'pin',
  route: '',
  kit: [{ tag: 'E-01', kind: 'electronic-balance', model: 'electronic-0_1' }],
  steps: [{ text: 'Weigh it ten times.' }],
  tables: [
    {
      key: 'wide',
      title: 'Trials',
      trials,
      columns: [
        ...Array.from({ length: measuredColumns }, (_, at) => ({
          kind: 'measured',
          key: `m${at}`,
          heading: `Mass ${at}`,
          symbol: `m_${at}`,
          unit: 'g',
          tag: 'E-01',
        })),
        {
          kind: 'derived',
          key: 'sum',
          heading: 'Sum',
          symbol: 's',
          unit: 'g',
          formula: 'm0 + m1 + m2 + m3',
          by: 'app',
        },
        {
          kind: 'derived',
          key: 'ratio',
          heading: 'Ratio',
          symbol: 'q',
          unit: '',
          formula: 'm0 / sum',
          by: 'app',
        },
      ],
    },
  ],
  results: [
    { kind: 'mean', key: 'ratio', name: 'Ratio', symbol: 'q', unit: '', column: 'ratio', accepted: null },
  ],
  predictions: [],
  questions: [],
  causes: [],
  bands: null,
  supplied: true,
  secondLook: 'students',
  model: null,
};

test.setTimeout(240_000);

test('a logbook of 200 trials and 12 columns, at a quarter of the speed', async ({ page, browser }) => {
  const teacher = await (await browser.newContext()).newPage();
  await signInTeacher(teacher);
  await post(teacher, 'investigations', async (classId) => [
    `/api/classes/${classId}/investigations`,
    { id: crypto.randomUUID(), body: wide },
  ]);
  await signInStudent(page, 'Verity Moss');
  await page.getByRole('link', { name: 'Logbook' }).click();
  const line = page.getByRole('listitem').filter({ hasText: wide.title });
  await line.getByRole('button', { name: 'Open the logbook' }).click();
  await expect(page.getByRole('heading', { name: 'Method' })).toBeVisible();
  const path = `/api/logbooks/${new URL(page.url()).pathname.split('/').at(-1)}/blocks`;
  const cells = Array.from({ length: trials * measuredColumns }, (_, at) => ({
    id: crypto.randomUUID(),
    trial: Math.floor(at / measuredColumns) + 1,
    column: `m${at % measuredColumns}`,
    text: (200 + ((at * 7) % 50) / 10).toFixed(1),
    writtenAt: new Date().toISOString(),
  }));
  // Every tenth trial keeps its last two cells to be written.
  const written = cells.filter(({ trial, column }) => trial % 10 !== 5 || !/m[89]/.test(column));
  for (let from = 0; from < written.length; from += 500)
    await post(page, 'blocks', async () => [
      path,
      { id: crypto.randomUUID(), entries: written.slice(from, from + 500) },
    ]);
  const before = await typedIn(page, [95, 115, 135]);
  // The same logbook beside everything that comes with the app, and a stockroom of sixty pieces, of which it uses one.
  for (const body of readyMade)
    await post(teacher, 'investigations', async (classId) => [
      `/api/classes/${classId}/investigations`,
      { id: crypto.randomUUID(), body },
    ]);
  const pieces = Array.from({ length: 60 }, (_, at) => pieceNamed(`E-${200 + at}`));
  await post(teacher, 'stock', async () => ['/api/stock', { pieces, revision: null }]);
  await page.reload();
  await page.getByText('What to do').click();
  await page.getByLabel('Read E-01 on').selectOption('E-200');
  await expect(page.getByText(/0\.05 g/).first()).toBeVisible();
  const after = await typedIn(page, [105, 125, 145]);
  const row = (what: string, times: readonly number[]) => ({
    what,
    presses: times.length,
    'median, ms': quantile(times, 0.5).toFixed(0),
    'p95, ms': quantile(times, 0.95).toFixed(0),
  });
  const bare: number[] = [];
  await page.setContent('<input aria-label="bare" />');
  await listen(page);
  const slow = await page.context().newCDPSession(page);
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await page.getByLabel('bare').focus();
  for (const key of '20.1320.1320') bare.push(await toPaint(page, key));
  console.table([
    row('(a character in a page with one field and nothing else)', bare),
    row('a character', before.typed),
    row('Enter: written, and the next cell', before.entered),
    row('a character, with 22 investigations and 60 pieces, one in use', after.typed),
    row('Enter, with these', after.entered),
  ]);
  const ratio = quantile(after.typed, 0.5) / quantile(before.typed, 0.5);
  console.log(`A character with pieces against one without, in this run: ${ratio.toFixed(2)} (1.1 at most)`);
  await teacher.context().close();
});

const pieceNamed = (tag: string) =>
  pieceOf({
    tag,
    kind: 'electronic-balance',
    model: 'electronic-0_1',
    correction: { kind: 'zero', error: '0.05', plusMinus: '0.02', on: '2026-10-12', by: 'Mr Teal' },
  });

/** Types the last two cells of some trials at a quarter of the speed, from a fresh page. */
async function typedIn(
  page: Page,
  some: readonly number[],
): Promise<{ readonly typed: number[]; readonly entered: number[] }> {
  await page.reload();
  await page.getByLabel('Trial 5, Mass 8 in g').waitFor({ timeout: 60_000 });
  await listen(page);
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const typed: number[] = [];
  const entered: number[] = [];
  for (const trial of some) {
    for (const column of [8, 9]) {
      const cell = page.getByLabel(`Trial ${trial}, Mass ${column} in g`);
      await reach(page, cell);
      await cell.focus();
      for (const key of ['2', '0', '1', '.', '3']) typed.push(await toPaint(page, key));
      entered.push(await toPaint(page, 'Enter'));
    }
  }
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  return { typed, entered };
}

/** Scrolls down until a row of a long table is drawn. */
async function reach(page: Page, target: Locator): Promise<void> {
  await expect(async () => {
    if ((await target.count()) === 0) await page.mouse.wheel(0, 700);
    await expect(target).toBeAttached({ timeout: 200 });
  }).toPass({ timeout: 60_000 });
  await target.scrollIntoViewIfNeeded();
}

declare const scheduler: {
  postTask(task: () => void, how: { readonly priority: 'user-blocking' }): Promise<void>;
};

interface Noting {
  /** Fulfilled with the milliseconds from the next key press to the frame that shows it. */
  next: Promise<number>;
}

/** Has the page note, from now on, how long each key press takes to be shown. */
const listen = (page: Page) =>
  page.evaluate(() => {
    const noting = window as unknown as Noting;
    const arm = () => {
      noting.next = new Promise((resolve) =>
        addEventListener(
          'keydown',
          ({ timeStamp }) =>
            // The first thing after the frame, before what the page has put off until then.
            requestAnimationFrame(() =>
              scheduler.postTask(() => resolve(performance.now() - timeStamp), { priority: 'user-blocking' }),
            ),
          { capture: true, once: true },
        ),
      );
    };
    arm();
    Object.assign(window, { arm });
  });

/** Milliseconds from a key press to the frame that shows it; the page is left alone meanwhile. */
async function toPaint(page: Page, key: string): Promise<number> {
  await page.keyboard.press(key);
  return page.evaluate(async () => {
    const noted = await (window as unknown as Noting).next;
    (window as unknown as { arm: () => void }).arm();
    // What a press has set going is let finish before the next.
    await new Promise((resolve) => requestIdleCallback(resolve, { timeout: 5000 }));
    return noted;
  });
}

async function post(
  page: Page,
  what: string,
  make: (classId: string) => Promise<readonly [string, object]>,
): Promise<void> {
  const session = await ask<SessionAnswer>(page, 'GET', '/api/session');
  const [path, data] = await make(session.who?.classes[0]?.id ?? '');
  await ask(page, 'POST', path, data).catch((error: unknown) => {
    throw new Error(`${what}: ${String(error)}`);
  });
}

const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN;
