import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  isConflict,
  replacements,
  withLines,
  type Conflict,
  type Formula,
  type Kitchen,
  type Proposal,
  type Replacement,
  type Wish,
} from '@orvin/core';
import type { Observable } from 'rxjs';
import { Subject, of, switchMap, type Subscription } from 'rxjs';
import type { Outcome } from '../../compute/pool';
import { Solving } from '../../compute/solving';
import { Pantry } from '../../desk/pantry';
import { Desk } from '../../desk/desk';
import { Judgement } from '../../desk/judgement';
import { askOf } from './asks';

/** How many replacements are solved at a time. */
const SOLVED = 8;

/** What a line may weigh, as the baker limited it here, g. */
export interface Limit {
  readonly minG?: number;
  readonly maxG?: number;
}

/** A replacement, and what comes of it once it is solved. */
export interface Swap {
  readonly replacement: Replacement;
  readonly state?: 'frozen' | 'fresh';
  readonly proposal: Proposal | null;
  readonly failed: boolean;
}

type Result = Outcome<Proposal[] | Conflict> | null;

/**
 * What is asked of the formula in hand, and the proposals that come of it, each shown as a ghost on every instrument.
 * Nothing is stored until one is kept. Provided by the Bench.
 */
@Injectable()
export class Proposals {
  private readonly desk = inject(Desk);
  private readonly pantry = inject(Pantry);
  private readonly solving = inject(Solving);
  private readonly judgement = inject(Judgement);
  /** Shut, asking for something, or at one line to limit or replace it. */
  readonly mode = signal<'shut' | 'ask' | 'line'>('shut');
  readonly asked = signal<ReadonlySet<string>>(new Set());
  /** How much less, per cent, of what is to be less. */
  readonly lessPct = signal(25);
  readonly limits = signal<ReadonlyMap<string, Limit>>(new Map());
  readonly lineId = signal<string | null>(null);
  readonly busy = signal(false);
  readonly failed = signal('');
  readonly conflict = signal<Conflict | null>(null);
  readonly list = signal<readonly Proposal[]>([]);
  /** What may be off where nothing plainly is: for whoever asks, and not on the instruments before. */
  readonly hints = signal<readonly Proposal[]>([]);
  readonly at = signal(0);
  /** Lines of the proposal shown that are taken. */
  readonly taken = signal<ReadonlySet<string>>(new Set());
  readonly swaps = signal<readonly Swap[]>([]);
  private readonly unsolved = signal<readonly Replacement[]>([]);
  /** How many replacements there are besides, ranked after those that are shown. */
  readonly further = computed(() => this.unsolved().length);
  readonly shown = computed<Proposal | null>(() => this.list()[this.at()] ?? null);
  /** True when the search is done and has nothing to say. */
  readonly content = computed(
    () => !this.busy() && this.list().length === 0 && this.conflict() === null && this.failed() === '',
  );

  private readonly requests = new Subject<Observable<Result>>();
  private readonly result = toSignal(this.requests.pipe(switchMap((r) => r)), { initialValue: null });
  private solves: Subscription[] = [];
  private keeping = false;

  constructor() {
    effect(() => {
      const mode = this.mode();
      const f = this.desk.formula();
      const kitchen = this.pantry.kitchen();
      const asked = this.asked();
      const limits = this.limits();
      const lessPct = this.lessPct();
      const locked = this.desk.plan().locked ?? [];
      untracked(() => {
        if (mode === 'ask' && f && !this.keeping) this.ask(f, kitchen, asked, lessPct, limits, locked);
      });
    });
    effect(() => {
      const result = this.result();
      untracked(() => this.take(result));
    });
    // what is dropped elsewhere (Escape, an edit) is dropped here
    effect(() => {
      const ghost = this.desk.ghost();
      untracked(() => {
        if (ghost === null && this.shown() !== null && this.mode() !== 'shut' && !this.keeping) this.close();
      });
    });
  }

  /** The formula that what is shown was worked out for. */
  private solvedFor: Formula | null = null;

  open(): void {
    this.reset();
    this.asked.set(new Set());
    this.mode.set('ask');
  }

  /** At one line: what may take its place, and how much of it there may be. */
  openLine(itemId: string): void {
    this.reset();
    this.lineId.set(itemId);
    this.mode.set('line');
    const f = this.desk.formula();
    if (!f) return;
    this.solvedFor = f;
    this.unsolved.set(replacements(f, itemId, this.pantry.kitchen()));
    this.solveMore();
  }

  close(): void {
    if (this.mode() === 'shut') return;
    this.reset();
    this.asked.set(new Set());
    this.lessPct.set(25);
    this.limits.set(new Map());
    this.lineId.set(null);
    this.mode.set('shut');
  }

  private reset(): void {
    for (const s of this.solves) s.unsubscribe();
    this.solves = [];
    this.requests.next(of(null));
    this.list.set([]);
    this.hints.set([]);
    this.conflict.set(null);
    this.failed.set('');
    this.busy.set(false);
    this.swaps.set([]);
    this.unsolved.set([]);
    this.at.set(0);
    this.desk.drop();
  }

  toggle(id: string): void {
    const ask = askOf(id);
    this.asked.update((now) => {
      if (now.has(id)) return new Set([...now].filter((x) => x !== id));
      // a preset stands alone, wishes join
      return ask?.preset ? new Set([id]) : new Set([...[...now].filter((x) => !askOf(x)?.preset), id]);
    });
  }

  limit(itemId: string, limit: Limit | null): void {
    this.limits.update((now) => {
      const next = new Map(now);
      if (limit === null || (limit.minG === undefined && limit.maxG === undefined)) next.delete(itemId);
      else next.set(itemId, limit);
      return next;
    });
    this.mode.set('ask');
  }

  private ask(
    f: Formula,
    kitchen: Kitchen,
    asked: ReadonlySet<string>,
    lessPct: number,
    limits: ReadonlyMap<string, Limit>,
    locked: readonly string[],
  ): void {
    const chosen = [...asked].map(askOf);
    const preset = chosen.find((a) => a?.preset)?.preset;
    const now = { lessPct, batterG: this.judgement.assess(f, kitchen, { locked }).totals.batterG };
    const wishes: Wish[] = [
      ...chosen.flatMap((a) => a?.wish?.(now) ?? []),
      ...[...limits].map(([itemId, l]): Wish => ({ kind: 'amount', itemId, ...l })),
    ];
    this.busy.set(true);
    this.solvedFor = f;
    this.requests.next(
      preset
        ? this.solving.adapt(f, preset, kitchen, { wishes, locked })
        : this.solving.rebalance(f, { wishes, locked }, kitchen),
    );
  }

  private take(result: Result): void {
    if (result === null) return;
    this.busy.set(false);
    this.failed.set(result.ok ? '' : result.words);
    const value = result.ok ? result.value : [];
    this.conflict.set(isConflict(value) ? value : null);
    const found = isConflict(value) ? (value.nearest ? [value.nearest] : []) : value;
    const plain = found.filter((p) => p.kind !== 'hint');
    this.hints.set(plain.length === 0 ? found : []);
    this.show(plain.length === 0 ? [] : found, 0);
  }

  /** All that was asked, although the family usually has it otherwise. */
  anyway(p: Proposal): void {
    this.conflict.set(null);
    this.show([p], 0);
  }

  /** Puts the likeliest of what may be off on the instruments. */
  seeHints(): void {
    this.show(this.hints(), 0);
    this.hints.set([]);
  }

  /** Puts a proposal on the instruments, all its lines taken. */
  show(list: readonly Proposal[], at: number): void {
    this.list.set(list);
    this.at.set(at);
    const p = list[at];
    this.taken.set(new Set(p?.lines.map((l) => l.id)));
    if (p) this.ghost(p);
    else this.desk.drop();
  }

  next(by = 1): void {
    const n = this.list().length;
    if (n > 1) this.show(this.list(), (this.at() + by + n) % n);
  }

  takeLine(id: string, on: boolean): void {
    const p = this.shown();
    if (!p) return;
    this.taken.update((now) => new Set(on ? [...now, id] : [...now].filter((x) => x !== id)));
    this.ghost(p);
  }

  private ghost(p: Proposal): void {
    const f = this.solvedFor;
    if (!f) return;
    const taken = p.lines.filter((l) => this.taken().has(l.id));
    const some = taken.length < p.lines.length;
    const words = some ? taken.map((l) => l.words).join('; ') || p.words : p.words;
    const to = withLines(f, p, taken.map((l) => l.id)); // prettier-ignore
    this.desk.tryOut(p.id, words, to, taken.map((l) => `${l.words}: ${l.reason}`), f); // prettier-ignore
  }

  /** Keeps what is shown; it goes away once it is on disk. */
  async keep(): Promise<void> {
    if (this.keeping) return;
    this.keeping = true;
    try {
      await this.desk.keep();
    } finally {
      this.keeping = false;
      this.close();
    }
  }

  /** Solves the next best replacements of the line, one after another; each is shown as it comes in. */
  solveMore(): void {
    const f = this.desk.formula();
    const itemId = this.lineId();
    if (!f || itemId === null) return;
    const from = this.swaps().length;
    const next = this.unsolved().slice(0, SOLVED);
    this.unsolved.update((now) => now.slice(SOLVED));
    this.swaps.update((now) => [
      ...now,
      ...next.map((replacement) => ({
        replacement,
        ...(replacement.state && { state: replacement.state }),
        proposal: null,
        failed: false,
      })),
    ]);
    const locked = this.desk.plan().locked ?? [];
    next.forEach((r, n) => {
      this.solves.push(
        this.solving
          .substitute(f, itemId, r.ingredient, this.pantry.kitchen(), r.state, locked)
          .subscribe((out) =>
            this.swaps.update((now) =>
              now.map((s, j) => (j === from + n ? { ...s, proposal: out.ok ? out.value : null, failed: !out.ok } : s)),
            ),
          ),
      );
    });
  }
}
