import { Injectable, inject } from '@angular/core';
import type { Formula, Kitchen, Making } from '@orvin/core';
import type { KitchenFile } from '@orvin/core/format';
import { Store } from './store';

/** Hands a text to the baker as a file. */
export function download(name: string, text: string, type = 'application/json'): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

const plainName = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'orvin';
export const fileName = (title: string, kind: 'formula' | 'kitchen'): string => `${plainName(title)}.${kind}.json`;

/** The formats a formula can be written in beside Orvin's own: file ending and media type. */
export const otherFormats = [
  { as: 'text', name: 'plain text', ending: 'txt', type: 'text/plain' },
  { as: 'markdown', name: 'Markdown', ending: 'md', type: 'text/markdown' },
  { as: 'csv', name: 'table (CSV)', ending: 'csv', type: 'text/csv' },
  { as: 'json-ld', name: 'schema.org JSON-LD', ending: 'jsonld', type: 'application/ld+json' },
] as const;

/** The open kitchen without its photos as one file in Orvin's open format, and a single formula as another. */
@Injectable({ providedIn: 'root' })
export class Backup {
  private readonly store = inject(Store);

  async whole(): Promise<KitchenFile> {
    await this.store.settled();
    const db = this.store.database;
    const [meta, day, making, working, versions, bakes, series] = await Promise.all([
      db.meta.get('kitchen'),
      db.meta.get('day'),
      db.meta.get('making'),
      db.working.toArray(),
      db.versions.toArray(),
      db.bakes.toArray(),
      db.series.toArray(),
    ]);
    return {
      format: 'orvin.kitchen',
      version: 1,
      exportedAt: Date.now(),
      kitchen: meta?.value as Kitchen,
      // whatever else a record holds came in with an import and goes out again; id, revision and date are this device's
      formulas: working.map(
        ({ id: _id, revision: _revision, updatedAt: _updatedAt, ...rest }) => rest as KitchenFile['formulas'][number],
      ),
      versions,
      bakes: bakes.map((b) => b.bake),
      series: series.map((s) => s.series),
      ...(day?.value ? { day: day.value as object } : {}),
      ...(making?.value ? { making: making.value as Making } : {}),
    };
  }

  async exportKitchen(): Promise<void> {
    const file = await this.whole();
    download(fileName(file.kitchen.name, 'kitchen'), `${JSON.stringify(file, null, 2)}\n`);
  }

  async exportAs(formula: Formula, as: (typeof otherFormats)[number]['as'], kitchen: Kitchen): Promise<void> {
    const format = otherFormats.find((f) => f.as === as) ?? otherFormats[0];
    const { write } = await import('@orvin/core/reading');
    download(
      `${plainName(formula.title)}.${format.ending}`,
      write(formula, as, kitchen),
      `${format.type};charset=utf-8`,
    );
  }

  /** Orvin's own file, with the kitchen's own ingredients that the formula uses. */
  async exportFormula(formula: Formula, kitchen: Kitchen): Promise<void> {
    const { write } = await import('@orvin/core/reading');
    download(fileName(formula.title, 'formula'), write(formula, 'json', kitchen));
  }
}
