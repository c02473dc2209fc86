import { boltPin, presetNamed } from '@green-beam/core';
import { afterAll, describe, expect, it } from 'vitest';
import { createWorkers } from './workers';

const conventions = presetNamed('Chemistry bench');
const workers = createWorkers();
const hurried = createWorkers({ deadlineMs: 1 });
afterAll(() => Promise.all([workers.close(), hurried.close()]));

const calculate = (expression: string, whose = 'somebody', pool = workers) =>
  pool.run('calculate', { expression, conventions }, whose);

describe('work in a thread', () => {
  it('comes back as plain data', async () => {
    expect(await calculate('214.6 g / 24.5 mL')).toBe('8.76 g/mL');
    const { ok } = await workers.run('checkInvestigation', { body: boltPin }, 'a class');
    expect(ok).toBe(true);
    const line = await workers.run('lookAtBook', { body: boltPin, conventions, entries: [] }, 'a logbook');
    expect(line).toMatchObject({ howFar: { completeTrials: 0, resultText: null, handedIn: false } });
  });

  it.each([
    ['214.6 g / 0 mL', 'A number cannot be divided by zero (place 11).'],
    [Array(61).fill('exp(1.2)').join('+'), 'A calculation holds at most 60 functions and powers.'],
  ])('that cannot be done is refused in a sentence: %.20s', async (expression, sentence) => {
    await expect(calculate(expression)).rejects.toMatchObject({ code: 'not-valid', message: sentence });
  });

  it('is taken from one person two at a time; nobody else is refused for it', async () => {
    const long = Array(60).fill('exp(1.2)').join('+');
    const greedy = await Promise.allSettled(Array.from({ length: 6 }, () => calculate(long, 'greedy')));
    const others = Array.from({ length: 20 }, (_, nth) => calculate('1.0 + 1.0', `honest ${nth}`));
    expect(greedy.map(({ status }) => status).sort()).toEqual([
      ...Array<string>(2).fill('fulfilled'),
      ...Array<string>(4).fill('rejected'),
    ]);
    expect(greedy.find(({ status }) => status === 'rejected')).toMatchObject({ reason: { code: 'busy' } });
    expect(await Promise.all(others)).toEqual(Array(20).fill('2.0'));
  });

  it('that takes too long is stopped, and the next is done', async () => {
    const entries = Array.from({ length: 600 }, (_, nth) => ({
      id: String(nth),
      kind: 'reading' as const,
      trial: (nth % 200) + 1,
      column: ['mass', 'before', 'after'][nth % 3] ?? '',
      text: '12.4',
      tag: 'B-02',
      reader: 'Ada',
      origin: 'own' as const,
      writtenAt: '2026-11-02T09:00:00Z',
      receivedAt: '2026-11-02T09:00:00Z',
      timedBy: 'writer' as const,
      replaces: null,
      reason: null,
    }));
    await expect(
      hurried.run('lookAtBook', { body: boltPin, conventions, entries }, 'a logbook'),
    ).rejects.toMatchObject({ code: 'too-much-work' });
  });
});
