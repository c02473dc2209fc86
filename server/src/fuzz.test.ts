import { writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { expect, it } from 'vitest';
import { fuzz } from '../test/fuzz';
import { startHarness } from '../test/harness';

const asked = process.env['FUZZ'];
const count = Number(asked ?? 3_000);

/** Some of it here; all of it by `npm run fuzz`, which writes docs/fuzz.md. */
it(`${count} seeded requests over all routes: no fault of the server, no reset`, async () => {
  const webFolder = resolve(import.meta.dirname, '../../web');
  const harness = await startHarness({ webFolder });
  const told = await fuzz(harness, Number(process.env['SEED'] ?? 1), count);
  await harness.close();
  if (asked) writeFileSync(resolve(import.meta.dirname, '../../docs/fuzz.md'), page(told));
  expect({
    faults: told.faults.slice(0, 10),
    resets: told.resets.slice(0, 10),
    slow: asked ? told.slow.slice(0, 10) : [],
  }).toEqual({
    faults: [],
    resets: [],
    slow: [],
  });
  // It did get through to what it asked for.
  expect(told.statuses['200'] ?? 0).toBeGreaterThan(count / 20);
  expect(told.statuses['422'] ?? 0).toBeGreaterThan(count / 20);
}, 3_600_000);

const page = ({
  requests,
  statuses,
  faults,
  resets,
  longestMs,
  slow,
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

| status | answers |
|---|---:|
${Object.entries(statuses)
  .map(([status, times]) => `| ${status} | ${times} |`)
  .join('\n')}
`;
