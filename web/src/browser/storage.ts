import { opened, sealed } from './keys';

/** Texts that are kept at every key press. */
export interface Storage {
  getItem(key: string): string | null;
  /** @returns false where it could not be kept beyond this page, because there is no room. */
  setItem(key: string, value: string): boolean;
  /** Keeps it in this page alone. @returns false, as it is not kept beyond it */
  hold(key: string, value: string): false;
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
    hold: (key, value) => {
      browser?.removeItem(key);
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

/** Texts of one person: sealed as they are written, and read by who holds their key. */
export interface OwnTexts {
  getItem(name: string): string | null;
  /** @returns false where it could not be kept beyond this page. */
  setItem(name: string, text: string): boolean;
  removeItem(name: string): void;
  /** Seals what an earlier version of the pages kept unsealed. */
  sealFormer(): void;
}

const mark = 'sealed:';
/** Where they stand, by what they are. */
const kindsOf = (person: string): string[] =>
  ['draft', 'hands', 'carried'].map((what) => `green-beam/${what}/${person}`);

export function ownTexts(person: string): OwnTexts {
  const own: OwnTexts = {
    getItem: (name) => {
      const kept = storage.getItem(name);
      if (kept === null) return null;
      return kept.startsWith(mark) ? opened(person, kept.slice(mark.length)) : kept;
    },
    setItem: (name, text) => {
      try {
        return storage.setItem(name, mark + sealed(person, text));
      } catch {
        // Nothing is kept that anybody could read: it stays while this page does.
        return storage.hold(name, text);
      }
    },
    removeItem: (name) => storage.removeItem(name),
    sealFormer: () => {
      for (const name of storage.names()) {
        const kept = storage.getItem(name);
        if (kept !== null && !kept.startsWith(mark) && kindsOf(person).some((kind) => name.startsWith(kind)))
          own.setItem(name, kept);
      }
    },
  };
  return own;
}
