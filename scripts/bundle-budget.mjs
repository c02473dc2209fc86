import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { main, Sentence } from './run.mjs';

/** The student's Bench is what has to open at once on a school laptop: its first load has a budget. */
const budgetKb = 155;
const screens = ['index.html', 'src/bench/Station.tsx'];

await main(() => {
  const dist = resolve(import.meta.dirname, '../web/dist');
  const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8'));
  const filesOf = (keys) => {
    const files = new Set();
    const visit = (key) => {
      const { file, imports = [] } = manifest[key] ?? {};
      if (!file)
        throw new Sentence(`The build holds no “${key}”; the budget of the Bench cannot be checked.`);
      if (files.has(file)) return;
      files.add(file);
      imports.forEach(visit);
    };
    keys.forEach(visit);
    return [...files];
  };
  const size = (keys) =>
    filesOf(keys).reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length, 0);
  // An apparatus is fetched when it is taken: the heaviest of them counts.
  const apparatuses = Object.keys(manifest).filter((key) => key.startsWith('src/bench/apparatus/'));
  const bytes = Math.max(...apparatuses.map((apparatus) => size([...screens, apparatus])));
  const kb = (bytes / 1000).toFixed(1);
  if (bytes > budgetKb * 1000)
    throw new Sentence(`The Bench loads ${kb} kB of JavaScript compressed; its budget is ${budgetKb} kB.`);
  console.log(`The Bench loads ${kb} kB of JavaScript compressed, of ${budgetKb} kB.`);
});
