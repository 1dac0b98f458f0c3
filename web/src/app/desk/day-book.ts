import { Injectable, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import {
  dayBakeOf,
  frozenFits,
  same,
  type BakePrediction,
  type Concession,
  type DayBake,
  type DayPlan,
  type Formula,
  type Kitchen,
  type Pin,
  type TinUse,
} from '@orvin/core';
import { DateTime } from 'luxon';
import { combineLatest, distinctUntilChanged, map, of, switchMap, type Observable } from 'rxjs';
import { Compute } from '../compute/compute';
import { EMPTY_DAY, kinds } from '../data/kinds';
import { LiveDocument } from '../data/live-document';
import type { DayDoc, WorkingRecord } from '../data/records';
import { Store } from '../data/store';
import { Bakery, place, statedOf } from './bakery';
import { Desk } from './desk';
import { Learning } from './learning';
import { Makings } from './makings';

/** A day is over so long after its serving time, ms; what was said of it then counts no more. */
const OVER_MS = 6 * 3_600_000;

interface Wanted {
  readonly formula: Formula;
  readonly tins: readonly TinUse[];
}

/** The day: which bakes, when, what is held where, and the plan that a worker makes of it. */
@Injectable({ providedIn: 'root' })
export class DayBook {
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  private readonly bakery = inject(Bakery);
  private readonly compute = inject(Compute);
  private readonly makings = inject(Makings);
  private readonly learning = inject(Learning);
  private readonly working = toSignal(this.store.working$, { initialValue: [] as WorkingRecord[] });
  private readonly stored = new LiveDocument(this.store, kinds.day);
  readonly now = signal(Date.now());
  /** What is being dragged: pins that count until they are let go. */
  readonly trial = signal<Readonly<Record<string, Pin>> | null>(null);
  /** A serving time that is being dragged. */
  readonly serveTrial = signal<number | null>(null);
  private readonly zone = computed(() => this.desk.kitchen().locale.zone);

  readonly doc = computed<DayDoc & { readonly people: number }>(() => {
    const doc = { ...EMPTY_DAY, people: this.desk.kitchen().people ?? 1, ...this.stored.value() };
    return doc.serve && this.instant(doc.serve) < this.now() - OVER_MS ? { ...EMPTY_DAY, people: doc.people } : doc;
  });
  /** The formulas of the day; the one in hand belongs to it. */
  readonly ids = computed<readonly string[]>(
    () => {
      const hand = this.desk.id();
      const listed = this.doc().bakes.filter((id) => this.working().some((w) => w.id === id));
      return hand === null || listed.includes(hand) || this.doc().without.includes(hand) ? listed : [...listed, hand];
    },
    { equal: same },
  );
  /** What could be made besides. */
  readonly others = computed(() =>
    this.working()
      .filter((w) => !this.ids().includes(w.id))
      .map((w) => ({ id: w.id, title: w.formula.title }))
      .sort((a, b) => a.title.localeCompare(b.title)),
  );
  private readonly wanted = computed<readonly Wanted[]>(
    () =>
      this.ids().flatMap((id) => {
        const w = this.working().find((x) => x.id === id);
        if (!w) return [];
        const tins = w.plan.tins ?? w.formula.tins ?? [];
        const formula = tins.length > 0 ? place(w.formula, tins, this.desk.kitchen(), true).formula : w.formula;
        return [{ formula: { ...formula, ...(tins.length > 0 && { tins }) }, tins }];
      }),
    { equal: same },
  );

  /** How each is likely to bake, worked out one after another; null until it is known, and when it cannot be. */
  private readonly predictions = toSignal(
    toObservable(computed(() => ({ list: this.wanted(), kitchen: this.learning.kitchen() }), { equal: same })).pipe(
      switchMap(({ list, kitchen }) =>
        list.length === 0 || !kitchen
          ? of([] as (BakePrediction | null)[])
          : combineLatest(list.map((w) => this.predicted(w, kitchen))),
      ),
    ),
    { initialValue: [] as (BakePrediction | null)[] },
  );
  private predicted(w: Wanted, kitchen: Kitchen): Observable<BakePrediction | null> {
    const input = w.tins.length > 0 ? place(w.formula, w.tins, kitchen, false).inputs[0] : undefined;
    if (!input) return of(null);
    return this.compute
      .run(`later:day-${w.formula.id}`, 'predict', input, kitchen, statedOf(w.formula, kitchen))
      .pipe(map((o) => (o.ok && o.value.minutes.likely > 0 ? o.value : null)));
  }

  readonly bakes = computed<readonly DayBake[]>(() => {
    const making = this.makings.making();
    if (making) return making.bakes.map(dayBakeOf);
    return this.wanted().map(({ formula }, i): DayBake => {
      // what comes from the freezer takes the time its words give it
      if (this.frozen(formula)) return { id: formula.id, formula, from: 'freezer' };
      // the one in hand is predicted with its whole range already
      const hand = formula.id === this.desk.id() ? this.bakery.targetBake() : null;
      const prediction = hand?.ok && hand.value.minutes.likely > 0 ? hand.value : (this.predictions()[i] ?? null);
      const short = prediction ? { ...prediction, section: undefined, curve: [] } : null;
      return {
        id: formula.id,
        formula,
        quick: this.doc().quick,
        ...(short && { prediction: short as unknown as BakePrediction, minutes: short.minutes }),
      };
    });
  });

  /** True once each bake's time is known, or will not be. */
  readonly timed = computed(
    () => this.makings.making() !== null || this.bakes().every((b) => b.minutes !== undefined || b.from !== undefined),
  );

  private frozen(f: Formula): boolean {
    return this.doc().frozen.includes(f.id) && frozenFits(f, this.desk.kitchen()).length > 0;
  }

  readonly serveAt = computed(() => {
    const serve = this.doc().serve;
    return serve ? this.instant(serve) : null;
  });
  private readonly planAgainMs = computed(() => 60_000 * (this.makings.making()?.clock?.pace ?? 1));
  private readonly request = computed(
    () => ({
      bakes: this.bakes(),
      kitchen: this.desk.kitchen(),
      serveAt: this.serveTrial() ?? this.serveAt(),
      // a plan is made again each minute, not each time the clock is looked at
      now: Math.floor(this.now() / this.planAgainMs()) * this.planAgainMs(),
      options: {
        people: this.doc().people,
        pins: { ...this.doc().pins, ...this.trial() },
        done: this.makings.done(),
        concede: this.trial() === null && this.serveTrial() === null,
      },
    }),
    { equal: same },
  );
  readonly plan = toSignal(
    toObservable(this.request).pipe(
      distinctUntilChanged<ReturnType<typeof this.request>>(same),
      switchMap((r) =>
        r.bakes.length === 0
          ? of(null)
          : this.compute
              .run('day', 'plan', r.bakes, r.kitchen, r.serveAt, r.now, r.options)
              .pipe(map((o) => (o.ok ? o.value : null))),
      ),
    ),
    { initialValue: null as DayPlan | null },
  );

  /** Looks at the clock: of what is being made, when something is. */
  tick(): void {
    this.now.set(this.makings.now());
  }

  instant(serve: NonNullable<DayDoc['serve']>): number {
    const all = this.instants(serve);
    return (serve.later ? all.at(-1) : all[0]) ?? NaN;
  }

  /** The instants of a wall-clock time, earliest first: two in the hour that comes twice. */
  private instants({ date, time }: Pick<NonNullable<DayDoc['serve']>, 'date' | 'time'>): number[] {
    const at = DateTime.fromISO(`${date}T${time}`, { zone: this.zone() });
    return at.getPossibleOffsets().map((t) => t.toMillis());
  }

  /** Whether the serving time comes twice, since the clock goes back in that night; which of them is meant, then. */
  readonly twice = computed<'first' | 'second' | null>(() => {
    const serve = this.doc().serve;
    if (!serve || this.instants(serve).length < 2) return null;
    return serve.later ? 'second' : 'first';
  });

  /** Says which of two is meant. */
  async second(is: boolean): Promise<void> {
    const serve = this.doc().serve;
    if (serve) await this.change(is ? 'the second of them' : 'the first of them', { serve: { date: serve.date, time: serve.time, ...(is && { later: true }) } }); // prettier-ignore
  }

  at(ms: number): DateTime {
    return DateTime.fromMillis(ms, { zone: this.zone() });
  }

  change(label: string, next: Partial<DayDoc>): Promise<boolean> {
    return this.stored.change(label, { ...this.doc(), ...next });
  }

  async serve(at: number | null): Promise<void> {
    this.serveTrial.set(null);
    if (at === null) return void (await this.change('as soon as can be', { serve: null }));
    const t = this.at(at);
    const wall = { date: t.toISODate() ?? '', time: t.toFormat('HH:mm') };
    const [first, second] = this.instants(wall);
    const later = first !== undefined && second !== undefined && Math.abs(at - second) < Math.abs(at - first);
    await this.change(`ready at ${wall.time}`, { serve: { ...wall, ...(later && { later }) } });
  }

  /** Everything that is planned moves to now: ready as soon as can be. */
  async toNow(): Promise<void> {
    this.serveTrial.set(null);
    await this.change('begin now', { serve: null, pins: {} });
  }

  /** A bake that is in the log is no more of this day, until it is asked for again. */
  async finished(id: string): Promise<void> {
    await this.leaveOut(id);
  }

  async add(id: string): Promise<void> {
    const title = this.others().find((o) => o.id === id)?.title ?? id;
    await this.change(`add ${title}`, {
      bakes: [...this.ids(), id],
      without: this.doc().without.filter((x) => x !== id),
    });
  }

  async leaveOut(id: string): Promise<void> {
    const pins = Object.fromEntries(Object.entries(this.doc().pins).filter(([k]) => !k.startsWith(`${id}:`)));
    await this.change('leave a bake out', {
      bakes: this.doc().bakes.filter((x) => x !== id),
      without: [...this.doc().without.filter((x) => x !== id), id],
      pins,
    });
  }

  /** Bakes what a formula's method froze raw, or all of it fresh. */
  async fromFreezer(id: string, yes: boolean): Promise<void> {
    const others = this.doc().frozen.filter((x) => x !== id);
    const pins = Object.fromEntries(Object.entries(this.doc().pins).filter(([k]) => !k.startsWith(`${id}:`)));
    await this.change(yes ? 'bake it from the freezer' : 'make it fresh', {
      frozen: yes ? [...others, id] : others,
      pins,
    });
  }

  async pin(id: string, at: number, words: string): Promise<void> {
    await this.change(`${words} at ${this.at(at).toFormat('HH:mm')}`, { pins: { ...this.doc().pins, [id]: { at } } });
    this.trial.set(null);
  }

  async unpin(id: string | null): Promise<void> {
    const pins = id === null ? {} : Object.fromEntries(Object.entries(this.doc().pins).filter(([k]) => k !== id));
    await this.change('let go of it', { pins });
  }

  async concede(c: Concession): Promise<void> {
    const change = c.change;
    if (change.kind === 'later') await this.serve(change.serveAt);
    else if (change.kind === 'quick') await this.change('shorten the waits', { quick: true });
    else if (change.kind === 'people') await this.change('a second pair of hands', { people: change.people });
    else if (change.kind === 'leave out') await this.leaveOut(change.bakeId);
    else await this.unpin(null);
  }
}
