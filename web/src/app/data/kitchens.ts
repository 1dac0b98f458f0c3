import { Injectable, InjectionToken, inject, signal } from '@angular/core';
import type { BakeRecord, Formula, Kitchen, Learned } from '@orvin/core';
import type { KitchenFile, VersionRecord } from '@orvin/core/format';
import { KitchenDatabase, RegistryDatabase } from './database';
import { fillBeside, fillKitchen, usualKitchen, workingOf, type Beside } from './kitchen-file';
import { Notices } from './notices';
import type { KitchenEntry, PhotoRecord, ReckonedRecord } from './records';
import { Store } from './store';
import { shortId } from './ids';

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

/** The registry of this device; opened as early as can be, since it takes its time. */
export const REGISTRY = new InjectionToken<RegistryDatabase>('registry', {
  providedIn: 'root',
  factory: () => new RegistryDatabase(),
});

/** The kitchens on this device: open one, start an empty one, load the sample kitchen, restore one from a file. */
@Injectable({ providedIn: 'root' })
export class Kitchens {
  private readonly store = inject(Store);
  private readonly notices = inject(Notices);
  private readonly registry = inject(REGISTRY);
  private begun: Promise<void> | null = null;
  readonly current = signal<KitchenEntry | null>(null);
  readonly all = signal<readonly KitchenEntry[]>([]);

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
    const id = (await this.registry.settings.get('current'))?.value;
    // one that another tab has cleared is gone; any other will do
    const entry =
      (typeof id === 'string' ? await this.registry.kitchens.get(id) : undefined) ??
      (await this.registry.kitchens.toCollection().first());
    if (entry) await this.enter(entry);
    else await this.loadDemo();
  }

  async enter(entry: KitchenEntry): Promise<void> {
    await this.store.open(entry.db);
    await this.entered(entry);
  }

  private async entered(entry: KitchenEntry): Promise<void> {
    await this.refresh();
    this.current.set(entry);
    // for the next start only: a device that is full must not keep this kitchen shut
    void this.setSetting('current', entry.id);
  }

  async switchTo(id: string): Promise<void> {
    const entry = await this.registry.kitchens.get(id);
    if (entry) await this.enter(entry);
  }

  async startEmpty(name: string): Promise<void> {
    const kitchen: Kitchen = { ...usualKitchen(), id: shortId(8), name };
    await this.create({ exportedAt: Date.now(), kitchen, formulas: [], versions: [], bakes: [] });
  }

  /** The sample kitchen from the application's own files; its dates move so that the last bake is recent. */
  async loadDemo(): Promise<void> {
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
      await this.create(
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
        true,
      );
    } catch {
      this.notices.problem(
        'The sample kitchen could not be loaded.',
        'An empty kitchen is open instead; the sample can be loaded later from the Shelf.',
      );
      await this.startEmpty('My kitchen');
    }
  }

  /** Fills a new database from a file and only then switches to it, so that a failure leaves everything as it was. */
  async restore(file: KitchenFile): Promise<void> {
    await this.create(file);
  }

  /** Removes a kitchen from this device. The caller has asked, and offered the export. */
  async remove(id: string): Promise<void> {
    const entry = await this.registry.kitchens.get(id);
    if (!entry) return;
    await this.registry.kitchens.delete(id);
    if (this.current()?.id === id) {
      this.store.close();
      await this.registry.settings.delete('current');
      this.current.set(null);
      const next = await this.registry.kitchens.toCollection().first();
      if (next) await this.enter(next);
      else await this.startEmpty('My kitchen');
    }
    await new KitchenDatabase(entry.db).delete();
    await this.refresh();
  }

  /** Asks the browser not to evict the data; it may say no, which is no error. */
  async persist(): Promise<boolean> {
    return (await navigator.storage?.persist?.()) ?? false;
  }

  private async create(file: NewKitchen, beside?: Beside, demo = false): Promise<void> {
    const id = `${file.kitchen.id}-${shortId()}`;
    const db = this.store.made(`orvin-kitchen-${id}`);
    const now = Date.now();
    const entry = { id, name: file.kitchen.name, db: db.name, demo, createdAt: now };
    // with no kitchen to go back to there is nothing to keep open: it is shown while it is being written
    if (this.current() === null) await this.shownAtOnce(db, file, now, beside);
    else await fillKitchen(db, file, now, beside);
    await this.registry.kitchens.put(entry);
    if (this.store.name() !== db.name) this.store.take(db);
    if (beside) await fillBeside(db, beside);
    await this.entered(entry);
  }

  private async shownAtOnce(db: KitchenDatabase, file: NewKitchen, now: number, beside?: Beside): Promise<void> {
    const bakes = [...file.bakes].sort((a, b) => b.at - a.at);
    const filling = fillKitchen(db, file, now, beside);
    // whatever is read from now on waits for what is being written
    this.store.take(db, { kitchen: file.kitchen, working: workingOf(file, now), bakes });
    this.shownFirst();
    await filling.finally(() => this.store.seeded());
  }

  /** Takes a database that has been filled among the kitchens, and opens it. */
  async adopt(entry: KitchenEntry): Promise<void> {
    await this.registry.kitchens.put(entry);
    await this.enter(entry);
  }

  private async refresh(): Promise<void> {
    this.all.set(await this.registry.kitchens.toArray());
  }

  async setting(key: string): Promise<unknown> {
    return (await this.registry.settings.get(key))?.value;
  }

  /** Keeps a setting of this device; says so where it cannot be kept. */
  async setSetting(key: string, value: unknown): Promise<void> {
    await this.registry.settings.put({ key, value }).catch((e: unknown) => this.notices.trouble(e));
  }
}
