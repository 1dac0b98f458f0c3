import type { Formula } from '@orvin/core';
import { same } from '@orvin/core/first';
import type { KitchenDatabase } from './database';
import { formats } from './formats';
import { shortId } from './ids';
import { kindAt, kinds, rebased, scopeOf, type Kind, type Part } from './kinds';
import type { BinRow, Command, PhotoRecord, ThumbRecord, VersionRecord } from './records';

const MAX_COMMANDS = 300;

/** Thrown inside a write when a value does not fit its open format; what it was is in words. */
export class Unfit extends Error {}

/** A record as it stands on the disk. */
export interface Written<T> {
  readonly value: T | null;
  /** Grows by one with each write; 0 while there is none. */
  readonly revision: number;
}

/** The tables that a change may touch. */
export const stepTables = (db: KitchenDatabase) => [db.working, db.bakes, db.meta, db.versions, db.series, db.commands, db.bin, db.photos, db.thumbs]; // prettier-ignore

type Row = { readonly revision?: number } | undefined;

/** One transaction on a kitchen's database. All of its steps are on the disk together, or none is. */
export class Writing {
  private constructor(
    private readonly db: KitchenDatabase,
    private readonly tab: string,
    private readonly fits: Awaited<ReturnType<typeof formats>>,
    private readonly now: number,
  ) {}

  /** Runs some steps as one. Rejects with what went wrong, and then nothing has happened. */
  static async run<R>(db: KitchenDatabase, tab: string, work: (w: Writing) => Promise<R>): Promise<R> {
    // before it begins: a transaction does not wait for a module
    const fits = await formats();
    // `async` matters: only then does the library follow the steps through their awaits
    return db.transaction('rw', stepTables(db), async () => work(new Writing(db, tab, fits, Date.now())));
  }

  private row({ table }: { readonly table: string }, key: string): Promise<Row> {
    return this.db.table<Row, string>(table).get(key);
  }

  async read<T>(kind: Kind<T>, key: string): Promise<Written<T>> {
    const row = await this.row(kind, key);
    return { value: row ? kind.of(row as never) : null, revision: row ? (row.revision ?? 1) : 0 };
  }

  /**
   * Changes a record as a step that its document's undo takes back.
   *
   * @param change what becomes of it, from what is there; null for nothing
   * @param own the document whose undo it is, where not the kind's own; null where it is no step
   */
  async change<T>(
    kind: Kind<T>,
    key: string,
    label: string,
    change: (now: T | null) => T | null,
    own?: string | null,
  ): Promise<Written<T>> {
    const { value: before, revision } = await this.read(kind, key);
    const after = change(before);
    if (same(before, after)) return { value: before, revision };
    const scope = own === undefined ? scopeOf(kind, key, before === null || after === null) : own;
    if (scope !== undefined && scope !== null) {
      await this.db.commands.where('[doc+undone]').equals([scope, 1]).delete();
      await this.db.commands.add({ doc: scope, at: this.now, label, table: kind.table, key, before, after, undone: 0, tab: this.tab }); // prettier-ignore
      await this.trim(scope);
    }
    return this.put(kind, key, after);
  }

  /** Writes a record as it is given; what is taken away goes into the bin. */
  async put<T>(kind: Kind<T>, key: string, value: T | null): Promise<Written<T>> {
    const wrong = value === null ? undefined : kind.check?.(this.fits, value);
    if (wrong && !wrong.ok) {
      const first = wrong.problems[0];
      throw new Unfit(first ? `${first.place}, ${first.words}` : 'it does not fit');
    }
    const was = await this.row(kind, key);
    if (kind.madeElsewhere && !was) return { value: null, revision: 0 };
    await this.throwAway(kind, key, was ? kind.of(was as never) : null, value);
    const table = this.db.table(kind.table);
    if (value === null) {
      await table.delete(key);
      return { value: null, revision: 0 };
    }
    const revision = (was?.revision ?? 0) + 1;
    await table.put({ ...kind.row(value, key, was, this.now), revision });
    return { value, revision };
  }

  /** Keeps a photo and its small picture; the step that it belongs to names it. */
  async photo(photo: PhotoRecord, thumb: ThumbRecord): Promise<void> {
    await this.db.photos.put(photo);
    await this.db.thumbs.put(thumb);
  }

  /** Takes back the last step of a document that counts, or does the last again that was taken back. */
  async replay(doc: string, undone: 0 | 1): Promise<Command | null> {
    const range = this.db.commands.where('[doc+undone]').equals([doc, undone]);
    const command = undone === 0 ? await range.last() : await range.first();
    if (command?.seq === undefined) return null;
    const [was, to] = undone === 0 ? [command.after, command.before] : [command.before, command.after];
    const kind = kindAt(command.table, command.key);
    const { value: now } = await this.read(kind, command.key);
    await this.put(kind, command.key, rebased(kind, was, to)(now));
    await this.db.commands.update(command.seq, { undone: undone === 0 ? 1 : 0 });
    return command;
  }

  /**
   * Freezes a formula as an immutable version, unless one equals it already. Resolves to the version's id.
   *
   * @param from the version that the working copy goes on from; the newest when it is not known
   */
  async freeze(formula: Formula, why: string, from?: string, reasons: readonly string[] = []): Promise<string> {
    const all = (await this.db.versions.where('formulaId').equals(formula.id).toArray()).sort((a, b) => b.n - a.n);
    const equal = all.find((v) => same(v.formula, formula));
    if (equal) return equal.id;
    const n = (all[0]?.n ?? 0) + 1;
    const version: VersionRecord = {
      id: `${formula.id}@${n}`,
      formulaId: formula.id,
      n,
      at: this.now,
      why,
      formula,
      parent: (all.find((v) => v.id === from) ?? all[0])?.id ?? null,
      ...(reasons.length > 0 && { reasons }),
    };
    await this.db.versions.add(version);
    return version.id;
  }

  /** Puts a new formula on the shelf with its first version, under an id that is not taken. Resolves to the id. */
  async shelve(formula: Formula, why: string): Promise<string> {
    const taken = await this.db.working.get(formula.id);
    const id = taken ? `${formula.id}-${shortId(4)}` : formula.id;
    const own = { ...formula, id };
    await this.change(kinds.formula, id, `read "${formula.title}"`, () => ({ formula: own, plan: {} }));
    // a formula taken off the shelf leaves its versions, and this one follows them
    await this.freeze(own, why);
    return id;
  }

  /** Where a whole record lies in the bin. */
  inBin(kind: { readonly name: string }, key: string): string {
    return `${kind.name}:${key}`;
  }

  /** Puts something back from the bin, as a step; false when it is not there any more. */
  async putBack(id: string): Promise<boolean> {
    const row = await this.db.bin.get(id);
    if (!row) return false;
    const kind = kindAt(row.table, row.key);
    const { part } = row;
    const { value: now } = await this.read(kind, row.key);
    // a part needs what it was a part of; a whole record, a place that nothing else has taken
    if ((part === undefined) !== (now === null)) return false;
    await this.change(kind, row.key, `put back ${row.title}`, () => (part ? (kind.parts?.back(now, part) ?? now) : row.value)); // prettier-ignore
    await this.db.bin.delete(id);
    return true;
  }

  /** Puts a record that is in the way, or cannot be read, into the bin. */
  async aside<T>(kind: Kind<T>, key: string, what: string, title: string): Promise<void> {
    const { value } = await this.read(kind, key);
    if (value === null) return;
    await this.put(kind, key, null);
    await this.db.bin.put({ id: `${kind.name}:${key}:${this.now}`, table: kind.table, key, what, title, at: this.now, value }); // prettier-ignore
  }

  /** What a change takes away goes into the bin, and what it brings back comes out of it. */
  private async throwAway<T>(kind: Kind<T>, key: string, before: T | null, after: T | null): Promise<void> {
    const { bin, parts } = kind;
    const at = { table: kind.table, key, at: this.now };
    const id = this.inBin(kind, key);
    if (bin && before !== null && after === null) await this.db.bin.put({ ...at, id, what: bin.what, title: bin.title(before), value: before }); // prettier-ignore
    if (bin && before === null && after !== null) await this.db.bin.delete(id);
    if (!parts || after === null || before === null) return;
    const keyOf = (p: Part): string => `${id}/${p.what}:${p.id}`;
    const [had, has] = [parts.of(before), parts.of(after)];
    const there = new Set(has.map(keyOf));
    const gone = had.filter((p) => !there.has(keyOf(p)));
    const were = new Set(had.map(keyOf));
    await this.db.bin.bulkPut(gone.map((part): BinRow => ({ ...at, id: keyOf(part), part, what: part.what, title: part.title, value: null }))); // prettier-ignore
    await this.db.bin.bulkDelete(has.map(keyOf).filter((k) => !were.has(k)));
  }

  private async trim(doc: string): Promise<void> {
    const n = await this.db.commands.where('doc').equals(doc).count();
    if (n <= MAX_COMMANDS) return;
    const old = await this.db.commands.where('doc').equals(doc).limit(n - MAX_COMMANDS).primaryKeys(); // prettier-ignore
    await this.db.commands.bulkDelete(old);
  }
}
