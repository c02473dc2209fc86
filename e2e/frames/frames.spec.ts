import type { CDPSession, Page } from '@playwright/test';
import { resolve } from 'node:path';
import { build } from 'vite';
import { signInStudent, test } from '../support/people';
import { settingShown, take } from '../support/reading';

/** What is dragged on each instrument, and along which way of the screen. */
const drags: readonly (readonly [instrument: string, handle: RegExp, along: 'x' | 'y'])[] = [
  ['ruler', /eye/, 'x'],
  ['thermometer', /eye/, 'y'],
  ['three-beam balance', /0 to 10/, 'x'],
  ['four-beam balance', /0 to 1 g/, 'x'],
  ['vernier caliper', /jaw/, 'x'],
  ['digital caliper', /jaw/, 'x'],
  ['micrometer', /Thimble/, 'x'],
  ['graduated cylinder', /eye/, 'y'],
  ['burette', /Tap/, 'y'],
  ['burette', /eye/, 'y'],
  ['graduated pipette', /eye/, 'y'],
  ['volumetric pipette', /eye/, 'y'],
  ['beaker or conical flask', /eye/, 'y'],
  ['volumetric flask', /eye/, 'y'],
];

interface TraceEvent {
  readonly name: string;
  /** When it began and how long it took, in microseconds of the thread's own time: waiting is no work. */
  readonly tts?: number;
  readonly tdur?: number;
  readonly pid: number;
  readonly tid: number;
  readonly ph: string;
  readonly args?: { readonly name?: string };
}

const circle = `<svg viewBox="0 0 770 640" width="770">
  <circle role="slider" tabindex="0" aria-label="The circle" cx="385" cy="320" r="30" />
</svg>`;

test('main-thread work of a frame while dragging, at a quarter of the speed', async ({ page }) => {
  await signInStudent(page, 'Verity Moss');
  const session = await page.context().newCDPSession(page);
  const rows: Record<string, string | number>[] = [];
  const record = async (instrument: string, handle: RegExp, along: 'x' | 'y') => {
    const work = await dragged(page, session, handle, along);
    rows.push({
      instrument,
      handle: handle.source,
      frames: work.length,
      'median, ms': quantile(work, 0.5).toFixed(1),
      'p95, ms': quantile(work, 0.95).toFixed(1),
    });
  };
  // What the browser itself takes for a page that has one circle, moved without any of our code.
  await page.setContent(circle);
  await page.getByRole('slider').evaluate((drawn) => {
    drawn.addEventListener('pointermove', (event) =>
      drawn.setAttribute('cx', String((event as PointerEvent).clientX)),
    );
  });
  await record('(a bare circle)', /circle/, 'x');
  // And what React takes with it, when all there is to draw is that circle.
  await page.goto('about:blank');
  await page.setContent('<div id="root"></div>');
  await page.addScriptTag({ content: await circleByReact() });
  await record('(a circle by React)', /circle/, 'x');
  for (const [instrument, handle, along] of drags) {
    await settingShown(page, () => take(page, 'Handle', instrument));
    await record(instrument, handle, along);
  }
  console.table(rows);
});

async function circleByReact(): Promise<string> {
  const built = await build({
    configFile: false,
    logLevel: 'warn',
    define: { 'process.env.NODE_ENV': '"production"' },
    build: {
      write: false,
      lib: { entry: resolve(import.meta.dirname, 'circle.tsx'), formats: ['iife'], name: 'circle' },
    },
  });
  for (const output of [built].flat()) if ('output' in output) return output.output[0].code;
  throw new Error('The circle was not built.');
}

/** Drags to and fro, and gives the milliseconds of main-thread work in each frame. */
async function dragged(page: Page, session: CDPSession, handle: RegExp, along: 'x' | 'y'): Promise<number[]> {
  const slider = page.getByRole('slider', { name: handle }).first();
  await slider.waitFor();
  const [x, y] = await slider.evaluate(grip);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const events: TraceEvent[] = [];
  const hear = ({ value }: { value: unknown[] }) => void events.push(...(value as TraceEvent[]));
  session.on('Tracing.dataCollected', hear);
  const ended = new Promise((resolve) => session.once('Tracing.tracingComplete', resolve));
  await session.send('Tracing.start', {
    traceConfig: { includedCategories: ['devtools.timeline', 'disabled-by-default-devtools.timeline'] },
  });
  // Straight to the browser: what Playwright would run in the page at every move is not the page's work.
  const mouse = (type: 'mousePressed' | 'mouseMoved' | 'mouseReleased', off = 0) =>
    session.send('Input.dispatchMouseEvent', {
      type,
      x: along === 'x' ? x + off : x,
      y: along === 'y' ? y + off : y,
      button: 'left',
      buttons: type === 'mouseReleased' ? 0 : 1,
      clickCount: 1,
    });
  await mouse('mousePressed');
  for (let step = 0; step < 60; step += 1) await mouse('mouseMoved', 70 * Math.sin(step / 5));
  await mouse('mouseReleased');
  await session.send('Tracing.end');
  await ended;
  session.off('Tracing.dataCollected', hear);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  return perFrame(events);
}

/** What a frame is made of: script, style, layout, paint and the hand-over; not the messages of the tool that measures. */
const work = new Set(
  'EventDispatch FunctionCall TimerFire FireAnimationFrame FireIdleCallback RunMicrotasks HitTest UpdateLayoutTree Layout PrePaint Paint Layerize Commit MinorGC MajorGC ParseHTML EvaluateScript'.split(
    ' ',
  ),
);

/** Adds up the page's work on its main thread from one drawn frame to the next, what lies within other work once. */
function perFrame(events: readonly TraceEvent[]): number[] {
  const thread = ({ pid, tid }: TraceEvent) => `${pid}/${tid}`;
  const mains = new Set(
    events.filter(({ name, args }) => name === 'thread_name' && args?.name === 'CrRendererMain').map(thread),
  );
  const onMain = events
    .filter((event) => event.ph === 'X' && work.has(event.name) && mains.has(thread(event)))
    .map(({ name, tts = 0, tdur = 0 }) => ({ name, from: tts, to: tts + tdur }))
    .sort((a, b) => a.from - b.from || b.to - a.to);
  const frames: number[] = [];
  let sum = 0;
  let until = 0;
  for (const { name, from, to } of onMain) {
    const own = Math.max(0, to - Math.max(from, until));
    until = Math.max(until, to);
    sum += own / 1000;
    if (name === 'Commit') {
      frames.push(sum);
      sum = 0;
    }
  }
  return frames.slice(1);
}

/** A place of a handle that a pointer meets: its middle, or where else it is solid. */
function grip(handle: Element): [number, number] {
  const { left, top, width, height } = handle.getBoundingClientRect();
  for (const across of [0.5, 0.8, 0.2, 0.9, 0.65])
    for (const down of [0.5, 0.3, 0.7, 0.1]) {
      const [x, y] = [left + across * width, top + down * height];
      if (handle.contains(document.elementFromPoint(x, y))) return [x, y];
    }
  throw new Error('The handle cannot be met.');
}

const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN;
