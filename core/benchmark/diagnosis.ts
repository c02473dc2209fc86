import { fork } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { instruments } from '../src';
import { addTallies, emptyTally, soak, type Tally } from './soak';

/**
 * 100 000 seeded settings per instrument, spread over all presets and the processor's cores: how often a correct
 * reading is called wrong (it must be never), and how often each misreading is named. Prints a table.
 */
const settingsEach = Number(process.env['SETTINGS'] ?? 100_000);
const shareOf = process.argv[2];

if (shareOf !== undefined) {
  const [kind, share, from] = [shareOf, Number(process.argv[3]), Number(process.argv[4])];
  const instrument = instruments.find((candidate) => candidate.kind === kind);
  if (!instrument) throw new RangeError(kind);
  process.send?.(soak(instrument, share, from));
} else {
  const cores = availableParallelism();
  for (const { kind, name } of instruments) {
    const share = Math.ceil(settingsEach / cores);
    const tallies = await Promise.all(
      Array.from({ length: cores }, (_, at) => inAnotherProcess(kind, share, 1_000_000 + at * share)),
    );
    print(name, tallies.reduce(addTallies, emptyTally()));
  }
}

function inAnotherProcess(kind: string, share: number, from: number): Promise<Tally> {
  return new Promise((resolve, reject) => {
    const child = fork(fileURLToPath(import.meta.url), [kind, String(share), String(from)]);
    child.once('message', (tally) => resolve(tally as Tally));
    child.once('error', reject);
    child.once('exit', (code) => code && reject(new Error(`The share of ${kind} ended with ${code}.`)));
  });
}

function print(
  name: string,
  { settings, rightAnswers, rightCalledWrong, misreadings, examples }: Tally,
): void {
  console.log(
    `\n${name}: ${settings} settings, ${rightAnswers} right readings, ${rightCalledWrong} called wrong`,
  );
  console.table(
    Object.fromEntries(
      Object.entries(misreadings).map(([code, { applied, named, single }]) => [
        code,
        { applied, 'named, %': percent(named, applied), 'named alone, %': percent(single, applied) },
      ]),
    ),
  );
  for (const example of examples.slice(0, 5)) console.log(example);
}

function percent(part: number, whole: number): string {
  return ((100 * part) / whole).toFixed(2);
}
