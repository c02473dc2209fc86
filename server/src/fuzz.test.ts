import type { LogbooksAnswer, SessionAnswer } from '@green-beam/contract';
import { seeded } from '@green-beam/core';
import { writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { expect, it } from 'vitest';
import { fuzz } from '../test/fuzz';
import { startHarness } from '../test/harness';
import { lookForSlow, type Found } from '../test/slowOnes';

const asked = process.env['FUZZ'];
const seed = Number(process.env['SEED'] ?? 1);
const count = Number(asked ?? 3_000);
const looks = asked ? 1_500 : 40;
const hour = 3_600_000;
/** Times are judged where they are asked for: a machine that does other things is no fault of the server. */
const whenAsked = <T>(list: readonly T[]): readonly T[] => (asked ? list.slice(0, 10) : []);

let found: Found | undefined;

it(
  `${looks} requests that grow out of the slowest: none fails, and none holds up the others`,
  async () => {
    const harness = await startHarness({ paced: false });
    const [student, teacher] = [await harness.asStudent('Verity Moss'), await harness.asTeacher()];
    const { logbooks } = (await student.get<LogbooksAnswer>('/api/logbooks')).body;
    const { who } = (await teacher.get<SessionAnswer>('/api/session')).body;
    const names = {
      logbookId: logbooks.find((line) => line.logbookId)?.logbookId ?? '',
      classId: who?.classes[0]?.id ?? '',
      exerciseId: '',
    };
    found = await lookForSlow(
      ({ route }) => (route === 'investigation' ? teacher : student),
      names,
      seeded(seed),
      looks,
    );
    await harness.close();
    expect(found.faults).toEqual([]);
    expect(whenAsked(found.slowest.filter(({ holdMs }) => holdMs > 200))).toEqual([]);
  },
  hour,
);

/** Some of it here; all of it by `npm run fuzz`, which writes docs/fuzz.md. */
it(
  `${count} seeded requests over all routes: no fault of the server, no reset`,
  async () => {
    const webFolder = resolve(import.meta.dirname, '../../web');
    const harness = await startHarness({ webFolder, paced: false });
    const told = await fuzz(harness, seed, count);
    await harness.close();
    if (asked) writeFileSync(resolve(import.meta.dirname, '../../docs/fuzz.md'), page(told));
    expect({
      faults: told.faults.slice(0, 10),
      resets: told.resets.slice(0, 10),
      slow: whenAsked(told.slow),
      held: whenAsked(told.held),
    }).toEqual({ faults: [], resets: [], slow: [], held: [] });
    // It did get through to what it asked for.
    expect(told.statuses['200'] ?? 0).toBeGreaterThan(count / 20);
    expect(told.statuses['422'] ?? 0).toBeGreaterThan(count / 20);
  },
  hour,
);

const page = ({
  requests,
  statuses,
  faults,
  resets,
  longestMs,
  slow,
  longestHoldMs,
  held,
}: Awaited<ReturnType<typeof fuzz>>): string =>
  `# Requests that nobody means

Written by \`npm run fuzz\`: seeded requests over all routes, as nobody, a student, an assistant and a teacher; three quarters of the
bodies, and many addresses and headers, are spoilt somewhere.

| | |
|---|---:|
| requests | ${requests} |
| faults of the server (5xx) | ${faults.length} |
| connections that broke | ${resets.length} |
| answers that took over 2 s | ${slow.length} |
| the longest, ms | ${Math.round(longestMs)} |
| requests that held up all others for over 200 ms | ${held.length} |
| the longest that nothing else was answered, ms | ${Math.round(longestHoldMs)} |

| status | answers |
|---|---:|
${Object.entries(statuses)
  .map(([status, times]) => `| ${status} | ${times} |`)
  .join('\n')}

## Those that grow out of the slowest

Formulas, formulas to rearrange, investigations and blocks, each made from one of the slowest so far by letting a part of it grow; one at a
time. ${found?.tried ?? 0} were sent, ${found?.faults.length ?? 0} failed; the longest that nothing else was answered is ${Math.round(found?.longestMs ?? 0)} ms. The slowest:

| what | nothing else for, ms | answered after, ms | begins with |
|---|---:|---:|---|
${(found?.slowest ?? [])
  .map(
    ({ route, holdMs, tookMs, text }) =>
      `| ${route} | ${Math.round(holdMs)} | ${Math.round(tookMs)} | \`${text.slice(0, 60)}\` |`,
  )
  .join('\n')}
`;
