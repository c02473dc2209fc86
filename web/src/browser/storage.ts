/** Texts that are kept at every key press. */
export interface Storage {
  getItem(key: string): string | null;
  /** @returns false where it could not be kept beyond this page, because there is no room. */
  setItem(key: string, value: string): boolean;
  removeItem(key: string): void;
  names(): string[];
}

/** The browser's storage, or the memory of this page for what the browser does not take. */
export const storage: Storage = (() => {
  const browser = (() => {
    try {
      return localStorage;
    } catch {
      return null;
    }
  })();
  const held = new Map<string, string>();
  return {
    getItem: (key) => held.get(key) ?? browser?.getItem(key) ?? null,
    setItem: (key, value) => {
      try {
        if (browser) {
          browser.setItem(key, value);
          held.delete(key);
          return true;
        }
      } catch {
        // No room: what stood there before would be older than what is typed now.
        browser?.removeItem(key);
      }
      held.set(key, value);
      return false;
    },
    removeItem: (key) => {
      held.delete(key);
      browser?.removeItem(key);
    },
    names: () => [...new Set([...Object.keys(browser ?? {}), ...held.keys()])],
  };
})();
