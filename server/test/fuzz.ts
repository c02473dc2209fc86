import { seeded } from '@green-beam/core';
import { Agent } from 'node:http';
import { Stage } from './fuzzStage';
import type { Harness } from './harness';

export interface Told {
  readonly requests: number;
  /** Answers by status. */
  readonly statuses: Readonly<Record<string, number>>;
  /** What was answered with a fault of the server, as it was asked. */
  readonly faults: readonly string[];
  readonly resets: readonly string[];
  /** The longest answer, in milliseconds. */
  readonly longestMs: number;
  readonly slow: readonly string[];
}

const slowMs = 2_000;
const atOnce = 8;

/** Sends seeded requests over all routes, as nobody, a student, an assistant and a teacher, most of them spoilt somewhere. */
export async function fuzz(harness: Harness, seed: number, count: number): Promise<Told> {
  const random = seeded(seed);
  const stage = await Stage.set(harness);
  const statuses: Record<string, number> = {};
  const [faults, resets, slow]: [string[], string[], string[]] = [[], [], []];
  let longestMs = 0;
  let left = count;
  const agent = new Agent({ keepAlive: true, maxSockets: atOnce });
  const worker = async () => {
    while (left > 0) {
      left -= 1;
      const made = stage.request(random);
      const line = `${made.role} ${made.method} ${made.path.slice(0, 200)} ${made.body?.slice(0, 300) ?? ''}`;
      const began = performance.now();
      try {
        const { status, cookie } = await stage.send(made, agent);
        statuses[status] = (statuses[status] ?? 0) + 1;
        if (status >= 500) faults.push(`${status} ${line}`);
        await stage.after(made, status, cookie);
      } catch (error) {
        resets.push(`${String(error)} ${line}`);
      }
      const took = performance.now() - began;
      longestMs = Math.max(longestMs, took);
      if (took > slowMs) slow.push(`${Math.round(took)} ms ${line}`);
    }
  };
  await Promise.all(Array.from({ length: atOnce }, worker));
  agent.destroy();
  return { requests: count, statuses, faults, resets, longestMs, slow };
}
