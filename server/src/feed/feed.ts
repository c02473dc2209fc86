import type { FeedAnswer } from '@green-beam/contract';
import { connect, type Socket } from 'node:net';
import { Problem } from '../http/problem';
import { longestLine, readFeedLine, type FeedLine } from './line';

export interface FeedAddress {
  readonly host: string;
  readonly port: number;
}

/** A connected balance, as the server knows it. */
export interface Feed {
  now(): FeedAnswer;
  /** What is shown, if it stands. @throws Problem while nothing is connected or the display moves. */
  take(): { readonly text: string; readonly unit: string };
  close(): void;
}

const staleMs = 3_000;
const retryMs = [500, 1_000, 2_000, 4_000] as const;

/** Where no balance is connected. */
export const noFeed: Feed = {
  now: () => ({ state: 'none' }),
  take: () => {
    throw new Problem('feed-silent', 'No balance is connected.');
  },
  close: () => undefined,
};

/** Listens to a balance on a port, and comes back to it when it goes away. What is no line of its protocol is passed over. */
export class BalanceFeed implements Feed {
  readonly #address: FeedAddress;
  readonly #clock: () => number;
  #socket: Socket | undefined;
  #retry: NodeJS.Timeout | undefined;
  #tries = 0;
  #rest = '';
  #latest: { readonly line: FeedLine; readonly at: number } | undefined;

  constructor(address: FeedAddress, clock: () => number = Date.now) {
    this.#address = address;
    this.#clock = clock;
    this.#connect();
  }

  now(): FeedAnswer {
    const { line, at } = this.#latest ?? {};
    if (!line || at === undefined || this.#clock() - at > staleMs) return { state: 'silent' };
    return line.state === 'over'
      ? { state: 'over' }
      : { state: line.state, text: line.text, unit: line.unit };
  }

  take(): { readonly text: string; readonly unit: string } {
    const shown = this.now();
    if (shown.state === 'over')
      throw new Problem('feed-unsteady', 'The balance is overloaded. Take something off.');
    if (shown.state === 'moving')
      throw new Problem(
        'feed-unsteady',
        'The balance has not come to rest. Wait until it stands, then take the reading.',
      );
    if (shown.state !== 'steady') throw new Problem('feed-silent');
    return { text: shown.text, unit: shown.unit };
  }

  close(): void {
    clearTimeout(this.#retry);
    this.#socket?.removeAllListeners('close').destroy();
  }

  #connect(): void {
    const socket = connect(this.#address).setEncoding('utf8');
    this.#socket = socket;
    this.#rest = '';
    socket.on('connect', () => (this.#tries = 0));
    socket.on('data', (part: Buffer | string) => this.#hear(String(part)));
    socket.on('error', () => undefined);
    socket.on('close', () => {
      this.#latest = undefined;
      const wait = retryMs[Math.min(this.#tries, retryMs.length - 1)];
      this.#tries += 1;
      this.#retry = setTimeout(() => this.#connect(), wait);
      this.#retry.unref();
    });
  }

  #hear(part: string): void {
    const lines = (this.#rest + part).split('\n');
    // What never ends in a line is garbage: only its end is kept.
    this.#rest = (lines.pop() ?? '').slice(-longestLine);
    for (const text of lines) {
      const line = readFeedLine(text);
      if (line) this.#latest = { line, at: this.#clock() };
    }
  }
}
