import { Injectable, inject, signal } from '@angular/core';
import type { BakeRecord, Formula, Kitchen, Learned } from '@orvin/core';
import type { KitchenFile, VersionRecord } from '@orvin/core/format';
import { KitchenDatabase, RegistryDatabase } from './database';
import { fillKitchen, usualKitchen } from './kitchen-file';
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

/** A drawn picture; small already. */
const drawn = (id: string, bakeId: string, svg: string): PhotoRecord => ({
  id,
  bakeId,
  type: 'image/svg+xml',
  width: 480,
  height: 360,
  bytes: new TextEncoder().encode(svg).buffer,
});

/** The kitchens on this device: open one, start an empty one, load the sample kitchen, restore one from a file. */
@Injectable({ providedIn: 'root' })
export class Kitchens {
  private readonly store = inject(Store);
  private readonly notices = inject(Notices);
  private readonly registry = new RegistryDatabase();
  readonly current = signal<KitchenEntry | null>(null);
  readonly all = signal<readonly KitchenEntry[]>([]);

  /** Opens the kitchen used last; on the very first start, the sample kitchen. */
  async start(): Promise<void> {
    await this.registry.open();
    const id = (await this.registry.settings.get('current'))?.value;
    const entry =
      typeof id === 'string'
        ? await this.registry.kitchens.get(id)
        : await this.registry.kitchens.toCollection().first();
    if (entry) await this.enter(entry);
    else await this.loadDemo();
  }

  async enter(entry: KitchenEntry): Promise<void> {
    await this.store.open(entry.db);
    await this.refresh();
    this.current.set(entry);
    // for the next start only: a device that is full must not keep this kitchen shut
    await this.setSetting('current', entry.id);
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
      const answer = await fetch('demo/sample.json');
      if (!answer.ok) throw new Error(`demo/sample.json: ${answer.status}`);
      const { kitchen, log, formulas, photos, taught } = (await answer.json()) as Sample;
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

  private async create(
    file: Parameters<typeof fillKitchen>[1],
    beside?: Parameters<typeof fillKitchen>[3],
    demo = false,
  ): Promise<void> {
    const id = `${file.kitchen.id}-${shortId()}`;
    const db = new KitchenDatabase(`orvin-kitchen-${id}`);
    await db.open();
    const now = Date.now();
    await fillKitchen(db, file, now, beside);
    db.close();
    await this.adopt({ id, name: file.kitchen.name, db: db.name, demo, createdAt: now });
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
