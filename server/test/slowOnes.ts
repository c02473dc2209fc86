import { boltPin, type Random } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { entry } from './entry';
import type { Browser } from './harness';

/** How long nothing else was answered, looked at again and again. */
export class Holds {
  readonly #delay = monitorEventLoopDelay({ resolution: 5 });

  constructor() {
    this.#delay.enable();
  }

  /** The longest since it was last taken, in milliseconds. */
  take(): number {
    const longest = this.#delay.max / 1e6;
    this.#delay.reset();
    return longest;
  }

  end(): void {
    this.#delay.disable();
  }
}

/** Something that may be sent, of which one looks for those that take long. */
export interface Slow {
  readonly route: 'calculation' | 'rearranging' | 'investigation' | 'block';
  readonly text: string;
}

/** Those that took longest when they were looked for, by this very search. All of them are tried again in every run. */
export const slowSeeds: readonly Slow[] = [
  // A sum of letters grows with every one that is taken across.
  { route: 'rearranging', text: Array.from({ length: 98 }, (_, at) => `b${at}`).join('+') },
  { route: 'rearranging', text: Array.from({ length: 24 }, (_, at) => `b${at}`).join('+') },
  { route: 'rearranging', text: `${nested('b', '+', 50)}` },
  { route: 'rearranging', text: nested('b', '/', 24) },
  { route: 'calculation', text: nested('2.50', '^', 40) },
  { route: 'calculation', text: `${'sqrt('.repeat(60)}2.50${')'.repeat(60)}` },
  { route: 'calculation', text: Array.from({ length: 60 }, () => 'exp(1.2345678901234567)').join('*') },
  { route: 'calculation', text: '9.999999999999999e99^99.5 * 1.0000000000000001^123456' },
  { route: 'investigation', text: nested('mass', '*', 60) },
  { route: 'block', text: '1234567890.1234567890'.repeat(3) },
];

/** `a0 + (a1 + (a2 …))`. */
function nested(leaf: string, operator: string, depth: number): string {
  const own = (at: number) => (/\d$/.test(leaf) ? leaf : leaf === 'mass' ? leaf : `${leaf}${at}`);
  return `${Array.from({ length: depth }, (_, at) => `${own(at)}${operator}(`).join('')}${own(depth)}${')'.repeat(depth)}`;
}

/** What is sent for it. @param names ids that its address and body need */
export function requestOf(
  { route, text }: Slow,
  { logbookId, classId, exerciseId }: Readonly<Record<'logbookId' | 'classId' | 'exerciseId', string>>,
): { readonly path: string; readonly body: object } {
  switch (route) {
    case 'calculation':
      return {
        path: `/api/logbooks/${logbookId}/calculations`,
        body: { id: randomUUID(), expression: text },
      };
    case 'rearranging':
      return {
        path: '/api/rearranged',
        body: {
          id: randomUUID(),
          exerciseId,
          formula: `a = ${text}`,
          wanted: /b\d*/.exec(text)?.[0] ?? 'b',
          text: 'a',
        },
      };
    case 'investigation':
      return {
        path: `/api/classes/${classId}/investigations`,
        body: { id: randomUUID(), replaces: null, body: grown(text) },
      };
    case 'block':
      return {
        path: `/api/logbooks/${logbookId}/blocks`,
        body: {
          id: randomUUID(),
          entries: Array.from({ length: 400 }, (_, at) => ({
            ...entry({ trial: (at % 200) + 1, tag: null, supplied: false, takenId: null, attemptId: null }),
            text: text.slice(0, 60),
          })),
        },
      };
  }
}

/** An investigation whose derived columns are all worked by one formula. */
const grown = (formula: string): object => {
  const [table] = boltPin.tables;
  const columns = Array.from({ length: 12 }, (_, at) => ({
    kind: 'derived',
    key: `more${at}`,
    title: `More ${at}`,
    symbol: `x_${at}`,
    unit: 'g',
    formula,
  }));
  return { ...boltPin, tables: [{ ...table, columns: [...(table?.columns ?? []), ...columns] }] };
};

const letters = ['b0', 'b1', 'b2', 'b3', 'mass'];
const numbers = ['2.50', '1.0000000000000001', '9.9e99', '1e-99', '45.2', '3'];

/** A formula of so many leaves, of whatever shape. */
function formula(random: Random, leaves: number): string {
  if (leaves <= 1) return random.pick(random.chance(0.5) ? letters : numbers);
  const left = 1 + Math.floor(random.next() * (leaves - 1));
  const [one, other] = [formula(random, left), formula(random, leaves - left)];
  return random.pick([
    `${one}+${other}`,
    `${one}-(${other})`,
    `(${one})*(${other})`,
    `(${one})/(${other})`,
    `(${one})^${random.pick(['2', '0.5', '-3', '99'])}*${other}`,
    `sqrt(${one})+${other}`,
    `-(${one})*${other}`,
  ]);
}

/** Another one, or one of the slowest so far with a part of it grown. */
export function nextSlow(random: Random, slowest: readonly Slow[]): Slow {
  if (slowest.length === 0 || random.chance(0.3)) {
    const route = random.pick(['calculation', 'rearranging', 'investigation', 'block'] as const);
    return { route, text: formula(random, random.pick([3, 10, 24, 40, 80])) };
  }
  const { route, text } = random.pick(slowest);
  const places = [...text.matchAll(/[a-z]+\d*|[\d.]+(e-?\d+)?/g)];
  const place = places.length > 0 ? random.pick(places) : undefined;
  if (!place) return { route, text: formula(random, 10) };
  const grownPart = `(${formula(random, random.pick([1, 2, 4, 8]))})`;
  return {
    route,
    text: text.slice(0, place.index) + grownPart + text.slice(place.index + place[0].length),
  };
}

/** What was found when one looked for what holds everybody up. */
export interface Found {
  readonly tried: number;
  readonly faults: readonly string[];
  /** The longest that nothing else was answered, in milliseconds. */
  readonly longestMs: number;
  /** The slowest, and for how long nothing else was answered each time it was sent. */
  readonly slowest: readonly (Slow & { readonly holdMs: number; readonly tookMs: number })[];
}

const kept = 12;

/**
 * Sends the seeds and then others that grow out of the slowest, one at a time.
 * @param asking who sends what each route is for
 */
export async function lookForSlow(
  asking: (slow: Slow) => Browser,
  names: Parameters<typeof requestOf>[1],
  random: Random,
  count: number,
): Promise<Found> {
  const holds = new Holds();
  const faults: string[] = [];
  let slowest: Found['slowest'] = [];
  let longestMs = 0;
  const measure = async (slow: Slow) => {
    const { path, body } = requestOf(slow, { ...names, exerciseId: randomUUID() });
    holds.take();
    const began = performance.now();
    const { status } = await asking(slow).post(path, body);
    const tookMs = performance.now() - began;
    if (status >= 500 && status !== 503) faults.push(`${status} ${slow.route} ${slow.text}`);
    return { holdMs: holds.take(), tookMs };
  };
  for (let tried = 0; tried < count; tried += 1) {
    const slow = slowSeeds[tried] ?? nextSlow(random, slowest);
    let { holdMs, tookMs } = await measure(slow);
    // A pause of the machine is none of the request's: what is really slow is so again.
    for (let again = 0; again < 2 && holdMs > 100; again += 1) {
      const other = await measure(slow);
      [holdMs, tookMs] = [Math.min(holdMs, other.holdMs), Math.min(tookMs, other.tookMs)];
    }
    longestMs = Math.max(longestMs, holdMs);
    slowest = [...slowest, { ...slow, holdMs, tookMs }]
      .sort((a, b) => b.holdMs + b.tookMs / 10 - a.holdMs - a.tookMs / 10)
      .slice(0, kept);
  }
  holds.end();
  return { tried: count, faults, longestMs, slowest };
}
