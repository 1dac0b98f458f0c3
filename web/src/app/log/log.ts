import { CdkFixedSizeVirtualScroll, CdkVirtualForOf, CdkVirtualScrollViewport } from '@angular/cdk/scrolling';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { Router } from '@angular/router';
import { ovenOff, type BakeRecord } from '@orvin/core';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';
import { Learning } from '../desk/learning';
import { Panels } from '../ui/panels';
import { Photo } from '../ui/photo';
import { degreesBy } from '../ui/words';
import { BakeSheet } from './bake-sheet';
import { BesideBakes } from './beside-bakes';
import { ByHand } from './by-hand';
import { findBakes } from './find';
import { lineOf, type Line } from './line';
import { Pictures } from './pictures';
import { SeriesPart } from './series-part';
import { Taught } from './taught';

const parts = [
  { id: 'bakes', name: 'Bakes' },
  { id: 'taught', name: 'What it taught' },
  { id: 'pictures', name: 'In pictures' },
  { id: 'series', name: 'Small batches' },
] as const;
type PartId = (typeof parts)[number]['id'];

/** Height of a line of the timeline, px; all are alike, so that thousands can be scrolled. */
export const LINE_PX = 78;

/** What happened: bakes as they went, how they came out and why, and what all of them taught. */
@Component({
  selector: 'orvin-log',
  imports: [
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    CdkVirtualScrollViewport,
    BakeSheet,
    BesideBakes,
    ByHand,
    Photo,
    Pictures,
    SeriesPart,
    Taught,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './log.html',
  styleUrl: './log.scss',
})
export class Log {
  readonly id = input<string>();
  /** From the address: the part that is shown, the bake that is looked at, and the one beside it. */
  readonly part = input<string>();
  readonly bake = input<string>();
  readonly beside = input<string>();
  protected readonly desk = inject(Desk);
  protected readonly bakery = inject(Bakery);
  private readonly learning = inject(Learning);
  private readonly router = inject(Router);
  private readonly panels = inject(Panels);
  protected readonly parts = parts;
  protected readonly linePx = LINE_PX;
  protected readonly asked = signal('');
  protected readonly only = signal(false);
  protected readonly wrong = signal(false);
  /** Whether the next bake that is pressed is put beside the one that is looked at. */
  protected readonly choosing = signal(false);

  protected readonly shownPart = computed<PartId>(() => parts.find((p) => p.id === this.part())?.id ?? 'bakes');
  protected readonly bakes = computed(() => this.learning.bakes() ?? []);
  protected readonly loading = computed(() => this.learning.bakes() === undefined);
  private readonly doubted = computed(() => new Set(this.learning.lesson()?.doubts.map((d) => d.bakeId)));
  protected readonly listed = computed<readonly BakeRecord[]>(() => {
    const hand = this.desk.id();
    const zone = this.desk.kitchen().locale.zone;
    return findBakes(this.bakes(), this.asked(), zone).filter(
      (b) => (!this.only() || b.formulaId === hand) && (!this.wrong() || isWrong(b)),
    );
  });
  private readonly lines = new WeakMap<BakeRecord, Line>();
  /** Without a formula in hand there is nothing to log: the newest bake is looked at. */
  protected readonly current = computed(
    () => this.bakes().find((b) => b.id === this.bake()) ?? (this.hasHand() ? null : (this.listed()[0] ?? null)),
  );
  protected readonly other = computed(() => this.bakes().find((b) => b.id === this.beside()) ?? null);
  protected readonly hasHand = computed(() => this.desk.formula() !== null);
  private readonly port = viewChild(CdkVirtualScrollViewport);

  /** "Your big oven runs about 9 °C hot, from 11 bakes." */
  protected readonly taught = computed(() => {
    const kitchen = this.learning.kitchen();
    if (this.loading() || !kitchen) return 'Working out what the log teaches…';
    if (this.bakes().length === 0)
      return 'No bake is logged yet. The first one already teaches Orvin how fast this oven is.';
    const most = kitchen.ovens.map((o) => ({ o, off: ovenOff(kitchen, o.id) })).sort((a, b) => b.off.bakes - a.off.bakes)[0]; // prettier-ignore
    const errors = this.learning.lesson()?.errors;
    if (!most || most.off.bakes === 0) return 'Nothing in the log teaches yet.';
    const k = Math.round(Math.abs(most.off.typical));
    const oven = k < 2 ? `${most.o.name} keeps to its dial` : `${most.o.name} runs about ${degreesBy(k)} ${most.off.typical > 0 ? 'hot' : 'cool'}`; // prettier-ignore
    const pct = (x: number): string => `${Math.round(100 * x)} %`;
    return `${oven}, from ${most.off.bakes} bakes.${errors ? ` Times are foretold to within ${pct(errors.after.median)}; before the log, ${pct(errors.before.median)}.` : ''}`;
  });

  constructor() {
    this.learning.hurry();
    effect(() => {
      const id = this.id();
      if (id !== undefined) void this.desk.pickUp(id);
    });
    // a bake that was asked for by the address stands in the middle of the list
    effect(() => {
      const [port, wanted] = [this.port(), this.bake()];
      if (!port || wanted === undefined) return;
      const at = untracked(() => this.listed().findIndex((b) => b.id === wanted));
      const { start, end } = port.getRenderedRange();
      if (at >= 0 && (at < start || at >= end)) port.scrollToIndex(Math.max(0, at - 2));
    });
  }

  protected line(b: BakeRecord): Line {
    const had = this.lines.get(b);
    if (had) return had;
    const made = lineOf(b, this.desk.kitchen().locale.zone);
    this.lines.set(b, made);
    return made;
  }
  protected doubtful(b: BakeRecord): boolean {
    return this.doubted().has(b.id);
  }
  protected readonly track = (_: number, b: BakeRecord): string => b.id;

  protected show(part: PartId): void {
    void this.go({ part: part === 'bakes' ? null : part });
  }
  protected look(b: BakeRecord | null): void {
    if (b && this.choosing() && b.id !== this.bake()) {
      this.choosing.set(false);
      void this.go({ beside: b.id });
      return;
    }
    this.choosing.set(false);
    void this.go({ bake: b?.id ?? null, beside: null, part: null });
  }
  protected putApart(): void {
    this.choosing.set(false);
    void this.go({ beside: null });
  }

  private go(queryParams: Record<string, string | null>): Promise<boolean> {
    return this.router.navigate([], { queryParams, queryParamsHandling: 'merge', replaceUrl: true });
  }

  /** Up and down go through the bakes, L logs one, Escape leaves the one that is looked at. */
  protected key(e: KeyboardEvent): void {
    const target = e.target as HTMLElement;
    if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || e.defaultPrevented || e.ctrlKey || e.metaKey || e.altKey) return; // prettier-ignore
    if (this.panels.anyOpen) return;
    const list = this.listed();
    const at = list.findIndex((b) => b.id === this.bake());
    const move = { ArrowDown: 1, ArrowUp: -1, j: 1, k: -1 }[e.key];
    if (move !== undefined && this.shownPart() === 'bakes' && !target.closest('[role=group], .sheet')) {
      const next = list[at < 0 ? 0 : Math.max(0, Math.min(list.length - 1, at + move))];
      if (!next) return;
      e.preventDefault();
      this.choosing.set(false);
      void this.go({ bake: next.id, beside: null });
    } else if (e.key === 'Escape' && (this.choosing() || this.beside() !== undefined)) this.putApart();
    else if (e.key === 'Escape' && this.bake() !== undefined) this.look(null);
    else if (e.key === 'l' && this.hasHand()) this.look(null);
  }
}

/** Whether something was wrong with a bake. */
export const isWrong = (b: BakeRecord): boolean =>
  (b.result?.symptoms ?? []).length > 0 || !['good', 'fine'].includes(b.outcome);
