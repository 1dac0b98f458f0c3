import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { cost, money, nutrition } from '@orvin/core';
import { Desk } from '../desk/desk';

/** What the formula costs and what a piece of it holds, in the same breath as everything else. */
@Component({
  selector: 'orvin-worth',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (words(); as w) {
    <a [routerLink]="['/label', w.id]" title="What it costs, what it holds, and its label"
      ><b>{{ w.cost }}</b>
      @if (w.was) {
        <span class="was">{{ w.was }}</span>
      }
      · {{ w.kcal }} kcal {{ w.piece }}</a
    >
  }`,
  styles: `
    :host {
      font-size: 0.86rem;
      white-space: nowrap;
    }
    a {
      color: inherit;
      text-decoration: underline dotted var(--rim-soft);
      text-underline-offset: 0.22em;
    }
    a:hover {
      color: var(--rim);
    }
    .was {
      margin-left: 0.3rem;
      color: var(--ink-2);
      text-decoration: line-through;
    }
  `,
})
export class Worth {
  private readonly desk = inject(Desk);
  protected readonly words = computed(() => {
    const f = this.desk.shown();
    const a = this.desk.assessment();
    if (!f || !a || a.totals.batterG <= 0) return null;
    const k = this.desk.kitchen();
    const c = cost(f, k);
    const n = nutrition(f, k, undefined, a);
    const before = this.desk.beforeFormula();
    const each = c.ingredients / c.pieces;
    const old = before && cost(before, k);
    const was = old ? old.ingredients / old.pieces : null;
    const priced = c.missing.length < c.lines.length;
    return {
      id: f.id,
      cost: priced ? money(each, k) : 'no prices yet',
      was: was !== null && priced && Math.abs(was - each) >= 0.005 ? money(was, k) : null,
      kcal: Math.round(c.pieces > 1 ? n.perPiece.kcal : n.per100.kcal),
      piece: c.pieces > 1 ? 'each' : 'in 100 g',
    };
  });
}
