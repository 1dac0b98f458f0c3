import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import type { Advice, Assessment, Change, Formula, Kitchen, TinUse } from '@orvin/core';
import { allItems, applyChanges, defaultKitchen, merge3, same } from '@orvin/core/first';
import { kinds } from '../data/kinds';
import { LiveDocument } from '../data/live-document';
import type { Command, Doc, Plan } from '../data/records';
import { Store } from '../data/store';
import { ovenScale, units } from '../ui/words';
import { Judgement } from './judgement';

/** How long what was stays visible beside what is. */
const AFTERGLOW_MS = 1600;

/** A change being tried: nothing is stored until it is kept. */
export interface Ghost {
  readonly id: string;
  readonly words: string;
  /** The formula that it was tried on, and what it makes of that: what is kept is the difference. */
  readonly from: Formula;
  readonly to: Formula;
  /** Why each line changes, to be kept with the version that comes of it. */
  readonly reasons: readonly string[];
}
const NO_PLAN: Plan = {};

/**
 * The formula in hand: what is stored, what is being dragged or tried, and what all of it amounts to. Every view reads
 * from here; every change goes through here.
 */
@Injectable({ providedIn: 'root' })
export class Desk {
  private readonly store = inject(Store);
  private readonly judgement = inject(Judgement);
  private readonly doc = new LiveDocument(this.store, kinds.formula);
  private readonly home = new LiveDocument(this.store, kinds.kitchen);
  /** The formula in hand. */
  readonly id = this.doc.key.asReadonly();
  readonly kitchen = computed<Kitchen>(() => this.home.value() ?? (defaultKitchen as Kitchen));

  /** True while the formula asked for has not been found. */
  readonly missing = computed(() => this.id() !== null && this.doc.ready() && this.doc.value() === null);

  readonly formula = computed(() => this.doc.value()?.formula ?? null);
  readonly plan = computed<Plan>(() => this.doc.value()?.plan ?? NO_PLAN);
  readonly ghost = signal<Ghost | null>(null);
  readonly drag = signal<readonly Change[] | null>(null);
  /** The formula before the last change, for a moment, so that every instrument shows what moved. */
  readonly recent = signal<Formula | null>(null);
  private recently: ReturnType<typeof setTimeout> | undefined;

  /** The formula as it would be with what is being tried, made on whatever it has become meanwhile; null when nothing is. */
  readonly tried = computed<Formula | null>(() => {
    const [f, ghost] = [this.formula(), this.ghost()];
    return f && ghost && ghost.from.id === f.id ? merge3(ghost.from, ghost.to, f) : null;
  });
  /** The formula as it would be: with what is being dragged or tried. */
  readonly shown = computed<Formula | null>(() => {
    const f = this.formula();
    const drag = this.drag();
    const tried = this.tried() ?? f;
    return tried && drag ? applyChanges(tried, drag) : tried;
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
    effect(() => {
      ovenScale.set(this.kitchen().display.temperature);
      units.set(this.kitchen());
    });
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
    if (untracked(() => this.id() === id && this.formula() !== null)) return;
    this.drop();
    this.forget();
    if ((await this.doc.go(id)) && this.id() === id) await this.store.put(kinds.inHand, 'inHand', id);
  }

  /** Takes up again what was in hand before the reload, unless a view has taken something up already. */
  async resume(): Promise<void> {
    // none could be opened, which is on the screen
    if (this.store.name() === null) return;
    const id = (await this.store.read(kinds.inHand, 'inHand')).value;
    const there = id !== null && (await this.store.read(kinds.formula, id)).value !== null;
    // a view may have taken something up while it was being looked for
    if (there && this.id() === null) await this.pickUp(id);
  }

  putDown(): void {
    void this.doc.go(null);
    this.drop();
    this.forget();
  }

  /** Shows a new state of the document at once and stores it as one undoable step; resolves when it is on disk. */
  async change(label: string, next: Partial<Doc>): Promise<void> {
    const now = this.doc.value();
    if (now) await this.become(label, { ...now, ...next });
  }

  private async become(label: string, next: Doc, along?: Parameters<typeof this.doc.change>[2]): Promise<void> {
    const now = this.doc.value();
    if (!now || (same(next, now) && !along)) return;
    this.remember(now.formula, next.formula);
    this.drop();
    await this.doc.change(label, next, along);
  }

  /** Changes the kitchen, as one undoable step; resolves to whether it is on disk. */
  changeKitchen(label: string, next: Kitchen): Promise<boolean> {
    return this.home.change(label, next);
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
    if (f) this.tryOut(advice.id, advice.words, advice.formula ?? applyChanges(f, advice.changes));
  }

  /** Shows what the formula in hand would be; `from` where it was worked out for what it was a while ago. */
  tryOut(id: string, words: string, to: Formula, reasons: readonly string[] = [], from = this.formula()): void {
    if (from) this.ghost.set({ id, words, from, to, reasons });
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
    const [ghost, tried] = [this.ghost(), this.tried()];
    if (!ghost || !tried) return;
    await this.become(ghost.words, { formula: tried, plan: this.plan() }, async (w, now, next) => {
      if (!now || !next) return next;
      const from = await w.freeze(now.formula, 'as it was before', now.plan.version);
      const version = await w.freeze(next.formula, ghost.words, from, ghost.reasons);
      return { ...next, plan: { ...next.plan, version } };
    });
  }

  /** Goes back, or over, to a version; the working copy as it stands is frozen first. */
  async goTo(id: string, label: string): Promise<void> {
    const was = this.formula();
    const version = await this.store.database.versions.get(id);
    if (!was || version?.formulaId !== was.id) return;
    await this.become(
      label,
      { formula: version.formula, plan: { ...this.plan(), version: id } },
      async (w, now, next) => {
        if (now) await w.freeze(now.formula, 'as it was before', now.plan.version);
        return next;
      },
    );
  }

  async undo(): Promise<Partial<Command> | null> {
    return this.step((id) => this.store.undo(id));
  }

  async redo(): Promise<Partial<Command> | null> {
    return this.step((id) => this.store.redo(id));
  }

  private async step(move: (id: string) => Promise<Partial<Command> | null>): Promise<Partial<Command> | null> {
    const id = this.id();
    if (id === null) return null;
    this.drop();
    const was = this.formula();
    const command = await move(id);
    const is = this.formula();
    if (was && is && !same(was, is)) this.remember(was, is);
    return command;
  }

  readonly itemCount = computed(() => {
    const f = this.shown();
    return f ? allItems(f).length : 0;
  });
}
