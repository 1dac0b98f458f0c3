import { DestroyRef, Injectable, inject, signal } from '@angular/core';
import type { BakeRecord, Formula, Kitchen, Series } from '@orvin/core';
import { merge3, same } from '@orvin/core/first';
import { liveQuery } from 'dexie';
import type { Observable } from 'rxjs';
import { BehaviorSubject, concat, filter, from, map, of, shareReplay, switchMap } from 'rxjs';
import { bakesOf } from './bake-list';
import { KitchenDatabase } from './database';
import { Notices } from './notices';
import type {
  BakeRow,
  Command,
  MetaRecord,
  PhotoRecord,
  Plan,
  SeriesRow,
  TableName,
  ThumbRecord,
  VersionRecord,
  WorkingRecord,
} from './records';
import { shortId } from './ids';
import { once } from './once';

const MAX_COMMANDS = 300;

export interface Doc {
  readonly formula: Formula;
  readonly plan: Plan;
}

/** A kitchen that is being written, as it will be read. */
export interface Seed {
  readonly kitchen: Kitchen;
  readonly working: WorkingRecord[];
  readonly bakes: readonly BakeRecord[];
}

/** What is worth undoing in a record: all but its revision and dates. */
function body(table: TableName, record: unknown): unknown {
  if (record === undefined || record === null) return null;
  if (table === 'working') {
    const { formula, plan } = record as WorkingRecord;
    return { formula, plan };
  }
  if (table === 'versions') {
    const { name, note } = record as VersionRecord;
    return { name: name ?? '', note: note ?? '' };
  }
  if (table === 'series') return (record as SeriesRow).series;
  return table === 'bakes' ? (record as BakeRow).bake : (record as MetaRecord).value;
}

/** The checks of the open formats; loaded once, soon after the start, so that no write has to wait for them. */
export const formats = once(() => import('@orvin/core/format'));

/** The tables whose records change by commands. */
const undoable = (db: KitchenDatabase) => [db.working, db.bakes, db.meta, db.versions, db.series, db.commands];

/** Thrown inside a write when a value does not fit its format; already told to the baker. */
class Unfit extends Error {}

/** What is wrong with a value that is to be stored, in words; null when it fits its open format. */
async function unfit(table: TableName, key: string, value: unknown): Promise<string | null> {
  const { checkBake, checkDay, checkFormula, checkKitchen, checkSeries, checkShopping } = await formats();
  const checked =
    table === 'working'
      ? checkFormula((value as Doc).formula)
      : table === 'bakes'
        ? checkBake(value)
        : table === 'series'
          ? checkSeries(value)
          : key === 'kitchen'
            ? checkKitchen(value)
            : key === 'day'
              ? checkDay(value)
              : key === 'shopping'
                ? checkShopping(value)
                : null;
  if (!checked || checked.ok) return null;
  const first = checked.problems[0];
  return first ? `${first.place}, ${first.words}` : 'it does not fit';
}

/**
 * The open kitchen's records as streams, and the one way to change them: a command, which is stored beside the change
 * so that it can be undone after a reload and from another tab.
 */
@Injectable({ providedIn: 'root' })
export class Store {
  private readonly notices = inject(Notices);
  private readonly open$ = new BehaviorSubject<KitchenDatabase | null>(null);
  private readonly ready$ = this.open$.pipe(filter((db): db is KitchenDatabase => db !== null));
  private queue: Promise<unknown> = Promise.resolve();
  private seed: Seed | null = null;

  readonly working$ = this.live(
    (db) => db.working.orderBy('updatedAt').reverse().toArray(),
    (s) => s.working,
  );
  /** All bakes, newest first. Only those that changed are read again. */
  readonly bakes$: Observable<readonly BakeRecord[]> = this.ready$.pipe(
    switchMap((db) => (this.seed ? concat(of(this.seed.bakes), bakesOf(db)) : bakesOf(db))),
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

  constructor() {
    // the browser asks before it leaves a page with something on it that is not stored yet
    const ask = (e: Event): void => void (this.waiting > 0 && e.preventDefault());
    addEventListener('beforeunload', ask);
    inject(DestroyRef).onDestroy(() => removeEventListener('beforeunload', ask));
  }

  get database(): KitchenDatabase {
    const db = this.open$.value;
    if (!db) throw new Error('No kitchen is open.');
    return db;
  }

  async open(name: string): Promise<void> {
    const db = this.made(name);
    await db.open();
    this.take(db);
  }

  /** A kitchen's database that is neither open nor this store's yet. */
  made(name: string): KitchenDatabase {
    return new KitchenDatabase(name, () =>
      this.notices.problem(
        'A newer Orvin is running in another tab.',
        'Reload this tab to go on with it; nothing is lost.',
      ),
    );
  }

  /**
   * Goes over to a database.
   *
   * @param seed what is being written into it just now: shown meanwhile; every read waits for the writing by itself
   */
  take(db: KitchenDatabase, seed: Seed | null = null): void {
    const old = this.open$.value;
    this.seed = seed;
    this.open$.next(db);
    this.opened.set(db.name);
    old?.close();
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
        const stored = from(liveQuery(() => query(db)));
        return seeded && this.seed ? concat(of(seeded(this.seed)), stored) : stored;
      }),
    );
  }

  /** What was being written is there. */
  seeded(): void {
    this.seed = null;
  }

  /** A formula as it stands; one that is being written as it will be read. */
  async formula(id: string): Promise<WorkingRecord | undefined> {
    return this.seed?.working.find((w) => w.id === id) ?? this.database.working.get(id);
  }

  formula$(id: string): Observable<WorkingRecord | undefined> {
    return this.live((db) => db.working.get(id));
  }

  /** How many steps of a document can be undone and redone. */
  history$(doc: string): Observable<{ undo: Command | undefined; redo: Command | undefined }> {
    return this.live(async (db) => ({
      undo: await db.commands.where('[doc+undone]').equals([doc, 0]).last(),
      redo: await db.commands.where('[doc+undone]').equals([doc, 1]).first(),
    }));
  }

  /**
   * Writes a record and the command that undoes it, in one transaction. When another tab has written in the meantime,
   * the change is merged onto what it wrote.
   *
   * @param base what this tab believed the record to be
   */
  commit(doc: string, label: string, table: TableName, key: string, base: unknown, next: unknown): Promise<boolean> {
    return this.guarded(async (db) => {
      const wrong = next === null ? null : await unfit(table, key, next);
      if (wrong !== null) {
        this.notices.problem(
          `That was not stored: ${wrong}`,
          'What is on disk stays as it was; undo on the screen, or reload.',
        );
        throw new Unfit();
      }
      await db.transaction('rw', undoable(db), async () => {
        const current = body(table, await this.read(db, table, key));
        const after =
          base === null || next === null || same(current, base)
            ? next
            : current === null
              ? next
              : merge3(base, next, current);
        if (same(current, after)) return;
        await db.commands.where('[doc+undone]').equals([doc, 1]).delete();
        await db.commands.add({ doc, at: Date.now(), label, table, key, before: current, after, undone: 0 });
        await this.write(db, table, key, after);
        await this.trim(db, doc);
      });
    });
  }

  /**
   * Puts a new formula on the shelf with its first version, all or nothing, under an id of its own.
   * Resolves to the id; null when it could not be stored, which has been said.
   */
  async shelve(formula: Formula, why: string): Promise<string | null> {
    let id: string | null = null;
    await this.guarded(async (db) => {
      const wrong = await unfit('working', formula.id, { formula, plan: {} });
      if (wrong !== null) {
        this.notices.problem(
          `"${formula.title}" was not stored: ${wrong}`,
          'The recipe itself is unchanged where it came from.',
        );
        throw new Unfit();
      }
      await db.transaction('rw', [db.working, db.versions, db.commands], async () => {
        const taken = await db.working.get(formula.id);
        const key = taken ? `${formula.id}-${shortId(4)}` : formula.id;
        const own = { ...formula, id: key };
        const at = Date.now();
        const after: Doc = { formula: own, plan: {} };
        await db.commands.add({
          doc: key,
          at,
          label: `read "${formula.title}"`,
          table: 'working',
          key,
          before: null,
          after,
          undone: 0,
        });
        await db.working.put({ ...after, id: key, revision: 1, updatedAt: at });
        // a formula taken off the shelf leaves its versions, and this one follows them
        const n =
          (await db.versions.where('formulaId').equals(key).toArray()).reduce((m, v) => Math.max(m, v.n), 0) + 1;
        await db.versions.add({ id: `${key}@${n}`, formulaId: key, n, at, why, formula: own });
        id = key;
      });
    });
    return id;
  }

  undo(doc: string): Promise<Command | null> {
    return this.replay(doc, 0);
  }

  redo(doc: string): Promise<Command | null> {
    return this.replay(doc, 1);
  }

  private async replay(doc: string, undone: 0 | 1): Promise<Command | null> {
    let moved: Command | null = null;
    await this.guarded(async (db) => {
      await db.transaction('rw', undoable(db), async () => {
        const range = db.commands.where('[doc+undone]').equals([doc, undone]);
        const command = undone === 0 ? await range.last() : await range.first();
        if (command?.seq === undefined) return;
        const [was, to] = undone === 0 ? [command.after, command.before] : [command.before, command.after];
        const current = body(command.table, await this.read(db, command.table, command.key));
        const merged = current === null || to === null || same(current, was) ? to : merge3(was, to, current);
        await this.write(db, command.table, command.key, merged);
        await db.commands.update(command.seq, { undone: undone === 0 ? 1 : 0 });
        moved = command;
      });
    });
    return moved;
  }

  /**
   * Freezes the formula as an immutable version, unless one equals it already. Returns the version's id.
   * @param from the version that the working copy goes on from; the newest when it is not known
   */
  async freeze(formula: Formula, why: string, from?: string, reasons: readonly string[] = []): Promise<string | null> {
    let id: string | null = null;
    await this.guarded(async (db) => {
      await db.transaction('rw', db.versions, async () => {
        const all = (await db.versions.where('formulaId').equals(formula.id).toArray()).sort((a, b) => b.n - a.n);
        const newest = all[0];
        const parent = all.find((v) => v.id === from) ?? newest;
        const equal = all.find((v) => same(v.formula, formula));
        if (equal) {
          id = equal.id;
          return;
        }
        const n = (newest?.n ?? 0) + 1;
        const version: VersionRecord = {
          id: `${formula.id}@${n}`,
          formulaId: formula.id,
          n,
          at: Date.now(),
          why,
          formula,
          parent: parent?.id ?? null,
          ...(reasons.length > 0 && { reasons }),
        };
        await db.versions.add(version);
        id = version.id;
      });
    });
    return id;
  }

  /** The versions of a formula, oldest first. */
  versionsOf$(formulaId: string): Observable<readonly VersionRecord[]> {
    return this.live((db) => db.versions.where('formulaId').equals(formulaId).sortBy('n'));
  }

  /** The formula as a bake had it; as it is now where its version is gone, null where both are. */
  async formulaOf(bake: BakeRecord): Promise<Formula | null> {
    const version = bake.versionId === null ? undefined : await this.database.versions.get(bake.versionId);
    return version?.formula ?? (await this.database.working.get(bake.formulaId))?.formula ?? null;
  }

  async logBake(bake: BakeRecord): Promise<boolean> {
    return this.commit('log', `log ${bake.title}`, 'bakes', bake.id, null, bake);
  }

  /** Keeps a photo and its small picture; the bake names it in a change of its own, which can be undone. */
  addPhoto(photo: PhotoRecord, thumb: ThumbRecord): Promise<boolean> {
    return this.guarded(async (db) => {
      await db.transaction('rw', [db.photos, db.thumbs], async () => {
        await db.photos.put(photo);
        await db.thumbs.put(thumb);
      });
    });
  }

  /** Keeps what only makes the next start handier, such as what was in hand. On a full device that is all that is lost. */
  async remark(key: string, value: unknown): Promise<void> {
    await this.open$.value?.meta.put({ key, value, revision: 1 }).catch(() => undefined);
  }

  private async read(db: KitchenDatabase, table: TableName, key: string): Promise<unknown> {
    return table === 'working'
      ? db.working.get(key)
      : table === 'bakes'
        ? db.bakes.get(key)
        : table === 'versions'
          ? db.versions.get(key)
          : table === 'series'
            ? db.series.get(key)
            : db.meta.get(key);
  }

  private async write(db: KitchenDatabase, table: TableName, key: string, value: unknown): Promise<void> {
    if (table === 'versions') {
      // its formula never changes, only what it is called
      if (value !== null) await db.versions.update(key, value as Pick<VersionRecord, 'name' | 'note'>);
      return;
    }
    if (value === null) {
      await (table === 'working'
        ? db.working.delete(key)
        : table === 'bakes'
          ? db.bakes.delete(key)
          : table === 'series'
            ? db.series.delete(key)
            : db.meta.delete(key));
      return;
    }
    if (table === 'working') {
      const old = await db.working.get(key);
      await db.working.put({
        ...(old ?? {}),
        ...(value as Doc),
        id: key,
        revision: (old?.revision ?? 0) + 1,
        updatedAt: Date.now(),
      });
    } else if (table === 'bakes') {
      const old = await db.bakes.get(key);
      await db.bakes.put({ id: key, bake: value as BakeRecord, revision: (old?.revision ?? 0) + 1 });
    } else if (table === 'series') {
      const series = value as Series;
      const old = await db.series.get(key);
      await db.series.put({ id: key, at: series.at, series, revision: (old?.revision ?? 0) + 1 });
    } else {
      const old = await db.meta.get(key);
      await db.meta.put({ key, value, revision: (old?.revision ?? 0) + 1 });
    }
  }

  private async trim(db: KitchenDatabase, doc: string): Promise<void> {
    const n = await db.commands.where('doc').equals(doc).count();
    if (n <= MAX_COMMANDS) return;
    const old = await db.commands
      .where('doc')
      .equals(doc)
      .limit(n - MAX_COMMANDS)
      .primaryKeys();
    await db.commands.bulkDelete(old);
  }

  /** Runs writes one after another, and turns a failed one into words; what is on the screen stays. */
  private guarded(work: (db: KitchenDatabase) => Promise<void>): Promise<boolean> {
    this.waiting++;
    const done = this.queue.then(async () => {
      try {
        await work(this.database);
        return true;
      } catch (e) {
        if (e instanceof Unfit) return false;
        await this.notices.trouble(e);
        return false;
      } finally {
        this.waiting--;
      }
    });
    this.queue = done;
    return done;
  }

  /** Resolves when everything asked for so far is on disk. */
  settled(): Promise<unknown> {
    return this.queue;
  }
}
