import { fork } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { instruments } from '../src';
import { addTallies, emptyTally, soak, type Count, type Tally } from './soak';

/**
 * 100 000 seeded settings per instrument, spread over all presets and the processor's cores: how often a correct
 * reading is called wrong (it must be never), and how often each misreading is named. Writes docs/diagnosis.md.
 */
const settingsEach = Number(process.env['SETTINGS'] ?? 100_000);
const shareOf = process.argv[2];

if (shareOf !== undefined) {
  const [share, from] = [Number(process.argv[3]), Number(process.argv[4])];
  const instrument = instruments.find(({ kind }) => kind === shareOf);
  if (!instrument) throw new RangeError(shareOf);
  process.send?.(soak(instrument, share, from));
} else {
  const cores = availableParallelism();
  const began = Date.now();
  const rows: { readonly name: string; readonly tally: Tally }[] = [];
  for (const { kind, name } of instruments) {
    const share = Math.ceil(settingsEach / cores);
    const tallies = await Promise.all(
      Array.from({ length: cores }, (_, at) => inAnotherProcess(kind, share, 1_000_000 + at * share)),
    );
    const tally = tallies.reduce(addTallies, emptyTally());
    rows.push({ name, tally });
    console.log(
      `${name}: ${tally.settings} settings, ${tally.rightCalledWrong} right readings called wrong, ` +
        `practice alone ${percent(tally.practice, 'single')} %, pairs ${percent(tally.pairs, 'named')} %`,
    );
    for (const line of tally.examples.filter((text) => !text.includes('pair')).slice(0, 3)) console.log(line);
  }
  const minutes = Math.round((Date.now() - began) / 60_000);
  const report = resolve(import.meta.dirname, '../../docs/diagnosis.md');
  writeFileSync(report, page(rows, minutes, cores));
}

function inAnotherProcess(kind: string, share: number, from: number): Promise<Tally> {
  return new Promise((done, fail) => {
    const child = fork(fileURLToPath(import.meta.url), [kind, String(share), String(from)]);
    child.once('message', (tally) => done(tally as Tally));
    child.once('error', fail);
    child.once('exit', (code) => code && fail(new Error(`The share of ${kind} ended with ${code}.`)));
  });
}

function percent(count: Count, of: 'named' | 'single'): string {
  return count.applied === 0 ? '–' : ((100 * count[of]) / count.applied).toFixed(2);
}

function page(rows: readonly { name: string; tally: Tally }[], minutes: number, cores: number): string {
  const total = rows.map(({ name, tally }) =>
    [
      `| ${name}`,
      grouped(tally.settings),
      tally.rightCalledWrong,
      percent(tally.practice, 'single'),
      percent(tally.pairs, 'named'),
    ].join(' | '),
  );
  const each = rows.flatMap(({ name, tally }) =>
    Object.entries(tally.misreadings).map(([code, count]) =>
      [
        `| ${name}`,
        `\`${code}\``,
        grouped(count.applied),
        percent(count, 'named'),
        percent(count, 'single'),
      ].join(' | '),
    ),
  );
  return `# How well misreadings are told

Written by \`npm run benchmark:diagnosis\`: ${grouped(settingsEach)} seeded settings for each instrument, spread evenly over all
presets; a third are practice settings, a third raw ones, a third apparatus as a reader may have left it. Each is read rightly
in several accepted writings, with each misreading that applies, and with one pair of misreadings. This run took ${minutes}
minutes on ${cores} cores.

*Practice, alone*: for practice settings, per (setting, misreading), how often that misreading is the only cause named.
*Pairs*: how often two faults at once are named together; a pair counts where both faults show, that is where neither alone
leads to the same number. A dash: no such case.

| instrument | settings | right readings called wrong | practice, alone, % | pairs named, % |
|---|---:|---:|---:|---:|
${total.map((row) => `${row} |`).join('\n')}

Over all settings, raw and handled ones included; *named* is the share in which the misreading is in the named set, *alone* in
which it is the only one.

| instrument | misreading | applied | named, % | alone, % |
|---|---|---:|---:|---:|
${each.map((row) => `${row} |`).join('\n')}

Where *alone* is low, two misreadings lead to the same number in that setting and both are named: handling faults of a beam
balance (off its zero, off its notch and not level, read from the same riders), glass with a ring (every fault leaves the
reader writing the marked volume), a vernier line of 0 or one near it, a zero error that happens to equal another fault, a
thimble just past a turn. Practice settings avoid such meetings. A pair is missed where its number happens to be what a third
misreading alone would write: one fault is then the simpler account, and is told.
`;
}

function grouped(count: number): string {
  return String(count).replace(/\B(?=(\d{3})+$)/g, ' ');
}
