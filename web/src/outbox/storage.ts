import type { Keep } from './outbox';

/** The browser's storage, or the memory of this page where the browser refuses one. */
export const storage: Keep & { removeItem(key: string): void } = (() => {
  try {
    const probe = 'green-beam/probe';
    localStorage.setItem(probe, '');
    localStorage.removeItem(probe);
    return localStorage;
  } catch {
    const items = new Map<string, string>();
    return {
      getItem: (key) => items.get(key) ?? null,
      setItem: (key, value) => void items.set(key, value),
      removeItem: (key) => void items.delete(key),
    };
  }
})();
