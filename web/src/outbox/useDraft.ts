import { useState } from 'react';
import { useWho } from '../session/who';
import { storage } from './storage';

/**
 * Text that is being typed: kept on every key press, there again after a reload, gone once it is cleared. Let go of, it is
 * kept no longer but stays in sight, for a field that what was written will take the place of.
 */
export function useDraft(
  name: string,
): readonly [text: string, write: (text: string) => void, letGo: () => void] {
  const key = `green-beam/draft/${useWho().id}/${name}`;
  const [held, setHeld] = useState({ key, text: storage.getItem(key) ?? '' });
  const current = held.key === key ? held.text : (storage.getItem(key) ?? '');
  const write = (text: string) => {
    if (text === '') storage.removeItem(key);
    else storage.setItem(key, text);
    setHeld({ key, text });
  };
  return [current, write, () => storage.removeItem(key)];
}
