import { fork } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ownCases, readyMadeCases } from '../test/benches';
import { coverage, limits, type Coverage, type WorldName } from '../test/coverage';

/**
 * 2 000 logbooks of every result that comes with the app, and of one for each kind of sharing that none of them has, in two
 * simulated worlds: how often the stated 95 % held the truth. Writes docs/coverage.md; ends with an error where a limit is
 * passed.
 */
const times = Number(process.env['LOGBOOKS'] ?? 2000);
const cases = [...readyMadeCases, ...ownCases];
const worlds: readonly WorldName[] = ['matched', 'classroom'];
type Row = Readonly<Record<WorldName, Coverage>>;

if (process.argv[2] !== undefined) {
  for (let at = Number(process.argv[2]); at < cases.length; at += Number(process.argv[3])) {
    const of = cases[at];
    if (!of) break;
    const [inMatched, inClassroom] = worlds.map((world) => coverage(of, world, times, 1000 + at));
    process.send?.({ at, row: { matched: inMatched, classroom: inClassroom } });
  }
} else {
  const cores = availableParallelism();
  const rows = new Map<number, Row>();
  await Promise.all(Array.from({ length: cores }, (_, share) => inAnotherProcess(share, cores, rows)));
  const lines = cases.flatMap((of, at) => worlds.map((world) => lineOf(of, world, rows.get(at))));
  for (const { text } of lines) console.log(text);
  writeFileSync(resolve(import.meta.dirname, '../../docs/coverage.md'), page(lines.map(({ text }) => text)));
  if (lines.some(({ within }) => !within)) throw new Error('A limit was passed.');
}

function inAnotherProcess(share: number, of: number, rows: Map<number, Row>): Promise<void> {
  return new Promise((done, fail) => {
    const child = fork(fileURLToPath(import.meta.url), [String(share), String(of)]);
    child.on('message', (message) => {
      const { at, row } = message as { at: number; row: Row };
      rows.set(at, row);
    });
    child.once('error', fail);
    child.once('exit', (code) => (code ? fail(new Error(`A share ended with ${code}.`)) : done()));
  });
}

function lineOf(of: (typeof cases)[number], world: WorldName, row: Row | undefined) {
  const { held, ratio } = row?.[world] ?? { held: NaN, ratio: NaN };
  const { least, low, high } = limits(of, world);
  const within = held >= least && ratio >= low && ratio <= high;
  const reason = ratio > (world === 'classroom' ? 2 : 1.5) ? (of.why ?? '') : '';
  const cells = [
    of.name,
    world,
    `${(100 * held).toFixed(1)} %`,
    ratio.toFixed(2),
    `≥ ${100 * least} %, ${low}–${high}`,
    within ? reason : `**beyond** ${reason}`,
  ];
  return {
    within: within && (reason !== '' || ratio <= (world === 'classroom' ? 2 : 1.5)),
    text: `| ${cells.join(' | ')} |`,
  };
}

function page(lines: readonly string[]): string {
  return `# How often a stated ± is true

Written by \`npm run benchmark:coverage\`: ${times} logbooks of one true object for each result that comes with the app, and for
each kind of sharing that none of them has, in two simulated worlds (\`core/src/world\`) that know nothing of how a ± is reckoned.
Held: how often the stated ± for 95 % held the truth. Ratio: the mean of the stated u² over the mean squared error.

*Matched*: everything exactly as it is budgeted. Each column is read with one habit, evenly spread over its half-width (for lines
and portions that follow each other, each reading by itself); zero, scale and tolerance are drawn evenly within their bounds;
nothing is rounded; what is measured scatters so that s/√n is as large as the part of the instruments.

*Classroom*: scales are read with a habit and an error of each reading, both within 0.45 of the half-width, and written to the
step of the class; displays round; verniers err by half their least count. Half-widths are allowances: readers do better, so that
a ± which is mostly reading is larger than its errors. That is on the safe side, and is said.

A tolerance bounds the error between any two marks. What is carried through a sum allows for the worst that such an error could
do; the worlds let it grow evenly along the scale. For a height of a line, or where it reaches one, this makes the ± larger than
the errors.

| result | world | held | ratio | limits | why it is larger |
|---|---|---:|---:|---|---|
${lines.join('\n')}

Under every set of house rules the ± of each of these is also worked another way, by derivatives of the result as a whole
(\`core/test/byRule.ts\`), and is the same to nine figures.
`;
}
