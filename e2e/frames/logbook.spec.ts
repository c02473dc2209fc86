import type { Locator, Page } from '@playwright/test';
import { baseUrl, expect, signInStudent, signInTeacher, test } from '../support/people';

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
  await page.reload();
  await page.getByLabel('Trial 5, Mass 8 in g').waitFor({ timeout: 60_000 });
  await listen(page);
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const typed: number[] = [];
  const entered: number[] = [];
  for (const trial of [95, 105, 115, 125, 135, 145]) {
    for (const column of [8, 9]) {
      const cell = page.getByLabel(`Trial ${trial}, Mass ${column} in g`);
      await reach(page, cell);
      await cell.focus();
      await page.waitForTimeout(300);
      for (const key of ['2', '0', '1', '.', '3']) typed.push(await toPaint(page, key));
      entered.push(await toPaint(page, 'Enter'));
      await page.waitForTimeout(200);
    }
  }
  const row = (what: string, times: readonly number[]) => ({
    what,
    presses: times.length,
    'median, ms': quantile(times, 0.5).toFixed(0),
    'p95, ms': quantile(times, 0.95).toFixed(0),
  });
  const bare: number[] = [];
  await page.setContent('<input aria-label="bare" />');
  await listen(page);
  await page.getByLabel('bare').focus();
  for (const key of '20.1320.1320') bare.push(await toPaint(page, key));
  console.table([
    row('(a character in a page with one field and nothing else)', bare),
    row('a character', typed),
    row('Enter: written, everything reckoned', entered),
  ]);
  await teacher.context().close();
});

/** Scrolls down until a row of a long table is drawn. */
async function reach(page: Page, target: Locator): Promise<void> {
  for (let turn = 0; turn < 80 && (await target.count()) === 0; turn += 1) {
    await page.mouse.wheel(0, 700);
    await page.waitForTimeout(100);
  }
  await target.scrollIntoViewIfNeeded();
}

/** Has the page note, for every key press, when the frame that shows it was drawn. */
const listen = (page: Page) =>
  page.evaluate(() => {
    const noted: number[] = [];
    Object.assign(window, { noted });
    addEventListener(
      'keydown',
      ({ timeStamp }) =>
        requestAnimationFrame(() => {
          const { port1, port2 } = new MessageChannel();
          port1.onmessage = () => noted.push(performance.now() - timeStamp);
          port2.postMessage(null);
        }),
      { capture: true },
    );
  });

/** Milliseconds from a key press to the frame that shows it. */
async function toPaint(page: Page, key: string): Promise<number> {
  const noted = () => page.evaluate(() => (window as unknown as { noted: number[] }).noted);
  const before = (await noted()).length;
  await page.keyboard.press(key);
  // The page is left alone until it has drawn.
  await page.waitForTimeout(key === 'Enter' ? 2500 : 600);
  return (await noted())[before] ?? NaN;
}

async function post(
  page: Page,
  what: string,
  make: (classId: string) => Promise<readonly [string, object]>,
): Promise<void> {
  const session = (await (await page.request.get(`${baseUrl()}/api/session`)).json()) as {
    who: { classes: { id: string }[] };
  };
  const [path, data] = await make(session.who.classes[0]?.id ?? '');
  const answer = await page.request.post(baseUrl() + path, { data, headers: { origin: baseUrl() } });
  if (!answer.ok()) throw new Error(`${what}: ${answer.status()} ${await answer.text()}`);
}

const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN;
