import { computed, signal } from '@angular/core';
import { BehaviorSubject } from 'rxjs';
import type { Kind } from './kinds';
import type { Writing, Written } from './writing';

/** A change of a record that is on the screen, and not known to be on the disk. */
export interface Edit<T = unknown> {
  /** The database of the kitchen it was made in. */
  readonly db: string;
  readonly kind: Kind<T>;
  readonly key: string;
  readonly label: string;
  /** The document whose undo takes it back; undefined where it is no step. */
  readonly scope: string | undefined;
  /** What becomes of whatever is there when it is stored. */
  change(now: T | null): T | null;
  /** What else belongs to it, in the same transaction; may say more exactly what becomes of the record. */
  along?(w: Writing, now: T | null, next: T | null): Promise<T | null>;
}

/**
 * Where an edit is: asked for, on its way to the disk, refused for want of room or the like and to be tried again, or
 * refused for good since it does not fit its format.
 */
export type Where = 'waiting' | 'flying' | 'stuck' | 'unfit';

interface State {
  readonly edits: readonly { readonly edit: Edit; readonly where: Where }[];
  /** What this tab wrote or read last of a record, by its place. */
  readonly known: ReadonlyMap<string, Written<unknown>>;
}
const NONE: State = { edits: [], known: new Map() };

const placeOf = (db: string, kind: { readonly name: string }, key: string): string => `${db}/${kind.name}/${key}`;
const at = (e: Edit): string => placeOf(e.db, e.kind, e.key);

/**
 * The one cache of what is ahead of the disk: all changes from the press until they are stored, in their order. Views fold
 * them over what the database tells; what could not be stored stays here, and so on the screen.
 */
export class Edits {
  private readonly state = signal<State>(NONE);
  readonly any = computed(() => this.state().edits.length > 0);
  /** What is on the screen and will not be on the disk by itself. */
  readonly stuck$ = new BehaviorSubject<readonly Edit[]>([]);
  private readonly looseEdits = signal<readonly Edit[]>([]);
  readonly stuck = this.looseEdits.asReadonly();

  private update(next: (s: State) => State): void {
    this.state.update(next);
    const stuck = this.state().edits.flatMap((e) => (e.where === 'stuck' || e.where === 'unfit' ? [e.edit] : []));
    if (stuck.length === this.stuck$.value.length && stuck.every((e, i) => e === this.stuck$.value[i])) return;
    this.looseEdits.set(stuck);
    this.stuck$.next(stuck);
  }

  add(edit: Edit): void {
    this.update((s) => ({ ...s, edits: [...s.edits, { edit, where: 'waiting' }] }));
  }

  /** Whether an edit is still to be stored. */
  has(edit: Edit): boolean {
    return this.state().edits.some((e) => e.edit === edit);
  }

  /** Those of a database that are to be stored next, in their order; from now on they are on their way. */
  take(db: string): readonly Edit[] {
    const next = this.state().edits.filter((e) => e.edit.db === db && (e.where === 'waiting' || e.where === 'stuck'));
    this.move(next.map((e) => e.edit), 'flying'); // prettier-ignore
    return next.map((e) => e.edit);
  }

  move(edits: readonly Edit[], where: Where): void {
    this.update((s) => ({ ...s, edits: s.edits.map((e) => (edits.includes(e.edit) ? { ...e, where } : e)) }));
  }

  /** They are on the disk, which holds this now. */
  landed(edits: readonly Edit[], written: ReadonlyMap<Edit, Written<unknown>>): void {
    this.update(({ known, edits: all }) => {
      const next = new Map(known);
      for (const [e, w] of written) next.set(at(e), w);
      return { edits: all.filter((e) => !edits.includes(e.edit)), known: next };
    });
  }

  /** Takes over what was just read of a record. */
  know(db: string, kind: Kind<unknown>, key: string, written: Written<unknown>): void {
    this.update((s) => ({ ...s, known: new Map(s.known).set(placeOf(db, kind, key), written) }));
  }

  /** The last change of a document that is on the screen only is taken back; it, or null when there is none. */
  drop(db: string, scope: string): Edit | null {
    const last = this.stuck().findLast((e) => e.db === db && e.scope === scope) ?? null;
    if (last) this.update((s) => ({ ...s, edits: s.edits.filter((e) => e.edit !== last) }));
    return last;
  }

  /** Those of a kitchen that is no longer written go no further by themselves. */
  halt(db: string): void {
    const waiting = this.state().edits.filter((e) => e.edit.db === db && e.where === 'waiting');
    if (waiting.length > 0) this.move(waiting.map((e) => e.edit), 'stuck'); // prettier-ignore
  }

  /** Forgets those of a kitchen that its baker has removed. */
  clear(db: string): void {
    this.update((s) => ({ ...s, edits: s.edits.filter((e) => e.edit.db !== db) }));
  }

  knownOf<T>(db: string, kind: Kind<T>, key: string): Written<T> | null {
    return (this.state().known.get(placeOf(db, kind, key)) as Written<T> | undefined) ?? null;
  }

  /** Whether the disk may hold, or may not yet hold, some of the record's edits. */
  flying(db: string, kind: Kind<unknown>, key: string): boolean {
    return this.state().edits.some((e) => e.where === 'flying' && at(e.edit) === placeOf(db, kind, key));
  }

  /** A record with all that is to become of it. */
  over<T>(db: string, kind: Kind<T>, key: string, value: T | null): T | null {
    const place = placeOf(db, kind, key);
    return this.state().edits.reduce((v, { edit }) => (at(edit) === place ? (edit as Edit<T>).change(v) : v), value);
  }

  /** What could not be stored for want of room or the like; all of it fits its format. */
  fit(): Edits {
    const only = new Edits();
    only.update((s) => ({ ...s, edits: this.state().edits.filter((e) => e.where === 'stuck') }));
    return only;
  }

  /** A list of records of a kind with what could not be stored, by key. */
  overAll<T>(db: string, kind: Kind<T>, list: readonly T[], keyOf: (value: T) => string): readonly T[] {
    const mine = this.stuck().filter((e) => e.db === db && e.kind.name === kind.name);
    if (mine.length === 0) return list;
    const all = new Map(list.map((v) => [keyOf(v), v]));
    for (const e of mine as readonly Edit<T>[]) {
      const next = e.change(all.get(e.key) ?? null);
      if (next === null) all.delete(e.key);
      else all.set(e.key, next);
    }
    return [...all.values()];
  }
}
