import type { BakeRecord } from '@orvin/core';
import { liveQuery } from 'dexie';
import { Observable } from 'rxjs';
import type { KitchenDatabase } from './database';
import type { BakeRow } from './records';

/** Rows that are read in one go: a few milliseconds' work. */
const AT_ONCE = 400;

/** The ids of all bakes with their revisions: what changes when any of them does. */
export const headsOf = (db: KitchenDatabase): Promise<[string, number][]> =>
  db.bakes.orderBy('[id+revision]').keys() as unknown as Promise<[string, number][]>;

/**
 * The bakes of a database, newest first, and again after every change in this or another tab. What is watched is the
 * index of ids and revisions; only rows with a new revision are read, so that a log of thousands costs little.
 */
export function bakesOf(db: KitchenDatabase): Observable<readonly BakeRecord[]> {
  return new Observable((to) => {
    const known = new Map<string, BakeRow>();
    let turn = 0;
    const heads = liveQuery(() => headsOf(db));
    const sub = heads.subscribe({
      next: (list) => void read(list, ++turn),
      error: (e: unknown) => to.error(e),
    });
    async function read(list: readonly [string, number][], mine: number): Promise<void> {
      const there = new Set(list.map(([id]) => id));
      for (const id of known.keys()) if (!there.has(id)) known.delete(id);
      const changed = list.filter(([id, revision]) => known.get(id)?.revision !== revision).map(([id]) => id);
      try {
        // the first time all of them are wanted, which a database gives quickest in one piece
        if (known.size === 0) for (const row of await db.bakes.toArray()) known.set(row.id, row);
        else
          for (let i = 0; i < changed.length; i += AT_ONCE)
            for (const row of await db.bakes.bulkGet(changed.slice(i, i + AT_ONCE))) if (row) known.set(row.id, row);
      } catch (e) {
        // a database that was closed meanwhile is no error: another is open
        if (db.isOpen()) to.error(e);
        return;
      }
      if (mine !== turn || to.closed) return;
      to.next([...known.values()].map((r) => r.bake).sort((a, b) => b.at - a.at || (a.id < b.id ? -1 : 1)));
    }
    return () => sub.unsubscribe();
  });
}
