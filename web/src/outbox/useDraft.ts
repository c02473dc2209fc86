import { useState } from 'react';
import { useWho } from '../session/who';
import { storage } from './storage';

/** Text that is being typed: kept on every key press, there again after a reload, gone once it is cleared. */
export function useDraft(name: string): readonly [text: string, write: (text: string) => void] {
  const key = `green-beam/draft/${useWho().id}/${name}`;
  const [held, setHeld] = useState({ key, text: storage.getItem(key) ?? '' });
  const current = held.key === key ? held.text : (storage.getItem(key) ?? '');
  const write = (text: string) => {
    if (text === '') storage.removeItem(key);
    else storage.setItem(key, text);
    setHeld({ key, text });
  };
  return [current, write];
}
