import type { CDPSession } from '@playwright/test';
import { resolve } from 'node:path';
import { build } from 'vite';

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

/** A page of its own with React in it, as one script. */
export async function scriptOf(entry: string): Promise<string> {
  const built = await build({
    configFile: false,
    logLevel: 'warn',
    define: { 'process.env.NODE_ENV': '"production"' },
    build: {
      write: false,
      lib: { entry: resolve(import.meta.dirname, entry), formats: ['iife'], name: 'page' },
    },
  });
  for (const output of [built].flat()) if ('output' in output) return output.output[0].code;
  throw new Error(`${entry} was not built.`);
}

/** The milliseconds of main-thread work in each frame while something goes on, at a quarter of the speed. */
export async function workWhile(session: CDPSession, goesOn: () => Promise<void>): Promise<number[]> {
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const events: TraceEvent[] = [];
  const hear = ({ value }: { value: unknown[] }) => void events.push(...(value as TraceEvent[]));
  session.on('Tracing.dataCollected', hear);
  const ended = new Promise((done) => session.once('Tracing.tracingComplete', done));
  await session.send('Tracing.start', {
    traceConfig: { includedCategories: ['devtools.timeline', 'disabled-by-default-devtools.timeline'] },
  });
  await goesOn();
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

export const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN;
