import type { Page } from '@playwright/test';

/** What stands on the disk: every kitchen's database, and which of them the registry knows. */
export interface OnDisk {
  readonly databases: readonly string[];
  readonly listed: readonly { readonly db: string; readonly name: string; readonly state: string | null; readonly whole: boolean }[]; // prettier-ignore
}

/** Looks at the databases from a page of the same origin, past the application. */
export const onDisk = (page: Page): Promise<OnDisk> =>
  page.evaluate(async () => {
    const done = <T>(r: IDBRequest<T>): Promise<T> =>
      new Promise((yes, no) => {
        r.onsuccess = () => yes(r.result);
        r.onerror = () => no(new Error(String(r.error)));
      });
    const names = (await indexedDB.databases()).map((d) => d.name ?? '');
    const databases = names.filter((n) => n.startsWith('orvin-kitchen-'));
    if (!names.includes('orvin')) return { databases, listed: [] };
    const registry = await done(indexedDB.open('orvin'));
    const entries = (await done(registry.transaction('kitchens').objectStore('kitchens').getAll())) as {
      db: string;
      name: string;
      state?: string;
    }[];
    registry.close();
    const listed = [];
    for (const e of entries) {
      let whole = false;
      if (databases.includes(e.db)) {
        const asked = indexedDB.open(e.db);
        // one that goes just now is not to be made anew by looking for it
        asked.onupgradeneeded = () => asked.transaction?.abort();
        const db = await done(asked).catch(() => null);
        if (!db) continue;
        if (db.objectStoreNames.contains('meta'))
          whole = (await done(db.transaction('meta').objectStore('meta').get('kitchen'))) !== undefined;
        db.close();
      }
      listed.push({ db: e.db, name: e.name, state: e.state ?? null, whole });
    }
    return { databases, listed };
  });

/** Kitchens' databases that the registry does not know. */
export const unlisted = async (page: Page): Promise<string[]> => {
  const { databases, listed } = await onDisk(page);
  return databases.filter((d) => !listed.some((e) => e.db === d));
};
