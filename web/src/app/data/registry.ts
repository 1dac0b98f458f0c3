import { Injectable, InjectionToken, computed, inject, signal } from '@angular/core';
import { Dexie, liveQuery } from 'dexie';
import { KitchenDatabase, RegistryDatabase } from './database';
import { BIN_DAYS } from './bins';
import type { KitchenEntry } from './records';

/** The registry of this device; opened as early as can be, since it takes its time. */
export const REGISTRY = new InjectionToken<RegistryDatabase>('registry', {
  providedIn: 'root',
  factory: () => new RegistryDatabase(),
});

export const PREFIX = 'orvin-kitchen-';
/** Where no lock can be asked for, work that began so long ago is over, ms. */
const OVER_MS = 10 * 60_000;
const DAY_MS = 86_400_000;

/**
 * Which kitchens are on this device, and in what state. Whatever fills or removes one writes that down first; what was cut
 * off is finished at the next start, so that no database is ever left that nobody knows of.
 */
@Injectable({ providedIn: 'root' })
export class Registry {
  private readonly db = inject(REGISTRY);
  private readonly told = signal<readonly KitchenEntry[]>([]);
  /** Kitchens that can be opened. */
  readonly listed = computed(() => this.told().filter((e) => e.state === undefined));
  /** Kitchens that were removed and can be taken back, the newest first. */
  readonly binned = computed(() =>
    this.told()
      .filter((e) => e.state === 'binned')
      .sort((a, b) => (b.since ?? 0) - (a.since ?? 0)),
  );
  private watching = false;
  /** Whether a newer Orvin has taken it over. */
  readonly taken = signal(false);

  async open(): Promise<void> {
    if (!this.db.isOpen()) await this.db.open();
    this.told.set(await this.db.kitchens.toArray());
    if (this.watching) return;
    this.watching = true;
    this.db.onTaken = () => this.taken.set(true);
    // other tabs' kitchens come and go
    liveQuery(() => this.db.kitchens.toArray()).subscribe({ next: (l) => this.told.set(l), error: () => undefined });
  }

  get(id: string): Promise<KitchenEntry | undefined> {
    return this.db.kitchens.get(id);
  }

  async setting(key: string): Promise<unknown> {
    return (await this.db.settings.get(key))?.value;
  }

  async setSetting(key: string, value: unknown): Promise<void> {
    await this.db.settings.put({ key, value });
  }

  /** The state of a database's kitchen: undefined for one that is whole, null for one that is not known. */
  stateOf(db: string): KitchenEntry['state'] | null {
    const entry = this.told().find((e) => e.db === db);
    return entry ? entry.state : null;
  }

  /**
   * Fills a kitchen's database: it is known as unfinished until the work is done. When that fails nothing of it is left.
   *
   * @param entry the kitchen as it will be listed, unless the work finds another name for it
   */
  async fill(entry: KitchenEntry, work: () => Promise<{ readonly name: string } | void>): Promise<void> {
    return this.held(entry.db, async () => {
      await this.db.kitchens.put({ ...entry, state: 'filling', since: Date.now() });
      try {
        const done = await work();
        const { state: _state, since: _since, ...whole } = entry;
        await this.db.kitchens.put({ ...whole, ...done });
        await this.look();
      } catch (e) {
        await this.away(entry).catch(() => undefined);
        throw e;
      }
    });
  }

  /** Puts a kitchen into the bin, or takes it out again. */
  async bin(id: string, is: boolean): Promise<void> {
    const entry = await this.db.kitchens.get(id);
    if (!entry) return;
    const { state: _state, since: _since, ...whole } = entry;
    await this.db.kitchens.put(is ? { ...whole, state: 'binned', since: Date.now() } : whole);
    await this.look();
  }

  /** Removes a kitchen for good. */
  async purge(id: string): Promise<void> {
    const entry = await this.db.kitchens.get(id);
    if (entry) await this.held(entry.db, () => this.away(entry));
  }

  private async away(entry: KitchenEntry): Promise<void> {
    await this.db.kitchens.put({ ...entry, state: 'leaving', since: Date.now() });
    await new KitchenDatabase(entry.db).delete();
    await this.db.kitchens.delete(entry.id);
    await this.look();
  }

  /** Finishes what was cut off, removes what has lain in the bin long enough, and takes note of what nobody knew of. */
  async sweep(now = Date.now()): Promise<void> {
    for (const e of await this.db.kitchens.toArray()) {
      const age = now - (e.since ?? e.createdAt);
      if (e.state === 'binned' && age > BIN_DAYS * DAY_MS) await this.purge(e.id);
      if (e.state === 'filling' || e.state === 'leaving') await this.free(e.db, age, () => this.away(e));
    }
    const known = new Set((await this.db.kitchens.toArray()).map((e) => e.db));
    const names = (await Dexie.getDatabaseNames()).filter((n) => n.startsWith(PREFIX) && !known.has(n));
    for (const name of names) await this.free(name, Infinity, () => this.found(name, now));
    await this.look();
  }

  /** A database that is in no list: with a kitchen in it, it goes into the bin, where it can be taken back; else away. */
  private async found(name: string, now: number): Promise<void> {
    const db = new KitchenDatabase(name);
    // one that cannot be opened here, or was written by a newer Orvin, is nobody's to remove
    const there = await db.opened().catch(() => null);
    if (!there) return;
    const kitchen = await db.meta.get('kitchen');
    const title = (kitchen?.value as { name?: string } | undefined)?.name;
    db.close();
    const entry: KitchenEntry = { id: name.slice(PREFIX.length), name: title ?? name, db: name, demo: false, createdAt: now }; // prettier-ignore
    if (title === undefined) await this.away(entry);
    else await this.db.kitchens.put({ ...entry, state: 'binned', since: now });
  }

  private async look(): Promise<void> {
    this.told.set(await this.db.kitchens.toArray());
  }

  /** Works on a database while no other tab does. */
  private held<R>(db: string, work: () => Promise<R>): Promise<R> {
    // over plain http there is nobody to ask for a lock
    return navigator.locks ? (navigator.locks.request(db, work) as Promise<R>) : work();
  }

  /** Works on a database unless another tab is at it. */
  private async free(db: string, age: number, work: () => Promise<void>): Promise<void> {
    if (navigator.locks)
      await navigator.locks.request(db, { ifAvailable: true }, async (lock) => void (lock && (await work()))); // prettier-ignore
    else if (age > OVER_MS) await work();
  }
}
