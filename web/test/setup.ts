import '@testing-library/jest-dom/vitest';
import 'fake-indexeddb/auto';
import { cleanup, configure } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';
import { database } from '../src/browser/database';
import { hold } from '../src/browser/keys';
import { Locks } from './locks';
import { quickLabels, quickStyles } from './quick';
import { Stream } from './stream';

/** What browsers have and jsdom lacks, as far as the pages ask for it. */
class Watcher {
  observe() {}
  unobserve() {}
  disconnect() {}
}
Object.assign(globalThis, {
  ResizeObserver: Watcher,
  IntersectionObserver: Watcher,
  EventSource: Stream,
  scrollTo: () => undefined,
  // Everything is at once where it will come to rest.
  matchMedia: (query: string) => ({
    matches: query.includes('reduced-motion'),
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }),
});
Blob.prototype.text = function text(this: Blob) {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error ?? new Error('unreadable'));
    reader.readAsText(this);
  });
};
Object.defineProperty(navigator, 'locks', { configurable: true, value: new Locks() });
Element.prototype.hasPointerCapture = () => true;
Element.prototype.setPointerCapture = () => undefined;
Element.prototype.releasePointerCapture = () => undefined;
Element.prototype.scrollIntoView = () => undefined;
quickStyles();
quickLabels();

// A whole page in every message helps nobody.
// A machine that is busy elsewhere is no fault of the page.
configure({ asyncUtilTimeout: 20_000, getElementError: (message) => new Error(message ?? 'not found') });

/** The people of the tests, signed in as far as what they write is concerned. */
const people = ['ada', 'marrow', 'me', 'you'];
beforeEach(() => people.forEach((person, at) => hold(person, new Uint8Array(32).fill(at + 1))));

afterEach(async () => {
  cleanup();
  vi.unstubAllGlobals();
  localStorage.clear();
  const kept = await database();
  for (const store of kept.objectStoreNames) await kept.clear(store);
});
