import { Injectable, computed, inject, signal } from '@angular/core';
import type { Kitchen } from '@orvin/core';
import { Observable, map, of, switchMap } from 'rxjs';
import { kinds } from '../data/kinds';
import { Store } from '../data/store';
import { Reader } from './reader';
import type { Given, Reading } from './reading';

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

export const PILE = 'pile:';
const TAKING = 'taking:';

/** A recipe of many that is to be taken in, and its place among them. */
interface Waiting {
  readonly given: Given;
  readonly n: number;
  readonly total: number;
}

/**
 * Many recipes at once. All of them are written down before the first is read, and each leaves the list in the transaction
 * that puts it where it belongs: whatever ends the work, the next start goes on with the rest and takes none in twice.
 */
@Injectable({ providedIn: 'root' })
export class ManyIn {
  private readonly store = inject(Store);
  private readonly reader = inject(Reader);
  readonly progress = signal<Progress | null>(null);
  readonly importing = computed(() => this.progress()?.running ?? false);
  private stop = false;
  /** How many recipes are still to be taken in, and whether a tab is at it just now. */
  readonly left$ = this.store.keys$(TAKING).pipe(
    switchMap((keys) => (keys.length === 0 ? of(false) : busy(this.lock())).pipe(map((busy) => ({ count: keys.length, busy })))),
  ); // prettier-ignore

  /** Takes in recipes: those without a doubt go on the shelf, the others wait in the pile. */
  async begin(texts: readonly Given[], kitchen: Kitchen): Promise<void> {
    const stamp = Date.now().toString(36);
    const written = await this.store.write(`${texts.length} recipes`, async (w) => {
      for (const [n, given] of texts.entries()) await w.put(kinds.taking, `${TAKING}${stamp}-${String(n).padStart(5, '0')}`, { given, n, total: texts.length }); // prettier-ignore
    });
    if (written) await this.goOn(kitchen);
  }

  /** Takes in what is left of recipes that came in together; while another tab is at it, waits. */
  async goOn(kitchen: Kitchen): Promise<void> {
    if (this.importing()) return;
    this.stop = false;
    await alone(this.lock(), () => this.all(kitchen));
  }

  private lock(): string {
    return `${this.store.name()}/taking`;
  }

  private async all(kitchen: Kitchen): Promise<void> {
    const db = this.store.name();
    let keys = await this.store.keys(TAKING);
    // another tab has taken them in
    if (keys.length === 0) return;
    let total = (await this.read(keys[0] as string))?.total ?? keys.length;
    const counts = { shelved: 0, doubtful: 0, failed: 0, elsewhere: 0 };
    let done = Math.max(0, total - keys.length);
    const say = (running: boolean): void => this.progress.set({ ...counts, done, total, running, stopped: this.stop });
    const going = (): boolean => !this.stop && this.store.name() === db;
    // what came in meanwhile is taken in as well
    for (; keys.length > 0 && going(); keys = going() ? await this.store.keys(TAKING) : []) {
      total = Math.max(total, done + keys.length);
      say(true);
      for (const key of keys) {
        if (!going()) break;
        const became = await this.one(key, kitchen);
        if (became === null) return say(false);
        counts[became]++;
        done++;
        say(true);
      }
    }
    say(false);
  }

  private async read(key: string): Promise<Waiting | null> {
    return (await this.store.read(kinds.taking, key)).value as Waiting | null;
  }

  /** Reads one and puts it where it belongs; null where it could not be stored, which is said. */
  private async one(key: string, kitchen: Kitchen): Promise<'shelved' | 'doubtful' | 'failed' | 'elsewhere' | null> {
    const waiting = await this.read(key);
    if (!waiting) return 'elsewhere';
    const { given } = waiting;
    const draft = await this.reader.draftOf(given, kitchen, 'import');
    const done = await this.store.write(draft?.formula.title ?? 'a recipe', async (w) => {
      // another tab may have taken it in meanwhile
      if ((await w.read(kinds.taking, key)).value === null) return 'elsewhere';
      await w.put(kinds.taking, key, null);
      if (!draft || draft.formula.groups.length === 0) return 'failed';
      if (draft.doubts.length > 0) {
        const reading: Reading = { ...given, draft, settled: [] };
        await w.put(kinds.pile, key.replace(TAKING, PILE), reading);
        return 'doubtful';
      }
      await w.shelve(draft.formula, 'as read');
      return 'shelved';
    });
    return done?.value ?? null;
  }

  cancel(): void {
    this.stop = true;
  }

  dismiss(): void {
    this.progress.set(null);
  }

  /** Leaves what has not been taken in. */
  async leave(): Promise<void> {
    const keys = await this.store.keys(TAKING);
    await this.store.write('the rest of the recipes', async (w) => {
      for (const key of keys) await w.put(kinds.taking, key, null);
    });
    this.dismiss();
  }
}

/** Does work that one tab does at a time, after those that are at it. */
async function alone(name: string, work: () => Promise<void>): Promise<void> {
  // over plain http there is nobody to ask for a lock; nothing is taken in twice all the same
  if (navigator.locks) await navigator.locks.request(name, work);
  else await work();
}

/** Whether a tab is at such work; false again once none is, however it ended. */
function busy(name: string): Observable<boolean> {
  if (!navigator.locks) return of(false);
  return new Observable((told) => {
    const stop = new AbortController();
    const ask = async (): Promise<void> => {
      const is = (await navigator.locks.query()).held?.some((l) => l.name === name) ?? false;
      told.next(is);
      if (is) await navigator.locks.request(name, { mode: 'shared', signal: stop.signal }, () => told.next(false));
    };
    // it is not asked any more
    ask().catch(() => undefined);
    return () => stop.abort();
  });
}
