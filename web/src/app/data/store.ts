import { DestroyRef, Injectable, inject, signal } from '@angular/core';
import type { BakeRecord, Formula, Kitchen } from '@orvin/core';
import { liveQuery } from 'dexie';
import type { Observable } from 'rxjs';
import { BehaviorSubject, NEVER, catchError, combineLatest, concat, filter, from, map, of, shareReplay, switchMap, throwError } from 'rxjs'; // prettier-ignore
import { bakesOf } from './bake-list';
import { KitchenDatabase } from './database';
import { Edits, type Edit } from './edits';
import { newId } from './ids';
import { kindAt, kinds, rebased, scopeOf, type Kind } from './kinds';
import { Notices } from './notices';
import type { Command, Doc, MetaRecord, VersionRecord, WorkingRecord } from './records';
import { Unfit, Writing, type Written } from './writing';

/** A kitchen that is being written, as it will be read. */
export interface Seed {
  readonly kitchen: Kitchen;
  readonly working: WorkingRecord[];
  readonly bakes: readonly BakeRecord[];
}

/** A record as the database tells of it, and of which kitchen. */
export interface Told<T> extends Written<T> {
  readonly db: string;
  readonly key: string | null;
}

/** Why nothing more can be written from this tab. */
export type Shut = 'newer' | 'gone';

/**
 * The open kitchen's records as streams, and the one way to change them: a write, which is one transaction and keeps beside
 * each step what undoes it, after a reload and from another tab too. A write that fails is told of here and nowhere else.
 */
@Injectable({ providedIn: 'root' })
export class Store {
  private readonly notices = inject(Notices);
  /** What is ahead of the disk. */
  readonly edits = new Edits();
  private readonly open$ = new BehaviorSubject<KitchenDatabase | null>(null);
  private readonly ready$ = this.open$.pipe(filter((db): db is KitchenDatabase => db !== null));
  private queue: Promise<unknown> = Promise.resolve();
  private seed: Seed | null = null;
  /** This tab, in what it writes. */
  private readonly tab = newId();
  private readonly since = Date.now();

  readonly working$ = combineLatest([
    this.live(
      (db) => db.working.orderBy('updatedAt').reverse().toArray(),
      (s) => s.working,
    ),
    this.edits.stuck$,
  ]).pipe(map(([list]) => this.withStuck(list)));
  /** All bakes, newest first. Only those that changed are read again. */
  readonly bakes$: Observable<readonly BakeRecord[]> = this.ready$.pipe(
    switchMap((db) =>
      combineLatest([this.seed ? concat(of(this.seed.bakes), bakesOf(db)) : bakesOf(db), this.edits.stuck$]).pipe(
        map(([list]) => this.edits.overAll(db.name, kinds.bake, list, (b) => b.id)),
      ),
    ),
    shareReplay({ bufferSize: 1, refCount: true }),
  );
  readonly versions$ = this.live((db) => db.versions.orderBy('at').reverse().toArray());
  readonly kitchen$ = this.live(
    (db) => db.meta.get('kitchen'),
    (s): MetaRecord | undefined => ({ key: 'kitchen', value: s.kitchen, revision: 1 }),
  ).pipe(
    map((m) => m?.value as Kitchen | undefined),
    filter((k): k is Kitchen => k !== undefined),
    shareReplay(1),
  );

  /** Writes that are asked for and not on disk yet. */
  private waiting = 0;
  private readonly opened = signal<string | null>(null);
  /** Name of the open kitchen's database; null when none is. */
  readonly name = this.opened.asReadonly();
  /** Set once another tab has taken the kitchen over or away: then nothing is written, until a kitchen is opened anew. */
  readonly shut = signal<Shut | null>(null);

  constructor() {
    // the browser asks before it leaves a page with something on it that is not stored yet
    const ask = (e: Event): void => void ((this.waiting > 0 || this.edits.any()) && e.preventDefault());
    addEventListener('beforeunload', ask);
    // a page that comes back from the browser's memory finds its database closed
    const back = (e: PageTransitionEvent): void => void (e.persisted && location.reload());
    addEventListener('pageshow', back);
    inject(DestroyRef).onDestroy(() => {
      removeEventListener('beforeunload', ask);
      removeEventListener('pageshow', back);
    });
  }

  get database(): KitchenDatabase {
    const db = this.open$.value;
    if (!db) throw new Error('No kitchen is open.');
    return db;
  }

  async open(name: string): Promise<void> {
    this.take(await this.made(name).opened());
  }

  /** A kitchen's database that is neither open nor this store's yet. */
  made(name: string): KitchenDatabase {
    const db: KitchenDatabase = new KitchenDatabase(name, (why) => {
      if (this.open$.value === db) this.shut.set(why);
    });
    return db;
  }

  /**
   * Goes over to a database that is open.
   *
   * @param seed what is being written into it just now: shown meanwhile; every read waits for the writing by itself
   */
  take(db: KitchenDatabase, seed: Seed | null = null): void {
    const old = this.open$.value;
    this.seed = seed;
    this.shut.set(null);
    this.open$.next(db);
    this.opened.set(db.name);
    if (old && old !== db) {
      old.close();
      // what was not stored by now is kept until that kitchen is open again
      this.edits.halt(old.name);
    }
    // what could not be stored when this kitchen was open before may have room now
    if (this.edits.stuck().some((e) => e.db === db.name)) void this.storeNow();
  }

  close(): void {
    this.open$.value?.close();
    this.open$.next(null);
    this.opened.set(null);
  }

  /** Records as they are, and again after every change in this or another tab. */
  live<T>(query: (db: KitchenDatabase) => Promise<T>, seeded?: (s: Seed) => T): Observable<T> {
    return this.ready$.pipe(
      switchMap((db) => {
        // one that was closed tells nothing more; what it told last stays on the screen
        const stored = from(liveQuery(() => query(db))).pipe(catchError((e: unknown) => (db.isOpen() ? throwError(() => e) : NEVER))); // prettier-ignore
        return seeded && this.seed ? concat(of(seeded(this.seed)), stored) : stored;
      }),
    );
  }

  /** What was being written is there. */
  seeded(): void {
    this.seed = null;
  }

  /** The keys of several records that are kept under one name, in their order. */
  keys$(name: string): Observable<string[]> {
    return this.live((db) => db.meta.where('key').startsWith(name).primaryKeys());
  }

  /** The same, once. What a stream gives is given within its own reading, where nothing must be written. */
  async keys(name: string): Promise<string[]> {
    return this.database.meta.where('key').startsWith(name).primaryKeys();
  }

  /** One record, with its revision. */
  record$<T>(kind: Kind<T>, key: string | null): Observable<Told<T>> {
    return this.live(
      async (db) => {
        const row = key === null ? undefined : await db.table<{ revision?: number }, string>(kind.table).get(key);
        return { db: db.name, key, value: row ? kind.of(row as never) : null, revision: row ? (row.revision ?? 1) : 0 };
      },
      (s) => {
        const row = kind.table === 'working' ? s.working.find((w) => w.id === key) : undefined;
        return { db: this.database.name, key, value: row ? kind.of(row as never) : null, revision: row ? 1 : 0 };
      },
    );
  }

  /** One record as it is now; one that is being written as it will be read. */
  async read<T>(kind: Kind<T>, key: string): Promise<Told<T>> {
    const db = this.database;
    const row = (kind.table === 'working' ? this.seed?.working.find((w) => w.id === key) : undefined) ?? (await db.table(kind.table).get(key)); // prettier-ignore
    return { db: db.name, key, value: row ? kind.of(row as never) : null, revision: row ? (row.revision ?? 1) : 0 };
  }

  /** Reads a record and takes over what it is. */
  async know<T>(kind: Kind<T>, key: string): Promise<Told<T>> {
    const told = await this.read(kind, key);
    this.edits.know(told.db, kind, key, told);
    return told;
  }

  /** The shelf with what could not be stored. */
  private withStuck(list: readonly WorkingRecord[]): readonly WorkingRecord[] {
    const db = this.name();
    if (db === null || this.edits.stuck().every((e) => e.kind.name !== 'formula')) return list;
    const rows = new Map(list.map((w) => [w.id, w]));
    const docs = this.edits.overAll(db, kinds.formula, list.map(kinds.formula.of as (w: WorkingRecord) => Doc), (d) => d.formula.id); // prettier-ignore
    return docs.map((d) => ({ revision: 1, updatedAt: Date.now(), ...rows.get(d.formula.id), ...d, id: d.formula.id }));
  }

  /** What undo takes back in a document, and what redo does again. */
  history$(doc: string): Observable<{ undo: Pick<Command, 'label'> | undefined; redo: Command | undefined }> {
    const stored = this.live(async (db) => ({
      undo: await db.commands.where('[doc+undone]').equals([doc, 0]).last(),
      redo: await db.commands.where('[doc+undone]').equals([doc, 1]).first(),
    }));
    return combineLatest([stored, this.edits.stuck$]).pipe(
      map(([h, stuck]) => ({ ...h, undo: stuck.findLast((e) => e.scope === doc && e.db === this.name()) ?? h.undo })),
    );
  }

  /**
   * Several steps as one transaction, after all that were asked for before it. What goes wrong is put into words; null
   * then, and nothing has happened.
   *
   * @param what the change, as it is named where it could not be stored
   */
  write<R>(what: string, work: (w: Writing) => Promise<R>): Promise<{ readonly value: R } | null> {
    return this.guarded(what, async (db) => ({ value: await Writing.run(db, this.tab, work) }));
  }

  /**
   * Changes a record as a step that undo takes back: on the screen at once, and on the disk when this resolves to true.
   * When another tab has written in the meantime, the change is made on what it wrote.
   *
   * @param base what this tab believed the record to be
   * @param scope the document whose undo it is, where not the kind's own
   */
  change<T>(
    kind: Kind<T>,
    key: string,
    label: string,
    base: T | null,
    next: T | null,
    scope?: string,
  ): Promise<boolean> {
    // prettier-ignore
    return this.edit(kind, key, label, rebased(kind, base, next), { scope: scope ?? scopeOf(kind, key, base === null || next === null) });
  }

  /** The same, told by what becomes of whatever is there. */
  edit<T>(
    kind: Kind<T>,
    key: string,
    label: string,
    change: Edit<T>['change'],
    more: Partial<Pick<Edit<T>, 'scope' | 'along'>> = {},
  ): Promise<boolean> {
    // prettier-ignore
    const edit: Edit<T> = { db: this.database.name, kind, key, label, scope: kind.scope?.(key), change, ...more };
    this.edits.add(edit as Edit);
    return this.storeAll(label, edit as Edit);
  }

  /** Puts all that is ahead of the disk there, in its order and in one transaction. */
  private async storeAll(what: string, wanted: Edit | null): Promise<boolean> {
    const done = await this.guarded(what, async (db) => {
      for (;;) {
        const edits = this.edits.take(db.name);
        if (edits.length === 0) return true;
        let now: Edit | null = null;
        try {
          const written = await Writing.run(db, this.tab, async (w) => {
            const out = new Map<Edit, Written<unknown>>();
            for (const e of edits) out.set((now = e), await stored(w, e));
            return out;
          });
          this.edits.landed(edits, written);
          if (this.edits.stuck().length === 0) this.notices.settled();
          return true;
        } catch (e) {
          this.edits.move(edits, 'stuck');
          if (!(e instanceof Unfit) || now === null) throw e;
          // what can never be stored keeps nothing else from it
          this.edits.move([now], 'unfit');
          this.sayUnfit((now as Edit).label, e);
        }
      }
    });
    if (done === null) this.edits.halt(this.name() ?? '');
    return done === true && (wanted === null || !this.edits.has(wanted));
  }

  /** Tries again to store what is on the screen only; whether all of it is on the disk now. */
  storeNow(): Promise<boolean> {
    return this.storeAll('what is on the screen', null);
  }

  /** Keeps a record that is no step; one that costs nothing is not spoken of where it cannot be kept. */
  async put<T>(kind: Kind<T>, key: string, value: T | null): Promise<boolean> {
    if (kind.spare) {
      const db = this.open$.value;
      return db !== null && Writing.run(db, this.tab, (w) => w.put(kind, key, value)).then(() => true, () => false); // prettier-ignore
    }
    return (await this.write(kind.name, (w) => w.put(kind, key, value))) !== null;
  }

  /** Puts a new formula on the shelf with its first version. Resolves to its id; null when that was not to be. */
  async shelve(formula: Formula, why: string): Promise<string | null> {
    return (await this.write(`“${formula.title}”`, (w) => w.shelve(formula, why)))?.value ?? null;
  }

  /** Takes back the last step of a document: what is on the screen only before what is on the disk. */
  async undo(doc: string): Promise<Pick<Command, 'label'> | Command | null> {
    const loose = this.edits.drop(this.database.name, doc);
    return loose ?? this.replay(doc, 0);
  }

  redo(doc: string): Promise<Command | null> {
    return this.replay(doc, 1);
  }

  private async replay(doc: string, undone: 0 | 1): Promise<Command | null> {
    const command = (await this.write(undone === 0 ? 'undo' : 'redo', (w) => w.replay(doc, undone)))?.value ?? null;
    if (command) await this.know(kindAt(command.table, command.key), command.key);
    return command;
  }

  /** Whether a step was made in another tab while this one was open. */
  elsewhere(c: Partial<Command>): boolean {
    return c.tab !== undefined && c.at !== undefined && c.tab !== this.tab && c.at > this.since;
  }

  /** Freezes the formula as an immutable version, unless one equals it already. Resolves to the version's id. */
  async freeze(formula: Formula, why: string, from?: string): Promise<string | null> {
    return (await this.write(`a version of “${formula.title}”`, (w) => w.freeze(formula, why, from)))?.value ?? null;
  }

  /** The versions of a formula, oldest first. */
  versionsOf$(formulaId: string): Observable<readonly VersionRecord[]> {
    return this.live((db) => db.versions.where('formulaId').equals(formulaId).sortBy('n'));
  }

  /** The formula as a bake had it; as it is now where its version is gone, null where both are. */
  async formulaOf(bake: BakeRecord): Promise<Formula | null> {
    const version = bake.versionId === null ? undefined : await this.database.versions.get(bake.versionId);
    return version?.formula ?? (await this.read(kinds.formula, bake.formulaId)).value?.formula ?? null;
  }

  /**
   * Logs a bake with the version of the formula that it was, as one step; what was to be tried with it has been tried.
   *
   * @param of the formula as it was baked
   * @param from the version that it goes on from
   */
  logBake(bake: BakeRecord, of: Formula, from?: string): Promise<boolean> {
    return this.edit(kinds.bake, bake.id, `log ${bake.title}`, () => bake, {
      along: (w) => asLogged(w, bake, of, from),
    });
  }

  /** Runs writes one after another; the one place where a failed one is put into words. */
  guarded<R>(what: string, work: (db: KitchenDatabase) => Promise<R>): Promise<R | null> {
    this.waiting++;
    const done = this.queue.then(async () => {
      try {
        // that it is shut is on the screen already
        return this.shut() === null ? await work(this.database) : null;
      } catch (e) {
        if (this.shut() !== null) return null;
        if (e instanceof Unfit) this.sayUnfit(what, e);
        else await this.notices.trouble(e, what);
        return null;
      } finally {
        this.waiting--;
      }
    });
    this.queue = done;
    return done;
  }

  private sayUnfit(what: string, e: Unfit): void {
    this.notices.problem(`Not stored: ${what}. ${e.message}`, 'What is on the disk stays as it was; undo it on the screen, or reload.'); // prettier-ignore
  }

  /** Resolves when everything asked for so far is on disk. */
  settled(): Promise<unknown> {
    return this.queue;
  }
}

/** Freezes what a bake was of and takes its trial off the formula's plan; the bake as it is to be logged. */
export async function asLogged(w: Writing, bake: BakeRecord, of: Formula, from?: string): Promise<BakeRecord> {
  const versionId = await w.freeze(of, 'baked', from);
  const { value: doc } = await w.read(kinds.formula, bake.formulaId);
  if (bake.trial && doc?.plan.trial) {
    const { trial: _trial, ...plan } = doc.plan;
    await w.change(kinds.formula, bake.formulaId, 'the trial is baked', () => ({ ...doc, plan }));
  }
  return { ...bake, versionId };
}

/** Stores one edit, with what else belongs to it. */
async function stored(w: Writing, e: Edit): Promise<Written<unknown>> {
  const { kind, key, label, scope } = e;
  // another tab has taken it away meanwhile: what was typed outlives that, as a step on what comes out of the bin
  if ((await w.read(kind, key)).value === null && e.change(null) !== null) await w.putBack(w.inBin(kind, key));
  if (!e.along) return w.change(kind, key, label, e.change, scope ?? null);
  const { value } = await w.read(kind, key);
  const next = await e.along(w, value, e.change(value));
  return w.change(kind, key, label, () => next, scope ?? null);
}
