import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import * as prettier from 'prettier';
import subsetFont from 'subset-font';
import { home } from './machine.mjs';
import { main } from './run.mjs';

/** Signs that the fonts of the app do not have, by code point: Greek, powers and indices, arrows, relations. */
const ranges = [
  [0xb5, 0xb5],
  [0x391, 0x3a1],
  [0x3a3, 0x3a9],
  [0x3b1, 0x3c9],
  [0x2032, 0x2033],
  [0x2070, 0x2071],
  [0x2074, 0x208e],
  [0x2190, 0x2193],
  [0x21b6, 0x21b7],
  [0x221a, 0x221a],
  [0x221e, 0x221e],
  [0x2248, 0x2248],
  [0x2260, 0x2265],
  [0x22c5, 0x22c5],
  [0x25b8, 0x25b8],
];
const signs = ranges
  .flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, at) => String.fromCodePoint(from + at)))
  .join('');

const code = (at) => at.toString(16).toUpperCase().padStart(4, '0');
const unicodeRange = ranges
  .map(([from, to]) => `U+${code(from)}${to > from ? `-${code(to)}` : ''}`)
  .join(', ');

/** Cuts these signs out of a font that has them: a few kilobytes that ship with the app, and the sheet that names them. */
await main(async () => {
  const files = createRequire(join(home, 'web/package.json')).resolve('@fontsource/dejavu-sans/package.json');
  const folder = join(home, 'web/src/fonts');
  mkdirSync(folder, { recursive: true });
  const faces = ['/* Made by `npm run fonts`: Greek, powers, arrows and relations. */'];
  for (const weight of [400, 700]) {
    const whole = readFileSync(join(files, '../files', `dejavu-sans-latin-${weight}-normal.woff2`));
    writeFileSync(
      join(folder, `signs-${weight}.woff2`),
      await subsetFont(whole, signs, { targetFormat: 'woff2' }),
    );
    faces.push(`@font-face {
  font-family: 'Signs';
  src: url('./signs-${weight}.woff2') format('woff2');
  font-weight: ${weight};
  font-display: swap;
  unicode-range: ${unicodeRange};
}`);
  }
  writeFileSync(
    join(folder, 'signs.css'),
    await prettier.format(`${faces.join('\n')}\n`, {
      parser: 'css',
      ...(await prettier.resolveConfig(folder)),
    }),
  );
});
