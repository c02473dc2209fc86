import { eventually } from '@green-beam/core/test/eventually';
import type { ArrivedEntries, FeedAnswer, LogbooksAnswer, TakenReading } from '@green-beam/contract';
import { once } from 'node:events';
import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { randomUUID } from 'node:crypto';
import { afterEach, describe, expect, it } from 'vitest';
import { startHarness } from '../../test/harness';
import { BalanceFeed, type Feed } from './feed';
import { readFeedLine, writeFeedLine } from './line';
import { simulatedBalance } from './simulatedBalance';

describe('a line of the feed', () => {
  it.each([
    ['GB1 17 steady 52.40 g', { state: 'steady', seq: 17, text: '52.40', unit: 'g' }],
    ['GB1 18 moving -0.02 g\r', { state: 'moving', seq: 18, text: '-0.02', unit: 'g' }],
    ['GB1 19 over', { state: 'over', seq: 19 }],
  ])('%s', (text, line) => {
    expect(readFeedLine(text)).toEqual(line);
    expect(writeFeedLine(line as never)).toBe(`${text.trim()}\n`);
  });

  it.each([
    '',
    'GB1',
    'GB2 1 steady 5 g',
    'GB1 x steady 5 g',
    'GB1 1 steady five g',
    'GB1 1 steady 5 mL',
    'GB1 1 steady 5',
    'GB1 1 over 5 g',
    'GB1 1 steady 5 g extra',
    `GB1 1 steady ${'5'.repeat(90)} g`,
    '\u0000\u0001\u0002',
  ])('passes over %j', (text) => expect(readFeedLine(text)).toBeNull());
});

/** A balance that says what the test wants. */
async function balance(port = 0) {
  const sockets = new Set<Socket>();
  const server: Server = createServer((socket) => {
    sockets.add(socket);
    socket.on('error', () => undefined);
  }).listen(port, '127.0.0.1');
  await once(server, 'listening');
  return {
    port: (server.address() as AddressInfo).port,
    say: (text: string) => sockets.forEach((socket) => socket.write(text)),
    connected: () => sockets.size,
    stop: async () => {
      sockets.forEach((socket) => socket.destroy());
      await new Promise((resolve) => server.close(resolve));
    },
  };
}

describe('a connected balance', () => {
  const open: Feed[] = [];
  afterEach(() => open.splice(0).forEach((feed) => feed.close()));
  const listen = (port: number) => {
    const feed = new BalanceFeed({ host: '127.0.0.1', port });
    open.push(feed);
    return feed;
  };

  it('gives what stands, and refuses what moves, what is too heavy and silence', async () => {
    const real = await balance();
    const feed = listen(real.port);
    await eventually(() => expect(real.connected()).toBe(1));
    expect(feed.now()).toEqual({ state: 'silent' });
    expect(() => feed.take()).toThrow(/silent/);
    // Lines may come in pieces, and garbage between them is passed over.
    real.say('nonsense\nGB1 1 mov');
    real.say('ing 51.98 g\n');
    await eventually(() => expect(feed.now()).toEqual({ state: 'moving', text: '51.98', unit: 'g' }));
    expect(() => feed.take()).toThrow(/has not come to rest/);
    real.say(`GB1 2 steady 52.40 g\n${'x'.repeat(5000)}`);
    await eventually(() => expect(feed.now()).toMatchObject({ state: 'steady' }));
    expect(feed.take()).toEqual({ text: '52.40', unit: 'g' });
    real.say('\nGB1 3 over\n');
    await eventually(() => expect(feed.now()).toEqual({ state: 'over' }));
    expect(() => feed.take()).toThrow(/overloaded/);
    await real.stop();
  });

  it('is found again after it went away', async () => {
    const real = await balance();
    const feed = listen(real.port);
    await eventually(() => expect(real.connected()).toBe(1));
    real.say('GB1 1 steady 52.40 g\n');
    await eventually(() => expect(feed.now()).toMatchObject({ state: 'steady' }));
    await real.stop();
    await eventually(() => expect(feed.now()).toEqual({ state: 'silent' }));
    const again = await balance(real.port);
    await eventually(() => expect(again.connected()).toBe(1));
    again.say('GB1 1 steady 9.99 g\n');
    await eventually(() => expect(feed.now()).toMatchObject({ text: '9.99' }));
    await again.stop();
  });

  it('writes into a logbook once, for who took it, and only what it really said', async () => {
    const real = await balance();
    const feed = listen(real.port);
    const harness = await startHarness({ feed });
    await eventually(() => expect(real.connected()).toBe(1));
    const student = await harness.asStudent('Verity Moss');
    real.say('GB1 1 moving 52.0 g\n');
    await eventually(async () =>
      expect((await student.get<FeedAnswer>('/api/balance')).body.state).toBe('moving'),
    );
    expect(await student.post('/api/balance/readings')).toMatchObject({
      status: 409,
      body: { code: 'feed-unsteady' },
    });
    real.say('GB1 2 steady 52.40 g\n');
    await eventually(async () =>
      expect((await student.get<FeedAnswer>('/api/balance')).body.state).toBe('steady'),
    );
    const { body: taken } = await student.post<TakenReading>('/api/balance/readings');
    const { body: list } = await student.get<LogbooksAnswer>('/api/logbooks');
    const path = `/api/logbooks/${list.logbooks[0]!.logbookId}/entries`;
    const entry = (trial: number, text: string) => ({
      id: randomUUID(),
      trial,
      column: 'mass',
      text,
      takenId: taken.id,
      writtenAt: new Date().toISOString(),
    });
    expect(await student.post(path, entry(1, '60.00'))).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining('showed 52.40') },
    });
    const mate = await harness.asStudent('Wilfred Sand');
    expect(await mate.post(path, entry(1, '52.40'))).toMatchObject({
      status: 409,
      body: { code: 'reading-used' },
    });
    const written = entry(1, '52.40');
    const [first, again] = await Promise.all(
      [written, written].map((body) => student.post<ArrivedEntries>(path, body)),
    );
    expect(first!.body.entries[0]!.origin).toBe('balance');
    expect(again!.body.entries[0]!.id).toBe(written.id);
    expect(await student.post(path, entry(2, '52.40'))).toMatchObject({
      status: 409,
      body: { code: 'reading-used' },
    });
    await harness.close();
    await real.stop();
  });
});

it('the simulated balance speaks the protocol, moving and steady', async () => {
  const server = simulatedBalance(3).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const feed = new BalanceFeed({ host: '127.0.0.1', port: (server.address() as AddressInfo).port });
  const seen = new Set<string>();
  await eventually(() => {
    seen.add(feed.now().state);
    expect([...seen]).toEqual(expect.arrayContaining(['moving', 'steady']));
  });
  feed.close();
  server.close();
});
