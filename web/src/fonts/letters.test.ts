import { expect, it } from 'vitest';
import { lettersOfTheApp, shippedLetters } from '../../test/letters';

it.each(['Atkinson Hyperlegible Next', 'Atkinson Hyperlegible Mono'])(
  'every letter that the app can print in %s is in a font that ships with it',
  (family) => {
    const has = shippedLetters(family);
    const letters = [...lettersOfTheApp()];
    expect(letters.length).toBeGreaterThan(40);
    expect(letters.filter(([letter]) => !has(letter))).toEqual([]);
    // What no font has is not said to be there.
    expect(has('字')).toBe(false);
  },
);
