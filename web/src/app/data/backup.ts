import { Injectable, inject } from '@angular/core';
import type { Formula, Kitchen } from '@orvin/core';
import type { KitchenFile } from '@orvin/core/format';
import type { Edits } from './edits';
import { kinds, type Kind } from './kinds';
import { kitchenFileOf } from './kitchen-file';
import type { Doc, Plan } from './records';
import { Store } from './store';

/** Hands a text, or what was put together elsewhere, to the baker as a file. */
export function download(name: string, what: string | Blob, type = 'application/json'): void {
  const url = URL.createObjectURL(typeof what === 'string' ? new Blob([what], { type }) : what);
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
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

/** A kitchen's file with what stands on the screen and could not be stored. */
function withEdits(file: KitchenFile, db: string, edits: Edits): KitchenFile {
  if (edits.stuck().length === 0) return file;
  const known = new Map(file.formulas.map((f) => [f.formula.id, f]));
  const docs = file.formulas.map((f): Doc => ({ formula: f.formula, plan: (f.plan ?? {}) as Plan }));
  const single = Object.values(kinds as Readonly<Record<string, Kind<unknown>>>).flatMap((kind) => {
    const value = kind.file && edits.over(db, kind, kind.file, file[kind.file] ?? null);
    return kind.file && value ? [[kind.file, value] as const] : [];
  });
  return {
    ...file,
    formulas: edits
      .overAll(db, kinds.formula, docs, (d) => d.formula.id)
      .map((d) => ({ ...known.get(d.formula.id), ...d })),
    bakes: edits.overAll(db, kinds.bake, file.bakes, (b) => b.id),
    series: edits.overAll(db, kinds.series, file.series ?? [], (s) => s.id),
    ...Object.fromEntries(single),
  };
}

/** The open kitchen without its photos as one file in Orvin's open format, and a single formula as another. */
@Injectable({ providedIn: 'root' })
export class Backup {
  private readonly store = inject(Store);

  async whole(): Promise<KitchenFile> {
    await this.store.settled();
    const db = this.store.database;
    return withEdits(await kitchenFileOf(db, Date.now()), db.name, this.store.edits.fit());
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
