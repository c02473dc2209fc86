import { eventually } from '@green-beam/core/test/eventually';
import type { ArrivedEntries, EntriesAnswer, LogbooksAnswer, SettingAnswer } from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { nextEvent } from '../../test/events';
import { entry } from '../../test/entry';
import { startHarness, type Browser, type Harness } from '../../test/harness';

/** Two processes on one database, as far as anything but memory can tell. */
let one: Harness;
let other: Harness;
let path: string;
beforeAll(async () => {
  one = await startHarness();
  other = await startHarness({ url: one.url });
  const student = await one.asStudent('Verity Moss');
  const { body } = await student.get<LogbooksAnswer>('/api/logbooks');
  path = `/api/logbooks/${body.logbooks[0]!.logbookId}`;
});
afterAll(async () => {
  await other.close();
  await one.close();
});

describe('a change made through one process', () => {
  it('reaches pages that are open on another', async () => {
    const writer = await one.asStudent('Verity Moss');
    const mate = await other.asStudent('Wilfred Sand');
    const teacher = await other.asTeacher();
    const streams = [await mate.stream('/api/events'), await teacher.stream('/api/events')] as const;
    const written = entry({ trial: 7 });
    await writer.post(`${path}/entries`, written);
    // The mate gets the entry itself; the board is told whose line is new.
    expect(await nextEvent(streams[0], 'logbook')).toMatchObject({
      arrived: { entries: [{ id: written.id }] },
    });
    expect(await nextEvent(streams[1], 'board')).toMatchObject({
      students: expect.arrayContaining([mate.personId]),
    });
    await Promise.all(streams.map((stream) => stream.cancel()));
  });

  it('ends a session on the other', async () => {
    const here = await one.asStudent('Junia Fell');
    const there = await other.asStudent('Junia Fell');
    const stream = await there.stream('/api/events');
    await here.delete('/api/session/everywhere');
    // The notice is on its way while the answer is read here.
    await eventually(async () => expect((await there.get('/api/bench')).status).toBe(401));
    expect(await nextEvent(stream, 'session')).toBeDefined();
  });

  it('goes only to whom it concerns', async () => {
    const writer = await one.asStudent('Verity Moss');
    const stranger = await (await one.asStudent('Delphi Marsh')).stream('/api/events');
    await writer.post(`${path}/entries`, entry({ trial: 8 }));
    expect(await nextEvent(stranger, 'logbook', 500)).toBeUndefined();
    await stranger.cancel();
  });

  it('that answers what is shown is told to the staff, and to no student', async () => {
    const teacher = await one.asTeacher();
    const { classes } = (await teacher.get<{ who: { classes: { id: string }[] } }>('/api/session')).body.who;
    const answerer = await one.asStudent('Delphi Marsh');
    const setting = await answerer.post<SettingAnswer>('/api/bench/settings', {
      id: randomUUID(),
      kind: 'ruler',
      mode: 'read',
    });
    const shown = await teacher.post<{ question: { id: string } }>(
      `/api/classes/${classes[0]!.id}/question`,
      {
        id: randomUUID(),
        kind: 'ruler',
        model: setting.body.picture.model,
      },
    );
    const go = await answerer.post<SettingAnswer>(`/api/questions/${shown.body.question.id}/settings`, {
      id: randomUUID(),
    });
    const [staff, classmate] = [
      await teacher.stream('/api/events'),
      await (await one.asStudent('Verity Moss')).stream('/api/events'),
    ];
    await answerer.post(`/api/bench/settings/${go.body.id}/attempts`, {
      id: randomUUID(),
      text: '1.0',
      unit: go.body.unitChoices[0],
      hands: null,
    });
    expect(await nextEvent(staff, 'answers')).toBeDefined();
    expect(await nextEvent(classmate, 'answers', 300)).toBeUndefined();
    await Promise.all([staff.cancel(), classmate.cancel()]);
  });
});

describe('who follows a logbook', () => {
  it('misses nothing of six writers through two processes, and every entry says what it comes after', async () => {
    const writers = await Promise.all(
      [one, other].flatMap((harness) =>
        ['Verity Moss', 'Wilfred Sand', 'Xanthe Reed'].map((name) => harness.asStudent(name)),
      ),
    );
    const follower = await other.asStudent('Xanthe Reed');
    const count = Number(process.env['FOLLOWED'] ?? 1500);
    const seen: string[] = [];
    let [after, done] = [0, false];
    const follow = async () => {
      for (;;) {
        const last = done;
        const { body } = await follower.get<EntriesAnswer>(`${path}/entries?after=${after}`);
        seen.push(...body.entries.map(({ id }) => id));
        after = body.last;
        if (last) return;
      }
    };
    const following = follow();
    const sent = new Set<string>();
    const chain = new Map<number, number>();
    await Promise.all(
      writers.map(async (writer: Browser) => {
        for (let nth = 0; nth < count / writers.length; nth += 1) {
          const own = entry({ trial: (nth % 200) + 1 });
          const { body, status } = await writer.post<ArrivedEntries>(`${path}/entries`, own);
          expect(status).toBe(200);
          sent.add(own.id);
          chain.set(body.last!, body.after!);
        }
      }),
    );
    done = true;
    await following;
    expect(new Set(seen).size).toBe(seen.length);
    expect([...sent].filter((id) => !seen.includes(id))).toEqual([]);
    // Each comes after the one before it: the chain has no gap.
    const numbers = [...chain.keys()].sort((a, b) => a - b);
    for (const [at, number] of numbers.entries()) if (at > 0) expect(chain.get(number)).toBe(numbers[at - 1]);
  }, 120_000);
});

it('a line to the database that was cut is taken up again, and open pages come anew', async () => {
  const student = await other.asStudent('Verity Moss');
  const stream = await student.stream('/api/events');
  await one.database.sequelize.query(
    `select pg_terminate_backend(pid) from pg_stat_activity
      where datname = current_database() and pid <> pg_backend_pid() and query ilike 'listen%'`,
  );
  await eventually(async () => {
    const { done } = await stream.read();
    expect(done).toBe(true);
  });
  const again = await student.stream('/api/events');
  const mate = await one.asStudent('Wilfred Sand');
  await eventually(async () => {
    await mate.post(`${path}/entries`, entry({ trial: 9 }));
    expect(await nextEvent(again, 'logbook', 400)).toBeDefined();
  });
  await again.cancel();
});
