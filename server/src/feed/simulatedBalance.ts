import { seeded } from '@green-beam/core';
import { createServer, type Server } from 'node:net';
import { writeFeedLine, type FeedLine } from './line';

const lineEveryMs = 200;
const capacityGrams = 400;

/**
 * A stand-in for a real balance: something is put on its pan, moves for a second or two, stands for a while, and is
 * changed for something else. Speaks the line protocol of docs/formats.md to everyone who connects.
 * @param seed the same loads for the same seed.
 */
export function simulatedBalance(seed: number): Server {
  const random = seeded(seed);
  let [seq, load, seconds] = [0, 0, 0];
  const change = () => {
    load = random.chance(0.06) ? capacityGrams + 50 : random.chance(0.2) ? 0 : random.between(4, 260);
    seconds = 0;
  };
  change();
  const lineNow = (): FeedLine => {
    seq = (seq + 1) % 1e9;
    if (load > capacityGrams) return { state: 'over', seq };
    const moving = seconds < 1.6;
    const grams = load * (1 - (moving ? Math.exp(-3 * seconds) : 0)) + (moving ? random.normal() * 0.05 : 0);
    return { state: moving ? 'moving' : 'steady', seq, text: Math.max(0, grams).toFixed(2), unit: 'g' };
  };
  const server = createServer((socket) => {
    socket.on('error', () => socket.destroy());
    const timer = setInterval(() => socket.write(writeFeedLine(lineNow())), lineEveryMs);
    socket.on('close', () => clearInterval(timer));
  });
  const clock = setInterval(() => {
    seconds += lineEveryMs / 1000;
    if (seconds > 9) change();
  }, lineEveryMs);
  clock.unref();
  server.on('close', () => clearInterval(clock));
  return server;
}
