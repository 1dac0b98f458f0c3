import { Injectable, inject } from '@angular/core';
import type { BakeRecord } from '@orvin/core';
import type { KitchenDatabase } from './database';
import type { BinRow } from './records';
import { Store } from './store';

/** How long something that was removed can be put back, days. */
export const BIN_DAYS = 30;
const DAY_MS = 86_400_000;

/** Ids of the photos that are gone with a row of the bin. */
const photosOf = (row: BinRow): readonly string[] =>
  row.part ? (row.part.what === 'photo' ? [row.part.id] : []) : row.table === 'bakes' ? ((row.value as BakeRecord).photos ?? []) : []; // prettier-ignore

/** The open kitchen's bin: what was removed in the last `BIN_DAYS` days, and the photos that belong to it. */
@Injectable({ providedIn: 'root' })
export class Bins {
  private readonly store = inject(Store);
  /** What lies there, the newest first. */
  readonly rows$ = this.store.live((db) => db.bin.orderBy('at').reverse().toArray());

  /** Puts something back where it was; false when the record it was of is gone as well. */
  async putBack(row: BinRow): Promise<boolean> {
    return (await this.store.write(`put back ${row.title}`, (w) => w.putBack(row.id)))?.value ?? false;
  }

  /** Removes rows for good. */
  async remove(rows: readonly BinRow[]): Promise<boolean> {
    return (await this.store.guarded('emptying the bin', (db) => removeRows(db, rows.map((r) => r.id)))) !== null; // prettier-ignore
  }

  /** Removes what has lain there long enough, and photos that nothing names any more. */
  async tidy(now = Date.now()): Promise<void> {
    await this.store.guarded('tidying up', async (db) => {
      const old = await db.bin.where('at').below(now - BIN_DAYS * DAY_MS).primaryKeys(); // prettier-ignore
      await removeRows(db, old);
    });
  }

  /** What has lain there longest; null when there is nothing. */
  async oldest(): Promise<BinRow | null> {
    return (await this.store.database.bin.orderBy('at').first()) ?? null;
  }
}

/** Removes rows from the bin, and then all photos that neither a bake nor the bin names. */
async function removeRows(db: KitchenDatabase, ids: readonly string[]): Promise<true> {
  await db.transaction('rw', [db.bin, db.bakes, db.photos, db.thumbs], async () => {
    await db.bin.bulkDelete([...ids]);
    const named = new Set<string>();
    await db.bakes.each((b) => b.bake.photos?.forEach((id) => named.add(id)));
    await db.bin.each((r) => photosOf(r).forEach((id) => named.add(id)));
    const gone = (await db.photos.toCollection().primaryKeys()).filter((id) => !named.has(id));
    await db.photos.bulkDelete(gone);
    await db.thumbs.bulkDelete(gone);
  });
  return true;
}
