import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import type { Advice, Assessment, Change, Formula, Kitchen, TinUse } from '@orvin/core';
import { allItems, applyChanges, defaultKitchen, same } from '@orvin/core/first';
import { BehaviorSubject, of, switchMap } from 'rxjs';
import type { Command, Plan, WorkingRecord } from '../data/records';
import { Store, type Doc } from '../data/store';
import { ovenScale } from '../ui/words';
import { Judgement } from './judgement';

/** How long what was stays visible beside what is. */
const AFTERGLOW_MS = 1600;

/** A change being tried: nothing is stored until it is kept. */
export interface Ghost {
  readonly id: string;
  readonly words: string;
  readonly formula: Formula;
  /** Why each line changes, to be kept with the version that comes of it. */
  readonly reasons?: readonly string[];
}

/**
 * The formula in hand: what is stored, what is being dragged or tried, and what all of it amounts to. Every view reads
 * from here; every change goes through here.
 */
@Injectable({ providedIn: 'root' })
export class Desk {
  private readonly store = inject(Store);
  private readonly judgement = inject(Judgement);
  private readonly id$ = new BehaviorSubject<string | null>(null);
  readonly id = toSignal(this.id$, { initialValue: null });
  private readonly stored = toSignal(
    this.id$.pipe(switchMap((id) => (id === null ? of(undefined) : this.store.formula$(id)))),
  );
  readonly kitchen = toSignal(this.store.kitchen$, { initialValue: defaultKitchen as Kitchen });
  private readonly history = toSignal(
    this.id$.pipe(switchMap((id) => (id === null ? of(null) : this.store.history$(id)))),
  );

  /** What this tab holds to be true; ahead of the database for a moment after each change. */
  private readonly local = signal<Doc | null>(null);
  private pending = 0;
  /** True while the formula asked for has not been found. */
  readonly missing = signal(false);

  readonly formula = computed(() => this.local()?.formula ?? null);
  readonly plan = computed<Plan>(() => this.local()?.plan ?? {});
  readonly ghost = signal<Ghost | null>(null);
  readonly drag = signal<readonly Change[] | null>(null);
  /** The formula before the last change, for a moment, so that every instrument shows what moved. */
  readonly recent = signal<Formula | null>(null);
  /** Revision of the newest state that was taken over from the database. */
  private seen = 0;
  private recently: ReturnType<typeof setTimeout> | undefined;
  readonly undoable = computed<Command | undefined>(() => this.history()?.undo);
  readonly redoable = computed<Command | undefined>(() => this.history()?.redo);

  /** The formula as it would be: with what is being dragged or tried. */
  readonly shown = computed<Formula | null>(() => {
    const f = this.formula();
    const drag = this.drag();
    const ghost = this.ghost();
    return f === null ? null : drag ? applyChanges(ghost?.formula ?? f, drag) : (ghost?.formula ?? f);
  });
  readonly changing = computed(() => this.drag() !== null || this.ghost() !== null);
  readonly assessment = computed(() => {
    const f = this.shown();
    return f === null ? null : this.assess(f);
  });
  /** What the change that is being dragged or tried, or was just made, starts from; null when nothing is. */
  readonly beforeFormula = computed(() => (this.changing() ? this.formula() : this.recent()));
  readonly before = computed(() => {
    const f = this.beforeFormula();
    return f === null ? null : this.assess(f);
  });

  private assess(f: Formula): Assessment {
    return this.judgement.assess(f, this.kitchen(), { locked: this.plan().locked ?? [] });
  }

  constructor() {
    effect(() => ovenScale.set(this.kitchen().display.temperature));
    effect(() => {
      const record = this.stored();
      // one that is taken away and put back begins anew
      if (record === undefined) this.seen = 0;
      if (this.pending > 0) return;
      const id = this.id();
      untracked(() => this.take(id, record));
    });
  }

  private take(id: string | null, record: WorkingRecord | undefined): void {
    // what was asked for before a change may arrive after it
    if (id === null || record?.id !== id || record.revision < this.seen) return;
    this.seen = record.revision;
    this.missing.set(false);
    const doc: Doc = { formula: record.formula, plan: record.plan };
    if (!same(doc, this.local())) this.local.set(doc);
  }

  /** Lets what was be seen beside what is for a moment. */
  private remember(was: Formula, is: Formula): void {
    clearTimeout(this.recently);
    if (was === is || was.id !== is.id) return;
    this.recent.set(was);
    this.recently = setTimeout(() => this.recent.set(null), AFTERGLOW_MS);
  }

  private forget(): void {
    clearTimeout(this.recently);
    this.recent.set(null);
  }

  /** Takes a formula in hand. */
  async pickUp(id: string): Promise<void> {
    // called from effects, which must not follow what is in hand
    if (untracked(() => this.id() === id && this.local() !== null)) return;
    this.drop();
    this.forget();
    this.local.set(null);
    this.seen = 0;
    this.id$.next(id);
    const record = await this.store.formula(id);
    // another may have been taken in hand meanwhile
    if (this.id$.value !== id) return;
    this.missing.set(record === undefined);
    this.take(id, record);
    if (record) await this.store.remark('inHand', id);
  }

  /** Takes up again what was in hand before the reload, unless a view has taken something up already. */
  async resume(): Promise<void> {
    const id = (await this.store.database.meta.get('inHand'))?.value;
    const there = typeof id === 'string' && (await this.store.database.working.get(id)) !== undefined;
    // a view may have taken something up while it was being looked for
    if (there && this.id() === null) await this.pickUp(id);
  }

  putDown(): void {
    this.id$.next(null);
    this.local.set(null);
    this.drop();
    this.forget();
  }

  /** Shows a new state of the document at once and stores it as one undoable command; resolves when it is on disk. */
  async change(label: string, next: Partial<Doc>): Promise<void> {
    const now = this.local();
    const id = this.id();
    if (!now || id === null) return;
    const after: Doc = { ...now, ...next };
    if (same(after, now)) return;
    this.remember(now.formula, after.formula);
    this.local.set(after);
    this.drop();
    await this.persist(() => this.store.commit(id, label, 'working', id, now, after));
  }

  setGrams(itemId: string, grams: number, label: string): void {
    const f = this.formula();
    if (f) void this.change(label, { formula: applyChanges(f, [{ itemId, grams }]) });
  }

  setMany(changes: readonly Change[], label: string): void {
    const f = this.formula();
    if (f) void this.change(label, { formula: applyChanges(f, changes) });
    this.drag.set(null);
  }

  setTins(tins: readonly TinUse[]): void {
    void this.change(`fit to ${tins.map((t) => `${t.count} × ${t.tin.name}`).join(', ')}`, {
      plan: { ...this.plan(), tins },
    });
  }

  try(advice: Advice): void {
    const f = this.formula();
    if (f)
      this.ghost.set({
        id: advice.id,
        words: advice.words,
        formula: advice.formula ?? applyChanges(f, advice.changes),
      });
  }

  drop(): void {
    this.ghost.set(null);
    this.drag.set(null);
  }

  /**
   * Keeps what is being tried, and freezes the version that comes of it, with its reasons. What the working copy had
   * that no version has is frozen first, so that it can be gone back to.
   */
  async keep(): Promise<void> {
    const ghost = this.ghost();
    const was = this.formula();
    if (!ghost || !was) return;
    const from = await this.store.freeze(was, 'as it was before', this.plan().version);
    const version = await this.store.freeze(ghost.formula, ghost.words, from ?? undefined, ghost.reasons ?? []);
    if (this.formula()?.id !== was.id) return;
    await this.change(ghost.words, {
      formula: ghost.formula,
      plan: { ...this.plan(), ...(version !== null && { version }) },
    });
  }

  /** Goes back, or over, to a version; the working copy as it stands is frozen first. */
  async goTo(id: string, label: string): Promise<void> {
    const was = this.formula();
    const version = await this.store.database.versions.get(id);
    if (!was || version?.formulaId !== was.id) return;
    await this.store.freeze(was, 'as it was before', this.plan().version);
    await this.change(label, { formula: version.formula, plan: { ...this.plan(), version: id } });
  }

  async undo(): Promise<Command | null> {
    return this.step((id) => this.store.undo(id));
  }

  async redo(): Promise<Command | null> {
    return this.step((id) => this.store.redo(id));
  }

  private async step(move: (id: string) => Promise<Command | null>): Promise<Command | null> {
    const id = this.id();
    if (id === null) return null;
    this.drop();
    const was = this.formula();
    let command: Command | null = null;
    await this.persist(async () => {
      command = await move(id);
      return true;
    });
    const is = this.formula();
    if (was && is && !same(was, is)) this.remember(was, is);
    return command;
  }

  /**
   * While a write is under way the database's older state is not taken over; after the last of several the newest of what
   * is in hand then is. What is read within one write is never newer than what is read within the next.
   */
  private async persist(write: () => Promise<boolean>): Promise<void> {
    this.pending++;
    let record: WorkingRecord | undefined;
    try {
      await write();
      const id = this.id$.value;
      if (id !== null) record = await this.store.database.working.get(id);
    } finally {
      this.pending--;
    }
    if (this.pending === 0) this.take(this.id$.value, record);
  }

  readonly itemCount = computed(() => {
    const f = this.shown();
    return f ? allItems(f).length : 0;
  });
}
