import { seeded } from '@green-beam/core';
import { Agent } from 'node:http';
import { Stage, type Made } from './fuzzStage';
import type { Harness } from './harness';
import { Holds } from './slowOnes';

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
  /** The longest that nothing else was answered, in milliseconds, and what held it for too long when it was sent alone. */
  readonly longestHoldMs: number;
  readonly held: readonly string[];
}

const slowMs = 2_000;
const heldMs = 200;
const atOnce = 8;

/** Sends seeded requests over all routes, as nobody, a student, an assistant and a teacher, most of them spoilt somewhere. */
export async function fuzz(harness: Harness, seed: number, count: number): Promise<Told> {
  const random = seeded(seed);
  const stage = await Stage.set(harness);
  const statuses: Record<string, number> = {};
  const [faults, resets, slow]: [string[], string[], string[]] = [[], [], []];
  const holds = new Holds();
  const suspects = new Map<string, Made>();
  const inFlight = new Map<Made, string>();
  let longestHoldMs = 0;
  let longestMs = 0;
  let left = count;
  const agent = new Agent({ keepAlive: true, maxSockets: atOnce });
  const worker = async () => {
    while (left > 0) {
      left -= 1;
      const made = stage.request(random);
      const line = `${made.role} ${made.method} ${made.path.slice(0, 200)} ${made.body?.slice(0, 300) ?? ''}`;
      const began = performance.now();
      inFlight.set(made, line);
      try {
        const { status, cookie } = await stage.send(made, agent);
        statuses[status] = (statuses[status] ?? 0) + 1;
        if (status >= 500) faults.push(`${status} ${line}`);
        await stage.after(made, status, cookie);
      } catch (error) {
        resets.push(`${String(error)} ${line}`);
      }
      const took = performance.now() - began;
      const hold = holds.take();
      if (hold > heldMs) for (const [other, text] of inFlight) suspects.set(text, other);
      else longestHoldMs = Math.max(longestHoldMs, hold);
      inFlight.delete(made);
      longestMs = Math.max(longestMs, took);
      if (took > slowMs) slow.push(`${Math.round(took)} ms ${line}`);
    }
  };
  await Promise.all(Array.from({ length: atOnce }, worker));
  // Whoever was there while everybody waited is sent again, alone: a pause of the machine is nobody's.
  const held: string[] = [];
  for (const [line, made] of suspects) {
    const alone: number[] = [];
    for (let again = 0; again < 3; again += 1) {
      holds.take();
      await stage.send(made, agent).catch(() => undefined);
      alone.push(holds.take());
    }
    const hold = Math.min(...alone);
    longestHoldMs = Math.max(longestHoldMs, hold);
    if (hold > heldMs) held.push(`${Math.round(hold)} ms ${line}`);
  }
  holds.end();
  agent.destroy();
  return { requests: count, statuses, faults, resets, longestMs, slow, longestHoldMs, held };
}
