import { create } from 'fontkit';
import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join, resolve } from 'node:path';

const home = resolve(import.meta.dirname, '../..');
const { resolve: packageFile } = createRequire(import.meta.url);

/** Every letter and sign beyond plain ASCII that stands in what the app says or draws, with a file that it stands in. */
export function lettersOfTheApp(): ReadonlyMap<string, string> {
  const letters = new Map<string, string>();
  for (const room of ['core', 'drawing', 'contract', 'server', 'web'])
    for (const name of readdirSync(join(home, room, 'src'), { recursive: true, encoding: 'utf8' })) {
      if (!/\.tsx?$/.test(name) || name.includes('.test.')) continue;
      const file = join(room, 'src', name);
      const said = readFileSync(join(home, file), 'utf8').replace(
        /\/\*[\s\S]*?\*\/|(?<![:'"`])\/\/.*$/gm,
        '',
      );
      for (const letter of said) if (letter > '~') letters.set(letter, file);
    }
  return letters;
}

/** Whether a family of the style sheet has a letter, alone or with the signs that stand beside it. */
export function shippedLetters(family: string): (letter: string) => boolean {
  const sheet = join(home, 'web/src/styles.css');
  const sheets = [...readFileSync(sheet, 'utf8').matchAll(/@import '((?:@fontsource|\.)\/[^']+)'/g)].map(
    ([, name = '']) => (name.startsWith('.') ? join(dirname(sheet), name) : packageFile(name)),
  );
  const fonts = sheets.flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/@font-face \{[^}]*\}/g)].flatMap(([face]) => {
      const [, name] = /font-family: '([^']+)'/.exec(face) ?? [];
      const [, source = ''] = /url\('?([^')]+\.woff2)'?\)/.exec(face) ?? [];
      return name?.startsWith(family) || name === 'Signs'
        ? [create(readFileSync(join(dirname(file), source)))]
        : [];
    }),
  );
  return (letter) =>
    fonts.some(
      (font) => 'hasGlyphForCodePoint' in font && font.hasGlyphForCodePoint(letter.codePointAt(0) ?? 0),
    );
}
