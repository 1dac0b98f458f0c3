import type { Page } from '@playwright/test';

/** What one database holds, and how its stores are keyed. */
interface Held {
  readonly name: string;
  readonly stores: readonly { readonly name: string; readonly rows: readonly unknown[]; readonly keys: readonly IDBValidKey[] | null }[]; // prettier-ignore
}
interface Keeping {
  done?: <T>(r: IDBRequest<T>) => Promise<T>;
  kept?: { readonly databases: readonly Held[]; readonly words: readonly (readonly [string, string])[] };
}

/** Keeps, in a page of the same origin that is not the application, what the origin has stored. */
export const keep = (beside: Page): Promise<void> =>
  beside.evaluate(async () => {
    const done = <T>(r: IDBRequest<T>): Promise<T> =>
      new Promise((yes, no) => {
        r.onsuccess = () => yes(r.result);
        r.onerror = () => no(new Error(String(r.error)));
      });
    const databases: Held[] = [];
    for (const { name = '' } of await indexedDB.databases()) {
      const db = await done(indexedDB.open(name));
      const stores = [];
      for (const store of db.objectStoreNames) {
        const s = db.transaction(store).objectStore(store);
        const [rows, keys] = await Promise.all([done(s.getAll()), done(s.getAllKeys())]);
        stores.push({ name: store, rows, keys: s.keyPath === null ? keys : null });
      }
      databases.push({ name, stores });
      db.close();
    }
    Object.assign(window, { done, kept: { databases, words: Object.entries(localStorage) } } satisfies Keeping);
  });

/** Makes what the origin has stored what it was when it was kept; databases that came since go. */
export const putBack = (beside: Page): Promise<void> =>
  beside.evaluate(async () => {
    const { done, kept } = window as Keeping;
    if (!done || !kept) throw new Error('nothing was kept');
    const { databases, words } = kept;
    localStorage.clear();
    for (const [key, value] of words) localStorage.setItem(key, value);
    for (const { name = '' } of await indexedDB.databases())
      if (!databases.some((d) => d.name === name)) await done(indexedDB.deleteDatabase(name));
    for (const { name, stores } of databases) {
      const db = await done(indexedDB.open(name));
      const writing = db.transaction([...db.objectStoreNames], 'readwrite');
      for (const { name: store, rows, keys } of stores) {
        const s = writing.objectStore(store);
        s.clear();
        rows.forEach((row, i) => (keys ? s.put(row, keys[i]) : s.put(row)));
      }
      await new Promise((yes, no) => {
        writing.oncomplete = yes;
        writing.onabort = () => no(new Error(String(writing.error)));
      });
      db.close();
    }
  });
