import { Injectable, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import { readRecipe, type Formula, type Kitchen, type RecipeDraft } from '@orvin/core';
import { Kitchens } from '../data/kitchens';
import { Notices } from '../data/notices';
import { formats, Store } from '../data/store';

/** What was pasted and how it was read; kept until it is put on the shelf or thrown away. */
export interface Reading {
  readonly text: string;
  readonly draft: RecipeDraft;
  readonly settled: readonly string[];
}

const MAX_FILE = 60_000_000;

/** Takes in recipes and files: reads them, keeps the reading over a reload, and puts formulas on the shelf. */
@Injectable({ providedIn: 'root' })
export class Intake {
  private readonly store = inject(Store);
  private readonly kitchens = inject(Kitchens);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  readonly reading = signal<Reading | null>(null);

  async restore(): Promise<void> {
    if (this.reading()) return;
    const kept = (await this.store.database.meta.get('reading'))?.value as Reading | undefined;
    if (kept?.draft) this.reading.set(kept);
  }

  read(text: string, kitchen: Kitchen): void {
    this.hold({ text, draft: readRecipe(text, kitchen), settled: [] });
    void this.router.navigate(['/read']);
  }

  hold(reading: Reading | null): void {
    this.reading.set(reading);
    const db = this.store.database;
    void (reading
      ? db.meta.put({ key: 'reading', value: { ...reading, text: reading.text.slice(0, 100_000) }, revision: 1 })
      : db.meta.delete('reading'));
  }

  /** Puts a formula on the shelf under an id of its own, and opens it on the Bench. */
  async shelve(formula: Formula, open = true): Promise<void> {
    const taken = await this.store.database.working.get(formula.id);
    const id = taken ? `${formula.id}-${crypto.randomUUID().slice(0, 4)}` : formula.id;
    const done = await this.store.commit(id, `read "${formula.title}"`, 'working', id, null, {
      formula: { ...formula, id },
      plan: {},
    });
    if (!done) return;
    await this.store.freeze({ ...formula, id }, 'as read');
    if (open) await this.router.navigate(['/bench', id]);
  }

  async files(list: readonly File[], kitchen: Kitchen): Promise<void> {
    for (const file of list) await this.file(file, kitchen, list.length === 1);
  }

  private async file(file: File, kitchen: Kitchen, alone: boolean): Promise<void> {
    if (file.size > MAX_FILE) {
      this.notices.problem(
        `${file.name} is ${Math.round(file.size / 1e6)} MB: too large for a recipe or a kitchen.`,
        'Open the file that Orvin exported, or a text file.',
      );
      return;
    }
    const text = await file.text();
    const { readFile } = await formats();
    const read = readFile(text);
    switch (read.kind) {
      case 'kitchen':
        await this.kitchens.restore(read.value);
        this.notices.say(
          `${read.value.kitchen.name} is open, with ${read.value.formulas.length} formulas and ${read.value.bakes.length} bakes.`,
        );
        await this.router.navigate(['/shelf']);
        return;
      case 'formula':
        await this.shelve(read.value, alone);
        return;
      case 'problem': {
        const first = read.problems[0];
        this.notices.problem(
          `${file.name}, ${first?.place ?? ''}: ${first?.words ?? 'it cannot be read.'}`,
          first?.remedy ?? 'Nothing was changed.',
        );
        return;
      }
      case 'text':
        if (alone) this.read(text, kitchen);
        else await this.shelve(readRecipe(text, kitchen).formula, false);
    }
  }
}
