import { Injectable, Injector, computed, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import type { FamilyId, Formula, Kitchen } from '@orvin/core';
import type { PictureLine, RecipeDraft, RegionId } from '@orvin/core/reading';
import { defer, firstValueFrom, switchMap, type Subscription } from 'rxjs';
import { Compute } from '../compute/compute';
import type { SmallPhoto } from '../compute/photo-jobs';
import { tellAmiss } from '../data/amiss';
import { usualKitchen } from '../data/kitchen-file';
import { Kitchens } from '../data/kitchens';
import { Notices } from '../data/notices';
import { formats, Store } from '../data/store';
import type { Recognised } from './recogniser';

/** A doubt that was settled: with what, so that it can be settled alike after the text is corrected. */
export interface Settled {
  readonly words: string;
  readonly choice: string;
}

/** The pictures a text was read from, and what is known of each of its lines. */
export interface FromPictures {
  readonly pages: readonly SmallPhoto[];
  readonly lines: readonly PictureLine[];
}

/** What was pasted and how it was read; kept until it is put on the shelf or thrown away. */
export interface Reading {
  readonly text: string;
  readonly draft: RecipeDraft;
  readonly picture?: FromPictures;
  readonly settled: readonly Settled[];
  /** The country and the family that were chosen by hand, when they were. */
  readonly region?: RegionId;
  readonly family?: FamilyId;
  /** Set when it waits in the pile of recipes that came in together. */
  readonly pile?: string;
}

/** A text to be read, as it came. */
export type Given = Pick<Reading, 'text' | 'picture' | 'region'>;

/** An import of many recipes that is under way, or has just ended. */
export interface Progress {
  readonly done: number;
  readonly total: number;
  readonly shelved: number;
  readonly doubtful: number;
  readonly failed: number;
  readonly running: boolean;
  readonly stopped: boolean;
}

const MAX_FILE = 60_000_000;
const PILE = 'pile:';

/** Takes in recipes and files: reads them in a worker, keeps the reading over a reload, and puts formulas on the shelf. */
@Injectable({ providedIn: 'root' })
export class Intake {
  private readonly store = inject(Store);
  private readonly kitchens = inject(Kitchens);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  private readonly compute = inject(Compute);
  private readonly injector = inject(Injector);
  readonly reading = signal<Reading | null>(null);
  readonly busy = signal(false);
  /** What is being done with a picture, and how far it is, 0–1. */
  readonly looking = signal<{ readonly words: string; readonly share: number } | null>(null);
  private lookingAt: Subscription | null = null;
  readonly progress = signal<Progress | null>(null);
  readonly importing = computed(() => this.progress()?.running ?? false);
  private stop = false;

  async restore(): Promise<void> {
    if (this.reading()) return;
    const kept = (await this.store.database.meta.get('reading'))?.value as Reading | undefined;
    if (kept?.draft) this.reading.set(kept);
  }

  /** Reads a text and shows how; several recipes in one text are taken in like several files. False when the reader failed, which has been said; the text stays where it was. */
  async read(text: string, kitchen: Kitchen): Promise<boolean> {
    this.busy.set(true);
    const texts = await this.textsOf(text);
    if (texts.length > 1) {
      this.busy.set(false);
      await this.many(
        texts.map((t) => ({ text: t })),
        kitchen,
      );
      return true;
    }
    return this.show({ text }, kitchen);
  }

  /** Reads one recipe and shows it. */
  private async show(given: Given, kitchen: Kitchen): Promise<boolean> {
    this.busy.set(true);
    const draft = await this.draftOf(given, kitchen, 'read');
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
    else await this.many(all, kitchen);
  }

  stopLooking(): void {
    this.lookingAt?.unsubscribe();
    this.lookingAt = null;
    this.looking.set(null);
  }

  /** The texts of the recipes in what was pasted or opened; the whole when it is one, or cannot be taken apart. */
  private async textsOf(text: string): Promise<readonly string[]> {
    const texts = await firstValueFrom(this.compute.run('texts', 'texts', text), { defaultValue: null });
    return texts?.ok ? texts.value : [text];
  }

  async draftOf({ text, picture, region }: Given, kitchen: Kitchen, channel: string): Promise<RecipeDraft | null> {
    const reading = picture
      ? this.compute.run(channel, 'readPicture', { text, lines: picture.lines }, kitchen, region)
      : this.compute.run(channel, 'read', text, kitchen, region);
    const out = await firstValueFrom(reading, { defaultValue: null });
    if (out?.ok) return out.value;
    if (out)
      this.notices.problem('The recipe could not be read.', 'Nothing was changed. Try again, or paste a part of it.');
    return null;
  }

  hold(reading: Reading | null): void {
    const before = this.reading();
    this.reading.set(reading);
    const db = this.store.database;
    const gone = before?.pile && before.pile !== reading?.pile && reading === null ? before.pile : null;
    void (reading
      ? db.meta.put({ key: 'reading', value: { ...reading, text: reading.text.slice(0, 100_000) }, revision: 1 })
      : db.meta.bulkDelete(gone ? ['reading', gone] : ['reading']));
  }

  /** Puts a formula on the shelf under an id of its own, and opens it on the Bench. */
  async shelve(formula: Formula, open = true): Promise<boolean> {
    const id = await this.store.shelve(formula, 'as read');
    if (id !== null && open) await this.router.navigate(['/bench', id]);
    return id !== null;
  }

  /** Keys of the recipes that came in together and have something left to settle, oldest first. */
  readonly pile$ = this.store.live((db) => db.meta.where('key').startsWith(PILE).primaryKeys());

  /** Takes the next doubtful recipe of the pile in hand. */
  async next(): Promise<boolean> {
    const row = await this.store.database.meta.where('key').startsWith(PILE).first();
    if (!row) return false;
    this.hold({ ...(row.value as Reading), pile: row.key });
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
      await this.many(
        texts.map((text) => ({ text })),
        kitchen,
      );
  }

  cancel(): void {
    this.stop = true;
  }

  /**
   * Reads recipes one after another. Those without a doubt go on the shelf, the others wait in the pile; each is stored
   * whole before the next is begun, so that stopping loses none and leaves none half done.
   */
  async many(texts: readonly Given[], kitchen: Kitchen): Promise<void> {
    this.stop = false;
    let [shelved, doubtful, failed] = [0, 0, 0];
    const say = (done: number, running: boolean): void =>
      this.progress.set({ done, total: texts.length, shelved, doubtful, failed, running, stopped: this.stop });
    say(0, true);
    const stamp = Date.now().toString(36);
    for (const [n, given] of texts.entries()) {
      if (this.stop) break;
      const draft = await this.draftOf(given, kitchen, 'import');
      if (!draft || draft.formula.groups.length === 0) failed++;
      else if (draft.doubts.length === 0) {
        if (await this.shelve(draft.formula, false)) shelved++;
        else failed++;
      } else {
        const key = `${PILE}${stamp}-${String(n).padStart(5, '0')}`;
        await this.store.database.meta.put({
          key,
          value: { ...given, draft, settled: [] } satisfies Reading,
          revision: 1,
        });
        doubtful++;
      }
      say(n + 1, true);
    }
    const done = this.progress()?.done ?? 0;
    say(done, false);
  }

  dismiss(): void {
    this.progress.set(null);
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
        await this.kitchens.restore(read.value);
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
        return this.textsOf(text);
    }
  }
}
