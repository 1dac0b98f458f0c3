import { Injectable, inject, signal } from '@angular/core';
import { defaultKitchen, takenUp, type BakeRecord, type Formula, type Kitchen } from '@orvin/core';
import type { KitchenFile, VersionRecord } from '@orvin/core/format';
import { KitchenDatabase, RegistryDatabase } from './database';
import { Notices } from './notices';
import type { KitchenEntry, PhotoRecord } from './records';
import { Store } from './store';

interface DemoIndex {
  readonly kitchen: string;
  readonly log: string;
  readonly formulas: readonly string[];
}

/** A drawn picture of the sample kitchen; null when it is not to be had, which costs nothing else. */
async function demoPhoto(id: string, bakeId: string): Promise<PhotoRecord | null> {
  const answer = await fetch(`demo/photos/${id.replace(/^demo-/, '')}.svg`).catch(() => null);
  if (!answer?.ok) return null;
  return { id, bakeId, type: 'image/svg+xml', width: 480, height: 360, bytes: await answer.arrayBuffer() };
}

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
    await this.registry.settings.put({ key: 'current', value: entry.id });
    await this.refresh();
    this.current.set(entry);
  }

  async switchTo(id: string): Promise<void> {
    const entry = await this.registry.kitchens.get(id);
    if (entry) await this.enter(entry);
  }

  async startEmpty(name: string): Promise<void> {
    const id = crypto.randomUUID().slice(0, 8);
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    const kitchen: Kitchen = { ...defaultKitchen, id, name, locale: { ...defaultKitchen.locale, zone } };
    await this.create(kitchen, [], [], [], false);
  }

  /** The sample kitchen from the application's own files; its dates move so that the last bake is recent. */
  async loadDemo(): Promise<void> {
    const get = async <T>(path: string): Promise<T> => {
      const answer = await fetch(`demo/${path}`);
      if (!answer.ok) throw new Error(`demo/${path}: ${answer.status}`);
      return (await answer.json()) as T;
    };
    try {
      const index = await get<DemoIndex>('index.json');
      const kitchen = await get<Kitchen>(index.kitchen);
      const log = await get<{ loadedAt: number; bakes: BakeRecord[]; versions: VersionRecord[] }>(index.log);
      const formulas = await Promise.all(index.formulas.map((f) => get<Formula>(f)));
      const shift = Date.now() - log.loadedAt;
      const bakes = log.bakes.map((b) => ({ ...b, at: b.at + shift }));
      const photos = await Promise.all(bakes.flatMap((b) => (b.photos ?? []).map((id) => demoPhoto(id, b.id))));
      await this.create(
        { ...kitchen, stockAt: Object.fromEntries(Object.entries(kitchen.stockAt ?? {}).map(([k, at]) => [k, at + shift])) }, // prettier-ignore
        formulas.map((formula) => ({ formula, plan: {} })),
        log.versions.map((v) => ({ ...v, at: v.at + shift })),
        bakes,
        true,
        { photos: photos.filter((x) => x !== null) },
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
    const { photos: _photos, ...rest } = file;
    await this.create(file.kitchen, file.formulas, file.versions, file.bakes, false, {
      ...rest,
      ...(file.making && { making: takenUp(file.making, file.exportedAt, Date.now()) }),
    });
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
    kitchen: Kitchen,
    formulas: KitchenFile['formulas'],
    versions: KitchenFile['versions'],
    bakes: KitchenFile['bakes'],
    demo: boolean,
    more: Pick<KitchenFile, 'day' | 'making' | 'series'> & { readonly photos?: readonly PhotoRecord[] } = {},
  ): Promise<void> {
    const id = `${kitchen.id}-${crypto.randomUUID().slice(0, 6)}`;
    const db = new KitchenDatabase(`orvin-kitchen-${id}`);
    await db.open();
    const now = Date.now();
    await db.transaction(
      'rw',
      [db.working, db.versions, db.bakes, db.meta, db.photos, db.thumbs, db.series],
      async () => {
        await db.meta.put({ key: 'kitchen', value: kitchen, revision: 1 });
        for (const key of ['day', 'making'] as const)
          if (more[key]) await db.meta.put({ key, value: more[key], revision: 1 });
        await db.working.bulkPut(
          formulas.map((f, i) => ({ ...f, id: f.formula.id, plan: f.plan ?? {}, revision: 1, updatedAt: now - i })),
        );
        await db.versions.bulkPut([...versions]);
        await db.bakes.bulkPut(bakes.map((bake) => ({ id: bake.id, bake, revision: 1 })));
        await db.series.bulkPut(
          (more.series ?? []).map((series) => ({ id: series.id, at: series.at, series, revision: 1 })),
        );
        await db.photos.bulkPut([...(more.photos ?? [])]);
        // drawn ones are small already
        await db.thumbs.bulkPut(
          (more.photos ?? []).map(({ id, bakeId, type, bytes }) => ({ id, bakeId, type, bytes })),
        );
      },
    );
    db.close();
    await this.adopt({ id, name: kitchen.name, db: db.name, demo, createdAt: now });
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

  async setSetting(key: string, value: unknown): Promise<void> {
    await this.registry.settings.put({ key, value });
  }
}
