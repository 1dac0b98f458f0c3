import { NgTemplateOutlet } from '@angular/common';
import type { ElementRef } from '@angular/core';
import {
  ChangeDetectionStrategy,
  Component,
  afterRenderEffect,
  computed,
  effect,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { BreakpointObserver } from '@angular/cdk/layout';
import { toSignal } from '@angular/core/rxjs-interop';
import { allItems, ingredientFor, readAmount, type Proposal } from '@orvin/core';
import { map } from 'rxjs';
import { Desk } from '../../desk/desk';
import { FormsModule } from '@angular/forms';
import { SelectModule } from 'primeng/select';
import { Asks } from '../../ui/asks';
import { later } from '../../ui/later';
import { Panels } from '../../ui/panels';
import { mass, scaleG } from '../../ui/figures';
import { SliceDrawing } from '../slice';
import { askOf, asks, isLess, shares } from './asks';
import { Proposals, type Swap } from './proposals';

const NARROW = '(max-width: 480px)';

/**
 * Focus needs the page laid out: once the frame is drawn it costs nothing, before it the drawing of every instrument
 * would be one long task.
 */
function focusOnceDrawn(element: HTMLElement | undefined, still: () => boolean): void {
  if (element)
    requestAnimationFrame(() =>
      setTimeout(() => {
        if (element.isConnected && still()) element.focus({ preventScroll: true });
      }),
    );
}

/** Asks for something, or replaces a line, and flicks through what the search proposes: each on all instruments. */
@Component({
  selector: 'orvin-proposals',
  imports: [Asks, FormsModule, NgTemplateOutlet, SelectModule, SliceDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './proposals-bar.html',
  styleUrl: './proposals-bar.scss',
  host: { '(document:keydown)': 'key($event)', '[class.trying]': 'p.shown() !== null' },
})
export class ProposalsBar {
  protected readonly p = inject(Proposals);
  protected readonly desk = inject(Desk);
  private readonly panels = inject(Panels);
  protected readonly groups = asks.map((g) => ({
    name: g.name,
    asks: g.asks.map(({ id, name, title }) => ({ id, name, title, says: `${g.name} ${name}` })),
  }));
  protected readonly shares = shares.map((x) => ({ ...x, name: `by ${x.name}` }));
  /** Whether something is to be less, so that it can be said by how much. */
  protected readonly less = computed(() => [...this.p.asked()].some((id) => isLess(askOf(id))));
  /** Asked for by hand; while a proposal is shown the presses are folded away, so that the instruments can be seen. */
  protected readonly unfolded = signal(false);
  /** Said a frame after it stands on the instruments, or both would be one long task. */
  protected readonly shown = later(this.p.shown, 1, () => false);
  protected readonly folded = computed(() => this.shown() !== null && !this.unfolded());
  protected readonly limitProblem = signal('');
  /** On a phone the slice at the head of the Bench is out of sight: it is drawn beside what it costs. */
  protected readonly narrow = toSignal(
    inject(BreakpointObserver)
      .observe(NARROW)
      .pipe(map((s) => s.matches)),
    { initialValue: false },
  );
  private readonly keepButton = viewChild<ElementRef<HTMLElement>>('keep');
  private readonly first = viewChild<ElementRef<HTMLElement>>('first');

  protected readonly line = computed(() => {
    const f = this.desk.formula();
    const item = f && allItems(f).find((i) => i.id === this.p.lineId());
    if (!f || !item) return null;
    const ingredient = ingredientFor(f, item, this.desk.kitchen());
    return { item, ingredient, name: ingredient.name, grams: mass(item.grams), shows: scaleG(item.grams) };
  });
  /** Limits that are in force, in words. */
  private readonly limits = computed(() => {
    const f = this.desk.formula();
    return [...this.p.limits()].flatMap(([id, l]) => {
      const item = f && allItems(f).find((i) => i.id === id);
      if (!f || !item) return [];
      const name = ingredientFor(f, item, this.desk.kitchen()).name.replace(/,.*/, '').toLowerCase();
      const words =
        l.minG !== undefined && l.minG === l.maxG
          ? `exactly ${mass(l.minG)}`
          : [
              ...(l.minG !== undefined ? [`at least ${mass(l.minG)}`] : []),
              ...(l.maxG !== undefined ? [`at most ${mass(l.maxG)}`] : []),
            ].join(', ');
      return [{ id, name: `${words} of ${name}`, says: `${words} of ${name}; take this limit away` }];
    });
  });
  /** Wishes and limits that are in force. */
  protected readonly inForce = computed(() => [
    ...[...this.p.asked()].flatMap((id) => askOf(id) ?? []).map((a) => ({ id: a.id, name: a.says })),
    ...this.limits(),
  ]);
  protected readonly heading = computed(() => {
    const p = this.shown();
    if (!p) return '';
    const n = this.p.list().length;
    return n > 1 ? `${p.title} · ${this.p.at() + 1} of ${n}` : p.title;
  });

  constructor() {
    // once it is settled what to ask, the presses fold away again
    effect(() => {
      if (this.p.busy() || this.p.mode() !== 'ask') this.unfolded.set(false);
    });
    // what is shown can be kept with Enter at once; what is being asked is where the keys begin
    afterRenderEffect(() => {
      const keep = this.keepButton()?.nativeElement;
      const first = this.first()?.nativeElement;
      if (this.p.mode() === 'line' && !this.p.shown()) focusOnceDrawn(first, () => true);
      else focusOnceDrawn(keep, () => document.activeElement === document.body);
    });
  }

  protected takeAway(id: string): void {
    if (this.p.limits().has(id)) this.p.limit(id, null);
    else this.p.toggle(id);
  }

  /** What has to follow a replacement, besides the replacement itself. */
  protected knockOn(s: Swap): string {
    const p = s.proposal;
    if (!p) return s.failed ? 'could not be worked out' : '…';
    const others = p.lines.filter(
      (l) => l.id !== this.p.lineId() && !(l.kind === 'added' && l.item?.ingredient === s.replacement.ingredient),
    );
    const words = others.map((l) => l.words.replace(/^add /, ''));
    return words.length > 0 ? `needs ${words.join(', ')}` : p.lines.length === 0 ? '' : 'nothing else to change';
  }

  protected grams(s: Swap): string {
    const item = s.proposal?.formula.groups
      .flatMap((g) => g.items)
      .find((i) => i.ingredient === s.replacement.ingredient);
    return item ? mass(item.grams) : '';
  }

  /** What it costs in the bake; what is to be mended in the method is said once it is tried. */
  protected swapCost(s: Swap): string {
    return s.proposal ? s.proposal.costs.filter((c) => !c.startsWith('your method')).join('; ') : s.replacement.costs;
  }

  protected cost(p: Proposal): string {
    return p.costs.join('; ');
  }

  protected try(s: Swap): void {
    if (s.proposal && s.proposal.lines.length > 0) this.p.show([s.proposal], 0);
  }

  /** A limit typed for the line, in any unit. */
  protected limit(field: HTMLInputElement, kind: 'at most' | 'at least' | 'exactly'): void {
    const line = this.line();
    const f = this.desk.formula();
    if (!line || !f) return;
    const read = readAmount(field.value, line.ingredient, { ...f.source, ...this.desk.kitchen().measures }, this.desk.kitchen().display.weight); // prettier-ignore
    if (!read || !(read.grams >= 0) || read.grams > 50_000) {
      this.limitProblem.set(`"${field.value}" is no amount I can read. Try 180, 1 1/2 c, 2 tsp or 2 eggs.`);
      return;
    }
    this.limitProblem.set('');
    const g = Math.round(read.grams * 100) / 100;
    this.p.limit(
      line.item.id,
      kind === 'at most' ? { maxG: g } : kind === 'at least' ? { minG: g } : { minG: g, maxG: g },
    );
  }

  protected key(e: KeyboardEvent): void {
    const target = e.target as HTMLElement;
    const typing = /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) && (target as HTMLInputElement).type !== 'checkbox';
    const select = target.closest('p-select');
    if (select?.querySelector('[aria-expanded=true]')) return;
    if (this.panels.anyOpen || e.ctrlKey || e.metaKey || e.altKey || this.p.mode() === 'shut') return;
    if (e.key === 'Escape') {
      e.preventDefault();
      return this.p.close();
    }
    if (typing || select || e.defaultPrevented) return;
    if (e.key.toLowerCase() === 'n') this.p.next(e.shiftKey ? -1 : 1);
  }
}
