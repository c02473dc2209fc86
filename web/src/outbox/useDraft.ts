import { useState } from 'react';
import { useWho } from '../session/who';
import { ownTexts } from '../browser/storage';

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
  const { id } = useWho();
  const key = `green-beam/draft/${id}/${name}`;
  const own = ownTexts(id);
  const [held, setHeld] = useState({ key, text: own.getItem(key) ?? '', kept: true });
  const current = held.key === key ? held.text : (own.getItem(key) ?? '');
  const write = (text: string) => {
    let kept = true;
    if (text === '') own.removeItem(key);
    else kept = own.setItem(key, text);
    setHeld({ key, text, kept });
  };
  const unkept = held.key === key && !held.kept ? notKeptWords : null;
  return [current, write, () => own.removeItem(key), unkept];
}
