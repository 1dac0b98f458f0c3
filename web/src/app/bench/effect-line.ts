import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { allItems, asMeasured, effectOf, ingredientFor, money } from '@orvin/core';
import { Desk } from '../desk/desk';
import { mass } from '../ui/figures';

const signed = (x: number, digits = 1): string => {
  const r = Number(x.toFixed(digits));
  return r > 0 ? `+${r}` : r < 0 ? `−${Math.abs(r)}` : '0';
};

/** What a little more of the line that is pointed at would do to everything. */
@Component({
  selector: 'orvin-effect-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (effect(); as e) {
      <b>{{ e.head }}</b>
      @for (part of e.parts; track part.name) {
        <span [class.none]="part.value === '0'">{{ part.name }} {{ part.value }}</span>
      }
    } @else {
      <span class="none">Point at a line to see what a little more of it would do.</span>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0 0.9rem;
      min-height: 1.45rem;
      font-size: 0.88rem;
    }
    .none {
      color: var(--ink-2);
    }
  `,
})
export class EffectLine {
  private readonly desk = inject(Desk);
  readonly itemId = input<string | null>(null);

  protected readonly effect = computed(() => {
    const id = this.itemId();
    const f = this.desk.formula();
    // while something is pulled the figures themselves say it
    if (id === null || !f || this.desk.changing()) return null;
    const item = allItems(f).find((i) => i.id === id);
    const e = item && effectOf(f, id, this.desk.kitchen());
    if (!item || !e) return null;
    const ingredient = ingredientFor(f, item, this.desk.kitchen());
    const name = ingredient.name.replace(/,.*/, '').toLowerCase();
    const spoon = ingredient.role === 'leavener' || ingredient.role === 'salt';
    const amount = spoon ? asMeasured(e.grams, ingredient, this.desk.kitchen().measures) : mass(e.grams);
    // of the whole batch, since the line is of it too; what a piece costs stands beside
    const worth = (x: number): string => money(Math.abs(x), this.desk.kitchen());
    const cost = e.cost === null || worth(e.cost) === worth(0) ? null : `${e.cost > 0 ? '+' : '−'}${worth(e.cost)}`;
    return {
      head: `${amount} more ${name}:`,
      parts: [
        { name: 'tenderness', value: signed(e.tender) },
        { name: 'lift', value: signed(e.lift) },
        ...(Math.abs(e.leftSodaG) >= 0.005 ? [{ name: 'soda left in 100', value: signed(e.leftSodaG, 2) }] : []),
        ...(Math.abs(e.water) >= 0.05 ? [{ name: 'water', value: signed(e.water) }] : []),
        ...(Math.abs(e.standMin) >= 1 ? [{ name: 'waits', value: `${signed(e.standMin, 0)} min` }] : []),
        ...(cost === null ? [] : [{ name: 'batch', value: cost }]),
      ],
    };
  });
}
