import { useState } from 'react';
import { useWho } from '../session/who';
import { storage } from '../browser/storage';

export const notKeptWords =
  'This device’s storage is full: what you type is kept only while this page is open. Close other pages, or free some space.';

/**
 * Text that is being typed: kept on every key press, there again after a reload, gone once it is cleared. Let go of, it is
 * kept no longer but stays in sight, for a field that what was written will take the place of.
 * `unkept` says so where the browser has no room for it.
 */
export function useDraft(
  name: string,
): readonly [text: string, write: (text: string) => void, letGo: () => void, unkept: string | null] {
  const key = `green-beam/draft/${useWho().id}/${name}`;
  const [held, setHeld] = useState({ key, text: storage.getItem(key) ?? '', kept: true });
  const current = held.key === key ? held.text : (storage.getItem(key) ?? '');
  const write = (text: string) => {
    let kept = true;
    if (text === '') storage.removeItem(key);
    else kept = storage.setItem(key, text);
    setHeld({ key, text, kept });
  };
  const unkept = held.key === key && !held.kept ? notKeptWords : null;
  return [current, write, () => storage.removeItem(key), unkept];
}
