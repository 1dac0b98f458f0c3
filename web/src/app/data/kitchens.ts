import { Injectable, effect, inject, signal } from '@angular/core';
import type { BakeRecord, Formula, Kitchen, Learned } from '@orvin/core';
import type { KitchenFile, VersionRecord } from '@orvin/core/format';
import { Bins } from './bins';
import { NewerDatabase, type KitchenDatabase } from './database';
import { fillBeside, fillKitchen, usualKitchen, workingOf, type Beside } from './kitchen-file';
import { shortId } from './ids';
import { Notices } from './notices';
import type { KitchenEntry, PhotoRecord, ReckonedRecord } from './records';
import { PREFIX, Registry } from './registry';
import { RoomWatch } from './room';
import { Store } from './store';

/** The sample kitchen as it is built into the application: all its files in one. */
interface Sample {
  readonly kitchen: Kitchen;
  readonly log: { readonly loadedAt: number; readonly bakes: BakeRecord[]; readonly versions: VersionRecord[] };
  readonly formulas: readonly Formula[];
  /** Drawn pictures of its bakes, as SVG. */
  readonly photos: Readonly<Record<string, string>>;
  /** What its log teaches, kept with it, so that no first start has to work it out. */
  readonly taught: { readonly reckoned: readonly ReckonedRecord[]; readonly learned: Learned };
}

/** The sample as `early.js` asked for it before the application was there; null when it did not. */
const early = async (): Promise<Sample | null> =>
  (await (globalThis as { orvinSample?: Promise<Sample | null> }).orvinSample) ?? null;
async function fetched(): Promise<Sample> {
  const answer = await fetch('demo/sample.json');
  if (!answer.ok) throw new Error(`demo/sample.json: ${answer.status}`);
  return (await answer.json()) as Sample;
}

/** A drawn picture; small already. */
const drawn = (id: string, bakeId: string, svg: string): PhotoRecord => ({
  id,
  bakeId,
  type: 'image/svg+xml',
  width: 480,
  height: 360,
  bytes: new TextEncoder().encode(svg).buffer,
});

type NewKitchen = Parameters<typeof fillKitchen>[1];

/** The kitchens on this device: open one, start an empty one, load the sample kitchen, restore one from a file. */
@Injectable({ providedIn: 'root' })
export class Kitchens {
  private readonly store = inject(Store);
  private readonly notices = inject(Notices);
  private readonly registry = inject(Registry);
  private readonly bins = inject(Bins);
  private readonly room = inject(RoomWatch);
  private begun: Promise<void> | null = null;
  readonly current = signal<KitchenEntry | null>(null);
  readonly all = this.registry.listed;
  /** The kitchen that could not be opened at the start, since a newer Orvin wrote it. */
  readonly refused = signal<KitchenEntry | null>(null);
  /** Databases that were seen whole while they were open here. */
  private seenWhole: string | null = null;

  constructor() {
    // a kitchen that another tab removes is shut here, so that nothing brings it back
    effect(() => {
      if (this.registry.taken()) this.store.shut.set('newer');
      const entry = this.current();
      if (entry === null) return;
      const state = this.registry.stateOf(entry.db);
      if (state === undefined) this.seenWhole = entry.db;
      else if (state !== 'filling' && this.seenWhole === entry.db) this.store.shut.update((s) => s ?? 'gone');
    });
  }

  private shownFirst = (): void => undefined;
  private readonly first = new Promise<void>((done) => (this.shownFirst = done));

  /** Opens the kitchen used last, once; on the very first start, the sample kitchen. */
  start(): Promise<void> {
    return (this.begun ??= this.open());
  }

  /** Resolves when there is a kitchen to be seen, which at a first start is before all of it is on disk. */
  seen(): Promise<void> {
    return Promise.race([this.first, this.start()]);
  }

  private async open(): Promise<void> {
    await this.registry.open();
    const id = await this.registry.setting('current');
    const last = typeof id === 'string' ? await this.registry.get(id) : undefined;
    // one that another tab has cleared is gone; any other will do
    const there = [...(last && last.state === undefined ? [last] : []), ...this.all().filter((e) => e.id !== id)];
    let open = false;
    for (const entry of there) if ((open = await this.enter(entry))) break;
    if (!open) await this.loadDemo();
    // nothing waits for these
    void this.registry
      .sweep()
      .then(() => this.bins.tidy())
      .then(() => this.room.look())
      .catch(() => undefined);
  }

  /** Opens a kitchen; false when there is nothing in its database any more, which is said. */
  async enter(entry: KitchenEntry): Promise<boolean> {
    const db = this.store.made(entry.db);
    // what was asked for in the kitchen that is left belongs to it
    await this.store.settled();
    try {
      await db.opened();
    } catch (e) {
      if (e instanceof NewerDatabase) return this.newerThanThis(entry);
      await this.notices.trouble(e, entry.name);
      return false;
    }
    if ((await db.meta.get('kitchen')) === undefined) {
      db.close();
      await this.registry.purge(entry.id);
      this.notices.problem(`There is nothing left of ${entry.name} on this device.`, 'The browser may have cleared it; restore it from a backup, if there is one.'); // prettier-ignore
      return false;
    }
    this.store.take(db);
    await this.entered(entry);
    return true;
  }

  /** A newer Orvin wrote it: the one that is open stays; with none open, whether that is a place to stop. */
  private newerThanThis(entry: KitchenEntry): boolean {
    if (this.store.name() === null) {
      this.refused.set(entry);
      this.store.shut.set('newer');
      return true;
    }
    this.notices.problem(`${entry.name} was kept by a newer Orvin, in a way that this one does not know.`, 'Reload this page, and open it then. What is open stays open.'); // prettier-ignore
    return false;
  }

  private async entered(entry: KitchenEntry): Promise<void> {
    this.current.set(entry);
    // for the next start only: a device that is full must not keep this kitchen shut
    void this.setSetting('current', entry.id);
  }

  async switchTo(id: string): Promise<void> {
    const entry = await this.registry.get(id);
    if (entry) await this.enter(entry);
  }

  async startEmpty(name: string): Promise<boolean> {
    return this.startOwn({ ...usualKitchen(), id: shortId(8), name });
  }

  /** A kitchen of somebody's own, with nothing on its shelf yet. */
  async startOwn(kitchen: Kitchen): Promise<boolean> {
    return this.create({ exportedAt: Date.now(), kitchen, formulas: [], versions: [], bakes: [] });
  }

  /** The sample kitchen from the application's own files; its dates move so that the last bake is recent. */
  async loadDemo(): Promise<boolean> {
    const sample = await this.sample();
    if (sample) return this.create(...sample, true);
    // with no kitchen at all there must be one to begin with
    return this.current() === null && this.startEmpty('My kitchen');
  }

  /** The formulas of the sample kitchen; none where they cannot be fetched. */
  async sampleFormulas(): Promise<readonly Formula[]> {
    return fetched().then(
      (s) => s.formulas,
      () => [],
    );
  }

  /** The sample as a kitchen's file; null where it cannot be fetched, which is said. */
  private async sample(): Promise<[NewKitchen, Beside] | null> {
    try {
      const { kitchen, log, formulas, photos, taught } = (await early()) ?? (await fetched());
      const shift = Date.now() - log.loadedAt;
      const bakes = log.bakes.map((b) => ({ ...b, at: b.at + shift }));
      const pictures = bakes.flatMap((b) =>
        (b.photos ?? []).flatMap((id) => {
          const svg = photos[id.replace(/^demo-/, '')];
          return svg === undefined ? [] : [drawn(id, b.id, svg)];
        }),
      );
      return [
        {
          exportedAt: Date.now(),
          kitchen: { ...kitchen, stockAt: Object.fromEntries(Object.entries(kitchen.stockAt ?? {}).map(([k, at]) => [k, at + shift])) }, // prettier-ignore
          formulas: formulas.map((formula) => ({ formula, plan: {} })),
          versions: log.versions.map((v) => ({ ...v, at: v.at + shift })),
          bakes,
        },
        {
          photos: pictures,
          thumbs: pictures.map(({ id, bakeId, type, bytes }) => ({ id, bakeId, type, bytes })),
          taught,
        },
      ];
    } catch {
      this.notices.problem('The sample kitchen could not be loaded.', 'It can be loaded later, from the Larder or an empty Shelf, when Orvin is in reach.'); // prettier-ignore
      return null;
    }
  }

  /** Fills a new database from a file and only then switches to it, so that a failure leaves everything as it was. */
  async restore(file: KitchenFile): Promise<boolean> {
    return this.create(file);
  }

  /** Puts a kitchen into the bin; another is open afterwards, an empty one where there is none. */
  async remove(id: string): Promise<boolean> {
    if (this.current()?.id === id) {
      const next = this.all().find((e) => e.id !== id);
      if (!(next ? await this.enter(next) : await this.startEmpty('My kitchen'))) return false;
    }
    await this.registry.bin(id, true);
    return true;
  }

  /** Takes a kitchen out of the bin and opens it. */
  async takeBack(id: string): Promise<void> {
    await this.registry.bin(id, false);
    await this.switchTo(id);
  }

  /** Removes a kitchen for good. The caller has asked, and offered the export. */
  async purge(id: string): Promise<void> {
    const entry = await this.registry.get(id);
    if (entry) this.store.edits.clear(entry.db);
    await this.registry.purge(id);
  }

  /** Asks the browser not to evict the data; it may say no, which is no error. */
  async persist(): Promise<boolean> {
    return (await navigator.storage?.persist?.()) ?? false;
  }

  private async create(file: NewKitchen, beside?: Beside, demo = false): Promise<boolean> {
    const id = `${file.kitchen.id}-${shortId()}`;
    const now = Date.now();
    const entry = { id, name: file.kitchen.name, db: `${PREFIX}${id}`, demo, createdAt: now };
    return this.begin(entry, async (db) => {
      // with no kitchen to go back to there is nothing to keep open: it is shown while it is being written
      if (this.current() === null) await this.shownAtOnce(db, file, now, beside);
      else await fillKitchen(db, file, now, beside);
      if (beside) await fillBeside(db, beside);
    });
  }

  /** Lists a kitchen as unfinished, has it filled, and opens it; false when that failed, which is said. */
  async begin(entry: KitchenEntry, fill: (db: KitchenDatabase) => Promise<void>): Promise<boolean> {
    const db = this.store.made(entry.db);
    try {
      await this.registry.open();
      await this.registry.fill(entry, async () => fill(await db.opened()));
    } catch (e) {
      if (this.store.name() === db.name) this.store.close();
      else db.close();
      await this.notices.trouble(e, entry.name);
      return false;
    }
    if (this.store.name() !== db.name) {
      await this.store.settled();
      this.store.take(db);
    }
    await this.entered(entry);
    return true;
  }

  private async shownAtOnce(db: KitchenDatabase, file: NewKitchen, now: number, beside?: Beside): Promise<void> {
    const bakes = [...file.bakes].sort((a, b) => b.at - a.at);
    const filling = fillKitchen(db, file, now, beside);
    // whatever is read from now on waits for what is being written
    this.store.take(db, { kitchen: file.kitchen, working: workingOf(file, now), bakes });
    this.shownFirst();
    await filling.finally(() => this.store.seeded());
  }

  setting(key: string): Promise<unknown> {
    return this.registry.setting(key);
  }

  /** Keeps a setting of this device; says so where it cannot be kept. */
  async setSetting(key: string, value: unknown): Promise<void> {
    await this.registry.setSetting(key, value).catch((e: unknown) => this.notices.trouble(e, 'a setting'));
  }
}
