import { Injectable, inject } from '@angular/core';
import type { Formula, Kitchen } from '@orvin/core';
import type { KitchenFile } from '@orvin/core/format';
import { Store } from './store';

/** Hands a text to the baker as a file. */
export function download(name: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

export const fileName = (title: string, kind: 'formula' | 'kitchen'): string =>
  `${
    title
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'orvin'
  }.${kind}.json`;

/** The open kitchen as one file in Orvin's open format, and a single formula as another. */
@Injectable({ providedIn: 'root' })
export class Backup {
  private readonly store = inject(Store);

  async whole(): Promise<KitchenFile> {
    await this.store.settled();
    const db = this.store.database;
    const [meta, working, versions, bakes] = await Promise.all([
      db.meta.get('kitchen'),
      db.working.toArray(),
      db.versions.toArray(),
      db.bakes.toArray(),
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
    };
  }

  async exportKitchen(): Promise<void> {
    const file = await this.whole();
    download(fileName(file.kitchen.name, 'kitchen'), `${JSON.stringify(file, null, 2)}\n`);
  }

  exportFormula(formula: Formula): void {
    download(fileName(formula.title, 'formula'), `${JSON.stringify(formula, null, 2)}\n`);
  }
}
