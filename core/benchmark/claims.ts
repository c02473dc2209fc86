import { writeFileSync } from 'node:fs';
import { claimCells, claimsIn, mostFalse } from '../test/claims';

const classes = Number(process.env['CLASSES'] ?? 10_000);
const most = mostFalse(classes);

const lines: string[] = [];
let beyond = 0;
for (const [at, cell] of claimCells.entries()) {
  const { wrong, right } = claimsIn(cell, classes, 7000 + at);
  const share = wrong / classes;
  if (share > most) beyond += 1;
  const power = cell.real ? `${((100 * right) / classes).toFixed(1)} %` : '';
  lines.push(`| ${cell.name} | ${(100 * share).toFixed(2)} %${share > most ? ' **!**' : ''} | ${power} |`);
  console.log(lines.at(-1));
}
console.log(
  `${claimCells.length} cells of ${classes} classes; ${beyond} beyond ${(100 * most).toFixed(2)} %.`,
);
if (classes === 10_000)
  writeFileSync(
    new URL('../../docs/statistics.md', import.meta.url),
    `# What a claim is worth

Made by \`npm run benchmark:claims\`; a tenth of it runs with the tests. Each cell is ${classes} simulated classes, values rounded to a step whose lines
stand anywhere, standard deviations in steps. *False* is the share of classes in which at least one claim is made that is not so: at most
5 %, which by four errors of the simulation is ${(100 * most).toFixed(2)} %. *Found* is the share in which a true difference is claimed.

The rules (\`core/src/compare\`): a bias by t = error / √(s²/n + step²/12 + u²); *more accurate* where the tests of both the difference and the
sum of two errors reject (Welch where the numbers of trials are alike, Behrens and Fisher where they are not); *more precise* by the distances from the median without what small samples have by construction, from five trials on
and not below 0.6 steps; *differ* from four groups on by a parametric bootstrap, where their numbers are alike or at least six, then their pairs; claims of one kind by Holm at 5 %.

| cell | false | found |
|---|---|---|
${lines.join('\n')}
`,
  );
process.exitCode = beyond > 0 ? 1 : 0;
