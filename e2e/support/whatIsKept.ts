import type { Page } from '@playwright/test';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** All that a page of this address can reach of what the browser keeps, as one text: storage, databases byte by byte, caches. */
export const reachable = (page: Page): Promise<string> =>
  page.evaluate(async () => {
    const told: string[] = [JSON.stringify({ ...localStorage }), JSON.stringify({ ...sessionStorage })];
    const text = (bytes: Uint8Array) => new TextDecoder('latin1').decode(bytes);
    const bytesOf = (value: unknown): string =>
      JSON.stringify(value, (_, part: unknown) =>
        part instanceof ArrayBuffer
          ? text(new Uint8Array(part))
          : ArrayBuffer.isView(part)
            ? text(new Uint8Array(part.buffer, part.byteOffset, part.byteLength))
            : part,
      );
    const done = <T>(request: IDBRequest<T>) =>
      new Promise<T>((resolve, reject) => {
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(new Error('not read'));
      });
    for (const { name } of await indexedDB.databases()) {
      const database = await done(indexedDB.open(name ?? ''));
      for (const store of database.objectStoreNames) {
        const objects = database.transaction(store).objectStore(store);
        told.push(store, bytesOf(await done(objects.getAll())), bytesOf(await done(objects.getAllKeys())));
      }
      database.close();
    }
    for (const name of await caches.keys()) {
      const cache = await caches.open(name);
      for (const request of await cache.keys())
        // What the app itself consists of says nothing of anybody.
        if (!/\.(js|css|woff2|svg)$|index\.html/.test(request.url))
          told.push(request.url, (await (await cache.match(request))?.text()) ?? '');
    }
    return told.join('\n');
  });

/** The files of a browser that hold a text, as it is or in two bytes a letter. Its own list of visited pages is none of ours. */
export function filesWith(folder: string, wanted: string): string[] {
  const forms = [Buffer.from(wanted, 'utf8'), Buffer.from(wanted, 'utf16le')];
  const found: string[] = [];
  const look = (path: string) => {
    if (statSync(path).isDirectory()) readdirSync(path).forEach((name) => look(join(path, name)));
    else if (forms.some((form) => readFileSync(path).includes(form))) found.push(path.slice(folder.length));
  };
  look(folder);
  return found.filter((path) => /IndexedDB|Local Storage|Session Storage|Service Worker|Cache/.test(path));
}
