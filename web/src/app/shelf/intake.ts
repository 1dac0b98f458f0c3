import { Injectable, Injector, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import type { Formula, Kitchen } from '@orvin/core';
import { defer, firstValueFrom, switchMap, type Subscription } from 'rxjs';
import { Compute } from '../compute/compute';
import { tellAmiss } from '../data/amiss';
import { formats } from '../data/formats';
import { kinds } from '../data/kinds';
import { usualKitchen } from '../data/kitchen-file';
import { Kitchens } from '../data/kitchens';
import { Notices } from '../data/notices';
import { Store } from '../data/store';
import type { Writing } from '../data/writing';
import { ManyIn, PILE } from './many-in';
import { Reader } from './reader';
import type { Given, Reading } from './reading';
import type { Recognised } from './recogniser';

const MAX_FILE = 60_000_000;

/** Writes down what is being looked over; once it is done with, it and its place in the pile go. */
async function kept(w: Writing, reading: Reading | null, before: Reading | null): Promise<void> {
  const gone = reading === null && before?.pile;
  await w.put(kinds.reading, 'reading', reading && { ...reading, text: reading.text.slice(0, 100_000) });
  if (gone) await w.put(kinds.pile, gone, null);
}

/** Takes in recipes and files: reads them in a worker, keeps the reading over a reload, and puts formulas on the shelf. */
@Injectable({ providedIn: 'root' })
export class Intake {
  private readonly store = inject(Store);
  private readonly kitchens = inject(Kitchens);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  private readonly compute = inject(Compute);
  private readonly injector = inject(Injector);
  private readonly reader = inject(Reader);
  private readonly many = inject(ManyIn);
  readonly reading = signal<Reading | null>(null);
  readonly busy = signal(false);
  /** What is being done with a picture, and how far it is, 0–1. */
  readonly looking = signal<{ readonly words: string; readonly share: number } | null>(null);
  private lookingAt: Subscription | null = null;

  async restore(): Promise<void> {
    if (this.reading()) return;
    const kept = (await this.store.read(kinds.reading, 'reading')).value as Reading | null;
    if (kept?.draft) this.reading.set(kept);
  }

  /** Reads a text and shows how; several recipes in one text are taken in like several files. False when the reader failed, which has been said; the text stays where it was. */
  async read(text: string, kitchen: Kitchen): Promise<boolean> {
    this.busy.set(true);
    const texts = await this.reader.textsOf(text);
    if (texts.length > 1) {
      this.busy.set(false);
      await this.many.begin(texts.map((t) => ({ text: t })), kitchen); // prettier-ignore
      return true;
    }
    return this.show({ text }, kitchen);
  }

  /** Reads one recipe and shows it. */
  private async show(given: Given, kitchen: Kitchen): Promise<boolean> {
    this.busy.set(true);
    const draft = await this.reader.draftOf(given, kitchen, 'read');
    this.busy.set(false);
    if (!draft) return false;
    this.hold({ ...given, draft, settled: [] });
    await this.router.navigate(['/read']);
    return true;
  }

  /** Reads pictures as the pages of one text. They are kept beside it while it is looked over, and go nowhere else. */
  private pictures(files: readonly File[], kitchen: Kitchen): void {
    this.stopLooking();
    this.looking.set({ words: 'Getting ready to read pictures', share: 0 });
    // fetched when it is asked for, as most never do
    const recogniser = defer(() => import('./recogniser')).pipe(
      switchMap(({ Recogniser }) => this.injector.get(Recogniser).read(files)),
    );
    const failed = (): void => {
      this.looking.set(null);
      this.notices.problem(
        'Pictures cannot be read just now.',
        'The reader of pictures is fetched once, when it is first used; try again when Orvin is in reach.',
      );
    };
    this.lookingAt = recogniser.subscribe({
      error: failed,
      next: (r) => {
        if (r.kind === 'under way') return this.looking.set(r);
        if (r.kind === 'failed') return failed();
        this.looking.set(null);
        if (r.kind === 'no picture')
          this.notices.problem(`“${r.name}” could not be read as a picture.`, 'Nothing was changed.');
        else void this.seen(r.value, kitchen);
      },
    });
  }

  private async seen({ pages, seen }: Recognised, kitchen: Kitchen): Promise<void> {
    const out = await firstValueFrom(this.compute.run('seen', 'recipesSeen', seen), { defaultValue: null });
    const all = (out?.ok ? out.value : []).map(({ text, lines }): Given => ({ text, picture: { pages, lines } }));
    const [only] = all;
    if (!only?.text.trim())
      return this.notices.problem(
        'No print was found in this picture.',
        'Take it again in even light, straight from above, with the page filling it.',
      );
    if (all.length === 1) await this.show(only, kitchen);
    else await this.many.begin(all, kitchen);
  }

  stopLooking(): void {
    this.lookingAt?.unsubscribe();
    this.lookingAt = null;
    this.looking.set(null);
  }

  /** Keeps what is being looked over; null throws it away, and what waited in the pile with it. */
  hold(reading: Reading | null): void {
    const before = this.reading();
    this.reading.set(reading);
    void this.store.write('the recipe that is looked over', (w) => kept(w, reading, before));
  }

  /** Puts a formula on the shelf under an id of its own, and opens it on the Bench. */
  async shelve(formula: Formula, open = true): Promise<boolean> {
    const id = await this.store.shelve(formula, 'as read');
    if (id !== null && open) await this.router.navigate(['/bench', id]);
    return id !== null;
  }

  /** Puts what was looked over on the shelf; it is there, or still to be looked over, and never both. */
  async shelveRead(formula: Formula): Promise<boolean> {
    const before = this.reading();
    const done = await this.store.write(`“${formula.title}”`, async (w) => {
      const id = await w.shelve(formula, 'as read');
      await kept(w, null, before);
      return id;
    });
    if (!done) return false;
    this.reading.set(null);
    if (before?.pile === undefined) await this.router.navigate(['/bench', done.value]);
    return true;
  }

  /** Keys of the recipes that came in together and have something left to settle, oldest first. */
  readonly pile$ = this.store.keys$(PILE);

  /** Takes the next doubtful recipe of the pile in hand. */
  async next(): Promise<boolean> {
    const [key] = await this.store.keys(PILE);
    const row = key === undefined ? null : ((await this.store.read(kinds.pile, key)).value as Reading | null);
    if (key === undefined || row === null) return false;
    this.hold({ ...row, pile: key });
    await this.router.navigate(['/read']);
    return true;
  }

  async files(list: readonly File[], kitchen: Kitchen): Promise<void> {
    const pictures = list.filter((f) => f.type.startsWith('image/'));
    if (pictures.length > 0) this.pictures(pictures, kitchen);
    const texts: string[] = [];
    for (const file of list) if (!pictures.includes(file)) texts.push(...(await this.file(file, kitchen)));
    const [only] = texts;
    if (texts.length === 1 && only !== undefined) await this.read(only, kitchen);
    else if (texts.length > 1)
      await this.many.begin(texts.map((text) => ({ text })), kitchen); // prettier-ignore
  }

  /** Opens a file: a kitchen or a formula at once; texts of recipes are returned, to be read. */
  private async file(file: File, _kitchen: Kitchen): Promise<readonly string[]> {
    if (file.size > MAX_FILE) {
      this.notices.problem(
        `${file.name} is ${Math.round(file.size / 1e6)} MB: too large for a recipe or a kitchen.`,
        'Open the file that Orvin exported, or a text file.',
      );
      return [];
    }
    const text = await file.text();
    const { readFile } = await formats();
    const read = readFile(text, usualKitchen());
    switch (read.kind) {
      case 'kitchen':
        if (!(await this.kitchens.restore(read.value))) return [];
        this.notices.say(
          `${read.value.kitchen.name} is open, with ${read.value.formulas.length} formulas and ${read.value.bakes.length} bakes.`,
        );
        tellAmiss(this.notices, file.name, read.amiss);
        await this.router.navigate(['/shelf']);
        return [];
      case 'formula':
        await this.shelve(read.value);
        return [];
      case 'problem': {
        const first = read.problems[0];
        this.notices.problem(
          `${file.name}, ${first?.place ?? ''}: ${first?.words ?? 'it cannot be read.'}`,
          first?.remedy ?? 'Nothing was changed.',
        );
        return [];
      }
      case 'text':
        return this.reader.textsOf(text);
    }
  }
}
